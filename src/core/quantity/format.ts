import { REGION_OF } from '../../messages/languages';
import { currentLanguage, currentUnits, say } from '../../messages/say';
import { quantityText, type TextQuantity } from '../units/text';
import { localParts, type LocalParts } from './calendar';
import { lastOf } from './present';
import { MS, type Instant } from './instant';
import { fromBase, fromCelsius, unitOf, type TempUnit } from '../units/units';

/** The one place where a quantity becomes words: units, rounding, days and clocks. */

/** `57 °C`; with one digit where two readings must be told apart. Never rounds across a floor. */
export function tempText(celsius: number, unit: TempUnit, digits = 0): string {
  return `${tempFigure(celsius, unit, digits)} °${unit}`;
}

/** The figure alone, without its unit. Beside a limit use {@link tempBeside}: this one may round onto it. */
export function tempFigure(celsius: number, unit: TempUnit, digits = 0): string {
  const value = fromCelsius(celsius, unit);
  return (Number(value.toFixed(digits)) + 0).toFixed(digits);
}

/**
 * A temperature beside a limit: as many digits as it takes not to show it as reaching what it misses.
 * @param least digits that are shown anyhow
 */
export function tempBeside(celsius: number, limitC: number, unit: TempUnit, least = 0): string {
  for (let digits = least; digits <= 2; digits += 1) {
    const shown = Number(fromCelsius(celsius, unit).toFixed(digits));
    const limit = fromCelsius(limitC, unit);
    if (shown < limit === celsius < limitC - 1e-9) return tempText(celsius, unit, digits);
  }
  return tempText(celsius, unit, 3);
}

/** Duration in hours as `3 d 6 h`, `6 h`, `25 min`. Rounds down: credit is never shown as more than it is. */
export function durationText(hours: number): string {
  const minutes = Math.floor(hours * 60 + 1e-6);
  if (minutes < 60) return minutes === 0 ? '0 h' : say('units.min', { minutes });
  const whole = Math.floor(minutes / 60);
  if (whole < 24)
    return minutes % 60 && whole < 6
      ? say('units.hMin', { whole, minutes: minutes % 60 })
      : `${whole} h`;
  return `${Math.floor(whole / 24)} d ${whole % 24} h`;
}

/** An age or a limit: in hours up to two days, so that 34 h stands beside 36 h. */
export const ageText = (hours: number): string =>
  hours >= 6 && hours < 48 ? `${Math.floor(hours + 1e-6)} h` : durationText(hours);

/** What is still missing, rounded up to the hour: never less than it is. */
export function missingText(hours: number): string {
  return hours <= 0
    ? '0 h'
    : durationText(hours < 1 ? Math.ceil(hours * 60 - 1e-6) / 60 : Math.ceil(hours - 1e-6));
}

/** A span in the words of a rule: `15 days`, `3 days`, `60 hours`. */
export function spanText(hours: number): string {
  if (hours % 24 !== 0) return say('units.hours', { hours });
  return hours === 24 ? say('units.n1Day') : say('units.days', { hours: hours / 24 });
}

/** A date as it is said where a language is spoken: `May 21`, `21 May`; with its year `May 21, 2026`, `21 May 2026`. */
export const dateText = ({ day, month, year }: LocalParts, withYear = false): string =>
  withYear
    ? say('units.monthDayYear', { day, month, year: String(year) })
    : say('units.monthDay', { day, month });

/** `Thu May 21 07:40`; the year only when it is not that of `now`. */
export function whenText(timeZone: string, at: Instant, now?: Instant): string {
  const p = localParts(timeZone, at);
  const isThisYear = now !== undefined && localParts(timeZone, now).year === p.year;
  return `${p.weekday} ${isThisYear ? dateText(p) : dateText(p, true)} ${p.clock}`;
}

/** `Thu 21 May`. */
export function dayText(timeZone: string, at: Instant): string {
  const p = localParts(timeZone, at);
  return `${p.weekday} ${dateText(p)}`;
}

/** `Thu May 21` of a date alone, as `YYYY-MM-DD`. */
export const dateOnlyText = (date: string): string => dayText('UTC', Date.parse(date));

/** Within a week the day's name and the clock, beyond it the date: `Tue 04:00`, `21 May 04:00`. */
export function soonText(timeZone: string, at: Instant, now: Instant): string {
  const p = localParts(timeZone, at);
  const today = localParts(timeZone, now);
  if (Math.abs(at - now) < MS.day && p.day === today.day) return p.clock;
  return Math.abs(at - now) < 6.5 * MS.day
    ? `${p.weekday} ${p.clock}`
    : `${dateText(p)} ${p.clock}`;
}

/** A quantity as it is, in the units of the moment: `1.25 m`, `4 ft 1 in`. */
export const figureWithUnit = (quantity: TextQuantity, value: number): string =>
  quantityText(quantity, value, currentUnits(), REGION_OF[currentLanguage()]);

/** Below this a volume is told in litres, or gallons beside cubic yards: a tenth of a cubic metre says too little of it. */
const SMALL_M3 = 0.3;

/** `4.2 m³`, `5.5 yd³`; a small one `240 L`, `63 gal`. Never rounded to nothing. */
export function volumeText(m3: number): string {
  const units = currentUnits();
  if (m3 >= SMALL_M3)
    return `${fromBase('volume', m3, units).toFixed(1)} ${unitOf('volume', units).sign}`;
  const small = fromBase('litres', m3 * 1000, units);
  const shown = small >= 50 ? Math.round(small / 5) * 5 : Math.max(1, Math.round(small));
  return `${shown} ${unitOf('litres', units).sign}`;
}

/** A depth or a height, to 5 cm or an inch: `35 cm`, `1.2 m`, `3 ft 11 in`. */
export function lengthText(m: number): string {
  const cm = Math.max(5, Math.round(m * 20) * 5);
  if (currentUnits().system === 'us') return say('units.length', { m });
  return cm < 100 ? say('units.cm', { cm }) : `${Number((cm / 100).toFixed(2))} m`;
}

/** How far a clock is off: `14 min ahead`, `2 h 5 min behind`. */
export const clockText = (aheadMs: number): string =>
  say('units.aheadOther', {
    aheadMs: durationText(Math.abs(aheadMs) / MS.hour),
    aheadMs2: aheadMs > 0 ? 'ahead' : 'other',
  });

/** `a`, `a and b`, `a, b and c`. */
export const listText = (names: readonly string[]): string =>
  names.length < 2
    ? names.join('')
    : say('units.and', { names: names.slice(0, -1).join(', '), names2: lastOf(names) });

/** `a`, `a or b`, `a, b or c`. */
export const orText = (names: readonly string[]): string =>
  names.length < 2
    ? names.join('')
    : say('units.or', { a: names.slice(0, -1).join(', '), b: lastOf(names) });

/** What there is to say of several things, in order, parted by commas; what is left out says nothing. */
export const joinParts = (...parts: (string | false | null | undefined)[]): string =>
  parts.filter((part): part is string => Boolean(part)).join(', ');

/** The same text with a capital in front. */
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
/** The same text to go on with behind a colon. */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
