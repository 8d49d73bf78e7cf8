import { createHash } from 'node:crypto';
import type { Db } from '../client';

export type StoredPhoto = {
  readonly sha256: string;
  readonly bytes: Buffer;
  readonly small: Buffer;
  readonly width: number;
  readonly height: number;
};

export const photoRepo = (db: Db) => ({
  /** Adds a picture; one that is there already is left as it is. */
  async put(site: string, photo: StoredPhoto, now: number): Promise<void> {
    await db
      .insertInto('photo')
      .values({ ...photo, site, recorded_at: new Date(now) })
      .onConflict((c) => c.columns(['site', 'sha256']).doNothing())
      .execute();
  },
  async has(sha256: string): Promise<boolean> {
    return (
      (await db
        .selectFrom('photo')
        .select('sha256')
        .where('sha256', '=', sha256)
        .executeTakeFirst()) !== undefined
    );
  },
  /** The hash of what is kept under a hash; null: nothing is. */
  async hashOf(sha256: string): Promise<string | null> {
    const bytes = await this.get(sha256, 'bytes');
    return bytes && createHash('sha256').update(bytes).digest('hex');
  },
  async get(sha256: string, size: 'bytes' | 'small'): Promise<Buffer | null> {
    const row = await db
      .selectFrom('photo')
      .select(size)
      .where('sha256', '=', sha256)
      .executeTakeFirst();
    return row ? (row as Record<typeof size, Buffer>)[size] : null;
  },
});
