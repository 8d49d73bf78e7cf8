import type { StageCode } from './stage';
import fc from 'fast-check';
import type { Work } from '../log/shapes';
import {
  ago,
  DAY,
  heat,
  HOUR,
  NOW,
  situation,
  template,
  type Change,
} from '../../../tests/support/situation';
import { ordersOf, type Order } from './orders';
import { GROUPS } from './groups';
import { availableLabourAt, shareOut } from './labour';
import { tasksOf, type HeapCard, type Task } from './tasks';
import { costText, taskWords } from '../../telling/status/tasks';
import { batchId } from '../../../tests/support/ids';

const NONE = { chores: [], probes: [] };
const card = (id: string, change: Change, orders: Order[] = []): HeapCard => {
  const { now: _now, ...facts } = situation(change);
  return { id: batchId(id), code: id, name: id, facts, orders };
};
const keys = (tasks: readonly Task[]): string[] => tasks.map((t) => `${t.group} ${t.key}`);
const deferred = (task: string, hours: number): Order => ({
  task,
  who: null,
  day: null,
  defer: {
    at: NOW,
    until: NOW + hours * HOUR,
    reason: 'weather',
    words: null,
    by: 'Mo',
    impossible: false,
  },
});

const hot = card('hot', { rounds: [heat(2, 66, 73)] });
const losing = card('losing', { proof: { lastHot: ago(33), creditedHours: 282 } });
const owing = card('owing', {
  turns: [ago(72)],
  proof: { turningsOwed: 2, creditedHours: 264, earliestProofAt: NOW + 4 * DAY },
});
const scheduled = card('scheduled', {
  template: template('fast'),
  builtAt: ago(97),
  proof: { status: 'broken', creditedHours: 0, lastHot: null, requiredHours: 0 },
});
const calmOne = card('calm', {});

