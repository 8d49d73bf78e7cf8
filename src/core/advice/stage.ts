import type { EndReason } from '../log/entry';
import { MS, type Instant } from '../quantity/instant';
import type { RoundHeat } from './trend';
import { itemAt } from '../quantity/present';

/** Where a heap stands in its life, from dated events and readings: not a list that it is led through, it may go back. */
export const STAGES = [
  'building',
  'heating',
  'hot',
  'cooling',
  'dormant',
  'curing',
  'ready',
  'released',
  'ended',
] as const;
export type StageCode = (typeof STAGES)[number];
/** Something that a person said, and when. */
export type Word = { readonly at: Instant; readonly by: string };
export type Stage = {
  readonly code: StageCode;
  /** Of the event or the round that began it. */ readonly since: Instant;
  /** Why it is at its end. */ readonly reason: string | null;
  /** Whose word it is; null: it follows from readings. */ readonly by: string | null;
  /** Put on hold by somebody; a batch on hold heats and cools all the same. */
  readonly held: (Word & { readonly reason: string | null }) | null;
};
export type StageFacts = {
  readonly now: Instant;
  readonly openedAt: Instant;
  readonly builtAt: Instant | null;
  /** When something raw last went in, the last load of building included. */
  readonly rawAt: Instant | null;
  readonly cured: Word | null;
  readonly ready: Word | null;
  readonly released: Word | null;
  readonly hold: (Word & { readonly on: boolean; readonly reason: string | null }) | null;
  readonly ended: (Word & { readonly reason: EndReason }) | null;
  readonly rounds: readonly RoundHeat[];
  readonly air: readonly { readonly at: Instant; readonly c: number }[];
};

/** The loosest lower edge of the hot range (common practice). */
const HOT_C = 50;
/** A core this cold under air this cold is frozen or as good as: it sleeps, it has not failed. */
export const ASLEEP_CORE_C = 5;
const ASLEEP_AIR_C = 3;
const AIR_DAYS_MS = 3 * MS.day;

/** How far a heap is: what somebody said of it, else what its readings show. */
export function stageOf(f: StageFacts): Stage {
  const held = f.hold?.on ? { at: f.hold.at, by: f.hold.by, reason: f.hold.reason } : null;
  const stage = (code: StageCode, since: Instant): Stage => ({
    ...{ code, since, held },
    reason: null,
    by: null,
  });
  const said = (code: StageCode, { at, by }: Word, reason: string | null = null): Stage => ({
    ...{ code, reason, by, held },
    since: at,
  });
  if (f.ended) return said('ended', f.ended, f.ended.reason);
  if (f.released) return said('released', f.released);
  if (f.builtAt === null) return stage('building', f.openedAt);
  // What is raw puts a heap back to where it began.
  const raw = f.rawAt ?? f.builtAt;
  if (f.ready && f.ready.at >= raw) return said('ready', f.ready);
  if (f.cured && f.cured.at >= raw) return said('curing', f.cured);
  const last = f.rounds.at(-1);
  if (last && last.peakC < ASLEEP_CORE_C) {
    const air = f.air.filter((a) => a.at > f.now - AIR_DAYS_MS && a.at <= f.now);
    if (air.length > 0 && air.reduce((sum, a) => sum + a.c, 0) / air.length < ASLEEP_AIR_C)
      return stage(
        'dormant',
        begin(f.rounds, (r) => r.peakC < ASLEEP_CORE_C),
      );
  }
  if (last && last.peakC >= HOT_C)
    return stage(
      'hot',
      begin(f.rounds, (r) => r.peakC >= HOT_C),
    );
  const wasHot = f.rounds.findLast((r) => r.peakC >= HOT_C && r.at >= raw);
  return wasHot
    ? stage('cooling', f.rounds.find((r) => r.at > wasHot.at)?.at ?? wasHot.at)
    : stage('heating', Math.max(raw, f.builtAt));
}

/** When the last unbroken run of rounds that are so began. */
function begin(rounds: readonly RoundHeat[], is: (r: RoundHeat) => boolean): Instant {
  const before = rounds.findLastIndex((r) => !is(r));
  return itemAt(rounds, before + 1).at;
}
