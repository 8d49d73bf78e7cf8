import { DEMO_PEOPLE } from '@/core/access/demo-people';
import { theAuth } from '@/db/auth';
import { currentAccess, theDb } from '@/db/context';
import { auditRepo } from '@/db/repositories/audit';
import { memberRepo } from '@/db/repositories/members';
import { ratesRepo } from '@/db/repositories/rates';
import { now } from '@/platform/clock';
import { sha256 } from '@/platform/hash';
import { currentCookies, inSite, isFromThisMachine } from '@/platform/current-request';
import { env } from '@/platform/env';
import { cookieOf, fieldsOf, safePath, sendBack, sendOn } from '@/entry/server/forms';

/** Whether the made-up people may be picked: on the demo, on this machine alone. */
export const isDemoHere = (): boolean => env.isDemo() && isFromThisMachine();

/** Signs somebody in by user name and password, or as one of the made-up people of the demo. */
export async function signIn(request: Request): Promise<Response> {
  const { username = '', password = '', person, next } = await fieldsOf(request);
  const signed = await (person !== undefined && isDemoHere()
    ? pickPerson(person)
    : checkPassword(username.trim(), password));
  if (signed === null) {
    await auditSignIn('sign-in-refused', await memberRepo(theDb()).personOf(username.trim()));
    return sendBack('/sign-in', {
      ...{ problem: 'wrong', username: username.slice(0, 40) },
      ...(next === undefined ? {} : { next }),
    });
  }
  await auditSignIn('signed-in', signed.person);
  return sendOn(safePath(next), signed.cookies);
}

/** Writes down a sign-in, where the manager of whoever it was looks. @param person null: a user name that nobody has */
async function auditSignIn(
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

/** Tries at one user name in a quarter of an hour, wherever they come from. */
const TRIES = 20;
const QUARTER_MS = 15 * 60_000;
async function isTriedTooOften(username: string): Promise<boolean> {
  const since = now() - (now() % QUARTER_MS);
  // Kept as its hash: the count is no list of who there is.
  const tries = await ratesRepo(theDb()).count('user-name', sha256(username.toLowerCase()), since);
  return tries > TRIES;
}

async function checkPassword(username: string, password: string): Promise<Signed | null> {
  if (username === '' || password === '' || (await isTriedTooOften(username))) return null;
  try {
    const { headers, response } = await theAuth(theDb()).api.signInUsername({
      body: { username, password },
      returnHeaders: true,
    });
    return { person: response.user.id, cookies: headers.getSetCookie() };
  } catch {
    // Which of the two was wrong is not said, nor whether there is such a person.
    return null;
  }
}

async function pickPerson(person: string): Promise<Signed | null> {
  if (!DEMO_PEOPLE.some((p) => p.id === person)) return null;
  const { headers } = await theAuth(theDb()).api.pickPerson({
    body: { person },
    returnHeaders: true,
  });
  return { person, cookies: headers.getSetCookie() };
}

/** Signs out; what waits on the device stays there. */
export async function signOut(): Promise<Response> {
  const { person, site } = await currentAccess();
  const { headers } = await theAuth(theDb()).api.signOut({
    headers: new Headers({ cookie: currentCookies() }),
    returnHeaders: true,
  });
  if (person)
    await auditRepo(theDb()).audit(
      { event: 'signed-out', site: site?.id ?? null, who: person.id, about: {} },
      now(),
    );
  return sendOn('/sign-in?out=1', [...headers.getSetCookie(), cookieOf('zh_by', '', 0)]);
}
