import { KG_PER_LB, L_PER_GAL, M3_PER_YD3, M_PER_FT, type ScaledQuantity } from './units';

/** Units that people write behind a number, whatever unit the field has: `4 in` in a field of feet. */

const CM_PER_IN = 2.54;
const M3_PER_FT3 = M_PER_FT ** 3;
const M3_PER_L = 0.001;
/** 1 US quart is a quarter of a gallon. */
const QT_PER_GAL = 4;

const LENGTHS: Readonly<Record<string, number>> = {
  ...{ m: 1, cm: 0.01, mm: 0.001 },
  ...{ ft: M_PER_FT, foot: M_PER_FT, feet: M_PER_FT, "'": M_PER_FT, yd: 3 * M_PER_FT },
  ...{ in: CM_PER_IN / 100, inch: CM_PER_IN / 100, inches: CM_PER_IN / 100, '"': CM_PER_IN / 100 },
};
const VOLUMES: Readonly<Record<string, number>> = {
  ...{ m3: 1, l: M3_PER_L, liter: M3_PER_L, liters: M3_PER_L, litre: M3_PER_L, litres: M3_PER_L },
  ...{ ml: M3_PER_L / 1000, gal: L_PER_GAL * M3_PER_L, qt: (L_PER_GAL * M3_PER_L) / QT_PER_GAL },
  ...{ yd3: M3_PER_YD3, 'cu yd': M3_PER_YD3, ft3: M3_PER_FT3, 'cu ft': M3_PER_FT3 },
};
const times = (
  units: Readonly<Record<string, number>>,
  factor: number,
): Readonly<Record<string, number>> =>
  Object.fromEntries(Object.entries(units).map(([sign, size]) => [sign, size * factor]));

/** What one of a unit is in the unit that the product works in for the quantity. */
const SIZES: Readonly<Record<ScaledQuantity, Readonly<Record<string, number>>>> = {
  length: LENGTHS,
  cm: times(LENGTHS, 100),
  mm: times(LENGTHS, 1000),
  area: { m2: 1, ft2: M_PER_FT ** 2, 'sq ft': M_PER_FT ** 2, yd2: (3 * M_PER_FT) ** 2 },
  volume: VOLUMES,
  litres: times(VOLUMES, 1000),
  kg: { kg: 1, g: 0.001, t: 1000, lb: KG_PER_LB, lbs: KG_PER_LB },
  density: { 'kg/m3': 1, 'g/l': 1, 'lb/yd3': KG_PER_LB / M3_PER_YD3 },
  flow: { 'l/min': 1, 'gal/min': L_PER_GAL, gpm: L_PER_GAL },
};

/** Signs as they are looked up: small letters, powers as digits, no full stop. */
const plain = (sign: string): string =>
  sign
    .trim()
    .toLowerCase()
    .replace('²', '2')
    .replace('³', '3')
    .replace(/\.$/, '')
    .replaceAll('″', '"')
    .replaceAll('′', "'");

/** What one of a unit is in the product's unit for a quantity; undefined: no unit of it that is known here. */
export const typedUnitSize = (quantity: ScaledQuantity, sign: string): number | undefined =>
  SIZES[quantity][plain(sign)];
