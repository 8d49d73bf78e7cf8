import { currentAccess, theDb } from '@/db/context';
import type { MemberRole } from '@/core/log/entered-by';
import { findChangedPlaces, type ChangedPlace } from '@/db/check-audit';
import { auditRepo, type ShownEvent } from '@/db/repositories/audit';
import type { Member, PlaceFacts } from '@/db/repositories/members';
import { type Invitation } from '@/db/repositories/invitations';
import { dayText, whenText } from '@/core/quantity/format';
import { say } from '@/messages/say';
import { sendsMail } from '@/platform/mail';
import type { PeopleView, TypedInvitation } from '../ui/People';
import { roleName } from '@/entry/role-name';
import { loadPeople } from './queries';

type Place = { readonly id: string; readonly timeZone: string };
/** So many of the last events are listed. */
const EVENTS = 100;

function invitationText(i: Invitation, timeZone: string): string {
  const { name, role } = i;
  const until = dayText(timeZone, i.expiresAt);
  if (i.letsIn === 'password') return say('people.linkForPassword', { name: name ?? '', until });
  return role === null
    ? say('people.linkForPhone', { name: name ?? '', until })
    : say('people.linkForPerson', { name: name ?? '', role: roleName(role), until });
}

function eventText(event: ShownEvent['event'], who: string): string {
  switch (event) {
    case 'signed-in':
      return say('people.eventSignedIn', { who });
    case 'sign-in-refused':
      return say('people.eventRefused', { who });
    case 'signed-out':
      return say('people.eventSignedOut', { who });
    case 'invited':
      return say('people.eventInvited', { who });
    case 'joined':
      return say('people.eventJoined', { who });
    case 'invitation-withdrawn':
      return say('people.eventWithdrawn', { who });
    case 'role-changed':
      return say('people.eventRole', { who });
    case 'membership-ended':
      return say('people.eventEnded', { who });
    case 'device-enrolled':
      return say('people.eventPhone');
    case 'device-revoked':
      return say('people.eventPhoneEnded', { who });
    case 'password-renewed':
      return say('people.eventRenewed', { who });
    case 'second-factor':
      return say('people.eventCodes', { who });
    case 'entry-refused':
      return say('people.eventEntry', { who });
    case 'exported':
      return say('people.eventExported', { who });
  }
}

const nameAndRole = ({ name, role }: PlaceFacts): string =>
  `${name}, ${roleName(role as MemberRole)}`;

/** What somebody changed in the database about a person's place, with what to do; one whose role is empty has ended. */
function changedText({ now, was }: ChangedPlace): string | null {
  const [present, before] = [now, was].map((p) => (p === null || p.role === '' ? null : p));
  if (present && before)
    return say('people.placeChanged', { now: nameAndRole(present), was: nameAndRole(before) });
  if (present) return say('people.placeAdded', { now: nameAndRole(present) });
  return before ? say('people.placeGone', { was: nameAndRole(before) }) : null;
}

const detailOf = (m: Member, timeZone: string): string =>
  [
    say('people.memberDetail', {
      username: m.username ?? '',
      hasUsername: m.username === null ? 'no' : 'yes',
      since: dayText(timeZone, m.since),
    }),
    ...(m.hasCodes ? [say('people.hasCodes')] : []),
    ...(m.hasPin ? [say('people.hasPin')] : []),
  ].join(' ');

/** Everybody and every phone of a site, in words. */
export async function peopleView(
  { id, timeZone }: Place,
  {
    problem,
    typed,
    isSent,
    traineesCountAtOnce,
  }: {
    problem: string | undefined;
    typed: TypedInvitation;
    isSent: boolean;
    traineesCountAtOnce: boolean;
  },
): Promise<PeopleView> {
  const [screen, events, changed, { person }] = await Promise.all([
    loadPeople(id),
    auditRepo(theDb()).auditEvents(id, EVENTS),
    findChangedPlaces(theDb(), id),
    currentAccess(),
  ]);
  const named = new Map(screen.members.map((m) => [m.person, m.name]));
  return {
    members: screen.members.map((m) => ({
      ...{ id: m.person, name: m.name, role: m.role, partner: m.partner },
      ...{ isSelf: m.person === person?.id, hasUsername: m.username !== null },
      detail: detailOf(m, timeZone),
    })),
    changed: changed.flatMap((place) => changedText(place) ?? []),
    invitations: screen.invitations.map((i) => ({ id: i.id, text: invitationText(i, timeZone) })),
    devices: screen.devices.map((d) => ({
      ...{ id: d.id, name: d.name },
      detail:
        d.lastSeenAt === null
          ? say('people.neverUsed')
          : say('people.lastUsed', { when: whenText(timeZone, d.lastSeenAt) }),
    })),
    sendsMail: sendsMail(),
    made: screen.made && {
      isSent,
      ...{ address: screen.made.address, code: screen.made.code },
      isReached: screen.made.isReached,
      text: invitationText(screen.made.invitation, timeZone),
    },
    events: events.map(
      (e) =>
        `${whenText(timeZone, e.at)}: ${eventText(e.event, named.get(e.who ?? '') ?? say('people.somebody'))}`,
    ),
    traineesCountAtOnce,
    problem: problemText(problem),
    typed,
  };
}

function problemText(problem: string | undefined): string | null {
  if (problem === undefined) return null;
  if (problem === 'name-taken') return say('people.nameTaken');
  if (problem === 'elsewhere') return say('people.renewElsewhere');
  if (problem === 'mail') return say('people.mailNotSent');
  if (problem === 'email') return say('people.emailForm');
  if (problem === 'pin') return say('people.pinWrongForm');
  return problem === 'self' ? say('people.notYourself') : say('people.nameTooShort');
}
