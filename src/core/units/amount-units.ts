import { KG_PER_LB, L_PER_GAL, M3_PER_YD3, type Units } from './units';

/** Units that an amount of a material may be typed in beside the measures of a site. */

export type AmountUnit = {
  readonly id: string;
  readonly sign: string;
  /** What one step of a button adds. */
  readonly step: number;
} & ({ readonly litres: number } | { readonly kg: number });

const AMOUNT_UNITS = {
  L: { id: 'L', sign: 'L', step: 10, litres: 1 },
  m3: { id: 'm3', sign: 'm³', step: 1, litres: 1000 },
  kg: { id: 'kg', sign: 'kg', step: 10, kg: 1 },
  gal: { id: 'gal', sign: 'gal', step: 5, litres: L_PER_GAL },
  yd3: { id: 'yd3', sign: 'yd³', step: 1, litres: M3_PER_YD3 * 1000 },
  lb: { id: 'lb', sign: 'lb', step: 10, kg: KG_PER_LB },
} as const satisfies Record<string, AmountUnit>;

/** The units of amounts of a system, from small to large, those of weight last. */
export const amountUnitsOf = ({ system }: Units): readonly AmountUnit[] =>
  system === 'us'
    ? [AMOUNT_UNITS.gal, AMOUNT_UNITS.yd3, AMOUNT_UNITS.lb]
    : [AMOUNT_UNITS.L, AMOUNT_UNITS.m3, AMOUNT_UNITS.kg];
/** The unit of that id, of whatever system; undefined: none, such as a site's own measure. */
export const findAmountUnit = (id: string): AmountUnit | undefined =>
  Object.values<AmountUnit>(AMOUNT_UNITS).find((u) => u.id === id);
