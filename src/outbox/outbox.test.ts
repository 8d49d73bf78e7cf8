import fc from 'fast-check';
import { restamped, stamped, type Form, type OutboxItem } from './item';
import {
  drain,
  type ServerAnswer,
  type OutboxStore,
  type DeviceClock,
  type ServerPort,
} from './send';

const HOUR = 3_600_000;
const form = (id: string, data: Record<string, unknown> = {}): Form => ({
  id,
  batch: 'b',
  kind: 'note',
  at: null,
  by: 'Mo',
  data,
});

function boxOf(start: readonly OutboxItem[]): OutboxStore & { all: () => OutboxItem[] } {
  const held = new Map(start.map((i) => [i.id, i]));
  return {
    waiting: async () =>
      [...held.values()].filter((i) => i.state === 'waiting').sort((a, b) => a.order - b.order),
    put: async (i) => {
      held.set(i.id, i);
    },
    remove: async (id) => {
      held.delete(id);
    },
    all: () => [...held.values()],
  };
}
const itemsOf = (ids: readonly string[], now = 0, ahead = 0): OutboxItem[] =>
  ids.map((id, order) => ({
    id,
    order,
    form: stamped(form(id), now, ahead),
    what: id,
    state: 'waiting',
    problems: [],
  }));

/** A hub that keeps a log as the real one does: an id it holds is done; `mishap` decides what the road does to each call. */
function hubOf(
  mishap: () => 'none' | 'lost-before' | 'lost-after' | 'cut-short',
  refuses: (id: string) => boolean = () => false,
  now = 0,
) {
  const log: Form[] = [];
  const server: ServerPort = {
    async log(_sentAt, entries) {
      const road = mishap();
      if (road === 'lost-before') throw new Error('no signal');
      const answers: ServerAnswer[] = [];
      for (const e of entries) {
        if (road === 'cut-short' && answers.length >= Math.ceil(entries.length / 2)) break;
        if (refuses(e.id)) {
          answers.push({ ok: false, problems: [{ path: 'at', message: 'no' }] });
          continue;
        }
        const held = log.find((x) => x.id === e.id);
        if (!held) log.push(e);
        answers.push({ ok: true, already: held !== undefined });
      }
      if (road !== 'none') throw new Error('the answer was lost');
      return { now, answers };
    },
    async photo() {
      return { ok: true, sha256: 'a'.repeat(64), width: 10, height: 20 };
    },
  };
  return { hub: server, log };
}
const still: DeviceClock = { now: () => 0, ahead: () => 0, learn: async () => undefined };

