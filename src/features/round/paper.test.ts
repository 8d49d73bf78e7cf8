import { cellsOf, pasteInto, readPaper, timeIn, type PaperRow } from './paper';
import type { FieldPlace } from '@/core/snapshot/round-snapshot';

const US = { nowLocal: '2026-11-29T08:00', dayFirst: false };
const UK = { ...US, dayFirst: true };

test.each([
  ['2026-11-24 7:10', US, null, '2026-11-24T07:10'],
  ['11/24 7:10', US, null, '2026-11-24T07:10'],
  ['24/11 7.10', UK, null, '2026-11-24T07:10'],
  ['24.11.26 17h05', UK, null, '2026-11-24T17:05'],
  ['12/31 23:59', US, null, '2025-12-31T23:59'],
  ['7:10', US, '2026-11-23', '2026-11-23T07:10'],
  ['7:10 PM', US, '2026-11-23', '2026-11-23T19:10'],
  ['11/24 12:05 a.m.', US, null, '2026-11-24T00:05'],
  ['11/24 17:05 pm', US, null, null],
  ['7:10', US, null, null],
  ['24/11 7:10', US, null, null],
  ['2/29 7:10', US, null, null],
  ['11/24 24:00', US, null, null],
  ['this morning', US, null, null],
])('%j is %s', (text, clock, before, at) => expect(timeIn(text, clock, before)).toBe(at));

const place = (id: string, c: number | null): FieldPlace =>
  ({ id, label: `${id} core`, last: c === null ? null : { c, at: 0 } }) as unknown as FieldPlace;
const given = {
  ...US,
  places: [place('P1', 60), place('P2', null)],
  unit: 'C' as const,
  instrument: null,
};
const row = (id: string, when: string, ...values: string[]): PaperRow => ({
  id,
  when,
  cells: Object.fromEntries(values.map((v, i) => [`P${i + 1}`, v])),
});

test('a day is carried down the rows, and empty rows ask for nothing', () => {
  const read = readPaper(
    [row('a', '11/24 7:10', '58.5', '55-59'), row('b', '17:00', '59,5'), row('c', '')],
    {},
    given,
  );
  expect(read.rows.map((r) => r.at)).toEqual(['2026-11-24T07:10', '2026-11-24T17:00', null]);
  expect(read.rows[0]!.values).toMatchObject([{ value: 58.5 }, { value: 55, high: 59 }]);
  expect(read).toMatchObject({ readings: 3, questions: [], ready: true });
});

test('what is no time and no number holds it up, each with its text', () => {
  const read = readPaper([row('a', 'noon', 'hot', '58')], {}, given);
  expect(read.ready).toBe(false);
  expect(read.rows[0]!.whenProblem).toMatch(/‘noon’ is not a time/);
  expect(read.rows[0]!.problems.P1).toMatch(/‘hot’ is not a number/);
});

test('an odd value is asked about as on the phone; the answer goes with it, and a new text is asked about anew', () => {
  const typed = row('a', '11/24 7:10', '137');
  const asked = readPaper([typed], {}, given);
  expect(asked).toMatchObject({ ready: false, questions: [{ doubt: { code: 'OVER_90' } }] });
  const answers = { 'a P1 137': [{ code: 'OVER_90' as const, answer: 'other-unit' as const }] };
  const told = readPaper([typed], answers, given);
  expect(told).toMatchObject({ ready: true });
  expect(told.rows[0]!.values).toMatchObject([
    { value: 137, unit: 'F', typed: { value: 137, unit: 'C' } },
  ]);
  expect(readPaper([row('a', '11/24 7:10', '138')], answers, given).ready).toBe(false);
});

test('a block from a spreadsheet is laid over the sheet from a cell on', () => {
  const block = cellsOf('11/24 7:10\t58\t57\r\n11/25 7:20\t59\t58\r\n');
  let n = 0;
  const rows = pasteInto([row('a', '')], block, { row: 0, column: -1 }, given.places, () =>
    row(`new${(n += 1)}`, ''),
  );
  expect(rows).toEqual([row('a', '11/24 7:10', '58', '57'), row('new1', '11/25 7:20', '59', '58')]);
});
