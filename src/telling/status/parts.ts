import { localParts } from '@/core/quantity/calendar';
import { dayText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import { say } from '@/messages/say';

/** A change of temperature: `1.6 °C`, `2.9 °F`. */
export const gradientText = (k: number, unit: 'C' | 'F'): string =>
  `${(Math.abs(k) * (unit === 'F' ? 1.8 : 1)).toFixed(1)} °${unit}`;

/** Today, tomorrow, or the day's name. */
export function dayWord(timeZone: string, at: number, now: number): string {
  const same = (a: number, b: number): boolean => dayText(timeZone, a) === dayText(timeZone, b);
  const p = localParts(timeZone, at);
  return same(at, now)
    ? say('advice.today2')
    : same(at, now + MS.day)
      ? say('advice.tomorrow')
      : at - now < 6 * MS.day
        ? say('advice.on', { weekday: p.weekday })
        : say('advice.on2', { day: p.day, month: p.month });
}
