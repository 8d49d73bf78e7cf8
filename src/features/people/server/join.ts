import { rememberDevice } from './known-device';
import { SHORTEST_PASSWORD, theAuth } from '@/db/auth';
import { deviceCookieName } from '@/db/access';
import { currentAccess, theAccounts, theDb } from '@/db/context';
import { auditRepo } from '@/db/repositories/audit';
import { deviceRepo } from '@/db/repositories/devices';
import { invitationRepo, type Invitation } from '@/db/repositories/invitations';
import { memberRepo } from '@/db/repositories/members';
import { passkeyRepo } from '@/db/repositories/passkeys';
import { siteRepo } from '@/db/repositories/site';
import { now } from '@/platform/clock';
import { currentHeaders, inSite } from '@/platform/current-request';
import { sha256 } from '@/platform/hash';
import { createToken } from '@/platform/token';
import { JoinInput } from '../input';
import { mayRenew } from './may-renew';
import { isNameTaken } from './name-taken';
import { isEasyToGuess } from './password';
import { cookieOf, fieldsOf, sendBack, sendOn, siteCookie } from '@/entry/server/forms';

/** A shared phone stays connected until somebody disconnects it; browsers keep no cookie for longer, s. */
const DEVICE_S = 400 * 24 * 60 * 60;

/** Lets somebody in by a link: makes their account, or connects the phone that they hold. */
export async function join(request: Request): Promise<Response> {
  const fields = await fieldsOf(request);
  const { token = '' } = fields;
  const { person } = await currentAccess();
  const site = await invitationRepo(theDb()).siteOfToken(sha256(token));
  // The link says which site; whoever has signed in may be at another one now.
  return inSite(site ?? '', () => joinSite(fields, token, person));
}

async function joinSite(
  fields: Readonly<Record<string, string>>,
  token: string,
  person: { readonly id: string; readonly name: string } | null,
): Promise<Response> {
  const back = `/join/${encodeURIComponent(token.slice(0, 200))}`;
  const found = await invitationRepo(theDb()).invitationOf(sha256(token), now());
  if (found?.state !== 'open') return sendOn(back);
  const { invitation } = found;
  if (invitation.letsIn === 'password') return renew(invitation, fields, back);
  if (invitation.letsIn === 'device') return connectDevice(invitation, back);
  return person !== null && fields.as === 'me'
    ? joinAsMe(invitation, person, back)
    : joinAnew(invitation, fields, back);
}

/** Gives somebody who has an account the place that an invitation names. */
async function joinAsMe(
  invitation: Invitation,
  { id, name }: { readonly id: string; readonly name: string },
  back: string,
): Promise<Response> {
  if (await isNameTaken(invitation.site, name, id))
    return sendBack(back, { problem: 'name-taken' });
  const isOpen = await invitationRepo(theDb()).useInvitation(invitation.id, now());
  return isOpen ? letIn(invitation, id, []) : sendOn(back);
}

/** Makes somebody's account, and gives it the place. */
async function joinAnew(
  invitation: Invitation,
  fields: Readonly<Record<string, string>>,
  back: string,
): Promise<Response> {
  const refuse = (problem: string): Response =>
    sendBack(back, { name: fields.name ?? '', username: fields.username ?? '', problem });
  const parsed = JoinInput.safeParse(fields);
  if (!parsed.success) return refuse(String(parsed.error.issues[0]?.path[0] ?? ''));
  const { password, name, username } = parsed.data;
  if (await isNameTaken(invitation.site, name)) return refuse('name-taken');
  if (isEasyToGuess(password, [name, username])) return refuse('easy');
  // Used up first: of several who come in by one link at once, the others get no account that would hold its name.
  const at = now();
  if (!(await invitationRepo(theDb()).useInvitation(invitation.id, at))) return sendOn(back);
  const account = await createAccount(parsed.data);
  if (account === 'taken') {
    await invitationRepo(theDb()).reopenInvitation(invitation.id, at);
    return refuse('taken');
  }
  return letIn(invitation, account.person, [...account.cookies, rememberDevice(username)]);
}

/** Gives somebody a new password, by a link that a manager made for them. */
async function renew(
  { id, person, name, site, madeBy }: Invitation,
  { password = '' }: Readonly<Record<string, string>>,
  back: string,
): Promise<Response> {
  if (password.length < SHORTEST_PASSWORD) return sendBack(back, { problem: 'password' });
  if (isEasyToGuess(password, [name ?? ''])) return sendBack(back, { problem: 'easy' });
  // Asked again: since the link was made, somebody may have got a place elsewhere, or the manager may be none any more.
  if (person === null || !(await mayRenew(person, madeBy ?? ''))) {
    await invitationRepo(theDb()).withdrawInvitation(site ?? '', id, now());
    return sendOn(back);
  }
  if (!(await invitationRepo(theDb()).useInvitation(id, now()))) return sendOn(back);
  const { headers } = await theAuth(theAccounts()).api.renewPassword({
    ...{ body: { person, password }, headers: currentHeaders(), returnHeaders: true },
  });
  await passkeyRepo(theAccounts()).removeAll(person);
  await auditRepo(theDb()).audit(
    { event: 'password-renewed', site, who: person, about: {} },
    now(),
  );
  return sendOn('/', headers.getSetCookie());
}

async function createAccount({
  name,
  username,
  password,
}: JoinInput): Promise<{ person: string; cookies: readonly string[] } | 'taken'> {
  try {
    const { headers, response } = await theAuth(theAccounts()).api.signUpEmail({
      // Many have no e-mail; the library wants one, so it is given one that cannot be.
      body: { name, username, password, email: `${username.toLowerCase()}@users.invalid` },
      headers: currentHeaders(),
      returnHeaders: true,
    });
    return { person: response.user.id, cookies: headers.getSetCookie() };
  } catch (error) {
    const { status } = error as { status?: unknown };
    if (status === 'BAD_REQUEST' || status === 'UNPROCESSABLE_ENTITY') return 'taken';
    throw error;
  }
}

/** Gives a person the place that an invitation names, which was used up for it. */
async function letIn(
  { letsIn, site, role, partner }: Invitation,
  person: string,
  cookies: readonly string[],
): Promise<Response> {
  if (letsIn === 'first') await invitationRepo(theDb()).withdrawFirstLinks(now());
  const there = site ?? (letsIn === 'first' ? ((await siteRepo(theDb()).ids())[0] ?? null) : null);
  const as = letsIn === 'first' ? 'manager' : role;
  if (there === null || as === null) return sendOn('/site', cookies);
  await inSite(there, async () => {
    await memberRepo(theDb()).setMember({ site: there, person, role: as, partner }, now());
    await auditRepo(theDb()).audit(
      { event: 'joined', site: there, who: person, about: { role: as } },
      now(),
    );
  });
  return sendOn('/', [...cookies, siteCookie(there)]);
}

/** Makes the browser that asks one of the site's shared phones. */
async function connectDevice(invitation: Invitation, back: string): Promise<Response> {
  const { site, name } = invitation;
  if (site === null || !(await invitationRepo(theDb()).useInvitation(invitation.id, now())))
    return sendOn(back);
  const { token, tokenHash } = createToken();
  const device = { site, name: name ?? '', tokenHash, enrolledBy: invitation.id };
  const id = await deviceRepo(theDb()).enrolDevice(device, now());
  await auditRepo(theDb()).audit(
    { event: 'device-enrolled', site, who: null, about: { device: id } },
    now(),
  );
  return sendOn('/who', [cookieOf(deviceCookieName(), token, DEVICE_S)]);
}
