import type { Instant } from '../quantity/instant';
import type { Round } from './rounds';
import type { Turn } from './segments';
import { fullTurns, type Run, type Walk } from './walk';

export type UncountedCode = 'TURN_PARTIAL' | 'TURN_WITHOUT_HEAT' | 'TURN_OUTSIDE_RUN';

/** A full turn that counts in a run, and the hot round from which on it does. */
export type CountedTurn = { readonly turn: Turn; readonly from: Instant };

/** First index whose round is at or after t. Rounds are by time. */
function firstAtOrAfter(rounds: readonly Round[], t: Instant): number {
  let [low, high] = [0, rounds.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (rounds[middle]!.time >= t) high = middle; else low = middle + 1;
  }
  return low;
}

/** Whether one of these rounds lies in (after, upTo]; a round at the very time of a turn is before it. */
const anyIn = (rounds: readonly Round[], after: Instant, upTo: Instant): boolean => {
  const round = rounds[firstAtOrAfter(rounds, after + 1)];
  return round !== undefined && round.time <= upTo;
};

/**
 * The full turns that count in a run (contract, section 8): inside it, with a hot round of the run since the
 * full turn before. Each counts from the run's first hot round at or after it.
 */
export function countedTurns(run: Run, turns: readonly Turn[]): CountedTurn[] {
  const full = fullTurns(turns);
  return full.flatMap((turn, i) => {
    const later = run.rounds[firstAtOrAfter(run.rounds, turn.at)];
    const heated = anyIn(run.rounds, full[i - 1]?.at ?? -Infinity, turn.at);
    return later && heated ? [{ turn, from: later.time }] : [];
  });
}

/** Turns of a segment that no run counts, each with the first code that fits. */
export function uncountedTurns(walk: Walk, rounds: readonly Round[], turns: readonly Turn[]): { turn: Turn; code: UncountedCode }[] {
  const counted = new Set(walk.runs.flatMap((run) => countedTurns(run, turns).map(({ turn }) => turn)));
  const hot = rounds.filter((_, i) => walk.heats[i] === 'hot');
  const full = fullTurns(turns);
  return turns.filter((turn) => !counted.has(turn)).map((turn) => {
    if (!turn.full) return { turn, code: 'TURN_PARTIAL' };
    const before = full[full.indexOf(turn) - 1]?.at ?? -Infinity;
    return { turn, code: anyIn(hot, before, turn.at) ? 'TURN_OUTSIDE_RUN' : 'TURN_WITHOUT_HEAT' };
  });
}
