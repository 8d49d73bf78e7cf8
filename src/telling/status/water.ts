import type { PercentRange, WaterAdvice, WaterHint } from '@/core/advice/water';
import { soonText, tempText } from '@/core/quantity/format';
import type { Locale } from '@/core/words/note';
import { say } from '@/messages/say';
import { gradientText } from './parts';

const round5 = (x: number): number =>
  x < 20 ? Math.round(x) : x < 200 ? Math.round(x / 5) * 5 : Math.round(x / 10) * 10;

const span = ({ low, high }: PercentRange, one: string, many = one): string => {
  const [a, b] = [round5(low), round5(high)];
  return a === b ? `${b} ${b === 1 ? one : many}` : `${a}–${b} ${many}`;
};

const HINT_WORDS: Readonly<Record<WaterHint, string>> = {
  get FROST() {
    return say('advice.itFreezingOutsideWaterOnly');
  },
  get HEAT() {
    return say('advice.hotDayWaterEarlyOr');
  },
  get SHEDS() {
    return say('advice.dryStrawShedsWaterAt');
  },
  get TWO_GOES() {
    return say('advice.moreAtOnceWouldRun');
  },
};

const pctText = ({ low, high }: PercentRange): string =>
  say('advice.moisture', { low: Math.round(low), high: Math.round(high) });

export type WaterWords = {
  /** Water is to go in now. */ readonly now: boolean;
  /** It is too wet already. */ readonly tooWet?: boolean;
  readonly heading: string;
  readonly text: string;
  readonly stop: string | null;
  readonly heat: string | null;
  readonly hints: readonly string[];
};

/** Heading and reasons of a water advice. Litres of loose water. */
export function waterWords(w: WaterAdvice, { timeZone, now, unit }: Locale): WaterWords {
  const felt =
    'at' in w
      ? say('advice.bySqueezeTestAbout', {
          at: soonText(timeZone, w.at, now),
          pct: pctText(w.pct),
        })
      : '';
  switch (w.code) {
    case 'NOT_FELT':
      return {
        now: false,
        heading: say('advice.doSqueezeTestFirst'),
        text: say('advice.noSqueezeTestYetSo'),
        stop: null,
        heat: null,
        hints: [],
      };
    case 'FELT_LONG_AGO':
      return {
        now: false,
        heading: say('advice.doAnotherSqueezeTest'),
        text: say('advice.theLastSqueezeTestWas', { felt: soonText(timeZone, w.felt, now) }),
        stop: null,
        heat: null,
        hints: [],
      };
    case 'MOIST_ENOUGH':
      return {
        now: false,
        heading: say('advice.noWaterNow'),
        text: say('advice.thatIsRight', { felt }),
        stop: null,
        heat: null,
        hints: [],
      };
    case 'TOO_WET':
      return {
        now: false,
        tooWet: true,
        heading: say('advice.noWaterTooWet'),
        text: w.looseL
          ? say('advice.itHasAboutTooMuch', { felt, looseL: span(w.looseL, 'L') })
          : say('advice.turnWithDryCoarseBrowns', { felt }),
        stop: null,
        heat: null,
        hints: [],
      };
    case 'NO_SIZE':
      return {
        now: true,
        heading: say('advice.waterUntilSqueezeGivesDrop'),
        text: say('advice.howMuchNeedsCannotWorked', { felt }),
        stop: say('advice.stopWhenWaterSeepsOut'),
        heat: null,
        hints: [],
      };
    case 'WATER':
      return {
        now: true,
        heading: say('advice.waterAboutLNow', { litres: round5(w.now.litres) }),
        text: say('advice.theGoalInAllL', {
          felt,
          targetPct: w.targetPct,
          litres: span(w.litres, 'L'),
          litres2: round5(w.now.litres),
          minutes: Math.max(1, round5(w.now.minutes)),
          buckets: Math.max(1, round5(w.now.buckets)),
        }),
        stop: say('advice.stopWhenWaterSeepsOut2'),
        heat:
          w.coolsK === null
            ? null
            : say('advice.thatMuchWaterAtLowers', {
                waterC: tempText(w.waterC, unit),
                coolsK: gradientText(w.coolsK, unit),
              }),
        hints: w.hints.map((h) => HINT_WORDS[h]),
      };
  }
}
