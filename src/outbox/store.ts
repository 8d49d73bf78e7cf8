import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { firstOf } from '@/core/quantity/present';
import type { Form, OutboxItem } from './item';
import {
  drain,
  type DeviceClock,
  type Drained,
  type OutboxStore,
  type ServerAnswer,
  type ServerPort,
} from './send';

/** What a device keeps of its own: entries that wait, and what a round needs with no network. */
type Device = {
  outbox: { key: string; value: OutboxItem; indexes: { order: number } };
  kept: { key: string; value: unknown };
} & DBSchema;
let opening: Promise<IDBPDatabase<Device>> | null = null;
const device = (): Promise<IDBPDatabase<Device>> =>
  (opening ??= openDB<Device>('zealous-heap', 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'id' }).createIndex('order', 'order');
      db.createObjectStore('kept');
    },
    terminated() {
      opening = null;
    },
  }));

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('zh-outbox');
const listeners = new Set<() => void>();
channel?.addEventListener('message', () => listeners.forEach((f) => f()));
/** Tells this page and the others on the device that the box has changed. */
const changed = (): void => {
  listeners.forEach((f) => f());
  channel?.postMessage('changed');
};
export const subscribeToOutbox = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => listeners.delete(f);
};

export const listOutbox = async (): Promise<OutboxItem[]> =>
  (await device()).getAllFromIndex('outbox', 'order');
export const outboxStore: OutboxStore = {
  waiting: async () => (await listOutbox()).filter((i) => i.state === 'waiting'),
  put: async (item) => {
    await (await device()).put('outbox', item);
    changed();
  },
  remove: async (id) => {
    await (await device()).delete('outbox', id);
    changed();
  },
};

let reachable = true;
let signedOut = false;
/** Whether the hub answered when it was last spoken to. */
export const isServerReachable = (): boolean => reachable;
/** Whether it said that nobody has signed in here, or that this phone was disconnected. What waits stays. */
export const isSignedOut = (): boolean => signedOut;
export function noteAnswer(answered: boolean, out = false): void {
  if (answered === reachable && out === signedOut) return;
  [reachable, signedOut] = [answered, out];
  listeners.forEach((f) => f());
}

/** A thing that is kept, and entries that go out, in one step: a phone that dies in between has either both or neither. */
export async function commit(change: {
  readonly keep?: readonly (readonly [string, unknown])[];
  readonly drop?: readonly string[];
  readonly out?: readonly Omit<OutboxItem, 'order'>[];
}): Promise<void> {
  const tx = (await device()).transaction(['outbox', 'kept'], 'readwrite');
  const [outbox, kept] = [tx.objectStore('outbox'), tx.objectStore('kept')];
  let order = ((await kept.get('order')) as number | undefined) ?? 0;
  for (const item of change.out ?? []) {
    order += 1;
    void outbox.put({ ...item, order });
  }
  void kept.put(order, 'order');
  for (const [name, value] of change.keep ?? []) void kept.put(value, name);
  for (const name of change.drop ?? []) void kept.delete(name);
  await tx.done;
  if ((change.out?.length ?? 0) > 0) changed();
}

/** A refused entry as it was mended, in its place: a phone that dies in between has the one or the other, and no page sees neither. */
export async function putMended(refused: OutboxItem, form: OutboxItem['form']): Promise<void> {
  const tx = (await device()).transaction('outbox', 'readwrite');
  void tx.store.delete(refused.id);
  void tx.store.put({ ...refused, id: form.id, form, state: 'waiting', problems: [] });
  await tx.done;
  changed();
}

/** Small things kept by name. */
export const deviceStore = {
  get: async <T>(name: string): Promise<T | undefined> =>
    (await device()).get('kept', name) as Promise<T | undefined>,
  set: async (name: string, value: unknown): Promise<void> => {
    await (await device()).put('kept', value, name);
  },
};

/** What the road alone makes of it is not worth telling. */
const CLOCK_STEP_MS = 10_000;
let aheadMs = 0;
export const deviceClock: DeviceClock = {
  now: () => Date.now(),
  ahead: () => aheadMs,
  learn: async (ms) => {
    const before = aheadMs;
    aheadMs = Math.round(ms);
    await deviceStore.set('clock', aheadMs);
    if (Math.abs(before - aheadMs) > CLOCK_STEP_MS) changed();
  },
};
/** What was learned of this device's clock when it last spoke to the hub. */
export const recallClock = async (): Promise<void> => {
  aheadMs = (await deviceStore.get<number>('clock')) ?? 0;
  recalled = true;
};
let recalled = false;
/** The same where it has not been done yet: nothing may come between a tap and what it keeps. */
export const ensureClockKnown = async (): Promise<void> => {
  if (!recalled) await recallClock();
};
/** The hub's time as far as this device knows it, ms. */
export const serverNow = (): number => Date.now() - aheadMs;

const WAIT_MS = 15_000;
/** Answers after which the same is sent again later: nobody has signed in, too many at once. */
const LATER = [401, 429];
/** Sends something. @throws Error where it is to be sent again later: a proxy's error page, for one, is no answer of the hub */
async function send(path: string, init: RequestInit, waitMs: number): Promise<Response> {
  const response = await fetch(path, {
    method: 'POST',
    ...init,
    signal: AbortSignal.timeout(waitMs),
  });
  const { status } = response;
  if (status === 401) noteAnswer(true, true);
  const isAnswer = response.headers.get('content-type')?.startsWith('application/json');
  if (!isAnswer || LATER.includes(status) || status >= 500) throw new Error(`no answer: ${status}`);
  return response;
}
const server: ServerPort = {
  log: async (sentAt, entries) => {
    const response = await send(
      '/api/log',
      {
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ sentAt, entries }),
      },
      WAIT_MS,
    );
    if (!response.ok) throw new Error(`refused as a whole: ${response.status}`);
    return response.json() as ReturnType<ServerPort['log']>;
  },
  photo: async (body) =>
    (await send('/api/photo', { body }, WAIT_MS * 4)).json() as ReturnType<ServerPort['photo']>,
};

/**
 * Sends one entry that does not wait on the device where the server is away: what it is about has to be seen as it stands.
 * @throws Error where the server does not answer
 */
export async function submitNow(form: Form): Promise<ServerAnswer> {
  const { answers } = await server.log(deviceClock.now(), [form]);
  return firstOf(answers);
}

let running: Promise<Drained> | null = null;
/** Sends what waits; one sender at a time on a device, whichever page or worker it is. */
export function sendWaiting(): Promise<Drained> {
  const go = async (): Promise<Drained> => {
    await recallClock();
    const drained = await drain(outboxStore, server, deviceClock);
    if (drained.reached ? drained.taken > 0 : !signedOut) noteAnswer(drained.reached);
    return drained;
  };
  // A browser has none where the page came without https.
  const { locks } = navigator as { locks?: LockManager };
  running ??= (locks ? locks.request('zh-outbox', go) : go()).finally(() => {
    running = null;
  });
  return running;
}
