import { say } from '../../messages/say';
import { findAmountUnit, type AmountUnit } from '../units/amount-units';
import { MOST } from '../log/most';
import type { Amount, OwnMeasure, Range } from '../log/store-shapes';
import { asSentence, PROBLEM } from '../words/problem';

/**
 * An amount as it was typed. @param n the number; undefined: nothing typed; null: no number @param unit id of a measure or of a standard unit, or `unknown`
 * @returns null where it is none; nought counts, for what may be left at nothing
 */
export function amountTyped(
  n: number | null | undefined,
  unit: string,
  about: boolean,
  measures: readonly OwnMeasure[],
): Amount | null {
  if (unit === 'unknown') return { in: 'unknown' };
  if (n == null || n < 0) return null;
  const rest = about ? { about: true } : {};
  const standard = findAmountUnit(unit);
  if (standard) return { ...inStandardUnit(n, standard), ...rest };
  const m = measures.find((x) => x.id === unit);
  return m
    ? { in: 'measure', n, measure: m.id, name: m.name, litresEach: m.litres, ...rest }
    : null;
}

/** Litres and kilograms stand as they are; other units bear what was typed. */
function inStandardUnit(n: number, unit: AmountUnit): Amount {
  if ('kg' in unit)
    return unit.id === 'lb'
      ? { in: 'kg', n: n * unit.kg, typed: { n, unit: 'lb' } }
      : { in: 'kg', n };
  return unit.litres === 1
    ? { in: 'litres', n }
    : { in: 'measure', n, measure: unit.id, name: unit.sign, litresEach: unit.litres };
}

/** How a field shows an amount that is known: the figure, and the id of its unit. */
export function amountShown(a: Exclude<Amount, { in: 'unknown' }>): {
  readonly n: number;
  readonly unit: string;
} {
  if (a.in === 'measure') return { n: a.n, unit: a.measure };
  if (a.in === 'litres') return { n: a.n, unit: 'L' };
  return a.typed ?? { n: a.n, unit: 'kg' };
}

/** What is wrong with an amount as it is typed, by the limits that the log keeps to; undefined: nothing, or nothing typed yet. */
export function amountProblem(
  n: number | null | undefined,
  unit: string,
  measures: readonly OwnMeasure[],
): string | undefined {
  if (unit === 'unknown' || n === undefined) return undefined;
  if (n === null || n === 0) return say('mix.typeNumberAbove0Or');
  const amount = amountTyped(n, unit, false, measures);
  const wrong = amount ? tooMuch(amount) : PROBLEM.amount;
  return wrong === null ? undefined : asSentence(wrong);
}

/** What is wrong with an amount that is more than anybody has; null: nothing. */
function tooMuch(amount: Amount): string | null {
  switch (amount.in) {
    case 'measure':
      if (amount.n > MOST.measures) return PROBLEM.amountMany;
      return amount.n * amount.litresEach > MOST.litres ? PROBLEM.litresMost : null;
    case 'litres':
      return amount.n > MOST.litres ? PROBLEM.litresMost : null;
    case 'kg':
      return amount.n > MOST.kg ? PROBLEM.kgMost : null;
    case 'unknown':
      return null;
  }
}

/** Litres and kilograms of an amount; null where it is not known, or where the density that it takes is not. */
export function amountOf(
  amount: Amount,
  density: Range | null,
): { litres: number | null; kg: number | null } {
  const litres =
    amount.in === 'measure'
      ? amount.n * amount.litresEach
      : amount.in === 'litres'
        ? amount.n
        : null;
  if (amount.in === 'unknown') return { litres: null, kg: null };
  if (amount.in === 'kg')
    return { litres: density ? (amount.n / density.usual) * 1000 : null, kg: amount.n };
  return { litres, kg: density ? (litres! * density.usual) / 1000 : null };
}
