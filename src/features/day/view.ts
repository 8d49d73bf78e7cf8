import { say } from '@/messages/say';
import type { Task, TaskKind } from '@/core/advice/tasks';
import type { FitsStatus, SiteStatus } from '@/core/status/site-status';
import { type AdviceWords } from '@/telling/status/advice';
import { costText, GROUP_WORDS, TASK_WORDS, taskWords } from '@/telling/status/tasks';
import { saysOfTask } from '@/telling/status/says';
import { DEFER_WORDS } from '@/core/words/acts';
import { localParts } from '@/core/quantity/calendar';
import { dateText, durationText, soonText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { Locale } from '@/core/words/note';

export type TodayTask = {
  readonly key: string;
  readonly kind: TaskKind;
  readonly batch: string | null;
  readonly name: string;
  readonly words: AdviceWords;
  readonly when: string;
  readonly urgent: boolean;
  /** `Mo · 25 min · loader`, and what it lacks. */
  readonly who: string | null;
  readonly minutes: string;
  readonly machine: string | null;
  readonly lacks: string | null;
  readonly cost: string;
  readonly putOff: string | null;
  readonly href: string;
  readonly chore: { readonly id: string; readonly what: string } | null;
  readonly mayWait: boolean;
  /** Fact that it states. */ readonly says: string | undefined;
};
export type TodayView = {
  readonly day: string;
  readonly clock: string;
  /** Names of what cannot wait. */
  readonly urgent: readonly string[];
  /** How many more cannot wait than are named. */
  readonly moreUrgent: number;
  readonly load: string;
  readonly groups: readonly {
    readonly title: string;
    /** Not of today: folded away. */ readonly later: boolean;
    readonly tasks: readonly TodayTask[];
    /** How many more there are than are listed. */ readonly more: number;
  }[];
  readonly crew: readonly string[];
  readonly askCrew: boolean;
  readonly fireCard: boolean;
};

/** Why a task does not fit into the day. */
function lacksText(lacks: 'time' | 'machine' | 'driver', machineName: string | null): string {
  switch (lacks) {
    case 'time':
      return say('day.doesNotFitIntoToday');
    case 'machine':
      return say('day.theMachineHasNoTime', { machine: machineName ?? say('day.theMachine') });
    case 'driver':
      return say('day.noMachineOperatorToday');
  }
}
const hrefOf = ({ kind, batch, name, load, lot }: Task): string =>
  lot !== null
    ? `/lots/${lot.lot}`
    : kind === 'load'
      ? `/store/${load!.id}`
      : kind === 'probe-check'
        ? `/instruments#${encodeURIComponent(name)}`
        : batch === null
          ? '/'
          : kind === 'read'
            ? `/round#${batch}`
            : kind === 'hot'
              ? `/batch/${batch}`
              : `/batch/${batch}#${kind === 'close' ? 'close' : kind}`;

/** Tasks of a group that are listed unless all are asked for: nobody does more in a day. */
const MOST_LISTED = 15;

/** A day with the first tasks of each group, and how many more there are. */
export const shortenDay = (day: TodayView): TodayView => ({
  ...day,
  groups: day.groups.map((g) => ({
    ...g,
    tasks: g.tasks.slice(0, MOST_LISTED),
    more: Math.max(0, g.tasks.length - MOST_LISTED),
  })),
});

/** Heaps named in one sentence. */
const MOST_NAMED = 6;

/** How much work there is today, how much time, and what does not fit. */
function loadText({ code, lacking, ...times }: FitsStatus): string {
  const [minutes, has] = [durationText(times.minutes / 60), durationText(times.has / 60)];
  switch (code) {
    case 'nothing-due':
      return '';
    case 'over':
      return say('day.theWorkingDayOverAbout', { minutes });
    case 'nobody-said':
      return say('day.aboutOfWork', { minutes });
    case 'nobody-works':
      return say('day.aboutWorkNobodyWorksToday', { minutes });
    case 'not-all':
      return say('day.aboutWorkCrewHasLeft', {
        ...{ minutes, has, lacking: lacking.length },
        value: [...new Set(lacking.map((t) => `${t.name}, ${TASK_WORDS[t.kind]}`))]
          .slice(0, 3)
          .join('; '),
      });
    case 'all':
      return say('day.aboutWorkCrewHasLeft2', { minutes, has });
  }
}

/** Today's list. */
export function todayView(
  status: SiteStatus,
  machineName: string | null,
  fireCard: boolean,
  locale: Locale,
): TodayView {
  const { timeZone, now } = locale;
  const { tasks, today, labour, placed, fits } = status;
  const p = localParts(timeZone, now);
  const there = labour === 'over' ? null : labour;
  const show = (t: Task): TodayTask => {
    const words = taskWords(t, locale);
    const place = placed.get(t.key);
    const off = t.order?.defer;
    return {
      key: t.key,
      kind: t.kind,
      batch: t.batch,
      name: t.name,
      words,
      urgent: t.group === 'danger' || t.group === 'losing',
      when:
        t.due <= now
          ? t.overdue && now - t.due > MS.day && t.group !== 'chore'
            ? say('day.since', { due: soonText(timeZone, t.due, now) })
            : say('day.now')
          : say('day.by', { due: soonText(timeZone, t.due, now) }),
      who: place?.who ?? t.who,
      minutes: durationText(t.minutes / 60),
      machine: t.machine ? (machineName ?? say('day.machine2')) : null,
      lacks: place?.lacks ? lacksText(place.lacks, machineName) : null,
      cost: costText(t, locale),
      putOff: off
        ? say('day.notpossibleNotPossibleOtherBy', {
            impossible: off.impossible ? 'notPossible' : 'other',
            by: off.by,
            until:
              off.until > now
                ? say('day.until', { until: soonText(timeZone, off.until, now) })
                : say('day.wasUntil', { until: soonText(timeZone, off.until, now) }),
            toLowerCase: DEFER_WORDS[off.reason].toLowerCase(),
            words: off.words ? `, ${off.words}` : '',
          })
        : null,
      href: hrefOf(t),
      chore: t.chore && { id: t.chore.id, what: t.chore.what },
      mayWait: t.group !== 'danger' && t.batch !== null,
      says: saysOfTask(t),
    };
  };
  const groups = [
    ...(['danger', 'losing', 'owed', 'schedule', 'chore'] as const).map((g) => ({
      title: GROUP_WORDS[g],
      later: false,
      tasks: today.filter((t) => t.group === g),
    })),
    { title: say('day.postponed'), later: false, tasks: tasks.filter((t) => t.deferred) },
    {
      title: say('day.tomorrow'),
      later: true,
      tasks: tasks.filter((t) => !t.deferred && !today.includes(t)),
    },
  ]
    .filter((g) => g.tasks.length > 0)
    .map((g) => ({
      title: g.title,
      later: g.later,
      tasks: g.tasks.map(show),
      more: 0,
    }));
  const urgent = [...new Set(status.urgent.map((t) => t.name))];
  return {
    day: `${p.weekday} ${dateText(p)}`,
    clock: p.clock,
    urgent: urgent.length > MOST_NAMED ? urgent.slice(0, MOST_NAMED - 1) : urgent,
    moreUrgent: urgent.length > MOST_NAMED ? urgent.length - (MOST_NAMED - 1) : 0,
    load: loadText(fits),
    groups,
    crew: there?.people.map((q) => q.name) ?? [],
    askCrew: labour === null,
    fireCard,
  };
}
