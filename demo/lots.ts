import type { NewEntry } from '@/core/log/entry';
import { MS } from '@/core/quantity/instant';
import { idAt } from '@/platform/ids';

/** The second half of the made-up site: two batches that were moved to cure, and what became of them. */

type Laid = { readonly entry: NewEntry; readonly recordedAt: number };
/** The two batches that went to cure, with when they were built. */
type CuredHeaps = Readonly<Record<'N' | 'O', { readonly id: string; readonly builtAt: number }>>;

/** Days after building at which each was moved to cure; its rounds end there. */
export const MOVED_TO_CURE_DAYS = { N: 40, O: 40 } as const;

/** @param working the nearest moment at which people are on the site */
export function lotEntries(
  now: number,
  heaps: CuredHeaps,
  building: string,
  working: (at: number) => number,
): Laid[] {
  const laid: Laid[] = [];
  const add = (
    daysAgo: number,
    who: string,
    kind: NewEntry['kind'],
    data: object,
    batch: string | null = null,
  ): string => {
    const at = Math.round(working(now - daysAgo * MS.day));
    const id = idAt(at);
    laid.push({
      entry: { id, batch, at, by: who, kind, data } as NewEntry,
      recordedAt: Math.min(now, at + 3 * MS.minute),
    });
    return id;
  };
  const daysAgo = (code: 'N' | 'O'): number =>
    (now - heaps[code].builtAt) / MS.day - MOVED_TO_CURE_DAYS[code];
  const [first, second] = [daysAgo('N'), daysAgo('O')];
  const curing = add(first + 0.01, 'Mo', 'lot', {
    kind: 'curing',
    code: 'C1',
    name: 'the long pile',
    where: 'Curing pad',
  });
  const move = (code: 'N' | 'O', at: number, litres: number): void => {
    const batch = heaps[code].id;
    add(at, 'Mo', 'cure', { to: curing, all: true, litres }, batch);
    add(at - 0.001, 'Mo', 'ended', { reason: 'curing', lot: curing }, batch);
  };
  move('N', first, 2600);
  move('O', second, 1900);
  lookAt(add, curing, first);
  testCuring(add, curing, now, working);
  const [fines, overs] = screen(add, curing);
  sendOut(add, { fines, overs, building });
  return laid;
}

type Add = (
  daysAgo: number,
  who: string,
  kind: NewEntry['kind'],
  data: object,
  batch?: string | null,
) => string;

/** A look each week, watered once; the last one is overdue. */
function lookAt(add: Add, lot: string, from: number): void {
  for (let ago = from - 7; ago > 8; ago -= 7)
    add(ago, 'Sam', 'lot-look', {
      lot,
      squeeze: ago > 24 && ago < 31 ? 'holds' : 'drops',
      smell: 'earthy',
      cover: 'on',
      ...(ago > 24 && ago < 31 ? { waterL: 120 } : {}),
    });
  add(33.3, 'Mo', 'lot-size', { lot, litres: 4100 });
}

/** Weeds that came up in a tray; a reheat test that shows nothing, one that passed; seeds, seedlings, a bag; a laboratory. */
function testCuring(add: Add, lot: string, now: number, working: (at: number) => number): void {
  const reheat = (
    ago: number,
    rises: readonly number[],
    { air = true, squeeze = 'drops' }: { air?: boolean; squeeze?: 'drops' | 'crumbles' } = {},
  ): void => {
    const at = Math.round(working(now - ago * MS.day));
    const readings = rises.map((rise, i) => ({ at: at + (i + 0.95) * MS.day, rise }));
    const begun = add(ago, 'Jo', 'maturity-test', {
      lot,
      ended: false,
      values: {
        kind: 'reheat',
        turnedAt: at,
        squeezes: [{ at, squeeze }],
        moistures: [],
        volumeM3: 4,
        core: [],
        air: [],
      },
    });
    for (const [i, r] of readings.entries())
      add(ago - i - 0.95, 'Jo', 'maturity-test', {
        test: begun,
        lot,
        ended: i === readings.length - 1,
        values: {
          ...{ kind: 'reheat', turnedAt: null, squeezes: [], moistures: [], volumeM3: null },
          core: [{ at: r.at, c: 14 + r.rise }],
          air: air ? [{ at: r.at, c: 14 }] : [],
        },
      });
  };
  reheat(34, [4, 5, 4, 3], { air: false, squeeze: 'crumbles' });
  reheat(21, [5, 7, 6, 4, 3]);
  const test = (start: number, end: number, begun: object, found: object): void => {
    const id = add(start, 'Mo', 'maturity-test', { lot, ended: false, values: begun });
    add(end, 'Mo', 'maturity-test', { test: id, lot, ended: true, values: found });
  };
  const tray = { kind: 'sprout', litres: null, seedlings: null, kept: null };
  test(43, 31, { ...tray, litres: 3 }, { ...tray, seedlings: 2, kept: true });
  const bag = { kind: 'bag', moist: null, smell: null, puffed: null };
  test(24, 20.8, { ...bag, moist: true }, { ...bag, smell: 'earthy', puffed: false });
  const seeds = { kind: 'germination', extract: null, control: null };
  test(22, 16.9, seeds, {
    kind: 'germination',
    extract: { seeds: 25, germinated: 22, rootMm: 34 },
    control: { seeds: 25, germinated: 24, rootMm: 37 },
  });
  const pots = (clear: number) => ({ pots: 4, sown: 20, up: 20, clear, slight: 0 });
  const none = { kind: 'seedlings', compost: null, control: null };
  test(37, 21.5, none, { kind: 'seedlings', compost: pots(0), control: pots(0) });
  drawSample(add, lot);
}

