import { currentAccess } from '@/db/context';
import { fieldsOf, sendOn, siteCookie } from '@/entry/server/forms';

/** Goes over to another site of whoever has signed in; pages that the device keeps of this one are forgotten on the way. */
export async function chooseSite(request: Request): Promise<Response> {
  const { site = '' } = await fieldsOf(request);
  const { memberships } = await currentAccess();
  return memberships.some((m) => m.site === site)
    ? sendOn('/?out=1', [siteCookie(site)])
    : sendOn('/refused');
}
