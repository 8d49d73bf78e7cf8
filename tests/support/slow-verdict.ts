import { DateTime } from 'luxon';
import type { Hold, MeanAbove, Requirement, Staged, Within } from '@/core/evidence/rule';
import type { BatchEvent, Clock, Evidence, Reading } from '@/core/evidence/types';

/**
 * A second reading of sections 4 to 10 of the contract, by definition and without care for speed: it looks up
 * every window and every earlier round anew, walks the past again at each moment, and finds a proof by asking
 * the whole question at each moment. It shares no function with the core. No calibration.
 */
type SlowRound = {
  key: string;
  t: number;
  first: number;
  v: number;
  peak: number;
  complete: boolean;
};
type SlowRun = { hots: SlowRound[]; credits: number[]; ended: boolean; excused: SlowRound[] };
type SlowStatus = 'proven' | 'waiting' | 'running' | 'recovering' | 'broken';
export type Slow = {
  status: SlowStatus;
  credit: number;
  required: number;
  turnings: number;
  turningsRequired: number;
  provenAt: number | null;
  run: [number, number] | null;
  earliest: number | null;
};
const H = 3_600_000;
const EPS = 1e-9;

const celsius = (r: Reading): number => (r.unit === 'F' ? ((r.value - 32) * 5) / 9 : r.value);
const before = (a: { at: number; id: string }, b: { at: number; id: string }): number =>
  a.at - b.at || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/** Section 4: groups, one reading after another, looking back over the group each time. */
function groups(e: Evidence, asOf: number): Reading[][] {
  const partial = e.readings
    .filter((r) => r.at <= asOf && r.flag === undefined)
    .filter((r) => {
      const zone = e.points.find((p) => p.id === r.point)!.zone;
      return zone === undefined || e.policy.zones.includes(zone);
    })
    .sort(before);
  const out: Reading[][] = [];
  for (const r of partial) {
    const kin = out
      .filter((g) => (r.round === undefined ? g[0]!.round === undefined : g[0]!.round === r.round))
      .at(-1);
    const joins =
      kin &&
      (r.round === undefined
        ? r.at - kin[0]!.at <= e.policy.roundMinutes * 60_000 &&
          !kin.some((x) => x.point === r.point)
        : r.at - kin[0]!.at <= 6 * H);
    if (joins) kin.push(r);
    else out.push([r]);
  }
  return out;
}

/** The coldest value of each point. */
const coldestOf = (g: readonly Reading[]): number[] =>
  [...new Set(g.map((r) => r.point))].map((p) =>
    Math.min(...g.filter((r) => r.point === p).map(celsius)),
  );
function average(values: readonly number[], how: 'mean' | 'median'): number {
  const sorted = [...values].sort((a, b) => a - b);
  const n = sorted.length;
  if (how === 'mean') return values.reduce((a, b) => a + b, 0) / n;
  return n % 2 ? sorted[(n - 1) / 2]! : (sorted[n / 2]! + sorted[n / 2 - 1]!) / 2;
}

function roundOf(g: readonly Reading[], e: Evidence): SlowRound {
  const points = coldestOf(g);
  // What a trainee read and nobody checked hurts and does not help.
  const sure = coldestOf(g.filter((r) => !r.toCheck));
  const complete = sure.length >= e.policy.minPoints;
  const { combine } = e.policy;
  const v =
    !complete || combine === 'coldest'
      ? Math.min(...points)
      : Math.min(average(points, combine), average(sure, combine));
  const times = g.map((r) => r.at);
  return {
    key: g.map((r) => r.id).sort()[0]!,
    t: Math.max(...times),
    first: Math.min(...times),
    v: v - e.policy.guardBandC,
    peak: Math.max(...g.map(celsius)),
    complete,
  };
}

const slowRounds = (e: Evidence, asOf: number): SlowRound[] =>
  groups(e, asOf)
    .map((g) => roundOf(g, e))
    .sort((a, b) => a.t - b.t || (a.key < b.key ? -1 : 1));

