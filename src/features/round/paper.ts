import { say } from '@/messages/say';
import {
  answered,
  doubtsOf,
  type Doubt,
  type DoubtAnswer,
  type DoubtCode,
} from '@/core/advice/doubt';
import { toCelsius, type TempUnit } from '@/core/units/units';
import { faultyReasonText } from '@/core/words/doubt';
import type { FieldPlace } from '@/core/snapshot/round-snapshot';
import { hourOfDay } from '@/core/quantity/typed-hour';
import { itemAt, present } from '@/core/quantity/present';
import { numberIn, rangeIn } from './pad';
import type { RoundInstrument } from './offline-round-data';

/** Readings that were taken on paper, typed in at the desk: a row for each time, a column for each place. */
export type PaperRow = {
  readonly id: string;
  readonly when: string;
  /** As typed, by place. */ readonly cells: Readonly<Record<string, string>>;
};
/** What was answered to the questions about a value, by the row, the place and the text that they were about. */
export type PaperAnswers = Readonly<
  Record<string, readonly { readonly code: DoubtCode; readonly answer: DoubtAnswer }[]>
>;
export const answerKey = (row: PaperRow, place: string): string =>
  `${row.id} ${place} ${row.cells[place]?.trim() ?? ''}`;

type Given = {
  readonly places: readonly FieldPlace[];
  readonly unit: TempUnit;
  readonly instrument: RoundInstrument | null;
  /** The site's clock, `YYYY-MM-DDTHH:MM`. */ readonly nowLocal: string;
  /** Whether 3/4 is the third of April. */ readonly dayFirst: boolean;
};

type PaperValue = {
  readonly place: string;
  readonly value: number;
  readonly unit: TempUnit;
  readonly high: number | null;
  readonly typed: { readonly value: number; readonly unit: TempUnit } | null;
  readonly answers: PaperAnswers[string];
  readonly faulty: boolean;
};
/** A question that is still open: at which row and place, and what was typed there. */
export type PaperQuestion = {
  readonly row: PaperRow;
  readonly place: FieldPlace;
  readonly doubt: Doubt;
  readonly value: number;
  readonly unit: TempUnit;
};
export type ReadRow = {
  readonly row: PaperRow;
  /** By the site's clock; null: not told yet. */ readonly at: string | null;
  readonly values: readonly PaperValue[];
  /** What is wrong with the time, and with each value, by place. */
  readonly whenProblem: string | null;
  readonly problems: Readonly<Record<string, string>>;
};
export type ReadPaper = {
  readonly rows: readonly ReadRow[];
  readonly questions: readonly PaperQuestion[];
  /** Values that can be saved. */ readonly readings: number;
  /** Nothing stands in the way of saving. */ readonly ready: boolean;
};

const two = (n: number): string => String(n).padStart(2, '0');
const isDay = (y: number, m: number, d: number): boolean => {
  const date = new Date(Date.UTC(y, m - 1, d));
  return date.getUTCMonth() === m - 1 && date.getUTCDate() === d;
};

/**
 * The time that a text says, `YYYY-MM-DDTHH:MM`: `2026-11-24 7:10`, `24/11 7.10`, `7:10 PM`, or `7:10` alone for the day of the row before.
 * A date without a year is the last such day that is not still to come. Null: it says none.
 */
export function timeIn(
  text: string,
  { nowLocal, dayFirst }: Pick<Given, 'nowLocal' | 'dayFirst'>,
  dayBefore: string | null,
): string | null {
  const clock = /(?:^|[\sT])(\d{1,2})[:.h](\d{2})\s*([ap]\.?\s?m\.?)?$/i.exec(text.trim());
  if (!clock) return null;
  const [hour, minute] = [hourOfDay(Number(clock[1]), clock[3]), Number(clock[2])];
  if (hour === null || minute > 59) return null;
  const date = text.trim().slice(0, clock.index).trim();
  const day = date === '' ? dayBefore : dayIn(date, nowLocal, dayFirst);
  return day && `${day}T${two(hour)}:${two(minute)}`;
}

function dayIn(text: string, nowLocal: string, dayFirst: boolean): string | null {
  const whole = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text);
  const short = /^(\d{1,2})[./-](\d{1,2})(?:[./-](\d{2}|\d{4}))?\.?$/.exec(text);
  if (!whole && !short) return null;
  const [a, b] = [Number(short?.[1]), Number(short?.[2])];
  const [month, day] = whole ? [Number(whole[2]), Number(whole[3])] : dayFirst ? [b, a] : [a, b];
  const thisYear = Number(nowLocal.slice(0, 4));
  const given = whole?.[1] ?? short?.[3];
  const year =
    given === undefined
      ? `${thisYear}-${two(month)}-${two(day)}` > nowLocal.slice(0, 10)
        ? thisYear - 1
        : thisYear
      : Number(given) + (given.length === 2 ? 2000 : 0);
  return isDay(year, month, day) ? `${year}-${two(month)}-${two(day)}` : null;
}

