import { createBatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { statusOfBatch } from '@/core/status/batch-status';
import { foldBatch, foldSite } from '@/core/log/fold';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { checkTrail, trailOf } from '@/core/formats/trail';
import { batchFileOf } from '@/core/formats/batch-file-of';
import { createHash } from 'node:crypto';
import { contentsOf } from '@/core/mix/contents';
import { logRepo } from '@/db/repositories/log';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { storeRepo } from '@/db/repositories/store';
import type { Site } from '@/db/repositories/site';
import { newId } from '@/platform/ids';
import { doorOnSite, type Doored } from '../support/door';
import { entryId, batchId } from '../support/ids';

/** Acts between heaps: one act, an entry at each end, and what becomes of their proofs. */
let t: Doored['t'];
let door: Doored['door'];
let previewEntry: Doored['previewEntry'];
let site: Site;
let close: Doored['close'];
beforeAll(async () => {
  ({ t, door, previewEntry, site, close } = await doorOnSite());
}, 30_000);
afterAll(() => close(), 30_000);

const H = 3_600_000;
const iso = (at: number): string => new Date(at).toISOString();
const log = async (batch: string, kind: string, data: object, hoursAgo = 1, id = newId()) => ({
  id,
  answer: await door.ingestEntry({
    id,
    batch,
    kind: kind as 'note',
    at: iso(Date.now() - hoursAgo * H),
    by: 'Mo',
    data: data as Record<string, unknown>,
  }),
});
const ok = async (...args: Parameters<typeof log>): Promise<string> => {
  const { id, answer } = await log(...args);
  expect(answer).toEqual({ ok: true, already: false });
  return id;
};
const questionsNow = async () => {
  const { readSiteQuestions } = await import('@/entry/server/site-questions');
  const repo = snapshotRepo(t.app);
  const now = Date.now();
  return readSiteQuestions(t.app, {
    ...{ site, now, board: await repo.board(site, now), siteState: await repo.siteState(site) },
    asOf: await logRepo(t.app).lastHash(site.id, 'all'),
  });
};

/** A heap built so many hours ago, read every twelve hours at a temperature; proven by the five-day rule when it was hot long enough. */
async function heap(
  code: string,
  hours: number,
  c: number,
  more: object = {},
  probe?: string,
): Promise<string> {
  const id = newId();
  await ok(
    id,
    'opened',
    {
      code,
      name: code,
      method: 'static',
      volumeM3: 4,
      points: ['P1', 'P2', 'P3'].map((p) => ({ id: p, zone: 'core' })),
      policy: {},
      rules: ['us-503-pfrp-static', 'practice-weed-seed-week'],
      ...more,
    },
    hours + 1,
    id,
  );
  await ok(id, 'built', {}, hours);
  for (let h = hours - 1; h > 1; h -= 12) await round(id, c, h, probe);
  return id;
}
const round = (batch: string, c: number, hoursAgo: number, probe?: string): Promise<string> => {
  const id = newId();
  return ok(
    batch,
    'round',
    {
      source: 'hand',
      readings: ['P1', 'P2', 'P3'].map((p) => ({
        id: `${id}.${p}`,
        point: p,
        value: c,
        unit: 'C',
        round: id,
        at: iso(Date.now() - hoursAgo * H),
        ...(probe === undefined ? {} : { probe }),
      })),
    },
    hoursAgo,
    id,
  );
};
const stateOf = async (id: string) => foldBatch(await logRepo(t.app).ofBatch(batchId(id)));
const siteState = async () => foldSite(await logRepo(t.app).ofSite(site.id));
const snapshot = async (id: string) =>
  createBatchSnapshot(await stateOf(id), site, await siteState(), Date.now());
const credit = async (id: string): Promise<number> =>
  assessBatch(await stateOf(id), site, await siteState(), Date.now())!.rules.find(
    (a) => a.rule.id === 'us-503-pfrp-static',
  )!.assessment.verdict.creditedHours;

describe('joining', () => {
  test('an unproven heap: the whole starts again, the other is at its end, and both logs say so', async () => {
    const [a, b] = [await heap('A1', 100, 60), await heap('B1', 30, 60)];
    expect((await snapshot(a)).rules.some((r) => r.status === 'proven')).toBe(true);
    const preview = await previewEntry({
      id: newId(),
      batch: a,
      kind: 'merge',
      at: null,
      by: 'Mo',
      data: { from: b, withProven: false, volumeM3: 4 },
    });
    expect(preview.effects).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ costs: true, text: expect.stringMatching(/no longer meets it/) }),
      ]),
    );
    const id = await ok(a, 'merge', { from: b, withProven: false, volumeM3: 4 });
    expect((await snapshot(a)).rules.every((r) => r.status !== 'proven')).toBe(true);
    expect((await snapshot(a)).volumeM3).toBeCloseTo(8, 6);
    expect(await snapshot(b)).toMatchObject({
      state: 'released',
      situation: { stage: { code: 'ended', reason: 'merged' } },
    });
    expect((await logRepo(t.app).ofAct(entryId(id))).map((e) => [e.batch, e.kind])).toEqual([
      [a, 'merge'],
      [b, 'ended'],
    ]);
  });
  test('nobody may call proven what the log does not; what is proven takes nothing away', async () => {
    const [a, raw, good] = [
      await heap('A2', 200, 60),
      await heap('R2', 20, 60),
      await heap('G2', 200, 61),
    ];
    expect((await log(a, 'merge', { from: raw, withProven: true })).answer).toMatchObject({
      ok: false,
      problems: [
        {
          path: 'data.withProven',
          message: expect.stringMatching(/R2 has not met the rules of A2/),
        },
      ],
    });
    expect(
      (await log(a, 'merge', { from: good, withProven: true, seeds: false })).answer,
    ).toMatchObject({ ok: true });
    expect((await snapshot(a)).rules.every((r) => r.status === 'proven')).toBe(true);
    expect((await log(a, 'merge', { from: a, withProven: true })).answer).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringMatching(/itself/) }],
    });
  });
  test('what is at its end is not joined a second time, nor takes anything', async () => {
    const [a, b, c] = [
      await heap('A0', 40, 60),
      await heap('B0', 30, 60),
      await heap('C0', 30, 60),
    ];
    await ok(a, 'merge', { from: b, withProven: false });
    expect((await log(c, 'merge', { from: b, withProven: false }, 0.5)).answer).toMatchObject({
      ok: false,
      problems: [
        {
          path: 'data.from',
          message: expect.stringMatching(/B0 is finished: joined with another batch/),
        },
      ],
    });
    expect(
      (await log(c, 'transfer', { what: 'leachate', to: b, raw: true, seeds: true }, 0.5)).answer,
    ).toMatchObject({ ok: false, problems: [{ path: 'data.to' }] });
  });
  test('two who join the same heap to two others in the same instant: one is done, the other is told', async () => {
    const [a, b, c] = [
      await heap('A6', 40, 60),
      await heap('B6', 30, 60),
      await heap('C6', 40, 60),
    ];
    const answers = (
      await Promise.all([a, c].map((to) => log(to, 'merge', { from: b, withProven: false })))
    ).map((l) => l.answer);
    expect(answers.filter((x) => x.ok)).toHaveLength(1);
    expect(answers.find((x) => !x.ok)).toMatchObject({
      problems: [
        {
          path: 'data.from',
          message: expect.stringMatching(/B6 is finished: joined with another batch/),
        },
      ],
    });
  });
  test('struck, it is struck at both ends', async () => {
    const [a, b] = [await heap('A3', 100, 60), await heap('B3', 30, 60)];
    const id = await ok(a, 'merge', { from: b, withProven: false });
    await ok(a, 'correction', { target: id, reason: 'it was another heap' }, 0.5);
    expect((await snapshot(a)).rules.some((r) => r.status === 'proven')).toBe(true);
    expect((await snapshot(b)).situation.stage.code).not.toBe('ended');
  });
  test('the same act sent again is done once', async () => {
    const [a, b] = [await heap('A4', 40, 60), await heap('B4', 30, 60)];
    const form = {
      id: newId(),
      batch: a,
      kind: 'merge' as const,
      at: iso(Date.now() - H),
      by: 'Mo',
      data: { from: b, withProven: false },
    };
    const answers = await Promise.all([
      door.ingestEntry(form),
      door.ingestEntry(form),
      door.ingestEntry(form),
    ]);
    expect(answers.every((x) => x.ok)).toBe(true);
    expect(await logRepo(t.app).ofAct(entryId(form.id))).toHaveLength(2);
  });
});

