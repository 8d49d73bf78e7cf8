import { currentAccess, requireSite, theDb } from '@/db/context';
import { auditRepo, type AuditEvent } from '@/db/repositories/audit';
import { deviceRepo } from '@/db/repositories/devices';
import { INVITATION_MS, invitationRepo } from '@/db/repositories/invitations';
import { memberRepo } from '@/db/repositories/members';
import { now } from '@/platform/clock';
import { PeopleAct } from '../input';
import { flashCookie, fieldsOf, sendBack, sendOn } from '@/entry/server/forms';
import { createToken } from '@/platform/token';

/** Bears the link that was just made to the one page that shows it. */
export const MADE_COOKIE = 'zh_made';

type Done = Pick<AuditEvent, 'event' | 'about'> & { readonly token?: string };

/** What a manager does about people and phones; each act is written down. */
export async function managePeople(request: Request): Promise<Response> {
  const [{ person: manager }, site] = [await currentAccess(), await requireSite('manage-people')];
  if (!manager) return sendOn('/sign-in');
  const fields = await fieldsOf(request);
  const parsed = PeopleAct.safeParse(fields);
  if (!parsed.success) return sendBack('/people', { problem: 'name' });
  const act = parsed.data;
  // Else nobody is left who could let anybody in.
  if ((act.act === 'role' || act.act === 'end') && act.person === manager.id)
    return sendBack('/people', { problem: 'self' });
  const { event, about, token } = await carryOut(act, site.id, manager.id);
  await auditRepo(theDb()).audit({ event, site: site.id, who: manager.id, about }, now());
  return sendOn('/people', token === undefined ? [] : [flashCookie(MADE_COOKIE, token, '/people')]);
}

async function carryOut(act: PeopleAct, site: string, manager: string): Promise<Done> {
  const at = now();
  switch (act.act) {
    case 'invite':
    case 'connect': {
      const { token, tokenHash } = createToken();
      const [role, partner] = act.act === 'invite' ? [act.role, act.partner ?? null] : [null, null];
      const invitation = await invitationRepo(theDb()).invite({
        ...{ tokenHash, site, role, partner, name: act.name },
        letsIn: act.act === 'invite' ? 'person' : 'device',
        ...{ madeBy: manager, madeAt: at, expiresAt: at + INVITATION_MS },
      });
      return { event: 'invited', about: { invitation, role: role ?? 'device' }, token };
    }
    case 'withdraw':
      await invitationRepo(theDb()).withdrawInvitation(site, act.invitation, at);
      return { event: 'invitation-withdrawn', about: { invitation: act.invitation } };
    case 'role': {
      const member = (await memberRepo(theDb()).members(site)).find((m) => m.person === act.person);
      if (member) {
        const { person } = member;
        const partner = act.partner ?? member.partner;
        await memberRepo(theDb()).setMember({ site, person, role: act.role, partner }, at);
      }
      return { event: 'role-changed', about: { person: act.person, role: act.role } };
    }
    case 'end':
      await memberRepo(theDb()).endMembership(site, act.person, at);
      return { event: 'membership-ended', about: { person: act.person } };
    case 'revoke':
      await deviceRepo(theDb()).revokeDevice(site, act.device, manager, at);
      return { event: 'device-revoked', about: { device: act.device } };
  }
}
