import sharp from 'sharp';
import { foldBatch } from '@/core/log/fold';
import { logRepo } from '@/db/repositories/log';
import { logLines } from '@/features/log/view';
import { siteRepo } from '@/db/repositories/site';
import { newId } from '@/platform/ids';
import { actAs, memberAccess } from '../support/access';
import { aSite, freshDatabase } from '../support/database';
import { batchId } from '../support/ids';
import { closePools, pointPoolsAt } from '../support/pools';

/** What the hub's door takes, what it refuses, and what a repeat is. */
let t: Awaited<ReturnType<typeof freshDatabase>>;
let door: typeof import('@/entry/server/ingest-entry');
let receive: typeof import('@/entry/server/receive').receive;
let photos: typeof import('@/entry/server/photos');
beforeAll(async () => {
  t = await freshDatabase();
  pointPoolsAt(t);
  actAs(memberAccess(await aSite(t.app), 'manager'));
  door = await import('@/entry/server/ingest-entry');
  ({ receive } = await import('@/entry/server/receive'));
  photos = await import('@/entry/server/photos');
}, 30_000);
afterAll(async () => {
  await closePools();
  await t.drop();
}, 30_000);

const H = 3_600_000;
const iso = (at: number): string => new Date(at).toISOString();
const point = (id: string, zone = 'core', depthM = 0.9) => ({
  id,
  label: `${id} place`,
  zone,
  depthM,
});
async function aHeap(): Promise<string> {
  const id = newId();
  expect(
    await door.ingestEntry({
      id,
      batch: id,
      kind: 'opened',
      at: iso(Date.now() - 50 * H),
      by: 'Mo',
      data: {
        code: `X${id.slice(-6)}`,
        method: 'turned',
        points: [point('P1'), point('P2', 'middle', 0.6), point('P3', 'edge', 0.3)],
      },
    }),
  ).toEqual({ ok: true, already: false });
  return id;
}
const round = (
  batch: string,
  values: Record<string, number>,
  more: object = {},
  at = Date.now() - H,
) => {
  const id = newId();
  return {
    id,
    batch,
    kind: 'round' as const,
    at: iso(at),
    by: 'Mo',
    data: {
      source: 'hand',
      readings: Object.entries(values).map(([p, value]) => ({
        id: `${id}.${p}`,
        point: p,
        value,
        unit: 'C',
        round: id,
        at: iso(at),
      })),
      ...more,
    },
  };
};

describe('the same entry again', () => {
  test('is done, once, whenever and however often it is sent, also all at one time', async () => {
    const heap = await aHeap();
    const form = round(heap, { P1: 60, P2: 58, P3: 57 });
    const answers = await Promise.all(Array.from({ length: 6 }, () => door.ingestEntry(form)));
    expect(answers.filter((a) => a.ok && !a.already)).toHaveLength(1);
    expect(answers.every((a) => a.ok)).toBe(true);
    expect(await logRepo(t.app).ofBatch(batchId(heap))).toHaveLength(2);
  });
  test('stamped a little ahead, it is still known again', async () => {
    const heap = await aHeap();
    const form = round(heap, { P1: 60 }, {}, Date.now() + 60_000);
    expect(await door.ingestEntry(form)).toEqual({ ok: true, already: false });
    await new Promise((r) => {
      setTimeout(r, 30);
    });
    expect(await door.ingestEntry(form)).toEqual({ ok: true, already: true });
  });
  test('with other content under its id it is refused, and what the log holds stays', async () => {
    const heap = await aHeap();
    const form = round(heap, { P1: 60 });
    await door.ingestEntry(form);
    const other = {
      ...form,
      data: { ...form.data, readings: form.data.readings.map((r) => ({ ...r, value: 66 })) },
    };
    const answer = await door.ingestEntry(other);
    expect(answer).toMatchObject({
      ok: false,
      problems: [
        {
          path: 'id',
          message: expect.stringMatching(
            /already in the log with other content \(temperature check of 1 by Mo\).*not changed/,
          ),
        },
      ],
    });
    expect(await door.ingestEntry({ ...form, by: 'Jo' })).toMatchObject({ ok: false });
    expect(
      foldBatch(await logRepo(t.app).ofBatch(batchId(heap))).readings.map((r) => r.value),
    ).toEqual([60]);
  });
  test('the ids of its readings are its own too', async () => {
    const heap = await aHeap();
    const form = round(heap, { P1: 60 });
    await door.ingestEntry(form);
    expect(await door.ingestEntry({ ...form, id: newId() })).toMatchObject({
      ok: false,
      problems: [{ path: 'data.readings' }],
    });
  });
});

