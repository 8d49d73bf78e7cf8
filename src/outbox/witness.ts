import { v7 } from 'uuid';
import { say } from '@/messages/say';
import { enqueue } from './keep';
import { sendWaiting } from './store';

/** The end of a site's log that this device saw last: number and hash, as `34:1fa0…`. */
const sawKey = (site: string): string => `zh_head:${site}`;
/** One that it saw and that is gone. */
const lostKey = (site: string): string => `zh_lost:${site}`;

/** One that a restore gave up, until somebody has read that here. */
const gaveUpKey = (site: string): string => `zh_gave_up:${site}`;

/** What the server's log holds at a number now. @throws where it does not answer */
async function askLog(
  seq: string,
): Promise<{ readonly hash: string | null; readonly isGivenUp: boolean }> {
  const response = await fetch(`/api/chain?seq=${seq}`);
  // Nobody has signed in any more: that says nothing about the log.
  if (!response.ok) throw new Error(`no answer: ${response.status}`);
  return (await response.json()) as { hash: string | null; isGivenUp: boolean };
}

/** What a device makes of the log: it is as it was seen; it is another one; or a backup was brought back, and the log says so itself. */
export type LogSeen = 'as-seen' | 'other' | 'restored';

/** The restore was read of. */
export const forgetRestore = (site: string): void => localStorage.removeItem(gaveUpKey(site));

/** Tells the log itself what this device saw; the server adds whose device it is. */
async function logWitness(seq: string, hash: string, found: string | null): Promise<void> {
  const data = { saw: { seq: Number(seq), hash }, found };
  const form = { id: v7(), batch: null, kind: 'witness', at: null, by: '?', data };
  const name = say('log.witnessed');
  await enqueue([{ form, what: name, short: name }]);
  await sendWaiting();
}

/**
 * Remembers where the log ends, after having asked whether it still holds what this device saw last.
 * @param site whose log it is
 * @param head number and hash of its last entry, as `34:1fa0…`; '': it is empty
 */
export async function witnessHead(site: string, head: string): Promise<LogSeen> {
  const saw = localStorage.getItem(sawKey(site));
  if (saw && saw !== head) {
    const [seq = '', hash = ''] = saw.split(':');
    const { hash: found, isGivenUp } = await askLog(seq);
    if (found !== hash) {
      localStorage.setItem(sawKey(site), head);
      if (isGivenUp) localStorage.setItem(gaveUpKey(site), saw);
      else await noteLost(site, saw, found);
      return known(site);
    }
    // A page that was kept on this device is older than what it has seen since.
    if (parseInt(head, 10) < Number(seq)) return known(site);
  }
  localStorage.setItem(sawKey(site), head);
  return known(site);
}

/** What this device saw is gone: told to the log once. */
async function noteLost(site: string, saw: string, found: string | null): Promise<void> {
  const isKnown = localStorage.getItem(lostKey(site)) !== null;
  localStorage.setItem(lostKey(site), saw);
  const [seq = '', hash = ''] = saw.split(':');
  if (!isKnown) await logWitness(seq, hash, found);
}

function known(site: string): LogSeen {
  if (localStorage.getItem(lostKey(site)) !== null) return 'other';
  return localStorage.getItem(gaveUpKey(site)) === null ? 'as-seen' : 'restored';
}
