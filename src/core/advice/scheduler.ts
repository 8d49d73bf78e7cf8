import type { BatchId } from '../log/ids';
import { hoursToMs, MS, type Instant } from '../quantity/instant';
import { lostItsHeat, mendNext } from './next';
import { actsOf, turnMinutes } from './acts';
import type { HeapCard } from './tasks';
import { isDangerous, isLive, turnOf, type HeapFacts } from './situation';
import { trendOf } from './trend';
import { NEAR_PROOF_HOURS } from './turn';
import { firstOf, itemAt, lastOf } from '../quantity/present';

/**
 * The turnings of the days ahead, each moved within its window so that the crew's and the machine's hours hold out. It is put
 * as an integer programme: one yes-or-no for each turning and day of its window; every turning on one day; turnings of a heap
 * apart; hours over what there are cost much, days off the best day a little. The solver is handed in: the core knows none.
 */
export type WorkDay = {
  readonly start: Instant;
  /** When work is done on it. */ readonly work: Instant;
  readonly crewMinutes: number;
  readonly machineMinutes: number;
};

/** One turning ahead, with the days on which it may be done, as indices into the days. */
export type Job = {
  readonly key: string;
  readonly batch: BatchId;
  readonly code: string;
  readonly name: string;
  /** 0 for the next turning, 1 for the one after. */
  readonly n: number;
  readonly from: number;
  readonly best: number;
  readonly to: number;
  readonly minutes: number;
  readonly machine: boolean;
  /** What a proof waits for; a run hangs on it. */
  readonly owed: boolean;
  readonly saves: boolean;
  /** Somebody set it to this day. */
  readonly pinned: number | null;
  /** Days between it and the one before. */
  readonly apart: number;
};

export type Constraint = {
  /** What it keeps: the hours of a day's crew or machine, one day for each turning, days between turnings. */
  readonly kind: 'crew' | 'machine' | 'once' | 'apart';
  readonly name: string;
  readonly min?: number;
  readonly max?: number;
  readonly equal?: number;
};
type Variable = {
  readonly name: string;
  readonly cost: number;
  readonly binary: boolean;
  readonly in: readonly (readonly [constraint: string, coefficient: number])[];
};
export type Programme = {
  readonly variables: readonly Variable[];
  readonly constraints: readonly Constraint[];
};
/** Values of the variables that are not nought, by name; null: none was found in time. */
export type SolveProgramme = (programme: Programme) => Promise<ReadonlyMap<string, number> | null>;

export type WorkSchedule = {
  readonly jobs: readonly (Job & { readonly day: number })[];
  readonly load: readonly {
    readonly minutes: number;
    readonly machineMinutes: number;
    readonly turns: number;
    readonly overMinutes: number;
    readonly overMachineMinutes: number;
  }[];
  readonly solved: boolean;
};

/** A proof's turnings stand two days apart, so that a hot round lies between (common practice). */
const OWED_APART = 2;
/** A change is given so long before something else is done. */
const MENDS_MS = 2 * MS.day;
/** So many turnings of one heap are looked at. */
const MAX_JOBS = 8;
/** Until a heap is back at its floor after a turning where its own log tells nothing yet, h (common practice). */
const USUAL_REBOUND_H = 14;

const dayOf = (days: readonly WorkDay[], at: Instant): number =>
  days.findLastIndex((d) => d.start <= at);

/** How long this heap took to be read hot again after its turnings, as a rule, h. */
function reboundHours(f: HeapFacts): number {
  const took = f.turns
    .flatMap((turn, i) => {
      const back = f.rounds.find(
        (r) => r.at > turn && r.at < (f.turns[i + 1] ?? Infinity) && r.valueC >= f.proof.floorC,
      );
      return back ? [Math.min((back.at - turn) / MS.hour, f.proof.graceHours)] : [];
    })
    .sort((a, b) => a - b);
  return took.length === 0 ? USUAL_REBOUND_H : itemAt(took, took.length >> 1);
}

/** When a heap could be proven if it is turned at these moments, and what would be lost on the way. */
export type Outlook = {
  readonly proofAt: Instant | null;
  readonly lostAt: Instant | null;
  readonly lostHours: number;
  readonly owedLeft: number;
};

/**
 * A heap played forward by the hour: it earns while it is above its floor, pauses after each turning for as long as it did
 * before, and falls as it falls now, from two days after a turning on. What it says is what could be, no more.
 */
