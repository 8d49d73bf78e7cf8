import { logsInOwnName } from '@/core/access/roles';
import { currentAccess } from '@/db/context';
import { readPrefs, type Prefs } from '@/platform/prefs';

/** Who logs on this device, unless somebody else is named: who has signed in, or was named last. */
export async function readOwnPrefs(): Promise<Prefs> {
  const [prefs, { person }] = [await readPrefs(), await currentAccess()];
  if (!person?.role) return prefs;
  const isOwn = prefs.by === '' || logsInOwnName(person.role);
  return isOwn ? { ...prefs, by: person.name } : prefs;
}
