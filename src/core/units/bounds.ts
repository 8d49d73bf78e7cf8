/**
 * Between what a number of a quantity can be, in the unit that the product works in. Wide: what nobody could have measured, typed or
 * meant, and what no computation and no page could stand, is outside.
 */
export type Bound = { readonly least: number; readonly most: number; readonly sign: string };

const bound = (least: number, most: number, sign: string): Bound => ({ least, most, sign });

/** Bounds by the quantity. */
export const BOUNDS = {
  /** From a deep freezer to a fire. */ celsius: bound(-100, 1500, '°C'),
  fahrenheit: bound(-148, 2732, '°F'),
  kelvin: bound(0, 1500, 'K'),
  length: bound(-10_000, 100_000, 'm'),
  cm: bound(-10_000, 1_000_000, 'cm'),
  mm: bound(-10_000, 1_000_000, 'mm'),
  area: bound(0, 100_000_000, 'm²'),
  volume: bound(0, 1_000_000, 'm³'),
  litres: bound(0, 1_000_000_000, 'L'),
  percent: bound(-1000, 1000, '%'),
  hours: bound(0, 100_000, 'h'),
  minutes: bound(0, 10_000_000, 'min'),
  days: bound(0, 100_000, 'd'),
  seconds: bound(0, 10_000_000, 's'),
  /** Also a clock that stands at 1970. */ milliseconds: bound(-1e13, 1e13, 'ms'),
  /** Amounts of money, counts, instants, figures of a laboratory. */ number: bound(
    -1e16,
    1e16,
    '',
  ),
} as const satisfies Readonly<Record<string, Bound>>;
export type BoundedQuantity = keyof typeof BOUNDS;

/** A number moved to the nearest that its quantity can be: for a drawing, which an old entry out of all bounds would blow up. NaN: the least. */
export function clampToBounds(quantity: BoundedQuantity, value: number): number {
  const { least, most } = BOUNDS[quantity];
  return value >= least ? Math.min(value, most) : least;
}
