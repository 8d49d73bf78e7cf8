import fs from 'node:fs';
import fc from 'fast-check';
import { contradictionsOf, IMPOSSIBLE_PAIRS } from '../../../tests/support/impossible-pairs';
import { logOf } from '../../../tests/support/log';
import { ago, DAY, heat, HOUR, NOW, template } from '../../../tests/support/situation';
import { batchSnapshot, ruleSnapshot } from '../../../tests/support/snapshot';
import { foldBatch, foldSite } from '../log/fold';
import { createBatchSnapshot } from '../snapshot/batch-snapshot';
import { actOf, statusOfBatch } from './batch-status';

const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' as const };
const statusOf = (given: Parameters<typeof batchSnapshot>[0], now = NOW) =>
  statusOfBatch(batchSnapshot(given), now);

describe('how far a rule is', () => {
  const later = (hours: number, rule = {}) =>
    statusOf({ rules: [ruleSnapshot(rule)] }, NOW + hours * HOUR).main;
  test('counts while it is read, and is unread where nobody reads it for longer than it allows', () => {
    expect(later(0)).toMatchObject({ code: 'running' });
    expect(later(30)).toMatchObject({ code: 'running' });
    expect(later(32)).toMatchObject({ code: 'unread', at: ago(5) });
  });
  test('that was met stays met, read or not', () =>
    expect(later(400, { status: 'proven', provenAt: ago(90) })).toMatchObject({
      code: 'met',
      at: ago(90),
    }));
  test('met with a rim that nobody read or turned in is called so', () =>
    expect(later(0, { status: 'proven', provenAt: ago(90), rimUnread: true })!.code).toBe(
      'met-where-read',
    ));
  test('of what nobody ever read nothing is said', () =>
    expect(statusOf({ latest: null }).main).toMatchObject({ code: 'not-read', at: null }));
});

test('after its clock started over it is not said to be cold before somebody reads it', () => {
  const log = logOf(ago(400));
  log.put('built', {}, { at: ago(390) });
  for (let h = 380; h > 40; h -= 12) log.round(ago(h), 60, 62, 64);
  log.put('addition', { raw: true }, { at: ago(20) });
  const statusNow = () =>
    statusOfBatch(createBatchSnapshot(foldBatch(log.entries), SITE, foldSite([]), NOW), NOW);
  expect(statusNow().main).toMatchObject({ code: 'unread' });
  log.round(ago(24), 60, 62, 64);
  expect(statusNow().main).toMatchObject({ code: 'not-read', at: ago(24) });
  log.round(ago(2), 30, 32, 34);
  expect(statusNow().main).toMatchObject({ code: 'waiting' });
});

describe('danger', () => {
  const stageOf = (code: 'curing' | 'ended' | 'hot', held = false) => ({
    ...{ code, since: ago(30), reason: null, by: 'Mo' },
    held: held ? { at: ago(2), by: 'Mo', reason: null } : null,
  });
  const burning = { rounds: [heat(40, 60), heat(20, 70, 79)] };
  test.each([
    ['moved to cure', stageOf('curing')],
    ['on hold', stageOf('hot', true)],
    ['called finished', stageOf('ended')],
  ])('%s: a reading alone ends it', (_, stage) => {
    const hot = statusOf({ situation: { ...burning, stage } });
    expect(hot).toMatchObject({ danger: { level: 'fire', since: ago(20) }, isGone: false });
    expect(hot.next.code).toBe('TOO_HOT');
    expect(actOf(hot, 'hot')).toMatchObject({ askedBy: 'danger' });
    const cool = statusOf({ situation: { rounds: [...burning.rounds, heat(1, 40, 44)], stage } });
    expect(cool.danger.level).toBe('none');
    expect(statusOf({ situation: { ...burning, stage } }, NOW + 40 * DAY).danger.level).toBe(
      'fire',
    );
  });
});

describe('its course', () => {
  const courseAt = (ageDays: number, coreC: number, more = {}) =>
    statusOf({
      situation: {
        ...{ builtAt: NOW - ageDays * DAY, neverHot: true, template: template('by-heat') },
        ...{ rounds: [heat(1, coreC - 3, coreC)], lastRead: { at: ago(1), coreC, airC: 10 } },
        proof: { status: 'waiting', creditedHours: 0, lastHot: null },
        ...more,
      },
    }).course;
  // 85–100 °F: the first days of a batch that does not heat.
  test.each([
    [1, 30, 'cannot-say', 'WARMING'],
    [2, 38, 'cannot-say', 'WARMING'],
    [4, 30, 'behind', 'NOT_HEATING'],
    [9, 35, 'behind', 'NOT_HEATING'],
  ])('day %p at %p °C, never hot: %s', (day, coreC, code, because) =>
    expect(courseAt(day, coreC)).toMatchObject({ code, because }),
  );
  test('a cool method is on course where it is cool', () =>
    expect(courseAt(9, 32, { template: template('cap') }).code).toBe('on'));
  test('nobody can say once nobody reads it', () =>
    expect(statusOf({}, NOW + 3 * DAY).course).toMatchObject({
      ...{ code: 'cannot-say', because: 'UNREAD', asOf: ago(5) },
    }));
});

