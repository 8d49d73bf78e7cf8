import { currentUnits } from '../../messages/say';
import { fieldText, fieldValue } from '../units/text';
import { fromCelsius, toCelsius, unitOf, type ScaledQuantity } from '../units/units';
import { typedUnitSize } from '../units/typed-units';
import { typed } from './typed-number';

/** Quantities in fields: typed and shown in the units of the moment, worked with in those of the product. */

/** What a field is typed in: a quantity, or a temperature of °C. */
export type FieldQuantity = ScaledQuantity | 'celsius';

/** The unit that a field of a quantity is typed in: `m` or `ft`, `°C` or `°F`. */
export const signOf = (quantity: FieldQuantity): string =>
  quantity === 'celsius' ? `°${currentUnits().temp}` : unitOf(quantity, currentUnits()).sign;

/** A number, and the unit that stands behind it. */
const WITH_UNIT = /^(-?[\d.,]+)\s*([^\d.,\s-].*)$/;
const FEET_AND_INCHES = /^(\d+)\s*(?:ft|feet|foot|'|′)\s*([\d.,]+)\s*(?:in|inch|inches|"|″)?$/i;
const TEMPERATURE_SIGN = /^°?\s*([cf])$/i;
const INCHES_PER_FOOT = 12;

/** A quantity that was typed with its unit, in the unit that the product works in; null: its unit is none of the quantity. */
function withUnit(quantity: FieldQuantity, value: number, sign: string): number | null {
  if (quantity !== 'celsius') {
    const size = typedUnitSize(quantity, sign);
    return size === undefined ? null : Number((value * size).toPrecision(12));
  }
  const unit = TEMPERATURE_SIGN.exec(sign.trim())?.[1]?.toUpperCase();
  return unit === 'C' || unit === 'F' ? toCelsius(value, unit) : null;
}

/**
 * What a field says, in the unit that the product works in: metres where feet were typed. A number with its unit behind it is
 * understood in whatever unit the field is. Undefined: nothing typed; null: no such number.
 * @param least in the unit that was typed
 */
export function typedQuantity(
  quantity: FieldQuantity,
  text: string,
  least = 0,
): number | null | undefined {
  const feet = FEET_AND_INCHES.exec(text.trim());
  if (feet)
    return typedQuantity(
      quantity,
      `${Number(feet[1]) * INCHES_PER_FOOT + (typed(feet[2] ?? '') ?? NaN)} in`,
      least,
    );
  const [, number = text, sign] = WITH_UNIT.exec(text.trim()) ?? [];
  const value = typed(number, least);
  if (value === null || value === undefined) return value;
  if (sign !== undefined) return withUnit(quantity, value, sign);
  return quantity === 'celsius'
    ? toCelsius(value, currentUnits().temp)
    : fieldValue(quantity, value, currentUnits());
}

/**
 * What a field shows of a quantity that is known.
 * @param digits behind the point, at most, where the figure was not typed but worked out
 */
export const shownQuantity = (quantity: FieldQuantity, value: number, digits?: number): string =>
  quantity === 'celsius'
    ? String(Number(fromCelsius(value, currentUnits().temp).toFixed(digits ?? 2)))
    : fieldText(quantity, value, currentUnits(), digits);
