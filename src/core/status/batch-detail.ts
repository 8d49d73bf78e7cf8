import { lostItsHeat } from '../advice/next';
import {
  diagnosesOf,
  isDangerous,
  isLive,
  isSaidDone,
  reheatTestOf,
  turnOf,
  waterOf,
} from '../advice/situation';
import { trialsOf, type Change, type Diagnosis, type Trial } from '../advice/diagnose';
import type { ReheatTest } from '../advice/course';
import type { RoundHeat } from '../advice/trend';
import type { TurnAdvice } from '../advice/turn';
import type { WaterAdvice } from '../advice/water';
import type { BatchStatus } from './batch-status';

/** What stands behind the next act of a batch, for its own page. */
export type BatchDetail = {
  /** Whether and when to turn it; null: nothing about turning is advised now. */
  readonly turn: TurnAdvice | null;
  readonly water: WaterAdvice | null;
  readonly diagnoses: readonly Diagnosis[];
  /** What was changed, and what became of its heat. */ readonly trials: readonly Trial[];
  /** What it shows by staying cool; null: somebody said that it cures or is ready. */
  readonly reheat: ReheatTest | null;
};

/** @param heats every check of the batch, not only the last ones @param changes everything that was changed to put it right */
export function detailOfBatch(
  status: BatchStatus,
  heats: readonly RoundHeat[],
  changes: readonly Change[],
): BatchDetail {
  const { situation: s, next } = status;
  const works = isLive(s) && s.proof.status !== 'proven' && !isDangerous(s);
  const heatsFirst = next.code === 'MEND' && lostItsHeat(next);
  return {
    turn: works && !heatsFirst ? turnOf(s) : null,
    water: works || (isSaidDone(s) && !isDangerous(s)) ? waterOf(s) : null,
    diagnoses: diagnosesOf({ ...s, rounds: heats }),
    reheat: isSaidDone(s) ? null : reheatTestOf(s),
    trials: trialsOf([...changes], heats, s.now),
  };
}