describe('places', () => {
  test('a place that was given up while a phone had no signal still takes its reading; one that never was does not', async () => {
    const heap = await aHeap();
    expect(
      await door.ingestEntry({
        id: newId(),
        batch: heap,
        kind: 'plan',
        at: iso(Date.now()),
        by: 'Mo',
        data: { points: [point('P1'), point('P2', 'middle', 0.6)] },
      }),
    ).toMatchObject({ ok: true });
    expect(await door.ingestEntry(round(heap, { P1: 60, P3: 51 }))).toMatchObject({ ok: true });
    const state = foldBatch(await logRepo(t.app).ofBatch(batchId(heap)));
    expect([
      state.plan.map((p) => p.id),
      state.points.map((p) => p.id),
      state.readings.map((r) => r.point),
    ]).toEqual([
      ['P1', 'P2'],
      ['P1', 'P2', 'P3'],
      ['P1', 'P3'],
    ]);
    expect(await door.ingestEntry(round(heap, { P9: 51 }))).toMatchObject({
      ok: false,
      problems: [
        { path: 'data.readings[0].point', message: expect.stringMatching(/no point ‘P9’/) },
      ],
    });
  });
  test('a place with readings cannot become another place', async () => {
    const heap = await aHeap();
    await door.ingestEntry(round(heap, { P1: 60 }));
    const plan = (points: object[]) =>
      door.ingestEntry({
        id: newId(),
        batch: heap,
        kind: 'plan',
        at: null,
        by: 'Mo',
        data: { points },
      });
    expect(await plan([point('P1', 'edge', 0.9)])).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringMatching(/is a new point/) }],
    });
    expect(await plan([point('P1', 'core', 0.5)])).toMatchObject({ ok: false });
    expect(await plan([point('P2', 'edge', 0.5)])).toMatchObject({ ok: true });
    expect(await plan([point('P7'), point('P7')])).toMatchObject({ ok: false });
  });
});

describe('impossible input', () => {
  test.each([
    ['2026-02-31T10:00:00Z', /not a valid time/],
    ['yesterday', /not a valid time/],
    ['0206-05-01T10:00:00Z', /long before this site/],
    [iso(Date.now() + 3 * H), /in the future/],
    ['2026-02-30T10:00', /not a valid time/],
    ['2026-03-29T01:30', /never showed/],
  ])('a time of %s', async (at, says) => {
    const heap = await aHeap();
    expect(await door.ingestEntry({ ...round(heap, { P1: 60 }), at })).toMatchObject({
      ok: false,
      problems: [{ path: 'at', message: expect.stringMatching(says) }],
    });
  });
  test('a reading without a day, a range upside down, a row that ends before it starts, a kind that is none', async () => {
    const heap = await aHeap();
    const form = round(heap, { P1: 60 });
    const withReading = (more: object) =>
      door.ingestEntry({
        ...form,
        id: newId(),
        data: { ...form.data, readings: [{ ...form.data.readings[0]!, ...more }] },
      });
    expect(await withReading({ at: '2026-13-01T00:00:00Z' })).toMatchObject({ ok: false });
    expect(await withReading({ high: 50 })).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringMatching(/upper end of a range/) }],
    });
    expect(await withReading({ value: Number.NaN })).toMatchObject({ ok: false });
    expect(
      await door.ingestEntry({
        id: newId(),
        batch: heap,
        kind: 'position',
        at: null,
        by: 'Mo',
        data: { position: { row: 'S', fromM: 6, toM: 2 } },
      }),
    ).toMatchObject({ ok: false });
    for (const junk of [null, 'x', 7, {}, { id: 'x' }, { id: newId(), kind: 'delete' }])
      expect(await door.ingestEntry(junk as never)).toMatchObject({ ok: false });
  });
});

