import { taskText } from '@/core/words/acts';
import type { Act } from '@/core/advice/acts';
import type { Group } from '@/core/advice/groups';
import type { Task, TaskKind } from '@/core/advice/tasks';
import { dueText } from '@/core/lots/texts';
import { durationText, soonText, tempText, upperFirst } from '@/core/quantity/format';
import { CAUTION } from '@/core/words/caution';
import type { Locale } from '@/core/words/note';
import { say } from '@/messages/say';
import { adviceWords } from './advice';
import type { AdviceWords } from './advice';
import { reasonText } from './turn';

export const CHORE_WORDS = {
  get leachate() {
    return say('advice.emptyTheLeachate');
  },
  get covers() {
    return say('advice.checkTheCovers');
  },
  get vents() {
    return say('advice.checkTheVents');
  },
  get tools() {
    return say('advice.cleanTheTools');
  },
  get other() {
    return say('advice.regularTask');
  },
} as const;

export const GROUP_WORDS: Readonly<Record<Group, string>> = {
  get danger() {
    return say('advice.danger');
  },
  get losing() {
    return say('advice.urgent');
  },
  get owed() {
    return say('advice.neededForARule');
  },
  get schedule() {
    return say('advice.today');
  },
  get chore() {
    return say('advice.regularTasks');
  },
};

export const TASK_WORDS: Readonly<Record<TaskKind, string>> = {
  get hot() {
    return taskText('hot');
  },
  get read() {
    return taskText('read');
  },
  get turn() {
    return taskText('turn');
  },
  get water() {
    return taskText('water');
  },
  get mend() {
    return taskText('mend');
  },
  get close() {
    return taskText('close');
  },
  get chore() {
    return say('advice.regularTask2');
  },
  get 'probe-check'() {
    return say('advice.thermometerCheck');
  },
  get load() {
    return say('advice.aLoadInStock');
  },
  get lot() {
    return say('advice.aLot');
  },
};

function loadWords(l: NonNullable<Task['load']>, due: number, { unit }: Locale): AdviceWords {
  const place = l.where ? `, ${l.where}` : '';
  switch (l.what) {
    case 'ripe':
      return {
        mark: 'add',
        act: say('advice.isReadyToUse', { name: l.name }),
        why: say('advice.itCanUsedFromNow', { place }),
        due,
        urgent: false,
      };
    case 'ask':
      return {
        mark: 'note',
        act: say('advice.askAbout', { name: l.name }),
        why: l.asked
          ? say('advice.doNotUseUntilAnswered', { asked: l.asked })
          : say('advice.doNotUseUntilAnswered2'),
        due,
        urgent: false,
      };
    case 'stack':
      return {
        mark: 'probe',
        act:
          l.level === 'danger' || l.level === 'act'
            ? say('advice.isTooHotInStack', { name: l.name })
            : say('advice.takeTemperatureStack', { name: l.name }),
        due,
        urgent: l.level === 'danger' || l.level === 'act',
        why:
          l.c === null
            ? say('advice.freshStacksHeatUpBy', { place })
            : say('advice.atLastReadingKeeppeopleKeep', {
                c: tempText(l.c, unit),
                place,
                level: l.level === 'danger' ? 'keepPeople' : l.level === 'act' ? 'takeIt' : 'other',
              }),
        ...(l.level === 'danger' || l.level === 'act'
          ? {
              caution: say('advice.openingHotStackLetsAir'),
            }
          : {}),
      };
  }
}

/** A task in words: what to do, with which heap or thing. */
export function taskWords(t: Task, locale: Locale): AdviceWords {
  if (t.advice) return adviceWords(t.advice, locale);
  const { timeZone, now } = locale;
  if (t.chore)
    return {
      mark: 'check',
      act: t.chore.words ?? CHORE_WORDS[t.chore.what as keyof typeof CHORE_WORDS],
      why:
        t.chore.doneAt === null
          ? say('advice.everyOneDaysNotDone', { everyDays: t.chore.everyDays })
          : say('advice.everyOneDaysLastDone', {
              everyDays: t.chore.everyDays,
              doneAt: soonText(timeZone, t.chore.doneAt, now),
            }),
      ...(t.chore.what === 'leachate' ? { caution: CAUTION.raw } : {}),
      due: t.due,
      urgent: false,
    };
  if (t.load) return loadWords(t.load, t.due, locale);
  if (t.lot)
    return {
      mark: t.lot.code === 'look' ? 'note' : 'check',
      act: say('advice.seeToLot', {
        name: t.lot.name,
        place: t.lot.where ? `, ${t.lot.where}` : '',
      }),
      why: dueText(t.lot),
      due: t.due,
      urgent: t.lot.code === 'read-reheat',
    };
  return {
    mark: 'probe',
    act: say('advice.checkThermometer', { name: t.name }),
    why: say('advice.inIceWaterAtHot'),
    due: t.due,
    urgent: false,
  };
}

/** What leaving a task costs; empty: nothing that can be told. */
export function costText(t: Task, { timeZone, now, unit }: Locale): string {
  if (t.group === 'danger') return say('advice.aPileTooHotCannot');
  if (
    t.advice?.code === 'TURN' &&
    t.advice.waiting &&
    t.advice.waiting.code !== t.advice.reasons[0]?.code
  )
    return reasonText(t.advice.waiting, { timeZone, now, unit });
  if (t.atStakeHours > 0 && t.latest !== null)
    return say('advice.afterCountedTimeLost', {
      latest: soonText(timeZone, t.latest, now),
      atStakeHours: durationText(t.atStakeHours),
    });
  if (t.advice?.code === 'TURN' && t.advice.owed > 0)
    return say('advice.itMeetsRuleLaterTurning', { owed: t.advice.owed });
  if (t.advice?.code === 'KEEP_READING') return say('advice.itsTimeCountsOnlyWith');
  return '';
}

/** An act with its moment, in a line: what stands beside the one that comes next. */
export const actText = (
  { kind, by }: Pick<Act, 'kind' | 'by'>,
  { timeZone, now }: Locale,
): string =>
  by <= now
    ? say('status.actNow', { act: upperFirst(TASK_WORDS[kind]) })
    : say('status.actBy', { act: upperFirst(TASK_WORDS[kind]), by: soonText(timeZone, by, now) });
