import { theDb } from '@/db/context';
import { memberRepo } from '@/db/repositories/members';

/** Whoever has somebody's password has all their places: a manager gives a new one where they manage each of these. */
export async function mayRenew(person: string, manager: string): Promise<boolean> {
  const [theirs, own] = await Promise.all([
    memberRepo(theDb()).memberships(person),
    memberRepo(theDb()).memberships(manager),
  ]);
  const managed = new Set(own.filter((m) => m.role === 'manager').map((m) => m.site));
  return theirs.length > 0 && theirs.every((m) => managed.has(m.site));
}
