import type { Hold } from '@/core/evidence/rule';
import type { BatchEvent, Evidence } from '@/core/evidence/types';

/**
 * A second reading of sections 4 to 8 of the contract, by definition and without care for speed: it looks up
 * every window and every earlier round anew, and finds a proof by asking the whole question at each moment.
 * Germ clock, no calibration, no exclusions, named rounds shorter than 6 hours.
 */
type SlowRound = { t: number; first: number; v: number; peak: number; complete: boolean };
type SlowState = { credit: number; turnings: number; status: 'waiting' | 'running' | 'recovering' | 'broken' };
const H = 3_600_000;
const EPS = 1e-9;

function slowRounds(e: Evidence, asOf: number): SlowRound[] {
  const ids = [...new Set(e.readings.filter((r) => r.at <= asOf).map((r) => r.round!))];
  return ids.map((id) => {
    const own = e.readings.filter((r) => r.round === id && r.at <= asOf);
    const points = [...new Set(own.map((r) => r.point))].map((p) => Math.min(...own.filter((r) => r.point === p).map((r) => r.value)));
    const sorted = [...points].sort((a, b) => a - b);
    const n = sorted.length;
    const complete = n >= e.policy.minPoints;
    const mean = points.reduce((a, b) => a + b, 0) / n;
    const median = n % 2 ? sorted[(n - 1) / 2]! : (sorted[n / 2]! + sorted[n / 2 - 1]!) / 2;
    const v = !complete || e.policy.combine === 'coldest' ? sorted[0]! : e.policy.combine === 'mean' ? mean : median;
    const times = own.map((r) => r.at);
    return { t: Math.max(...times), first: Math.min(...times), v: v - e.policy.guardBandC, peak: Math.max(...own.map((r) => r.value)), complete };
  }).sort((a, b) => a.t - b.t);
}

const raw = (x: BatchEvent): boolean => (x.type === 'add' && x.raw) || (x.type === 'water' && !x.clean) || (x.type === 'merge' && !x.withProven);

function segment(e: Evidence, asOf: number) {
  const restarts = e.events.filter((x) => raw(x) && x.at >= e.builtAt && x.at <= asOf).map((x) => x.at);
  const from = Math.max(e.builtAt, ...restarts);
  const restarted = restarts.length > 0;
  const straddles = (r: SlowRound): boolean => (r.first < e.builtAt && r.t >= e.builtAt) || restarts.some((c) => r.first <= c && r.t > c);
  const rounds = slowRounds(e, asOf).filter((r) => (restarted ? r.t > from : r.t >= from) && !straddles(r));
  const full = e.events.filter((x) => x.type === 'turn' && x.full && x.at > from && x.at <= asOf).sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1)).map((x) => x.at);
  const opens: number[] = [];
  for (const t of full) if (!opens.some((o) => t > o && t <= o + e.policy.turnGraceHours * H)) opens.push(t);
  return { from, rounds, full, inWindow: (o: number, t: number) => t > o && t <= o + e.policy.turnGraceHours * H, opens };
}

const kind = (r: SlowRound, h: Hold): 'hot' | 'cold' | 'over' | 'thin' =>
  r.v < h.floorC - EPS ? 'cold' : h.ceilingC !== undefined && r.peak > h.ceilingC + EPS ? 'over' : r.complete ? 'hot' : 'thin';

/** Credit, counted turnings and status at asOf, as if nothing had been proven. */
export function slowState(e: Evidence, h: Hold, asOf: number): SlowState {
  return e.policy.counting === 'days' ? slowDays(e, h, asOf) : slowHours(e, h, asOf);
}

function counted(full: readonly number[], hots: readonly number[]): number {
  return full.filter((t, i) => hots.some((x) => x <= t && x > (full[i - 1] ?? -Infinity)) && hots.some((x) => x >= t)).length;
}

function slowHours(e: Evidence, h: Hold, asOf: number): SlowState {
  const { rounds, full, opens, inWindow } = segment(e, asOf);
  const gap = e.policy.maxGapHours * H;
  const judged = rounds.map((r) => ({ r, k: kind(r, h) })).filter((x) => x.k !== 'thin');
  if (judged.length === 0) return { credit: 0, turnings: 0, status: 'waiting' };
  type R = { hots: number[]; credit: number; excused: SlowRound[]; ended: boolean };
  const runs: R[] = [];
  const bridges = (run: R, moments: readonly number[]): boolean =>
    opens.some((o) => o - run.hots.at(-1)! <= gap && [...moments, ...run.excused.map((x) => x.t)].every((t) => inWindow(o, t)));
  for (const { r, k } of judged) {
    const run = runs.at(-1);
    const open = run && !run.ended ? run : null;
    if (k === 'over') { if (open) open.ended = true; }
    else if (k === 'cold') { if (open) { if (bridges(open, [r.t, r.first])) open.excused.push(r); else open.ended = true; } }
    else if (open && open.excused.length === 0 && r.t - open.hots.at(-1)! <= gap) { open.credit += r.t - open.hots.at(-1)!; open.hots.push(r.t); }
    else if (open && bridges(open, [r.t])) { open.hots.push(r.t); open.excused = []; }
    else { if (open) open.ended = true; runs.push({ hots: [r.t], credit: 0, excused: [], ended: false }); }
  }
  const last = runs.at(-1);
  const status = !last || last.ended ? 'broken' : last.excused.length === 0 && asOf - last.hots.at(-1)! <= gap ? 'running' : bridges(last, [asOf]) ? 'recovering' : 'broken';
  const part = h.consecutive ? (last && status !== 'broken' ? [last] : []) : runs;
  return { credit: part.reduce((s, r) => s + r.credit, 0) / H, turnings: part.reduce((s, r) => s + counted(full, r.hots), 0), status };
}

