import type { BatchId, EntryId } from '@/core/log/ids';
import { sql, type Insertable } from 'kysely';
import {
  GENESIS,
  LOT_LOG,
  sequenceOf,
  STORE_KINDS,
  STORE_LOG,
  type Entry,
  type EntryKind,
  type NewEntry,
} from '@/core/log/entry';
import { textFault } from '@/core/log/sound-text';
import { inheritedFrom, splitFromOf, type Heir } from '@/core/log/lineage';
import { siteKey } from '@/platform/site-key';
import type { Db } from '../client';
import type { LogEntryTable } from '../schema';
import { chainRepo, type SequenceEnd } from './chain';
import { entryHash, selectChained, toChained, toEntry } from './log-rows';

export type Appended = {
  readonly entries: readonly Entry[];
  /** Ids that the log held already: done, once. */ readonly already: readonly string[];
};

/** Entries as rows: each behind the one before it, numbered in the sequence of its own, signed. */
async function chainRows(
  db: Db,
  site: string,
  entries: readonly NewEntry[],
  recordedAt: (entry: NewEntry) => number,
): Promise<Insertable<LogEntryTable>[]> {
  const chain = chainRepo(db);
  let hash = (await chain.head(site))?.hash ?? GENESIS;
  const ends = new Map<string, SequenceEnd>();
  for (const e of entries)
    if (!ends.has(sequenceOf(e))) ends.set(sequenceOf(e), await chain.endOf(site, e));
  const key = siteKey();
  return entries.map((e) => {
    const recorded = recordedAt(e);
    const end = ends.get(sequenceOf(e)) ?? { n: 0, hash: GENESIS };
    const own = { n: end.n + 1, prev: end.hash };
    hash = entryHash(hash, site, { ...e, recordedAt: recorded, own });
    ends.set(sequenceOf(e), { n: own.n, hash });
    return {
      ...{ own_n: own.n, own_prev: own.prev, signature: key?.sign(hash) ?? null },
      ...{ id: e.id, site, batch: e.batch, by: e.by, kind: e.kind, hash },
      at: new Date(e.at),
      recorded_at: new Date(recorded),
      data: JSON.stringify(e.data),
    };
  });
}