test('its days are counted from when adding was finished; before that from its start', () => {
  expect(statusOf({ situation: { builtAt: ago(5) } }).age).toEqual({
    ...{ from: 'finished-adding', since: ago(5) },
  });
  expect(statusOf({ openedAt: ago(60), situation: { builtAt: null } }).age).toEqual({
    ...{ from: 'started', since: ago(60) },
  });
});

test('what a rule asks for is not put off past its window, what a method asks for is', () => {
  const put = (until: number) => ({
    task: 'turn',
    who: null,
    day: null,
    defer: {
      ...{ at: NOW, until, reason: 'weather' as const, words: null },
      ...{ by: 'Mo', impossible: false },
    },
  });
  const owed = {
    turns: [ago(72)],
    proof: { turningsOwed: 2, creditedHours: 264, earliestProofAt: NOW + 4 * DAY },
  };
  const far = NOW + 9 * DAY;
  const turn = actOf(statusOf({ orders: [put(far)], situation: owed }), 'turn')!;
  expect(turn).toMatchObject({ askedBy: 'rule', deferred: false });
  expect(turn.by).toBe(turn.latest);
  const calendar = { builtAt: ago(97), template: template('fast'), proof: { status: null } };
  expect(actOf(statusOf({ orders: [put(far)], situation: calendar }), 'turn')).toMatchObject({
    ...{ askedBy: 'person', deferred: true, by: far },
  });
});

/** Anything that may happen to a batch, hour by hour. */
const happenings = fc.array(
  fc.tuple(
    fc.constantFrom(
      ...([
        'round',
        'round',
        'round',
        'thin',
        'turn',
        'part',
        'water',
        'hold',
        'unhold',
        'cure',
      ] as const),
      ...(['ready', 'end', 'raw', 'burnt', 'defer'] as const),
    ),
    fc.integer({ min: 1, max: 60 }),
    fc.integer({ min: 5, max: 84 }),
  ),
  { minLength: 1, maxLength: 40 },
);

function lived(steps: readonly (readonly [string, number, number])[], turnedMethod: boolean) {
  const log = logOf(ago(2000), { method: turnedMethod ? 'turned' : 'static' });
  let at = ago(1990);
  log.put('built', {}, { at });
  for (const [what, hours, c] of steps) {
    at += hours * HOUR;
    if (what === 'round') log.round(at, c, c + 2, c + 5);
    if (what === 'thin') log.round(at, c);
    if (what === 'turn' || what === 'part') log.put('turn', { full: what === 'turn' }, { at });
    if (what === 'water') log.put('water', { litres: 40, clean: true }, { at });
    if (what === 'hold' || what === 'unhold') log.put('hold', { on: what === 'hold' }, { at });
    if (what === 'cure') log.put('cure', {}, { at });
    if (what === 'ready') log.put('ready', { knowing: ['unproven', 'warm', 'unread'] }, { at });
    if (what === 'end') log.put('ended', { reason: 'gave-up' }, { at });
    if (what === 'raw') log.put('addition', { raw: true }, { at });
    if (what === 'burnt') log.put('observation', { smell: 'burnt' }, { at });
    if (what === 'defer')
      log.put('defer', { task: 'turn', until: at + c * HOUR, reason: 'weather' }, { at });
  }
  return { state: foldBatch(log.entries), at };
}

test('no batch, whatever happened to it and whenever it is looked at, says two things that contradict each other', () => {
  fc.assert(
    fc.property(
      happenings,
      fc.boolean(),
      fc.constantFrom(0, 6, 37, 24 * 40),
      (steps, turned, hoursLater) => {
        const { state, at } = lived(steps, turned);
        const now = at + hoursLater * HOUR;
        const snapshot = createBatchSnapshot(state, SITE, foldSite([]), now);
        expect(contradictionsOf(statusOfBatch(snapshot, now))).toEqual([]);
      },
    ),
    { numRuns: 300 },
  );
});

test('docs/status.md lists every pair that cannot be said', () => {
  const listed = fs.readFileSync('docs/status.md', 'utf8').split('\n');
  expect(IMPOSSIBLE_PAIRS.filter(({ name }) => !listed.includes(`- ${name}`))).toEqual([]);
});