/** Section 1, 'Two clocks'. */
function restarts(x: BatchEvent, clock: Clock): boolean {
  if (x.type !== 'add' && x.type !== 'water' && x.type !== 'merge') return false;
  const dirty = x.type === 'add' ? x.raw : x.type === 'water' ? !x.clean : !x.withProven;
  return clock === 'seeds' ? (x.seeds ?? dirty) : dirty;
}

/** Section 4, Moist rules: whether the batch is logged dry at t; the latest state at or before it holds, of several at one moment a dry one. */
function dryAt(e: Evidence, asOf: number, t: number): boolean {
  const states = e.events.filter((x) => x.type === 'moisture' && x.at <= asOf && x.at <= t);
  const last = Math.max(...states.map((x) => x.at));
  return states.some((x) => x.at === last && x.type === 'moisture' && x.state === 'dry');
}
/** Dry time between two moments, looked up from change to change. */
function dryTime(e: Evidence, asOf: number, from: number, to: number): number {
  const cuts = [
    from,
    ...e.events
      .filter((x) => x.type === 'moisture' && x.at <= asOf && x.at > from && x.at < to)
      .map((x) => x.at)
      .sort((a, b) => a - b),
    to,
  ];
  return cuts
    .slice(1)
    .reduce((sum, cut, i) => sum + (dryAt(e, asOf, cuts[i]!) ? cut - cuts[i]! : 0), 0);
}

type Seg = {
  asOf: number;
  from: number;
  rounds: SlowRound[];
  full: number[];
  opens: number[];
  inWindow: (o: number, t: number) => boolean;
};
/** Section 5: the segment of asOf; windows of section 6. */
function segment(e: Evidence, clock: Clock, asOf: number): Seg {
  const cuts = e.events
    .filter((x) => restarts(x, clock) && x.at >= e.builtAt && x.at <= asOf)
    .map((x) => x.at);
  const from = Math.max(e.builtAt, ...cuts);
  const straddles = (r: SlowRound): boolean =>
    (r.first < e.builtAt && r.t >= e.builtAt) || cuts.some((c) => r.first <= c && r.t > c);
  const rounds = slowRounds(e, asOf).filter(
    (r) => (cuts.length > 0 ? r.t > from : r.t >= from) && !straddles(r),
  );
  const full = e.events
    .filter((x) => x.type === 'turn' && x.full && x.at > from && x.at <= asOf)
    .sort(before)
    .map((x) => x.at);
  const inWindow = (o: number, t: number): boolean => t > o && t <= o + e.policy.turnGraceHours * H;
  const opens: number[] = [];
  for (const t of full) if (!opens.some((o) => inWindow(o, t))) opens.push(t);
  return { asOf, from, rounds, full, opens, inWindow };
}

type Floor = { floorC: number; ceilingC?: number | undefined; moist?: boolean | undefined };
const kind = (r: SlowRound, h: Floor): 'hot' | 'cold' | 'over' | 'thin' =>
  r.v < h.floorC - EPS
    ? 'cold'
    : h.ceilingC !== undefined && r.peak > h.ceilingC + EPS
      ? 'over'
      : r.complete
        ? 'hot'
        : 'thin';

