import type { ItemName } from '@/core/words/waiting';
import { stamped, type FieldProblem, type Form } from './item';
import {
  outboxStore,
  deviceClock,
  ensureClockKnown,
  commit,
  serverNow,
  listOutbox,
  sendWaiting,
} from './store';

/** What became of an entry: the hub has it, it waits here, or the hub said no. */
type SubmitFate =
  | { readonly fate: 'taken' }
  | { readonly fate: 'waiting' }
  | { readonly fate: 'refused'; readonly problems: readonly FieldProblem[] };

/** An entry on its way out, with its words and its picture. */
export type Leaving = ItemName & { readonly form: Form; readonly photo?: Blob };

/**
 * Puts entries into the outbox, whether there is a signal or not, and keeps what belongs with them in the same step. Their
 * time is now unless they say another.
 */
export async function enqueue(
  leaving: readonly Leaving[],
  with_: { keep?: readonly (readonly [string, unknown])[]; drop?: readonly string[] } = {},
): Promise<void> {
  await ensureClockKnown();
  const out = leaving.map(({ form, what, short, photo }) => ({
    id: form.id,
    form: stamped(form, serverNow(), deviceClock.ahead()),
    what,
    ...(short === undefined ? {} : { short }),
    state: 'waiting' as const,
    problems: [],
    ...(photo ? { photo } : {}),
  }));
  await commit({ ...with_, out });
  if (out.length === 0) return;
  void wakeWorker();
  // Brought in with the first entry that waits: no page pays for it before.
  void import('./device-room').then((room) => room.askToKeep()).catch(() => undefined);
}

/** Asks the service worker to send when there is a signal again, also with no page open; where the browser can. */
async function wakeWorker(): Promise<void> {
  // A browser has none where the page came without https.
  const { serviceWorker } = navigator as { serviceWorker?: ServiceWorkerContainer };
  const registration = await serviceWorker?.getRegistration().catch(() => undefined);
  await (registration as { sync?: { register(tag: string): Promise<void> } } | undefined)?.sync
    ?.register('zh-outbox')
    .catch(() => undefined);
}

/** A hub that takes longer is as good as none for whoever stands at a heap. */
const PATIENCE_MS = 6000;

/**
 * Keeps an entry and tries to send it at once. One that the hub refuses is taken back out: the form still holds it.
 * @param behind entries that mean nothing without it: they go out after it, or come back with it
 */
async function queueAndSend(
  form: Form,
  name: string | ItemName,
  behind: readonly Leaving[] = [],
): Promise<SubmitFate> {
  await enqueue([{ form, ...(typeof name === 'string' ? { what: name } : name) }, ...behind]);
  const patience = new Promise<null>((resolve) => {
    setTimeout(() => resolve(null), PATIENCE_MS);
  });
  if ((await Promise.race([sendWaiting(), patience])) === null) return { fate: 'waiting' };
  let item = (await listOutbox()).find((i) => i.id === form.id);
  // A sending that was under way may have begun before this one was put in.
  if (item?.state === 'waiting' && (await sendWaiting()).reached)
    item = (await listOutbox()).find((i) => i.id === form.id);
  if (!item) return { fate: 'taken' };
  if (item.state === 'waiting') return { fate: 'waiting' };
  for (const id of [form.id, ...behind.map((b) => b.form.id)]) await outboxStore.remove(id);
  return { fate: 'refused', problems: item.problems };
}

/** The same, answered as a form expects it. */
export async function submitOrQueue(
  form: Form,
  name: string | ItemName,
  behind: readonly Leaving[] = [],
): Promise<
  | { readonly ok: true; readonly already: boolean; readonly waiting: boolean }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] }
> {
  const kept = await queueAndSend(form, name, behind);
  return kept.fate === 'refused'
    ? { ok: false, problems: kept.problems }
    : { ok: true, already: false, waiting: kept.fate === 'waiting' };
}

/**
 * Several entries in one act: all of them wait on this device until the server has them.
 * @returns what the server said of those that it refused; they are taken back out, since the form still holds them
 */
export async function submitAllOrQueue(leaving: readonly Leaving[]): Promise<FieldProblem[]> {
  await enqueue(leaving);
  const patience = new Promise<null>((resolve) => {
    setTimeout(() => resolve(null), PATIENCE_MS);
  });
  await Promise.race([sendWaiting(), patience]);
  const ours = new Set(leaving.map(({ form }) => form.id));
  const refused = (await listOutbox()).filter((i) => ours.has(i.id) && i.state !== 'waiting');
  for (const { id } of refused) await outboxStore.remove(id);
  return refused.flatMap(({ problems }) => problems);
}
