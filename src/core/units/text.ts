import { fromBase, fromCelsius, toBase, unitOf, type ScaledQuantity, type Units } from './units';

/** Quantities that a text may be given as plain numbers; it says them in the units of the moment. */
export type TextQuantity = ScaledQuantity | 'celsius' | 'kelvin';

const INCHES_PER_FOOT = 12;
const KG_PER_T = 1000;
/** From here on inches say more than is known, ft. */
const WHOLE_FEET = 100;

/** The figure with at most so many digits behind the point, as a language writes it. */
const figure = (value: number, digits: number, locale: string): string =>
  new Intl.NumberFormat(locale, { maximumFractionDigits: digits }).format(value + 0);

/** `3 ft 6 in`, `40 ft`, `8 in`. */
function feetText(metres: number, locale: string): string {
  const units = { system: 'us', temp: 'F' } as const;
  const inches = Math.round(fromBase('length', metres, units) * INCHES_PER_FOOT);
  const [feet, rest] = [Math.trunc(inches / INCHES_PER_FOOT), inches % INCHES_PER_FOOT];
  if (Math.abs(feet) >= WHOLE_FEET)
    return `${figure(Math.round(inches / INCHES_PER_FOOT), 0, locale)} ft`;
  if (feet === 0) return inches === 0 ? '0 ft' : `${inches} in`;
  return rest === 0 ? `${feet} ft` : `${feet} ft ${Math.abs(rest)} in`;
}

/** Digits behind the point that a figure in a unit other than the one it was measured in deserves. */
const digitsOf = (value: number): number => (Math.abs(value) < 10 ? 1 : 0);

/**
 * A quantity in words: `1.2 m` or `3 ft 11 in`, `240 L` or `63 gal`, `55 °C` or `131 °F`.
 * @param value in the unit that the product works in
 * @param locale whose decimal mark and thousands are used, such as `es-US`
 */
export function quantityText(
  quantity: TextQuantity,
  value: number,
  units: Units,
  locale: string,
): string {
  if (quantity === 'celsius')
    return `${figure(fromCelsius(value, units.temp), 1, locale)} °${units.temp}`;
  // A difference of temperatures: a kelvin is a degree Celsius there, and 1.8 °F.
  if (quantity === 'kelvin')
    return `${figure(units.temp === 'F' ? value * 1.8 : value, 2, locale)} °${units.temp}`;
  if (quantity === 'kg' && units.system !== 'us' && Math.abs(value) >= KG_PER_T)
    return `${figure(value / KG_PER_T, 1, locale)} t`;
  if (units.system !== 'us') return `${figure(value, 3, locale)} ${unitOf(quantity, units).sign}`;
  if (quantity === 'length') return feetText(value, locale);
  const shown = fromBase(quantity, value, units);
  return `${figure(shown, digitsOf(shown), locale)} ${unitOf(quantity, units).sign}`;
}

/**
 * How a field shows a quantity that is known: in its unit, with no more digits than somebody would have typed.
 * @param digits behind the point, at most; absent: what was typed comes back whole
 */
export function fieldText(
  quantity: ScaledQuantity,
  value: number,
  units: Units,
  digits?: number,
): string {
  const shown = fromBase(quantity, value, units);
  return String(Number(digits === undefined ? shown.toPrecision(6) : shown.toFixed(digits)));
}

/** What a field of a quantity says, in the unit that the product works in; the number is that of the text as typed. */
export const fieldValue = (quantity: ScaledQuantity, typed: number, units: Units): number =>
  // Floating point turns 3 ft into 0.9144000000000001 m: a picometre is less than anybody measures.
  units.system === 'us' ? Number(toBase(quantity, typed, units).toPrecision(12)) : typed;
