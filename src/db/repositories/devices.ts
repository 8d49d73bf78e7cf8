import { sql, type Insertable } from 'kysely';
import { newId } from '@/platform/ids';
import type { Db } from '../client';
import type { Database, DevicePurpose } from '../schema';

/** A phone that many share. */
export type SharedDevice = {
  readonly id: string;
  readonly name: string;
  readonly enrolledAt: number;
  readonly lastSeenAt: number | null;
  readonly revokedAt: number | null;
};

/** What is known of whoever bears a key. */
export type KnownDevice = {
  readonly id: string;
  readonly site: string;
  readonly name: string;
  readonly purpose: DevicePurpose;
  readonly revoked: boolean;
  readonly seenAt: number;
};

const timeOf = (date: Date | null): number | null => date?.getTime() ?? null;

type NewDevice = {
  readonly site: string;
  readonly name: string;
  readonly tokenHash: string;
  readonly enrolledBy: string;
  readonly purpose?: DevicePurpose;
};
const rowOf = (id: string, d: NewDevice, at: number): Insertable<Database['device']> => ({
  ...{ id, site: d.site, name: d.name, token_hash: d.tokenHash, purpose: d.purpose ?? 'logging' },
  ...{ enrolled_by: d.enrolledBy, enrolled_at: new Date(at) },
  ...{ last_seen_at: null, revoked_at: null, revoked_by: null },
});

/** Phones that many share, and calendars. */
export const deviceRepo = (db: Db) => ({
  async enrolDevice(device: NewDevice, at: number): Promise<string> {
    const id = newId();
    await db
      .insertInto('device')
      .values(rowOf(id, device, at))
      .execute();
    return id;
  },
  /** The site whose phone bears a token, asked before a site is known; null: none was ever given it. */
  async siteOfToken(tokenHash: string): Promise<string | null> {
    const { rows } = await sql<{ site: string | null }>`
      select site_of_device(${tokenHash}) as site`.execute(db);
    return rows[0]?.site ?? null;
  },
  /** The phone that bears a token, revoked or not; null: none was ever given it. */
  async deviceByToken(tokenHash: string): Promise<KnownDevice | null> {
    const r = await db
      .selectFrom('device')
      .select(['id', 'site', 'name', 'purpose', 'revoked_at', 'last_seen_at'])
      .where('token_hash', '=', tokenHash)
      .executeTakeFirst();
    return r
      ? {
          ...{ id: r.id, site: r.site, name: r.name, purpose: r.purpose },
          revoked: r.revoked_at !== null,
          seenAt: timeOf(r.last_seen_at) ?? 0,
        }
      : null;
  },
  async devices(site: string): Promise<SharedDevice[]> {
    const rows = await db
      .selectFrom('device')
      .selectAll()
      .where('site', '=', site)
      .orderBy('enrolled_at', 'desc')
      .execute();
    return rows.map((r) => ({
      ...{ id: r.id, name: r.name, enrolledAt: r.enrolled_at.getTime() },
      ...{ lastSeenAt: timeOf(r.last_seen_at), revokedAt: timeOf(r.revoked_at) },
    }));
  },
  async noteDeviceSeen(id: string, at: number): Promise<void> {
    await db
      .updateTable('device')
      .set({ last_seen_at: new Date(at) })
      .where('id', '=', id)
      .execute();
  },
  async revokeDevice(site: string, id: string, by: string, at: number): Promise<void> {
    await db
      .updateTable('device')
      .set({ revoked_at: new Date(at), revoked_by: by })
      .where('site', '=', site)
      .where('id', '=', id)
      .where('revoked_at', 'is', null)
      .execute();
  },
});
