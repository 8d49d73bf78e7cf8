import { logOf } from '../../../tests/support/log';
import { batchFileOf } from '../formats/batch-file-of';
import { canonicalJson, getKindDescription, type EntryKind } from './entry';
import { foldBatch, foldSite } from './fold';
import { entryId } from '../../../tests/support/ids';

const H = 3_600_000;
const T0 = Date.UTC(2026, 4, 1);
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' } as const;

describe('canonical JSON', () => {
  test('keys sorted at every level, no white space, absent fields left out', () => {
    expect(canonicalJson({ b: [2, { z: 1, a: null }], a: 'ü"', c: undefined, B: 1.5 })).toBe(
      '{"B":1.5,"a":"ü\\"","b":[2,{"a":null,"z":1}]}',
    );
  });
  test('the same value in another order is the same text', () =>
    expect(canonicalJson({ a: 1, b: { c: 2, d: 3 } })).toBe(
      canonicalJson({ b: { d: 3, c: 2 }, a: 1 }),
    ));
});

describe('entries at the door', () => {
  const id = '01a1ab24-d440-7388-a1d8-5bef6f1bf167';
  test.each<[EntryKind, object, boolean]>([
    ['turn', { full: true }, true],
    ['turn', {}, false],
    ['turn', { full: 'yes' }, false],
    ['water', { clean: true, litres: -1 }, false],
    ['water', { litres: 5 }, false],
    ['addition', { raw: true, seeds: false }, true],
    ['observation', { smell: 'none' }, true],
    ['observation', { smell: 'lovely' }, false],
    ['correction', { target: id, reason: 'no' }, false],
    ['correction', { target: id, reason: 'slip' }, true],
    ['note', { words: 'x'.repeat(2001) }, false],
    ['round', { source: 'hand', readings: [] }, false],
    ['probe-check', { probe: ' ', referenceC: 0, readC: 0 }, false],
  ])('%s %j', (kind, data, fits) =>
    expect(getKindDescription(kind).schema.safeParse(data).success).toBe(fits),
  );
});

describe('the fold', () => {
  test('a batch that nothing opens is a mistake of the caller', () =>
    expect(() => foldBatch([])).toThrow(/none that opens/));
  test('an entry that is struck takes no part and stays readable', () => {
    const log = logOf(T0);
    log.put('built', {}, { at: T0 });
    const turn = log.put('turn', { full: true }, { at: T0 + H });
    log.put('correction', { target: turn, reason: 'that was Heron' }, { at: T0 + 2 * H });
    const state = foldBatch(log.entries);
    expect(state.events).toHaveLength(1);
    expect(state.struck.get(turn)).toMatchObject({ data: { reason: 'that was Heron' } });
    expect(batchFileOf(state, SITE, foldSite([]))!.events).toEqual([]);
  });
  test('a wrong closing can be struck and made anew', () => {
    const log = logOf(T0);
    const first = log.put('built', {}, { at: T0 });
    log.put('correction', { target: first, reason: 'one load more came' }, { at: T0 + H });
    expect(foldBatch(log.entries).builtAt).toBeNull();
    log.put('built', {}, { at: T0 + 5 * H });
    expect(foldBatch(log.entries).builtAt).toBe(T0 + 5 * H);
  });
  test('a corrected reading keeps its place, round and thermometer; the old one is superseded', () => {
    const log = logOf(T0);
    log.put('built', {}, { at: T0 });
    const round = log.round(T0 + H, 60, 61, 16);
    const fix = log.put(
      'correction',
      { target: round, reading: `${round}.3`, value: 61.5, unit: 'C', reason: 'digits swapped' },
      { at: T0 + 3 * H },
    );
    const readings = foldBatch(log.entries).readings;
    expect(readings.find((r) => r.id === `${round}.3`)).toMatchObject({
      value: 16,
      flag: 'superseded',
      flagReason: 'digits swapped',
    });
    expect(readings.find((r) => r.id === fix)).toMatchObject({
      value: 61.5,
      point: 'P3',
      round,
      at: new Date(T0 + H).toISOString(),
      recordedAt: new Date(T0 + 3 * H).toISOString(),
    });
    const again = log.put(
      'correction',
      { target: round, reading: fix, reason: 'neither was right' },
      { at: T0 + 4 * H },
    );
    expect(foldBatch(log.entries).readings.find((r) => r.id === fix)).toMatchObject({
      flag: 'rejected',
    });
    expect(foldBatch(log.entries).readings.some((r) => r.id === again)).toBe(false);
  });
  test('a round that is struck is rejected reading by reading', () => {
    const log = logOf(T0);
    const round = log.round(T0 + H, 60, 61, 62);
    log.put('correction', { target: round, reason: 'another batch' }, { at: T0 + 2 * H });
    expect(foldBatch(log.entries).readings.map((r) => r.flag)).toEqual([
      'rejected',
      'rejected',
      'rejected',
    ]);
  });
  test('hand-logged readings carry when they were recorded, those out of a file what the file said', () => {
    const log = logOf(T0);
    log.put(
      'round',
      {
        source: 'file',
        readings: [{ id: 'f', at: '2026-05-01T01:00Z', point: 'P1', value: 60, unit: 'C' }],
      },
      { at: T0 + H, recordedAt: T0 + 99 * H },
    );
    log.put(
      'round',
      {
        source: 'hand',
        readings: [{ id: 'h', at: '2026-05-01T02:00Z', point: 'P1', value: 60, unit: 'C' }],
      },
      { at: T0 + H, recordedAt: T0 + 99 * H },
    );
    const [file, hand] = foldBatch(log.entries).readings;
    expect(file!.recordedAt).toBeUndefined();
    expect(hand!.recordedAt).toBe(new Date(T0 + 99 * H).toISOString());
  });
  test('the site’s thermometers and air; a struck check is out', () => {
    const log = logOf(T0);
    const check = log.put('probe-check', { probe: 'T1', referenceC: 0, readC: 0.5 }, { at: T0 });
    log.put('ambient', { value: 50, unit: 'F' }, { at: T0 });
    expect(foldSite(log.entries)).toMatchObject({ ambient: [{ value: 50, unit: 'F' }] });
    log.put('correction', { target: check, reason: 'ice had melted' }, { at: T0 + H });
    expect([...foldSite(log.entries).probes]).toEqual([]);
  });
  test('a site thermometer is told apart from one of the same name in a file', () => {
    const log = logOf(T0, {
      brought: {
        probes: [{ id: 'T1', checks: [] }],
        siteName: 'Elsewhere',
        timeZone: 'UTC',
        extra: {},
      },
    });
    log.put('built', {}, { at: T0 });
    log.put(
      'round',
      {
        source: 'hand',
        readings: [
          { id: 'h', at: '2026-05-01T02:00Z', point: 'P1', probe: 'T1', value: 60, unit: 'C' },
        ],
      },
      { at: T0 + H },
    );
    const site = foldSite([
      {
        id: entryId('c'),
        batch: null,
        at: T0,
        by: 'Mo',
        kind: 'probe-check',
        data: { probe: 'T1', referenceC: 0, readC: 5 },
        seq: 1,
        recordedAt: T0,
        hash: '',
      },
    ]);
    const file = batchFileOf(foldBatch(log.entries), SITE, site)!;
    expect(file.probes.map((p) => [p.id, p.checks.length])).toEqual([
      ['T1', 0],
      ['T1 (site)', 1],
    ]);
    expect(file.readings[0]!.probe).toBe('T1 (site)');
  });
});