describe('what a phone sends', () => {
  const post = async (
    body: unknown,
    headers: Record<string, string> = {},
  ): Promise<{
    status: number;
    answer: {
      now: number;
      answers: { ok: boolean; problems?: { path: string }[] }[];
      problem?: string;
    };
  }> => {
    const response = await receive(
      new Request('http://hub/api/log', {
        method: 'POST',
        headers,
        body: typeof body === 'string' ? body : JSON.stringify(body),
      }),
    );
    return { status: response.status, answer: await response.json() };
  };
  test('each is answered for itself, in order, and bears the hub’s time', async () => {
    const heap = await aHeap();
    const [a, b, c] = [round(heap, { P1: 60 }), round(heap, { P9: 60 }), round(heap, { P2: 61 })];
    const { answer } = await post({ sentAt: Date.now(), entries: [a, b, c] });
    expect(answer.answers.map((x) => x.ok)).toEqual([true, false, true]);
    expect(Math.abs(answer.now - Date.now())).toBeLessThan(5000);
  });
  test('a phone whose clock turned out to be off is told so; what it sent before is known again all the same', async () => {
    const heap = await aHeap();
    const stampedAt = (form: ReturnType<typeof round>, clockAheadMs: number) => ({
      ...form,
      data: { ...form.data, device: { enteredAt: form.at, clockAheadMs } },
    });
    const form = stampedAt(round(heap, { P1: 60 }), 0);
    expect(
      (await post({ sentAt: Date.now() + 20 * 60_000, entries: [form] })).answer.answers,
    ).toMatchObject([{ ok: false, again: true, problems: [{ path: 'clock' }] }]);
    const right = stampedAt(form, 20 * 60_000);
    expect(
      (await post({ sentAt: Date.now() + 20 * 60_000, entries: [right] })).answer.answers,
    ).toMatchObject([{ ok: true, already: false }]);
    expect((await post({ sentAt: Date.now(), entries: [right] })).answer.answers).toMatchObject([
      { ok: true, already: true },
    ]);
    const [line] = logLines(foldBatch(await logRepo(t.app).ofBatch(batchId(heap))), {
      timeZone: 'UTC',
      unit: 'C',
      now: Date.now(),
    });
    expect(line!.clock).toBe('the phone’s clock was 20 min fast; the time was corrected');
  });
  test('no list, no JSON, too much', async () => {
    expect((await post('{')).status).toBe(400);
    expect((await post({ entries: 'x' })).status).toBe(400);
    expect((await post({ entries: Array(101).fill({}) })).status).toBe(400);
    expect((await post('x'.repeat(4_000_001))).status).toBe(413);
  });
});

describe('a thermometer check', () => {
  /** Four days at 55.6 °C, read with T8, which was right when it was last checked. */
  test('what it does from now on, and what it puts in doubt behind, is said before it is kept', async () => {
    const { checkEffects } = await import('@/features/instruments/server/queries');
    const site = (await siteRepo(t.app).first())!;
    const start = Date.now() - 100 * H;
    const take = async (
      kind: string,
      batch: string | null,
      at: number,
      data: object,
      id = newId(),
    ): Promise<string> => {
      expect(
        await door.ingestEntry({
          id,
          batch: kind === 'opened' ? id : batch,
          kind: kind as never,
          at: iso(at),
          by: 'Mo',
          data: data as never,
        }),
      ).toEqual({ ok: true, already: false });
      return id;
    };
    await take('probe-check', null, start - H, {
      probe: 'T8',
      referenceC: 0,
      readC: 0,
      how: 'ice',
    });
    const id = newId();
    await take(
      'opened',
      id,
      start,
      {
        code: 'PROOF',
        name: 'Plover',
        method: 'static',
        points: [point('P1'), point('P2'), point('P3')],
        rules: ['us-503-pfrp-static'],
      },
      id,
    );
    await take('built', id, start, {});
    for (let h = 2; h <= 98; h += 12)
      await take('round', id, start + h * H, {
        source: 'hand',
        readings: ['P1', 'P2', 'P3'].map((p) => ({
          id: `${id}.${h}.${p}`,
          point: p,
          value: 55.6,
          unit: 'C',
          probe: 'T8',
          round: `r${h}`,
          at: iso(start + h * H),
        })),
      });
    const check = (readC: number, at = Date.now()) =>
      checkEffects(site, { probe: 'T8', referenceC: 0, readC, at });

    // 2 K too high, found today: nothing before today is corrected by it, but the proof hangs on it.
    const today = await check(2);
    expect(today).toMatchObject({
      counts: [],
      heaps: 1,
      doubts: [
        {
          heap: 'Plover',
          effects: [{ costs: true, text: expect.stringMatching(/no longer meets it/) }],
        },
      ],
    });
    // The same dated back to the second day does change it.
    expect(await check(2, start + 20 * H)).toMatchObject({
      counts: [{ heap: 'Plover', effects: [{ costs: true }] }],
    });
    // 0.3 K too high: every verdict stands either way; and nothing was kept by asking.
    expect(await check(0.3)).toMatchObject({ counts: [], doubts: [], heaps: 1 });
    expect(
      (await logRepo(t.app).ofSite(site.id)).filter((e) => e.kind === 'probe-check'),
    ).toHaveLength(1);
    expect(
      await checkEffects(site, { probe: 'T9', referenceC: 0, readC: 5, at: Date.now() }),
    ).toMatchObject({ heaps: 0, since: null, counts: [], doubts: [] });
  });
});

test('a check that is further off than any thermometer that works is asked about before it is written', async () => {
  // 0 typed where a dial in °F stands at 32 in ice water.
  const check = (certain: boolean) =>
    door.ingestEntry({
      ...{ id: newId(), batch: null, kind: 'probe-check', at: null, by: 'Mo' },
      data: {
        ...{ probe: 'T7', referenceC: 0, readC: -17.8, how: 'ice' },
        ...(certain ? { certain } : {}),
      },
    } as never);
  expect(await check(false)).toMatchObject({
    ok: false,
    problems: [{ path: 'data.readC', message: expect.stringMatching(/Was it read in °C/) }],
  });
  expect(await check(true)).toEqual({ ok: true, already: false });
});

