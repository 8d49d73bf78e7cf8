import { isSameName } from '@/core/log/entered-by';
import { theDb } from '@/db/context';
import { memberRepo } from '@/db/repositories/members';

/**
 * Whether somebody else of a site has a name already: on a shared phone, and in the log, people are told apart by it.
 * @param site null: it has no people yet
 * @param person whose name it is; null: they have no account yet
 */
export async function isNameTaken(
  site: string | null,
  name: string,
  person: string | null = null,
): Promise<boolean> {
  if (site === null) return false;
  const members = await memberRepo(theDb()).members(site);
  return members.some((m) => m.person !== person && isSameName(m.name, name));
}
