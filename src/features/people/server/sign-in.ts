import { DEMO_PEOPLE } from '@/core/access/demo-people';
import { theAuth } from '@/db/auth';
import { currentAccess, theAccounts, theDb } from '@/db/context';
import { auditRepo } from '@/db/repositories/audit';
import { memberRepo } from '@/db/repositories/members';
import { now } from '@/platform/clock';
import { currentHeaders, inSite, isFromThisMachine } from '@/platform/current-request';
import { env } from '@/platform/env';
import { knownDevice, rememberDevice } from './known-device';
import { waitBeforeTry } from './tries';
import { cookieOf, fieldsOf, safePath, sendBack, sendOn } from '@/entry/server/forms';

/** Whether the made-up people may be picked: on the demo, on this machine alone. */
export const isDemoHere = (): boolean => env.isDemo() && isFromThisMachine();

/** Signs somebody in by user name and password, or as one of the made-up people of the demo. */
export async function signIn(request: Request): Promise<Response> {
  const { username = '', password = '', person, next } = await fieldsOf(request);
  const signed = await (person !== undefined && isDemoHere()
    ? pickPerson(person)
    : checkPassword(username.trim(), password));
  if (signed !== null && 'waitS' in signed)
    return sendBack('/sign-in', {
      ...{ problem: 'wait', wait: String(signed.waitS), username: username.slice(0, 40) },
      ...(next === undefined ? {} : { next }),
    });
  if (signed !== null && 'codeWanted' in signed)
    return sendOn(`/sign-in/code?next=${encodeURIComponent(safePath(next))}`, [
      ...signed.cookies,
      rememberDevice(username.trim()),
    ]);
  if (signed === null) {
    await auditSignIn('sign-in-refused', await memberRepo(theDb()).personOf(username.trim()));
    return sendBack('/sign-in', {
      ...{ problem: 'wrong', username: username.slice(0, 40) },
      ...(next === undefined ? {} : { next }),
    });
  }
  await auditSignIn('signed-in', signed.person);
  const known = person === undefined ? [rememberDevice(username.trim())] : [];
  return sendOn(safePath(next), [...signed.cookies, ...known]);
}

/** The second step of a sign-in: a code of the app, or one that was written down. */
export async function signInByCode(request: Request): Promise<Response> {
  const { code = '', next } = await fieldsOf(request);
  const signed = await checkCode(code.replace(/\s/g, ''));
  if (signed === null)
    return sendBack('/sign-in/code', { problem: 'wrong', ...(next === undefined ? {} : { next }) });
  await auditSignIn('signed-in', signed.person);
  return sendOn(safePath(next), signed.cookies);
}

/** Writes down a sign-in, where the manager of whoever it was looks. @param person null: a user name that nobody has */
export async function auditSignIn(
  event: 'signed-in' | 'sign-in-refused',
  person: string | null,
): Promise<void> {
  const [place] = person === null ? [] : await memberRepo(theDb()).memberships(person);
  const site = place?.site ?? null;
  await inSite(site ?? '', () =>
    auditRepo(theDb()).audit({ event, site, who: person, about: {} }, now()),
  );
}

type Signed = { readonly person: string; readonly cookies: readonly string[] };

/** The password was right; a one-time code is still asked for. */
type CodeWanted = { readonly codeWanted: true; readonly cookies: readonly string[] };

/** It was not tried: there were too many tries before. */
type MustWait = { readonly waitS: number };

async function checkPassword(
  username: string,
  password: string,
): Promise<Signed | CodeWanted | MustWait | null> {
  if (username === '' || password === '') return null;
  const waitS = await waitBeforeTry(username, knownDevice(username));
  if (waitS > 0) return { waitS };
  try {
    const { headers, response } = await theAuth(theAccounts()).api.signInUsername({
      body: { username, password },
      headers: currentHeaders(),
      returnHeaders: true,
    });
    const cookies = headers.getSetCookie();
    return 'twoFactorRedirect' in response
      ? { codeWanted: true, cookies }
      : { person: response.user.id, cookies };
  } catch {
    // Which of the two was wrong is not said, nor whether there is such a person.
    return null;
  }
}

async function pickPerson(person: string): Promise<Signed | null> {
  if (!DEMO_PEOPLE.some((p) => p.id === person)) return null;
  const { headers } = await theAuth(theAccounts()).api.openSession({
    body: { person },
    headers: currentHeaders(),
    returnHeaders: true,
  });
  return { person, cookies: headers.getSetCookie() };
}

const CODE_MS = 3 * 60_000;
/** Spends a code: one that was seen over a shoulder, or taken from the network, signs nobody in again. @returns whether it was unused */
async function spendCode(person: string, code: string): Promise<boolean> {
  const { internalAdapter } = await theAuth(theAccounts()).$context;
  const span = Math.floor(now() / CODE_MS);
  // A code is good for a minute and a half; two spans cover that, wherever in the first one it falls.
  const expiresAt = new Date((span + 2) * CODE_MS);
  const reserve = (n: number): Promise<boolean> =>
    internalAdapter.reserveVerificationValue({
      ...{ identifier: `used-code-${person}-${code}-${n}`, value: '', expiresAt },
    });
  return (await reserve(span)) && (await reserve(span + 1));
}

async function checkCode(code: string): Promise<Signed | null> {
  const { api, $context } = theAuth(theAccounts());
  const asked = {
    ...{ body: { code }, returnHeaders: true as const },
    headers: currentHeaders(),
  };
  const isOfApp = /^\d{6}$/.test(code);
  try {
    const { headers, response } = isOfApp
      ? await api.verifyTOTP(asked)
      : await api.verifyBackupCode(asked);
    const person = response.user.id;
    if (!isOfApp || (await spendCode(person, code)))
      return { person, cookies: headers.getSetCookie() };
    await (await $context).internalAdapter.deleteSession(response.token ?? '');
    return null;
  } catch {
    return null;
  }
}

/** Signs out; what waits on the device stays there. */
export async function signOut(): Promise<Response> {
  const { person, site } = await currentAccess();
  const { headers } = await theAuth(theAccounts()).api.signOut({
    headers: currentHeaders(),
    returnHeaders: true,
  });
  if (person)
    await auditRepo(theDb()).audit(
      { event: 'signed-out', site: site?.id ?? null, who: person.id, about: {} },
      now(),
    );
  return sendOn('/sign-in?out=1', [...headers.getSetCookie(), cookieOf('zh_by', '', 0)]);
}
