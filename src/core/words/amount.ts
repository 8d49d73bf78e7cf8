import { say } from '../../messages/say';
import { M3_OF, VOLUME_SIGN, type VolumeUnit } from '../quantity/units';

/** How an amount is said. Its shape is that of the log; this level knows no more of it than it says. */
type Said =
  | {
      readonly in: 'measure';
      readonly n: number;
      readonly name: string;
      readonly about?: boolean | undefined;
    }
  | { readonly in: 'litres' | 'kg'; readonly n: number; readonly about?: boolean | undefined }
  | { readonly in: 'unknown'; readonly words?: string | undefined };

const half = (n: number): string => String(Math.round(n * 100) / 100);
/** `barrows`, `pallet boxes`. */
export const manyOf = (name: string): string =>
  /(s|x|ch|sh)$/.test(name) ? `${name}es` : `${name}s`;
/** One of them, many of them: `1 bucket`, `2.5 barrows`, `3 pallet boxes`. */
export const measureText = (n: number, name: string, many?: string): string =>
  `${half(n)} ${n === 1 ? name : (many ?? manyOf(name))}`;

/** `about 6 barrows`, `240 L`, `1.2 t`, `amount not known`. */
export function amountText(a: Said): string {
  if (a.in === 'unknown')
    return a.words ? say('terms.amountNotKnown', { words: a.words }) : say('terms.amountNotKnown2');
  return `${a.about ? say('terms.about') : ''}${a.in === 'measure' ? measureText(a.n, a.name) : a.in === 'litres' ? litresText(a.n) : kgText(a.n)}`;
}

/** Litres up to a cubic metre or yard, then those. */
export function litresText(litres: number, volume: VolumeUnit = 'm3'): string {
  const many = litres / 1000 / M3_OF[volume];
  return many < 1
    ? `${litres < 10 ? half(litres) : Math.round(litres)} L`
    : `${many.toFixed(many < 9.95 ? 1 : 0)} ${VOLUME_SIGN[volume]}`;
}
/** Kilograms up to a tonne, then t. */
export const kgText = (kg: number): string =>
  kg < 1000
    ? `${kg < 10 ? half(kg) : Math.round(kg)} kg`
    : `${(kg / 1000).toFixed(kg < 9950 ? 1 : 0)} t`;
