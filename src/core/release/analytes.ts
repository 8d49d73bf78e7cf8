/** What laboratories call the things that limits are written for, and the units that they write them in (common practice). */

/** Other names of an analyte, by the name that limits use; in lower case, without `total`. */
const SYNONYMS: Readonly<Record<string, readonly string[]>> = {
  As: ['arsenic', 'arsénico'],
  Cd: ['cadmium', 'cadmio'],
  Co: ['cobalt', 'cobalto'],
  Cr: ['chromium', 'cromo'],
  'Cr VI': [
    'cr(vi)',
    'cr6',
    'cr6+',
    'cr+6',
    'chromium vi',
    'chromium (vi)',
    'chromium(vi)',
    'chromium (6+)',
    'cr (vi)',
    'cromo (vi)',
    'hexavalent chromium',
    'cromo vi',
    'cromo hexavalente',
  ],
  Cu: ['copper', 'cobre'],
  Hg: ['mercury', 'mercurio'],
  Mo: ['molybdenum', 'molibdeno'],
  Ni: ['nickel', 'níquel'],
  Pb: ['lead', 'plomo'],
  Se: ['selenium', 'selenio'],
  Zn: ['zinc', 'cinc'],
  'inorganic As': ['inorganic arsenic', 'arsenic, inorganic', 'arsénico inorgánico'],
  // Plain 'PAH' may be the sum of another number of compounds, so it is not taken for these sixteen.
  PAH16: ['pah 16', 'pah-16', 'sum of 16 pah', 'sum of 16 pahs', 'hap16', 'hap 16'],
  Salmonella: ['salmonella spp', 'salmonella spp.', 'salmonella sp', 'salmonella sp.'],
  'E. coli': ['e coli', 'e.coli', 'escherichia coli'],
  'E. coli O157:H7': [
    'e coli o157:h7',
    'e.coli o157:h7',
    'e. coli o157',
    'escherichia coli o157:h7',
  ],
  'Listeria monocytogenes': ['l. monocytogenes', 'l monocytogenes'],
  'fecal coliforms': [
    'fecal coliform',
    'faecal coliform',
    'faecal coliforms',
    'thermotolerant coliforms',
    'coliformes fecales',
  ],
};

/** Limits are for the total of a metal, so `total` adds nothing. */
const tidyName = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/^total |,? total$/g, '');

const CANONICAL: ReadonlyMap<string, string> = new Map(
  Object.entries(SYNONYMS).flatMap(([analyte, names]) =>
    [analyte.toLowerCase(), ...names].map((name) => [name, analyte] as const),
  ),
);

/** The analyte of `lead (Pb)`: a symbol in brackets is left out only where it names the same; `chromium (III)` is not chromium. */
function withoutSymbol(name: string): string | undefined {
  const [, word = '', symbol = ''] = /^(.+) \(([^()]+)\)$/.exec(name) ?? [];
  const analyte = CANONICAL.get(word);
  return analyte !== undefined && CANONICAL.get(symbol) === analyte ? analyte : undefined;
}

/** The name that limits use for an analyte of a laboratory sheet; an unknown name is returned in lower case. */
export function analyteOf(name: string): string {
  const tidy = tidyName(name);
  return CANONICAL.get(tidy) ?? withoutSymbol(tidy) ?? tidy;
}

/** Units of a share of mass, in mg/kg: what one of them is worth. */
const MG_PER_KG: Readonly<Record<string, number>> = {
  'mg/kg': 1,
  ppm: 1,
  'µg/g': 1,
  'ug/g': 1,
  'g/t': 1,
  'µg/kg': 0.001,
  'ug/kg': 0.001,
  ppb: 0.001,
  'mg/g': 1000,
  'g/kg': 1000,
  'kg/t': 1000,
  '%': 10_000,
};

/** `% m/m`, `% w/w` and `mass %` are one; Greek mu and the micro sign too. */
const massUnitOf = (unit: string): string =>
  unit
    .trim()
    .toLowerCase()
    .replace('\u03bc', '\u00b5')
    .replace(/\s/g, '')
    .replace(/^(mass|weight|wt)?%(\(?[mw]\/[mw]\)?)?$/, '%');

/** What a figure in one unit is in another: the same where they are alike, worked out where both are shares of mass; null: it cannot be said. */
export function convertShare(n: number, from: string, to: string): number | null {
  if (from.trim() === to.trim()) return n;
  const [a, b] = [MG_PER_KG[massUnitOf(from)], MG_PER_KG[massUnitOf(to)]];
  return a === undefined || b === undefined ? null : (n * a) / b;
}