describe('splitting', () => {
  test('both have the past; each has its own future; a correction of the past is one for both', async () => {
    const a = await heap('A5', 60, 60);
    const child = newId();
    await ok(a, 'split', { to: child, volumeM3: 1.5, code: 'C5', name: 'C5', bay: '9' }, 1.5);
    expect(await snapshot(child)).toMatchObject({
      name: 'C5',
      bay: '9',
      volumeM3: 1.5,
      builtAt: (await snapshot(a)).builtAt,
    });
    expect((await snapshot(a)).volumeM3).toBeCloseTo(2.5, 6);
    expect(await credit(child)).toBeCloseTo(await credit(a), 6);
    await round(a, 40, 0.5);
    expect((await snapshot(a)).latest?.valueC).toBe(40);
    expect((await snapshot(child)).latest?.valueC).toBe(60);
    // A reading of the shared past that proves wrong is wrong for both.
    const [, early] = (await stateOf(a)).entries.filter((e) => e.kind === 'round');
    const before = await credit(child);
    expect(
      (await log(child, 'correction', { target: early!.id, reason: 'at the wrong end' }, 0.3))
        .answer,
    ).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringMatching(/Correct it at the batch it came from/) }],
    });
    await ok(a, 'correction', { target: early!.id, reason: 'the wrong heap was read' }, 0.2);
    expect(await credit(child)).toBeLessThanOrEqual(before);
    expect((await stateOf(child)).struck.has(early!.id)).toBe(true);
  });
  test('what went in goes along: a part has its share of it, a joined heap brings all of its own', async () => {
    const parent = newId();
    await ok(
      parent,
      'opened',
      {
        code: 'A7',
        name: 'A7',
        method: 'static',
        volumeM3: 4,
        points: [{ id: 'P1' }],
        policy: {},
        rules: ['us-503-pfrp-static'],
      },
      60,
      parent,
    );
    const went = (
      batch: string,
      material: string,
      litres: number,
      hoursAgo: number,
    ): Promise<string> =>
      ok(batch, 'charge', { parts: [{ material, amount: { in: 'litres', n: litres } }] }, hoursAgo);
    await went(parent, 'straw', 3600, 58);
    await went(parent, 'horse-manure', 1800, 57);
    await ok(parent, 'built', {}, 55);
    const child = newId();
    await ok(parent, 'split', { to: child, volumeM3: 1, code: 'C7', name: 'C7' }, 20);
    const litres = async (id: string) =>
      contentsOf(await storeRepo(t.app).state(site.id), batchId(id)).ingredients.map((i) => [
        i.material,
        Math.round(i.litres ?? -1),
      ]);
    expect(await litres(child)).toEqual([
      ['straw', 900],
      ['horse-manure', 450],
    ]);
    expect(await litres(parent)).toEqual([
      ['straw', 2700],
      ['horse-manure', 1350],
    ]);
    await ok(parent, 'merge', { from: child, withProven: false }, 5);
    expect(
      (await litres(parent))
        .filter(([m]) => m === 'straw')
        .reduce((s, [, l]) => s + (l as number), 0),
    ).toBe(3600);
    const silent = await heap('S7', 40, 60);
    await ok(parent, 'merge', { from: silent, withProven: false }, 2);
    expect(contentsOf(await storeRepo(t.app).state(site.id), batchId(parent)).unlogged).toEqual([
      'what S7 was built of',
    ]);
  });
  test('a part of a part; the file of it carries its past, and its chain holds', async () => {
    const a = await heap('A6', 60, 60);
    const [child, grandchild] = [newId(), newId()];
    await ok(a, 'split', { to: child, volumeM3: 2, code: 'C6' }, 20);
    await ok(child, 'split', { to: grandchild, volumeM3: 0.5, code: 'D6' }, 3);
    expect((await stateOf(grandchild)).readings.length).toBeGreaterThan(9);
    const chained = await logRepo(t.app).chained(site.id, batchId(grandchild), Date.now());
    const file = batchFileOf(
      foldBatch(chained.map((c) => c.entry).filter((e) => e.batch !== null)),
      site,
      await siteState(),
    )!;
    const checked = checkTrail(
      JSON.parse(JSON.stringify({ ...file, trail: trailOf(site.id, chained) })),
      (text) => createHash('sha256').update(text).digest('hex'),
    );
    expect(checked).toMatchObject({ ok: true, told: { state: { opened: { code: 'D6' } } } });
  });
  test('more than it has is refused; a split whose part was read since cannot be struck', async () => {
    const a = await heap('A7', 40, 60);
    expect((await log(a, 'split', { to: newId(), volumeM3: 9, code: 'X' })).answer).toMatchObject({
      ok: false,
      problems: [{ path: 'data.volumeM3', message: expect.stringMatching(/about 4\.0 m³/) }],
    });
    const child = newId();
    const id = await ok(a, 'split', { to: child, volumeM3: 1, code: 'C7' }, 2);
    await round(child, 60, 1);
    expect(
      (await log(a, 'correction', { target: id, reason: 'never happened' }, 0.1)).answer,
    ).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringMatching(/its own entries/) }],
    });
    expect(
      (
        await log(newId(), 'opened', {
          code: 'Z',
          method: 'static',
          points: [{ id: 'P1' }],
          splitFrom: { batch: a, at: 1 },
        })
      ).answer,
    ).toMatchObject({ ok: false });
  });
});

