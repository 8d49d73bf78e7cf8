import { sql } from 'kysely';
import { ChainChecker, type ChainFault } from '@/core/log/chain';
import { GENESIS, isSiteSequence, STORE_KINDS, type Entry } from '@/core/log/entry';
import type { BatchId, EntryId } from '@/core/log/ids';
import { lastOf } from '@/core/quantity/present';
import { siteKey } from '@/platform/site-key';
import type { Db } from '../client';
import { readMemory } from '../site-heads';
import { entryHash, selectChained, toChained, toEntry } from './log-rows';

/** What was found when a log was walked. */
export type ChainReport = {
  readonly entries: number;
  readonly faults: readonly ChainFault[];
};
/** Where the log, or a sequence in it, ends. */
export type SequenceEnd = { readonly n: number; readonly hash: string };

/** The chain of a log: its ends, and whether it fits. */
export const chainRepo = (db: Db) => ({
  /** Where the sequence of an entry's own ends. @param until entries that were recorded later are left out */
  async endOf(
    site: string,
    of: { readonly batch: string | null; readonly kind: string },
    until?: number,
  ): Promise<SequenceEnd> {
    const rows = db
      .selectFrom('log_entry')
      .where('site', '=', site)
      .$if(of.batch !== null, (q) => q.where('batch', '=', of.batch as BatchId))
      .$if(of.batch === null, (q) =>
        q
          .where('batch', 'is', null)
          .where('kind', isSiteSequence(of) ? 'not in' : 'in', STORE_KINDS),
      )
      .$if(until !== undefined, (q) => q.where('recorded_at', '<=', new Date(until ?? 0)));
    const last = await rows
      .select(['hash', 'own_n'])
      .orderBy('seq', 'desc')
      .limit(1)
      .executeTakeFirst();
    if (!last) return { n: 0, hash: GENESIS };
    if (last.own_n !== null) return { n: last.own_n, hash: last.hash };
    // From before there were numbers: they are counted once, and go on from there.
    const { n } = await rows.select(db.fn.countAll<string>().as('n')).executeTakeFirstOrThrow();
    return { n: Number(n), hash: last.hash };
  },
  /** Hash of the entry at a place of a batch's own sequence, from 1; null: it is not as long. */
  async hashInSequence(site: string, batch: BatchId, n: number): Promise<string | null> {
    const row = await db
      .selectFrom('log_entry')
      .select('hash')
      .where('site', '=', site)
      .where('batch', '=', batch)
      .orderBy('seq')
      .offset(Math.max(0, n - 1))
      .limit(1)
      .executeTakeFirst();
    return row?.hash ?? null;
  },
  /** The end of the whole log. @param until entries that were recorded later are left out; null: there is none */
  async head(
    site: string,
    until?: number,
  ): Promise<{ readonly seq: number; readonly hash: string; readonly recordedAt: number } | null> {
    const row = await db
      .selectFrom('log_entry')
      .select(['seq', 'hash', 'recorded_at'])
      .where('site', '=', site)
      .$if(until !== undefined, (q) => q.where('recorded_at', '<=', new Date(until ?? 0)))
      .orderBy('seq', 'desc')
      .limit(1)
      .executeTakeFirst();
    return row
      ? { seq: Number(row.seq), hash: row.hash, recordedAt: row.recorded_at.getTime() }
      : null;
  },
  /** Whether the last entry is what was written: it fits the one before it, and this installation signed it. Null: nothing is wrong. */
  async checkEnd(site: string): Promise<ChainFault | null> {
    const [last, before] = await db
      .selectFrom('log_entry')
      .selectAll()
      .where('site', '=', site)
      .orderBy('seq', 'desc')
      .limit(2)
      .execute();
    if (!last) return null;
    const { hash, seq, id, signature } = toEntry(last);
    const fault = (code: ChainFault['code']): ChainFault => ({ code, seq, id });
    if (entryHash(before?.hash ?? GENESIS, site, toEntry(last)) !== hash) return fault('CHANGED');
    const key = siteKey();
    return !key || !signature || key.sign(hash) === signature ? null : fault('OTHER_KEY');
  },
  /** The hash that the log holds at a number; null: it holds none there. */
  async hashAt(site: string, seq: number): Promise<string | null> {
    const row = await db
      .selectFrom('log_entry')
      .select('hash')
      .where('site', '=', site)
      .where('seq', '=', String(seq))
      .executeTakeFirst();
    return row?.hash ?? null;
  },
  /** Pictures that entries speak of, each with the first entry that does. */
  async photosNamed(
    site: string,
  ): Promise<{ readonly seq: number; readonly id: EntryId; readonly sha256: string }[]> {
    const rows = await sql<{ seq: string; id: EntryId; sha256: string }>`
      select distinct on (named.sha256) e.seq, e.id, named.sha256
      from log_entry e cross join lateral (
        select e.data->>'sha256' as sha256 where e.kind = 'photo'
        union all
        select jsonb_array_elements_text(e.data->'photos') where jsonb_typeof(e.data->'photos') = 'array'
      ) named
      where e.site = ${site} and named.sha256 is not null
      order by named.sha256, e.seq`.execute(db);
    return rows.rows.map((r) => ({ ...r, seq: Number(r.seq) }));
  },
  /** Hashes that the log holds at some numbers. */
  async hashesAt(site: string, seqs: readonly number[]): Promise<ReadonlyMap<number, string>> {
    if (seqs.length === 0) return new Map();
    const rows = await db
      .selectFrom('log_entry')
      .select(['seq', 'hash'])
      .where('site', '=', site)
      .where('seq', '=', sql<string>`any(${seqs}::bigint[])`)
      .execute();
    return new Map(rows.map((row) => [Number(row.seq), row.hash]));
  },
  /** Entries of a kind that are what this installation signed: what somebody else put into the table, or changed there, says nothing. */
  async signedOfKind<K extends Entry['kind']>(
    site: string,
    kind: K,
  ): Promise<Extract<Entry, { kind: K }>[]> {
    const key = siteKey();
    const rows = await selectChained(db, site)
      .where('e.batch', 'is', null)
      .where('e.kind', '=', kind)
      .orderBy('e.seq')
      .execute();
    const isSigned = (e: Entry, prev: string): boolean =>
      entryHash(prev, site, e) === e.hash && key?.sign(e.hash) === e.signature;
    return rows
      .map(toChained)
      .filter(({ entry, prev }) => isSigned(entry, prev))
      .map(({ entry }) => entry as Extract<Entry, { kind: K }>);
  },
  /** The first entry from which on all are signed by this installation; 0: all are. Behind the end: not even the last one is. */
  async signedFrom(site: string): Promise<number> {
    const key = siteKey();
    let from = 0;
    await eachEntry(db, site, 0, ({ seq, hash, signature }) => {
      if (!key || key.sign(hash) !== signature) from = seq + 1;
    });
    return from;
  },
  /**
   * Walks the log and names each entry that does not fit.
   * @param start behind which entry; null: from the first one on
   * @param signedFrom from which entry on all must be signed; null: it is not known
   */
  async walk(
    site: string,
    start: { readonly seq: number; readonly hash: string } | null,
    signedFrom: number | null,
  ): Promise<ChainReport> {
    const key = siteKey();
    const checker = new ChainChecker(
      {
        hashOf: (previous, entry) => entryHash(previous, site, entry),
        isSigned: key && ((hash, signature) => key.sign(hash) === signature),
        signedFrom,
      },
      start,
    );
    await eachEntry(db, site, start?.seq ?? 0, (entry) => checker.take(entry));
    return { entries: checker.entries, faults: checker.faults };
  },
  /** Walks the whole log, with what is remembered of it outside the database. */
  checkChain(site: string): Promise<ChainReport> {
    return this.walk(site, null, readMemory(site).signedFrom);
  },
});

/** Reads a log piece by piece, in its order. */
async function eachEntry(
  db: Db,
  site: string,
  afterSeq: number,
  take: (entry: Entry) => void,
): Promise<void> {
  for (let after = String(afterSeq); ;) {
    const rows = await db
      .selectFrom('log_entry')
      .selectAll()
      .where('site', '=', site)
      .where('seq', '>', after)
      .orderBy('seq')
      .limit(500)
      .execute();
    for (const row of rows) take(toEntry(row));
    if (rows.length < 500) return;
    after = lastOf(rows).seq;
  }
}
