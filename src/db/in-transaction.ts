import type { Db } from './client';

/** Does work in one transaction: the one that it is called in, or one of its own. */
export const inTransaction = <T>(db: Db, work: (trx: Db) => Promise<T>): Promise<T> =>
  db.isTransaction ? work(db) : db.transaction().execute(work);