/** Section 6. */
function walk(e: Evidence, seg: Seg, rounds: readonly SlowRound[], h: Floor) {
  const gap = e.policy.maxGapHours * H;
  const runs: SlowRun[] = [];
  const bridges = (run: SlowRun, moments: readonly number[]): boolean =>
    seg.opens.some(
      (o) =>
        o - run.hots.at(-1)!.t <= gap &&
        [...moments, ...run.excused.map((x) => x.t)].every((t) => seg.inWindow(o, t)),
    );
  let touched = false;
  for (const r of rounds) {
    const k = kind(r, h);
    if (k === 'thin' || (k === 'hot' && h.moist && dryAt(e, seg.asOf, r.t))) continue;
    touched = true;
    const open = runs.at(-1)?.ended === false ? runs.at(-1)! : null;
    if (k === 'over') {
      if (open) open.ended = true;
      continue;
    }
    if (k === 'cold') {
      if (open) {
        if (bridges(open, [r.t, r.first])) open.excused.push(r);
        else open.ended = true;
      }
      continue;
    }
    const last = open?.hots.at(-1);
    if (open && last && open.excused.length === 0 && r.t - last.t <= gap) {
      open.credits.push(
        open.credits.at(-1)! + r.t - last.t - (h.moist ? dryTime(e, seg.asOf, last.t, r.t) : 0),
      );
      open.hots.push(r);
    } else if (open && bridges(open, [r.t])) {
      open.credits.push(open.credits.at(-1)!);
      open.hots.push(r);
      open.excused = [];
    } else {
      if (open) open.ended = true;
      runs.push({ hots: [r], credits: [0], ended: false, excused: [] });
    }
  }
  const last = runs.at(-1);
  const statusAt = (asOf: number): Exclude<SlowStatus, 'proven'> =>
    !touched
      ? 'waiting'
      : !last || last.ended
        ? 'broken'
        : last.excused.length === 0 && asOf - last.hots.at(-1)!.t <= gap
          ? 'running'
          : bridges(last, [asOf])
            ? 'recovering'
            : 'broken';
  return { runs, statusAt };
}

const creditOf = (run: SlowRun): number => run.credits.at(-1)! / H;
/** Section 8 on the hot rounds of a run. */
const counted = (full: readonly number[], hots: readonly number[]): number =>
  full.filter(
    (t, i) =>
      hots.some((x) => x <= t && x > (full[i - 1] ?? -Infinity)) && hots.some((x) => x >= t),
  ).length;
const timesOf = (run: SlowRun): number[] => run.hots.map((r) => r.t);

type Live = Omit<Slow, 'required' | 'turningsRequired' | 'provenAt' | 'earliest'> & {
  base: number;
  far: number;
};

/** Sections 6 and 8: a hold at asOf as if nothing had been proven. */
function liveHours(e: Evidence, seg: Seg, h: Hold, asOf: number): Live {
  const { runs, statusAt } = walk(e, seg, seg.rounds, h);
  const status = statusAt(asOf);
  const alive = status === 'running' || status === 'recovering' ? runs.at(-1)! : null;
  const part = h.consecutive ? (alive ? [alive] : []) : runs;
  return {
    status,
    credit: part.reduce((s, r) => s + creditOf(r), 0),
    turnings: part.reduce((s, r) => s + counted(seg.full, timesOf(r)), 0),
    run: alive ? [alive.hots[0]!.t, alive.hots.at(-1)!.t] : null,
    base: status === 'running' ? alive!.hots.at(-1)!.t : asOf,
    far: 0,
  };
}

