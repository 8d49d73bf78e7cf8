import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { Work } from '@/core/log/shapes';
import {
  ago,
  DAY,
  heat,
  HOUR,
  NOW,
  template,
  type Change,
} from '../../../../tests/support/situation';
import { batchSnapshot } from '../../../../tests/support/snapshot';
import { daysAhead, planOf } from './queries';
import { dayEffects, planView } from '../view';

const LOCALE = { timeZone: 'UTC', unit: 'C' as const, now: NOW };
const work: Work = {
  from: '08:00',
  to: '16:00',
  days: [1, 2, 3, 4, 5, 6, 7],
  crew: [{ name: 'Mo', hoursPerDay: 2, drives: true }],
  machine: null,
  flowLPerMin: 15,
  bucketL: 10,
  limits: null,
  chores: [],
};
const snapshot = (id: string, change: Change): BatchSnapshot =>
  batchSnapshot({ id, position: { bay: '1' }, situation: change });
const owing = snapshot('Egret', {
  turns: [ago(72)],
  proof: { turningsOwed: 2, creditedHours: 264, earliestProofAt: NOW + 4 * DAY },
});
async function viewOf(board: BatchSnapshot[], w: Work | null = work) {
  const site = await planOf(board, w, 'UTC', NOW);
  const view = planView(site, LOCALE);
  return { ...view, effects: view.jobs.map((j) => dayEffects(site, j.key, 'UTC')!) };
}

test('fourteen days of the site’s calendar, over a change of the clock too', () => {
  const days = daysAhead(work, 'Europe/London', Date.UTC(2026, 9, 20, 9));
  expect(days).toHaveLength(14);
  // On Sunday 25 October 2026 the clock goes back an hour in London.
  expect(days.slice(0, -1).map((d, i) => (days[i + 1]!.start - d.start) / HOUR)).toEqual([
    24, 24, 24, 24, 24, 25, 24, 24, 24, 24, 24, 24, 24,
  ]);
  expect(days.slice(1).every((d) => d.crewMinutes === 120)).toBe(true);
  expect(days[0]!.crewMinutes).toBeLessThan(120);
});
test('a heap with its turnings, its proof, and what another day would do', async () => {
  const view = await viewOf([owing]);
  expect(view.rows).toMatchObject([
    {
      name: 'Egret',
      place: 'bay 1',
      kind: 'live',
      lostAt: null,
      proofText: expect.stringMatching(/^could meet its rule (Sat|Sun|Mon)/),
    },
  ]);
  const [first, second] = view.jobs;
  expect(second!.day - first!.day).toBeGreaterThanOrEqual(2);
  // It cannot be done after the one that follows it.
  const [ofFirst, ofSecond] = view.effects;
  expect(ofFirst![second!.day]).toBeNull();
  expect(ofFirst![first!.day]!.text).toMatch(/as planned/);
  expect(ofSecond![12]!).toMatchObject({
    costs: true,
    text: expect.stringMatching(/instead of/),
  });
  expect(ofFirst![second!.day - 1]!.text).toMatch(/too close to its other turning/);
});
test('a heap that falls is said to be lost without its turning in time', async () => {
  const falling = snapshot('Heron', {
    rounds: [77, 65, 53, 41, 29, 17, 5].map((h) => heat(h, 56.5 + (2 * (h - 5)) / 24)),
    proof: { creditedHours: 200 },
  });
  const view = await viewOf([falling]);
  expect(view.effects[0]!.findLast((e) => e !== null)).toMatchObject({
    costs: true,
    text: expect.stringMatching(/falls below its limit .*: \d d \d+ h would be lost/),
  });
});
test('days that are too full are named with by how much; without a crew nothing is said of it', async () => {
  const many = Array.from({ length: 5 }, (_, i) =>
    snapshot(`H${i}`, {
      template: template('fast'),
      builtAt: ago(97),
      volumeM3: 8,
      proof: { status: 'broken', creditedHours: 0, lastHot: null, requiredHours: 0 },
    }),
  );
  expect((await viewOf(many)).summary).toMatch(/^More work than the crew can do: .* by \d/);
  expect((await viewOf(many, null)).summary).toBe('');
});
test('proven, curing, building and held heaps stand there with a word and no turning', async () => {
  const board = [
    snapshot('P', { proof: { status: 'proven' } }),
    snapshot('C', {
      proof: { status: 'proven' },
      stage: { code: 'curing', since: ago(9), reason: null, by: null, held: null },
    }),
    snapshot('B', {
      stage: { code: 'building', since: ago(9), reason: null, by: null, held: null },
      builtAt: null,
    }),
    snapshot('G', {
      stage: { code: 'released', since: ago(9), reason: null, by: null, held: null },
    }),
  ];
  const view = await viewOf(board);
  expect(view.rows.map((r) => [r.name, r.kind])).toEqual([
    ['P', 'proven'],
    ['C', 'curing'],
    ['B', 'building'],
  ]);
  expect(view.jobs).toEqual([]);
});
