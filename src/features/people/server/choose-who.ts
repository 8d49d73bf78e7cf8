import { currentAccess, theDb } from '@/db/context';
import { matchesSecret } from '@/db/auth';
import { pinRepo } from '@/db/repositories/pins';
import { isTriedTooOften } from './tries';
import { now } from '@/platform/clock';
import { memberRepo, type Member } from '@/db/repositories/members';
import { fieldsOf, openCookieOf, sendOn, YEAR_S } from '@/entry/server/forms';

/** Says in whose hand a shared phone is: their name stands in each form until another one takes it. */
export async function chooseWho(request: Request): Promise<Response> {
  const { person = '', pin = '' } = await fieldsOf(request);
  const members = await peopleOfPhone();
  const chosen = members.find((m) => m.person === person);
  if (!chosen) return sendOn('/who');
  const asks = `/who?person=${encodeURIComponent(chosen.person)}`;
  if (chosen.hasPin && pin === '') return sendOn(asks);
  if (chosen.hasPin && !(await checkPin(chosen.person, pin))) return sendOn(`${asks}&problem=pin`);
  // Forms of the page read and write it too: it is no secret, and opens nothing.
  return sendOn('/', [openCookieOf('zh_by', chosen.name, YEAR_S)]);
}

/** Tries at one name's PIN on one phone in a quarter of an hour. */
const PIN_TRIES = 10;

/** Whether a PIN is that of a name; the phone remembers it, so that what waits on it goes in that name later too. */
async function checkPin(person: string, pin: string): Promise<boolean> {
  const { site, device } = await currentAccess();
  if (!site || !device) return false;
  if (await isTriedTooOften(`${device.id} ${person}`, PIN_TRIES)) return false;
  const hash = await pinRepo(theDb()).pinHashOf(site.id, person);
  if (hash === null || !(await matchesSecret(hash, pin))) return false;
  await pinRepo(theDb()).noteHand({ site: site.id, device: device.id, person }, now());
  return true;
}

/** Who may have a shared phone in hand; nobody, where it is none. */
async function peopleOfPhone(): Promise<Member[]> {
  const { site, device } = await currentAccess();
  if (!site || !device) return [];
  return (await memberRepo(theDb()).members(site.id)).filter((m) => m.role !== 'partner');
}

/** The same as a page lists them. */
export const whoMayHaveIt = async (): Promise<
  readonly { readonly id: string; readonly name: string; readonly hasPin: boolean }[]
> => (await peopleOfPhone()).map((m) => ({ id: m.person, name: m.name, hasPin: m.hasPin }));