describe('photos', () => {
  const put = async (
    bytes: Buffer,
  ): Promise<{
    status: number;
    answer: { ok: boolean; sha256: string; width: number; height: number; problem?: string };
  }> => {
    const response = await photos.takePhoto(
      new Request('http://hub/api/photo', { method: 'POST', body: new Uint8Array(bytes) }),
    );
    return { status: response.status, answer: await response.json() };
  };
  /** Lying on its side, with a place in its data, as phones write it. */
  const lying = (): Promise<Buffer> =>
    sharp({ create: { width: 2400, height: 1200, channels: 3, background: '#b04a1a' } })
      .jpeg()
      .withExif({
        IFD0: { Make: 'Made-up', Orientation: '6' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 12/1 0/1' },
      })
      .withMetadata({ orientation: 6 })
      .toBuffer();

  test('turned upright, made smaller, and nothing of where it was taken', async () => {
    const before = await lying();
    expect((await sharp(before).metadata()).orientation).toBe(6);
    const { answer } = await put(before);
    expect(answer).toMatchObject({ ok: true, width: 800, height: 1600 });
    const served = Buffer.from(
      await (
        await photos.servePhoto(new Request('http://hub/api/photo/x'), answer.sha256)
      ).arrayBuffer(),
    );
    const meta = await sharp(served).metadata();
    expect([meta.width, meta.height, meta.exif, meta.orientation]).toEqual([
      800,
      1600,
      undefined,
      undefined,
    ]);
    expect(served.includes('GPS')).toBe(false);
    expect((await put(before)).answer.sha256).toBe(answer.sha256);
    const small = await sharp(
      Buffer.from(
        await (
          await photos.servePhoto(new Request('http://hub/api/photo/x?small'), answer.sha256)
        ).arrayBuffer(),
      ),
    ).metadata();
    expect([small.width, small.height]).toEqual([200, 400]);
  });
  test('40 MB, no picture, half a picture, none at all: a sentence each, and nothing kept', async () => {
    expect(await put(Buffer.alloc(40_000_000))).toMatchObject({
      status: 413,
      answer: { ok: false, problem: expect.stringMatching(/12 MB at most/) },
    });
    for (const bytes of [
      Buffer.from('%PDF-1.4 not a picture'),
      Buffer.alloc(0),
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>'.repeat(0) + 'GIF'),
    ])
      expect(await put(bytes)).toMatchObject({
        status: 415,
        answer: { problem: expect.stringMatching(/not a photo that can be read/) },
      });
  });
  test('an entry whose picture is not there waits; with it, it is taken', async () => {
    const heap = await aHeap();
    const entry = (sha256: string) => ({
      id: newId(),
      batch: heap,
      kind: 'photo' as const,
      at: null,
      by: 'Mo',
      data: { sha256, width: 10, height: 10 },
    });
    expect(await door.ingestEntry(entry('0'.repeat(64)))).toMatchObject({ ok: false, again: true });
    expect(await door.ingestEntry(entry((await put(await lying())).answer.sha256))).toMatchObject({
      ok: true,
    });
  });
  test('a load’s pictures count as they do for a heap: without them it waits', async () => {
    const load = (photos: string[]) => ({
      id: newId(),
      batch: null,
      kind: 'load' as const,
      at: null,
      by: 'Mo',
      data: {
        material: 'straw',
        amount: { in: 'litres', n: 900 },
        state: 'fresh',
        sprayed: 'no',
        answer: 'accept',
        waste: true,
        photos,
      },
    });
    const up = (await put(await lying())).answer.sha256;
    expect(await door.ingestEntry(load([up, '0'.repeat(64)]))).toMatchObject({
      ok: false,
      again: true,
      problems: [{ path: 'data.photos' }],
    });
    const kept = load([up]);
    expect(await door.ingestEntry(kept)).toEqual({ ok: true, already: false });
    const change = {
      id: newId(),
      batch: null,
      kind: 'load-change' as const,
      at: null,
      by: 'Mo',
      data: { load: kept.id, photos: ['0'.repeat(64)] },
    };
    expect(await door.ingestEntry(change)).toMatchObject({ ok: false, again: true });
    expect(await door.ingestEntry({ ...change, data: { load: kept.id, photos: [up] } })).toEqual({
      ok: true,
      already: false,
    });
  });
  test('a picture is as little to be changed as the log', async () => {
    await expect(t.admin.deleteFrom('photo').execute()).rejects.toThrow(/append-only/);
    await expect(t.app.deleteFrom('photo').execute()).rejects.toThrow(/permission denied/);
  });
});
