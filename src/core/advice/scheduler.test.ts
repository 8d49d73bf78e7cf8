import {
  ago,
  DAY,
  HOUR,
  heat,
  NOW,
  situation,
  template,
  type Change,
} from '../../../tests/support/situation';
import {
  listJobs,
  forecastTurnings,
  scheduleTurnings,
  turnsIn,
  type WorkDay,
  type Job,
  type SolveProgramme,
} from './scheduler';
import type { HeapCard } from './tasks';
import { batchId } from '../../../tests/support/ids';

const card = (id: string, change: Change, orders: HeapCard['orders'] = []): HeapCard => {
  const { now: _now, ...facts } = situation(change);
  return { id: batchId(id), code: id, name: id, facts, orders };
};
const START = NOW - 12 * HOUR;
const days = (crewMinutes: number, machineMinutes = 0): WorkDay[] =>
  Array.from({ length: 14 }, (_, i) => ({
    start: START + i * DAY,
    work: START + i * DAY + 13 * HOUR,
    crewMinutes,
    machineMinutes,
  }));
const none: SolveProgramme = async () => null;

describe('the turnings ahead', () => {
  const fast = card('fast', {
    template: template('fast'),
    builtAt: ago(97),
    proof: { status: 'broken', creditedHours: 0, lastHot: null, requiredHours: 0 },
  });
  test('day 4, then every two days', () =>
    expect(
      listJobs([fast], days(200), NOW)
        .map((j) => j.best)
        .slice(0, 5),
    ).toEqual([0, 2, 4, 6, 8]));
  test('hours from its proof, rule met, curing, asleep, static: none', () => {
    expect(
      listJobs(
        [
          card('near', {
            turns: [ago(60)],
            proof: { creditedHours: 340, earliestProofAt: NOW + 20 * HOUR },
          }),
          card('done', { proof: { status: 'proven' } }),
          card('cures', {
            proof: { status: 'proven' },
            stage: { code: 'curing', since: ago(9), reason: null, by: null, held: null },
          }),
          card('cap', {
            template: template('cap'),
            kept: 'static',
            proof: { status: 'broken', creditedHours: 0, lastHot: null },
          }),
        ],
        days(200),
        NOW,
      ),
    ).toEqual([]);
  });
  test('what a rule owes stands two days apart at least, and ends with the proof', () => {
    const owing = listJobs(
      [
        card('owing', {
          turns: [ago(72)],
          proof: { turningsOwed: 2, creditedHours: 290, earliestProofAt: NOW + 3 * DAY },
        }),
      ],
      days(200),
      NOW,
    );
    expect(owing.filter((j) => j.owed)).toHaveLength(2);
    expect(owing[1]!.best - owing[0]!.best).toBeGreaterThanOrEqual(2);
    expect(owing.filter((j) => !j.owed && j.best < 5)).toEqual([]);
  });
  test('with a hold before each turning they stand as far apart as the hold and the way back', () => {
    // Three days of hold and fourteen hours back to the heat: four days.
    const staged = listJobs(
      [
        card('staged', {
          template: template('fast'),
          turns: [ago(60)],
          proof: {
            form: 'staged',
            requiredHours: 72,
            creditedHours: 46,
            turningsOwed: 4,
            earliestProofAt: NOW + 12 * DAY,
          },
        }),
      ],
      days(200),
      NOW,
    ).filter((j) => j.owed);
    expect(staged.length).toBeGreaterThanOrEqual(3);
    expect(staged.every((j) => j.apart === 4)).toBe(true);
    staged.slice(1).forEach((j, i) => expect(j.best - staged[i]!.best).toBeGreaterThanOrEqual(4));
  });
  test('put off it is not planned before; set by hand it stays on its day', () => {
    const off = {
      task: 'turn',
      who: null,
      day: null,
      defer: {
        at: NOW,
        until: NOW + 3 * DAY,
        reason: 'weather' as const,
        words: null,
        by: 'Mo',
        impossible: false,
      },
    };
    expect(listJobs([{ ...fast, orders: [off] }], days(200), NOW)[0]!.best).toBe(3);
    expect(
      listJobs(
        [{ ...fast, orders: [{ task: 'turn', who: null, defer: null, day: START + 5.5 * DAY }] }],
        days(200),
        NOW,
      )[0],
    ).toMatchObject({ from: 5, best: 5, to: 5, pinned: 5 });
  });
  test('without a solver each stands on the least loaded day of its window, in order and apart', async () => {
    const heaps = ['a', 'b', 'c', 'd'].map((id) => ({ ...fast, id: batchId(id), code: id }));
    const plan = await scheduleTurnings(listJobs(heaps, days(90), NOW), days(90), 10, none);
    expect(plan.solved).toBe(false);
    for (const id of ['a', 'b', 'c', 'd']) {
      const t = turnsIn(plan, days(90), batchId(id));
      expect(t.every((x, i) => i === 0 || x - t[i - 1]! >= DAY)).toBe(true);
    }
    expect(plan.load.reduce((sum, l) => sum + l.turns, 0)).toBe(plan.jobs.length);
    expect(plan.load[0]!.overMinutes).toBe(Math.max(0, plan.load[0]!.minutes - 90));
  });
});

