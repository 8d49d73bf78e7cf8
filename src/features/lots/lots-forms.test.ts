import { asSpeaker } from '../../../tests/support/speech';
import type { Flow } from '@/core/flow/site-file';
import { TestValuesSchema } from '@/core/log/test-shapes';
import { assessTest, USUAL_TEST_LIMITS, type MaturityTest } from '@/core/maturity/outcome';
import { parseEntryForm } from '@/entry/input';
import { graphOfFlows } from './flow-drawing';
import { seasonView } from './season-view';
import { layOutFlows } from './server/lay-out-flows';
import { emptyValues, readValues, valuesMissing, type TestDraft } from './test-draft';
import { readLabCsv, resultOf } from './ui/lab-draft';

/** What is typed into the forms of lots, and what it stands for. */

const draft = (change: Partial<TestDraft>): TestDraft => ({ ...emptyValues, ...change });
const ID = '01a1ab24-d440-7388-a1d8-5bef6f1bf167';
const NOW = Date.UTC(2026, 9, 25, 12);

describe('a reading of a test', () => {
  test('is given the time of its entry by the door, and so is the turning at its start', () => {
    const values = readValues(
      'reheat',
      draft({ turned: 'yes', squeeze: 'drops', core: '21', air: '14', volume: '1.5' }),
      true,
    );
    const parsed = parseEntryForm(
      {
        ...{ id: ID, batch: null, kind: 'maturity-test', by: 'Jo' },
        at: '2026-10-24T07:30',
        data: { lot: ID, ended: false, values },
      },
      'Europe/London',
      NOW,
    );
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
    const at = Date.UTC(2026, 9, 24, 6, 30);
    expect(parsed.entry.data).toMatchObject({
      values: {
        turnedAt: at,
        core: [{ at, c: 21 }],
        air: [{ at, c: 14 }],
        squeezes: [{ at, squeeze: 'drops' }],
        volumeM3: 1.5,
      },
    });
  });
  test('that says it was not turned has no turning', () => {
    const values = readValues('reheat', draft({ turned: 'no', squeeze: 'drops' }), true);
    expect(values).toMatchObject({ turnedAt: null, core: [], air: [] });
  });
  test('is typed in °F and yd³ where those are read: 50 °F is 10 °C', () => {
    const values = asSpeaker({ system: 'us' }, () =>
      readValues('reheat', draft({ core: '68', air: '50', volume: '1' }), false),
    ) as { core: { c: number }[]; air: { c: number }[]; volumeM3: number };
    expect(values.core[0]?.c).toBeCloseTo(20, 9);
    expect(values.air[0]?.c).toBeCloseTo(10, 9);
    // 1 yd³ = 0.764554857984 m³ exactly (international yard, 1959).
    expect(values.volumeM3).toBeCloseTo(0.764554857984, 9);
  });
  test.each([
    ['flask', { core: '38', air: '20', adjusted: 'yes' }, 'pass'],
    ['sprout', { litres: '3', seedlings: '2', kept: 'yes' }, 'fail'],
    ['bag', { moist: 'yes', smell: 'earthy', puffed: 'no' }, 'pass'],
    ['looks', { recognisable: 'soft', smell: 'none' }, 'fail'],
    ['respiration', { figure: '3.2' }, 'pass'],
    [
      'germination',
      {
        seeds: '20',
        germinated: '19',
        rootMm: '38',
        seeds2: '20',
        germinated2: '19',
        rootMm2: '40',
      },
      'pass',
    ],
    [
      'seedlings',
      { pots: '3', sown: '12', up: '12', clear: '1', pots2: '3', sown2: '12', up2: '12' },
      'fail',
    ],
  ] as const)('%s: what is typed is enough for its outcome', (kind, typed, outcome) => {
    const d = draft(typed);
    expect(valuesMissing(kind, d, false)).toBeNull();
    const parsed = TestValuesSchema.parse(readValues(kind, d, false));
    const over: MaturityTest = { startedAt: NOW - 25 * 86_400_000, endedAt: NOW, values: parsed };
    // Looks are dated by their start.
    const dated = kind === 'looks' ? { ...over, startedAt: NOW } : over;
    expect(assessTest(dated, USUAL_TEST_LIMITS, NOW).outcome).toBe(outcome);
  });
  test('lacks what it needs in a sentence, and takes no letters for figures', () => {
    expect(valuesMissing('reheat', draft({}), true)).toMatch(/turning, the squeeze test/);
    expect(valuesMissing('flask', draft({ core: 'hot', air: '20' }), false)).toMatch(/numbers/);
  });
});

