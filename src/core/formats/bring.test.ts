import fc from 'fast-check';
import { sha256 } from '../../../tests/support/sha256';
import { isoOf } from '../quantity/instant';
import { fileOfBrought, previewBrought, rulesNamedIn, rulesOfBrought, type Brought } from './bring';

/** Batches from elsewhere: the same temperatures, as a batch file and as a table, must come to the same. */
const BUILT = Date.UTC(2026, 4, 1);
const HOUR = 3_600_000;
const POINTS = ['core', 'edge', 'top'] as const;

/** Rounds of three points, each value in tenths of a degree. */
type Round = { readonly hours: number; readonly values: readonly number[] };
const rounds: fc.Arbitrary<readonly Round[]> = fc
  .array(
    fc.record({
      gap: fc.integer({ min: 1, max: 30 }),
      values: fc.array(fc.integer({ min: 200, max: 750 }), { minLength: 3, maxLength: 3 }),
    }),
    { minLength: 1, maxLength: 20 },
  )
  .map((list) => {
    let hours = 0;
    return list.map(({ gap, values }) => {
      hours += gap;
      return { hours, values: values.map((v) => v / 10) };
    });
  });

const asFile = (list: readonly Round[], more: object = {}): Brought => ({
  kind: 'file',
  text: JSON.stringify({
    ...{ format: 'zealous-heap/batch', version: 1 },
    site: { name: 'Mill Lane', timeZone: 'Europe/London', unit: 'C' },
    batch: { code: 'E', method: 'static', builtAt: isoOf(BUILT) },
    points: POINTS.map((id) => ({ id })),
    readings: list.flatMap(({ hours, values }, n) =>
      values.map((value, i) => ({
        ...{ id: `${n}-${i}`, at: isoOf(BUILT + hours * HOUR), point: POINTS[i], value, unit: 'C' },
      })),
    ),
    ...more,
  }),
});
const asTable = (
  rows: readonly (readonly string[])[],
  builtLocal = '2026-05-01T01:00',
): Brought => ({
  ...{ kind: 'csv', rows },
  options: { shape: 'wide', unit: 'C', timeZone: 'Europe/London', dateOrder: 'dmy' },
  batch: { code: 'E', method: 'static', builtLocal, siteName: 'Mill Lane' },
});
const tableOf = (list: readonly Round[]): (readonly string[])[] => [
  ['time', ...POINTS],
  ...list.map(({ hours, values }) => [
    isoOf(BUILT + hours * HOUR),
    // As spreadsheets in half of Europe write it.
    ...values.map((v) => String(v).replace('.', ',')),
  ]),
];
const preview = (brought: Brought, unit: 'C' | 'F' = 'C') => {
  const seen = previewBrought(brought, unit, sha256);
  if (!seen.ok) throw new Error(JSON.stringify(seen.problems));
  return seen;
};
const problemsOf = (brought: Brought): string[] => {
  const read = fileOfBrought(brought, sha256);
  return read.ok ? [] : read.problems.map((p) => `${p.path}: ${p.message}`);
};

test('a table and a batch file of the same temperatures give the same verdicts, whatever they are', () =>
  fc.assert(
    fc.property(rounds, (list) => {
      const [file, table] = [preview(asFile(list)), preview(asTable(tableOf(list)))];
      expect(table.verdicts).toEqual(file.verdicts);
      expect(table.verdicts.length).toBeGreaterThan(3);
      expect([table.readings, table.points, table.from, table.to]).toEqual([
        ...[file.readings, file.points, file.from, file.to],
      ]);
    }),
    { numRuns: 60, seed: 20261130 },
  ));

test('seen in °F it is the same batch, said in °F', () => {
  const list = [12, 24, 36, 48, 60, 72, 84].map((hours) => ({ hours, values: [61, 62, 63] }));
  const [c, f] = [preview(asFile(list)), preview(asFile(list), 'F')];
  expect(f.verdicts.map((v) => [v.id, v.status])).toEqual(c.verdicts.map((v) => [v.id, v.status]));
  expect(c.verdicts.map((v) => v.text).join(' ')).toMatch(/55 °C/);
  expect(f.verdicts.map((v) => v.text).join(' ')).toMatch(/131 °F/);
  expect(f.verdicts.some((v) => v.status === 'proven')).toBe(true);
});

test('a table with bad rows is refused whole, each by its line', () => {
  const rows = tableOf([{ hours: 5, values: [50, 51, 52] }]);
  const found = problemsOf(
    asTable([...rows, ['soon', '50', '51', '52'], ['2026-05-02T08:00Z', '', 'warm', '']]),
  );
  expect(found).toHaveLength(2);
  expect(found[0]).toMatch(/3.*soon/);
  expect(found[1]).toMatch(/4.*warm/);
});

test('a table with no reading, and one built in an hour that the clock left out', () => {
  expect(problemsOf(asTable([['time', ...POINTS]]))).toEqual([
    expect.stringMatching(/no reading/i) as string,
  ]);
  const rows = tableOf([{ hours: 5, values: [50, 51, 52] }]);
  // Clocks in Britain went from 01:00 to 02:00 on that day: common knowledge, and in the IANA time zone database.
  expect(problemsOf(asTable(rows, '2026-03-29T01:30'))).toEqual([
    expect.stringMatching(/^builtAt: /) as string,
  ]);
  expect(problemsOf(asTable(rows, 'yesterday'))).toEqual([
    expect.stringMatching(/^builtAt: /) as string,
  ]);
});

test('what is no batch file is refused by the place that is wrong', () => {
  expect(problemsOf({ kind: 'file', text: 'time;P1' })[0]).toMatch(/JSON/);
  const elsewhere = [{ id: 'r', at: isoOf(BUILT + HOUR), point: 'nowhere', value: 50, unit: 'C' }];
  expect(problemsOf(asFile([], { readings: elsewhere }))[0]).toMatch(/^readings\[0\]\.point/);
  const newer = { version: 1, library: 9999, rules: [] };
  expect(problemsOf(asFile([], { terms: newer }))[0]).toMatch(/^terms\.library/);
  expect(
    problemsOf(asFile([{ hours: 1, values: [50, 51, 52] }], { trail: { entries: [{}] } }))[0],
  ).toMatch(/^trail/);
});

test('it is kept under the rules that were chosen, else under those that the file names', () => {
  const list = [{ hours: 1, values: [50, 51, 52] }];
  const terms = {
    ...{ version: 1, since: isoOf(BUILT), siteVersion: 1 },
    ...{ library: 1, rules: ['us-503-pfrp-static', 'of-another-program'] },
  };
  const read = fileOfBrought(asFile(list, { terms }), sha256);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  expect(rulesNamedIn(read.file)).toEqual(['us-503-pfrp-static']);
  expect(rulesOfBrought(read.file)).toEqual({ ok: true, rules: ['us-503-pfrp-static'] });
  const twice = ['us-503-pfrp-turned', 'us-503-pfrp-turned'];
  expect(rulesOfBrought(read.file, twice)).toEqual({ ok: true, rules: ['us-503-pfrp-turned'] });
  expect(rulesOfBrought(read.file, [])).toEqual({ ok: true, rules: [] });
  expect(rulesOfBrought(read.file, ['of-another-program'])).toEqual({
    ...{ ok: false, unknown: 'of-another-program' },
  });
});
