import { currentAccess, theDb } from '@/db/context';
import { memberRepo, type Member } from '@/db/repositories/members';
import { env } from '@/platform/env';
import { fieldsOf, sendOn } from '@/entry/server/forms';

const YEAR_S = 365 * 24 * 60 * 60;

/** Says in whose hand a shared phone is: their name stands in each form until another one takes it. */
export async function chooseWho(request: Request): Promise<Response> {
  const { person = '' } = await fieldsOf(request);
  const members = await peopleOfPhone();
  const chosen = members.find((m) => m.person === person);
  if (!chosen) return sendOn('/who');
  // Forms of the page read and write it too: it is no secret, and opens nothing.
  const secure = env.isHttpsOnly() ? '; Secure' : '';
  return sendOn('/', [
    `zh_by=${encodeURIComponent(chosen.name)}; Path=/; Max-Age=${YEAR_S}; SameSite=Lax${secure}`,
  ]);
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
