import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { currentCookie } from '@/platform/current-request';
import { env } from '@/platform/env';
import { sessionSecret } from '@/platform/site-key';
import { cookieOf, YEAR_S } from '@/entry/server/forms';

/**
 * A device on which somebody has signed in bears that it did: tries at their name from elsewhere do not shut it out. It opens nothing:
 * the password is asked all the same.
 */
const cookieName = (): string => (env.isHttpsOnly() ? '__Host-zh_known' : 'zh_known');
const PURPOSE = 'zealous-heap/known-device';
/** So many names are remembered by one device. */
const MOST_NAMES = 6;

const codeOf = (username: string, device: string): string =>
  createHmac('sha256', sessionSecret())
    .update(`${PURPOSE}\n${username.toLowerCase()}\n${device}`)
    .digest('hex')
    .slice(0, 32);

/** The device's own word, and a code for each name that signed in on it. */
function readKnown(): { readonly device: string; readonly codes: readonly string[] } {
  const [device = '', ...codes] = decodeURIComponent(currentCookie(cookieName()) ?? '').split('.');
  return { device, codes };
}

/** What a device is counted by where its owner has signed in on it before; null: it is not known for that name. */
export function knownDevice(username: string): string | null {
  const { device, codes } = readKnown();
  if (device === '') return null;
  const code = Buffer.from(codeOf(username, device));
  return codes.some((c) => c.length === code.length && timingSafeEqual(Buffer.from(c), code))
    ? device
    : null;
}

/** Sets that somebody has signed in on this device. */
export function rememberDevice(username: string): string {
  const known = readKnown();
  const device = known.device === '' ? randomBytes(12).toString('hex') : known.device;
  const code = codeOf(username, device);
  const codes = [code, ...known.codes.filter((c) => c !== code)].slice(0, MOST_NAMES);
  return cookieOf(cookieName(), [device, ...codes].join('.'), YEAR_S);
}
