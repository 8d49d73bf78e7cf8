import { sql } from 'kysely';
import { liveEntries } from '@/core/lots/fold';
import { canonicalJson, type Entry } from '@/core/log/entry';
import type { BatchId } from '@/core/log/ids';
import { isoOf } from '@/core/quantity/instant';
import { sha256 } from '@/platform/hash';
import type { Db } from '../client';
import { inTransaction } from '../in-transaction';
import type { BatchEnds } from '../schema';
import { auditRepo } from './audit';
import { chainRepo } from './chain';
import { logRepo } from './log';

type Inspection = Extract<Entry, { kind: 'inspection' }>;
type Visit = { readonly at: number; readonly ends: BatchEnds };
type KeptVisit = Visit & { readonly link: string };
/** What has become of a batch since a visit. */
export type SinceVisit =
  | { readonly batch: string; readonly is: 'same' | 'changed' }
  | { readonly batch: string; readonly is: 'added'; readonly n: number };

/** What the audit event of a visit records: by which link, when, and the digest of what was seen. */
export const visitFacts = ({ link, at, ends }: KeptVisit) => ({
  ...{ link, at: isoOf(at), ends: sha256(canonicalJson(ends)) },
});

const keepVisit = (db: Db, site: string, { link, at, ends }: KeptVisit): Promise<void> =>
  inTransaction(db, async (trx) => {
    const added = await trx
      .insertInto('inspector_visit')
      .values({ link, site, at: new Date(at), ends: JSON.stringify(ends) })
      .onConflict((c) => c.doNothing())
      .executeTakeFirst();
    if (added.numInsertedOrUpdatedRows !== 1n) return;
    const about = visitFacts({ link, at, ends });
    await auditRepo(trx).audit({ event: 'visited', site, who: null, about }, at);
  });

async function visitsOf(db: Db, site: string): Promise<KeptVisit[]> {
  const rows = await db
    .selectFrom('inspector_visit')
    .select(['link', 'at', 'ends'])
    .where('site', '=', site)
    .orderBy('at')
    .execute();
  return rows.map(({ link, at, ends }) => ({ link, at: at.getTime(), ends }));
}

/** Links by which somebody from outside reads batches, and what was seen by them. */
export const inspectionRepo = (db: Db) => ({
  /** Links that are open at a moment, the newest first. */
  async open(site: string, now: number): Promise<Inspection[]> {
    return liveEntries(await logRepo(db).ofKinds(site, ['inspection']))
      .filter((e): e is Inspection => e.kind === 'inspection' && e.data.until > now)
      .reverse();
  },
  /** The site that a token shows some batches of, asked before a site is known; null: none. */
  async siteOfToken(tokenHash: string): Promise<string | null> {
    const { rows } = await sql<{ site: string | null }>`
      select site_of_inspection(${tokenHash}) as site`.execute(db);
    return rows[0]?.site ?? null;
  },
  /** The link of a token's hash that is open at a moment; null: there is none. */
  async find(site: string, tokenHash: string, now: number): Promise<Inspection | null> {
    return (await this.open(site, now)).find((e) => e.data.tokenHash === tokenHash) ?? null;
  },
  /** Where the sequences of some batches end now. */
  async endsOf(site: string, batches: readonly BatchId[]): Promise<BatchEnds> {
    const ends: Record<string, { n: number; hash: string }> = {};
    for (const batch of batches) {
      const { n, hash } = await chainRepo(db).endOf(site, { batch, kind: 'opened' });
      ends[batch] = { n, hash };
    }
    return ends;
  },
  async lastVisit(link: string): Promise<Visit | null> {
    const row = await db
      .selectFrom('inspector_visit')
      .select(['at', 'ends'])
      .where('link', '=', link)
      .orderBy('at', 'desc')
      .limit(1)
      .executeTakeFirst();
    return row ? { at: row.at.getTime(), ends: row.ends } : null;
  },
  /** Saves what is seen at a visit, and records the visit as an audit event. */
  keepVisit: (site: string, link: string, at: number, ends: BatchEnds): Promise<void> =>
    keepVisit(db, site, { link, at, ends }),
  /** Every visit that is kept of a site. */
  visitsOf: (site: string): Promise<readonly KeptVisit[]> => visitsOf(db, site),
  /** What was added to each batch since a visit, and whether what was there then is there still. */
  async since(site: string, visit: Visit, now: BatchEnds): Promise<SinceVisit[]> {
    const found: SinceVisit[] = [];
    for (const [batch, was] of Object.entries(visit.ends)) {
      const end = now[batch];
      const there = await chainRepo(db).hashInSequence(site, batch as BatchId, was.n);
      if (!end || there !== was.hash) found.push({ batch, is: 'changed' });
      else if (end.n === was.n) found.push({ batch, is: 'same' });
      else found.push({ batch, is: 'added', n: end.n - was.n });
    }
    return found;
  },
});
