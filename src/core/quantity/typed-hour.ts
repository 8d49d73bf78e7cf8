/**
 * The hour of the day, 0 to 23, of a time that is typed with or without its half of the day:
 * `7` with `pm` is 19, `12` with `am` is 0. Null: there is no such hour.
 * @param half `am`, `p.m.`, `PM`; empty: the hour stands on a 24-hour clock
 */
export function hourOfDay(hour: number, half = ''): number | null {
  if (half === '') return hour <= 23 ? hour : null;
  if (hour < 1 || hour > 12) return null;
  return (hour % 12) + (/^p/i.test(half) ? 12 : 0);
}
