import type { HeapCard } from '../advice/tasks';
import type { Digest } from './digest';

/** A heap as the day's work and the plan look at it. */
export const cardOf = (d: Digest): HeapCard => ({
  id: d.id,
  code: d.code,
  name: d.name ?? d.code,
  facts: d.situation,
  orders: d.orders,
});
