import type { EndReason } from '../log/entry';
import { MS, type Instant } from '../quantity/instant';
import type { RoundHeat } from './trend';

/** Where a heap stands in its life, from dated events and readings: not a list that it is led through, it may go back. */
export const STAGES = ['building', 'heating', 'hot', 'cooling', 'dormant', 'curing', 'ready', 'on-hold', 'released', 'ended'] as const;
export type StageCode = (typeof STAGES)[number];
export type Stage = { readonly code: StageCode; /** Of the event or the round that began it. */ readonly since: Instant; /** Why it is held or at its end. */ readonly reason: string | null };

export type StageFacts = {
  readonly now: Instant;
  readonly openedAt: Instant;
  readonly builtAt: Instant | null;
  /** When something raw last went in, the last load of building included. */
  readonly rawAt: Instant | null;
  readonly curedAt: Instant | null;
  readonly readyAt: Instant | null;
  readonly releasedAt: Instant | null;
  readonly hold: { readonly at: Instant; readonly on: boolean; readonly reason: string | null } | null;
  readonly ended: { readonly at: Instant; readonly reason: EndReason } | null;
  readonly rounds: readonly RoundHeat[];
  readonly air: readonly { readonly at: Instant; readonly c: number }[];
};

/** The loosest lower edge of the hot range (common practice). */
const HOT_C = 50;
/** A core this cold under air this cold is frozen or as good as: it sleeps, it has not failed. */
const ASLEEP_CORE_C = 5;
const ASLEEP_AIR_C = 3;
const AIR_DAYS_MS = 3 * MS.day;

export function stageOf(f: StageFacts): Stage {
  const stage = (code: StageCode, since: Instant, reason: string | null = null): Stage => ({ code, since, reason });
  if (f.ended) return stage('ended', f.ended.at, f.ended.reason);
  if (f.releasedAt !== null) return stage('released', f.releasedAt);
  if (f.hold?.on) return stage('on-hold', f.hold.at, f.hold.reason);
  if (f.builtAt === null) return stage('building', f.openedAt);
  // What is raw puts a heap back to where it began.
  const raw = f.rawAt ?? f.builtAt;
  if (f.readyAt !== null && f.readyAt >= raw) return stage('ready', f.readyAt);
  if (f.curedAt !== null && f.curedAt >= raw) return stage('curing', f.curedAt);
  const last = f.rounds.at(-1);
  if (last && last.peakC < ASLEEP_CORE_C) {
    const air = f.air.filter((a) => a.at > f.now - AIR_DAYS_MS && a.at <= f.now);
    if (air.length > 0 && air.reduce((sum, a) => sum + a.c, 0) / air.length < ASLEEP_AIR_C) return stage('dormant', begin(f.rounds, (r) => r.peakC < ASLEEP_CORE_C));
  }
  if (last && last.peakC >= HOT_C) return stage('hot', begin(f.rounds, (r) => r.peakC >= HOT_C));
  const wasHot = f.rounds.findLast((r) => r.peakC >= HOT_C && r.at >= raw);
  return wasHot ? stage('cooling', f.rounds.find((r) => r.at > wasHot.at)?.at ?? wasHot.at) : stage('heating', Math.max(raw, f.builtAt));
}

/** When the last unbroken run of rounds that are so began. */
function begin(rounds: readonly RoundHeat[], is: (r: RoundHeat) => boolean): Instant {
  const before = rounds.findLastIndex((r) => !is(r));
  return rounds[before + 1]!.at;
}
