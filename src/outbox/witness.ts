import { v7 } from 'uuid';
import { nameForHeap } from '@/core/words/waiting';
import { enqueue } from './keep';
import { sendWaiting } from './store';
import { say } from '@/messages/say';

/** Where a log ends: the number and the hash of its last entry. */
export type LogHead = { readonly seq: number; readonly hash: string };

const SAW = 'zh_head';
/** What was seen where the log holds something else now: kept beside the new end. */
const LOST = 'zh_head_lost';

const recall = (key: string): LogHead | null =>
  JSON.parse(localStorage.getItem(key) ?? 'null') as LogHead | null;
const remember = (key: string, head: LogHead): void =>
  localStorage.setItem(key, JSON.stringify(head));

/** The hash that the server's log holds at a number now; null: none. @throws where it does not answer */
async function hashAt(seq: number): Promise<string | null> {
  const response = await fetch(`/api/chain?seq=${seq}`, { cache: 'no-store' });
  if (!response.ok) throw new Error(`answered ${response.status}`);
  return ((await response.json()) as { hash: string | null }).hash;
}

/** Tells the log itself what this device saw. */
async function logWitness(saw: LogHead, found: string | null): Promise<void> {
  const by = decodeURIComponent(/(?:^|; )zh_by=([^;]*)/.exec(document.cookie)?.[1] ?? '');
  await enqueue([
    {
      form: {
        ...{ id: v7(), batch: null, kind: 'witness', at: null },
        by: by.trim() === '' ? say('entry.somebody') : by,
        data: { saw, found },
      },
      ...nameForHeap('', say('log.witnessed')),
    },
  ]);
  await sendWaiting();
}

/**
 * Remembers where the log ends, after having asked whether it still holds what this device saw last.
 * @returns whether the log is another one than this device saw
 */
export async function witnessHead(head: LogHead | null): Promise<boolean> {
  const saw = recall(SAW);
  const isLost = localStorage.getItem(LOST) !== null;
  if (saw === null || (head && saw.seq === head.seq && saw.hash === head.hash)) {
    if (head) remember(SAW, head);
    return isLost;
  }
  const found = await hashAt(saw.seq);
  if (found !== saw.hash) {
    if (!isLost) {
      remember(LOST, saw);
      await logWitness(saw, found);
    }
    if (head) remember(SAW, head);
    return true;
  }
  if (head && head.seq > saw.seq) remember(SAW, head);
  return isLost;
}