describe('carried over', () => {
  test('leachate of one heap is a raw addition to the other: its clock starts over, and both logs have it', async () => {
    const [a, b] = [await heap('A8', 100, 60), await heap('B8', 100, 60)];
    const preview = await previewEntry({
      id: newId(),
      batch: a,
      kind: 'transfer',
      at: null,
      by: 'Mo',
      data: { what: 'leachate', to: b, raw: true, seeds: false, litres: 20 },
    });
    expect(preview.effects?.filter((e) => e.costs).every((e) => e.rule.startsWith('B8'))).toBe(
      true,
    );
    const id = await ok(a, 'transfer', {
      what: 'leachate',
      to: b,
      raw: true,
      seeds: false,
      litres: 20,
    });
    expect(await credit(a)).toBeGreaterThan(60);
    expect(await credit(b)).toBe(0);
    expect((await logRepo(t.app).ofAct(entryId(id))).map((e) => [e.batch, e.kind, e.data])).toEqual(
      [
        [a, 'transfer', expect.anything()],
        [
          b,
          'addition',
          expect.objectContaining({
            raw: true,
            seeds: false,
            what: 'Leachate from A8',
            from: a,
            stuff: 'leachate',
            litres: 20,
          }),
        ],
      ],
    );
    // Leachate brings germs, no seeds: the seeds' clock goes on.
    expect(
      (await snapshot(b)).rules.find((r) => r.rule === 'practice-weed-seed-week')!.creditedHours,
    ).toBeGreaterThan(60);
  });
  test('stacked: both say so, and the upper one stands where the lower one does', async () => {
    const [a, b] = [await heap('A9', 40, 60, { bay: '1' }), await heap('B9', 40, 60, { bay: '2' })];
    await ok(a, 'stack', { with: b, layer: 'upper' });
    expect((await snapshot(a)).bay).toBe('2');
    expect((await stateOf(b)).own.findLast((e) => e.kind === 'stack')).toMatchObject({
      data: { with: a, layer: 'lower' },
    });
    expect((await snapshot(a)).kin).toEqual([
      expect.objectContaining({ kind: 'stack', from: a, to: b }),
    ]);
  });
  test('a heap that is not there is refused, with what to do', async () => {
    const a = await heap('AX', 40, 60);
    expect(
      (await log(a, 'transfer', { what: 'leachate', to: newId(), raw: true, seeds: false })).answer,
    ).toMatchObject({
      ok: false,
      problems: [{ path: 'data.to', message: expect.stringMatching(/not on this site/) }],
    });
  });
});