describe('results of a laboratory', () => {
  test.each([
    ['dry matter', 'dry'],
    ['DM', 'dry'],
    ['d.w.', 'dry'],
    ['As received', 'fresh'],
    ['fresh weight', 'fresh'],
    ['', ''],
    ['ash-free', 'not-understood'],
  ])('a basis ‘%s’ on a pasted sheet is %s', (basis, is) =>
    expect(readLabCsv(`analyte,value,unit,basis\nlead,12,mg/kg,${basis}`)[0]!.basis).toBe(is),
  );
  test('what a value is a share of is asked for where the sheet’s word is not understood', () =>
    expect(
      resultOf({ analyte: 'Pb', value: '12', unit: 'mg/kg', basis: 'not-understood' }),
    ).toBeNull());
  const line = (value: string) =>
    resultOf({ analyte: 'Pb', value, unit: 'mg/kg', basis: 'dry' })?.value;
  test.each([
    ['12.5', { is: 'figure', n: 12.5, mark: null }],
    ['12,5', { is: 'figure', n: 12.5, mark: null }],
    ['< 5', { is: 'figure', n: 5, mark: '<' }],
    ['>1000', { is: 'figure', n: 1000, mark: '>' }],
    ['absent', { is: 'found', present: false }],
    ['Not detected', { is: 'found', present: false }],
    ['detectado', { is: 'found', present: true }],
    ['low', undefined],
  ])('%s', (typed, value) => expect(line(typed)).toEqual(value));
  test('are read from a table by its header, in any order of columns', () => {
    const lines = readLabCsv(
      'unit,Analyte,VALUE,basis\nmg/kg,Pb,< 20,Dry\n25 g,Salmonella,absent,\n,,,',
    );
    expect(lines).toEqual([
      { analyte: 'Pb', value: '< 20', unit: 'mg/kg', basis: 'dry' },
      { analyte: 'Salmonella', value: 'absent', unit: '25 g', basis: '' },
    ]);
  });
  test('with no unit are none', () =>
    expect(resultOf({ analyte: 'Pb', value: '5', unit: '', basis: '' })).toBeNull());
});

describe('the drawing of flows', () => {
  const flow = (id: string, from: string, to: string | null, litres: number | null): Flow => ({
    ...{ id, at: 0, from, to, litres, all: false, clean: false },
  });
  const names = {
    nameOf: (id: string) => id.toUpperCase(),
    nameOfEnd: () => 'Bean row',
    carried: (id: string) => ({
      litres: id === 'x' ? null : 100,
      any: [1, 1] as const,
      raw: id === 'b' ? ([0.5, 0.5] as const) : ([0, 0] as const),
    }),
    kindOf: () => 'batch' as const,
  };
  test('goes from left to right, joins flows between the same ends, marks what is unheated or not known', () => {
    const flows = [
      flow('a', 'l', 'm', 100),
      flow('b', 'l', 'm', 100),
      flow('x', 'm', 'n', null),
      flow('o', 'n', null, 100),
    ];
    const drawing = layOutFlows(graphOfFlows(flows, names));
    const x = (name: string): number => drawing.nodes.find((n) => n.name === name)?.x ?? NaN;
    expect([x('L') < x('M'), x('M') < x('N'), x('N') < x('Bean row')]).toEqual([true, true, true]);
    expect(drawing.bands.map((b) => [b.litres, b.raw])).toEqual([
      [200, true],
      [null, false],
      [100, false],
    ]);
    expect(drawing.bands[0]!.width).toBeGreaterThan(drawing.bands[2]!.width);
  });
  test('folds what there is no room for into a count', () => {
    const many = Array.from({ length: 50 }, (_, i) => flow(`f${i}`, `l${i}`, 'm', 100));
    const drawing = layOutFlows(graphOfFlows(many, names));
    expect([drawing.nodes.length, drawing.folded]).toEqual([30, 21]);
  });
});

test('a season speaks in the units of its reader, and names what is missing', () => {
  const totals = {
    taken: [{ supplier: null, loads: 2, litres: 3000, unknown: 1 }],
    divertedKg: 0,
    out: [{ how: 'bed' as const, times: 1, litres: 1000, unknown: 0, income: 0 }],
    screened: { runs: 1, finesL: 600, oversL: 200, rejectsL: 0 },
    hours: { turning: 0, untimed: 0, screening: 4, goingOut: 0 },
    ...{ waterL: 0, cost: 60, income: 0, productPerM3: 333, costPerM3: 60, months: [] },
    missing: [{ what: 'loads' as const, n: 1 }],
  };
  const said = (system: 'metric' | 'us') =>
    asSpeaker({ system }, () =>
      JSON.stringify(seasonView(totals, [], { year: 2026, first: 2025, last: 2026 })),
    );
  expect(said('metric')).toMatch(/no supplier named, 2 loads.*3\.0 m³.*3 to 1.*60 per m³/);
  expect(said('us')).toMatch(/3\.9 yd³.*45\.87 per yd³/);
  expect(said('metric')).toMatch(/1 load has no known volume/);
});
