import type { BatchId } from '../log/ids';
import type { Instant } from '../quantity/instant';
import { contentsAt } from './contents';
import { mixOf, type Est, type Figure } from './mix';
import type { StoreState } from './store';

/** Carbon to nitrogen of a heap as it was when its last raw load went in, from what the log says went in; null: it is still building. */
export function initialCnOf(
  store: StoreState,
  batch: BatchId,
  builtAt: Instant | null,
): Figure | null {
  if (builtAt === null) return null;
  const { ingredients, waterL } = contentsAt(store, batch, builtAt);
  return mixOf(ingredients, waterL).cn;
}

/** What a rule that asks for an initial C:N says of a heap: its band must lie inside to be met, outside not to be. */
export type CnFinding =
  | { readonly code: 'met' | 'not-met' | 'unsure'; readonly est: Est }
  | { readonly code: 'unknown'; readonly missing: readonly string[] };

/** Whether the first mix lay within a rule’s C:N, and how surely. @param cn null: nothing is known of it */
export function judgeInitialCn(
  asked: { readonly low: number; readonly high: number },
  cn: Figure | null,
): CnFinding {
  if (cn === null) return { code: 'unknown', missing: [] };
  if (!cn.ok) return { code: 'unknown', missing: cn.missing };
  const { low, value, high } = cn.est;
  const inside = value >= asked.low && value <= asked.high;
  const sure = inside
    ? low >= asked.low && high <= asked.high
    : high < asked.low || low > asked.high;
  return { code: sure ? (inside ? 'met' : 'not-met') : 'unsure', est: cn.est };
}
