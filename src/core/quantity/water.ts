/** Points of water that a thermometer is held against. */

/** Air pressure at sea level in the standard atmosphere, Pa. */
const SEA_LEVEL_PA = 101_325;

/**
 * Air pressure at an altitude in the standard atmosphere, Pa: T₀ = 288.15 K falling by 6.5 K a kilometre.
 * Source: ISO 2533:1975, Standard Atmosphere (constants from memory; held against its table in the tests).
 * The weather moves it by about 3 % either way, 1 K of boiling point.
 * @param altitudeM metres above sea level, −500 to 11,000
 */
export const pressurePa = (altitudeM: number): number =>
  SEA_LEVEL_PA * (1 - (0.0065 * altitudeM) / 288.15) ** 5.25588;

/** Coefficients of the saturation line, n1 to n10. */
const N = [
  1167.0521452767, -724213.16703206, -17.073846940092, 12020.82470247, -3232555.0322333,
  14.91510861353, -4823.2657361591, 405113.40542057, -0.23855557567849, 650.17534844798,
] as const;

/**
 * Temperature at which water boils under a pressure, °C. Backward equation of region 4 of the industrial formulation
 * IAPWS-IF97 (International Association for the Properties of Water and Steam, R7-97, equation 31); coefficients from
 * memory, held against the verification values of that document in the tests.
 */
export function boilingAtC(pascal: number): number {
  const beta = (pascal / 1e6) ** 0.25;
  const e = beta ** 2 + N[2] * beta + N[5];
  const f = N[0] * beta ** 2 + N[3] * beta + N[6];
  const g = N[1] * beta ** 2 + N[4] * beta + N[7];
  const d = (2 * g) / (-f - Math.sqrt(f ** 2 - 4 * e * g));
  return (N[9] + d - Math.sqrt((N[9] + d) ** 2 - 4 * (N[8] + N[9] * d))) / 2 - 273.15;
}

/** Boiling point of water at an altitude, °C, in the standard atmosphere. */
export const boilingPointC = (altitudeM: number): number => boilingAtC(pressurePa(altitudeM));
