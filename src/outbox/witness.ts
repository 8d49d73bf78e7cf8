import { v7 } from 'uuid';
import { say } from '@/messages/say';
import { enqueue } from './keep';
import { sendWaiting } from './store';

/** The end of a site's log that this device saw last: number and hash, as `34:1fa0…`. */
const sawKey = (site: string): string => `zh_head:${site}`;
/** One that it saw and that is gone. */
const lostKey = (site: string): string => `zh_lost:${site}`;

/** The hash that the server's log holds at a number now; null: none. @throws where it does not answer */
async function hashAt(seq: string): Promise<string | null> {
  const response = await fetch(`/api/chain?seq=${seq}`);
  // Nobody has signed in any more: that says nothing about the log.
  if (!response.ok) throw new Error(`no answer: ${response.status}`);
  return ((await response.json()) as { hash: string | null }).hash;
}

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
 * @returns whether the log is another one than this device saw
 */
export async function witnessHead(site: string, head: string): Promise<boolean> {
  const [sawAt, lostAt] = [sawKey(site), lostKey(site)];
  const saw = localStorage.getItem(sawAt);
  const lost = localStorage.getItem(lostAt);
  if (saw && saw !== head) {
    const [seq = '', hash = ''] = saw.split(':');
    const found = await hashAt(seq);
    if (found !== hash) {
      localStorage.setItem(sawAt, head);
      localStorage.setItem(lostAt, saw);
      if (!lost) await logWitness(seq, hash, found);
      return true;
    }
    // A page that was kept on this device is older than what it has seen since.
    if (parseInt(head, 10) < Number(seq)) return lost !== null;
  }
  localStorage.setItem(sawAt, head);
  return lost !== null;
}
