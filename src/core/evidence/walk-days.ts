import { localDays, zoneOf, type LocalDay } from '../quantity/calendar';
import { MS, type Instant } from '../quantity/instant';
import { heatOf, type Heat, type Round } from './rounds';
import type { Segment } from './segments';
import type { Policy } from './types';
import { graceWindows, windowAt, type BreakCode, type Floor, type GraceWindow, type Pause, type Run, type Walk } from './walk';

export type DayKind = 'cold' | 'hot' | 'paused' | 'blank';
export type JudgedDay = LocalDay & { readonly kind: DayKind; readonly rounds: readonly Round[] };

const coldHere = (h: Heat): boolean => h === 'cold';

/** A cold round is excused only when its first reading too lies in the window. */
const excused = (r: Round, windows: readonly GraceWindow[]): boolean => {
  const w = windowAt(windows, r.time);
  return w !== undefined && windowAt(windows, r.first) === w;
};

function kindOf(day: LocalDay, judged: readonly { r: Round; heat: Heat }[], windows: readonly GraceWindow[], segmentFrom: Instant): DayKind {
  if (judged.some(({ r, heat }) => heat === 'over' || (coldHere(heat) && !excused(r, windows)))) return 'cold';
  const anyCold = judged.some(({ heat }) => coldHere(heat));
  const anyHot = judged.some(({ heat }) => heat === 'hot');
  if (anyHot && !anyCold) return day.start < segmentFrom ? 'blank' : 'hot';
  if (anyCold) return 'paused';
  return windows.some((w) => Math.min(w.to, day.end) > Math.max(w.at, day.start)) ? 'paused' : 'blank';
}

/** Windows (at, to] that have an instant in common with a day. */
const touching = (day: LocalDay, windows: readonly GraceWindow[]): GraceWindow[] =>
  windows.filter((w) => w.to > w.at && w.at < day.end && w.to >= day.start);

/** The days of a segment that are over at its end, each judged (contract, section 7). */
export function judgedDays(segment: Segment, floor: Floor, policy: Policy, timeZone: string): JudgedDay[] {
  const windows = graceWindows(segment.turns, policy);
  let i = 0;
  return localDays(zoneOf(timeZone), segment.from, segment.to).filter((day) => day.end <= segment.to).map((day) => {
    const rounds: Round[] = [];
    while (i < segment.rounds.length && segment.rounds[i]!.time < day.end) { rounds.push(segment.rounds[i]!); i += 1; }
    const judged = rounds.map((r) => ({ r, heat: heatOf(r, floor.floorC, floor.ceilingC) })).filter(({ heat }) => heat !== 'thin');
    return { ...day, kind: kindOf(day, judged, windows, segment.from), rounds: judged.map(({ r }) => r) };
  });
}

/** As {@link walkHours}, with 24 hours for each hot day, earned at the midnight that ends it. */
export function walkDays(segment: Segment, floor: Floor, policy: Policy, timeZone: string): Walk {
  const windows = graceWindows(segment.turns, policy);
  const heat = (r: Round): Heat => heatOf(r, floor.floorC, floor.ceilingC);
  const days = judgedDays(segment, floor, policy, timeZone);
  const runs: Run[] = [];
  const pauses: Pause[] = [];
  let run: Run | null = null;
  let blanks = 0;
  /** Windows that all paused days since the last hot day touch; null: no paused day yet. */
  let shared: GraceWindow[] | null = null;
  let pausedHot: Round[] = [];
  const fresh = (): void => { blanks = 0; shared = null; pausedHot = []; };
  const broken = (): BreakCode | null => (shared?.length === 0 ? 'SLOW_RECOVERY' : blanks > policy.maxBlankDays ? (shared ? 'SLOW_RECOVERY' : 'GAP') : null);
  const end = (code: BreakCode, at: Instant): void => {
    if (run) run.ended = { code, at };
    run = null;
    fresh();
  };
  for (const day of days) {
    const hotRounds = day.rounds.filter((r) => heat(r) === 'hot');
    if (day.kind === 'cold') {
      const culprit = day.rounds.find((r) => heat(r) === 'over' || (coldHere(heat(r)) && !excused(r, windows)))!;
      end(heat(culprit) === 'over' ? 'OVER_CEILING' : 'COLD', culprit.time);
    } else if (day.kind === 'blank') blanks += 1;
    else if (day.kind === 'paused') {
      const touched: GraceWindow[] = touching(day, windows);
      shared = shared === null ? touched : (shared as GraceWindow[]).filter((w) => touched.includes(w));
      pausedHot.push(...hotRounds);
      const last: Run | null = run;
      if (last) for (const r of day.rounds) if (coldHere(heat(r))) pauses.push({ at: r.time, from: last.to, value: r.value, until: windowAt(windows, r.time)!.to });
    } else {
      const code = broken();
      if (run && code) end(code, hotRounds[0]!.time);
      const current: Run | null = run;
      if (current) {
        current.rounds.push(...pausedHot, ...hotRounds);
        current.steps.push({ at: day.end, creditMs: current.steps.at(-1)!.creditMs + MS.day });
        current.to = day.end;
      } else {
        run = { from: day.start, to: day.end, rounds: hotRounds, steps: [{ at: day.end, creditMs: MS.day }], ended: null };
        runs.push(run);
      }
      fresh();
    }
  }
  const last = runs.at(-1);
  return {
    runs, windows, pauses,
    heats: segment.rounds.map(heat),
    untouched: days.every((day) => day.rounds.length === 0),
    latest: !last ? 'none' : last.ended ? 'ended' : broken() ? 'stale' : 'running',
  };
}
