import type { Basis, LabLimit, LimitGroup } from './limits';

/**
 * Limits of documents, as data. Every figure is written from memory: compare it with the current text before it is relied on.
 */
export type LimitSet = {
  readonly id: string;
  readonly title: string;
  readonly document: string;
  readonly section: string;
  /** Null: a site's own set that names none. */ readonly year: number | null;
  /** Nobody has compared it with the document yet. */ readonly fromMemory: boolean;
  readonly limits: LimitGroup;
};

const max = (analyte: string, limit: number, unit: string, basis: Basis | null): LabLimit => ({
  ...{ analyte, unit, basis },
  ask: { kind: 'max', limit },
});
const below = (analyte: string, limit: number, unit: string, basis: Basis | null): LabLimit => ({
  ...{ analyte, unit, basis },
  ask: { kind: 'max', limit, below: true },
});
const absent = (analyte: string, unit: string): LabLimit => ({
  ...{ analyte, unit },
  basis: null,
  ask: { kind: 'absent' },
});
const plan = (
  analyte: string,
  unit: string,
  [n, c, m, M]: readonly [number, number, number, number],
): LabLimit => ({
  ...{ analyte, unit },
  basis: null,
  ask: { kind: 'plan', n, c, m, M },
});
/** Metals, mg/kg of dry matter. */
const metals = (figures: Readonly<Record<string, number>>): LabLimit[] =>
  Object.entries(figures).map(([analyte, limit]) => max(analyte, limit, 'mg/kg', 'dry'));

const SALMONELLA_MPN = below('Salmonella', 3, 'MPN/4 g', 'dry');
const FECAL_COLIFORMS = below('fecal coliforms', 1000, 'MPN/g', 'dry');

export const LIMIT_SETS: readonly LimitSet[] = [
  {
    id: 'us-503-13-table-3',
    title: '40 CFR 503.13, table 3: metals',
    document: '40 CFR Part 503, Standards for the Use or Disposal of Sewage Sludge',
    section: '503.13, table 3',
    year: 1993,
    fromMemory: true,
    limits: {
      allOf: metals({ As: 41, Cd: 39, Cu: 1500, Pb: 300, Hg: 17, Ni: 420, Se: 100, Zn: 2800 }),
    },
  },
  {
    id: 'us-503-32-class-a',
    title: '40 CFR 503.32, class A: pathogens',
    document: '40 CFR Part 503, Standards for the Use or Disposal of Sewage Sludge',
    section: '503.32(a)',
    year: 1993,
    fromMemory: true,
    limits: { anyOf: [FECAL_COLIFORMS, SALMONELLA_MPN] },
  },
  {
    id: 'us-112-55-a',
    title: '21 CFR 112.55(a): treated, Listeria, Salmonella, E. coli O157:H7',
    document: '21 CFR Part 112, Standards for Produce Safety',
    section: '112.55(a)',
    year: 2015,
    fromMemory: true,
    limits: {
      allOf: [
        below('Listeria monocytogenes', 1, 'CFU/5 g', null),
        below('Salmonella', 3, 'MPN/4 g', 'dry'),
        below('E. coli O157:H7', 0.3, 'MPN/g', null),
      ],
    },
  },
  {
    id: 'us-112-55-b',
    title: '21 CFR 112.55(b): composted, Salmonella and fecal coliforms',
    document: '21 CFR Part 112, Standards for Produce Safety',
    section: '112.55(b)',
    year: 2015,
    fromMemory: true,
    limits: { allOf: [SALMONELLA_MPN, FECAL_COLIFORMS] },
  },
  {
    id: 'ccme-2005-a',
    title: 'CCME 2005, category A',
    document: 'CCME PN 1340, Guidelines for Compost Quality',
    section: 'category A',
    year: 2005,
    fromMemory: true,
    limits: {
      allOf: [
        ...metals({
          As: 13,
          Cd: 3,
          Cr: 210,
          Co: 34,
          Cu: 400,
          Pb: 150,
          Hg: 0.8,
          Mo: 5,
          Ni: 62,
          Se: 2,
          Zn: 700,
        }),
        FECAL_COLIFORMS,
        SALMONELLA_MPN,
        max('foreign matter over 25 mm', 1, 'pieces/500 ml', null),
        absent('sharps over 3 mm', '500 ml'),
      ],
    },
  },
  {
    id: 'eu-2019-1009-pfc-3a',
    title: 'EU 2019/1009, PFC 3(A): organic soil improver',
    document: 'Regulation (EU) 2019/1009, EU fertilising products',
    section: 'Annex I, PFC 3(A); Annex II, CMC 3',
    year: 2019,
    fromMemory: true,
    limits: {
      allOf: [
        ...metals({
          Cd: 2,
          'Cr VI': 2,
          Hg: 1,
          Ni: 50,
          Pb: 120,
          'inorganic As': 40,
          Cu: 300,
          Zn: 800,
        }),
        max('PAH16', 6, 'mg/kg', 'dry'),
        plan('Salmonella', '25 g', [5, 0, 0, 0]),
        plan('E. coli', 'CFU/g', [5, 5, 0, 1000]),
        ...['glass', 'metal', 'plastics'].map((a) => max(`${a} over 2 mm`, 3, 'g/kg', 'dry')),
        max('impurities over 2 mm', 5, 'g/kg', 'dry'),
      ],
    },
  },
  {
    id: 'uk-pas-100',
    title: 'PAS 100:2018',
    document: 'BSI PAS 100, Specification for composted materials',
    section: 'minimum quality, table 1',
    year: 2018,
    fromMemory: true,
    limits: {
      allOf: [
        max('E. coli', 1000, 'CFU/g', 'fresh'),
        absent('Salmonella', '25 g'),
        ...metals({ Cd: 1.5, Cr: 100, Cu: 200, Pb: 200, Hg: 1, Ni: 50, Zn: 400 }),
        max('respiration', 16, 'mg CO2/g OM/d', null),
        max('glass, metal, plastic over 2 mm', 0.25, '% m/m', 'dry'),
        max('stones over 4 mm', 8, '% m/m', 'dry'),
        max('weed seedlings', 0, 'per L', null),
      ],
    },
  },
];

/** The set of an id; undefined: none of ours. @param own sets that the site wrote itself */
export const findLimitSet = (id: string, own: readonly LimitSet[] = []): LimitSet | undefined =>
  [...own, ...LIMIT_SETS].find((s) => s.id === id);

/** The limits of a group, one by one. */
export const listLimits = (group: LimitGroup): readonly LabLimit[] =>
  'analyte' in group
    ? [group]
    : ('allOf' in group ? group.allOf : group.anyOf).flatMap((g) => listLimits(g));

/** Each analyte with its unit, once, as the sets ask for it: what a form may offer. @param own sets of the site's own */
export function listAnalytes(own: readonly LimitSet[] = []): {
  readonly analyte: string;
  readonly unit: string;
  readonly basis: Basis | null;
}[] {
  const all = [...own, ...LIMIT_SETS].flatMap((s) => listLimits(s.limits));
  const seen = new Set<string>();
  return all.flatMap(({ analyte, unit, basis }) => {
    const key = `${analyte} ${unit}`;
    if (seen.has(key)) return [];
    seen.add(key);
    return [{ analyte, unit, basis }];
  });
}