describe('the day’s list', () => {
  test('danger, then what is lost if left, then what a proof is owed, then the schedule, then chores', () => {
    const tasks = tasksOf(
      [scheduled, owing, losing, hot, calmOne],
      {
        chores: [
          { id: 'c', what: 'leachate', words: null, everyDays: 1, minutes: 10, doneAt: ago(30) },
        ],
        probes: [{ name: 'T1', due: ago(48) }],
      },
      NOW,
    );
    expect(keys(tasks)).toEqual([
      'danger hot:hot',
      'losing losing:read',
      'owed owing:turn',
      'owed calm:read',
      'owed owing:read',
      'schedule scheduled:turn',
      'schedule scheduled:read',
      'chore probe:T1',
      'chore chore:c',
    ]);
    expect(tasks[1]).toMatchObject({ atStakeHours: 282, latest: ago(33) + 36 * HOUR });
    expect(costText(tasks[1]!, { timeZone: 'UTC', unit: 'C', now: NOW })).toBe(
      'After 3:00\u00a0PM its 11 d 18 h of counted time are lost.',
    );
    expect(taskWords(tasks[8]!, { timeZone: 'UTC', unit: 'C', now: NOW }).caution).toMatch(
      /pathogens/,
    );
  });
  test('put off: behind all else until it is looked at again; danger is not put off', () => {
    const put = tasksOf(
      [
        { ...owing, orders: [deferred('turn', 20)] },
        { ...hot, orders: [deferred('hot', 20)] },
        calmOne,
      ],
      NONE,
      NOW,
    );
    expect(put.at(-1)).toMatchObject({ key: 'owing:turn', deferred: true });
    expect(put[0]).toMatchObject({ key: 'hot:hot', deferred: false });
    expect(
      tasksOf([{ ...owing, orders: [deferred('turn', -1)] }], NONE, NOW).find(
        (t) => t.key === 'owing:turn',
      ),
    ).toMatchObject({ deferred: false });
  });
  test('moved to another day it is due then; overdue stays in sight', () => {
    const turnMovedTo = (day: number) => {
      const moved: Order = { task: 'turn', defer: null, who: 'Jo', day };
      return tasksOf([{ ...owing, orders: [moved] }], NONE, NOW).find((t) => t.kind === 'turn')!;
    };
    expect(turnMovedTo(NOW + 20 * HOUR)).toMatchObject({ due: NOW + 20 * HOUR, who: 'Jo' });
    // What a rule asks for is not moved further than its window.
    const { latest } = turnMovedTo(NOW + HOUR);
    expect(turnMovedTo(NOW + 40 * HOUR).due).toBe(latest);
    expect(
      tasksOf(
        [
          card('late', {
            rounds: [heat(80, 40)],
            proof: { status: 'broken', creditedHours: 0, lastHot: null },
          }),
        ],
        NONE,
        NOW,
      )[0],
    ).toMatchObject({ kind: 'read', overdue: true });
  });
  test('a heap that lost its heat is mended, not also turned; a dry one that is to be turned is watered with it', () => {
    const cooled = card('cooled', {
      rounds: [heat(100, 58, 64), heat(30, 40, 44), heat(15, 38, 41), heat(3, 36, 38)],
      squeeze: { squeeze: 'crumbles', at: ago(3) },
      proof: { status: 'broken', creditedHours: 0, lastHot: null },
    });
    expect(tasksOf([cooled], NONE, NOW).map((t) => t.kind)).toEqual(['mend', 'read']);
    expect(
      tasksOf([card('dry', { squeeze: { squeeze: 'crumbles', at: ago(3) } })], NONE, NOW).map(
        (t) => t.kind,
      ),
    ).toEqual(expect.arrayContaining(['water', 'read']));
    expect(
      tasksOf(
        [{ ...owing, facts: { ...owing.facts, squeeze: { squeeze: 'crumbles', at: ago(3) } } }],
        NONE,
        NOW,
      ).map((t) => t.kind),
    ).not.toContain('water');
  });
  test('held and gone heaps ask for nothing; cured and ready ones to be read once a week; a building one to be closed', () => {
    const held = { at: ago(5), by: 'Mo', reason: null };
    const standing = (code: StageCode, readHoursAgo: number, isHeld = false) =>
      card(code, {
        stage: { code, since: ago(5), reason: null, by: null, held: isHeld ? held : null },
        proof: { status: 'proven' },
        rounds: [heat(readHoursAgo, 20)],
      });
    expect(
      tasksOf(
        [standing('hot', 200, true), standing('released', 200), standing('ended', 200)],
        NONE,
        NOW,
      ),
    ).toEqual([]);
    expect(
      tasksOf(
        (['curing', 'ready'] as const).map((code) => standing(code, 30)),
        NONE,
        NOW,
      ),
    ).toEqual([]);
    expect(
      tasksOf(
        (['curing', 'ready'] as const).map((code) => standing(code, 200)),
        NONE,
        NOW,
      ).map((t) => [t.kind, t.advice?.code]),
    ).toEqual([
      ['read', 'READ_QUIET'],
      ['read', 'READ_QUIET'],
    ]);
    expect(
      tasksOf(
        [
          card('b', {
            stage: { code: 'building', since: ago(5), reason: null, by: null, held: null },
            builtAt: null,
          }),
        ],
        NONE,
        NOW,
      ),
    ).toMatchObject([{ kind: 'close' }]);
  });
  test('in order of its groups, what was put off last, whatever the yard', () => {
    const any = fc.constantFrom(hot, losing, owing, scheduled, calmOne);
    fc.assert(
      fc.property(fc.array(fc.tuple(any, fc.boolean()), { maxLength: 12 }), (list) => {
        const tasks = tasksOf(
          list.map(([c, off], i) => ({
            ...c,
            id: batchId(`${c.id}${i}`),
            orders: off ? [deferred('turn', 9), deferred('read', 9)] : [],
          })),
          NONE,
          NOW,
        );
        const open = tasks.filter((t) => !t.deferred);
        expect(tasks.slice(0, open.length)).toEqual(open);
        const ranks = open.map((t) => GROUPS.indexOf(t.group));
        expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
        expect(new Set(tasks.map((t) => t.key)).size).toBe(tasks.length);
      }),
      { seed: 4 },
    );
  });
});

