import { currentLanguage, say } from '../../messages/say';
import { REGION_OF, type Language } from '../../messages/languages';
import { MS, type Instant } from './instant';
import { firstOf } from './present';

/** A local calendar day: its ISO date, and the half-open span [start, end) of instants that it covers. */
export type LocalDay = { readonly date: string; readonly start: Instant; readonly end: Instant };

/** Reads a clock in one time zone. */
export type Zone = {
  readonly name: string;
  /** Days since 1970-01-01 of the local date at an instant. */
  dayNumber(at: Instant): number;
  /** First instant at which the local date is this day number or later. */
  startOfDay(day: number): Instant;
};

const formatters = new Map<string, Intl.DateTimeFormat>();

function formatterOf(timeZone: string): Intl.DateTimeFormat {
  let format = formatters.get(timeZone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-US', {
      timeZone,
      hourCycle: 'h23',
      era: 'short',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    formatters.set(timeZone, format);
  }
  return format;
}

/** Whether the text is a zone name that the IANA data here knows; bare offsets such as `+02:00` are not names. */
export function isTimeZone(name: string): boolean {
  if (!/^[A-Za-z]/.test(name)) return false;
  try {
    new Intl.DateTimeFormat('en-US', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/** Local clock reading at an instant, as if it were UTC, in whole seconds of milliseconds. */
function localClockMs(format: Intl.DateTimeFormat, at: Instant): number {
  const p: Record<string, string> = {};
  for (const { type, value } of format.formatToParts(at)) p[type] = value;
  const year = p.era === 'BC' ? 1 - Number(p.year) : Number(p.year);
  const date = new Date(0);
  date.setUTCFullYear(year, Number(p.month) - 1, Number(p.day));
  return (
    date.getTime() +
    Number(p.hour) * MS.hour +
    Number(p.minute) * MS.minute +
    Number(p.second) * MS.second
  );
}

/**
 * The calendar of one IANA zone.
 * @throws RangeError for a name that {@link isTimeZone} refuses
 */
export function zoneOf(name: string): Zone {
  const format = formatterOf(name);
  const starts = new Map<number, Instant>();
  const dayNumber = (at: Instant): number => Math.floor(localClockMs(format, at) / MS.day);
  const offsetAt = (at: Instant): number => localClockMs(format, at) - at;
  const findStart = (day: number): Instant => {
    // Where the clock is the same a day before and a day after, midnight is where it is expected.
    const near = [day * MS.day - 26 * MS.hour, day * MS.day + 26 * MS.hour].map(offsetAt);
    return near[0] === near[1] ? day * MS.day - firstOf(near) : firstInstantOf(dayNumber, day);
  };
  return {
    name,
    dayNumber,
    startOfDay(day) {
      let start = starts.get(day);
      if (start === undefined) {
        start = findStart(day);
        starts.set(day, start);
      }
      return start;
    },
  };
}

/**
 * A day starts at the first instant that bears its date, also where a clock change takes midnight away
 * or runs through it twice. Offsets lie within ±26 h of UTC, so the search has an end.
 */
function firstInstantOf(dayNumber: (at: Instant) => number, day: number): Instant {
  let before = day * MS.day - 26 * MS.hour;
  let after = day * MS.day + 26 * MS.hour;
  // Quarter hours first: going forward in steps finds the first crossing even where midnight comes twice.
  for (let at = before; at <= after; at += 15 * MS.minute) {
    if (dayNumber(at) >= day) {
      after = at;
      before = at - 15 * MS.minute;
      break;
    }
  }
  while (after - before > 1) {
    const middle = Math.floor((before + after) / 2);
    if (dayNumber(middle) >= day) after = middle;
    else before = middle;
  }
  return after;
}

/**
 * The local day that holds an instant. Where midnight comes twice, the later hour of the old date belongs to
 * the new day: a day that has begun does not go back. A date that a zone skipped has no day.
 */
export function dayFrom(zone: Zone, at: Instant): LocalDay {
  let day = zone.dayNumber(at);
  while (zone.startOfDay(day + 1) <= at) day += 1;
  return {
    date: new Date(day * MS.day).toISOString().slice(0, 10),
    start: zone.startOfDay(day),
    end: zone.startOfDay(day + 1),
  };
}

/** The local days that touch [from, to], in order. */
export function localDays(zone: Zone, from: Instant, to: Instant): LocalDay[] {
  const days: LocalDay[] = [];
  for (let day = dayFrom(zone, from); day.start <= to; day = dayFrom(zone, day.end)) days.push(day);
  return days;
}

export type LocalParts = {
  readonly weekday: string;
  readonly day: number;
  readonly month: string;
  readonly year: number;
  readonly clock: string;
};

/** Notes are said again with each round that comes in; a clock read once need not be read again. */
const known = new Map<string, LocalParts>();
const MAX_KNOWN = 50_000;

/** Local day and clock for people: `{ weekday: 'Thu', day: 21, month: 'May', year: 2026, clock: '7:40 AM' }`, or `07:40` where that is said. */
export function localParts(timeZone: string, at: Instant): LocalParts {
  const language = currentLanguage();
  const key = `${language} ${timeZone} ${at}`;
  const before = known.get(key);
  if (before) return before;
  if (known.size >= MAX_KNOWN) known.clear();
  const parts = readParts(language, timeZone, at);
  known.set(key, parts);
  return parts;
}

type Habits = {
  /** Short names, Sunday first. */ readonly weekdays: readonly string[];
  readonly months: readonly string[];
  /** Whether hours go up to twelve, with the half of the day beside them. */
  readonly halves: boolean;
};
const habitsKnown = new Map<Language, Habits>();
/** How a language says days and hours (Unicode CLDR, as the runtime carries it). */
function habitsOf(language: Language): Habits {
  const before = habitsKnown.get(language);
  if (before) return before;
  const locale = REGION_OF[language];
  const weekday = new Intl.DateTimeFormat(locale, { weekday: 'short', timeZone: 'UTC' });
  const month = new Intl.DateTimeFormat(locale, { month: 'short', timeZone: 'UTC' });
  const clock = new Intl.DateTimeFormat(locale, { hour: 'numeric' }).resolvedOptions();
  const habits = {
    // 4 January 1970 was a Sunday.
    weekdays: [4, 5, 6, 7, 8, 9, 10].map((day) => weekday.format(Date.UTC(1970, 0, day))),
    months: Array.from({ length: 12 }, (_, i) => month.format(Date.UTC(1970, i, 15))),
    halves: clock.hourCycle === 'h12',
  };
  habitsKnown.set(language, habits);
  return habits;
}

function readParts(language: Language, timeZone: string, at: Instant): LocalParts {
  const { weekdays, months } = habitsOf(language);
  const shifted = new Date(localClockMs(formatterOf(timeZone), at));
  return {
    weekday: weekdays[shifted.getUTCDay()] ?? '',
    day: shifted.getUTCDate(),
    month: months[shifted.getUTCMonth()] ?? '',
    year: shifted.getUTCFullYear(),
    clock: sayClock(shifted.getUTCHours(), shifted.getUTCMinutes()),
  };
}

const twoDigits = (n: number): string => String(n).padStart(2, '0');

/** A time of day as it is said where a language is spoken: `7:40 AM`, `07:40`. */
function sayClock(hour: number, minute: number): string {
  const { halves } = habitsOf(currentLanguage());
  return say('units.clock', {
    hour: halves ? String(hour % 12 || 12) : twoDigits(hour),
    minute: twoDigits(minute),
    half: halves ? (hour < 12 ? 'am' : 'pm') : 'other',
  });
}

/**
 * The instants whose clock in a zone shows this local time (`YYYY-MM-DDTHH:MM[:SS]`), earliest first:
 * none in the hour that a clock change skips, two in the hour that it repeats.
 */
export function instantsOfLocal(timeZone: string, local: string): Instant[] {
  const wall = Date.parse(`${local}Z`);
  if (!Number.isFinite(wall)) return [];
  const format = formatterOf(timeZone);
  const offsets = [-25, 25].map((h) => {
    const at = wall + h * MS.hour;
    return localClockMs(format, at) - Math.floor(at / 1000) * 1000;
  });
  const found = offsets
    .map((offset) => wall - offset)
    .filter((at) => localClockMs(format, at) === Math.floor(wall / 1000) * 1000);
  return [...new Set(found)].sort((a, b) => a - b);
}

/** Offset of a zone's clock from UTC at an instant, as `+02:00`. */
export function offsetText(timeZone: string, at: Instant): string {
  const minutes = Math.round((localClockMs(formatterOf(timeZone), at) - at) / MS.minute);
  const abs = Math.abs(minutes);
  return `${minutes < 0 ? '-' : '+'}${twoDigits(Math.floor(abs / 60))}:${twoDigits(abs % 60)}`;
}

/** The site's clock as a form's field shows it: `YYYY-MM-DDTHH:MM`. */
export const localInput = (timeZone: string, at: Instant): string =>
  new Date(localClockMs(formatterOf(timeZone), at)).toISOString().slice(0, 16);

export const SATURDAY = 6;
const SUNDAY = 7;
/** The weekday of a moment in a zone, 1 Monday to 7 Sunday, and how many minutes its clock is past midnight. */
export function weekdayOf(timeZone: string, at: Instant): { weekday: number; minute: number } {
  const clock = new Date(localClockMs(formatterOf(timeZone), at));
  return {
    weekday: clock.getUTCDay() || SUNDAY,
    minute: clock.getUTCHours() * 60 + clock.getUTCMinutes(),
  };
}
/** `07:30` as minutes past midnight. */
export const minutesOfClock = (clock: string): number =>
  Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5));

/** Days of the calendar from one moment to another: 0 on the same day. Two moments of one day have one number. */
export const calendarDays = (zone: Zone, from: Instant, to: Instant): number =>
  Math.round((dayFrom(zone, to).start - dayFrom(zone, from).start) / MS.day);