describe('what nobody means', () => {
  test.each<[string, string, object, RegExp]>([
    [
      'a task put off to the end of time',
      'defer',
      { task: 'turn', until: 1e300, reason: 'weather' },
      /data\.until|until/,
    ],
    ['a day that is none', 'assign', { task: 'turn', day: -5 }, /day/],
    ['no reason', 'defer', { task: 'turn', until: Date.now() + H }, /reason/],
    ['a heap of minus two cubic metres', 'size', { volumeM3: -2 }, /volumeM3/],
    ['no size at all', 'size', {}, /volumeM3/],
    ['a fix that is none', 'fix', { fix: 'prayer' }, /fix/],
    [
      'limits that cross',
      'method',
      {
        template: {
          id: 'x',
          name: 'Xyz',
          kept: 'turned',
          trigger: 'peak',
          firstDay: 4,
          everyDays: 2,
          lowC: 40,
          limits: { warnC: 70, actC: 65, dangerC: 77 },
          moisture: { lowPct: 50, targetPct: 57, highPct: 62 },
          activeDays: 20,
          expect: [
            { day: 0, lowC: 0, highC: 40 },
            { day: 9, lowC: 0, highC: 60 },
          ],
          minutesPerM3: 5,
          machine: false,
        },
      },
      /actC/,
    ],
    ['an end without a reason', 'ended', {}, /reason/],
    ['a split into itself', 'split', { to: 'not-a-heap', volumeM3: 1, code: 'Q' }, /to/],
  ])('is refused with the field that is wrong: %s', async (_, kind, data, path) => {
    const a = await heap('N1', 10, 60);
    const { answer } = await log(a, kind, data);
    expect(answer).toMatchObject({
      ok: false,
      problems: expect.arrayContaining([
        expect.objectContaining({ path: expect.stringMatching(path) }),
      ]),
    });
  });
});

