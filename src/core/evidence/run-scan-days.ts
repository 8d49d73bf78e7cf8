import { dayFrom, type LocalDay, type Zone } from '../quantity/calendar';
import { MS, type Instant } from '../quantity/instant';
import type { Moisture } from './moisture';
import { heatOf, type Heat, type Round } from './rounds';
import type { Policy } from './types';
import {
  creditOf,
  windowAt,
  type BreakCode,
  type Floor,
  type GraceWindow,
  type Pause,
  type Run,
  type RunScan,
  type RunScanner,
} from './run-scan';
import { firstOf } from '../quantity/present';

type DayKind = 'cold' | 'hot' | 'paused' | 'blank';
type Judged = { readonly r: Round; readonly heat: Heat };

/** A cold round is excused only when its first reading too lies in the window. */
const excused = (r: Round, windows: readonly GraceWindow[]): boolean => {
  const w = windowAt(windows, r.time);
  return w !== undefined && windowAt(windows, r.first) === w;
};

const breaks = ({ r, heat }: Judged, windows: readonly GraceWindow[]): boolean =>
  heat === 'over' || (heat === 'cold' && !excused(r, windows));

function kindOf(
  day: LocalDay,
  judged: readonly Judged[],
  windows: readonly GraceWindow[],
  segmentFrom: Instant,
): DayKind {
  if (judged.some((j) => breaks(j, windows))) return 'cold';
  const anyCold = judged.some(({ heat }) => heat === 'cold');
  const anyHot = judged.some(({ heat }) => heat === 'hot');
  if (anyHot && !anyCold) return day.start < segmentFrom ? 'blank' : 'hot';
  if (anyCold) return 'paused';
  return windows.some((w) => Math.min(w.to, day.end) > Math.max(w.at, day.start))
    ? 'paused'
    : 'blank';
}

/** Windows (at, to] that have an instant in common with a day. */
const touching = (day: LocalDay, windows: readonly GraceWindow[]): GraceWindow[] =>
  windows.filter((w) => w.to > w.at && w.at < day.end && w.to >= day.start);

/**
 * As {@link hoursWalker} with whole local days instead of hours (contract, section 7): a day is judged once it
 * is over, and each hot day earns 24 hours at the midnight that ends it.
 * @param from when the segment began
 */
export function createDaysScanner(
  floor: Floor,
  policy: Policy,
  windows: readonly GraceWindow[],
  zone: Zone,
  from: Instant,
  moisture: Moisture,
): RunScanner {
  const runs: Run[] = [];
  const pauses: Pause[] = [];
  const thin: Round[] = [];
  const dry: Round[] = [];
  const hotRounds: Round[] = [];
  let day = dayFrom(zone, from);
  let judged: Judged[] = [];
  let untouched = true;
  let run: Run | null = null;
  let blanks = 0;
  /** Windows that all paused days since the last hot day touch; null: no paused day yet. */
  let shared: GraceWindow[] | null = null;
  let pausedHot: Round[] = [];
  const fresh = (): void => {
    blanks = 0;
    shared = null;
    pausedHot = [];
  };
  const broken = (): BreakCode | null => {
    if (shared?.length === 0) return 'SLOW_RECOVERY';
    return blanks > policy.maxBlankDays ? (shared ? 'SLOW_RECOVERY' : 'GAP') : null;
  };
  const end = (code: BreakCode, round: Round): void => {
    if (run) run.ended = { code, round };
    run = null;
    fresh();
  };
  const pause = (last: Run | null): void => {
    const touched = touching(day, windows);
    shared = shared === null ? touched : shared.filter((w) => touched.includes(w));
    for (const { r, heat } of judged) {
      if (heat === 'hot') pausedHot.push(r);
      else if (last)
        pauses.push({
          at: r.time,
          from: last.to,
          value: r.value,
          until: windowAt(windows, r.time)!.to,
        });
    }
  };
  const earn = (ownHot: readonly Round[]): void => {
    const code = broken();
    if (run && code) end(code, firstOf(ownHot));
    const current: Run | null = run; // the compiler does not follow `end` through the closure
    if (current) {
      current.rounds.push(...pausedHot, ...ownHot);
      current.steps.push({ at: day.end, creditMs: creditOf(current) + MS.day });
      (current as { to: Instant }).to = day.end;
    } else {
      run = {
        from: day.start,
        to: day.end,
        rounds: [...ownHot],
        steps: [{ at: day.end, creditMs: MS.day }],
        ended: null,
      };
      runs.push(run);
    }
    fresh();
  };
  const closeDay = (): void => {
    if (judged.length > 0) untouched = false;
    const wouldBe = kindOf(day, judged, windows, from);
    const kind =
      wouldBe === 'hot' && floor.moist && moisture.dryMs(day.start, day.end) > 0
        ? 'blank'
        : wouldBe;
    if (kind === 'cold') {
      const culprit = judged.find((j) => breaks(j, windows))!;
      end(culprit.heat === 'over' ? 'OVER_CEILING' : 'COLD', culprit.r);
    } else if (kind === 'blank') blanks += 1;
    else if (kind === 'paused') pause(run);
    else earn(judged.filter(({ heat }) => heat === 'hot').map(({ r }) => r));
    day = dayFrom(zone, day.end);
    judged = [];
  };
  const latest = (): RunScan['latest'] => {
    const last = runs.at(-1);
    if (!last) return 'none';
    if (last.ended) return 'ended';
    return broken() ? 'stale' : 'running';
  };
  return {
    push(r) {
      while (day.end <= r.time) closeDay();
      const heat = heatOf(r, floor.floorC, floor.ceilingC);
      if (heat === 'hot' && floor.moist && moisture.isDryAt(r.time)) {
        dry.push(r);
        return;
      }
      if (heat === 'hot') hotRounds.push(r);
      if (heat === 'thin') thin.push(r);
      else judged.push({ r, heat });
    },
    at(until) {
      while (day.end <= until) closeDay();
      return {
        floor,
        runs,
        windows,
        pauses,
        thin,
        dry,
        hotRounds,
        untouched,
        latest: latest(),
        counting: 'days',
      };
    },
  };
}
