import { may, type Action } from '@/core/access/roles';
import type { Access } from '@/db/access';
import { currentAccess } from '@/db/context';
import { actionOfPath } from './routes';

/** What becomes of a request: it passes, whoever sent it signs in first, or it is not theirs to send. */
export type Entrance = 'pass' | 'sign-in' | 'name-site' | 'refused';

/** Whether somebody has signed in who has no place anywhere yet: whoever came by the first link, before the site was named. */
const isNewcomer = ({ person, memberships }: Access): boolean =>
  person !== null && memberships.length === 0;

/** Whether whoever asks may do something. */
function entranceOf(access: Access, action: Action): Entrance {
  if (may(access.role, action)) return 'pass';
  if (isNewcomer(access)) return action === 'name-site' ? 'pass' : 'name-site';
  return access.role === null ? 'sign-in' : 'refused';
}

/** Whether the request that is being answered may go where it wants to. */
export async function entranceOfRequest(pathname: string): Promise<Entrance> {
  const action = actionOfPath(pathname);
  // What anybody may see asks nobody who they are, and needs no database.
  return may(null, action) ? 'pass' : entranceOf(await currentAccess(), action);
}
