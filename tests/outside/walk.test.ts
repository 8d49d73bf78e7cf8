import fc from 'fast-check';
import { evidenceOf } from '@/core/formats/batch-file';
import { batchFileOf } from '@/core/formats/batch-file-of';
import type { Entry } from '@/core/log/entry';
import { foldBatch, foldSite } from '@/core/log/fold';
import { prepare } from '@/core/evidence/verdict';
import { parseEntryForm, type EntryForm } from '@/entry/input';
import { logLines } from '@/features/log/view';
import { numberIn, rangeIn, appendKey } from '@/features/round/pad';
import type { RoundHeap, OfflineRoundData } from '@/features/round/offline-round-data';
import {
  doneElsewhere,
  entriesOf,
  finishHeap,
  isDone,
  keepAir,
  keepReading,
  leaveHeap,
  leavePlace,
  nextHeap,
  nextPlace,
  openHeap,
  readSoFar,
  setFeel,
  standing,
  startWalk,
  takeBack,
  unfinished,
  type KeptReading,
  type Out,
  type RoundWalk,
} from '@/features/round/round-walk';
import { v7 } from 'uuid';

/** The walk over a site as a phone keeps it, and what the hub makes of what it sends. */
const NOW = Date.UTC(2026, 10, 23, 9);
const MIN = 60_000;
const [E, L, A] = [v7(), v7(), v7()];
const places = (['core', 'middle', 'middle', 'edge', 'edge'] as const).map((zone, i) => ({
  id: `P${i + 1}`,
  label: `P${i + 1} ${zone}`,
  zone,
  last: null,
}));
const heap = (id: string, name: string, more: Partial<RoundHeap> = {}): RoundHeap => ({
  id,
  code: name[0]!,
  name,
  place: '',
  reason: '',
  due: true,
  notNow: null,
  picture: {} as RoundHeap['picture'],
  shape: 'dome',
  coreDepthM: 0.9,
  lengthM: null,
  minPoints: 3,
  floorC: 55,
  probe: 'T2',
  places,
  doubts: [],
  walk: null,
  danger: null,
  ...more,
});
const data: OfflineRoundData = {
  now: NOW,
  site: { name: 'Hopyard Corner', timeZone: 'Europe/London' },
  unit: 'C',
  by: 'Mo',
  walk: { id: 'w1', openSince: null },
  manualOrder: false,
  heaps: [heap(A, 'Avocet'), heap(E, 'Egret'), heap(L, 'Lapwing')],
  instruments: [],
  air: null,
};
const begin = (
  more: Partial<Parameters<typeof startWalk>[2]> = {},
  now = NOW,
  s = data,
): RoundWalk =>
  startWalk(
    s,
    now,
    { order: [A, E, L], probe: 'T2', by: 'Mo', single: false, ended: [], ...more },
    v7,
  );
const read = (
  value: number,
  more: Partial<KeptReading> = {},
): Omit<KeptReading, 'id' | 'out' | 'probe'> => ({
  value,
  unit: 'C',
  at: NOW + MIN,
  settledS: 31,
  marks: [],
  doubts: [],
  ...more,
});
const withFive = (walk: RoundWalk, id: string, values: readonly number[]): RoundWalk =>
  values.reduce(
    (w, v, i) => keepReading(w, id, `P${i + 1}`, read(v, { at: NOW + i * MIN }), null),
    openHeap(walk, id, v7),
  );
/** The entries as the hub's log holds them, behind a heap that was opened and closed. */
function logged(outs: readonly Out[], at = NOW + 10 * MIN): Entry[] {
  const forms: EntryForm[] = [
    {
      id: E,
      batch: E,
      kind: 'opened',
      at: '2026-11-20T09:00:00Z',
      by: 'Mo',
      data: {
        code: 'E',
        method: 'turned',
        points: places.map(({ last: _last, ...p }) => p),
        rules: ['us-503-pfrp-turned'],
      },
    },
    { id: v7(), batch: E, kind: 'built', at: '2026-11-20T10:00:00Z', by: 'Mo', data: {} },
    ...outs.map((o) => o.form as EntryForm),
  ];
  return forms.map((f, seq) => {
    const p = parseEntryForm(f, 'Europe/London', at);
    if (!p.ok) throw new Error(JSON.stringify(p.problems));
    return { ...p.entry, seq, recordedAt: at, hash: '' } as Entry;
  });
}
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' as const };
const roundsOf = (entries: readonly Entry[]) =>
  prepare(evidenceOf(batchFileOf(foldBatch(entries), SITE, foldSite([]))!), NOW + 10 * MIN).rounds;

