import { unitOf, type ScaledQuantity, type Units } from '@/core/units/units';

/**
 * Drafts outlive a change of units: a number of one of these fields that was typed in others gets the sign of its own unit, which
 * every field understands. What is no plain number stays as it was typed.
 */
const QUANTITY_OF_FIELD: Readonly<Record<string, ScaledQuantity>> = {
  ...{ length: 'length', width: 'length', height: 'length', core: 'length', reach: 'length' },
  ...{ from: 'length', to: 'length', stretch: 'length', border: 'length' },
  ...{ volume: 'volume', litres: 'litres', water: 'litres', waterL: 'litres', bucketL: 'litres' },
  ...{ fines: 'litres', overs: 'litres', rejects: 'litres' },
  ...{ area: 'area', depth: 'cm', stem: 'cm', mesh: 'mm', rain: 'mm' },
  ...{ emptyKg: 'kg', fullKg: 'kg', flow: 'flow', bucket: 'litres', least: 'volume' },
};
const NUMBER = /^-?\d+([.,]\d+)?$/;

function keepUnit(field: string, value: unknown, was: Units): unknown {
  if (typeof value === 'string') {
    const quantity = QUANTITY_OF_FIELD[field];
    return quantity !== undefined && NUMBER.test(value.trim())
      ? `${value.trim()} ${unitOf(quantity, was).sign}`
      : value;
  }
  return value !== null && typeof value === 'object' && !Array.isArray(value)
    ? keepUnitsOf(value as Readonly<Record<string, unknown>>, was)
    : value;
}

/** The fields of a draft that was typed in these units, for somebody who now measures in others. */
export const keepUnitsOf = (
  fields: Readonly<Record<string, unknown>>,
  was: Units,
): Readonly<Record<string, unknown>> =>
  Object.fromEntries(Object.entries(fields).map(([name, v]) => [name, keepUnit(name, v, was)]));
