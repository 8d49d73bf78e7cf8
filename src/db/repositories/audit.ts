import { sql } from 'kysely';
import { newId } from '@/platform/ids';
import { inTransaction } from '../in-transaction';
import type { Db } from '../client';
import {
  codeOfEvent,
  keepAuditEnd,
  NO_EVENTS,
  type AuditEnd,
  type SealedEvent,
} from '../seal-audit';

/**
 * Recorded for checks alone, which compare other tables with them: a person's role and name, an inspector's visit, and the numbers
 * that were given up when a backup was restored.
 */
type OwnAuditEvent = 'place-set' | 'visited' | 'restored';
const OWN: readonly OwnAuditEvent[] = ['place-set', 'visited', 'restored'];

/** What happened at the door, for whoever has to find out later. */
export type AuditEvent = {
  readonly event:
    | 'signed-in'
    | 'sign-in-refused'
    | 'signed-out'
    | 'invited'
    | 'joined'
    | 'invitation-withdrawn'
    | 'password-renewed'
    | 'second-factor'
    | 'role-changed'
    | 'membership-ended'
    | 'device-enrolled'
    | 'device-revoked'
    | 'entry-refused'
    | 'exported'
    | OwnAuditEvent;
  readonly site: string | null;
  readonly who: string | null;
  readonly about: Readonly<Record<string, string>>;
};

/** What a manager reads of it: the rest is for checks. */
export type ShownEvent = Omit<AuditEvent, 'event'> & {
  readonly event: Exclude<AuditEvent['event'], OwnAuditEvent>;
};
/** An event's place in the sequence of its site; null: it comes from before there was one. */
export type NumberedEvent = { readonly n: number | null; readonly code: string | null };

/** Where the events of a site, or those of no site, end. */
async function endOf(db: Db, site: string | null): Promise<AuditEnd> {
  const row = await db
    .selectFrom('audit_event')
    .select(['n', 'code'])
    .where('site', site === null ? 'is' : '=', site)
    .where('n', 'is not', null)
    .orderBy('n', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row ? { n: Number(row.n), code: row.code ?? '' } : NO_EVENTS;
}

/** Adds an event behind the last one, while nobody else does. @param n its number, where some are left out */
async function append(
  trx: Db,
  { event, site, who, about }: AuditEvent,
  at: number,
  n?: number,
): Promise<AuditEnd> {
  await sql`select pg_advisory_xact_lock(hashtext('audit'), hashtext(${site ?? ''}))`.execute(trx);
  const last = await endOf(trx, site);
  const row: SealedEvent = { id: newId(), site, at: new Date(at), event, who, about };
  const end = { n: n ?? last.n + 1, code: codeOfEvent(row, n ?? last.n + 1, last.code) };
  await trx
    .insertInto('audit_event')
    .values({ ...row, about: JSON.stringify(about), ...end })
    .execute();
  return { n: end.n, code: end.code ?? '' };
}

/** What happened at the door of a site; written once, never changed. */
export const auditRepo = (db: Db) => ({
  /** Writes an event down. @param n its number, where a restore leaves some out; absent: the next one */
  async audit(event: AuditEvent, at: number, n?: number): Promise<void> {
    const end = await inTransaction(db, (trx) => append(trx, event, at, n));
    // Within somebody else's transaction it is not committed yet; what is remembered may lie behind.
    if (!db.isTransaction) keepAuditEnd(event.site, end);
  },
  /** Where the events of a site, or of no site, end. */
  endOf: (site: string | null): Promise<AuditEnd> => endOf(db, site),
  /** All events of a site, or of no site, in their order; those without a number first. @param event of one kind alone */
  async all(
    site: string | null,
    event?: OwnAuditEvent,
  ): Promise<readonly (SealedEvent & NumberedEvent)[]> {
    const rows = await db
      .selectFrom('audit_event')
      .selectAll()
      .where('site', site === null ? 'is' : '=', site)
      .$if(event !== undefined, (q) => q.where('event', '=', event ?? ''))
      .orderBy('n', (o) => o.asc().nullsFirst())
      .orderBy('at')
      .orderBy('id')
      .execute();
    return rows.map((r) => ({ ...r, n: r.n === null ? null : Number(r.n) }));
  },
  /** Numbers an event from before there were numbers, behind the last one: once, at the upgrade. */
  async number(event: SealedEvent, last: AuditEnd): Promise<AuditEnd> {
    const end = { n: last.n + 1, code: codeOfEvent(event, last.n + 1, last.code) };
    await db.updateTable('audit_event').set(end).where('id', '=', event.id).execute();
    return { n: end.n, code: end.code ?? '' };
  },
  /** The last things that happened at the door of a site, the newest first. */
  async auditEvents(
    site: string,
    count: number,
  ): Promise<(ShownEvent & { readonly at: number })[]> {
    const rows = await db
      .selectFrom('audit_event')
      .selectAll()
      .where('site', '=', site)
      .where('event', 'not in', OWN)
      .orderBy('at', 'desc')
      .limit(count)
      .execute();
    return rows.map((r) => ({
      ...{ site: r.site, who: r.who, at: r.at.getTime() },
      event: r.event as ShownEvent['event'],
      about: r.about as Record<string, string>,
    }));
  },
});
