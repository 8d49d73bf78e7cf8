import { hashSecret, SHORTEST_PASSWORD, theAuth } from '@/db/auth';
import { currentAccess, theAccounts, theDb } from '@/db/context';
import { auditRepo, type AuditEvent } from '@/db/repositories/audit';
import { passkeyRepo } from '@/db/repositories/passkeys';
import { pinRepo } from '@/db/repositories/pins';
import { fieldsOf, flashCookie, sendOn } from '@/entry/server/forms';
import { now } from '@/platform/clock';
import { currentHeaders } from '@/platform/current-request';
import { AccountAct, type AccountNote, type AccountProblem } from '../input';
import { isEasyToGuess } from './password';

/** Bears the secret of one-time codes to the one page that shows it. */
export const CODE_COOKIE = 'zh_new_code';

const done = (note: AccountNote, cookies: readonly string[] = []): Response =>
  sendOn(`/account?done=${note}`, cookies);
const refused = (problem: AccountProblem): Response => sendOn(`/account?problem=${problem}`);

/** What somebody changes about their own account. */
export async function changeAccount(request: Request): Promise<Response> {
  const parsed = AccountAct.safeParse(await fieldsOf(request));
  const { person } = await currentAccess();
  if (!person) return sendOn('/sign-in');
  if (!parsed.success) return refused(parsed.error.issues[0]?.path[0] === 'pin' ? 'pin' : 'short');
  const act = parsed.data;
  switch (act.act) {
    case 'password':
      return changePassword(act.current, act.password, person.name);
    case 'code-begin':
      return beginCodes(act.current);
    case 'code-confirm':
      return confirmCodes(act.code);
    case 'code-end':
      return endCodes(act.current);
    case 'pin':
      return setOwnPin(act.pin);
    case 'passkey-end':
      await passkeyRepo(theAccounts()).remove(person.id, act.passkey);
      await auditOwn('second-factor', 'passkey-off');
      return done('passkey-off');
    case 'sign-out-one':
      return (await endSession(act.session)) ? done('one') : sendOn('/account');
    case 'sign-out-others':
      await theAuth(theAccounts()).api.revokeOtherSessions({ headers: currentHeaders() });
      return done('others');
  }
}

/** Ends one of one's own sessions. @returns whether there was one */
async function endSession(id: string): Promise<boolean> {
  const { api } = theAuth(theAccounts());
  const session = (await api.listSessions({ headers: currentHeaders() })).find((s) => s.id === id);
  if (!session) return false;
  await api.revokeSession({ body: { token: session.token }, headers: currentHeaders() });
  return true;
}

/** Changes one's own password; every other device where one has signed in is signed out. */
async function changePassword(current: string, password: string, name: string): Promise<Response> {
  if (password.length < SHORTEST_PASSWORD) return refused('short');
  if (isEasyToGuess(password, [name])) return refused('easy');
  try {
    const { headers } = await theAuth(theAccounts()).api.changePassword({
      body: { currentPassword: current, newPassword: password, revokeOtherSessions: true },
      headers: currentHeaders(),
      returnHeaders: true,
    });
    return done('password', headers.getSetCookie());
  } catch {
    return refused('wrong');
  }
}

/** Makes the secret of one-time codes; they are asked for once one of them was typed in. */
async function beginCodes(password: string): Promise<Response> {
  try {
    const made = await theAuth(theAccounts()).api.enableTwoFactor({
      body: { password },
      headers: currentHeaders(),
    });
    if (made.method !== 'totp') return refused('code');
    const { totpURI, backupCodes } = made;
    const bundle = Buffer.from(JSON.stringify({ totpURI, backupCodes })).toString('base64url');
    return sendOn('/account?set-up=1', [flashCookie(CODE_COOKIE, bundle, '/account')]);
  } catch {
    return refused('wrong');
  }
}

async function confirmCodes(code: string): Promise<Response> {
  try {
    const { headers } = await theAuth(theAccounts()).api.verifyTOTP({
      ...{ body: { code }, headers: currentHeaders(), returnHeaders: true },
    });
    await auditOwn('second-factor', 'on');
    const cookies = [...headers.getSetCookie(), flashCookie(CODE_COOKIE, '', '/account')];
    return done('codes-on', cookies);
  } catch {
    return sendOn('/account?set-up=1&problem=code');
  }
}

async function endCodes(password: string): Promise<Response> {
  try {
    const { headers } = await theAuth(theAccounts()).api.disableTwoFactor({
      ...{ body: { password }, headers: currentHeaders(), returnHeaders: true },
    });
    await auditOwn('second-factor', 'off');
    return done('codes-off', headers.getSetCookie());
  } catch {
    return refused('wrong');
  }
}

async function setOwnPin(pin: string | null): Promise<Response> {
  const { person, site } = await currentAccess();
  if (!person || !site) return sendOn('/sign-in');
  await pinRepo(theDb()).setPin(site.id, person.id, pin === null ? null : await hashSecret(pin));
  return done(pin === null ? 'pin-off' : 'pin-on');
}

/** Writes down what somebody changed about how they sign in. */
async function auditOwn(event: AuditEvent['event'], is: string): Promise<void> {
  const { person, site } = await currentAccess();
  const where = { site: site?.id ?? null, who: person?.id ?? null };
  await auditRepo(theDb()).audit({ event, ...where, about: { is } }, now());
}
