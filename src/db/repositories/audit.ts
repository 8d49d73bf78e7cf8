import { newId } from '@/platform/ids';
import type { Db } from '../client';

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
    | 'exported';
  readonly site: string | null;
  readonly who: string | null;
  readonly about: Readonly<Record<string, string>>;
};

/** What happened at the door of a site; written once, never changed. */
export const auditRepo = (db: Db) => ({
  async audit({ event, site, who, about }: AuditEvent, at: number): Promise<void> {
    await db
      .insertInto('audit_event')
      .values({ id: newId(), site, at: new Date(at), event, who, about: JSON.stringify(about) })
      .execute();
  },
  /** The last things that happened at the door of a site, the newest first. */
  async auditEvents(
    site: string,
    count: number,
  ): Promise<(AuditEvent & { readonly at: number })[]> {
    const rows = await db
      .selectFrom('audit_event')
      .selectAll()
      .where('site', '=', site)
      .orderBy('at', 'desc')
      .limit(count)
      .execute();
    return rows.map((r) => ({
      ...{ site: r.site, who: r.who, at: r.at.getTime() },
      event: r.event as AuditEvent['event'],
      about: r.about as Record<string, string>,
    }));
  },
});