export function forecastTurnings(
  f: HeapFacts,
  turns: readonly Instant[],
  now: Instant,
  until: Instant,
): Outlook {
  const { proof: p } = f;
  const never: Outlook = { proofAt: null, lostAt: null, lostHours: 0, owedLeft: p.turningsOwed };
  if (p.status === 'proven' || p.status === null) return { ...never, owedLeft: 0 };
  const trend = trendOf(f.rounds, f.turns, now);
  const falls = trend && trend.perDay < -0.05 ? -trend.perDay : 0;
  const top = trend?.nowC ?? f.rounds.at(-1)?.valueC ?? p.floorC;
  const rebound = reboundHours(f);
  const staged = p.form === 'staged';
  let credit = p.creditedHours;
  let owed = p.turningsOwed;
  let lastTurn = f.turns.at(-1) ?? null;
  let turned = 0;
  let started = p.status === 'running' || p.status === 'recovering';
  // A heap that is not hot yet is taken to be so in a day, and not before three days after it was built.
  const warm = started ? now : Math.max(now + MS.day, (f.builtAt ?? now) + 3 * MS.day);
  for (let t = now; t <= until; t += MS.hour) {
    for (; turned < turns.length && itemAt(turns, turned) <= t; turned += 1) {
      lastTurn = itemAt(turns, turned);
      if (!started || owed === 0) continue;
      // A hold before each turning: one that comes too early counts for nothing, and each begins the next stage.
      if (!staged || credit >= p.requiredHours) owed -= 1;
      if (staged && owed === 0) return { proofAt: t, lostAt: null, lostHours: 0, owedLeft: 0 };
      if (staged) credit = 0;
    }
    if (!started) {
      if (t < warm) continue;
      started = true;
    }
    const since = lastTurn === null ? Infinity : (t - lastTurn) / MS.hour;
    const fallen =
      turned > 0
        ? (falls * Math.max(0, since - 48)) / 24
        : (falls * (t - (trend?.to ?? t))) / MS.day;
    if (credit > 0 && falls > 0 && top - fallen < p.floorC && since > rebound)
      return p.creditedHours > 0
        ? { proofAt: null, lostAt: t, lostHours: credit, owedLeft: owed }
        : { ...never, owedLeft: owed };
    if (since >= rebound) credit += 1;
    if (!staged && credit >= p.requiredHours && owed === 0 && since >= rebound)
      return { proofAt: t, lostAt: null, lostHours: 0, owedLeft: 0 };
  }
  return { ...never, owedLeft: owed };
}