/** Section 7, days by luxon. */
function liveDays(e: Evidence, seg: Seg, h: Hold, asOf: number): Live {
  const windows = seg.opens.map((o) => [o, o + e.policy.turnGraceHours * H] as const);
  type Day = {
    i: number;
    start: number;
    end: number;
    kind: 'hot' | 'cold' | 'paused' | 'blank';
    hots: number[];
  };
  const days: Day[] = [];
  let any = false;
  let day = DateTime.fromMillis(seg.from, { zone: e.timeZone }).startOf('day');
  for (let i = 0; ; i += 1) {
    const next = day.plus({ days: 1 }).startOf('day');
    const [start, end] = [day.toMillis(), next.toMillis()];
    if (end > asOf) break;
    const own = seg.rounds
      .filter((r) => r.t >= start && r.t < end)
      .map((r) => ({ r, k: kind(r, h) }))
      .filter((x) => x.k !== 'thin' && !(x.k === 'hot' && h.moist && dryAt(e, seg.asOf, x.r.t)));
    any ||= own.length > 0;
    const excused = (r: SlowRound): boolean =>
      seg.opens.some((o) => seg.inWindow(o, r.t) && seg.inWindow(o, r.first));
    const bad = own.some((x) => x.k === 'over' || (x.k === 'cold' && !excused(x.r)));
    const cold = own.some((x) => x.k === 'cold');
    const hots = own.filter((x) => x.k === 'hot').map((x) => x.r.t);
    const shares = windows.some(([a, b]) => Math.min(b, end) - Math.max(a, start) > 0);
    days.push({
      i,
      start,
      end,
      hots,
      kind: bad
        ? 'cold'
        : hots.length > 0 && !cold
          ? start < seg.from || (h.moist && dryTime(e, seg.asOf, start, end) > 0)
            ? 'blank'
            : 'hot'
          : cold || shares
            ? 'paused'
            : 'blank',
    });
    day = next;
  }
  const base = asOf;
  if (!any) return { status: 'waiting', credit: 0, turnings: 0, run: null, base, far: 0 };
  /** Whether nothing between two days (both excluded) ends a run. */
  const holds = (a: number, b: number): boolean => {
    const between = days.filter((x) => x.i > a && x.i < b);
    if (
      between.some((x) => x.kind === 'cold') ||
      between.filter((x) => x.kind === 'blank').length > e.policy.maxBlankDays
    )
      return false;
    const paused = between.filter((x) => x.kind === 'paused');
    return (
      paused.length === 0 ||
      windows.some(([o, z]) => z > o && paused.every((x) => o < x.end && z >= x.start))
    );
  };
  const runs: Day[][] = [];
  for (const d of days.filter((x) => x.kind === 'hot')) {
    const open = runs.at(-1);
    if (open && holds(open.at(-1)!.i, d.i)) open.push(d);
    else runs.push([d]);
  }
  const last = runs.at(-1);
  const running = last !== undefined && holds(last.at(-1)!.i, days.length);
  const part = h.consecutive ? (running ? [last] : []) : runs;
  const hotsOf = (run: readonly Day[]): number[] =>
    days
      .filter(
        (x) =>
          x.i >= run[0]!.i && x.i <= run.at(-1)!.i && (x.kind === 'hot' || x.kind === 'paused'),
      )
      .flatMap((x) => x.hots);
  return {
    status: running ? 'running' : 'broken',
    credit: part.reduce((s, run) => s + run.length * 24, 0),
    turnings: part.reduce((s, run) => s + counted(seg.full, hotsOf(run)), 0),
    run: running ? [last[0]!.start, last.at(-1)!.end] : null,
    base: running ? last.at(-1)!.end : base,
    far: 0,
  };
}

/** Every moment at which a proof may come. */
function moments(e: Evidence, seg: Seg, asOf: number): number[] {
  const out = new Set([...seg.rounds.map((r) => r.t), ...seg.full]);
  for (
    let day = DateTime.fromMillis(seg.from, { zone: e.timeZone })
      .startOf('day')
      .plus({ days: 1 })
      .startOf('day');
    day.toMillis() <= asOf;
    day = day.plus({ days: 1 }).startOf('day')
  )
    out.add(day.toMillis());
  return [...out].sort((a, b) => a - b);
}

/** The evidence as it will turn out to be, seen only up to a round time: no round that ends later. */
const upTo = (seg: Seg, t: number): Seg => ({ ...seg, rounds: seg.rounds.filter((r) => r.t <= t) });

type Ask = {
  live: (seg: Seg, t: number) => Live;
  met: (seg: Seg, t: number) => Partial<Live> | null;
  required: number;
  turningsRequired: number;
};

function holdAsk(e: Evidence, h: Hold): Ask {
  const live = (seg: Seg, t: number): Live =>
    (e.policy.counting === 'days' ? liveDays : liveHours)(e, seg, h, t);
  const met = (seg: Seg, t: number): Partial<Live> | null => {
    if (e.policy.counting === 'hours' && !seg.rounds.some((r) => r.t === t)) return null;
    // Turns later than t cannot count by then: their rounds are not there yet.
    const s = live(upTo(seg, t), t);
    return s.status !== 'waiting' && s.credit >= h.hours && s.turnings >= h.turnings
      ? { ...s, run: h.consecutive ? s.run : null }
      : null;
  };
  return { live, met, required: h.hours, turningsRequired: h.turnings };
}

