import fc from 'fast-check';
import { assessLimits, type LabResult, type LabSample, type LabLimit } from './limits';
import { findLimitSet, LIMIT_SETS, listAnalytes } from './limit-sets';

const figure = (
  analyte: string,
  n: number,
  unit: string,
  rest: Partial<LabResult> & { mark?: '<' | '>' } = {},
): LabResult => ({
  analyte,
  value: { is: 'figure', n, mark: rest.mark ?? null },
  unit,
  basis: 'dry',
  ...('basis' in rest ? { basis: rest.basis ?? null } : {}),
});
const sample = (results: LabResult[], change: Partial<LabSample> = {}): LabSample => ({
  id: 's1',
  at: 1,
  solidsPct: null,
  results,
  ...change,
});
const lead: LabLimit = {
  analyte: 'Pb',
  unit: 'mg/kg',
  basis: 'dry',
  ask: { kind: 'max', limit: 150 },
};
const of = (limit: LabLimit, ...samples: LabSample[]) => assessLimits(limit, samples).standing;

test.each<[string, LabResult | null, number | null, string]>([
  ['at the limit', figure('Pb', 150, 'mg/kg'), null, 'met'],
  ['over it', figure('Pb', 150.1, 'mg/kg'), null, 'not-met'],
  ['< 5', figure('Pb', 5, 'mg/kg', { mark: '<' }), null, 'met'],
  ['< 200', figure('Pb', 200, 'mg/kg', { mark: '<' }), null, 'unknown'],
  ['> 150', figure('Pb', 150, 'mg/kg', { mark: '>' }), null, 'not-met'],
  ['> 100', figure('Pb', 100, 'mg/kg', { mark: '>' }), null, 'unknown'],
  ['in another unit of mass share', figure('Pb', 0.1, 'g/kg'), null, 'met'],
  ['by name, in %', figure('lead', 0.02, '%'), null, 'not-met'],
  ['by name and symbol', figure('Lead (Pb)', 0.014, '% m/m'), null, 'met'],
  ['in a unit that is no share of mass', figure('Pb', 0.1, 'mg/l'), null, 'unknown'],
  ['by a name that nobody knows', figure('leads', 10, 'mg/kg'), null, 'unknown'],
  ['with no basis', figure('Pb', 10, 'mg/kg', { basis: null }), null, 'unknown'],
  ['fresh with no solids', figure('Pb', 60, 'mg/kg', { basis: 'fresh' }), null, 'unknown'],
  ['fresh: 60 at 40 % solids is 150 dry', figure('Pb', 60, 'mg/kg', { basis: 'fresh' }), 40, 'met'],
  [
    'fresh: 61 at 40 % solids is 152.5 dry',
    figure('Pb', 61, 'mg/kg', { basis: 'fresh' }),
    40,
    'not-met',
  ],
  ['no result', null, null, 'unknown'],
])('lead %s', (_, result, solidsPct, standing) =>
  expect(of(lead, sample(result ? [result] : [], { solidsPct }))).toBe(standing),
);

test('less than a limit is not at it', () => {
  const salmonella: LabLimit = {
    ...{ analyte: 'Salmonella', unit: 'MPN/4 g', basis: 'dry' },
    ask: { kind: 'max', limit: 3, below: true },
  };
  const by = (n: number, mark?: '<') =>
    of(salmonella, sample([figure('Salmonella', n, 'MPN/4 g', mark ? { mark } : {})]));
  expect([by(3), by(2.9), by(3, '<')]).toEqual(['not-met', 'met', 'met']);
});

test('the latest sample counts, and in it the worst result', () => {
  const old = sample([figure('Pb', 900, 'mg/kg')]);
  const fresh = sample([figure('Pb', 20, 'mg/kg')], { id: 's2', at: 2 });
  const mixed = sample([figure('Pb', 20, 'mg/kg'), figure('Pb', 160, 'mg/kg')], {
    id: 's3',
    at: 3,
  });
  const other = sample([figure('Zn', 1, 'mg/kg')], { id: 's4', at: 4 });
  expect(of(lead, old, fresh)).toBe('met');
  expect(of(lead, fresh, mixed)).toBe('not-met');
  expect(of(lead, old, fresh, other)).toBe('met');
});