/** The turnings that one heap asks for in the days ahead. */
function listJobsOfHeap(
  { id, code, name, facts, orders }: HeapCard,
  days: readonly WorkDay[],
  now: Instant,
): Job[] {
  const s = { ...facts, now };
  if (
    !isLive(s) ||
    isDangerous(s) ||
    s.stage.code === 'dormant' ||
    s.proof.status === 'proven' ||
    facts.builtAt === null
  )
    return [];
  const advice = turnOf(s);
  const { template, proof } = s;
  const rule = proof.turningsOwed > 0;
  if (template.trigger === 'never' && !rule && advice.act !== 'turn') return [];
  // With a hold before each turning they stand as far apart as the hold and the way back to the heat take.
  const owedApart =
    proof.form === 'staged'
      ? Math.ceil((proof.requiredHours + reboundHours(facts)) / 24)
      : OWED_APART;
  const owedEvery =
    proof.form === 'staged'
      ? owedApart
      : Math.max(
          OWED_APART,
          Math.ceil(
            Math.max(0, proof.requiredHours - proof.creditedHours) / 24 / (proof.turningsOwed + 1),
          ),
        );
  const end = lastOf(days).work;
  const jobs: Job[] = [];
  const usualNext = (s.turns.at(-1) ?? facts.builtAt) + template.everyDays * MS.day;
  let at: Instant | null =
    advice.act === 'turn'
      ? advice.due
      : advice.act === 'wait'
        ? (advice.earliest ?? usualNext)
        : usualNext;
  const act = actsOf(s, orders).find((x) => x.kind === 'turn');
  if (act) at = act.by;
  // What lost its heat is mended first, and looked at before it is turned.
  if (at !== null && proof.status !== 'running' && lostItsHeat(mendNext(s)))
    at = Math.max(at, now + MENDS_MS);
  // A turning that was put off is looked at again then, and not before.
  const off = orders.find((o) => o.task === 'turn')?.defer;
  if (at !== null && off && off.until > now) at = Math.max(at, off.until);
  // Hours from its proof it is left alone, and what is proven is turned no more.
  if (advice.reasons[0]?.code === 'NEAR_PROOF') return [];
  let outlook = forecastTurnings(facts, [], now, end);
  for (let n = 0; n < MAX_JOBS && at !== null && at <= end; n += 1) {
    const owed = rule && n < proof.turningsOwed;
    // The method's own calendar ends with its working time.
    if (
      !owed &&
      template.trigger === 'calendar' &&
      at > facts.builtAt + (template.activeDays + 0.5) * MS.day
    )
      break;
    if (!owed && n === proof.turningsOwed)
      outlook = forecastTurnings(
        facts,
        jobs.map((j) => itemAt(days, j.best).work),
        now,
        end,
      );
    if (
      !owed &&
      proof.requiredHours > 0 &&
      outlook.proofAt !== null &&
      at >= outlook.proofAt - hoursToMs(NEAR_PROOF_HOURS)
    )
      break;
    const every = owed ? owedEvery : template.everyDays;
    const best = Math.max(0, dayOf(days, Math.max(at, now)));
    const latest =
      n === 0 && advice.latest !== null && advice.act === 'turn'
        ? Math.max(best, dayOf(days, Math.max(now, advice.latest)))
        : Math.min(days.length - 1, best + Math.max(1, Math.ceil(every / 2)));
    const early =
      n === 0 && advice.earliest !== null
        ? Math.max(0, dayOf(days, Math.max(now, advice.earliest)))
        : Math.max(0, best - Math.max(0, Math.floor(every / 2) - 1));
    const order = orders.find((o) => o.task === (n === 0 ? 'turn' : `turn+${n}`));
    const pinned =
      order?.day != null && order.day >= firstOf(days).start
        ? Math.min(days.length - 1, dayOf(days, order.day))
        : null;
    const day = pinned ?? best;
    jobs.push({
      key: `${id}:turn${n === 0 ? '' : `+${n}`}`,
      batch: id,
      code,
      name,
      n,
      from: pinned ?? Math.min(early, best),
      best: day,
      to: pinned ?? latest,
      minutes: turnMinutes(facts),
      machine: template.machine,
      owed,
      saves: n === 0 && advice.waiting?.code === 'RUN_WOULD_END',
      pinned,
      apart: owed ? owedApart : 1,
    });
    at = itemAt(days, day).work + every * MS.day;
  }
  return jobs;
}

/** The turnings ahead of all heaps, each with the days on which it may be done. */
export const listJobs = (
  heaps: readonly HeapCard[],
  days: readonly WorkDay[],
  now: Instant,
): Job[] => heaps.flatMap((h) => listJobsOfHeap(h, days, now));

/** A day off the best day, and an hour over what there is. */
const DAY_COST = { saves: 8, owed: 3, schedule: 1 } as const;
const HOUR_OVER_COST = 25;
const weight = (j: Job): number =>
  j.saves ? DAY_COST.saves : j.owed ? DAY_COST.owed : DAY_COST.schedule;
const choices = (j: Job): number[] =>
  Array.from({ length: j.to - j.from + 1 }, (_, i) => j.from + i);
const costOf = (j: Job, day: number): number =>
  weight(j) * Math.abs(day - j.best) * (day > j.best ? 1.5 : 1);

/** Minutes that are left for turnings on a day beside its rounds. */
const freeMinutes = (d: WorkDay, base: number): number => Math.max(0, d.crewMinutes - base);