const work: Work = {
  from: '08:00',
  to: '16:00',
  days: [1, 2, 3, 4, 5],
  crew: [
    { name: 'Mo', hoursPerDay: 2, drives: true },
    { name: 'Jo', hoursPerDay: 1, drives: false },
  ],
  machine: { name: 'Loader', hoursPerDay: 1, days: [1] },
  flowLPerMin: 15,
  bucketL: 10,
  limits: null,
  chores: [],
};
describe('who does it, and what does not fit', () => {
  const task = (key: string, minutes: number, more: Partial<Task> = {}): Task => ({
    key,
    kind: 'turn',
    group: 'schedule',
    batch: batchId(key),
    code: key,
    name: key,
    due: NOW,
    latest: null,
    minutes,
    machine: false,
    who: null,
    order: null,
    deferred: false,
    overdue: false,
    advice: null,
    chore: null,
    load: null,
    lot: null,
    atStakeHours: 0,
    ...more,
  });
  test('hands by the day and the hour', () => {
    expect(availableLabourAt(work, 1, null)).toEqual({
      people: [
        { name: 'Mo', minutes: 120, drives: true },
        { name: 'Jo', minutes: 60, drives: false },
      ],
      machineMinutes: 60,
    });
    expect(availableLabourAt(work, 2, 12 * 60)).toMatchObject({
      people: [{ minutes: 60 }, { minutes: 30 }],
      machineMinutes: 0,
    });
    expect(availableLabourAt(work, 7, null)).toEqual({ people: [], machineMinutes: 0 });
  });
  test('to whoever is named, else to whoever has most time; the rest is told', () => {
    expect(
      shareOut(
        [task('a', 60), task('b', 50, { who: 'Jo' }), task('c', 40), task('d', 30)],
        availableLabourAt(work, 1, null),
      ),
    ).toEqual([
      { key: 'a', who: 'Mo', lacks: null },
      { key: 'b', who: 'Jo', lacks: null },
      { key: 'c', who: 'Mo', lacks: null },
      { key: 'd', who: null, lacks: 'time' },
    ]);
  });
  test('the machine only for who drives it, and only while it has time', () => {
    expect(
      shareOut(
        [task('a', 40, { machine: true }), task('b', 40, { machine: true })],
        availableLabourAt(work, 1, null),
      ),
    ).toEqual([
      { key: 'a', who: 'Mo', lacks: null },
      { key: 'b', who: null, lacks: 'machine' },
    ]);
    expect(
      shareOut([task('a', 40, { machine: true })], {
        people: [{ name: 'Jo', minutes: 60, drives: false }],
        machineMinutes: 60,
      }),
    ).toMatchObject([{ lacks: 'driver' }]);
  });
  test('danger is given to somebody though nobody has time; nobody is given more than they have, else', () => {
    expect(
      shareOut([task('a', 200, { group: 'danger' })], availableLabourAt(work, 1, null)),
    ).toMatchObject([{ who: 'Mo', lacks: null }]);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 5, max: 90 }), { maxLength: 12 }), (minutes) => {
        const tasks = minutes.map((m, i) => task(String(i), m));
        const placed = shareOut(tasks, availableLabourAt(work, 1, null));
        for (const [who, most] of [
          ['Mo', 120],
          ['Jo', 60],
        ] as const)
          expect(
            placed.reduce((sum, p, i) => sum + (p.who === who ? minutes[i]! : 0), 0),
          ).toBeLessThanOrEqual(most);
      }),
      { seed: 6 },
    );
  });
});

describe('orders', () => {
  const entry = (kind: string, data: object) => ({ id: kind, kind, by: 'Mo', at: NOW, data });
  /** The orders of a heap whose own log is these entries. */
  const ordersIn = (entries: readonly ReturnType<typeof entry>[]) => {
    const own = entries.map((e, seq) => ({ ...e, seq }));
    return ordersOf({ own, acts: own.filter((e) => e.kind !== 'round') } as never);
  };
  test('done, an order is over; the turning after it moves up', () => {
    const own = [
      entry('defer', { task: 'turn', until: NOW, reason: 'weather' }),
      entry('assign', { task: 'turn+1', day: NOW + DAY }),
      entry('assign', { task: 'turn+2', who: 'Jo' }),
    ];
    expect(ordersIn(own).map((o) => o.task)).toEqual(['turn', 'turn+1', 'turn+2']);
    expect(ordersIn([...own, entry('turn', { full: true })])).toMatchObject([
      { task: 'turn', day: NOW + DAY },
      { task: 'turn+1', who: 'Jo' },
    ]);
  });
  test('any round does what was said of reading it, and what is said after it holds', () => {
    const asked = entry('assign', { task: 'read', who: 'Jo' });
    expect(ordersIn([entry('round', {}), asked])).toMatchObject([{ task: 'read', who: 'Jo' }]);
    expect(ordersIn([asked, entry('round', {})])).toEqual([]);
  });
});
