export type TempUnit = 'C' | 'F';
export type VolumeUnit = 'm3' | 'yd3';

/** Differences below this are equality: °C at a floor or ceiling (contract, section 4). */
export const TEMP_TOLERANCE_C = 1e-9;

/** 1 yd = 0.9144 m exactly (international yard, 1959). */
export const M3_PER_YD3 = 0.9144 ** 3;
/** Cubic metres of one, and how it is written. */
export const M3_OF: Readonly<Record<VolumeUnit, number>> = { m3: 1, yd3: M3_PER_YD3 };
export const VOLUME_SIGN: Readonly<Record<VolumeUnit, string>> = { m3: 'm³', yd3: 'yd³' };

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
