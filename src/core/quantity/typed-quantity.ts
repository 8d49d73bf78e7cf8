import { currentUnits } from '../../messages/say';
import { fieldText, fieldValue } from '../units/text';
import { fromCelsius, toCelsius, unitOf, type ScaledQuantity } from '../units/units';
import { typed } from './typed-number';

/** Quantities in fields: typed and shown in the units of the moment, worked with in those of the product. */

/** What a field is typed in: a quantity, or a temperature of °C. */
export type FieldQuantity = ScaledQuantity | 'celsius';

/** The unit that a field of a quantity is typed in: `m` or `ft`, `°C` or `°F`. */
export const signOf = (quantity: FieldQuantity): string =>
  quantity === 'celsius' ? `°${currentUnits().temp}` : unitOf(quantity, currentUnits()).sign;

/**
 * What a field says, in the unit that the product works in: metres where feet were typed. Undefined: nothing typed; null: no such number.
 * @param least in the unit that was typed
 */
export function typedQuantity(
  quantity: FieldQuantity,
  text: string,
  least = 0,
): number | null | undefined {
  const value = typed(text, least);
  if (value === null || value === undefined) return value;
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
