import { ageText, countText } from '../quantity/format';

/** What was found of the evidence, as data. */
export type Finding =
  | { readonly code: 'ROUNDS'; readonly count: number; readonly perDay: number }
  | { readonly code: 'PLACES'; readonly count: number }
  | { readonly code: 'DEPTH'; readonly deepestM: number | null; readonly coreM: number | null }
  | { readonly code: 'GAP'; readonly hours: number | null; readonly maxGapHours: number }
  | {
      readonly code: 'INSTRUMENT';
      readonly unchecked: number;
      readonly named: number;
      readonly total: number;
    }
  | { readonly code: 'LATE'; readonly count: number; readonly total: number };

export const GRADE_WORD = { thin: 'Thin', fair: 'Fair', good: 'Good', strong: 'Strong' } as const;

/** What was found, and what would make it better; null when nothing would. */
export function findingText(f: Finding): { readonly is: string; readonly better: string | null } {
  switch (f.code) {
    case 'ROUNDS':
      return {
        is:
          f.perDay === 0
            ? countText(f.count, 'round')
            : `${countText(f.count, 'round')}, ${f.perDay >= 0.95 ? `about ${Math.round(f.perDay)} a day` : `one every ${ageText(24 / f.perDay)}`}`,
        better: f.perDay < 0.95 ? 'A round each day.' : null,
      };
    case 'PLACES':
      return {
        is: `${countText(f.count, 'place')} read`,
        better: f.count < 5 ? 'Five places in each round, the coldest corner among them.' : null,
      };
    case 'DEPTH':
      if (f.coreM === null)
        return {
          is: 'how deep the heap is was not given',
          better:
            'Give the depth of the core, so that it can be seen whether the thermometer reaches it.',
        };
      if (f.deepestM === null)
        return {
          is: `depths of the places were not given, the core lies ${f.coreM} m deep`,
          better: 'Give each place its depth.',
        };
      return {
        is: `read down to ${f.deepestM} m of ${f.coreM} m`,
        better:
          f.deepestM < 0.95 * f.coreM ? 'A longer thermometer, or read from another side.' : null,
      };
    case 'GAP':
      return f.hours === null
        ? {
            is: 'one round only, so there is no time between rounds',
            better: 'A second round within a day.',
          }
        : {
            is: `longest time between rounds ${ageText(f.hours)}`,
            better: f.hours > 30 ? 'Never more than a day or so between rounds.' : null,
          };
    case 'INSTRUMENT': {
      const without = f.total - f.named;
      if (without === f.total)
        return {
          is: 'no reading says which thermometer took it',
          better: 'Name the thermometer in each round, and check it in ice water.',
        };
      const parts = [
        f.unchecked > 0
          ? `${countText(f.unchecked, 'reading')} by a thermometer without a fresh check`
          : '',
        without > 0 ? `${countText(without, 'reading')} without a thermometer’s name` : '',
      ].filter(Boolean);
      return parts.length === 0
        ? { is: 'every reading by a thermometer with a fresh check', better: null }
        : {
            is: parts.join(', '),
            better: 'Check the thermometer in ice water, and name it in each round.',
          };
    }
    case 'LATE':
      return f.count === 0
        ? { is: 'nothing entered later than a day', better: null }
        : {
            is: `${countText(f.count, 'reading')} of ${f.total} entered more than a day later`,
            better: 'Type the values in while you stand there.',
          };
  }
}
