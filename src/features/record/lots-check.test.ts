import { bookOf, F, H, SEASON } from '../../../tests/support/season';
import { entry, idOf, NOW } from '../../../tests/support/store';
import { withId } from '../../../tests/support/season';
import { partOfSite, readSiteFile } from '@/core/flow/site-file';
import { traceFrom, traceUnheated } from '@/core/flow/trace';
import { siteFileOf } from '@/core/lots/site-file-of';
import type { Entry } from '@/core/log/entry';
import { MS } from '@/core/quantity/instant';
import { openFile } from '@/checker/open-file';
import { sha256 } from '@/platform/hash';
import { checkLots } from './lots-check';

const fileTextOf = (entries: readonly Entry[], batch?: string): string => {
  const { state, book } = bookOf(entries);
  return JSON.stringify(
    siteFileOf({
      site: { name: 'Hopyard Corner', timeZone: 'UTC', leastHotM3: 1 },
      madeAt: NOW,
      flows: book.site,
      state,
      nameOf: (id) => (id === F ? 'F1' : id),
      proofs: book.germProofs,
      ...(batch === undefined ? {} : { batch }),
    }),
  );
};
const checked = (text: string) => {
  const parsed = readSiteFile(text);
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  return checkLots(parsed, NOW);
};

test('lots, shares and outcomes are worked out from the file alone', () => {
  const bag = withId(
    idOf(970) as string,
    entry(
      'maturity-test',
      { lot: F, ended: false, values: { kind: 'bag', moist: true, smell: null, puffed: null } },
      9 * 24,
    ),
  );
  const end = entry(
    'maturity-test',
    {
      ...{ test: bag.id, lot: F, ended: true },
      values: { kind: 'bag', moist: null, smell: 'earthy', puffed: false },
    },
    5 * 24,
  );
  const { lots, tests, outs } = checked(fileTextOf([...SEASON, bag, end], H));
  // What was heated throughout has no raw part; all of the fines passed through the batch.
  expect(lots.rows).toContainEqual(['F1', '300 L', 'none', '100 %']);
  expect(tests.rows).toEqual([['F1', 'Sealed bag test: passed', expect.stringMatching(/May/)]]);
  expect(outs.rows).toHaveLength(2);
  expect(outs.rows[1]).toEqual([
    'F1',
    'Sold, A neighbour, 100 L',
    'none',
    expect.stringMatching(/May 16/),
  ]);
});

test('a litre that is changed in the file changes the shares: nothing is taken from what it says', () => {
  const raw = entry('addition', { raw: true, litres: 500 }, 34 * 24, H);
  const text = fileTextOf([...SEASON, raw], H);
  // 500 L came in raw after the proof, to 2,000 L: a fifth.
  expect(checked(text).lots.rows).toContainEqual(['F1', '300 L', '20 %', '100 %']);
  const forged = text.replace('"litres":500', '"litres":5');
  expect(checked(forged).lots.rows).toContainEqual(['F1', '300 L', 'under 1 %', '100 %']);
});

test('the part of a site that bears on a batch has the shares of the whole', () => {
  const other = [
    ...SEASON,
    withId(idOf(971) as string, entry('lot', { kind: 'product', code: 'P1' }, 9 * 24)),
    entry('lot-move', { from: F, to: idOf(971), litres: 50, all: false }, 8 * 24),
    // A lot that has nothing to do with the batch.
    withId(idOf(972) as string, entry('lot', { kind: 'product', code: 'P2' }, 9 * 24)),
  ];
  const { site } = bookOf(other).book;
  const part = partOfSite(site, H);
  expect(part.lots.map((l) => l.id)).not.toContain(idOf(972));
  const of = (s: typeof site) =>
    new Map(traceUnheated(s, null).lots.map((l) => [l.lot, [l.litres, l.any, l.raw]]));
  for (const [lot, shares] of of(part)) expect(shares).toEqual(of(site).get(lot));
  expect(traceFrom(part, [H], null).lots).toEqual(traceFrom(site, [H], null).lots);
});

test('the page that checks itself tells a site file from a batch file, and names what is wrong in it', () => {
  const opened = openFile(fileTextOf(SEASON, H), sha256, NOW + MS.day);
  expect(opened).toMatchObject({ ok: true, digest: expect.stringMatching(/^[0-9a-f]{64}$/) });
  const twice = fileTextOf(SEASON).replace('"litres":300', '"litres":-300');
  expect(openFile(twice, sha256, NOW)).toMatchObject({
    ok: false,
    tampered: false,
    problems: [expect.stringMatching(/flows\[\d+\]\.litres/)],
  });
});
