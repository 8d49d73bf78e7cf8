import { say } from '../../messages/say';
import { instantsOfLocal } from '../quantity/calendar';
import { hourOfDay } from '../quantity/typed-hour';
import { isoOf, parseInstant, type Instant } from '../quantity/instant';
import type { FileReading } from '../log/shapes';
import type { Point } from '../evidence/types';
import { firstOf, itemAt } from '../quantity/present';

/** Long: time, point, value in each row. Wide: time, and one column for each point. */
export type CsvShape = 'long' | 'wide';
/** Order of day, month and year where a date is not written year first. */
type DateOrder = 'dmy' | 'mdy';
export type CsvOptions = {
  readonly shape: CsvShape;
  readonly unit: 'C' | 'F';
  readonly timeZone: string;
  readonly dateOrder: DateOrder;
};

/** A row that cannot be read, by its line in the file (the header is line 1). */
export type BadRow = { readonly line: number; readonly reason: string };
export type CsvReadings = {
  readonly points: readonly Point[];
  readonly readings: readonly FileReading[];
  readonly bad: readonly BadRow[];
};

const NAMES = {
  time: ['time', 'at', 'when', 'timestamp', 'datetime', 'date', 'date time'],
  point: ['point', 'place', 'sensor', 'position', 'location', 'channel'],
  value: [
    'value',
    'temp',
    'temperature',
    'reading',
    'temp c',
    'temp f',
    'temperature c',
    'temperature f',
    '°c',
    '°f',
  ],
  unit: ['unit'],
  probe: ['probe', 'thermometer'],
  round: ['round'],
  flag: ['flag'],
  reason: ['reason', 'flagreason'],
  id: ['id'],
  high: ['high', 'upper end'],
  marks: ['marks'],
} as const;
type ColumnName = keyof typeof NAMES;

const tidy = (text: string): string =>
  text
    .replace(/^\uFEFF/, '')
    .trim()
    .toLowerCase()
    .replace(/[_\-()[\]]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

function columnsOf(header: readonly string[]): Partial<Record<ColumnName, number>> {
  const tidied = header.map(tidy);
  const found: Partial<Record<ColumnName, number>> = {};
  for (const name of Object.keys(NAMES) as ColumnName[]) {
    const i = tidied.findIndex((h) => (NAMES[name] as readonly string[]).includes(h));
    if (i >= 0) found[name] = i;
  }
  return found;
}

/** The form that a header looks like; people can say otherwise. */
export function guessShape(header: readonly string[]): CsvShape {
  const c = columnsOf(header);
  return c.point !== undefined && c.value !== undefined ? 'long' : 'wide';
}

const pad = (n: string | undefined): string => (n ?? '0').padStart(2, '0');

/** A date and time without an offset as `YYYY-MM-DDTHH:MM:SS`, or null. */
function localOf(text: string, order: DateOrder): string | null {
  const m =
    /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})[T ]+(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*([ap]\.?\s?m\.?)?$/i.exec(
      text,
    );
  if (m) return stamp(m[1]!, m[2]!, m[3]!, m);
  const d =
    /^(\d{1,2})[-/.](\d{1,2})[-/.](\d{4}),?[T ]+(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*([ap]\.?\s?m\.?)?$/i.exec(
      text,
    );
  if (!d) return null;
  return order === 'dmy' ? stamp(d[3]!, d[2]!, d[1]!, d) : stamp(d[3]!, d[1]!, d[2]!, d);
}

function stamp(year: string, month: string, day: string, m: RegExpExecArray): string | null {
  const hour = hourOfDay(Number(m[4]), m[7]);
  const local = `${year}-${pad(month)}-${pad(day)}T${pad(String(hour))}:${m[5]}:${pad(m[6])}`;
  return parseInstant(`${local}Z`) === null ? null : local;
}

/** Reads a time; `after` tells the second pass of an hour that the clock repeats from the first. */
function timeOf(
  text: string,
  { timeZone, dateOrder }: CsvOptions,
  after: Instant,
): Instant | string {
  const whole = parseInstant(text.replace(' ', 'T'));
  if (whole !== null) return whole;
  const local = localOf(text, dateOrder);
  if (local === null) return say('formats.csvNotATime', { text });
  const passes = instantsOfLocal(timeZone, local);
  if (passes.length === 0) return say('formats.csvClockNeverShowed', { timeZone, text });
  return passes.find((at) => at > after) ?? firstOf(passes);
}

/** A number with point or comma; units and degree signs beside it are dropped. */
function valueOf(text: string): number | null {
  const m = /^([+\-−]?\d+(?:[.,]\d+)?)\s*(?:°?\s*[CF])?$/i.exec(text.trim());
  return m ? Number(m[1]!.replace('−', '-').replace(',', '.')) : null;
}

/** Reads a table of texts, header first. Nothing is guessed: a row that cannot be read is named, and the caller brings in nothing. */
export function readCsv(rows: readonly (readonly string[])[], options: CsvOptions): CsvReadings {
  const header = rows[0] ?? [];
  const columns = columnsOf(header);
  const fail = (reason: string): CsvReadings => ({
    points: [],
    readings: [],
    bad: [{ line: 1, reason }],
  });
  if (columns.time === undefined)
    return fail(
      say('formats.csvNoTimeColumn', {
        found:
          header
            .map((h) => h.trim())
            .filter(Boolean)
            .join(', ') || say('formats.csvNoColumns'),
      }),
    );
  if (options.shape === 'long' && (columns.point === undefined || columns.value === undefined))
    return fail(say('formats.csvLongForm'));
  return options.shape === 'long'
    ? readLong(
        rows,
        columns as Record<'time' | 'point' | 'value', number> & typeof columns,
        options,
      )
    : readWide(rows, columns.time, options);
}

/** An exported cell that a spreadsheet would take for a formula stands behind an apostrophe, which is no part of it. */
const unguarded = (cell: string): string => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);

