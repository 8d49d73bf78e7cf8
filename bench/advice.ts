import '../src/messages/all';
import { performance } from 'node:perf_hooks';
import { nextAdvice } from '@/core/advice/next';
import { tasksOf } from '@/core/advice/tasks';
import { cardOf } from '@/core/snapshot/card';
import { DAY, play, START, type Outcome, type School } from './play';

/** How many made-up heaps are proven by a fixed calendar and by the advice; then how long the advice and the day's list take over them. */
const HEAPS = Number(process.env.BENCH_HEAPS ?? 200);
const mean = (list: readonly number[]): number =>
  list.reduce((a, b) => a + b, 0) / (list.length || 1);
const outcomes: Record<School, Outcome[]> = { advice: [], calendar: [] };
for (let seed = 1; seed <= HEAPS; seed += 1)
  for (const school of ['calendar', 'advice'] as const) outcomes[school].push(play(seed, school));
for (const school of ['calendar', 'advice'] as const) {
  const proven = outcomes[school].filter((o) => o.proven);
  console.log(
    JSON.stringify({
      school,
      heaps: HEAPS,
      proven: proven.length,
      meanDayOfProof: +mean(proven.map((o) => o.day)).toFixed(1),
      turnsAHeap: +mean(outcomes[school].map((o) => o.turns)).toFixed(1),
      morningsOver70: +mean(outcomes[school].map((o) => o.hotDays)).toFixed(1),
    }),
  );
}
const both = outcomes.advice.map((a, i) => [a.proven, outcomes.calendar[i]!.proven] as const);
console.log(
  JSON.stringify({
    onlyByAdvice: both.filter(([a, c]) => a && !c).length,
    onlyByCalendar: both.filter(([a, c]) => !a && c).length,
    byBoth: both.filter(([a, c]) => a && c).length,
    byNeither: both.filter(([a, c]) => !a && !c).length,
  }),
);

const board = outcomes.calendar.slice(0, 200).map((o) => o.digest);
const at = START + 12 * DAY;
const times: number[] = [];
for (let i = 0; i < 30; i += 1) {
  const t = performance.now();
  tasksOf(board.map(cardOf), { chores: [], probes: [] }, at);
  for (const d of board) nextAdvice({ ...d.situation, now: at });
  times.push(performance.now() - t);
}
times.sort((a, b) => a - b);
console.log(
  JSON.stringify({
    adviceAndTodayOf: board.length,
    medianMs: +times[15]!.toFixed(1),
    slowestMs: +times.at(-1)!.toFixed(1),
  }),
);
