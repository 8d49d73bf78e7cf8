import type { Db } from '../client';

/** The end of a log at a moment, as a service vouched for it. */
export type KeptTimeStamp = {
  readonly seq: number;
  /** The hash of the entry there, which is what was vouched for. */ readonly hash: string;
  readonly at: number;
  readonly service: string;
  /** DER, as `openssl ts -verify -token_in` reads it. */ readonly token: Buffer;
};

export const timeStampRepo = (db: Db) => ({
  async keep(site: string, { seq, at, ...stamp }: KeptTimeStamp): Promise<void> {
    await db
      .insertInto('time_stamp')
      .values({ site, ...stamp, seq: String(seq), at: new Date(at) })
      .onConflict((c) => c.columns(['site', 'seq']).doNothing())
      .execute();
  },
  /** All of a site, the oldest first. */
  async all(site: string): Promise<KeptTimeStamp[]> {
    const rows = await db
      .selectFrom('time_stamp')
      .selectAll()
      .where('site', '=', site)
      .orderBy('seq')
      .execute();
    return rows.map(({ hash, service, token, seq, at }) => ({
      ...{ hash, service, token, seq: Number(seq), at: at.getTime() },
    }));
  },
  async has(site: string, seq: number): Promise<boolean> {
    const row = await db
      .selectFrom('time_stamp')
      .select('seq')
      .where('site', '=', site)
      .where('seq', '=', String(seq))
      .executeTakeFirst();
    return row !== undefined;
  },
});
