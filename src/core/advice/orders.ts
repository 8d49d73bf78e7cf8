import type { DeferReason, EntryKind } from '../log/entry';
import type { BatchState } from '../log/fold';
import type { Instant } from '../quantity/instant';
import { valueAt } from '../quantity/present';

/** What people said about a task of a heap: put off with a reason, not possible, given to somebody, moved to a day. */
export type Order = {
  readonly task: string;
  readonly defer: {
    readonly at: Instant;
    readonly until: Instant;
    readonly reason: DeferReason;
    readonly words: string | null;
    readonly by: string;
    readonly impossible: boolean;
  } | null;
  readonly who: string | null;
  readonly day: Instant | null;
};

/** Tasks of which nothing that was said holds any more after an entry of a kind: they were done. */
const DONE_BY: Partial<Record<EntryKind, readonly string[]>> = {
  turn: ['turn', 'hot'],
  water: ['water'],
  split: ['hot'],
  fix: ['mend'],
  built: ['close'],
};

/** The task that any round does. */
const READING = 'read';

/** The orders of a heap that still hold, by task. */
export function ordersOf({ own, acts }: BatchState): Order[] {
  const orders = new Map<string, Order>();
  // A log holds thousands of rounds: whether one came after what was said of reading is asked of the last.
  const lastRound = own.findLast((e) => e.kind === 'round')?.seq ?? -Infinity;
  for (const e of acts) {
    for (const task of DONE_BY[e.kind] ?? []) orders.delete(task);
    // The turning after the next is the next one now.
    if (e.kind === 'turn')
      for (let n = 1; orders.has(`turn+${n}`); n += 1) {
        const order = valueAt(orders, `turn+${n}`);
        orders.delete(`turn+${n}`);
        const task = n === 1 ? 'turn' : `turn+${n - 1}`;
        orders.set(task, { ...order, task });
      }
    if (e.kind !== 'defer' && e.kind !== 'assign') continue;
    if (e.data.task === READING && e.seq < lastRound) continue;
    const before = orders.get(e.data.task) ?? {
      task: e.data.task,
      defer: null,
      who: null,
      day: null,
    };
    orders.set(
      e.data.task,
      e.kind === 'defer'
        ? {
            ...before,
            defer: {
              at: e.at,
              until: e.data.until,
              reason: e.data.reason,
              words: e.data.words ?? null,
              by: e.by,
              impossible: e.data.impossible ?? false,
            },
          }
        : { ...before, who: e.data.who ?? before.who, day: e.data.day ?? before.day },
    );
  }
  return [...orders.values()];
}
