import { SHORTEST_PASSWORD, theAuth } from '@/db/auth';
import { currentAccess, theDb } from '@/db/context';
import { currentCookies } from '@/platform/current-request';
import { isEasyToGuess } from './password';
import { fieldsOf, sendOn } from '@/entry/server/forms';

/** Changes one's own password; every other device where one has signed in is signed out. */
export async function changePassword(request: Request): Promise<Response> {
  const { current = '', password = '' } = await fieldsOf(request);
  const { person } = await currentAccess();
  if (password.length < SHORTEST_PASSWORD) return sendOn('/account?problem=short');
  if (isEasyToGuess(password, [person?.name ?? ''])) return sendOn('/account?problem=easy');
  try {
    const { headers } = await theAuth(theDb()).api.changePassword({
      body: { currentPassword: current, newPassword: password, revokeOtherSessions: true },
      headers: new Headers({ cookie: currentCookies() }),
      returnHeaders: true,
    });
    return sendOn('/account?changed=1', headers.getSetCookie());
  } catch {
    return sendOn('/account?problem=wrong');
  }
}
