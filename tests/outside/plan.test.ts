import fc from 'fast-check';
import ICAL from 'ical.js';
import { TheilSenRegression } from 'ml-regression-theil-sen';
import { solve as yalps, type Constraint } from 'yalps';
import {
  scheduleTurnings,
  buildProgramme,
  type WorkDay,
  type Job,
  type Programme,
} from '@/core/advice/scheduler';
import { theilSen } from '@/core/advice/trend';
import { feedText, type FeedItem } from '@/features/plan/server/feed';
import { solve } from '@/features/plan/server/solve';
import { batchId } from '../support/ids';

/** The plan against another solver and against trying everything; the slope and the calendar against other libraries. */
const DAY = 86_400_000;
const START = Date.UTC(2026, 4, 18);
const days = (n: number, crew: number, machine: number): WorkDay[] =>
  Array.from({ length: n }, (_, i) => ({
    start: START + i * DAY,
    work: START + i * DAY + DAY / 2,
    crewMinutes: crew,
    machineMinutes: machine,
  }));
const job = fc.record({
  from: fc.integer({ min: 0, max: 2 }),
  wide: fc.integer({ min: 0, max: 2 }),
  off: fc.integer({ min: 0, max: 2 }),
  minutes: fc.integer({ min: 10, max: 120 }),
  machine: fc.boolean(),
  owed: fc.boolean(),
  twin: fc.boolean(),
});
const jobsOf = (
  list: readonly {
    from: number;
    wide: number;
    off: number;
    minutes: number;
    machine: boolean;
    owed: boolean;
    twin: boolean;
  }[],
): Job[] =>
  list.flatMap((j, i) => {
    const one: Job = {
      key: `h${i}:turn`,
      batch: batchId(`h${i}`),
      code: 'H',
      name: 'H',
      n: 0,
      from: j.from,
      best: j.from + Math.min(j.off, j.wide),
      to: j.from + j.wide,
      minutes: j.minutes,
      machine: j.machine,
      owed: j.owed,
      saves: false,
      pinned: null,
      apart: 2,
    };
    return j.twin
      ? [
          one,
          {
            ...one,
            key: `h${i}:turn+1`,
            n: 1,
            from: one.from + 1,
            best: one.best + 2,
            to: one.to + 2,
          },
        ]
      : [one];
  });

/** What a choice of days costs: by trying, not by the programme. */
function costOf(
  jobs: readonly Job[],
  chosen: readonly number[],
  all: readonly WorkDay[],
  base: number,
): number {
  let cost = 0;
  jobs.forEach((j, i) => {
    const d = chosen[i]!;
    cost += (j.owed ? 3 : 1) * Math.abs(d - j.best) * (d > j.best ? 1.5 : 1);
  });
  all.forEach((d, i) => {
    const own = jobs.filter((_, k) => chosen[k] === i);
    cost +=
      (25 / 60) *
      Math.max(0, own.reduce((s, j) => s + j.minutes, 0) - Math.max(0, d.crewMinutes - base));
    cost +=
      (25 / 60) *
      Math.max(
        0,
        own.filter((j) => j.machine).reduce((s, j) => s + j.minutes, 0) - d.machineMinutes,
      );
  });
  return cost;
}
function cheapest(jobs: readonly Job[], all: readonly WorkDay[], base: number): number {
  let best = Infinity;
  const walk = (i: number, chosen: number[]): void => {
    if (i === jobs.length) {
      best = Math.min(best, costOf(jobs, chosen, all, base));
      return;
    }
    const j = jobs[i]!;
    for (let d = j.from; d <= j.to; d += 1) {
      const before = jobs[i - 1];
      if (before && before.batch === j.batch && d - chosen[i - 1]! < j.apart) continue;
      walk(i + 1, [...chosen, d]);
    }
  };
  walk(0, []);
  return best;
}
const byYalps = (p: Programme): number =>
  yalps({
    direction: 'minimize',
    objective: 'cost',
    constraints: new Map<string, Constraint>(p.constraints.map(({ name, ...b }) => [name, b])),
    variables: new Map(
      p.variables.map((v) => [v.name, new Map<string, number>([['cost', v.cost], ...v.in])]),
    ),
    binaries: p.variables.filter((v) => v.binary).map((v) => v.name),
  }).result;