/** Days of UTC, so that a midnight is a division. */
function slowDays(e: Evidence, h: Hold, asOf: number): SlowState {
  const D = 24 * H;
  const { from, rounds, full, opens, inWindow } = segment(e, asOf);
  const windows = opens.map((o) => [o, o + e.policy.turnGraceHours * H] as const);
  const firstDay = Math.floor(from / D);
  const lastDay = Math.floor(asOf / D) - 1;
  type Day = { d: number; kind: 'hot' | 'cold' | 'paused' | 'blank'; hots: number[] };
  const days: Day[] = [];
  let any = false;
  for (let d = firstDay; d <= lastDay; d += 1) {
    const own = rounds.filter((r) => Math.floor(r.t / D) === d).map((r) => ({ r, k: kind(r, h) })).filter((x) => x.k !== 'thin');
    any ||= own.length > 0;
    const excused = (r: SlowRound): boolean => opens.some((o) => inWindow(o, r.t) && inWindow(o, r.first));
    const bad = own.some((x) => x.k === 'over' || (x.k === 'cold' && !excused(x.r)));
    const cold = own.some((x) => x.k === 'cold');
    const hots = own.filter((x) => x.k === 'hot').map((x) => x.r.t);
    const shares = windows.some(([a, b]) => Math.min(b, (d + 1) * D) - Math.max(a, d * D) > 0);
    const k: Day['kind'] = bad ? 'cold' : hots.length > 0 && !cold ? (d * D < from ? 'blank' : 'hot') : cold || shares ? 'paused' : 'blank';
    days.push({ d, kind: k, hots });
  }
  if (!any) return { credit: 0, turnings: 0, status: 'waiting' };
  /** Whether nothing between two days (both excluded) ends a run. */
  const holds = (a: number, b: number): boolean => {
    const between = days.filter((x) => x.d > a && x.d < b);
    if (between.some((x) => x.kind === 'cold') || between.filter((x) => x.kind === 'blank').length > e.policy.maxBlankDays) return false;
    const paused = between.filter((x) => x.kind === 'paused');
    return paused.length === 0 || windows.some(([o, z]) => z > o && paused.every((x) => o < (x.d + 1) * D && z >= x.d * D));
  };
  const runs: Day[][] = [];
  for (const day of days.filter((x) => x.kind === 'hot')) {
    const open = runs.at(-1);
    if (open && holds(open.at(-1)!.d, day.d)) open.push(day); else runs.push([day]);
  }
  const last = runs.at(-1);
  const running = last !== undefined && holds(last.at(-1)!.d, lastDay + 1);
  const part = h.consecutive ? (running ? [last] : []) : runs;
  const hotsOf = (run: readonly Day[]): number[] => days.filter((x) => x.d >= run[0]!.d && x.d <= run.at(-1)!.d && (x.kind === 'hot' || x.kind === 'paused')).flatMap((x) => x.hots);
  const turnsOf = (run: readonly Day[]): number => counted(full, hotsOf(run));
  return { credit: part.reduce((s, run) => s + run.length * 24, 0), turnings: part.reduce((s, run) => s + turnsOf(run), 0), status: running ? 'running' : 'broken' };
}

/** The first moment at which the hold is met, found by asking at every round time or midnight. */
export function slowProof(e: Evidence, h: Hold, asOf: number): number | null {
  const { from, rounds } = segment(e, asOf);
  const D = 24 * H;
  const moments = e.policy.counting === 'days'
    ? Array.from({ length: Math.max(0, Math.floor(asOf / D) - Math.floor(from / D)) }, (_, i) => (Math.floor(from / D) + 1 + i) * D)
    : rounds.map((r) => r.t);
  const past = (t: number): Evidence => ({ ...e, readings: e.readings.filter((r) => rounds.some((x) => x.t <= t && x.first <= r.at && r.at <= x.t) || r.at <= from) });
  for (const t of moments) {
    if (t > asOf) break;
    const s = slowState(past(t), h, t);
    if (s.status !== 'waiting' && s.credit >= h.hours && s.turnings >= h.turnings) return t;
  }
  return null;
}
