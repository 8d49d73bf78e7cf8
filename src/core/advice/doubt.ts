import { toCelsius, type TempUnit } from '../units/units';

/**
 * What is odd about a value as it is typed at the heap. It is asked, never mended silently: a slip of the unit and a heap
 * on fire can look alike. Temperatures °C unless said otherwise.
 */

/** Change since the last reading at a place beyond which it is asked about, K. */
const JUMP_K = 25;
/** Above this: the wrong unit, a faulty instrument, or an emergency. */
export const EMERGENCY_C = 90;
/** So many equal values in one round are more likely a stuck needle. */
const SAME_TIMES = 5;
/** How near the last value the other unit must come to be offered, K. */
const NEAR_LAST_K = 12;
/** A heap is not colder than the air but for the thermometer's own error, K. */
const AIR_SLACK_K = 1;
/** Nothing that lives in a heap reads below this. */
const COLDEST_C = -25;

export type DoubtCode =
  'OVER_90' | 'BELOW_SCALE' | 'JUMP' | 'BELOW_AIR' | 'SAME_VALUE' | 'OFF_SCALE' | 'OUT_OF_SERVICE';
/** As the thermometer said; in the other unit; the point was missed; the instrument is faulty; it may be a fire. */
export type DoubtAnswer = 'as-read' | 'other-unit' | 'missed-point' | 'faulty' | 'emergency';
export type Doubt = {
  readonly code: DoubtCode;
  readonly valueC: number;
  /** What it is held against: the last value, the air, the end of the scale, the limit. */
  readonly againstC: number | null;
  /** What may be answered, the likeliest first. Typing it again is always open. */
  readonly answers: readonly DoubtAnswer[];
};

export type DoubtContext = {
  readonly unit: TempUnit;
  readonly lastC: number | null;
  readonly airC: number | null;
  readonly instrument: {
    readonly minC?: number | undefined;
    readonly maxC?: number | undefined;
    readonly out?: string | undefined;
  } | null;
  /** Values kept so far in this round at other places, as typed. */
  readonly others: readonly number[];
};

const plausible = (c: number, lastC: number | null): boolean =>
  lastC === null ? c >= 0 && c <= EMERGENCY_C : Math.abs(c - lastC) <= NEAR_LAST_K;
const otherUnit = (unit: TempUnit): TempUnit => (unit === 'C' ? 'F' : 'C');

/** The doubts about a typed value, the gravest first. */
export function doubtsOf(
  value: number,
  { unit, lastC, airC, instrument, others }: DoubtContext,
): Doubt[] {
  const c = toCelsius(value, unit);
  const doubts: Doubt[] = [];
  const slips: DoubtAnswer[] = [
    ...(plausible(toCelsius(value, otherUnit(unit)), lastC) ? (['other-unit'] as const) : []),
    ...(Math.abs(value) >= 100 && plausible(toCelsius(value / 10, unit), lastC)
      ? (['missed-point'] as const)
      : []),
  ];
  if (c > EMERGENCY_C)
    doubts.push({
      code: 'OVER_90',
      valueC: c,
      againstC: EMERGENCY_C,
      answers: [...slips, 'faulty', 'emergency'],
    });
  else if (c < COLDEST_C)
    doubts.push({
      code: 'BELOW_SCALE',
      valueC: c,
      againstC: COLDEST_C,
      answers: [...slips, 'faulty'],
    });
  else {
    if (lastC !== null && Math.abs(c - lastC) > JUMP_K)
      doubts.push({
        code: 'JUMP',
        valueC: c,
        againstC: lastC,
        answers: [...slips, 'as-read', 'faulty'],
      });
    if (airC !== null && c < airC - AIR_SLACK_K)
      doubts.push({
        code: 'BELOW_AIR',
        valueC: c,
        againstC: airC,
        answers: [...slips, 'as-read', 'faulty'],
      });
    const limit =
      instrument?.maxC !== undefined && c > instrument.maxC
        ? instrument.maxC
        : instrument?.minC !== undefined && c < instrument.minC
          ? instrument.minC
          : null;
    if (limit !== null)
      doubts.push({
        code: 'OFF_SCALE',
        valueC: c,
        againstC: limit,
        answers: [...slips, 'as-read', 'faulty'],
      });
    if (others.filter((o) => o === value).length >= SAME_TIMES - 1)
      doubts.push({
        code: 'SAME_VALUE',
        valueC: c,
        againstC: null,
        answers: ['as-read', 'faulty'],
      });
  }
  if (instrument?.out !== undefined)
    doubts.push({
      code: 'OUT_OF_SERVICE',
      valueC: c,
      againstC: null,
      answers: ['as-read', 'faulty'],
    });
  return doubts;
}

/** A typed value after an answer: number and unit to keep, and whether it may count. What was typed is kept beside it. */
export function answered(
  value: number,
  unit: TempUnit,
  answer: DoubtAnswer,
): { value: number; unit: TempUnit; counts: boolean } {
  if (answer === 'other-unit') return { value, unit: otherUnit(unit), counts: true };
  if (answer === 'missed-point') return { value: value / 10, unit, counts: true };
  return { value, unit, counts: answer !== 'faulty' };
}
