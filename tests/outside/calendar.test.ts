import { tz } from '@date-fns/tz';
import { startOfDay } from 'date-fns';
import { DateTime } from 'luxon';
import { hourOfDay } from '@/core/quantity/typed-hour';
import { calendarDays, localDays, localParts, zoneOf } from '@/core/quantity/calendar';
import { asSpeaker } from '../support/speech';
import { at, DAY0, evidence, flat, holdRule, verdictOf } from '../support/evidence';

/** Calendar days against two general date libraries (luxon, date-fns), across clock changes on both hemispheres. */
const CASES = [
  ['Europe/London', '2026-03-26', '2026-04-02'],
  ['Europe/London', '2026-10-22', '2026-10-29'],
  ['America/New_York', '2026-03-05', '2026-03-12'],
  ['America/New_York', '2026-10-29', '2026-11-05'],
  ['Australia/Lord_Howe', '2026-04-02', '2026-04-08'],
  ['Australia/Sydney', '2026-10-01', '2026-10-08'],
  ['Asia/Kolkata', '2026-06-01', '2026-06-05'],
  ['America/St_Johns', '2026-11-01', '2026-11-03'],
  ['Asia/Beirut', '2026-03-27', '2026-03-31'],
  ['Pacific/Apia', '2011-12-27', '2012-01-02'],
  ['Africa/Cairo', '2026-04-22', '2026-04-26'],
] as const;

test.each(CASES)('days in %s from %s', (zone, from, to) => {
  const [start, end] = [from, to].map((d) =>
    DateTime.fromISO(d, { zone }).startOf('day').toMillis(),
  ) as [number, number];
  const days = localDays(zoneOf(zone), start, end);
  const expected: string[] = [];
  for (
    let d = DateTime.fromMillis(start, { zone });
    d.startOf('day').toMillis() <= end;
    d = d.plus({ days: 1 })
  )
    expected.push(d.toISODate()!);
  // Samoa had no 30 December 2011: luxon steps over it by date, so the missing day is taken out here.
  const real = expected.filter((d) => DateTime.fromISO(d, { zone }).toISODate() === d);
  expect(days.map((d) => d.date)).toEqual([...new Set(real)]);
  for (const d of days) {
    expect(d.start).toBe(DateTime.fromISO(d.date, { zone }).startOf('day').toMillis());
    expect(d.start).toBe(startOfDay(d.start + 3_600_000, { in: tz(zone) }).getTime());
  }
  days.slice(1).forEach((d, i) => expect(d.start).toBe(days[i]!.end));
});

test.each(CASES)('days of the calendar between moments in %s from %s', (zone, from, to) => {
  const start = DateTime.fromISO(from, { zone }).plus({ hours: 23 });
  const end = DateTime.fromISO(to, { zone });
  for (let t = start; t <= end; t = t.plus({ hours: 5 }))
    // By hours, not by dates: the day that Samoa left out was none.
    expect(calendarDays(zoneOf(zone), start.toMillis(), t.toMillis())).toBe(
      Math.round(t.startOf('day').diff(start.startOf('day'), 'hours').hours / 24),
    );
});

test('clock and weekday agree with luxon through a year', () => {
  for (let t = Date.UTC(2026, 0, 1); t < Date.UTC(2027, 0, 1); t += 7.3 * 3_600_000) {
    const d = DateTime.fromMillis(t, { zone: 'America/St_Johns', locale: 'en' });
    expect(localParts('America/St_Johns', t)).toEqual({
      weekday: d.weekdayShort,
      day: d.day,
      month: d.monthShort,
      year: d.year,
      clock: d.toFormat('h:mm a').replace(' ', '\u00a0'),
    });
    const british = asSpeaker({ language: 'en-GB' }, () => localParts('America/St_Johns', t));
    expect(british.clock).toBe(d.toFormat('HH:mm'));
  }
});

test('hours typed with their half of the day are those that luxon reads', () => {
  for (const half of ['AM', 'PM'])
    for (let hour = 1; hour <= 12; hour += 1)
      expect(hourOfDay(hour, half)).toBe(DateTime.fromFormat(`${hour} ${half}`, 'h a').hour);
  expect(['a.m.', 'p. m.', 'pm'].map((half) => hourOfDay(12, half))).toEqual([0, 12, 12]);
  expect([0, 23, 24].map((hour) => hourOfDay(hour))).toEqual([0, 23, null]);
  expect([0, 13].map((hour) => hourOfDay(hour, 'PM'))).toEqual([null, null]);
});

test('a day of 23 or 25 hours earns 24 like any other', () => {
  // London puts its clock forward on 29 March 2026: three hot days end at local midnights.
  const builtAt = Date.UTC(2026, 2, 27);
  const hours = (builtAt - DAY0) / 3_600_000;
  const readings = [0, 24, 48, 72].flatMap((h) => flat(hours + h + 10, 60));
  const v = verdictOf(
    evidence(readings, [], { counting: 'days' }, { timeZone: 'Europe/London', builtAt }),
    holdRule(),
    at(hours + 90),
  );
  expect(v).toMatchObject({ creditedHours: 72, status: 'proven' });
  expect(v.provenAt).toBe(DateTime.fromISO('2026-03-30', { zone: 'Europe/London' }).toMillis()); // 71 hours after the first midnight
});