/** The value of a cell with what was answered about it taken in. */
function valueOf(
  place: string,
  text: string,
  unit: TempUnit,
  answers: PaperAnswers[string],
): PaperValue | null {
  const range = rangeIn(text);
  const first = range?.low ?? numberIn(text);
  if (first === null) return null;
  const now = answers.reduce(
    (v, { answer }) => {
      const next = answered(v.value, v.unit, answer);
      return { value: next.value, unit: next.unit };
    },
    { value: first, unit },
  );
  const changed = now.value !== first || now.unit !== unit;
  return {
    place,
    ...now,
    high: range && !changed ? range.high : null,
    typed: changed ? { value: first, unit } : null,
    answers,
    faulty: answers.some(({ answer }) => answer === 'faulty'),
  };
}

/** A row with its values, given the day and the values of the row before. */
function readRow(
  row: PaperRow,
  answers: PaperAnswers,
  given: Given,
  dayBefore: string | null,
): ReadRow {
  const at = timeIn(row.when, given, dayBefore);
  const filled = given.places.filter((p) => (row.cells[p.id] ?? '').trim() !== '');
  const values = filled.flatMap((p) => {
    const text = (row.cells[p.id] ?? '').trim();
    return valueOf(p.id, text, given.unit, answers[answerKey(row, p.id)] ?? []) ?? [];
  });
  const numbers = new Set(values.map((v) => v.place));
  const wanted = filled.length > 0 || row.when.trim() !== '';
  return {
    row,
    at,
    values,
    whenProblem: !wanted
      ? null
      : at === null
        ? say('round.paperTimeNotRead', { text: row.when.trim() })
        : at > given.nowLocal
          ? say('round.paperTimeInFuture')
          : null,
    problems: Object.fromEntries(
      filled
        .filter((p) => !numbers.has(p.id))
        .map((p) => [
          p.id,
          say('round.isNotNumberTypeTemperature', { text: (row.cells[p.id] ?? '').trim() }),
        ]),
    ),
  };
}

/** Reads a sheet as far as it is typed: times, values, and what must be asked before it is saved. */
export function readPaper(
  rows: readonly PaperRow[],
  answers: PaperAnswers,
  given: Given,
): ReadPaper {
  const last = new Map(given.places.map((p) => [p.id, p.last?.c ?? null]));
  const questions: PaperQuestion[] = [];
  let day: string | null = given.nowLocal.slice(0, 10);
  const read = rows.map((row) => {
    const r = readRow(row, answers, given, day);
    day = r.at?.slice(0, 10) ?? day;
    for (const v of r.values) {
      const place = present(
        given.places.find((p) => p.id === v.place),
        'the place of a value',
      );
      const doubt = v.faulty
        ? undefined
        : doubtsOf(v.value, {
            unit: v.unit,
            lastC: last.get(v.place) ?? null,
            airC: null,
            instrument: given.instrument,
            others: r.values.filter((o) => o.place !== v.place).map((o) => o.value),
          }).find((d) => !v.answers.some((a) => a.code === d.code));
      if (doubt) questions.push({ row, place, doubt, value: v.value, unit: v.unit });
    }
    for (const v of r.values) if (!v.faulty) last.set(v.place, toCelsius(v.value, v.unit));
    return r;
  });
  const readings = read.reduce((n, r) => n + r.values.length, 0);
  return {
    rows: read,
    questions,
    readings,
    ready:
      readings > 0 &&
      questions.length === 0 &&
      read.every((r) => r.whenProblem === null && Object.keys(r.problems).length === 0),
  };
}

/** A row as an entry of the log; it has happened when the paper says. */
export const formOfRow = (
  { row, at, values }: ReadRow,
  batch: string,
  by: string,
  probe: string | null,
) => ({
  id: row.id,
  batch,
  kind: 'round' as const,
  at,
  by,
  data: {
    source: 'hand' as const,
    readings: values.map((v) => ({
      id: `${row.id}-${v.place}`,
      point: v.place,
      value: v.value,
      unit: v.unit,
      ...(probe === null ? {} : { probe }),
      ...(v.high === null ? {} : { high: v.high }),
      ...(v.typed ? { typed: v.typed } : {}),
      ...(v.answers.length > 0 ? { doubts: v.answers } : {}),
      ...(v.faulty ? { flag: 'rejected' as const, flagReason: faultyReasonText() } : {}),
    })),
  },
});

/** What a spreadsheet puts on the clipboard, as lines of cells. */
export const cellsOf = (text: string): string[][] =>
  text
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((line) => line.split('\t'));

/**
 * Lays a block of cells over the sheet from a cell on; rows are added as it needs them.
 * @param at the cell; column −1 is the time
 */
export function pasteInto(
  rows: readonly PaperRow[],
  block: readonly (readonly string[])[],
  at: { readonly row: number; readonly column: number },
  places: readonly { readonly id: string }[],
  newRow: () => PaperRow,
): PaperRow[] {
  const out = [...rows];
  while (out.length < at.row + block.length) out.push(newRow());
  block.forEach((line, dy) => {
    const row = itemAt(out, at.row + dy);
    let { when } = row;
    const cells = { ...row.cells };
    line.forEach((text, dx) => {
      const to = at.column + dx;
      if (to === -1) when = text.trim();
      else if (places[to]) cells[places[to].id] = text.trim();
    });
    out[at.row + dy] = { ...row, when, cells };
  });
  return out;
}
