import { may, type Action } from '@/core/access/roles';
import type { Access } from '@/db/access';
import { currentAccess, theDb } from '@/db/context';
import { auditRepo } from '@/db/repositories/audit';
import { now } from '@/platform/clock';
import { actionOfPath } from './routes';

/** What becomes of a request: it passes, whoever sent it signs in first, or it leads to what is theirs, or it is not theirs to send. */
export type Entrance = 'pass' | 'sign-in' | 'name-site' | 'own-share' | 'refused';

/** Whether somebody has signed in who has no place anywhere yet: whoever came by the first link, before the site was named. */
const isNewcomer = ({ person, memberships }: Access): boolean =>
  person !== null && memberships.length === 0;

/** Whether whoever asks may do something. */
function entranceOf(access: Access, action: Action): Entrance {
  if (may(access.role, action)) return 'pass';
  if (isNewcomer(access)) return action === 'name-site' ? 'pass' : 'name-site';
  if (access.role === null) return 'sign-in';
  // Whoever sees a share of the site alone is led to it.
  return action === 'see-site' && may(access.role, 'see-own-share') ? 'own-share' : 'refused';
}

/** Whether the request that is being answered may go where it wants to. */
export async function entranceOfRequest(pathname: string): Promise<Entrance> {
  const action = actionOfPath(pathname);
  // What anybody may see asks nobody who they are, and needs no database.
  if (may(null, action)) return 'pass';
  const access = await currentAccess();
  const entrance = entranceOf(access, action);
  if (entrance === 'pass' && action === 'export') await auditExport(access, pathname);
  return entrance;
}

/** Whole tables that leave the site are written down. */
const auditExport = ({ site, person }: Access, pathname: string): Promise<void> =>
  auditRepo(theDb()).audit(
    {
      ...{ event: 'exported', site: site?.id ?? null, who: person?.id ?? null },
      about: { path: pathname },
    },
    now(),
  );
