import { sql } from 'kysely';
import { newId } from '@/platform/ids';
import type { Db } from '../client';
import type { DevicePurpose } from '../schema';

/** A phone that many share. */
export type SharedDevice = {
  readonly id: string;
  readonly name: string;
  readonly enrolledAt: number;
  readonly lastSeenAt: number | null;
  readonly revokedAt: number | null;
};

/** What is known of whoever bears a key. */
type KnownDevice = {
  readonly id: string;
  readonly site: string;
  readonly name: string;
  readonly purpose: DevicePurpose;
  readonly revoked: boolean;
  readonly seenAt: number;
};

const timeOf = (date: Date | null): number | null => date?.getTime() ?? null;

/** Phones that many share. */
export const deviceRepo = (db: Db) => ({
  async enrolDevice(
    device: {
      site: string;
      name: string;
      tokenHash: string;
      enrolledBy: string;
      purpose?: DevicePurpose;
    },
    at: number,
  ): Promise<string> {
    const id = newId();
    await db
      .insertInto('device')
      .values({
        ...{ id, site: device.site, name: device.name, token_hash: device.tokenHash },
        purpose: device.purpose ?? 'logging',
        ...{ enrolled_by: device.enrolledBy, enrolled_at: new Date(at) },
        ...{ last_seen_at: null, revoked_at: null, revoked_by: null },
      })
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
