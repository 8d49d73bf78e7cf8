import type { Amount, OwnMeasure } from '../log/store-shapes';

/**
 * An amount as it was typed. @param n the number; undefined: nothing typed; null: no number @param unit id of a measure, `L`, `kg` or `unknown`
 * @returns null where it is none; nought counts, for what may be left at nothing
 */
export function amountTyped(n: number | null | undefined, unit: string, about: boolean, measures: readonly OwnMeasure[]): Amount | null {
  if (unit === 'unknown') return { in: 'unknown' };
  if (n == null || n < 0) return null;
  const rest = about ? { about: true } : {};
  if (unit === 'L') return { in: 'litres', n, ...rest };
  if (unit === 'kg') return { in: 'kg', n, ...rest };
  const m = measures.find((x) => x.id === unit);
  return m ? { in: 'measure', n, measure: m.id, name: m.name, litresEach: m.litres, ...rest } : null;
}
