import { createHash } from 'node:crypto';
import type { Db } from '../client';
import { codeOver } from '../derived-code';

export type StoredPhoto = {
  readonly sha256: string;
  readonly bytes: Buffer;
  readonly small: Buffer;
  readonly width: number;
  readonly height: number;
};

/** The code over a small picture and the one that it was made of; null: there is no key. */
const codeOfSmall = (sha256: string, small: Buffer): string | null =>
  codeOver('derived', `photo\n${sha256}\n${createHash('sha256').update(small).digest('hex')}`);

/** A small picture, and whether it is as this installation made it; null: nothing says so. */
type SmallPhoto = { readonly bytes: Buffer; readonly isAsMade: boolean | null };

export const photoRepo = (db: Db) => ({
  /** Adds a picture; one that is there already is left as it is. */
  async put(site: string, photo: StoredPhoto, now: number): Promise<void> {
    await db
      .insertInto('photo')
      .values({
        ...{ ...photo, site, recorded_at: new Date(now) },
        small_code: codeOfSmall(photo.sha256, photo.small),
      })
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
    const bytes = await this.get(sha256);
    return bytes && createHash('sha256').update(bytes).digest('hex');
  },
  async get(sha256: string): Promise<Buffer | null> {
    const row = await db
      .selectFrom('photo')
      .select('bytes')
      .where('sha256', '=', sha256)
      .executeTakeFirst();
    return row?.bytes ?? null;
  },
  /** The small one of a picture; null: there is no such picture. */
  async small(sha256: string): Promise<SmallPhoto | null> {
    const row = await db
      .selectFrom('photo')
      .select(['small', 'small_code'])
      .where('sha256', '=', sha256)
      .executeTakeFirst();
    if (!row) return null;
    const code = codeOfSmall(sha256, row.small);
    if (code !== null && row.small_code === null) return { bytes: row.small, isAsMade: null };
    // With no key nothing can be asked of it.
    return { bytes: row.small, isAsMade: code === null || code === row.small_code };
  },
});
