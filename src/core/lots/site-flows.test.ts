import { barrows, entry, load, NOW } from '../../../tests/support/store';
import { traceUnheated } from '../flow/trace';
import type { Entry, EntryKind } from '../log/entry';
import { foldStore } from '../mix/store';
import { MS } from '../quantity/instant';
import { flowSiteOf, isScreeningLot, screeningLotOf } from './site-flows';

/**
 * Each act that moves matter is a flow, once (contract of lots, section 1): building, adding, joining, splitting, carrying over, moving
 * to cure, screening, returning overs, leachate, using, selling. Clean water is none.
 */
const [A, B] = ['0190aaaa-0000-7000-8000-00000000000a', '0190aaaa-0000-7000-8000-00000000000b'];
const LOT = '0190aaaa-0000-7000-8000-00000000000c';
const FINES = '0190aaaa-0000-7000-8000-00000000000d';

/** An entry whose id is the lot that it begins. */
const begins = (id: string, kind: EntryKind, data: object, hoursAgo: number, batch = id): Entry =>
  ({ ...entry(kind, data, hoursAgo, batch), id }) as unknown as Entry;
const openedAs = (batch: string, more: object = {}): Entry[] => [
  begins(batch, 'opened', { code: 'A', method: 'turned', points: [], rules: [], ...more }, 100),
  entry('built', {}, 99, batch),
];
const LOTS: readonly Entry[] = [
  ...openedAs(A, { volumeM3: 2 }),
  ...openedAs(B, { volumeM3: 1 }),
  { ...entry('lot', { kind: 'curing', name: 'North bay' }, 90), id: LOT } as unknown as Entry,
  { ...entry('lot', { kind: 'fines', name: 'Fines' }, 90), id: FINES } as unknown as Entry,
];
const siteOf = (...acts: Entry[]) => {
  const entries = [...LOTS, ...acts];
  return flowSiteOf(entries, foldStore(entries), []);
};
/** What an act adds to the flows, without its own id. */
function flowsOf(act: Entry): object[] {
  const before = new Set(siteOf().flows.map((f) => f.id));
  return siteOf(act)
    .flows.filter((f) => !before.has(f.id))
    .map(({ id: _id, at: _at, ...flow }) => flow);
}
const flow = (
  from: string | null,
  to: string | null,
  litres: number | null,
  more: { all?: boolean; clean?: boolean } = {},
): object => ({ from, to, litres, all: false, clean: false, ...more });

test('what was built of things that nobody logged came in from outside, as much as there was', () =>
  expect(siteOf().flows.map(({ from, to, litres }) => [from, to, litres])).toEqual([
    [null, A, 2000],
    [null, B, 1000],
  ]));

test.each<[string, Entry, object[]]>([
  [
    'added from outside, an amount that nobody knows',
    entry('addition', { what: 'coffee grounds', raw: true }, 50, A),
    [flow(null, A, null)],
  ],
  [
    'added from outside, finished compost',
    entry('addition', { what: 'compost', raw: false, litres: 40 }, 50, A),
    [flow(null, A, 40, { clean: true })],
  ],
  [
    'added out of another batch: told by the end that it left',
    entry('addition', { what: 'core', raw: true, litres: 40, from: B }, 50, A),
    [],
  ],
  [
    'joined: all of the other batch',
    entry('merge', { from: B, withProven: false, volumeM3: 0.8 }, 50, A),
    [flow(B, A, 800, { all: true })],
  ],
  [
    'joined with what is not on this site',
    entry('merge', { withProven: false }, 50, A),
    [flow(null, A, null)],
  ],
  ['split', entry('split', { to: B, volumeM3: 0.5 }, 50, A), [flow(A, B, 500)]],
  ['carried over', entry('transfer', { what: 'core', to: B, litres: 30 }, 50, A), [flow(A, B, 30)]],
  [
    'carried over to nobody knows where',
    entry('transfer', { what: 'core', litres: 30 }, 50, A),
    [flow(A, null, 30)],
  ],
  ['clean water', entry('water', { litres: 200, clean: true }, 50, A), []],
  ['pond water', entry('water', { litres: 200, clean: false }, 50, A), [flow(null, A, 200)]],
  [
    'given up',
    entry('ended', { reason: 'discarded' }, 50, A),
    [flow(A, null, null, { all: true })],
  ],
  ['finished: it stays where it is', entry('ended', { reason: 'finished' }, 50, A), []],
  ['put to cure where it lies', entry('cure', {}, 50, A), []],
  [
    'put to cure as a whole',
    entry('cure', { to: LOT }, 50, A),
    [flow(A, LOT, null, { all: true })],
  ],
  [
    'a part is put to cure',
    entry('cure', { to: LOT, litres: 300, all: false }, 50, A),
    [flow(A, LOT, 300)],
  ],
  [
    'moved from lot to lot',
    entry('lot-move', { from: LOT, to: FINES, litres: 20, all: false }, 50),
    [flow(LOT, FINES, 20)],
  ],
  [
    'all of a lot goes out',
    entry('lot-out', { lot: FINES, how: 'used', all: true }, 50),
    [flow(FINES, null, null, { all: true })],
  ],
  [
    'a batch is moved onto itself',
    entry('transfer', { what: 'core', to: A, litres: 5 }, 50, A),
    [],
  ],
  [
    'to a lot that is not here: it left this one all the same',
    entry('lot-move', { from: LOT, to: '0190aaaa-0000-7000-8000-0000000000ff', all: true }, 50),
    [flow(LOT, null, null, { all: true })],
  ],
])('%s', (_what, act, flows) => expect(flowsOf(act)).toEqual(flows));

