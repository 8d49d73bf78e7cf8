import { say } from '../../messages/say';
import { ageText } from '../quantity/format';

/** What was found of the evidence, as data. */
export type Finding =
  | { readonly code: 'ROUNDS'; readonly count: number; readonly perDay: number }
  | { readonly code: 'PLACES'; readonly count: number }
  | { readonly code: 'DEPTH'; readonly deepestM: number | null; readonly coreM: number | null }
  | { readonly code: 'GAP'; readonly hours: number | null; readonly maxGapHours: number }
  | {
      readonly code: 'INSTRUMENT';
      readonly unchecked: number;
      /** With a thermometer that its next check found off. */ readonly inDoubt: number;
      readonly named: number;
      readonly total: number;
    }
  | { readonly code: 'LATE'; readonly count: number; readonly total: number };

export const GRADE_WORD = {
  get thin() {
    return say('terms.weak');
  },
  get fair() {
    return say('terms.fair');
  },
  get good() {
    return say('terms.good');
  },
  get strong() {
    return say('terms.strong');
  },
} as const;

/** What was found, and what would make it better; null when nothing would. */
export function findingText(f: Finding): { readonly is: string; readonly better: string | null } {
  switch (f.code) {
    case 'ROUNDS':
      return {
        is:
          f.perDay === 0
            ? say('terms.temperatureCheckTemperatureChecks', { count: f.count })
            : f.perDay >= 0.95
              ? say('terms.temperatureCheckTemperatureChecks2', {
                  count: f.count,
                  perDay: Math.round(f.perDay),
                })
              : say('terms.temperatureCheckTemperatureChecks3', {
                  count: f.count,
                  perDay: ageText(24 / f.perDay),
                }),
        better: f.perDay < 0.95 ? say('terms.takeTemperaturesEveryDay') : null,
      };
    case 'PLACES':
      return {
        is: say('terms.pointPointsRead', { count: f.count }),
        better: f.count < 5 ? say('terms.fivePointsAtEachCheck') : null,
      };
    case 'DEPTH':
      if (f.coreM === null)
        return {
          is: say('terms.theDepthCoreWasNot'),
          better: say('terms.giveDepthCoreShowWhether'),
        };
      if (f.deepestM === null)
        return {
          is: say('terms.depthsPointsWereNotGiven', { coreM: f.coreM }),
          better: say('terms.giveEachPointDepth'),
        };
      return {
        is: say('terms.readDownMM', { deepestM: f.deepestM, coreM: f.coreM }),
        better: f.deepestM < 0.95 * f.coreM ? say('terms.useLongerThermometerOrRead') : null,
      };
    case 'GAP':
      return f.hours === null
        ? {
            is: say('terms.onlyOneCheckSoThere'),
            better: say('terms.aSecondCheckWithinDay'),
          }
        : {
            is: say('terms.longestTimeBetweenChecks', { hours: ageText(f.hours) }),
            better: f.hours > 30 ? say('terms.neverMoreThanDayOr') : null,
          };
    case 'INSTRUMENT': {
      const without = f.total - f.named;
      if (without === f.total)
        return {
          is: say('terms.noReadingNamesThermometer'),
          better: say('terms.nameThermometerAtEachCheck'),
        };
      if (f.inDoubt > 0)
        return {
          is: say('terms.readingsInDoubt', { inDoubt: f.inDoubt, total: f.total }),
          better: say('terms.clearUpThermometer'),
        };
      const parts = [
        f.unchecked > 0
          ? say('terms.readingReadingsWithThermometerNot', { unchecked: f.unchecked })
          : '',
        without > 0 ? say('terms.readingReadingsWithNoThermometer', { without }) : '',
      ].filter(Boolean);
      return parts.length === 0
        ? { is: say('terms.everyReadingWithThermometerChecked'), better: null }
        : {
            is: parts.join(', '),
            better: say('terms.checkThermometerInIceWater'),
          };
    }
    case 'LATE':
      return f.count === 0
        ? { is: say('terms.nothingEnteredMoreThanDay'), better: null }
        : {
            is: say('terms.readingReadingsEnteredMoreThan', {
              count: f.count,
              total: f.total,
            }),
            better: say('terms.typeValuesInWhileYou'),
          };
  }
}
