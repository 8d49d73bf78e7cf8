import { logOf } from '../../../tests/support/log';
import { foldBatch, foldSite } from '../log/fold';
import { createBatchSnapshot } from './batch-snapshot';
import { byBay, heapPicture } from '../../telling/status/picture';

const H = 3_600_000;
const NOW = Date.UTC(2026, 4, 18, 12);
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' } as const;
const AIR = foldSite([]);
const ago = (hours: number): number => NOW - hours * H;
type Log = ReturnType<typeof logOf>;
const built = (hoursAgo: number, fill: (log: Log) => void = () => undefined) => {
  const log = logOf(ago(hoursAgo));
  log.put('built', {}, { at: ago(hoursAgo) });
  fill(log);
  return createBatchSnapshot(foldBatch(log.entries), SITE, AIR, NOW);
};
const hot = (log: Log, from: number, to: number, value = 60): void => {
  for (let h = from; h >= to; h -= 12) log.round(ago(h), value, value, value);
};

describe('the drawing of a mound follows from the log', () => {
  test('building until it is closed', () => {
    const log = logOf(ago(5));
    log.put('note', { words: 'half full' }, { at: ago(3) });
    expect(createBatchSnapshot(foldBatch(log.entries), SITE, AIR, NOW)).toMatchObject({
      state: 'building',
      rules: [],
      recheckAt: null,
    });
  });
  test('waiting while it has never been hot, also when it was read cold', () => {
    expect(built(20).state).toBe('waiting');
    expect(built(20, (l) => l.round(ago(4), 30, 31, 32)).state).toBe('waiting');
  });
  test('running, and stale in the last sixth of the gap', () => {
    expect(built(100, (l) => hot(l, 60, 12)).state).toBe('running');
    expect(built(100, (l) => hot(l, 79, 31)).state).toBe('stale');
  });
  test('broken by a cold round, and what was lost is known', () => {
    const d = built(100, (l) => {
      hot(l, 60, 12);
      l.round(ago(2), 48, 50, 60);
    });
    expect(d).toMatchObject({ state: 'broken', lostHours: 48 });
    expect(d.strata).toEqual([]);
  });
  test('broken too when something raw cut it off', () => {
    const d = built(100, (l) => {
      hot(l, 60, 12);
      l.put('addition', { raw: true }, { at: ago(6) });
    });
    expect(d).toMatchObject({ lostHours: 48 });
    expect(d.rules[0]).toMatchObject({ status: 'waiting', creditedHours: 0 });
  });
  test('recovering after a turning', () => {
    const d = built(100, (l) => {
      hot(l, 60, 24);
      l.put('turn', { full: true }, { at: ago(20) });
      l.round(ago(12), 48, 50, 55);
    });
    expect(d.state).toBe('recovering');
    expect(d.situation.proof.graceUntil).toBe(ago(20) + 36 * H);
  });
  test('too hot comes before the rest', () =>
    expect(
      built(100, (l) => {
        hot(l, 60, 12);
        l.round(ago(1), 60, 60, 71);
      }).state,
    ).toBe('hot'));
  test('proven, curing, gone out', () => {
    const proof = (l: Log): void => {
      hot(l, 480, 24);
      for (let i = 0; i < 6; i += 1) l.put('turn', { full: true }, { at: ago(470 - i * 60) });
    };
    expect(built(490, proof)).toMatchObject({ state: 'proven', rules: [{ status: 'proven' }] });
    expect(
      built(490, (l) => {
        proof(l);
        l.put('cure', {}, { at: ago(10) });
      }).state,
    ).toBe('curing');
    expect(
      built(490, (l) => {
        proof(l);
        l.put('release', {}, { at: ago(9) });
      }).state,
    ).toBe('released');
  });
  test('how it did stays the best that it reached, whatever came in later', () => {
    const proof = (l: Log): void => {
      hot(l, 480, 24);
      for (let i = 0; i < 6; i += 1) l.put('turn', { full: true }, { at: ago(470 - i * 60) });
    };
    const d = built(490, (l) => {
      proof(l);
      l.put('addition', { raw: true, what: 'leachate' }, { at: ago(6) });
    });
    expect(d.rules[0]).toMatchObject({ status: 'waiting', creditedHours: 0 });
    expect(d.outcome.best!.provenAt).toBe(built(490, proof).rules[0]!.provenAt);
    expect(
      built(100, (l) => {
        hot(l, 60, 12);
        l.put('addition', { raw: true }, { at: ago(6) });
      }).outcome.best,
    ).toEqual({ provenAt: null, creditedHours: 48 });
  });
  test('one stratum more than counted turnings, and together the credit', () => {
    const d = built(300, (l) => {
      hot(l, 288, 12);
      for (const h of [200, 100]) l.put('turn', { full: true }, { at: ago(h + 1) });
    });
    expect(d.strata).toHaveLength(3);
    expect(d.strata.reduce((sum, s) => sum + s.hours, 0)).toBeCloseTo(d.rules[0]!.creditedHours, 9);
    expect(d.strata[0]).toMatchObject({ meanC: 60, uncredited: 0 });
  });
  test('the moment from which time alone changes it is known, and nothing changes before', () => {
    const log = logOf(ago(100));
    log.put('built', {}, { at: ago(100) });
    hot(log, 60, 12);
    const state = foldBatch(log.entries);
    const d = createBatchSnapshot(state, SITE, AIR, NOW);
    const later = (t: number) => {
      const { recheckAt: _r, ...rest } = createBatchSnapshot(state, SITE, AIR, t);
      return { ...rest, rules: rest.rules.map((r) => ({ ...r, earliestProofAt: null })) };
    };
    expect(later(d.recheckAt! - 1)).toEqual(later(NOW));
    expect(later(d.recheckAt!)).not.toEqual(later(NOW));
  });
});

describe('what a drawing says', () => {
  test('for those who do not see it', () => {
    const says = heapPicture(
      built(100, (l) => hot(l, 60, 12)),
      { timeZone: 'UTC', unit: 'F', now: NOW },
    ).says;
    expect(says).toBe(
      'Egret, counting, 2 d 0 h of 15 d, 0 of 5 turnings count, coldest 140 °F, 12 h ago',
    );
    expect(heapPicture(built(5), { timeZone: 'UTC', unit: 'C', now: NOW }).says).toMatch(
      /no temperatures yet$/,
    );
  });
  test('bays in the order that people count them', () => {
    const heaps = ['10', '2', null, '1'].map((bay) => ({
      ...built(5),
      bay,
      position: bay === null ? null : { bay },
    }));
    expect([...heaps].sort(byBay).map((h) => h.bay)).toEqual(['1', '2', '10', null]);
  });
});