describe('sending what waits', () => {
  test('whatever the road loses, each entry arrives exactly once and in order', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 45 }),
        fc.array(
          fc.constantFrom(
            'none' as const,
            'lost-before' as const,
            'lost-after' as const,
            'cut-short' as const,
          ),
          { maxLength: 30 },
        ),
        async (count, road) => {
          const ids = Array.from({ length: count }, (_, i) => `e${i}`);
          const box = boxOf(itemsOf(ids));
          const mishaps = [...road];
          const { hub: server, log } = hubOf(() => mishaps.shift() ?? 'none');
          for (
            let tries = 0;
            tries < road.length + 3 && (await box.waiting()).length > 0;
            tries += 1
          )
            await drain(box, server, still);
          expect(log.map((e) => e.id)).toEqual(ids);
          expect(box.all()).toEqual([]);
        },
      ),
    );
  });
  test('one that is refused stays with its reason and holds up none behind it', async () => {
    const box = boxOf(itemsOf(['a', 'b', 'c']));
    const { hub, log } = hubOf(
      () => 'none',
      (id) => id === 'b',
    );
    expect(await drain(box, hub, still)).toEqual({ reached: true, taken: 2 });
    expect(log.map((e) => e.id)).toEqual(['a', 'c']);
    expect(box.all()).toMatchObject([
      { id: 'b', state: 'refused', problems: [{ path: 'at', message: 'no' }] },
    ]);
  });
  test('one that waits for somebody else to sign in stays, with the reason, and is sent again later', async () => {
    const box = boxOf(itemsOf(['a', 'b']));
    let signedIn = 'Robin';
    const log: string[] = [];
    const server: ServerPort = {
      log: async (_sentAt, entries) => ({
        now: 0,
        answers: entries.map((e) => {
          if (e.id === 'a' && signedIn !== 'Mo')
            return { ok: false, again: true, problems: [{ path: 'by', message: 'logged by Mo' }] };
          log.push(e.id);
          return { ok: true };
        }),
      }),
      photo: async () => ({ ok: false, problem: 'none' }),
    };
    await drain(box, server, still);
    expect(log).toEqual(['b']);
    expect(box.all()).toMatchObject([
      { id: 'a', state: 'waiting', problems: [{ path: 'by', message: 'logged by Mo' }] },
    ]);
    signedIn = 'Mo';
    await drain(box, server, still);
    expect(log).toEqual(['b', 'a']);
    expect(box.all()).toEqual([]);
  });
  test('nothing leaves the box without an answer', async () => {
    const box = boxOf(itemsOf(['a']));
    expect(await drain(box, hubOf(() => 'lost-before').hub, still)).toEqual({
      reached: false,
      taken: 0,
    });
    expect(box.all()).toHaveLength(1);
  });
  test('a picture goes up before its entry, and its hash into it', async () => {
    const [item] = itemsOf(['p']);
    const box = boxOf([
      { ...item!, form: { ...item!.form, kind: 'photo' }, photo: new Blob(['x']) },
    ]);
    const { hub, log } = hubOf(() => 'none');
    await drain(box, hub, still);
    expect(log[0]!.data).toMatchObject({ sha256: 'a'.repeat(64), width: 10, height: 20 });
  });
  test('pictures of something else go into its entry by their hash; what was logged before them does not wait for them', async () => {
    const items = itemsOf(['load', 'p1', 'p2', 'after']).map((i) =>
      i.id.startsWith('p')
        ? { ...i, form: { ...i.form, kind: 'load-change' }, photo: new Blob([i.id]) }
        : i,
    );
    const { hub, log } = hubOf(() => 'none');
    const steps: string[] = [];
    await drain(
      boxOf(items),
      {
        log: async (at, entries) => {
          steps.push(entries.map((e) => e.id).join('+'));
          return hub.log(at, entries);
        },
        photo: async (bytes) => {
          steps.push(`picture ${await bytes.text()}`);
          return { ok: true, sha256: (await bytes.text()).padEnd(64, '0'), width: 1, height: 1 };
        },
      },
      still,
    );
    expect(steps).toEqual(['load', 'picture p1', 'p1', 'picture p2', 'p2+after']);
    expect(log.map((e) => e.data.photos)).toEqual([
      undefined,
      ['p1'.padEnd(64, '0')],
      ['p2'.padEnd(64, '0')],
      undefined,
    ]);
  });
  test('a picture that the hub cannot read is refused with its reason', async () => {
    const [item] = itemsOf(['p']);
    const box = boxOf([
      { ...item!, photo: new Blob(['x']) },
      ...itemsOf(['q']).map((i) => ({ ...i, order: 5 })),
    ]);
    const { hub, log } = hubOf(() => 'none');
    await drain(box, { ...hub, photo: async () => ({ ok: false, problem: 'no picture' }) }, still);
    expect(log.map((e) => e.id)).toEqual(['q']);
    expect(box.all()).toMatchObject([
      { id: 'p', state: 'refused', problems: [{ message: 'no picture' }] },
    ]);
  });
});

