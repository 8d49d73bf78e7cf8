import { sql } from 'kysely';
import { ChainChecker, type ChainFault } from '@/core/log/chain';
import { GENESIS, isSiteSequence, STORE_KINDS } from '@/core/log/entry';
import type { BatchId, EntryId } from '@/core/log/ids';
import { lastOf } from '@/core/quantity/present';
import { siteKey } from '@/platform/site-key';
import type { Db } from '../client';
import { entryHash, toEntry } from './log-rows';

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
  /** Walks the whole log and names each entry that does not fit. */
  async checkChain(site: string): Promise<ChainReport> {
    const key = siteKey();
    const checker = new ChainChecker({
      hashOf: (previous, entry) => entryHash(previous, site, entry),
      isSigned: key && ((hash, signature) => key.sign(hash) === signature),
    });
    for (let after = '0'; ;) {
      const rows = await db
        .selectFrom('log_entry')
        .selectAll()
        .where('site', '=', site)
        .where('seq', '>', after)
        .orderBy('seq')
        .limit(500)
        .execute();
      for (const row of rows) checker.take(toEntry(row));
      if (rows.length < 500) return { entries: checker.entries, faults: checker.faults };
      after = lastOf(rows).seq;
    }
  },
});
