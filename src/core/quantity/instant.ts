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
export function parseInstant(text: string): Instant | null {
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
