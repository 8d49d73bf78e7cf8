import { say } from '../../messages/say';
import { MOST } from '../log/most';
import type { Amount, OwnMeasure } from '../log/store-shapes';
import { asSentence, PROBLEM } from '../words/problem';

/**
 * An amount as it was typed. @param n the number; undefined: nothing typed; null: no number @param unit id of a measure, `L`, `kg` or `unknown`
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
  if (unit === 'L') return { in: 'litres', n, ...rest };
  if (unit === 'kg') return { in: 'kg', n, ...rest };
  const m = measures.find((x) => x.id === unit);
  return m
    ? { in: 'measure', n, measure: m.id, name: m.name, litresEach: m.litres, ...rest }
    : null;
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
