import { createHash } from 'node:crypto';
import type { Selectable } from 'kysely';
import { chainText, GENESIS, type Entry, type NewEntry, type OwnLink } from '@/core/log/entry';
import type { Db } from '../client';
import type { LogEntryTable } from '../schema';

/** Entries as the table of the log holds them. */

type Hashed = NewEntry & { readonly recordedAt: number; readonly own?: OwnLink | undefined };

/** SHA-256 over the hash before and the canonical JSON of the entry: a changed history shows. */
export const entryHash = (previous: string, site: string, entry: Hashed): string =>
  createHash('sha256').update(previous).update(chainText(site, entry)).digest('hex');

/** An entry out of its row. */
export const toEntry = (row: Selectable<LogEntryTable>): Entry =>
  ({
    seq: Number(row.seq),
    id: row.id,
    batch: row.batch,
    at: row.at.getTime(),
    recordedAt: row.recorded_at.getTime(),
    by: row.by,
    kind: row.kind,
    data: row.data,
    hash: row.hash,
    ...(row.own_n === null || row.own_prev === null
      ? {}
      : { own: { n: row.own_n, prev: row.own_prev } }),
    ...(row.signature === null ? {} : { signature: row.signature }),
  }) as unknown as Entry;

/** Entries of a site, each with the hash of the one before it in the site's chain; the query can be narrowed further. */
export const selectChained = (db: Db, site: string) =>
  db
    .selectFrom('log_entry as e')
    .selectAll('e')
    .select((w) =>
      w
        .selectFrom('log_entry as p')
        .select('p.hash')
        .whereRef('p.site', '=', 'e.site')
        .whereRef('p.seq', '<', 'e.seq')
        .orderBy('p.seq', 'desc')
        .limit(1)
        .as('prev'),
    )
    .where('e.site', '=', site);
export const toChained = ({
  prev,
  ...row
}: Selectable<LogEntryTable> & { readonly prev: string | null }): {
  entry: Entry;
  prev: string;
} => ({ entry: toEntry(row), prev: prev ?? GENESIS });
