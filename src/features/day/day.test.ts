import type { Work } from '@/core/log/shapes';
import { availableLabourAt } from '@/core/advice/labour';
import { tasksOf, type HeapCard, type Task } from '@/core/advice/tasks';
import {
  availableLabourNow,
  dayOfSite,
  regularTasksOf,
  type LabourToday,
} from '@/core/status/site-status';
import {
  ago,
  DAY,
  heat,
  HOUR,
  NOW,
  situation,
  type Change,
} from '../../../tests/support/situation';
import { shortenDay, todayView } from './view';
import { foldSite } from '@/core/log/fold';
import { batchId } from '../../../tests/support/ids';

const LOCALE = { timeZone: 'UTC', unit: 'C' as const, now: NOW };
const card = (id: string, change: Change, orders: HeapCard['orders'] = []): HeapCard => {
  const { now: _now, ...facts } = situation(change);
  return { id: batchId(id), code: id, name: id, facts, orders };
};
const viewOfDay = (
  tasks: readonly Task[],
  labour: LabourToday,
  machine: string | null,
  fireCard: boolean,
  locale: typeof LOCALE,
) => todayView(dayOfSite(tasks, labour, locale.timeZone, locale.now), machine, fireCard, locale);
const work: Work = {
  from: '08:00',
  to: '16:00',
  days: [1, 2, 3, 4, 5],
  crew: [{ name: 'Mo', hoursPerDay: 1, drives: true }],
  machine: null,
  flowLPerMin: 15,
  bucketL: 10,
  limits: null,
  chores: [{ id: 'c', what: 'covers', everyDays: 3, minutes: 15 }],
};
const hot = card('Goshawk', { rounds: [heat(2, 66, 73)] });
const owing = card('Egret', {
  turns: [ago(72)],
  proof: { turningsOwed: 2, creditedHours: 264, earliestProofAt: NOW + 4 * DAY },
});

test('the day in words: what cannot wait, how much there is, what does not fit and what that costs', () => {
  const view = viewOfDay(
    tasksOf([hot, owing], { chores: [], probes: [] }, NOW),
    availableLabourAt(work, 1, 12 * 60),
    null,
    true,
    LOCALE,
  );
  expect(view).toMatchObject({
    day: 'Mon May 18',
    clock: '12:00\u00a0PM',
    urgent: ['Goshawk'],
    crew: ['Mo'],
    askCrew: false,
    fireCard: true,
  });
  expect(view.load).toBe(
    'About 2 h 50 min of work; the crew has 30 min left. One task does not fit: Egret, turning.',
  );
  expect(view.groups.map((g) => [g.title, g.tasks.map((t) => t.name)])).toEqual([
    ['Danger', ['Goshawk']],
    ['Needed for a rule', ['Egret']],
    ['Tomorrow', ['Egret']],
  ]);
  expect(view.groups[0]!.tasks[0]).toMatchObject({
    when: 'now',
    who: 'Mo',
    mayWait: false,
    lacks: null,
    href: '/batch/Goshawk',
  });
  expect(view.groups[1]!.tasks[0]).toMatchObject({
    mayWait: true,
    lacks: 'does not fit into today',
    href: '/batch/Egret#turn',
    cost: expect.stringMatching(/It meets its rule later: 2 turnings still needed/),
  });
});
test('put off stays in sight with who, until when and why', () => {
  const off = card(
    'Egret',
    {
      turns: [ago(72)],
      proof: { turningsOwed: 2, creditedHours: 264, earliestProofAt: NOW + 4 * DAY },
    },
    [
      {
        task: 'turn',
        who: null,
        day: null,
        defer: {
          at: ago(1),
          until: NOW + 5 * HOUR,
          reason: 'weather',
          words: 'storm',
          by: 'Jo',
          impossible: true,
        },
      },
    ],
  );
  const view = viewOfDay(
    tasksOf([off], { chores: [], probes: [] }, NOW),
    null,
    null,
    false,
    LOCALE,
  );
  expect(view.groups.find((g) => g.title === 'Postponed')!.tasks[0]!.putOff).toBe(
    'Not possible by Jo until 5:00\u00a0PM: weather, storm',
  );
  expect(view.askCrew).toBe(true);
});
test('after hours nothing is said not to fit; on a day off nobody is there', () => {
  expect(availableLabourNow(work, 'UTC', Date.UTC(2026, 4, 18, 16))).toBe('over');
  expect(availableLabourNow(work, 'UTC', Date.UTC(2026, 4, 17, 12))).toEqual({
    people: [],
    machineMinutes: 0,
  });
  expect(availableLabourNow(null, 'UTC', NOW)).toBeNull();
  // By the site's clock, not by that of the server: 15:30 UTC is 16:30 in Paris.
  expect(availableLabourNow(work, 'Europe/Paris', Date.UTC(2026, 4, 18, 15, 30))).toBe('over');
  const view = viewOfDay(
    tasksOf([owing], { chores: [], probes: [] }, NOW),
    'over',
    null,
    true,
    LOCALE,
  );
  expect(view.load).toMatch(/^The working day is over\. About 1 h 20 min of work is left\.$/);
  expect(view.groups.flatMap((g) => g.tasks).every((t) => t.lacks === null)).toBe(true);
});
test('chores and thermometer checks come round by when they were last done', () => {
  const site = foldSite([
    {
      id: 'w',
      batch: null,
      at: ago(300),
      by: 'Mo',
      kind: 'work',
      data: { work },
      seq: 1,
      recordedAt: ago(300),
      hash: '',
    },
    {
      id: 'd',
      batch: null,
      at: ago(80),
      by: 'Mo',
      kind: 'chore',
      data: { chore: 'c' },
      seq: 2,
      recordedAt: ago(80),
      hash: '',
    },
    {
      id: 'p',
      batch: null,
      at: ago(200 * 24),
      by: 'Mo',
      kind: 'probe-check',
      data: { probe: 'T1', referenceC: 0, readC: 0.2 },
      seq: 3,
      recordedAt: ago(200 * 24),
      hash: '',
    },
  ] as never);
  const rounds = regularTasksOf(site, NOW);
  expect(rounds.chores).toMatchObject([{ id: 'c', doneAt: ago(80) }]);
  const tasks = tasksOf([], rounds, NOW);
  expect(tasks.map((t) => t.key).sort()).toEqual(['chore:c', 'probe:T1']);
  const [covers] = viewOfDay(tasks, null, null, true, LOCALE).groups[0]!.tasks.filter(
    (t) => t.chore,
  );
  expect(covered(covers!.words)).toBe(
    'Check the covers. Every 3 days; last done Fri 4:00\u00a0AM.',
  );
});
const covered = (w: { act: string; why: string }): string => `${w.act}. ${w.why}`;
test('of a long list the first are shown, how many more there are is said, and all when they are asked for', () => {
  const heaps = Array.from({ length: 40 }, (_, i) =>
    card(`Goshawk ${i}`, { rounds: [heat(2, 66, 73)] }),
  );
  const tasks = tasksOf(heaps, { chores: [], probes: [] }, NOW);
  const whole = viewOfDay(tasks, null, null, true, LOCALE);
  const view = shortenDay(whole);
  expect(view.groups[0]).toMatchObject({ title: 'Danger', more: 25 });
  expect(view.groups[0]!.tasks).toHaveLength(15);
  expect([view.urgent.length, view.moreUrgent]).toEqual([5, 35]);
  expect(whole.groups[0]).toMatchObject({ more: 0 });
  expect(whole.groups[0]!.tasks).toHaveLength(40);
});
