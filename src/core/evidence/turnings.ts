import type { Instant } from '../quantity/instant';
import type { Round } from './rounds';
import type { Turn } from './segments';
import { fullTurns, type Run, type RunScan } from './run-scan';
import { itemAt, valueAt } from '../quantity/present';

export type UncountedTurn = {
  readonly turn: Turn;
  readonly code: 'TURN_PARTIAL' | 'TURN_WITHOUT_HEAT' | 'TURN_OUTSIDE_RUN' | 'TURN_WITHOUT_HOLD';
};

/** A full turn that counts in a run, and the hot round from which on it does. */
export type CountedTurn = { readonly turn: Turn; readonly from: Instant };

/** First index whose round is at or after t. Rounds are by time. */
function firstAtOrAfter(rounds: readonly Round[], t: Instant): number {
  let [low, high] = [0, rounds.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (itemAt(rounds, middle).time >= t) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** Whether one of these rounds lies in (after, upTo]; a round at the very time of a turn is before it. */
const anyIn = (rounds: readonly Round[], after: Instant, upTo: Instant): boolean => {
  const round = rounds[firstAtOrAfter(rounds, after + 1)];
  return round !== undefined && round.time <= upTo;
};

/**
 * The full turns that count among the hot rounds of a run (contract, section 8): between the first and the
 * last of them, with one since the full turn before. Each counts from the first hot round at or after it.
 */
export function countedTurns(rounds: readonly Round[], full: readonly Turn[]): CountedTurn[] {
  return full.flatMap((turn, i) => {
    const later = rounds[firstAtOrAfter(rounds, turn.at)];
    const heated = anyIn(rounds, full[i - 1]?.at ?? -Infinity, turn.at);
    return later && heated ? [{ turn, from: later.time }] : [];
  });
}

/** Turns of a segment that no run counts, each with the first code that fits. */
export function uncountedTurns(
  scan: RunScan,
  counted: (run: Run) => readonly CountedTurn[],
  turns: readonly Turn[],
): UncountedTurn[] {
  const taken = new Set(scan.runs.flatMap((run) => counted(run).map(({ turn }) => turn)));
  const before = new Map(
    fullTurns(turns).map((turn, i, full) => [turn, full[i - 1]?.at ?? -Infinity]),
  );
  return turns
    .filter((turn) => !taken.has(turn))
    .map((turn) => {
      if (!turn.full) return { turn, code: 'TURN_PARTIAL' };
      return {
        turn,
        code: anyIn(scan.hotRounds, valueAt(before, turn), turn.at)
          ? 'TURN_OUTSIDE_RUN'
          : 'TURN_WITHOUT_HEAT',
      };
    });
}
