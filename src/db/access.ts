import { roleOnSharedDevice, type AccessRole } from '@/core/access/roles';
import type { MemberRole } from '@/core/log/entered-by';
import { now } from '@/platform/clock';
import {
  currentCookie,
  currentCookies,
  currentSiteId,
  inSite,
  onceForRequest,
  setCurrentSite,
} from '@/platform/current-request';
import { env } from '@/platform/env';
import { sha256 } from '@/platform/hash';
import { nameCookie } from '@/platform/site-key';
import type { Db } from './client';
import type { DevicePurpose } from './schema';
import { deviceRepo, type KnownDevice } from './repositories/devices';
import { memberRepo, type Membership } from './repositories/members';
import { siteRepo, type Site } from './repositories/site';

/** Who asks, for which site, and what they are there. */
export type Access = {
  /** Null: nobody whom the site knows. */ readonly role: AccessRole | null;
  /** The site that is asked for; null: there is none for whoever asks. */
  readonly site: Site | null;
  /** Who has signed in; null: nobody, or a shared phone. */
  readonly person: {
    readonly id: string;
    readonly name: string;
    readonly role: MemberRole | null;
    readonly partner: string | null;
  } | null;
  /** The shared phone that asks; null: it is none. */
  readonly device: { readonly id: string; readonly name: string } | null;
  /** The phone was let in once, and is not any more. */ readonly isRevoked: boolean;
  /** All places of whoever has signed in. */ readonly memberships: readonly Membership[];
};
export const NO_ACCESS: Access = {
  ...{ role: null, site: null, person: null, device: null, isRevoked: false, memberships: [] },
};
/** Under this name what was found out about a request is kept. */
export const ACCESS = 'access';
const DEVICE_COOKIE = 'zh_device';
/** `__Host-` binds a cookie to this very server, which browsers take behind https alone. */
const boundName = (name: string): string => (env.isHttpsOnly() ? `__Host-${name}` : name);
/** Bears the key of a shared phone. */
export const deviceCookieName = (): string => boundName(nameCookie(DEVICE_COOKIE));
/** Bears the site that whoever has several looks at. */
export const siteCookieName = (): string => nameCookie('zh_site');
/** The key of a shared phone. Phones that joined before cookies were named after their installation bear it by the old name. */
const deviceKey = (): string | null =>
  currentCookie(deviceCookieName()) ?? currentCookie(boundName(DEVICE_COOKIE));
/** A phone's last use is noted at most so often. */
const NOTE_SEEN_MS = 60_000;

/** Who asks, by what the request bears; looked up once for it. @param accounts the pool that reads sessions */
export const accessOfRequest = (db: Db, accounts: Db): Promise<Access> =>
  onceForRequest(
    ACCESS,
    async () => (await bySession(db, accounts)) ?? (await byDevice(db)) ?? NO_ACCESS,
  );

async function bySession(db: Db, accounts: Db): Promise<Access | null> {
  const cookie = currentCookies();
  if (!cookie.includes('zh_session')) return null;
  // Loaded by whoever bears a session: what only reads the log needs none of it.
  const { theAuth } = await import('./auth');
  const session = await theAuth(accounts).api.getSession({ headers: new Headers({ cookie }) });
  if (!session) return null;
  const { id, name } = session.user;
  const memberships = await memberRepo(db).memberships(id);
  const chosen = currentCookie(siteCookieName());
  const here = memberships.find((m) => m.site === chosen) ?? memberships[0] ?? null;
  const site = here && (await enterSite(db, here.site));
  return {
    ...NO_ACCESS,
    ...{ role: here?.role ?? null, site, memberships },
    person: { id, name, role: here?.role ?? null, partner: here?.partner ?? null },
  };
}

async function byDevice(db: Db): Promise<Access | null> {
  const found = await deviceOfKey(db, deviceKey(), 'logging');
  if (!found) return null;
  if (found.revoked) return { ...NO_ACCESS, isRevoked: true };
  const { id, name } = found;
  // Who holds it is said with each entry; to look round on it, the phone itself is enough.
  const role = roleOnSharedDevice('crew');
  return { ...NO_ACCESS, role, site: await enterSite(db, found.site), device: { id, name } };
}

/** The site of whoever asks. The database shows this one alone from here on, unless the address has said of which one it is. */
async function enterSite(db: Db, id: string): Promise<Site | null> {
  if (currentSiteId() === '') setCurrentSite(id);
  return inSite(id, () => siteRepo(db).byId(id));
}

/** Whoever bears a key that was given for a purpose, ended or not. Null: nobody does. */
export async function deviceOfKey(
  db: Db,
  key: string | null,
  purpose: DevicePurpose,
): Promise<KnownDevice | null> {
  if (key === null || key === '') return null;
  const site = await deviceRepo(db).siteOfToken(sha256(key));
  if (site === null) return null;
  return inSite(site, async () => {
    const found = await deviceRepo(db).deviceByToken(sha256(key));
    if (found?.purpose !== purpose) return null;
    if (!found.revoked && now() - found.seenAt > NOTE_SEEN_MS)
      await deviceRepo(db).noteDeviceSeen(found.id, now());
    return found;
  });
}
