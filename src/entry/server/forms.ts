import { siteCookieName } from '@/db/access';
import { env } from '@/platform/env';

/** The fields of a form that came in, as text. */
export async function fieldsOf(request: Request): Promise<Record<string, string>> {
  const form = await request.formData().catch(() => new FormData());
  return Object.fromEntries(
    [...form].filter((pair): pair is [string, string] => typeof pair[1] === 'string'),
  );
}

/** Sends a browser on after a form. @param cookies set on the way */
export function sendOn(location: string, cookies: readonly string[] = []): Response {
  const headers = new Headers({ location, 'cache-control': 'no-store' });
  for (const cookie of cookies) headers.append('set-cookie', cookie);
  return new Response(null, { status: 303, headers });
}

/** Back to a form with what was typed and what was wrong. */
export const sendBack = (path: string, kept: Readonly<Record<string, string>>): Response =>
  sendOn(`${path}?${new URLSearchParams(kept).toString()}`);

/** A cookie that scripts of the page may read too. @param seconds how long it lasts; 0: it ends now */
export const openCookieOf = (name: string, value: string, seconds: number, path = '/'): string =>
  `${name}=${encodeURIComponent(value)}; Path=${path}; Max-Age=${seconds}; SameSite=Lax${env.isHttpsOnly() ? '; Secure' : ''}`;
/** A cookie that no script reads. */
export const cookieOf = (name: string, value: string, seconds: number, path = '/'): string =>
  `${openCookieOf(name, value, seconds, path)}; HttpOnly`;

export const YEAR_S = 365 * 24 * 60 * 60;
/** From now on this device asks for a site. */
export const siteCookie = (site: string): string => cookieOf(siteCookieName(), site, YEAR_S);

/** A path of this server that a form was asked to go on to; anything else leads home. */
export const safePath = (next: string | undefined): string =>
  next !== undefined && /^\/(?![/\\])[\x21-\x7e]*$/.test(next) && !next.startsWith('/api/')
    ? next
    : '/';

const FLASH_S = 300;
/** Bears something that was just made to the one page that shows it, and ends by itself. */
export const flashCookie = (name: string, value: string, path: string): string =>
  cookieOf(name, value, FLASH_S, path);