describe('moving to cure', () => {
  const into = (code: string) => ({ to: newId(), begin: { kind: 'curing', code }, all: true });
  test('a batch in danger is moved by nobody who does not say that it is known', async () => {
    const a = await heap('HOT', 20, 60);
    await round(a, 79, 1);
    const { answer } = await log(a, 'cure', into('C-HOT'), 0.5);
    expect(answer).toMatchObject({
      ok: false,
      problems: [
        {
          path: 'data.knowing',
          message: expect.stringMatching(/79 °C inside when last read: it may catch fire\./),
        },
      ],
    });
    await ok(a, 'cure', { ...into('C-HOT'), knowing: ['danger', 'unproven'] }, 0.5);
    // It is moved, and in danger as before: a reading alone ends that.
    const status = statusOfBatch(await snapshot(a), Date.now());
    expect(status).toMatchObject({ danger: { level: 'fire' }, isGone: false });
  });
  test('nor one that is too hot, short of a danger', async () => {
    const a = await heap('WARM', 20, 60);
    await round(a, 71, 1);
    expect((await log(a, 'cure', into('C-WARM'), 0.5)).answer).toMatchObject({
      ok: false,
      problems: [
        { message: expect.stringMatching(/71 °C inside when last read, too hot to cure/) },
      ],
    });
  });
  test('what was moved in danger is read where it lies, and that ends it', async () => {
    const a = await heap('LATER', 20, 60);
    await round(a, 79, 2);
    await ok(a, 'cure', { ...into('C-LATER'), knowing: ['danger', 'unproven'] }, 1);
    await round(a, 40, 0.5);
    expect(statusOfBatch(await snapshot(a), Date.now())).toMatchObject({
      danger: { level: 'none' },
      isGone: true,
    });
  });
  test('one that is not met is moved as it is', async () => {
    const a = await heap('MILD', 20, 60);
    await ok(a, 'cure', into('C-MILD'), 0.5);
  });
});

test('a thermometer that was found off is open on what was read with it, until it is settled once', async () => {
  const id = await heap('Doubted', 120, 57, {}, 'T8');
  const check = { probe: 'T8', referenceC: 0, readC: 4.2, how: 'ice' };
  await ok(null as never, 'probe-check', check, 0);
  const [question] = await questionsNow();
  expect(question).toMatchObject({ cause: { code: 'thermometer', probe: 'T8' }, closed: null });
  expect(question!.batches).toEqual([id]);
  const settle = (name: string, reason = 'read again beside T1: no more than 0.2 off') =>
    log(null as never, 'question-closed', { question: name, reason }, 0);
  expect((await settle('weeds:of-nothing')).answer).toMatchObject({
    problems: [{ path: 'data.question', message: expect.stringMatching(/Reload the page/) }],
  });
  expect((await settle(question!.id, ' ')).answer).toMatchObject({ ok: false });
  expect((await settle(question!.id)).answer).toMatchObject({ ok: true });
  expect((await settle(question!.id)).answer).toMatchObject({ ok: false });
  expect((await questionsNow())[0]!.closed).toMatchObject({ by: 'Mo' });
});

test('a check that was a slip is voided, with what that does said first', async () => {
  const { voidEffects } = await import('@/features/instruments/server/queries');
  const id = await heap('Slipped', 120, 57, {}, 'T7');
  const rule = (s: { rules: readonly { rule: string; provenAt: number | null }[] }) =>
    s.rules.find((r) => r.rule === 'us-503-pfrp-static')!;
  const isMet = async (): Promise<boolean> => rule(await snapshot(id)).provenAt !== null;
  expect(await isMet()).toBe(true);
  const check = await ok(
    null as never,
    'probe-check',
    { probe: 'T7', referenceC: 0, readC: 4.2, how: 'ice' },
    118,
  );
  expect(await isMet()).toBe(false);
  expect(await voidEffects(site, check)).toMatchObject({
    heaps: 1,
    counts: [{ heap: 'Slipped', effects: [{ text: expect.stringMatching(/is met/) }, {}] }],
  });
  expect(await isMet()).toBe(false);
  await ok(null as never, 'correction', { target: check, reason: 'read in the wrong cup' }, 0);
  expect(await isMet()).toBe(true);
  const kept = (await snapshotRepo(t.app).board(site, Date.now())).find((b) => b.id === id);
  expect(rule(kept!).provenAt).not.toBeNull();
  expect(await voidEffects(site, check)).toBeNull();
});
