/** Units of measure, what one of them is in the units that the product works in, and which of them people are shown. */

export type TempUnit = 'C' | 'F';

/** Differences below this are equality: °C at a floor or ceiling (contract, section 4). */
export const TEMP_TOLERANCE_C = 1e-9;

/** (F − 32) × 5 / 9, not rounded. */
export const fahrenheitToCelsius = (f: number): number => ((f - 32) * 5) / 9;
/** C × 9 / 5 + 32, not rounded. */
export const celsiusToFahrenheit = (c: number): number => (c * 9) / 5 + 32;
/** A temperature in a unit as °C. */
export const toCelsius = (value: number, unit: TempUnit): number =>
  unit === 'F' ? fahrenheitToCelsius(value) : value;
/** A temperature of °C in a unit. */
export const fromCelsius = (celsius: number, unit: TempUnit): number =>
  unit === 'F' ? celsiusToFahrenheit(celsius) : celsius;

/** 1 ft = 0.3048 m exactly, 1 yd = 3 ft (international yard, 1959). */
export const M_PER_FT = 0.3048;
/** Cubic metres of a cubic yard. */
export const M3_PER_YD3 = (3 * M_PER_FT) ** 3;
/** 1 US gallon = 231 cubic inches of 25.4 mm exactly. */
export const L_PER_GAL = 231 * 0.254 ** 3;
/** 1 lb = 0.45359237 kg exactly (international pound, 1959). */
export const KG_PER_LB = 0.45359237;

/**
 * Systems of units. The British one measures as the metric one does; it is asked for apart because British growers
 * do ask for it, and because both may come to differ.
 */
export const UNIT_SYSTEMS = ['metric', 'us', 'uk'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];
/** What quantities are shown in and typed in: a system, and the unit of temperatures, which a device may choose apart. */
export type Units = { readonly system: UnitSystem; readonly temp: TempUnit };

/** The unit of temperatures that goes with a system. */
export const tempUnitOf = (system: UnitSystem): TempUnit => (system === 'us' ? 'F' : 'C');
export const METRIC: Units = { system: 'metric', temp: 'C' };

/** Units as one word, such as `us-F`, for an attribute, a header or the name of a worker. */
export const unitsCode = ({ system, temp }: Units): string => `${system}-${temp}`;
/** The units of such a word; null: none of ours. */
export function unitsOfCode(code: string | null | undefined): Units | null {
  const [name, temp] = (code ?? '').split('-');
  const system = UNIT_SYSTEMS.find((s) => s === name);
  return system && (temp === 'C' || temp === 'F') ? { system, temp } : null;
}

/** A unit: how it is written, and how much of the unit that the product works in one of it is. */
type Unit = { readonly sign: string; readonly size: number };
type Scale = { readonly metric: Unit; readonly us: Unit };
const scale = (metric: Unit, us: Unit): Scale => ({ metric, us });
const unit = (sign: string, size = 1): Unit => ({ sign, size });

/**
 * Quantities that people type and read, and the unit of each. The product works in metres, square metres, cubic metres, litres,
 * kilograms, kg/m³, L/min and kelvins; `cm` and `mm` are those of its figures that are kept so.
 */
const SCALES = {
  length: scale(unit('m'), unit('ft', M_PER_FT)),
  cm: scale(unit('cm'), unit('in', 2.54)),
  mm: scale(unit('mm'), unit('in', 25.4)),
  area: scale(unit('m²'), unit('ft²', M_PER_FT ** 2)),
  volume: scale(unit('m³'), unit('yd³', M3_PER_YD3)),
  litres: scale(unit('L'), unit('gal', L_PER_GAL)),
  kg: scale(unit('kg'), unit('lb', KG_PER_LB)),
  density: scale(unit('kg/m³'), unit('lb/yd³', KG_PER_LB / M3_PER_YD3)),
  flow: scale(unit('L/min'), unit('gal/min', L_PER_GAL)),
} as const;
/** Quantities measured on a scale from nothing. */
export type ScaledQuantity = keyof typeof SCALES;
export const SCALED_QUANTITIES = Object.keys(SCALES) as readonly ScaledQuantity[];

/** The unit of a quantity in a system. */
export const unitOf = (quantity: ScaledQuantity, { system }: Units): Unit =>
  SCALES[quantity][system === 'us' ? 'us' : 'metric'];
/** A quantity in the unit of a system. */
export const fromBase = (quantity: ScaledQuantity, value: number, units: Units): number =>
  value / unitOf(quantity, units).size;
/** What was typed in the unit of a system, in the unit that the product works in. */
export const toBase = (quantity: ScaledQuantity, value: number, units: Units): number =>
  value * unitOf(quantity, units).size;