test('the plan costs what the cheapest of all plans costs, tried one by one; and another solver finds the same', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(job, { minLength: 1, maxLength: 4 }),
      fc.integer({ min: 40, max: 240 }),
      fc.integer({ min: 0, max: 120 }),
      async (list, crew, machine) => {
        const [jobs, all] = [jobsOf(list), days(7, crew, machine)];
        const plan = await scheduleTurnings(jobs, all, 20, solve);
        expect(plan.solved).toBe(true);
        const chosen = plan.jobs.map((j) => j.day);
        plan.jobs.forEach((j, i) => {
          expect(j.day).toBeGreaterThanOrEqual(j.from);
          expect(j.day).toBeLessThanOrEqual(j.to);
          const before = plan.jobs[i - 1];
          if (before?.batch === j.batch) expect(j.day - before.day).toBeGreaterThanOrEqual(j.apart);
        });
        const best = cheapest(jobs, all, 20);
        // The solver stops a hundredth from the best.
        expect(costOf(jobs, chosen, all, 20)).toBeLessThanOrEqual(best * 1.0101 + 1e-6);
        expect(byYalps(buildProgramme(jobs, all, 20))).toBeCloseTo(best, 5);
      },
    ),
    { seed: 9, numRuns: 60 },
  );
}, 120_000);

test('the slope is that of another library (Theil and Sen), with odd points in it', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 0, max: 800 })), {
        minLength: 3,
        maxLength: 15,
      }),
      (list) => {
        const points = [
          ...new Map(list.map(([h, c]) => [h, { at: START + h * 3_600_000, c: c / 10 }])).values(),
        ].sort((a, b) => a.at - b.at);
        // An even number of slopes has two middle ones; the library takes one of them, here their mean is taken.
        if (points.length % 4 !== 3) return;
        const theirs = new TheilSenRegression(
          points.map((p) => (p.at - START) / DAY),
          points.map((p) => p.c),
        );
        const ours = theilSen(points)!;
        expect(ours.perDay).toBeCloseTo(theirs.slope, 6);
        expect(ours.atEnd).toBeCloseTo(theirs.predict((points.at(-1)!.at - START) / DAY), 5);
      },
    ),
    { seed: 2, numRuns: 600 },
  );
});

test('the calendar is read back by another program: times, words with commas and accents, one event a task', () => {
  const items: FeedItem[] = [
    {
      key: 'a:turn',
      at: START + DAY / 2,
      minutes: 45,
      title: 'Egret: turning',
      words: 'Read it first; then turn, rim inside.\nÄmter & Söhne, 55 °C',
      who: 'Mo',
    },
    {
      key: 'b:read',
      at: START,
      minutes: 6,
      title: 'Finch: reading',
      words: 'x'.repeat(300),
      who: null,
    },
  ];
  const read = (who: string | null) =>
    new ICAL.Component(
      ICAL.parse(feedText(items, { id: 's1', name: 'Hopyard Corner' }, who, START)),
    )
      .getAllSubcomponents('vevent')
      .map((c) => new ICAL.Event(c));
  const [egret, finch] = read(null);
  expect(egret).toMatchObject({
    uid: 'a:turn@s1',
    summary: 'Egret: turning (Mo)',
    description: items[0]!.words,
  });
  expect(egret!.startDate.toJSDate().getTime()).toBe(items[0]!.at);
  expect(egret!.endDate.toJSDate().getTime() - items[0]!.at).toBe(45 * 60_000);
  expect(finch!.description).toBe(items[1]!.words);
  expect(read('Jo').map((e) => e.summary)).toEqual(['Finch: reading']);
  expect(read('Mo').map((e) => e.summary)).toEqual(['Egret: turning', 'Finch: reading']);
});
