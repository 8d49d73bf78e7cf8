import { getKindDescription } from '@/core/log/entry';
import type { Work } from '@/core/log/shapes';
import { changeAt, missingInWork, usualLimits, workDraft, workOf } from './work-draft';

const SAID: Work = {
  from: '07:30',
  to: '16:00',
  days: [1, 3, 5],
  crew: [{ name: 'Mo', hoursPerDay: 2.5, drives: true }],
  machine: { name: 'Turner', hoursPerDay: 3, days: [2, 4] },
  flowLPerMin: 12,
  bucketL: 9,
  leastM3: 1.5,
  limits: { warnC: 62, actC: 68, dangerC: 75 },
  chores: [{ id: 'c1', what: 'leachate', words: 'empty the jug', everyDays: 2, minutes: 15 }],
};

test('what was said and is kept unchanged is the same work', () =>
  expect(workOf(workDraft(SAID))).toEqual(SAID));

test('a site that never said begins with a usual day, which the log takes', () => {
  const draft = workDraft(null);
  expect(missingInWork(draft)).toBeNull();
  const parsed = getKindDescription('work').schema.safeParse({ work: workOf(draft) });
  expect(parsed.error?.issues).toBeUndefined();
  expect(workOf(draft)).toMatchObject({ crew: [], machine: null, limits: null });
});

test('a comma is a point; a machine that is not there is left out with its figures', () => {
  const draft = { ...workDraft(SAID), flow: '12,5' };
  expect(workOf(draft).flowLPerMin).toBe(12.5);
  const without = { ...draft, machine: { ...draft.machine, on: false, hours: 'x' } };
  expect(missingInWork(without)).toBeNull();
  expect(workOf(without).machine).toBeNull();
});

test('what is missing is said', () => {
  const draft = workDraft(SAID);
  expect(missingInWork({ ...draft, bucket: 'two' })).toMatch(/needs a number/);
  expect(missingInWork({ ...draft, limits: { ...usualLimits(), actC: '' } })).toMatch(/number/);
  expect(missingInWork({ ...draft, crew: changeAt(draft.crew, 0, { name: ' ' }) })).toMatch(/name/);
  expect(missingInWork({ ...draft, days: [] })).toMatch(/one day/);
});