describe('a phone whose clock is off', () => {
  const at = Date.UTC(2026, 10, 23, 9);
  test('stamps by the hub’s time and says by how much', () => {
    expect(stamped(form('a'), at, 20 * 60_000)).toMatchObject({
      at: '2026-11-23T09:00:00.000Z',
      data: { device: { enteredAt: '2026-11-23T09:00:00.000Z', clockAheadMs: 1_200_000 } },
    });
  });
  test('stamped anew, times that it took move; those that a person chose stay', () => {
    const round = stamped(
      form('a', {
        readings: [
          { id: 'r', at: '2026-11-23T08:59:00.000Z', value: 57 },
          { id: 's', value: 58 },
        ],
      }),
      at,
      0,
    );
    expect(restamped(round, HOUR, at)).toMatchObject({
      at: '2026-11-23T08:00:00.000Z',
      data: {
        readings: [{ at: '2026-11-23T07:59:00.000Z' }, { id: 's' }],
        device: { clockAheadMs: HOUR },
      },
    });
    expect(restamped({ ...round, at: '2026-11-20T10:00' }, HOUR, at).at).toBe('2026-11-20T10:00');
    expect(restamped(restamped(round, HOUR, at), 0, at)).toEqual(round);
  });
  test('set to something else while it was off, it dates nothing into the future', async () => {
    // It was an hour ahead when it was typed on, and nothing knew; it is right again now.
    const box = boxOf(itemsOf(['a'], at + HOUR, 0));
    const log: Form[] = [];
    const server: ServerPort = {
      log: async (_sentAt, entries) => ({
        now: at,
        answers: entries.map((e) => {
          if (Date.parse(e.at ?? '') > at)
            return { ok: false, problems: [{ path: 'at', message: 'in the future' }] };
          log.push(e);
          return { ok: true };
        }),
      }),
      photo: async () => ({ ok: false, problem: 'none' }),
    };
    await drain(box, server, { now: () => at, ahead: () => 0, learn: async () => undefined });
    expect(box.all()).toEqual([]);
    expect(log.map((e) => e.at)).toEqual(['2026-11-23T09:00:00.000Z']);
  });
  test('a hub that sees another error has the entry stamped anew, once', async () => {
    const box = boxOf(itemsOf(['a'], at, 0));
    let ahead = 0;
    const clock: DeviceClock = {
      now: () => at + HOUR,
      ahead: () => ahead,
      learn: async (ms) => {
        ahead = ms;
      },
    };
    const log: Form[] = [];
    let calls = 0;
    const server: ServerPort = {
      async log(_sentAt, entries) {
        calls += 1;
        return {
          now: at,
          answers: entries.map((e): ServerAnswer => {
            if (Math.abs((e.data.device as { clockAheadMs: number }).clockAheadMs - HOUR) > 120_000)
              return { ok: false, again: true, problems: [{ path: 'clock', message: '' }] };
            log.push(e);
            return { ok: true };
          }),
        };
      },
      async photo() {
        throw new Error('none');
      },
    };
    expect(await drain(box, server, clock)).toEqual({ reached: true, taken: 1 });
    expect([calls, log[0]!.at]).toEqual([2, '2026-11-23T08:00:00.000Z']);
  });
  test('a clock that runs about does not keep it sending for ever', async () => {
    const box = boxOf(itemsOf(['a', 'b']));
    let calls = 0;
    const hub: ServerPort = {
      async log(_s, entries) {
        calls += 1;
        if (calls > 200) throw new Error('for ever');
        return {
          now: 0,
          answers: entries.map(() => ({
            ok: false as const,
            again: true,
            problems: [{ path: 'clock', message: '' }],
          })),
        };
      },
      async photo() {
        throw new Error('none');
      },
    };
    expect((await drain(box, hub, still)).reached).toBe(true);
    // Each is stamped anew three times and no more, and then says what stands in its way.
    expect(calls).toBe(4);
    expect(box.all().map((i) => i.problems[0]?.path)).toEqual(['clock', 'clock']);
  });
});
