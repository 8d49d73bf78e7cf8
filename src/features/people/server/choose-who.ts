import { currentAccess, theDb } from '@/db/context';
import { memberRepo, type Member } from '@/db/repositories/members';
import { fieldsOf, openCookieOf, sendOn, YEAR_S } from '@/entry/server/forms';

/** Says in whose hand a shared phone is: their name stands in each form until another one takes it. */
export async function chooseWho(request: Request): Promise<Response> {
  const { person = '' } = await fieldsOf(request);
  const members = await peopleOfPhone();
  const chosen = members.find((m) => m.person === person);
  if (!chosen) return sendOn('/who');
  // Forms of the page read and write it too: it is no secret, and opens nothing.
  return sendOn('/', [openCookieOf('zh_by', chosen.name, YEAR_S)]);
}

/** Who may have a shared phone in hand; nobody, where it is none. */
async function peopleOfPhone(): Promise<Member[]> {
  const { site, device } = await currentAccess();
  if (!site || !device) return [];
  return (await memberRepo(theDb()).members(site.id)).filter((m) => m.role !== 'partner');
}

/** The same as a page lists them. */
export const whoMayHaveIt = async (): Promise<
  readonly { readonly id: string; readonly name: string }[]
> => (await peopleOfPhone()).map((m) => ({ id: m.person, name: m.name }));