function drawSample(add: Add, lot: string): void {
  const sample = add(22.4, 'Mo', 'lab-sample', {
    lot,
    laboratory: 'Weald soil laboratory',
    composite: 15,
    places: 'along both sides, at three depths',
  });
  const metal = (analyte: string, n: number) => ({
    analyte,
    value: { is: 'figure', n, mark: null },
    unit: 'mg/kg',
    basis: 'dry',
  });
  add(12.4, 'Mo', 'lab-report', {
    sample,
    solidsPct: 58,
    results: [
      ...[metal('As', 5.1), metal('Cd', 0.4), metal('Cu', 62), metal('Pb', 38), metal('Ni', 17)],
      ...[metal('Zn', 190), metal('Se', 0.6)],
      { ...metal('Hg', 0.05), value: { is: 'figure', n: 0.05, mark: '<' } },
      {
        analyte: 'fecal coliforms',
        value: { is: 'figure', n: 310, mark: null },
        unit: 'MPN/g',
        basis: 'dry',
      },
    ],
  });
}

function screen(add: Add, from: string): readonly [fines: string, overs: string] {
  const fines = add(14.52, 'Sam', 'lot', { kind: 'fines', code: 'F1', where: 'Dry store' });
  const overs = add(14.51, 'Sam', 'lot', { kind: 'overs', code: 'V1', where: 'Stock bay C' });
  add(14.5, 'Sam', 'screening', {
    inputs: [{ lot: from, litres: 2400, all: false }],
    meshMm: 9.5,
    wetness: 'moist',
    outputs: [
      { lot: fines, litres: 1650 },
      { lot: overs, litres: 560 },
    ],
    rejectsL: 20,
    hours: 3,
    people: 2,
    machine: 'Trommel',
  });
  add(14.3, 'Sam', 'lot-look', { lot: fines, cover: 'on', squeeze: 'drops', smell: 'earthy' });
  return [fines, overs];
}

/** Released, spread, sold; a seedling test of the fines puts it in question; a recall was rehearsed. */
function sendOut(
  add: Add,
  { fines, overs, building }: { fines: string; overs: string; building: string },
): void {
  add(12.2, 'Mo', 'lot-decision', {
    lot: fines,
    decision: 'released',
    uses: ['growing-beds', 'given-away'],
    reasons: [],
    from: null,
    words: 'Tests passed on the long pile before it was screened.',
  });
  add(11.3, 'Jo', 'lot-out', {
    lot: fines,
    how: 'bed',
    use: 'growing-beds',
    litres: 600,
    all: false,
    bed: { name: 'Squash bed', areaM2: 12, depthM: 0.05, crop: 'squash' },
  });
  const sold = add(8.2, 'Mo', 'lot-out', {
    lot: fines,
    how: 'given',
    use: 'given-away',
    litres: 300,
    all: false,
    party: 'Allotment group',
  });
  add(6.3, 'Jo', 'lot-out', {
    lot: fines,
    how: 'shared',
    use: 'given-away',
    litres: 60,
    all: false,
    party: 'Livery yard',
    grade: 'fine',
  });
  add(3.1, 'Mo', 'lot-outcome', {
    out: sold,
    found: 'weeds',
    words: 'Two bindweed shoots in a barrow of it.',
  });
  const mix = add(7.4, 'Jo', 'lot', {
    kind: 'product',
    code: 'P1',
    name: 'potting mix',
    where: 'Dry store',
  });
  add(7.39, 'Jo', 'lot-move', { from: fines, to: mix, litres: 240, all: false });
  // Overs go back into a raw batch, with their history.
  add(
    0.28,
    'Sam',
    'charge',
    {
      parts: [{ material: 'overs', lot: overs, amount: { in: 'litres', n: 90 } }],
      words: 'Overs of the long pile, as a starter.',
    },
    building,
  );
  add(6.2, 'Mo', 'recall', {
    lots: [fines],
    rehearsal: true,
    reason: 'F1: who has it?',
    tookS: 94,
    ...{ taggedL: 1650, hereL: 750, outL: 900, outs: 2 },
  });
  const none = { kind: 'seedlings', compost: null, control: null };
  const begun = add(10.1, 'Jo', 'maturity-test', { lot: fines, ended: false, values: none });
  add(1.2, 'Jo', 'maturity-test', {
    test: begun,
    lot: fines,
    ended: false,
    words: 'Cupped leaves on two bean plants.',
    values: {
      kind: 'seedlings',
      compost: { pots: 4, sown: 20, up: 20, clear: 2, slight: 1 },
      control: { pots: 4, sown: 20, up: 20, clear: 0, slight: 0 },
    },
  });
}