/** The integer programme of some turnings. @param base minutes a day that go to rounds and chores */
export function buildProgramme(
  jobs: readonly Job[],
  days: readonly WorkDay[],
  base: number,
): Programme {
  const constraints: Constraint[] = [];
  const variables: Variable[] = [];
  days.forEach((d, i) => {
    constraints.push(
      { kind: 'crew', name: `crew${i}`, max: freeMinutes(d, base) },
      { kind: 'machine', name: `machine${i}`, max: d.machineMinutes },
    );
    variables.push(
      { name: `over${i}`, cost: HOUR_OVER_COST / 60, binary: false, in: [[`crew${i}`, -1]] },
      {
        name: `overmachine${i}`,
        cost: HOUR_OVER_COST / 60,
        binary: false,
        in: [[`machine${i}`, -1]],
      },
    );
  });
  const byHeap = new Map<string, Job[]>();
  for (const j of jobs) byHeap.set(j.batch, [...(byHeap.get(j.batch) ?? []), j]);
  for (const j of jobs) constraints.push({ kind: 'once', name: `once:${j.key}`, equal: 1 });
  for (const list of byHeap.values())
    list.slice(1).forEach((j, i) => {
      if (j.pinned === null || itemAt(list, i).pinned === null)
        constraints.push({ kind: 'apart', name: `apart:${j.key}`, min: j.apart });
    });
  const apart = new Set(constraints.filter((c) => c.kind === 'apart').map((c) => c.name));
  for (const list of byHeap.values()) {
    list.forEach((j, i) => {
      const [own, next] = [`apart:${j.key}`, list[i + 1] && `apart:${itemAt(list, i + 1).key}`];
      for (const day of choices(j)) {
        variables.push({
          name: `x:${j.key}:${day}`,
          cost: costOf(j, day),
          binary: true,
          in: [
            [`once:${j.key}`, 1],
            [`crew${day}`, j.minutes],
            ...(j.machine ? [[`machine${day}`, j.minutes] as const] : []),
            ...(apart.has(own) ? [[own, day] as const] : []),
            ...(next && apart.has(next) ? [[next, -day] as const] : []),
          ],
        });
      }
    });
  }
  return { variables, constraints };
}

/** Each turning on its best day, or the least loaded of its window: what is shown where the solver ran out of time. */
function greedy(
  jobs: readonly Job[],
  days: readonly WorkDay[],
  base: number,
): (Job & { day: number })[] {
  const used = days.map(() => 0);
  const placed: (Job & { day: number })[] = [];
  for (const j of [...jobs].sort((a, b) => a.n - b.n || a.best - b.best)) {
    const before = placed.findLast((p) => p.batch === j.batch)?.day ?? -Infinity;
    const able = choices(j).filter((d) => d >= before + j.apart);
    const day = (
      able.length > 0 ? able : [Math.min(days.length - 1, Math.max(j.best, before + j.apart))]
    ).reduce((a, d) => {
      const over = (x: number): number =>
        Math.max(0, itemAt(used, x) + j.minutes - freeMinutes(itemAt(days, x), base)) *
          (HOUR_OVER_COST / 60) +
        costOf(j, x);
      return over(d) < over(a) ? d : a;
    });
    used[day]! += j.minutes;
    placed.push({ ...j, day });
  }
  return placed;
}

/** The plan of the days ahead. @param base minutes a day that go to rounds and chores */
export async function scheduleTurnings(
  jobs: readonly Job[],
  days: readonly WorkDay[],
  base: number,
  solve: SolveProgramme,
): Promise<WorkSchedule> {
  const values =
    jobs.length === 0 ? new Map<string, number>() : await solve(buildProgramme(jobs, days, base));
  const placed =
    values === null
      ? greedy(jobs, days, base)
      : jobs.map((j) => ({
          ...j,
          day: choices(j).find((d) => (values.get(`x:${j.key}:${d}`) ?? 0) > 0.5) ?? j.best,
        }));
  const load = days.map((d, i) => {
    const own = placed.filter((j) => j.day === i);
    const minutes = base + own.reduce((sum, j) => sum + j.minutes, 0);
    const machineMinutes = own.filter((j) => j.machine).reduce((sum, j) => sum + j.minutes, 0);
    return {
      minutes,
      machineMinutes,
      turns: own.length,
      overMinutes: Math.max(0, minutes - d.crewMinutes),
      overMachineMinutes: Math.max(0, machineMinutes - d.machineMinutes),
    };
  });
  return { jobs: placed, load, solved: values !== null };
}

/** The moments of one heap's turnings in a plan. */
export const turnsIn = (
  plan: Pick<WorkSchedule, 'jobs'>,
  days: readonly WorkDay[],
  batch: BatchId,
): Instant[] =>
  plan.jobs
    .filter((j) => j.batch === batch)
    .map((j) => itemAt(days, j.day).work)
    .sort((a, b) => a - b);

/** So far an outlook is played. */
export const OUTLOOK_MS = hoursToMs(40 * 24);
