import { currentAccess, requireSite, theDb } from '@/db/context';
import { deviceRepo } from '@/db/repositories/devices';
import { flashCookie, sendOn } from '@/entry/server/forms';
import { createToken } from '@/platform/token';
import { say } from '@/messages/say';
import { now } from '@/platform/clock';
import { currentCookie } from '@/platform/current-request';

/** Bears a key that was just made to the one page that shows it. */
const KEY_COOKIE = 'zh_calendar';

/** A key that was just made; null: none was. */
export const calendarKeyJustMade = (): string | null => currentCookie(KEY_COOKIE);

/** Makes a key by which a calendar reads what is to be done; it is shown once, and ended where people and phones are. */
export async function makeCalendarKey(): Promise<Response> {
  const [site, { person, device }] = [await requireSite(), await currentAccess()];
  const { token, tokenHash } = createToken();
  const name = say('plan.calendarOf', { name: person?.name ?? device?.name ?? '' });
  const enrolledBy = person?.id ?? device?.id ?? '';
  await deviceRepo(theDb()).enrolDevice(
    { site: site.id, name, tokenHash, enrolledBy, purpose: 'calendar' },
    now(),
  );
  return sendOn('/calendar', [flashCookie(KEY_COOKIE, token, '/calendar')]);
}