const blank = (row: readonly string[]): boolean => row.every((cell) => cell.trim() === '');

function readLong(
  rows: readonly (readonly string[])[],
  c: Record<'time' | 'point' | 'value', number> & Partial<Record<ColumnName, number>>,
  options: CsvOptions,
): CsvReadings {
  const readings: FileReading[] = [];
  const bad: BadRow[] = [];
  const last = new Map<string, Instant>();
  const ids = new Set<string>();
  rows.slice(1).forEach((row, i) => {
    if (blank(row)) return;
    const line = i + 2;
    const cell = (name: ColumnName): string =>
      c[name] === undefined ? '' : unguarded((row[c[name]] ?? '').trim());
    const point = cell('point');
    const value = valueOf(cell('value'));
    const at = timeOf(cell('time'), options, last.get(point) ?? -Infinity);
    const unit = cell('unit').replace('°', '').toUpperCase() || options.unit;
    const flag = cell('flag').toLowerCase();
    const id = cell('id') || `L${line}`;
    const reason =
      typeof at === 'string'
        ? at
        : point === ''
          ? say('formats.csvPointEmpty')
          : value === null
            ? say('formats.csvNotATemperature', { text: cell('value') })
            : unit !== 'C' && unit !== 'F'
              ? say('formats.csvUnit', { unit })
              : flag !== '' && flag !== 'superseded' && flag !== 'rejected'
                ? say('formats.csvFlag', { flag })
                : ids.has(id)
                  ? say('formats.csvIdTwice', { id })
                  : null;
    if (reason !== null || typeof at === 'string' || value === null) {
      bad.push({ line, reason: reason ?? say('formats.csvUnreadable') });
      return;
    }
    last.set(point, at);
    ids.add(id);
    const extra = { probe: cell('probe'), round: cell('round'), flag, flagReason: cell('reason') };
    // How unsure a value is comes back as it went out: a range's upper end, and marks such as about.
    const [high, marks] = [valueOf(cell('high')), cell('marks').split(/\s+/).filter(Boolean)];
    readings.push({
      id,
      at: isoOf(at),
      point,
      value,
      unit: unit as 'C' | 'F',
      ...Object.fromEntries(Object.entries(extra).filter(([, v]) => v !== '')),
      ...(high === null ? {} : { high }),
      ...(marks.length > 0 ? { marks } : {}),
    });
  });
  return {
    points: [...new Set(readings.map((r) => r.point))].map((id) => ({ id })),
    readings,
    bad,
  };
}

function readWide(
  rows: readonly (readonly string[])[],
  timeColumn: number,
  options: CsvOptions,
): CsvReadings {
  const header = firstOf(rows).map((h) => h.replace(/^\uFEFF/, '').trim());
  const places = header
    .map((name, i) => ({ name, i }))
    .filter(({ name, i }) => i !== timeColumn && name !== '');
  if (places.length === 0)
    return {
      points: [],
      readings: [],
      bad: [{ line: 1, reason: say('formats.csvOneColumn') }],
    };
  if (new Set(places.map((p) => p.name)).size < places.length)
    return {
      points: [],
      readings: [],
      bad: [{ line: 1, reason: say('formats.csvSameName') }],
    };
  const readings: FileReading[] = [];
  const bad: BadRow[] = [];
  let last = -Infinity;
  rows.slice(1).forEach((row, i) => {
    if (blank(row)) return;
    const line = i + 2;
    const at = timeOf((row[timeColumn] ?? '').trim(), options, last);
    if (typeof at === 'string') {
      bad.push({ line, reason: at });
      return;
    }
    const wrong = places.find(
      ({ i: k }) => (row[k] ?? '').trim() !== '' && valueOf(itemAt(row, k)) === null,
    );
    if (wrong) {
      bad.push({
        line,
        reason: say('formats.csvUnderNotATemperature', {
          text: itemAt(row, wrong.i).trim(),
          name: wrong.name,
        }),
      });
      return;
    }
    last = at;
    for (const { name, i: k } of places) {
      const value = valueOf(row[k] ?? '');
      if (value !== null)
        readings.push({
          id: `L${line}.${name}`,
          at: isoOf(at),
          point: name,
          value,
          unit: options.unit,
        });
    }
  });
  return { points: places.map(({ name }) => ({ id: name })), readings, bad };
}
