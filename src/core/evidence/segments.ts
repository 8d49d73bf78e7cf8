import type { Instant } from '../quantity/instant';
import type { Round } from './rounds';
import type { BatchEvent, Clock } from './types';
import { itemAt, lastOf } from '../quantity/present';

export type Turn = Extract<BatchEvent, { type: 'turn' }>;

/** Evidence between two restarts: rounds and turns of (from, to], the first segment's rounds of [from, to]. */
export type Segment = {
  readonly from: Instant;
  /** The restart that ended it; for the current segment asOf. */
  readonly to: Instant;
  readonly rounds: readonly Round[];
  /** Full and partial, by time then id. */
  readonly turns: readonly Turn[];
};

export type Segments = {
  readonly earlier: readonly Segment[];
  readonly current: Segment;
  readonly restarts: readonly BatchEvent[];
  /** Rounds dropped because their readings straddle a restart. */
  readonly straddling: readonly Round[];
};

/** Whether an event starts the clock again: raw or unclean for germs, unless it speaks of seeds for the clock of seeds. */
function recontaminates(event: BatchEvent, clock: Clock): boolean {
  if (event.type !== 'water' && event.type !== 'add' && event.type !== 'merge') return false;
  if (clock === 'seeds' && event.seeds !== undefined) return event.seeds;
  if (event.type === 'water') return !event.clean;
  return event.type === 'add' ? event.raw : !event.withProven;
}

const byTimeThenId = (x: BatchEvent, y: BatchEvent): number =>
  x.at - y.at || (x.id < y.id ? -1 : 1);

/**
 * Cuts the evidence at each restart (contract, section 5). At one and the same time readings come before
 * events; a round timed at builtAt itself counts.
 * @param rounds by time; asOf not before builtAt
 */
export function segmentsOf(
  rounds: readonly Round[],
  events: readonly BatchEvent[],
  builtAt: Instant,
  asOf: Instant,
  clock: Clock,
): Segments {
  const known = events.filter((e) => e.at >= builtAt && e.at <= asOf).sort(byTimeThenId);
  const restarts = known.filter((e) => recontaminates(e, clock));
  const turns = known.filter((e): e is Turn => e.type === 'turn' && e.at > builtAt);
  const cuts = [...new Set(restarts.map((e) => e.at))];
  const straddles = (r: Round): boolean =>
    (r.first < builtAt && r.time >= builtAt) || cuts.some((cut) => r.first <= cut && r.time > cut);
  const sound: Round[] = [];
  const straddling: Round[] = [];
  for (const r of rounds) if (r.time >= builtAt) (straddles(r) ? straddling : sound).push(r);

  const bounds = [builtAt, ...cuts, asOf];
  const segments = bounds.slice(0, -1).map((from, i): Segment => {
    const to = itemAt(bounds, i + 1);
    const first = i === 0;
    return {
      from,
      to,
      rounds:
        cuts.length === 0
          ? sound
          : sound.filter((r) => (first ? r.time >= from : r.time > from) && r.time <= to),
      turns: turns.filter((t) => t.at > from && t.at <= to),
    };
  });
  return { earlier: segments.slice(0, -1), current: lastOf(segments), restarts, straddling };
}