test('a plan of five: none above M, so many above m (EU 2019/1009, from memory)', () => {
  const ecoli: LabLimit = {
    ...{ analyte: 'E. coli', unit: 'CFU/g', basis: null },
    ask: { kind: 'plan', n: 5, c: 2, m: 100, M: 1000 },
  };
  const by = (...list: number[]) =>
    of(ecoli, sample(list.map((n) => figure('E. coli', n, 'CFU/g'))));
  expect(by(10, 10, 10, 500, 500)).toBe('met');
  expect(by(10, 10, 500, 500, 500)).toBe('not-met');
  expect(by(10, 1001)).toBe('not-met');
  expect(by(10, 10, 10, 10)).toBe('unknown');
});

test('fecal and faecal coliforms, Pb and pb, are the same', () => {
  const set = findLimitSet('us-503-32-class-a')!.limits;
  for (const name of ['fecal coliforms', 'Faecal coliforms '])
    expect(assessLimits(set, [sample([figure(name, 20, 'MPN/g')])]).standing).toBe('met');
  expect(of(lead, sample([figure('pb', 20, 'mg/kg')]))).toBe('met');
});

test('one of two is enough for class A (40 CFR 503.32, from memory), and nothing is unknown', () => {
  const set = findLimitSet('us-503-32-class-a')!.limits;
  const coliforms = (n: number) => figure('faecal coliforms', n, 'MPN/g');
  const salmonella = (n: number) => figure('Salmonella', n, 'MPN/4 g');
  const by = (...results: LabResult[]) => assessLimits(set, [sample(results)]).standing;
  expect(by(coliforms(999))).toBe('met');
  expect(by(coliforms(5000))).toBe('unknown');
  expect(by(coliforms(5000), salmonella(5))).toBe('not-met');
  expect(by(coliforms(5000), salmonella(1))).toBe('met');
  expect(assessLimits({ allOf: [] }, []).standing).toBe('unknown');
  expect(assessLimits({ anyOf: [] }, []).standing).toBe('unknown');
});

test('a worse figure never stands better, and a figure hidden is never surer', () => {
  const rank = { met: 0, unknown: 1, 'not-met': 2 } as const;
  fc.assert(
    fc.property(
      fc.float({ min: 0, max: 400, noNaN: true }),
      fc.float({ min: 0, max: 200, noNaN: true }),
      (n, more) => {
        const by = (x: number) => of(lead, sample([figure('Pb', x, 'mg/kg')]));
        expect(rank[by(n + more)]).toBeGreaterThanOrEqual(rank[by(n)]);
        const hidden = of(lead, sample([figure('Pb', n, 'mg/kg', { mark: '<' })]));
        if (hidden !== 'unknown') expect(hidden).toBe('met');
      },
    ),
  );
});

describe('figures of documents, each by its name', () => {
  const figureIn = (id: string, analyte: string): unknown => {
    const line = assessLimits(findLimitSet(id)!.limits, []).lines.find(
      (l) => l.limit.analyte === analyte,
    );
    return line?.limit.ask.kind === 'max' ? line.limit.ask.limit : undefined;
  };
  test.each([
    ['us-503-13-table-3', { As: 41, Cd: 39, Pb: 300, Zn: 2800 }],
    ['ccme-2005-a', { As: 13, Cd: 3, Hg: 0.8, Zn: 700 }],
    ['eu-2019-1009-pfc-3a', { Cd: 2, 'Cr VI': 2, Pb: 120, Zn: 800 }],
    ['uk-pas-100', { Cd: 1.5, Cr: 100, Ni: 50, Zn: 400 }],
  ])('%s, from memory', (id, figures) => {
    for (const [analyte, limit] of Object.entries(figures))
      expect(figureIn(id, analyte)).toBe(limit);
  });
  test('every set names its document, section and year, and says that it is from memory', () => {
    for (const s of LIMIT_SETS) {
      expect([s.document.length, s.section.length, s.year]).toEqual([
        expect.any(Number),
        expect.any(Number),
        expect.any(Number),
      ]);
      expect(s.fromMemory).toBe(true);
    }
    expect(new Set(LIMIT_SETS.map((s) => s.id)).size).toBe(LIMIT_SETS.length);
    expect(listAnalytes().length).toBeGreaterThan(20);
  });
});
