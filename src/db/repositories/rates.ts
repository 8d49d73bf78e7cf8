import { sql } from 'kysely';
import type { Db } from '../client';

/** How often doors are used, counted for all processes of an installation alike. */
export const ratesRepo = (db: Db) => ({
  /** Counts one more use. @param since the start of the span @returns uses in it, this one included */
  async count(door: string, address: string, since: number): Promise<number> {
    const row = await db
      .insertInto('rate_count')
      .values({ door, address, since: new Date(since), n: 1 })
      .onConflict((c) =>
        c.columns(['door', 'address', 'since']).doUpdateSet({ n: sql`rate_count.n + 1` }),
      )
      .returning('n')
      .executeTakeFirstOrThrow();
    return row.n;
  },
  /** Forgets spans that began before a moment. */
  async forget(before: number): Promise<void> {
    await db.deleteFrom('rate_count').where('since', '<', new Date(before)).execute();
  },
});
