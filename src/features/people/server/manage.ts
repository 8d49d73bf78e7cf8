import { currentAccess, requireSite, theDb } from '@/db/context';
import { auditRepo, type AuditEvent } from '@/db/repositories/audit';
import { deviceRepo } from '@/db/repositories/devices';
import { hashSecret } from '@/db/auth';
import { pinRepo } from '@/db/repositories/pins';
import { INVITATION_MS, invitationRepo, type NewInvitation } from '@/db/repositories/invitations';
import { memberRepo, type Member } from '@/db/repositories/members';
import { now } from '@/platform/clock';
import { PeopleAct } from '../input';
import { flashCookie, fieldsOf, sendBack, sendOn } from '@/entry/server/forms';
import { ingestEntry } from '@/entry/server/ingest-entry';
import { newId } from '@/platform/ids';
import { sendMail } from '@/platform/mail';
import { say } from '@/messages/say';
import { mayRenew } from './may-renew';
import { isNameTaken } from './name-taken';
import { MADE_COOKIE, ownAddress } from './queries';
import { createToken } from '@/platform/token';

const problemOf = (field: PropertyKey | undefined): string =>
  field === 'pin' || field === 'email' ? field : 'name';

/** What was typed into the form that invites, for it to stand there again. */
const typedOf = (fields: Readonly<Record<string, string>>): Readonly<Record<string, string>> =>
  fields.act === 'invite'
    ? { name: fields.name ?? '', role: fields.role ?? '', partner: fields.partner ?? '' }
    : {};

type Manager = { readonly id: string; readonly name: string };
type Done = Pick<AuditEvent, 'event' | 'about'> & { readonly token?: string };

/** Why an act is not carried out; null: it is. */
async function problemWith(act: PeopleAct, site: string, manager: string): Promise<string | null> {
  // Else nobody is left who could let anybody in.
  if ((act.act === 'role' || act.act === 'end') && act.person === manager) return 'self';
  if (act.act === 'renew' && !(await mayRenew(act.person, manager))) return 'elsewhere';
  if (act.act === 'invite' && (await isNameTaken(site, act.name))) return 'name-taken';
  return null;
}

/** What a manager does about people and phones; each act is written down. */
export async function managePeople(request: Request): Promise<Response> {
  const [{ person: manager }, site] = [await currentAccess(), await requireSite('manage-people')];
  if (!manager) return sendOn('/sign-in');
  const fields = await fieldsOf(request);
  const parsed = PeopleAct.safeParse(fields);
  if (!parsed.success)
    return sendBack('/people', {
      ...typedOf(fields),
      problem: problemOf(parsed.error.issues[0]?.path[0]),
    });
  const act = parsed.data;
  const problem = await problemWith(act, site.id, manager.id);
  if (problem !== null) return sendBack('/people', { ...typedOf(fields), problem });
  const { event, about, token } = await carryOut(act, site.id, manager);
  await auditRepo(theDb()).audit({ event, site: site.id, who: manager.id, about }, now());
  if (token === undefined) return sendOn('/people');
  const made = [flashCookie(MADE_COOKIE, token, '/people')];
  const email = 'email' in act ? (act.email ?? '') : '';
  if (email === '') return sendOn('/people', made);
  const isSent = await mailLink(email, site.name, token);
  return sendOn(isSent ? '/people?sent=1' : '/people?problem=mail', made);
}

/** Sends a link by e-mail too. @returns whether the mail server took it */
const mailLink = async (to: string, site: string, token: string): Promise<boolean> =>
  sendMail({
    to,
    subject: say('people.mailSubject', { site }),
    text: say('people.mailText', { site, link: `${await ownAddress()}/join/${token}` }),
  });

const memberOf = async (site: string, person: string): Promise<Member | undefined> =>
  (await memberRepo(theDb()).members(site)).find((m) => m.person === person);

/** Makes a link; the database keeps its hash. */
async function makeLink(
  link: Pick<NewInvitation, 'letsIn' | 'site' | 'madeBy'> & Partial<NewInvitation>,
): Promise<{ readonly token: string; readonly invitation: string }> {
  const { token, tokenHash } = createToken();
  const at = now();
  const invitation = await invitationRepo(theDb()).invite({
    ...{ role: null, name: null, partner: null, ...link, tokenHash },
    ...{ madeAt: at, expiresAt: at + INVITATION_MS },
  });
  return { token, invitation };
}

/** A link for a person or for a phone. */
async function invite(
  act: Extract<PeopleAct, { act: 'invite' | 'connect' }>,
  site: string,
  madeBy: string,
): Promise<Done> {
  const [role, partner] = act.act === 'invite' ? [act.role, act.partner ?? null] : [null, null];
  const { token, invitation } = await makeLink({
    ...{ site, role, partner, name: act.name, madeBy },
    letsIn: act.act === 'invite' ? 'person' : 'device',
  });
  return { event: 'invited', about: { invitation, role: role ?? 'device' }, token };
}

async function changeRole(
  { person, role, partner }: Extract<PeopleAct, { act: 'role' }>,
  site: string,
): Promise<Done> {
  const member = await memberOf(site, person);
  if (member)
    await memberRepo(theDb()).setMember(
      { site, person, role, partner: partner ?? member.partner },
      now(),
    );
  return { event: 'role-changed', about: { person, role } };
}

/** A link for a new password. */
async function renew(person: string, site: string, madeBy: string): Promise<Done> {
  const name = (await memberOf(site, person))?.name ?? null;
  const { token, invitation } = await makeLink({
    ...{ site, person, name, madeBy, letsIn: 'password' },
  });
  return { event: 'invited', about: { invitation, person }, token };
}

async function setPin(person: string, pin: string | null, site: string): Promise<Done> {
  await pinRepo(theDb()).setPin(site, person, pin === null ? null : await hashSecret(pin));
  return { event: 'second-factor', about: { person, is: 'pin' } };
}

/** Lays down in the log what entries of trainees count for. @throws Error when the log does not take it */
async function setTraineePolicy(count: 'checked' | 'at-once', by: string): Promise<Done> {
  const data = { countAtOnce: count === 'at-once' };
  const taken = await ingestEntry({
    ...{ id: newId(), batch: null, kind: 'trainee-policy', at: null, by, data },
  });
  if (!taken.ok) throw new Error(taken.problems.map((p) => p.message).join(' '));
  return { event: 'role-changed', about: { trainees: count } };
}

async function carryOut(act: PeopleAct, site: string, manager: Manager): Promise<Done> {
  switch (act.act) {
    case 'invite':
    case 'connect':
      return invite(act, site, manager.id);
    case 'withdraw':
      await invitationRepo(theDb()).withdrawInvitation(site, act.invitation, now());
      return { event: 'invitation-withdrawn', about: { invitation: act.invitation } };
    case 'role':
      return changeRole(act, site);
    case 'renew':
      return renew(act.person, site, manager.id);
    case 'pin':
      return setPin(act.person, act.pin, site);
    case 'trainees':
      return setTraineePolicy(act.count, manager.name);
    case 'end':
      await memberRepo(theDb()).endMembership(site, act.person, now());
      return { event: 'membership-ended', about: { person: act.person } };
    case 'revoke':
      await deviceRepo(theDb()).revokeDevice(site, act.device, manager.id, now());
      return { event: 'device-revoked', about: { device: act.device } };
  }
}
