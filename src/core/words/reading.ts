import { say } from '../../messages/say';
import { joinParts, tempFigure, tempText } from '../quantity/format';
import { toCelsius, type TempUnit } from '../units/units';

/** A reading with what its writer said of its certainty; a file from elsewhere may hold anything under these names. */
type Said = {
  readonly value: number;
  readonly unit: TempUnit;
  readonly marks?: unknown;
  readonly high?: unknown;
};

const has = (marks: unknown, mark: string): boolean => Array.isArray(marks) && marks.includes(mark);

/** A reading as it was meant: `57.2 °C`, `at least 57 °C`, `about 57 °C`, `55–59 °C`. A guess never looks exact. */
export function readingText(r: Said, unit: TempUnit, digits = 1): string {
  const c = toCelsius(r.value, r.unit);
  const low = tempText(c, unit, digits);
  if (typeof r.high === 'number' && r.high > r.value)
    return `${tempFigure(c, unit, digits)}–${tempText(toCelsius(r.high, r.unit), unit, digits)}`;
  const figure = has(r.marks, 'about') ? say('terms.about2', { low }) : low;
  if (has(r.marks, 'rising')) return say('terms.atLeastStillRising', { low: figure });
  return has(r.marks, 'atLeast') ? say('terms.atLeast', { low: figure }) : figure;
}

/** How unsure a reading is, beside its figure; empty: as exact as it stands. */
export function surenessText(r: Said, unit: TempUnit): string {
  if (typeof r.high === 'number' && r.high > r.value)
    return say('terms.upTo', { high: tempText(toCelsius(r.high, r.unit), unit, 1) });
  const least = has(r.marks, 'rising')
    ? say('terms.atLeastStillRising2')
    : has(r.marks, 'atLeast') && say('terms.atLeast2');
  return joinParts(least, has(r.marks, 'about') && say('terms.about4'));
}

/** The hottest that a reading may mean, °C: the upper end of a range. */
export const highestC = (r: Said): number =>
  toCelsius(typeof r.high === 'number' && r.high > r.value ? r.high : r.value, r.unit);
