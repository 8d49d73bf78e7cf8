import type { HotAdvice, HotChoice } from '@/core/advice/hot';
import { ageText, soonText, tempBeside, tempText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import { CAUTION } from '@/core/words/caution';
import type { Locale } from '@/core/words/note';
import { say } from '@/messages/say';
import { gradientText } from './parts';

const CHOICE_WORDS: Readonly<Record<HotChoice, string>> = {
  get turn() {
    return say('advice.takeTemperaturesThenTurn');
  },
  get split() {
    return say('advice.splitIntoTwoSmallerPiles');
  },
  get wet() {
    return say('advice.waterSlowlyFromTop');
  },
  get 'cap-off'() {
    return say('advice.takeCapOrCoverOff');
  },
  get 'look-again'() {
    return say('advice.takeItsTemperatureAgain');
  },
  get 'keep-back'() {
    return say('advice.keepPeopleBackUpwind');
  },
  get 'do-not-open'() {
    return say('advice.doNotOpenAirFeeds');
  },
  get call() {
    return say('advice.callFireServiceAtAny');
  },
};

const CHOICE_CAUTION: Partial<Record<HotChoice, string>> = {
  get turn() {
    return CAUTION.steam;
  },
  get split() {
    return CAUTION.split;
  },
  get wet() {
    return say('advice.steamComesUpWhereWater');
  },
  get 'cap-off'() {
    return CAUTION.steam;
  },
};

export type HotWords = {
  readonly heading: string;
  readonly why: string;
  readonly choices: readonly {
    readonly choice: HotChoice;
    readonly act: string;
    readonly caution: string | null;
  }[];
  readonly follow: string;
  readonly urgent: boolean;
  readonly escalate: string | null;
};

/** Why a heap is watched that is not too hot yet. @param read how hot it was, and when */
const warnText = (
  { rising, limitC }: HotAdvice,
  read: string,
  { timeZone, now, unit }: Locale,
): string =>
  rising
    ? say('advice.risingToTheLimit', {
        read,
        perDay: gradientText(rising.perDay, unit),
        actC: tempText(rising.actC, unit),
        at: soonText(timeZone, rising.reachesAt, now),
      })
    : say('advice.fromHeatBeginsHarmComposting', { read, limitC: tempText(limitC, unit) });

/** Heading, reason and choices for a heap that is too hot. */
export function hotWords(h: HotAdvice, { timeZone, now, unit }: Locale): HotWords {
  const read =
    h.coreC === null
      ? say('advice.noTemperatureYet')
      : say('advice.insideAgo', {
          coreC: tempBeside(h.coreC, h.dangerC, unit),
          age: ageText((now - h.at) / MS.hour),
        });
  const answered =
    h.answeredAt === null
      ? ''
      : say('advice.itWasTurnedWateredOr', {
          answeredAt: soonText(timeZone, h.answeredAt, now),
        });
  const by = soonText(timeZone, h.followUpAt, now);
  return {
    heading:
      h.level === 'danger'
        ? say('advice.standBackCheckNow')
        : h.level === 'act'
          ? h.answeredAt !== null || h.old
            ? say('advice.takeItsTemperatureAgain')
            : say('advice.coolItDown')
          : say('advice.watchItsTemperature'),
    why:
      h.burnt && h.level === 'danger'
        ? say('advice.andSomebodySmelledBurningOr', { read })
        : h.level === 'warn'
          ? warnText(h, read, { timeZone, now, unit })
          : answered
            ? `${read}.${answered}`
            : h.level === 'danger'
              ? say('advice.atMoreCanKeepHeating', { read, limitC: tempText(h.limitC, unit) })
              : say('advice.aboveHeatKillsLifeMakes', {
                  read,
                  limitC: tempText(h.limitC, unit),
                }),
    choices: h.choices
      .filter((c) => c !== 'look-again')
      .map((choice) => ({
        choice,
        act: CHOICE_WORDS[choice],
        caution: CHOICE_CAUTION[choice] ?? null,
      })),
    follow: h.overdue
      ? say('advice.itShouldHaveBeenRead', { by })
      : say('advice.readItAgainBy', { by }),
    urgent: h.level !== 'warn',
    escalate:
      h.escalate && h.overSince !== null
        ? say('advice.tooHotAtEveryCheck', {
            overSince: soonText(timeZone, h.overSince, now),
          })
        : null,
  };
}
