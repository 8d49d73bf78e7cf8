import { countText, durationText, spanText, tempBeside } from '../../quantity/format';
import type { TempUnit } from '../../quantity/units';
import type { Hold } from '../rule';

/** A temperature of a rule, with its unit. */
export const at = (celsius: number, unit: TempUnit): string => tempBeside(celsius, celsius, unit);

/** `at 55 °C or more`, `between 55 °C and 77 °C`. */
export const rangeText = (floorC: number, ceilingC: number | undefined, unit: TempUnit): string =>
  ceilingC === undefined
    ? `at ${at(floorC, unit)} or more`
    : `between ${at(floorC, unit)} and ${at(ceilingC, unit)}`;

/** A hold in plain words. */
export function holdText(h: Hold, unit: TempUnit): string {
  const turned =
    h.turnings > 0 ? `, with ${countText(h.turnings, 'full turning')} at least in that time` : '';
  return `${spanText(h.hours)} ${h.consecutive ? 'in a row' : 'in all'} ${rangeText(h.floorC, h.ceilingC, unit)}${turned}${h.moist ? ', counted only while the heap is moist' : ''}`;
}

/** A time where there is little room: `15 d`. */
export const shortSpan = (hours: number): string => durationText(hours).replace(' 0 h', '');
