import '../src/messages/all';
import { nextAdvice } from '@/core/advice/next';
import { turnOf, type Situation } from '@/core/advice/situation';
import { createBatchSnapshot, type BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { Entry } from '@/core/log/entry';
import { foldBatch, foldSite } from '@/core/log/fold';
import { airC, playedHeap, randomOf } from '../demo/heat';

/** Made-up heaps played by a school: a fixed calendar, or the advice. */
const H = 3_600_000;
export const DAY = 24 * H;
export const START = Date.UTC(2026, 3, 6);
/** Given up after so many days. */
const DAYS = 40;
const SITE = { name: 'Bench', timeZone: 'UTC', unit: 'C' as const };
const RULES = ['us-503-pfrp-turned'];
const POINTS = [
  ['P1', 0],
  ['P2', 0.2],
  ['P3', 0.42],
  ['P4', 1],
  ['P5', 0.75],
] as const;
export type School = 'advice' | 'calendar';
export type Outcome = {
  readonly proven: boolean;
  readonly day: number;
  readonly turns: number;
  readonly hotDays: number;
  readonly digest: BatchSnapshot;
};

/**
 * One heap from its building until it is proven or given up. The same seed is the same heap in the same weather, whoever
 * keeps it: rounds and a squeeze at eight each morning and a round on the afternoon of a turning; whoever turns waters it
 * where it is dry. The calendar turns it every third day from the fourth on; the advice does what it says is to be done.
 */
export function play(seed: number, school: School): Outcome {
  const random = randomOf(seed);
  const between = (a: number, b: number): number => a + random() * (b - a);
  const model = {
    peakC: between(64, 75),
    wakesAfter: between(20, 60),
    lastsDays: between(35, 160),
    driesOver: between(90, 220),
    ...(random() < 0.7 ? { dryFrom: between(72, 400) } : {}),
  };
  const spread = between(3, 6);
  const [again, volumeM3] = [between(120, 300), between(1.5, 8)];
  const noise = randomOf(seed + 1e6);
  const heap = playedHeap(model, airC);
  const id = `0000${seed}`;
  let seq = 0;
  const entries: Entry[] = [];
  const log = (kind: Entry['kind'], at: number, data: object): void => {
    seq += 1;
    entries.push({
      id: seq === 1 ? id : `${id}-${seq}`,
      batch: id,
      at,
      by: 'Mo',
      kind,
      data,
      seq,
      recordedAt: at,
      hash: '',
    } as unknown as Entry);
  };
  log('opened', START - H, {
    code: String(seed),
    method: 'turned',
    volumeM3,
    points: POINTS.map(([p, below]) => ({
      id: p,
      zone: below > 0.5 ? 'edge' : below > 0 ? 'middle' : 'core',
      depthM: 0.6,
    })),
    policy: {},
    rules: RULES,
    ownRules: [],
  });
  log('built', START, {});
  const air: Entry[] = [];
  const snapshot = (now: number): BatchSnapshot =>
    createBatchSnapshot(foldBatch(entries), SITE, foldSite(air), now);
  const read = (now: number): void => {
    const heat = Math.max(0, Math.min(1, (heap.coreC - 20) / 35));
    log('round', now, {
      source: 'hand',
      readings: POINTS.map(([p, below]) => ({
        id: `${id}-${seq}.${p}`,
        point: p,
        value: Math.round((heap.coreC - below * spread * heat + (noise() - 0.5) * 1.4) * 10) / 10,
        unit: 'C',
        round: `${id}-${seq}`,
        at: new Date(now).toISOString(),
      })),
    });
  };
  const squeeze = (now: number): void =>
    log('observation', now, {
      squeeze: heap.water < 0.75 ? 'crumbles' : heap.water < 0.92 ? 'holds' : 'drops',
    });
  const wet = (now: number): void => {
    heap.wet(again);
    log('water', now, { clean: true, litres: 200 });
  };
  let turns = 0;
  let hotDays = 0;
  let turnedAt = -Infinity;
  // Whoever turns feels it, and waters while at it.
  const turn = (now: number): void => {
    if (heap.water < 0.92) wet(now);
    heap.turn();
    log('turn', now, { full: true });
    turns += 1;
    turnedAt = now;
  };
  for (let half = 0; half < DAYS * 48; half += 1) {
    heap.step();
    const now = START + heap.hour * H;
    const hour = heap.hour % 24;
    if (hour === 6)
      air.push({
        id: `air${half}`,
        batch: null,
        at: now,
        by: 'Mo',
        kind: 'ambient',
        data: { value: airC(heap.hour), unit: 'C' },
        seq: half,
        recordedAt: now,
        hash: '',
      } as unknown as Entry);
    if (hour === 8) {
      read(now);
      squeeze(now);
      if (heap.coreC > 70) hotDays += 1;
      const day = heap.hour / 24;
      if (school === 'calendar') {
        if (day >= 4 && now - turnedAt >= 3 * DAY - H) turn(now + H / 2);
      } else {
        const s: Situation = { ...snapshot(now).situation, now };
        const advice = turnOf(s);
        const next = nextAdvice(s);
        // What it says is to be done today is done at half past eight.
        if (
          next.code !== 'MEND' &&
          advice.act === 'turn' &&
          advice.due !== null &&
          advice.due < now + 10 * H &&
          s.proof.status !== 'proven'
        )
          turn(now + H / 2);
        else if (next.code === 'WATER' || (next.code === 'MEND' && next.fix === 'water')) wet(now);
        else if (next.code === 'MEND' && next.fix === 'turn') turn(now + H / 2);
      }
    }
    if (hour === 17 && now - turnedAt < 16 * H) read(now);
    if (hour === 17.5) {
      const d = snapshot(now);
      if (d.rules[0]?.status === 'proven')
        return {
          proven: true,
          day: (d.rules[0].provenAt! - START) / DAY,
          turns,
          hotDays,
          digest: d,
        };
    }
  }
  return { proven: false, day: DAYS, turns, hotDays, digest: snapshot(START + DAYS * DAY) };
}
