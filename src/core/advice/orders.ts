import type { DeferReason } from '../log/entry';
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

/** Kinds of entry after which what was said about a task no longer holds: the task was done. */
const DONE_BY: Readonly<Record<string, readonly string[]>> = {
  turn: ['turn'],
  read: ['round'],
  water: ['water'],
  hot: ['turn', 'split'],
  mend: ['fix'],
  close: ['built'],
};

/** The orders of a heap that still hold, by task. */
export function ordersOf({ own }: BatchState): Order[] {
  const orders = new Map<string, Order>();
  for (const e of own) {
    for (const [task, kinds] of Object.entries(DONE_BY))
      if (kinds.includes(e.kind)) orders.delete(task);
    // The turning after the next is the next one now.
    if (e.kind === 'turn')
      for (let n = 1; orders.has(`turn+${n}`); n += 1) {
        const order = valueAt(orders, `turn+${n}`);
        orders.delete(`turn+${n}`);
        const task = n === 1 ? 'turn' : `turn+${n - 1}`;
        orders.set(task, { ...order, task });
      }
    if (e.kind !== 'defer' && e.kind !== 'assign') continue;
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
