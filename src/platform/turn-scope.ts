import { AsyncLocalStorage } from 'node:async_hooks';

/** Whether the work in hand has a site's turn; one for all bundles of the server, each of which has a copy of this module. */
const STORE = Symbol.for('zealous-heap.turn');
const turns = ((globalThis as { [STORE]?: AsyncLocalStorage<true> })[STORE] ??=
  new AsyncLocalStorage<true>());

/** Does work that has a site's turn, for as long as it runs. */
export const inTurnScope = <T>(work: () => Promise<T>): Promise<T> => turns.run(true, work);
export const hasTurn = (): boolean => turns.getStore() === true;