describe('a walk', () => {
  test('joins the walk that the sheet names, but not one that this device ended, nor from yesterday’s sheet', () => {
    expect(begin().id).toBe('w1');
    expect(begin({ ended: ['w1'] }).id).not.toBe('w1');
    expect(begin({}, NOW + 13 * 60 * MIN).id).not.toBe('w1');
  });
  test('goes from heap to heap, past those that another phone on the same walk has done', () => {
    const other = {
      ...data,
      heaps: data.heaps.map((h) =>
        h.id === A ? { ...h, walk: { id: 'w1', at: NOW, by: 'Jo', done: 'read' as const } } : h,
      ),
    };
    expect([nextHeap(begin(), data), nextHeap(begin(), other)]).toEqual([A, E]);
    expect(doneElsewhere(begin(), other, A)?.by).toBe('Jo');
    expect(isDone(begin({ ended: ['w1'] }), other, A)).toBe(false);
  });
  test('goes from place to place, back to those that were passed over', () => {
    let w = openHeap(begin(), E, v7);
    const h = heap(E, 'Egret');
    w = keepReading(w, E, 'P2', read(60), null);
    expect(nextPlace(h, w.heaps[E], 1)).toBe(2);
    w = leavePlace(w, E, 'P3', 'not-reachable');
    for (const p of ['P4', 'P5']) w = keepReading(w, E, p, read(60), null);
    expect(nextPlace(h, w.heaps[E], 4)).toBe(0);
    w = keepReading(w, E, 'P1', read(60), null);
    expect(nextPlace(h, w.heaps[E], 0)).toBeNull();
  });
  test('a heap is one round of the walk, in the hub’s log as in the hand', () => {
    const w = setFeel(withFive(begin(), E, [66.2, 63.4, 61, 57.2, 58]), E, {
      squeeze: 'holds',
      smell: 'none',
      sample: 'P4 edge',
    });
    const out = entriesOf(w, heap(E, 'Egret'), NOW + 6 * MIN);
    expect(out.map((o) => [o.form.kind, o.what])).toEqual([
      ['round', 'Egret: check of 5'],
      ['observation', 'Egret: moisture and smell'],
    ]);
    const entries = logged(out);
    expect(roundsOf(entries)).toMatchObject([
      { points: 5, value: 57.2, complete: true, first: NOW, time: NOW + 4 * MIN },
    ]);
    const lines = logLines(foldBatch(entries), {
      timeZone: 'Europe/London',
      unit: 'C',
      now: NOW + 10 * MIN,
    });
    expect(lines.map((l) => `${l.title} ${l.detail}`)).toEqual(
      expect.arrayContaining([
        'Temperature check of 5 points 57–66 °C',
        'Observed squeeze test: holds, no drops: a little dry, from P4 edge, smell: none',
      ]),
    );
  });
  test('two phones on one walk make one round of a heap; two that never met make two', () => {
    const half = (walk: RoundWalk, from: number, to: number): Out[] =>
      entriesOf(
        [1, 2, 3, 4, 5]
          .slice(from, to)
          .reduce(
            (w, p) => keepReading(w, E, `P${p}`, read(60 + p, { at: NOW + p * MIN }), null),
            openHeap(walk, E, v7),
          ),
        heap(E, 'Egret'),
        NOW,
      );
    expect(roundsOf(logged([...half(begin(), 0, 2), ...half(begin(), 2, 5)]))).toMatchObject([
      { points: 5, value: 61, complete: true },
    ]);
    expect(
      roundsOf(logged([...half(begin(), 0, 2), ...half(begin({ ended: ['w1'] }), 2, 5)])).map(
        (r) => r.points,
      ),
    ).toEqual([2, 3]);
  });
  test('a heap that is read again on the walk is a round of its own', () => {
    const once = finishHeap(withFive(begin(), E, [60, 60, 60, 60, 60]), E);
    const twice = withFive(once, E, [50, 50, 50, 50, 50]);
    expect(twice.heaps[E]!.ids.round).not.toBe(once.heaps[E]!.ids.round);
    expect(
      roundsOf(
        logged([
          ...entriesOf(once, heap(E, 'Egret'), NOW),
          ...entriesOf(twice, heap(E, 'Egret'), NOW),
        ]),
      ),
    ).toHaveLength(2);
  });
  test('read again, the first value stays, superseded, with the reason; taken back likewise', () => {
    let w = withFive(begin(), E, [66, 63, 61, 75.2, 58]);
    w = keepReading(w, E, 'P4', read(57.2), 'Typing mistake.');
    expect(standing(w.heaps[E], 'P4')?.value).toBe(57.2);
    w = takeBack(w, E, 'P5');
    expect(standing(w.heaps[E], 'P5')).toBeNull();
    const readings = entriesOf(w, heap(E, 'Egret'), NOW)[0]!.form.data.readings as {
      id: string;
      value: number;
      flag?: string;
      flagReason?: string;
    }[];
    expect(readings.filter((r) => r.flag).map((r) => [r.value, r.flag, r.flagReason])).toEqual([
      [75.2, 'superseded', 'Typing mistake.'],
      [58, 'superseded', 'Undone at once.'],
    ]);
    expect(new Set(readings.map((r) => r.id)).size).toBe(readings.length);
    expect(roundsOf(logged(entriesOf(w, heap(E, 'Egret'), NOW)))).toMatchObject([
      { points: 4, value: 57.2 },
    ]);
  });
  test('a range counts with its lower end and is shown as a range; a guess never looks exact', () => {
    let w = withFive(begin(), E, [66, 63]);
    w = keepReading(w, E, 'P3', read(55, { high: 59 }), null);
    w = keepReading(w, E, 'P4', read(57, { marks: ['rising'] }), null);
    w = keepReading(w, E, 'P5', read(58, { marks: ['about'] }), null);
    const entries = logged(entriesOf(w, heap(E, 'Egret'), NOW));
    expect(roundsOf(entries)).toMatchObject([{ value: 55, peak: 66 }]);
    const shown = logLines(foldBatch(entries), { timeZone: 'Europe/London', unit: 'C', now: NOW })
      .find((l) => l.title.startsWith('Temperature check'))!
      .readings.map((r) => r.value);
    expect(shown).toEqual([
      '66.0 °C',
      '63.0 °C',
      '55.0–59.0 °C',
      'at least 57.0 °C, still rising',
      'about 58.0 °C',
    ]);
  });
  test('a faulty thermometer’s value is kept and does not count; what was typed rides along', () => {
    let w = openHeap(begin(), E, v7);
    w = keepReading(
      w,
      E,
      'P1',
      { ...read(95, { doubts: [{ code: 'OVER_90', answer: 'faulty' }] }), faulty: true },
      null,
    );
    w = keepReading(
      w,
      E,
      'P2',
      read(150, {
        unit: 'F',
        typed: { value: 150, unit: 'C' },
        doubts: [{ code: 'OVER_90', answer: 'other-unit' }],
      }),
      null,
    );
    expect(readSoFar(heap(E, 'Egret'), w.heaps[E]).map((r) => [r.place, Math.round(r.c)])).toEqual([
      ['P2', 66],
    ]);
    const [round] = logged(entriesOf(w, heap(E, 'Egret'), NOW)).slice(2);
    expect(round).toMatchObject({
      data: {
        readings: [
          { value: 95, flag: 'rejected' },
          { value: 150, unit: 'F', typed: { value: 150, unit: 'C' } },
        ],
      },
    });
  });
  test('a heap that is left out says why; nothing read and nothing felt is nothing to tell', () => {
    const { walk, out } = leaveHeap(begin(), heap(E, 'Egret'), 'just-turned', NOW, v7);
    expect([out.form.kind, out.form.data, isDone(walk, data, E)]).toEqual([
      'skip',
      { reason: 'just-turned', walk: 'w1' },
      true,
    ]);
    expect(entriesOf(openHeap(begin(), E, v7), heap(E, 'Egret'), NOW)).toEqual([]);
  });
  test('an ended walk still tells of the heaps that were begun', () => {
    const w = finishHeap(withFive(withFive(begin(), E, [60, 61]), A, [50, 51, 52, 53, 54]), A);
    expect(unfinished(w, data, NOW).map((o) => o.what)).toEqual(['Egret: check of 2']);
  });
  test('a time that a person chose holds for every reading of the round', () => {
    const out = entriesOf(
      withFive(begin({ single: true }), E, [60, 61, 62]),
      heap(E, 'Egret'),
      '2026-11-22T07:30',
    );
    const [round] = logged(out).slice(2) as Extract<Entry, { kind: 'round' }>[];
    expect(round!.data.readings.map((r) => r.at)).toEqual(
      Array(3).fill('2026-11-22T07:30:00.000Z'),
    );
    expect(
      logLines(foldBatch(logged(out)), { timeZone: 'Europe/London', unit: 'C', now: NOW }).find(
        (l) => l.title.startsWith('Temperature check'),
      )!.late,
    ).toMatch(/^entered 1 d 1 h later, /);
  });
  test('the air is one entry of the site', () =>
    expect(keepAir(begin(), 9, 'C', NOW, v7).out.form).toMatchObject({
      kind: 'ambient',
      batch: null,
      data: { value: 9, unit: 'C', walk: 'w1' },
    }));
  test('whatever is done in whatever order, every value that was kept is in what is sent, once', () => {
    const act = fc.record({
      what: fc.constantFrom('keep', 'again', 'back', 'leave'),
      place: fc.constantFrom('P1', 'P2', 'P3', 'P4', 'P5'),
      value: fc.integer({ min: 20, max: 80 }),
    });
    fc.assert(
      fc.property(fc.array(act, { maxLength: 25 }), (acts) => {
        let w = openHeap(begin(), E, v7);
        const kept: number[] = [];
        for (const a of acts) {
          if (a.what === 'back') w = takeBack(w, E, a.place);
          else if (a.what === 'leave') w = leavePlace(w, E, a.place, 'other');
          else {
            w = keepReading(
              w,
              E,
              a.place,
              read(a.value),
              a.what === 'again' ? 'Read again.' : null,
            );
            kept.push(a.value);
          }
        }
        const round = entriesOf(w, heap(E, 'Egret'), NOW).find((o) => o.form.kind === 'round');
        const sent = (round?.form.data.readings ?? []) as {
          id: string;
          value: number;
          flag?: string;
          point: string;
        }[];
        expect(sent.map((r) => r.value).sort()).toEqual(kept.sort());
        expect(new Set(sent.map((r) => r.id)).size).toBe(sent.length);
        for (const p of places)
          expect(
            sent.filter((r) => r.point === p.id && r.flag === undefined).length,
          ).toBeLessThanOrEqual(1);
      }),
    );
  });
});

describe('the pad', () => {
  test.each([
    ['57.2', 57.2],
    ['57,2', 57.2],
    ['-3', -3],
    ['', null],
    ['.', null],
    ['5.7.2', null],
    ['5e2', null],
    ['57.', 57],
  ])('‘%s’ is %p', (text, n) => expect(numberIn(text)).toBe(n));
  test('one point, six signs, back', () => {
    expect([...'57..2'].reduce((t, k) => appendKey(t, k as '5'), '')).toBe('57.2');
    expect([...'1234567'].reduce((t, k) => appendKey(t, k as '1'), '')).toBe('123456');
    expect(appendKey('57', 'back')).toBe('5');
  });
  test.each([
    ['55-59', { low: 55, high: 59 }],
    ['55 to 59', { low: 55, high: 59 }],
    ['59-55', null],
    ['55', null],
    ['-5', null],
  ])('‘%s’ as a range', (text, range) => expect(rangeIn(text)).toEqual(range));
});
