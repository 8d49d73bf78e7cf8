import { say } from '../../../messages/say';
import { durationText, spanText, tempBeside } from '../../quantity/format';
import type { TempUnit } from '../../units/units';
import type { Hold } from '../rule';

/** A temperature of a rule, with its unit. */
export const at = (celsius: number, unit: TempUnit): string => tempBeside(celsius, celsius, unit);

/** A temperature of a rule where it is written out; rules are written in °C, so that it stands beside °F: `131 °F (55 °C)`. */
const inBoth = (celsius: number, unit: TempUnit): string =>
  unit === 'F' ? `${at(celsius, 'F')} (${at(celsius, 'C')})` : at(celsius, 'C');

/** `at 55 °C or more`, `between 55 °C and 77 °C`. */
export const rangeText = (floorC: number, ceilingC: number | undefined, unit: TempUnit): string =>
  ceilingC === undefined
    ? say('evidence.atOrMore', { floorC: inBoth(floorC, unit) })
    : say('evidence.betweenAnd', {
        floorC: inBoth(floorC, unit),
        ceilingC: inBoth(ceilingC, unit),
      });

/** A hold in plain words. */
export function holdText(h: Hold, unit: TempUnit): string {
  const turned =
    h.turnings > 0 ? say('evidence.withAtLeastFullTurn', { turnings: h.turnings }) : '';
  return say('evidence.inaInRowInAll', {
    hours: spanText(h.hours),
    consecutive: h.consecutive ? 'inA' : 'other',
    floorC: rangeText(h.floorC, h.ceilingC, unit),
    turned,
    moist: h.moist ? 'countedOnly' : 'other',
  });
}

/** A time where there is little room: `15 d`. */
export const shortSpan = (hours: number): string => durationText(hours).replace(' 0 h', '');
