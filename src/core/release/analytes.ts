/** What laboratories call the things that limits are written for, and the units that they write them in (common practice). */

/** Other names of an analyte, by the name that limits use; in lower case, with what `tidyName` leaves out left out. */
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
  PAH16: ['pah', 'pahs', 'pah 16', 'sum of 16 pah', 'hap16', 'hap'],
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

/** A symbol behind a name says the same again: `lead (Pb)`. That all of it was measured is what a limit means. */
const tidyName = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/^total |,? total$/g, '')
    .replace(/ \((?!vi\))[a-z0-9+]{1,4}\)$/, '');

const CANONICAL: ReadonlyMap<string, string> = new Map(
  Object.entries(SYNONYMS).flatMap(([analyte, names]) =>
    [analyte.toLowerCase(), ...names].map((name) => [name, analyte] as const),
  ),
);

/** The name that limits use for what a sheet calls so; one that is not known stays as it is, in lower case. */
export function analyteOf(name: string): string {
  const tidy = tidyName(name);
  return CANONICAL.get(tidy) ?? CANONICAL.get(name.trim().toLowerCase()) ?? tidy;
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
