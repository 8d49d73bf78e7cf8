import qrcode from 'qrcode';
import { headers } from 'next/headers';
import { currentAccess, theDb } from '@/db/context';
import { deviceRepo, type SharedDevice } from '@/db/repositories/devices';
import {
  invitationRepo,
  type Invitation,
  type InvitationState,
} from '@/db/repositories/invitations';
import { memberRepo, type Member } from '@/db/repositories/members';
import type { MemberRole } from '@/core/log/entered-by';
import { siteRepo } from '@/db/repositories/site';
import { say } from '@/messages/say';
import { env } from '@/platform/env';
import { now } from '@/platform/clock';
import { currentCookie, inSite } from '@/platform/current-request';
import { sha256 } from '@/platform/hash';
import type { JoinView } from '../ui/Join';
import type { RenewView } from '../ui/RenewPassword';

/** Bears the link that was just made to the one page that shows it. */
export const MADE_COOKIE = 'zh_made';

/** Everybody and every phone that a site lets in. */
export type PeopleScreen = {
  readonly members: readonly Member[];
  readonly invitations: readonly Invitation[];
  readonly devices: readonly SharedDevice[];
  /** A link that was just made; it is shown this once. */
  readonly made: {
    readonly address: string;
    readonly code: string;
    readonly invitation: Invitation;
    /** Whether other devices than this machine can open it. */ readonly isReached: boolean;
  } | null;
};

/** The address under which phones reach this server: its name, where it has one, else what it was asked by. */
export async function ownAddress(): Promise<string> {
  const [name] = env.hosts();
  if (name !== undefined) return `https://${name}`;
  const asked = await headers();
  const scheme = asked.get('x-forwarded-proto') === 'https' ? 'https' : 'http';
  return `${scheme}://${asked.get('host') ?? ''}`;
}

/** A link of an invitation that is still open, with its code for a phone's camera as a picture's address. */
async function linkJustMade(): Promise<PeopleScreen['made']> {
  const token = currentCookie(MADE_COOKIE);
  if (token === null || token === '') return null;
  const found = await invitationBehind(token);
  if (found?.state !== 'open') return null;
  const address = `${await ownAddress()}/join/${token}`;
  const code = await qrcode.toString(address, { type: 'svg', margin: 2 });
  const { invitation } = found;
  const isReached = !/^http:\/\/(localhost|127\.|\[::1\])/.test(address);
  return {
    address,
    invitation,
    isReached,
    code: `data:image/svg+xml;utf8,${encodeURIComponent(code)}`,
  };
}

export async function loadPeople(site: string): Promise<PeopleScreen> {
  const [members, invitations, devices, made] = await Promise.all([
    memberRepo(theDb()).members(site),
    invitationRepo(theDb()).openInvitations(site, now()),
    deviceRepo(theDb()).devices(site),
    linkJustMade(),
  ]);
  return { members, invitations, devices: devices.filter((d) => d.revokedAt === null), made };
}

/** The invitation that a link stands for, and whether it still lets in; null: there is none. */
const invitationBehind = (
  token: string,
): Promise<{ invitation: Invitation; state: InvitationState } | null> =>
  invitationRepo(theDb()).invitationOf(sha256(token), now());

/** Whether somebody is in already, and what as; `revoked`: the phone was let in once and is not any more; `no-accounts`: the server is new. */
export async function whoIsSignedIn(): Promise<{
  readonly state: 'in' | 'nobody' | 'revoked' | 'no-accounts';
  readonly role: MemberRole | null;
}> {
  const { person, device, isRevoked } = await currentAccess();
  // On a shared phone, too, somebody can sign in for what the phone does not do.
  if (person !== null) return { state: 'in', role: person.role };
  if (isRevoked) return { state: 'revoked', role: null };
  if (!(await memberRepo(theDb()).hasAccounts())) return { state: 'no-accounts', role: null };
  return { state: 'nobody', role: device === null ? null : 'crew' };
}

/** Whose share a partner sees; null: nobody said whose. */
export const ownPartner = async (): Promise<string | null> =>
  (await currentAccess()).person?.partner ?? null;

/** What the form behind a link said of what was typed into it. An address says which of these, and no words of its own. */
function problemTyped(problem: string | undefined): JoinView['problem'] {
  switch (problem) {
    case undefined:
      return null;
    case 'taken':
      return { field: 'username', text: say('people.usernameTaken') };
    case 'easy':
      return { field: 'password', text: say('people.passwordEasy') };
    case 'password':
      return { field: 'password', text: say('people.passwordTooShort') };
    case 'name-taken':
      return { field: 'name', text: say('people.nameTaken') };
    case 'name':
      return { field: 'name', text: say('people.nameTooShort') };
    default:
      return { field: 'username', text: say('people.usernameForm') };
  }
}

/** What was typed into the form behind a link, and what was wrong with it. */
type Typed = { problem?: string; name?: string; username?: string };

/** What stands behind a link; `none`: no such link was ever made. */
export async function joinView(
  token: string,
  typed: Typed,
): Promise<
  | { readonly state: 'open'; readonly view: JoinView }
  | { readonly state: 'renew'; readonly view: RenewView }
  | { readonly state: Exclude<InvitationState, 'open'> | 'none' }
> {
  const { person } = await currentAccess();
  const site = await invitationRepo(theDb()).siteOfToken(sha256(token));
  const [found, there] = await inSite(site ?? '', async () => [
    await invitationBehind(token),
    await (site === null ? siteRepo(theDb()).first() : siteRepo(theDb()).byId(site)),
  ]);
  if (found?.state !== 'open') return { state: found?.state ?? 'none' };
  const { invitation } = found;
  return invitation.letsIn === 'password'
    ? { state: 'renew', view: renewView(token, invitation, typed) }
    : {
        state: 'open',
        view: {
          ...newcomerView(token, invitation, typed),
          ...{ letsIn: invitation.letsIn, site: there?.name ?? null },
          signedInAs: person?.name ?? null,
        },
      };
}

const renewView = (token: string, { name }: Invitation, typed: Typed): RenewView => ({
  ...{ token, name: name ?? '', problem: problemTyped(typed.problem)?.text ?? null },
});

const newcomerView = (
  token: string,
  { role, name }: Invitation,
  typed: Typed,
): Pick<JoinView, 'token' | 'role' | 'name' | 'username' | 'problem'> => ({
  ...{ token, role: role ?? 'manager' },
  name: (typed.name ?? name ?? '').slice(0, 60),
  username: (typed.username ?? '').slice(0, 40),
  problem: problemTyped(typed.problem),
});