test('the screen: a flow in for each input, one out for each output, and what is left is the loss', () => {
  const act = entry(
    'screening',
    {
      inputs: [{ lot: LOT, litres: 500, all: true }],
      outputs: [{ lot: FINES, litres: 300 }],
      rejectsL: 50,
    },
    50,
  );
  const run = screeningLotOf(act.id);
  expect(isScreeningLot(run)).toBe(true);
  expect(isScreeningLot(act.id)).toBe(false);
  expect(siteOf(act).lots).toContainEqual({ id: run, kind: 'product' });
  expect(flowsOf(act)).toEqual([
    flow(LOT, run, 500, { all: true }),
    flow(run, FINES, 300),
    flow(run, null, 50),
    flow(run, null, null, { all: true }),
  ]);
});

describe('volumes that were measured', () => {
  test('a size that was logged is the volume then', () => {
    const { levels } = siteOf(entry('size', { volumeM3: 1.5 }, 40, A));
    expect(levels).toEqual([{ lot: A, at: NOW - 40 * MS.hour, litres: 1500 }]);
  });
  test('of two at one moment the later entry stands', () => {
    const { levels } = siteOf(
      entry('lot-size', { lot: LOT, litres: 400 }, 40),
      entry('lot-size', { lot: LOT, litres: 350 }, 40),
    );
    expect(levels).toEqual([{ lot: LOT, at: NOW - 40 * MS.hour, litres: 350 }]);
  });
  test('of a lot that is not here nothing is known', () =>
    expect(siteOf(entry('lot-size', { lot: 'elsewhere', litres: 400 }, 40)).levels).toEqual([]));
});

test('a load that was brought in goes out by what is left of it, or all at once', () => {
  const taken = load('hay', barrows(10), {}, 80);
  const gone = entry('load-change', { load: taken.id, gone: 'thrown out' }, 30);
  const { flows, lots } = siteOf(taken, gone);
  expect(lots).toContainEqual({ id: taken.id, kind: 'load' });
  const own = flows.filter((f) => f.from === taken.id || f.to === taken.id);
  expect(own.map(({ from, to, litres, all }) => [from, to, litres, all])).toEqual([
    [null, taken.id, 900, false],
    [taken.id, null, null, true],
  ]);
});

test('a struck act is no flow, and a struck batch leaves the flow of the one that is there', () => {
  const split = entry('split', { to: B, volumeM3: 0.5 }, 50, A);
  const struck = entry('correction', { target: split.id, reason: 'twice' }, 40, A);
  expect(siteOf(split, struck).flows).toEqual(siteOf().flows);
});

test('nothing is made and nothing is lost on the way: what came in is there, or went out', () => {
  const site = siteOf(
    entry('split', { to: B, volumeM3: 0.5 }, 60, A),
    entry('cure', { to: LOT, litres: 900, all: false }, 50, A),
    entry('lot-move', { from: LOT, to: FINES, litres: 200, all: false }, 45),
    entry('lot-out', { lot: FINES, how: 'used', litres: 150, all: false }, 40),
  );
  const { lots } = traceUnheated(site, null);
  const litres = [A, B, LOT, FINES].map((id) => lots.find((l) => l.lot === id)?.litres ?? NaN);
  expect(litres).toEqual([600, 1500, 700, 50]);
  expect(litres.reduce((sum, v) => sum + v, 0)).toBe(2000 + 1000 - 150);
});
