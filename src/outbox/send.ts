import { isAheadOfHub, restamped, type Form, type OutboxItem, type FieldProblem } from './item';

/** Where items lie between being made and being taken. */
export type OutboxStore = {
  /** Those that wait, in the order in which they were made. */
  waiting(): Promise<OutboxItem[]>;
  put(item: OutboxItem): Promise<void>;
  remove(id: string): Promise<void>;
};
export type ServerAnswer =
  | { readonly ok: true; readonly already?: boolean }
  | { readonly ok: false; readonly problems: readonly FieldProblem[]; readonly again?: boolean };
/** The hub, as the outbox speaks to it. Each call rejects when no whole answer came: nothing is known then. */
export type ServerPort = {
  log(
    sentAt: number,
    entries: readonly Form[],
  ): Promise<{ readonly now: number; readonly answers: readonly ServerAnswer[] }>;
  photo(bytes: Blob): Promise<
    | {
        readonly ok: true;
        readonly sha256: string;
        readonly width: number;
        readonly height: number;
      }
    | { readonly ok: false; readonly problem: string }
  >;
};
export type DeviceClock = {
  now(): number;
  /** How far this device is ahead of the hub, ms. */ ahead(): number;
  learn(aheadMs: number): Promise<void>;
};
export type Drained = { readonly reached: boolean; readonly taken: number };

const AT_ONCE = 20;
/** A second stamping settles it; a third would mean that the clock runs about. */
const MAX_RESTAMPS = 3;

/**
 * Sends what waits, in order. An item leaves the box only when the hub has said that it holds it, so a lost answer means
 * that it is sent again under its own id, which the hub knows. One that is refused stays, with the reason, and holds up none
 * behind it.
 */
export async function drain(
  box: OutboxStore,
  server: ServerPort,
  clock: DeviceClock,
): Promise<Drained> {
  let taken = 0;
  const mayStampAnew = countedById(MAX_RESTAMPS);
  const later = new Set<string>();
  try {
    for (;;) {
      const items = (await box.waiting()).filter((i) => !later.has(i.id)).slice(0, AT_ONCE);
      if (items.length === 0) return { reached: true, taken };
      const ready: OutboxItem[] = [];
      for (const item of items) {
        // A picture takes long on a weak signal: what was logged before it does not wait for it.
        if (item.photo && ready.length > 0) break;
        const r = await withPhoto(item, box, server);
        if (r) ready.push(r);
      }
      if (ready.length === 0) continue;
      const sentAt = clock.now();
      const received = await server.log(
        sentAt,
        ready.map((i) => i.form),
      );
      await clock.learn((sentAt + clock.now()) / 2 - received.now);
      for (const [i, item] of ready.entries()) {
        const answer = received.answers[i];
        if (!answer) {
          later.add(item.id);
          continue;
        }
        if (answer.ok) {
          await box.remove(item.id);
          taken += 1;
        } else if (isOfClock(answer.problems, item.form, received.now) && mayStampAnew(item.id)) {
          await box.put({ ...item, form: restamped(item.form, clock.ahead(), received.now) });
        } else if (answer.again) {
          later.add(item.id);
          // It waits for somebody, or for the server; why is told beside it.
          await box.put({ ...item, problems: answer.problems });
        } else await box.put({ ...item, state: 'refused', problems: answer.problems });
      }
    }
  } catch {
    return { reached: false, taken };
  }
}

/** Says yes for each id as often as it may be, and counts it. */
function countedById(most: number): (id: string) => boolean {
  const counts = new Map<string, number>();
  return (id) => {
    const count = (counts.get(id) ?? 0) + 1;
    counts.set(id, count);
    return count <= most;
  };
}

/** Whether the device's clock is what stands in the way: it has moved since an entry was stamped, or was wrong then. */
const isOfClock = (problems: readonly FieldProblem[], form: Form, hubNow: number): boolean =>
  problems.some((p) => p.path === 'clock') || isAheadOfHub(form, hubNow);

/** An item whose picture is up; null: the picture was refused. What the hub made of it is kept first, so that it goes up once. */
async function withPhoto(
  item: OutboxItem,
  box: OutboxStore,
  server: ServerPort,
): Promise<OutboxItem | null> {
  if (!item.photo) return item;
  const answer = await server.photo(item.photo);
  const { photo: _photo, ...rest } = item;
  if (!answer.ok) {
    await box.put({
      ...item,
      state: 'refused',
      problems: [{ path: 'photo', message: answer.problem }],
    });
    return null;
  }
  const { sha256, width, height } = answer;
  const { data } = rest.form;
  const up = {
    ...rest,
    form: {
      ...rest.form,
      data:
        rest.form.kind === 'photo'
          ? { ...data, sha256, width, height }
          : {
              ...data,
              photos: [...((data.photos as readonly string[] | undefined) ?? []), sha256],
            },
    },
  };
  await box.put(up);
  return up;
}