describe('an outlook', () => {
  const until = NOW + 40 * DAY;
  const heap = (change: Change) => card('h', change).facts;
  test('what is missing, and a pause for each turning', () => {
    const f = heap({ proof: { creditedHours: 340 } });
    expect(forecastTurnings(f, [], NOW, until).proofAt).toBe(NOW + 19 * HOUR);
    // One turning in between pauses it for fourteen hours, the usual where its own log tells nothing.
    expect(forecastTurnings(f, [NOW + 5 * HOUR], NOW, until).proofAt).toBe(NOW + 33 * HOUR);
  });
  test('a turning that is owed and never comes: no proof', () => {
    expect(forecastTurnings(heap({ proof: { turningsOwed: 1 } }), [], NOW, until)).toMatchObject({
      proofAt: null,
      owedLeft: 1,
    });
    expect(
      forecastTurnings(heap({ proof: { turningsOwed: 1 } }), [NOW + DAY], NOW, until).proofAt,
    ).not.toBeNull();
  });
  test('falling, it is lost when it passes its floor; a turning before that saves it', () => {
    const f = heap({
      rounds: [77, 65, 53, 41, 29, 17, 5].map((h) => heat(h, 57 + (2 * (h - 5)) / 24)),
      proof: { creditedHours: 200 },
    });
    const lost = forecastTurnings(f, [], NOW, until);
    expect(lost).toMatchObject({ proofAt: null, lostHours: expect.any(Number) });
    expect(Math.abs(lost.lostAt! - (ago(5) + DAY))).toBeLessThan(2 * HOUR);
    expect(
      forecastTurnings(f, [NOW + 6 * HOUR, NOW + 3 * DAY, NOW + 6 * DAY, NOW + 9 * DAY], NOW, until)
        .lostAt,
    ).toBeNull();
  });
  test('with a hold before each turning: too early counts for nothing, the last one in time is the proof', () => {
    const f = heap({
      proof: { form: 'staged', requiredHours: 72, creditedHours: 60, turningsOwed: 2 },
    });
    const [first, second] = [NOW + 20 * HOUR, NOW + 20 * HOUR + 4 * DAY];
    expect(forecastTurnings(f, [first, second], NOW, until).proofAt).toBe(second);
    expect(forecastTurnings(f, [NOW + 5 * HOUR, second], NOW, until)).toMatchObject({
      proofAt: null,
      owedLeft: 1,
    });
    expect(forecastTurnings(f, [first, first + 2 * DAY], NOW, until)).toMatchObject({
      proofAt: null,
      owedLeft: 1,
    });
  });
  test('a proven heap and one without a rule have none', () =>
    expect(forecastTurnings(heap({ proof: { status: 'proven' } }), [], NOW, until)).toEqual({
      proofAt: null,
      lostAt: null,
      lostHours: 0,
      owedLeft: 0,
    }));
});

test('every turning is planned once, on a day of its window', async () => {
  const heaps = Array.from({ length: 6 }, (_, i) =>
    card(`h${i}`, {
      template: template(i % 2 ? 'fast' : 'weekly'),
      builtAt: ago(60 + i * 30),
      proof: { turningsOwed: i % 3, status: i % 2 ? 'running' : 'broken' },
    }),
  );
  const jobs = listJobs(heaps, days(120), NOW);
  const plan = await scheduleTurnings(jobs, days(120), 30, none);
  expect(plan.jobs.map((j) => j.key).sort()).toEqual(jobs.map((j: Job) => j.key).sort());
});