function stagedAsk(e: Evidence, s: Staged): Ask {
  const best = (seg: Seg, after: number, to: number): SlowRun | undefined =>
    walk(
      e,
      seg,
      seg.rounds.filter((r) => r.t > after && r.t <= to),
      s,
    ).runs.reduce<SlowRun | undefined>(
      (a, b) => (a && creditOf(a) >= creditOf(b) ? a : b),
      undefined,
    );
  const complete = (seg: Seg, t: number): { at: number; run: SlowRun }[] =>
    seg.full.flatMap((at, i) => {
      const run = best(seg, seg.full[i - 1] ?? -Infinity, at);
      return at <= t && run && creditOf(run) >= s.holdHours ? [{ at, run }] : [];
    });
  return {
    required: s.holdHours,
    turningsRequired: s.stages,
    live(seg, t) {
      const done = complete(seg, t).length;
      const after = seg.full.at(-1) ?? -Infinity;
      const own = walk(
        e,
        seg,
        seg.rounds.filter((r) => r.t > after),
        s,
      );
      const state = own.statusAt(t);
      const alive = state === 'running' || state === 'recovering' ? own.runs.at(-1)! : null;
      const greatest = best(seg, after, Infinity);
      return {
        status: walk(e, seg, seg.rounds, s).statusAt(t),
        credit: greatest ? creditOf(greatest) : 0,
        turnings: done,
        run: alive ? [alive.hots[0]!.t, alive.hots.at(-1)!.t] : null,
        base: state === 'running' ? alive!.hots.at(-1)!.t : t,
        far: s.holdHours * (s.stages - done - 1),
      };
    },
    met(seg, t) {
      const last = complete(seg, t)[s.stages - 1];
      return last?.at === t
        ? {
            credit: creditOf(last.run),
            turnings: s.stages,
            run: [last.run.hots[0]!.t, last.run.hots.at(-1)!.t],
          }
        : null;
    },
  };
}

function withinAsk(e: Evidence, w: Within): Ask {
  const innerCredit = (seg: Seg, run: SlowRun, t: number): number => {
    const start = seg.rounds.indexOf(run.hots[0]!);
    return walk(
      e,
      seg,
      seg.rounds.slice(start).filter((r) => r.t <= t),
      w.inner,
    ).runs.reduce((s, r) => s + creditOf(r), 0);
  };
  return {
    required: NaN,
    turningsRequired: 0,
    live(seg, t) {
      const outer = liveHours(e, seg, { ...w.outer, consecutive: true }, t);
      const run = walk(e, seg, seg.rounds, w.outer).runs.at(-1);
      const inner = outer.run && run ? innerCredit(seg, run, run.hots.at(-1)!.t) : 0;
      const [a, b] = [outer.credit / w.outer.hours, inner / w.inner.hours];
      const tellInner = b < 1 && (a >= 1 || b < a);
      return {
        ...outer,
        credit: tellInner ? inner : outer.credit,
        required: tellInner ? w.inner.hours : w.outer.hours,
      } as Live;
    },
    met(seg, t) {
      for (const run of walk(e, upTo(seg, t), upTo(seg, t).rounds, w.outer).runs) {
        const i = run.hots.findIndex((r) => r.t === t);
        if (i < 0) continue;
        const outerAt =
          run.hots[run.credits.findIndex((c) => c / H >= w.outer.hours)]?.t ?? Infinity;
        const innerAt =
          run.hots.find((r) => innerCredit(seg, run, r.t) >= w.inner.hours)?.t ?? Infinity;
        if (outerAt > t || innerAt > t) continue;
        const late = innerAt > outerAt;
        return {
          credit: late ? innerCredit(seg, run, t) : run.credits[i]! / H,
          required: late ? w.inner.hours : w.outer.hours,
          run: [run.hots[0]!.t, t],
          turnings: counted(
            seg.full,
            timesOf(run).filter((x) => x <= t),
          ),
        } as Partial<Live>;
      }
      return null;
    },
  };
}