export const logRepo = (db: Db) => ({
  /**
   * Adds entries in order, in a transaction that has taken its turn: the chain has one end.
   * An id that the log holds already is left out.
   */
  async append(
    site: string,
    entries: readonly NewEntry[],
    recordedAt: (entry: NewEntry) => number,
  ): Promise<Appended> {
    const known =
      entries.length === 0
        ? []
        : await db
            .selectFrom('log_entry')
            .select('id')
            // One parameter, however many there are: a statement takes some ten thousand.
            .where('id', '=', sql<EntryId>`any(${entries.map((e) => e.id)}::uuid[])`)
            .execute();
    const already = new Set(known.map((row) => row.id));
    const fresh = entries.filter((e) => !already.has(e.id));
    const unsound = fresh.find((e) => textFault({ by: e.by, data: e.data }) !== null);
    if (unsound)
      throw new RangeError(
        `append: entry ${unsound.id} holds a text that cannot be stored as it is hashed. Check it with textFault at the door.`,
      );
    const rows = await chainRows(db, site, fresh, recordedAt);
    const written: Entry[] = [];
    for (let i = 0; i < rows.length; i += 200) {
      written.push(
        ...(
          await db
            .insertInto('log_entry')
            .values(rows.slice(i, i + 200))
            .returningAll()
            .execute()
        ).map(toEntry),
      );
    }
    return { entries: written, already: [...already] };
  },
  /** When the log last took an entry; null: it is empty. */
  async lastRecordedAt(site: string): Promise<number | null> {
    const last = await db
      .selectFrom('log_entry')
      .select('recorded_at')
      .where('site', '=', site)
      .orderBy('seq', 'desc')
      .limit(1)
      .executeTakeFirst();
    return last ? last.recorded_at.getTime() : null;
  },

  /** Hash of the last entry, of all or of those that are no batch’s own; it covers every entry before it. Empty: there is none. */
  async lastHash(site: string, of: 'all' | 'site'): Promise<string> {
    const last = await db
      .selectFrom('log_entry')
      .select('hash')
      .where('site', '=', site)
      .$if(of === 'site', (q) => q.where('batch', 'is', null))
      .orderBy('seq', 'desc')
      .limit(1)
      .executeTakeFirst();
    return last?.hash ?? '';
  },
  /** Hash of a batch's last entry; it covers all that the log held then. Null: it has none. */
  async lastHashOfBatch(batch: BatchId): Promise<string | null> {
    const last = await db
      .selectFrom('log_entry')
      .select('hash')
      .where('batch', '=', batch)
      .orderBy('seq', 'desc')
      .limit(1)
      .executeTakeFirst();
    return last?.hash ?? null;
  },
  /**
   * Entries in which somebody wrote words, or of kinds that are called so, the latest first.
   * @param query a tsquery of the configuration `trade`
   */
  async find(
    site: string,
    query: string,
    kinds: readonly string[],
    most: number,
  ): Promise<Entry[]> {
    const words = sql<boolean>`(jsonb_to_tsvector('trade'::regconfig, data, '["string"]') || to_tsvector('trade'::regconfig, by)) @@ to_tsquery('trade'::regconfig, ${query})`;
    const found = db
      .selectFrom('log_entry')
      .selectAll()
      .where('site', '=', site)
      .where((eb) => (kinds.length === 0 ? words : eb.or([words, eb('kind', 'in', kinds)])))
      .orderBy('at', 'desc')
      .orderBy('seq', 'desc')
      .limit(most);
    return (await found.execute()).map(toEntry);
  },
  /** Entries of a site that happened before an instant, the latest first. */
  async latest(site: string, before: number, most: number): Promise<Entry[]> {
    const found = db
      .selectFrom('log_entry')
      .selectAll()
      .where('site', '=', site)
      .where('at', '<=', new Date(before))
      .orderBy('at', 'desc')
      .orderBy('seq', 'desc')
      .limit(most);
    return (await found.execute()).map(toEntry);
  },
  /** How many entries of a site happened up to an instant. */
  async countUntil(site: string, until: number): Promise<number> {
    const { n } = await db
      .selectFrom('log_entry')
      .select((w) => w.fn.countAll<string>().as('n'))
      .where('site', '=', site)
      .where('at', '<=', new Date(until))
      .executeTakeFirstOrThrow();
    return Number(n);
  },
  /** Entries of a site before a number, the last first. */
  async latestBySeq(site: string, before: number, most: number): Promise<Entry[]> {
    const found = db
      .selectFrom('log_entry')
      .selectAll()
      .where('site', '=', site)
      .where('seq', '<', String(Number.isSafeInteger(before) ? before : Number.MAX_SAFE_INTEGER))
      .orderBy('seq', 'desc')
      .limit(most);
    return (await found.execute()).map(toEntry);
  },
  /** A batch's own entries from a place of the log on. */
  async ofBatchFrom(batch: BatchId, seq: number): Promise<Entry[]> {
    return (
      await db
        .selectFrom('log_entry')
        .selectAll()
        .where('batch', '=', batch)
        .where('seq', '>=', String(seq))
        .orderBy('seq')
        .execute()
    ).map(toEntry);
  },
  /** The site that has shown a lot to the public, asked before a site is known; null: none has. */
  async siteOfPublicLot(lot: string): Promise<string | null> {
    const { rows } = await sql<{ site: string | null }>`
      select site_of_public_lot(${lot}) as site`.execute(db);
    return rows[0]?.site ?? null;
  },
  async byId(id: EntryId): Promise<Entry | null> {
    const row = await db
      .selectFrom('log_entry')
      .selectAll()
      .where('id', '=', id)
      .executeTakeFirst();
    return row ? toEntry(row) : null;
  },
  /** Those of some ids that the log holds. */
  async ofIds(ids: readonly EntryId[]): Promise<Entry[]> {
    if (ids.length === 0) return [];
    return (
      await db
        .selectFrom('log_entry')
        .selectAll()
        .where('id', '=', sql<EntryId>`any(${ids}::uuid[])`)
        .execute()
    ).map(toEntry);
  },
  /** All ends of a single act between heaps: the entry that a person made, and those written with it. */
  async ofAct(act: EntryId): Promise<Entry[]> {
    return (
      await db
        .selectFrom('log_entry')
        .selectAll()
        .where((w) => w.or([w('id', '=', act), w(sql<string>`data->>'act'`, '=', act)]))
        .orderBy('seq')
        .execute()
    ).map(toEntry);
  },
  /** Parts that were carried off from a batch, and when. */
  async heirsOf(batch: BatchId): Promise<Heir[]> {
    const { rows } = await sql<{ batch: BatchId; at: string }>`
      select batch, data->'splitFrom'->>'at' as at from log_entry
      where kind = 'opened' and data->'splitFrom'->>'batch' = ${batch} order by seq`.execute(db);
    return rows.map((row) => ({ batch: row.batch, at: Number(row.at) }));
  },
  /** A batch's entries, behind what it has inherited from the heap it was carried off from; in the order of the log. */
  async ofBatch(batch: BatchId): Promise<Entry[]> {
    const own = (
      await db
        .selectFrom('log_entry')
        .selectAll()
        .where('batch', '=', batch)
        .orderBy('seq')
        .execute()
    ).map(toEntry);
    const from = splitFromOf(own, batch);
    if (from === null || from.batch === batch) return own;
    const parent = await this.ofBatch(from.batch);
    return [...inheritedFrom(parent, from.at), ...own].sort((a, b) => a.seq - b.seq);
  },
  /** Entries that speak of the whole site: thermometer checks, air, and corrections of those; not what lies in its store. */
  async ofSite(site: string): Promise<Entry[]> {
    return (
      await db
        .selectFrom('log_entry')
        .selectAll()
        .where('site', '=', site)
        .where('batch', 'is', null)
        .where('kind', 'not in', STORE_KINDS)
        .orderBy('seq')
        .execute()
    ).map(toEntry);
  },
  /** What the store is folded from: its own entries, what went out of it into heaps, and their corrections. */
  ofStore(site: string): Promise<Entry[]> {
    return this.ofKinds(site, STORE_LOG);
  },
  /** What lots and the flows between them are read from, with their corrections. */
  ofLots(site: string): Promise<Entry[]> {
    return this.ofKinds(site, LOT_LOG);
  },
  /** All entries of a site of some kinds, and their corrections. */
  async ofKinds(site: string, kinds: readonly EntryKind[]): Promise<Entry[]> {
    return (
      await db
        .selectFrom('log_entry')
        .selectAll()
        .where('site', '=', site)
        .where((w) =>
          w.or([
            w('kind', 'in', kinds),
            w.and([
              w('kind', '=', 'correction'),
              w(
                sql<string>`data->>'target'`,
                'in',
                w
                  .selectFrom('log_entry as t')
                  .select(sql<string>`t.id::text`.as('id'))
                  .where('t.site', '=', site)
                  .where('t.kind', 'in', kinds),
              ),
            ]),
          ]),
        )
        .orderBy('seq')
        .execute()
    ).map(toEntry);
  },
  /** A batch's entries, what it inherited, and the site's own, each with the hash of the entry before it in the site's chain. */
  async chained(
    site: string,
    batch: BatchId,
    until: number,
  ): Promise<{ entry: Entry; prev: string }[]> {
    const ids = (await this.ofBatch(batch)).map((e) => e.id);
    const rows = await selectChained(db, site)
      .where((w) =>
        w.or([
          w('e.id', '=', sql<EntryId>`any(${ids}::uuid[])`),
          w.and([w('e.batch', 'is', null), w('e.kind', 'not in', STORE_KINDS)]),
        ]),
      )
      .where('e.recorded_at', '<=', new Date(until))
      .orderBy('e.seq')
      .execute();
    return rows.map(toChained);
  },
  /** Batches that the log knew at a moment. */
  async openedBy(site: string, until: number): Promise<ReadonlySet<BatchId>> {
    const rows = await db
      .selectFrom('log_entry')
      .select('batch')
      .where('site', '=', site)
      .where('kind', '=', 'opened')
      .where('recorded_at', '<=', new Date(until))
      .execute();
    return new Set(rows.flatMap((row) => row.batch ?? []));
  },
  async batchIds(site: string): Promise<BatchId[]> {
    return (
      await db
        .selectFrom('log_entry')
        .select('batch')
        .where('site', '=', site)
        .where('kind', '=', 'opened')
        .orderBy('seq')
        .execute()
    ).flatMap((row) => row.batch ?? []);
  },
  /** Whether a person has written here since a moment. */
  async writtenSince(site: string, moment: number): Promise<boolean> {
    return (
      (await db
        .selectFrom('log_entry')
        .select('seq')
        .where('site', '=', site)
        .where('recorded_at', '>', new Date(moment))
        .limit(1)
        .executeTakeFirst()) !== undefined
    );
  },
});
