import { currentUnits, say } from '@/messages/say';
import type { Policy } from '@/core/evidence/types';

/** A policy while it is typed: numbers stay as typed until they are whole. */
export type PolicyDraft = {
  combine: Policy['combine'];
  counting: Policy['counting'];
  zones: readonly string[];
} & Record<NumberKey, string>;
type NumberKey =
  | 'minPoints'
  | 'maxGapHours'
  | 'turnGraceHours'
  | 'guardBandC'
  | 'roundMinutes'
  | 'maxBlankDays'
  | 'calibrationDays';

/** A figure of the policy, with what it may be. */
type NumberField = {
  key: NumberKey;
  label: string;
  unit: string;
  hint: string;
  least: number;
  above?: boolean;
  whole?: boolean;
  empty?: boolean;
};
export const POLICY_NUMBERS: readonly NumberField[] = [
  {
    key: 'minPoints',
    get label() {
      return say('rules.aFullCheckHasAt');
    },
    get unit() {
      return say('units.pointsUnit');
    },
    get hint() {
      return say('rules.aCheckWithFewerPoints');
    },
    least: 1,
    whole: true,
  },
  {
    key: 'maxGapHours',
    get label() {
      return say('rules.longestTimeBetweenChecks');
    },
    unit: 'h',
    get hint() {
      return say('rules.afterTimeNoLongerCounts');
    },
    least: 0,
    above: true,
  },
  {
    key: 'turnGraceHours',
    get label() {
      return say('rules.timeReheatAfterFullTurn');
    },
    unit: 'h',
    get hint() {
      return say('rules.aColdCheckWithinPauses');
    },
    least: 0,
  },
  {
    key: 'guardBandC',
    get label() {
      return say('rules.safetyMargin');
    },
    get unit() {
      return `°${currentUnits().temp}`;
    },
    get hint() {
      return say('rules.subtractedFromEveryValueFor');
    },
    least: 0,
  },
  {
    key: 'roundMinutes',
    get label() {
      return say('rules.readingsBelongOneCheck');
    },
    unit: 'min',
    get hint() {
      return say('rules.forReadingsEnteredOneBy');
    },
    least: 0,
  },
  {
    key: 'maxBlankDays',
    get label() {
      return say('rules.daysInRowWithoutReadings');
    },
    get unit() {
      return say('units.daysUnit');
    },
    get hint() {
      return say('rules.onlyWhenDaysCounted');
    },
    least: 0,
    whole: true,
  },
  {
    key: 'calibrationDays',
    get label() {
      return say('rules.aThermometerCheckValidFor');
    },
    get unit() {
      return say('units.daysUnit');
    },
    get hint() {
      return say('rules.leaveEmptyForNoNotes');
    },
    least: 0,
    above: true,
    empty: true,
  },
];

/** Degrees of the moment in one kelvin. */
const degreesPerKelvin = (): number => (currentUnits().temp === 'F' ? 1.8 : 1);

export const createPolicyDraft = (p: Policy): PolicyDraft => ({
  combine: p.combine,
  counting: p.counting,
  zones: p.zones,
  minPoints: String(p.minPoints),
  maxGapHours: String(p.maxGapHours),
  turnGraceHours: String(p.turnGraceHours),
  guardBandC: String(Number((p.guardBandC * degreesPerKelvin()).toFixed(4))),
  roundMinutes: String(p.roundMinutes),
  maxBlankDays: String(p.maxBlankDays),
  calibrationDays: p.calibrationDays === null ? '' : String(p.calibrationDays),
});

const numberOf = (text: string): number => Number(text.trim().replace(',', '.'));

/** What is wrong with a field as it is typed. */
export function problemOf(f: NumberField, d: PolicyDraft): string | undefined {
  const text = d[f.key].trim();
  if (text === '') return f.empty ? undefined : say('rules.typeANumber');
  const n = numberOf(text);
  if (!Number.isFinite(n) || (f.whole && !Number.isInteger(n)))
    return f.whole ? say('rules.typeAWholeNumber') : say('rules.typeANumber');
  if (n < f.least || (f.above && n === f.least))
    return f.above
      ? say('rules.mustBeAbove', { least: f.least })
      : say('rules.mustBeOrMore', { least: f.least });
  if (f.key === 'turnGraceHours' && n > numberOf(d.maxGapHours))
    return say('rules.mustNotLongerThanLongest');
  return undefined;
}

/** The policy that a draft stands for; null while something in it is wrong. */
export function policyOf(d: PolicyDraft): Policy | null {
  if (POLICY_NUMBERS.some((f) => problemOf(f, d) !== undefined)) return null;
  const n = (key: NumberKey): number => numberOf(d[key]);
  return {
    combine: d.combine,
    counting: d.counting,
    zones: d.zones as Policy['zones'],
    minPoints: n('minPoints'),
    maxGapHours: n('maxGapHours'),
    turnGraceHours: n('turnGraceHours'),
    guardBandC: n('guardBandC') / degreesPerKelvin(),
    roundMinutes: n('roundMinutes'),
    maxBlankDays: n('maxBlankDays'),
    calibrationDays: d.calibrationDays.trim() === '' ? null : n('calibrationDays'),
  };
}