function meanAsk(e: Evidence, m: MeanAbove): Ask {
  return {
    required: m.hours,
    turningsRequired: 0,
    live: (seg, t) =>
      liveHours(
        e,
        seg,
        { kind: 'hold', floorC: m.floorC, hours: m.hours, consecutive: true, turnings: 0 },
        t,
      ),
    met(seg, t) {
      for (const run of walk(e, upTo(seg, t), upTo(seg, t).rounds, m).runs) {
        const to = run.hots.findIndex((r) => r.t === t);
        for (let u = 0; u < to; u += 1) {
          const credit = run.credits[to]! - run.credits[u]!;
          let area = 0;
          for (let i = u + 1; i <= to; i += 1)
            area +=
              ((run.credits[i]! - run.credits[i - 1]!) * (run.hots[i - 1]!.v + run.hots[i]!.v)) / 2;
          if (credit / H >= m.hours && area / credit > m.meanC + EPS)
            return {
              credit: credit / H,
              run: [run.hots[u]!.t, t],
              turnings: counted(seg.full, timesOf(run).slice(u, to + 1)),
            };
        }
      }
      return null;
    },
  };
}

function answer(e: Evidence, seg: Seg, ask: Ask, asOf: number): Slow {
  for (const t of moments(e, seg, asOf)) {
    const met = ask.met(seg, t);
    if (met)
      return {
        status: 'proven',
        credit: met.credit!,
        required: (met as { required?: number }).required ?? ask.required,
        turnings: met.turnings!,
        turningsRequired: ask.turningsRequired,
        provenAt: t,
        run: met.run ?? null,
        earliest: null,
      };
  }
  const live = ask.live(seg, asOf);
  const required = (live as { required?: number }).required ?? ask.required;
  return {
    status: live.status,
    credit: live.credit,
    required,
    turnings: live.turnings,
    turningsRequired: ask.turningsRequired,
    provenAt: null,
    run: live.run,
    earliest: Math.max(asOf, live.base + (Math.max(0, required - live.credit) + live.far) * H),
  };
}

const ORDER: SlowStatus[] = ['running', 'recovering', 'waiting', 'broken'];
const share = (s: Slow): number => s.credit / s.required;

function reckon(e: Evidence, seg: Seg, r: Requirement, asOf: number): Slow {
  switch (r.kind) {
    case 'hold':
      return answer(e, seg, holdAsk(e, r), asOf);
    case 'staged':
      return answer(e, seg, stagedAsk(e, r), asOf);
    case 'within':
      return answer(e, seg, withinAsk(e, r), asOf);
    case 'meanAbove':
      return answer(e, seg, meanAsk(e, r), asOf);
    default: {
      const all = r.of.map((x) => reckon(e, seg, x, asOf));
      const [met, open] = [
        all.filter((s) => s.provenAt !== null),
        all.filter((s) => s.provenAt === null),
      ];
      if (r.kind === 'anyOf') {
        if (met.length > 0)
          return met.find((s) => s.provenAt === Math.min(...met.map((x) => x.provenAt!)))!;
        const top = open.filter((s) => share(s) === Math.max(...open.map(share)));
        return ORDER.flatMap((status) => top.filter((s) => s.status === status))[0]!;
      }
      if (open.length > 0) return open.find((s) => share(s) === Math.min(...open.map(share)))!;
      return met.find((s) => s.provenAt === Math.max(...met.map((x) => x.provenAt!)))!;
    }
  }
}

/** The verdict's figures on the segment of asOf. */
export const slowVerdict = (
  e: Evidence,
  r: Requirement,
  asOf: number,
  clock: Clock = 'germs',
): Slow => reckon(e, segment(e, clock, asOf), r, asOf);
