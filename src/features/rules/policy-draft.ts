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
    label: 'A full round has at least',
    unit: 'points',
    hint: 'A round with fewer is set aside',
    least: 1,
    whole: true,
  },
  {
    key: 'maxGapHours',
    label: 'Longest credited time between rounds',
    unit: 'h',
    hint: 'Beyond it the run breaks',
    least: 0,
    above: true,
  },
  {
    key: 'turnGraceHours',
    label: 'Grace after a full turning',
    unit: 'h',
    hint: 'A cold round in it pauses the run',
    least: 0,
  },
  {
    key: 'guardBandC',
    label: 'Guard band',
    unit: 'K',
    hint: 'Taken off every value, for the thermometer; 1 K is 1.8 °F',
    least: 0,
  },
  {
    key: 'roundMinutes',
    label: 'Readings that belong together',
    unit: 'min',
    hint: 'For readings without a round of their own',
    least: 0,
  },
  {
    key: 'maxBlankDays',
    label: 'Blank days in a row',
    unit: 'days',
    hint: 'Counting days only',
    least: 0,
    whole: true,
  },
  {
    key: 'calibrationDays',
    label: 'A thermometer’s check is fresh for',
    unit: 'days',
    hint: 'Leave empty to note nothing',
    least: 0,
    above: true,
    empty: true,
  },
];

export const createPolicyDraft = (p: Policy): PolicyDraft => ({
  combine: p.combine,
  counting: p.counting,
  zones: p.zones,
  minPoints: String(p.minPoints),
  maxGapHours: String(p.maxGapHours),
  turnGraceHours: String(p.turnGraceHours),
  guardBandC: String(p.guardBandC),
  roundMinutes: String(p.roundMinutes),
  maxBlankDays: String(p.maxBlankDays),
  calibrationDays: p.calibrationDays === null ? '' : String(p.calibrationDays),
});

const numberOf = (text: string): number => Number(text.trim().replace(',', '.'));

/** What is wrong with a field as it is typed. */
export function problemOf(f: NumberField, d: PolicyDraft): string | undefined {
  const text = d[f.key].trim();
  if (text === '') return f.empty ? undefined : 'Type a number.';
  const n = numberOf(text);
  if (!Number.isFinite(n) || (f.whole && !Number.isInteger(n)))
    return f.whole ? 'Type a whole number.' : 'Type a number.';
  if (n < f.least || (f.above && n === f.least))
    return f.above ? `Must be above ${f.least}.` : `Must be ${f.least} or more.`;
  if (f.key === 'turnGraceHours' && n > numberOf(d.maxGapHours))
    return 'Must not be longer than the longest time between rounds.';
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
    guardBandC: n('guardBandC'),
    roundMinutes: n('roundMinutes'),
    maxBlankDays: n('maxBlankDays'),
    calibrationDays: d.calibrationDays.trim() === '' ? null : n('calibrationDays'),
  };
}
