import { currentUnits, say } from '../../messages/say';
import { findAmountUnit } from '../units/amount-units';
import { fromBase, unitOf } from '../units/units';

/** How an amount is said. Its shape is that of the log; this level knows no more of it than it says. */
type Said =
  | {
      readonly in: 'measure';
      readonly n: number;
      readonly name: string;
      readonly measure?: string;
      readonly about?: boolean | undefined;
    }
  | { readonly in: 'litres'; readonly n: number; readonly about?: boolean | undefined }
  | {
      readonly in: 'kg';
      readonly n: number;
      readonly typed?: { readonly n: number; readonly unit: 'lb' } | undefined;
      readonly about?: boolean | undefined;
    }
  | { readonly in: 'unknown'; readonly words?: string | undefined };

const half = (n: number): string => String(Math.round(n * 100) / 100);
/** `barrows`, `pallet boxes`. */
export const manyOf = (name: string): string =>
  /(s|x|ch|sh)$/.test(name) ? `${name}es` : `${name}s`;
/** One of them, many of them: `1 bucket`, `2.5 barrows`, `3 pallet boxes`. */
export const measureText = (n: number, name: string, many?: string): string =>
  `${half(n)} ${n === 1 ? name : (many ?? manyOf(name))}`;

/** What was typed in a standard unit is said in that unit: units have no plural. */
function knownText(a: Exclude<Said, { in: 'unknown' }>): string {
  if (a.in === 'litres') return litresText(a.n);
  if (a.in === 'kg') return a.typed ? `${half(a.typed.n)} ${a.typed.unit}` : kgText(a.n);
  const standard = findAmountUnit(a.measure ?? '');
  return standard ? `${half(a.n)} ${standard.sign}` : measureText(a.n, a.name);
}

/** `about 6 barrows`, `240 L`, `1.2 t`, `amount not known`. */
export function amountText(a: Said): string {
  if (a.in === 'unknown')
    return a.words ? say('terms.amountNotKnown', { words: a.words }) : say('terms.amountNotKnown2');
  return `${a.about ? say('terms.about') : ''}${knownText(a)}`;
}

/** Litres or gallons up to a cubic metre or yard, then those. */
export function litresText(litres: number): string {
  const units = currentUnits();
  const many = fromBase('volume', litres / 1000, units);
  if (many >= 1) return `${many.toFixed(many < 9.95 ? 1 : 0)} ${unitOf('volume', units).sign}`;
  const few = fromBase('litres', litres, units);
  return `${few < 10 ? half(few) : Math.round(few)} ${unitOf('litres', units).sign}`;
}

const LB_PER_SHORT_TON = 2000;
/** Kilograms up to a tonne, then t; pounds up to two short tons, then those. */
export function kgText(kg: number): string {
  const units = currentUnits();
  if (units.system === 'us') {
    const lb = fromBase('kg', kg, units);
    if (lb < 2 * LB_PER_SHORT_TON) return `${lb < 10 ? half(lb) : Math.round(lb)} lb`;
    return say('units.shortTons', { tons: Number((lb / LB_PER_SHORT_TON).toPrecision(2)) });
  }
  return kg < 1000
    ? `${kg < 10 ? half(kg) : Math.round(kg)} kg`
    : `${(kg / 1000).toFixed(kg < 9950 ? 1 : 0)} t`;
}
