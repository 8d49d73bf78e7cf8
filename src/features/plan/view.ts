import { say } from '@/messages/say';
import {
  forecastTurnings,
  OUTLOOK_MS,
  turnsIn,
  type WorkSchedule,
  type WorkDay,
  type Outlook,
} from '@/core/advice/scheduler';
import type { HeapFacts } from '@/core/advice/situation';
import { statusOfBatch, type BatchStatus } from '@/core/status/batch-status';
import type { FitsStatus } from '@/core/status/site-status';
import { saysOf } from '@/telling/status/says';
import type { HeapCard } from '@/core/advice/tasks';
import { positionShort } from '@/core/words/position';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { dayFrom, localParts, zoneOf, SATURDAY, weekdayOf } from '@/core/quantity/calendar';
import { dayText, durationText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { Locale } from '@/core/words/note';
import { firstOf, itemAt, valueAt } from '@/core/quantity/present';

export type PlanJob = {
  readonly key: string;
  readonly batch: string;
  readonly task: string;
  readonly name: string;
  readonly day: number;
  readonly best: number;
  readonly pinned: boolean;
  readonly minutes: string;
  readonly machine: boolean;
  readonly says: string;
};
/** What a turning does if it is done on another day, by day; null: it cannot be. */
export type DayEffects = readonly ({ readonly text: string; readonly costs: boolean } | null)[];
type PlanRow = {
  readonly batch: string;
  readonly code: string;
  readonly name: string;
  readonly place: string;
  readonly state: BatchSnapshot['state'];
  readonly kind: 'live' | 'building' | 'proven' | 'curing' | 'waiting';
  readonly meanC: number;
  /** Days from the first, with a share of one. */ readonly proofAt: number | null;
  readonly proofText: string;
  readonly lostAt: number | null;
  readonly bayBy: number | null;
  readonly note: string;
  /** Facts that the row states. */ readonly says: string | undefined;
  readonly turns: readonly number[];
};
type PlanDay = {
  readonly figure: string;
  readonly weekday: string;
  readonly long: string;
  readonly weekend: boolean;
  readonly hours: string;
  readonly hoursNumber: number;
  readonly capHours: number;
  readonly turns: number;
  readonly over: string | null;
  readonly noon: number;
};
export type PlanView = {
  readonly title: string;
  readonly summary: string;
  /** Whether the turnings of every day fit into the crew’s hours. */ readonly turningsFit: boolean;
  readonly solvedText: string;
  readonly days: readonly PlanDay[];
  readonly rows: readonly PlanRow[];
  readonly jobs: readonly PlanJob[];
  readonly nowShare: number;
};

const hoursText = (minutes: number): string => (minutes / 60).toFixed(1).replace('.0', '');

/** What a heap's outlook comes to in words, against the one that is planned. */
function effectText(
  o: Outlook,
  planned: Outlook,
  f: HeapFacts,
  timeZone: string,
): { text: string; costs: boolean } {
  if (o.lostAt !== null)
    return {
      text: say('plan.fallsBelowLimitWouldLost', {
        lostAt: dayText(timeZone, o.lostAt),
        lostHours: durationText(o.lostHours),
      }),
      costs: true,
    };
  if (o.proofAt === null)
    return f.proof.status === null || f.proof.status === 'proven'
      ? { text: say('plan.changesNothingForRule'), costs: false }
      : {
          text:
            planned.proofAt === null
              ? say('plan.doesNotMeetRuleWithin')
              : say('plan.doesNotMeetRuleWithin2'),
          costs: planned.proofAt !== null,
        };
  const day = dayText(timeZone, o.proofAt);
  if (planned.proofAt === null)
    return { text: say('plan.couldMeetItsRule', { day }), costs: false };
  // Both are told by their day, so what falls on one day is the same.
  const [then, before] = [
    dayFrom(zoneOf(timeZone), o.proofAt).start,
    dayFrom(zoneOf(timeZone), planned.proofAt).start,
  ];
  return then === before
    ? { text: say('plan.couldMeetRuleAsPlanned', { day }), costs: false }
    : {
        text: say('plan.couldMeetRuleInstead', {
          day,
          proofAt: dayText(timeZone, planned.proofAt),
        }),
        costs: then > before,
      };
}

/** A plan with the moment that it was made at, and whether anybody works there. */
export type PlannedSite = {
  readonly plan: WorkSchedule;
  readonly days: readonly WorkDay[];
  /** Every batch of the site. */ readonly board: readonly BatchSnapshot[];
  readonly cards: readonly HeapCard[];
  /** What becomes of each heap as it is planned. */ readonly outlooks: ReadonlyMap<
    string,
    Outlook
  >;
  readonly hasCrew: boolean;
  readonly now: number;
};

/** After the fourteen days the turnings of a heap are taken to go on as they did. */
function prolonged(f: HeapFacts, turns: readonly number[]): number[] {
  const last = turns.at(-1);
  if (last === undefined) return [...turns];
  const every =
    turns.length > 1 ? (last - firstOf(turns)) / (turns.length - 1) : f.template.everyDays * MS.day;
  const further = Array.from(
    { length: 12 },
    (_, i) => last + Math.max(2 * MS.day, every) * (i + 1),
  );
  return [...turns, ...further];
}

/** What becomes of a heap that is turned then. */
const outlookOf = (f: HeapFacts, turns: readonly number[], now: number): Outlook =>
  forecastTurnings(f, prolonged(f, turns), now, now + OUTLOOK_MS);

/** What becomes of each heap as it is planned, by its id. */
export const outlooksOf = (
  cards: readonly HeapCard[],
  plan: WorkSchedule,
  days: readonly WorkDay[],
  now: number,
): ReadonlyMap<string, Outlook> =>
  new Map(cards.map((c) => [c.id, outlookOf(c.facts, turnsIn(plan, days, c.id), now)]));

/** Days from the first, with a share of one. */
function dayShare(days: readonly WorkDay[], at: number): number {
  const i = Math.max(
    0,
    days.findLastIndex((d) => d.start <= at),
  );
  const next = days[i + 1]?.start ?? itemAt(days, i).start + MS.day;
  return i + (at - itemAt(days, i).start) / (next - itemAt(days, i).start);
}

/** What a turning of the plan does on each of the days; null: the plan has no such turning. */
export function dayEffects(
  { plan, days, cards, outlooks, hasCrew, now }: PlannedSite,
  key: string,
  timeZone: string,
): DayEffects | null {
  const job = plan.jobs.find((j) => j.key === key);
  const facts = cards.find((c) => c.id === job?.batch)?.facts;
  if (!job || !facts) return null;
  const others = plan.jobs.filter((o) => o.batch === job.batch && o !== job);
  const planned = valueAt(outlooks, job.batch);
  const [before, after] = [others.filter((o) => o.n < job.n), others.filter((o) => o.n > job.n)];
  return days.map((d, day) => {
    if (before.some((o) => o.day >= day) || after.some((o) => o.day <= day) || d.work < now)
      return null;
    const turns = [...others.map((o) => itemAt(days, o.day).work), d.work].sort((a, b) => a - b);
    const effect = effectText(outlookOf(facts, turns, now), planned, facts, timeZone);
    const near = others.some((o) => Math.abs(o.day - day) < job.apart);
    const moved = day === job.day ? 0 : job.minutes;
    const free = d.crewMinutes - itemAt(plan.load, day).minutes - moved;
    const over =
      hasCrew && moved > 0 && free < 0
        ? say('plan.moreThanCrewHas', { free: durationText(-free / 60) })
        : '';
    return {
      text: `${effect.text}${near ? say('plan.tooCloseOtherTurningBoth') : ''}${over}`,
      costs: effect.costs || near,
    };
  });
}

/** What stands on a row instead of turnings. */
function noteOf(
  { stage, danger }: BatchStatus,
  kind: PlanRow['kind'],
  lostAt: number | null,
  timeZone: string,
): string {
  if (danger.level === 'fire') return say('status.standBack');
  if (danger.level === 'high') return say('status.tooHot');
  if (kind === 'curing')
    return stage.code === 'ready' ? say('plan.markedReady') : say('plan.curing');
  if (kind === 'proven') return say('plan.ruleMetLetCoolMove');
  if (kind === 'building') return say('plan.beingBuilt');
  if (stage.held) return say('plan.onHold');
  if (stage.code === 'dormant') return say('plan.frozen');
  return lostAt === null
    ? ''
    : say('plan.coolsBelowItsLimit', { lostAt: dayText(timeZone, lostAt) });
}

/** The fourteen days as they are drawn and read. */
export function planView(site: PlannedSite, locale: Locale): PlanView {
  const { plan, days, board, outlooks, hasCrew, now } = site;
  const { timeZone } = locale;
  const first = firstOf(days).start;
  const share = (at: number): number => dayShare(days, at);
  const jobs = plan.jobs.map((j): PlanJob => ({
    key: j.key,
    batch: j.batch,
    task: itemAt(j.key.split(':'), 1),
    name: j.name,
    day: j.day,
    best: j.best,
    pinned: j.pinned !== null,
    minutes: durationText(j.minutes / 60),
    machine: j.machine,
    says: say('plan.turnOwedtoNeededForRule', {
      name: j.name,
      work: dayText(timeZone, itemAt(days, j.day).work),
      minutes: durationText(j.minutes / 60),
      owed: j.owed ? 'owedTo' : 'other',
      pinned: j.pinned !== null ? 'setBy' : 'other',
    }),
  }));
  const rows = board
    .map((d) => ({ d, status: statusOfBatch(d, now) }))
    .filter(({ status }) => !status.isGone)
    .map(({ d, status }): PlanRow => {
      const o = outlooks.get(d.id);
      const { stage, isLive } = status;
      const { proof } = d.situation;
      const kind =
        stage.code === 'building'
          ? 'building'
          : stage.code === 'curing' || stage.code === 'ready'
            ? 'curing'
            : proof.status === 'proven'
              ? 'proven'
              : proof.status === 'running' || proof.status === 'recovering'
                ? 'live'
                : 'waiting';
      const by = d.situation.bayNeededBy;
      const proofAt = kind === 'live' || kind === 'waiting' ? (o?.proofAt ?? null) : null;
      return {
        batch: d.id,
        code: d.code,
        name: d.name ?? d.code,
        place: positionShort(d.position),
        state: d.state,
        kind,
        meanC: d.latest?.valueC ?? 20,
        turns: isLive ? turnsIn(plan, days, d.id).map(share) : [],
        proofAt: proofAt === null ? null : share(proofAt),
        proofText:
          proofAt === null
            ? ''
            : say('plan.couldMeetRuleAsPlanned2', { proofAt: dayText(timeZone, proofAt) }),
        lostAt: o?.lostAt == null ? null : share(o.lostAt),
        says: saysOf(status, 'main', 'danger'),
        bayBy: by === null || by < first ? null : share(by),
        note: noteOf(status, kind, o?.lostAt ?? null, timeZone),
      };
    });
  const shown = days.map((d, i): PlanDay => {
    const p = localParts(timeZone, d.work);
    const l = itemAt(plan.load, i);
    const over = !hasCrew
      ? null
      : l.overMinutes > 0
        ? `+${durationText(l.overMinutes / 60)}`
        : l.overMachineMinutes > 0
          ? say('plan.machine', { overMachineMinutes: durationText(l.overMachineMinutes / 60) })
          : null;
    return {
      figure: String(p.day),
      weekday: p.weekday,
      long: dayText(timeZone, d.work),
      weekend: weekdayOf(timeZone, d.work).weekday >= SATURDAY,
      hours: hoursText(l.minutes),
      hoursNumber: l.minutes / 60,
      capHours: d.crewMinutes / 60,
      turns: l.turns,
      over,
      noon: d.work,
    };
  });
  const heavy = shown.filter((d) => d.over !== null);
  const lost = rows.filter((r) => r.lostAt !== null && r.lostAt < days.length);
  const summary = [
    hasCrew && heavy.length > 0
      ? say('plan.moreWorkThanCrewCan', {
          heavy: heavy
            .slice(0, 4)
            .map((d) => say('plan.by', { long: d.long, replace: d.over!.replace('+', '') }))
            .join(', '),
        })
      : '',
    lost.length > 0 ? say('plan.atRisk', { lost: lost.map((r) => r.name).join(', ') }) : '',
  ]
    .filter(Boolean)
    .join(' ');
  return {
    title: say('plan.fourteenDaysFrom', { work: dayText(timeZone, firstOf(days).work) }),
    summary,
    turningsFit: hasCrew && heavy.length === 0,
    days: shown,
    rows,
    jobs,
    nowShare: share(now),
    solvedText: plan.solved
      ? say('plan.turningsSpreadOverDaysSo')
      : say('plan.thereWereTooManyTurnings'),
  };
}

/** Whether every day fits: what is due today is counted as the home page counts it. */
export function planFitsText(
  { turningsFit }: Pick<PlanView, 'turningsFit'>,
  { code, lacking }: FitsStatus,
): string {
  if (code === 'not-all') return say('plan.todayDoesNotFit', { tasks: lacking.length });
  return turningsFit ? say('plan.everyDayFits') : '';
}
