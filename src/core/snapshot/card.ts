import type { HeapCard } from '../advice/tasks';
import type { BatchSnapshot } from './batch-snapshot';

/** A heap as the day's work and the plan look at it. */
export const cardOf = (d: BatchSnapshot): HeapCard => ({
  id: d.id,
  code: d.code,
  name: d.name ?? d.code,
  facts: d.situation,
  orders: d.orders,
});
