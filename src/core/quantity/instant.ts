/** An instant: milliseconds since 1970-01-01T00:00Z. Whole numbers only. */
export type Instant = number;

export const MS = { second: 1_000, minute: 60_000, hour: 3_600_000, day: 86_400_000 } as const;

/** Hours or minutes of a policy as whole milliseconds, so that a limit is compared without float noise. */
export const hoursToMs = (hours: number): number => Math.round(hours * MS.hour);
/** Minutes as whole milliseconds. */
export const minutesToMs = (minutes: number): number => Math.round(minutes * MS.minute);

/** The form of a time in a batch file. */
export const STAMP =
  /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})(?::(\d{2})(?:\.(\d+))?)?(?:Z|([+-])(\d{2}):(\d{2}))$/;

/**
 * Reads `YYYY-MM-DDTHH:MM[:SS[.fff]]` with `Z` or `±HH:MM`. What is finer than a millisecond is cut off.
 * @returns the instant, or null when the text is not such a time or names a day or hour that does not exist
 * @example parseInstant('2026-05-01T00:00+02:00') // => Date.UTC(2026, 3, 30, 22)
 */
export const parseInstant = (text: string): Instant | null =>
  parseIsoText(text) ?? parseStamp(text);

const code = (character: string): number => character.charCodeAt(0);
const [DASH, COLON, DOT, ZERO] = [code('-'), code(':'), code('.'), code('0')];
const [TIME_BEGINS, UTC] = [code('T'), code('Z')];
const ISO_LENGTH = 'YYYY-MM-DDTHH:MM:SS.fffZ'.length;
/** Every month has so many days: later ones are left to the slow way, which knows the calendar. */
const DAYS_OF_EVERY_MONTH = 28;

/**
 * The form that {@link isoOf} writes, digit by digit: a batch of wireless probes holds half a million of them.
 * @returns null where the text is not quite of this form; it may be a time all the same
 */
function parseIsoText(text: string): Instant | null {
  if (
    text.length !== ISO_LENGTH ||
    text.charCodeAt(4) !== DASH ||
    text.charCodeAt(7) !== DASH ||
    text.charCodeAt(10) !== TIME_BEGINS ||
    text.charCodeAt(13) !== COLON ||
    text.charCodeAt(16) !== COLON ||
    text.charCodeAt(19) !== DOT ||
    text.charCodeAt(23) !== UTC
  )
    return null;
  const digits = (from: number, count: number): number => {
    let value = 0;
    for (let i = from; i < from + count; i += 1) {
      const digit = text.charCodeAt(i) - ZERO;
      if (digit < 0 || digit > 9) return NaN;
      value = value * 10 + digit;
    }
    return value;
  };
  const [year, month, day] = [digits(0, 4), digits(5, 2), digits(8, 2)];
  const [hour, minute, second, ms] = [digits(11, 2), digits(14, 2), digits(17, 2), digits(20, 3)];
  const isPlain =
    year >= 100 && // Date.UTC would read the years before as 1900 to 1999
    month >= 1 &&
    month <= 12 &&
    day >= 1 &&
    day <= DAYS_OF_EVERY_MONTH &&
    hour <= 23 &&
    minute <= 59 &&
    second <= 59 &&
    ms >= 0;
  return isPlain ? Date.UTC(year, month - 1, day, hour, minute, second, ms) : null;
}

function parseStamp(text: string): Instant | null {
  const m = STAMP.exec(text);
  if (!m) return null;
  const part = (i: number): number => Number(m[i] ?? 0);
  const [year, month, day, hour, minute, second] = [
    part(1),
    part(2),
    part(3),
    part(4),
    part(5),
    part(6),
  ];
  if (hour > 23 || minute > 59 || second > 59 || part(9) > 23 || part(10) > 59) return null;
  const ms = Number((m[7] ?? '').padEnd(3, '0').slice(0, 3));
  const date = new Date(0);
  date.setUTCFullYear(year, month - 1, day); // Date.UTC would read the years 0 to 99 as 1900 to 1999
  if (date.getUTCMonth() !== month - 1 || date.getUTCDate() !== day) return null;
  const local = date.getTime() + hour * MS.hour + minute * MS.minute + second * MS.second + ms;
  const offset = part(9) * MS.hour + part(10) * MS.minute;
  return m[8] === '-' ? local + offset : local - offset;
}

/** A time that was parsed when it came in. @throws {RangeError} where it is none after all */
export function instantOf(text: string): Instant {
  const at = parseInstant(text);
  if (at === null) throw new RangeError(`‘${text}’ is no time`);
  return at;
}

/** The instant as `YYYY-MM-DDTHH:MM:SS.fffZ`. */
export const isoOf = (at: Instant): string => new Date(at).toISOString();
