import { asSpeaker } from '../../../tests/support/speech';
import type { UnitSystem } from '@/core/units/units';
import { foldStore } from '@/core/mix/store';
import { barrows, load, LOCALE } from '../../../tests/support/store';
import { newRow } from './addition';
import {
  applyAnswer,
  newSolveDraft,
  readSolveDraft,
  takeAnswer,
  type SolveBench,
  type SolveDraft,
} from './solve-draft';
import { ingredientOfRow, itemsOf, type BenchLine, type BenchRow } from './view';

const store = foldStore([
  load('green-chip', barrows(20), {}, 300),
  load('horse-manure', barrows(6), {}, 200),
]);
const items = itemsOf(store, LOCALE);
const itemOf = (material: string) => items.find((i) => i.inStore && i.material === material)!;
function lineOf(material: string, n: number, change: Partial<BenchRow> = {}): BenchLine {
  const item = itemOf(material);
  const row = { ...newRow(material, item.key, String(n), 'barrow'), ...change };
  return {
    row,
    item,
    n,
    part: null,
    ingredient: ingredientOfRow(row, item, barrows(n)),
    wrong: null,
  };
}
const bench = (lines: BenchLine[], more: Partial<SolveBench> = {}): SolveBench => ({
  lines,
  measures: store.measures,
  already: [],
  alreadyWaterL: 0,
  ...more,
});
const both = [lineOf('green-chip', 4), lineOf('horse-manure', 2)];
const read = (change: Partial<SolveDraft>, b = bench(both)) =>
  readSolveDraft({ ...newSolveDraft(), ...change }, b);

describe('what the solver is asked', () => {
  test('as the form opens: the windows, no less than there is, no more than the store has', () => {
    const { question, litresNow, wrong } = read({});
    expect(wrong).toBeNull();
    expect(question?.target).toMatchObject({
      cn: [25, 30],
      moisturePct: [50, 60],
      densityMost: 640,
      keep: true,
      litres: litresNow,
    });
    const chip = question!.offers.find((o) => o.stuff.material === 'green-chip')!;
    expect(chip.mostKg).toBeCloseTo(chip.nowKg * 5, 6); // 20 barrows in the store, 4 on the bench
    expect(chip.wished).toBe(false);
  });
  test('a volume that is typed is in the unit of whoever types it', () => {
    const litres = (system: UnitSystem) =>
      asSpeaker({ system }, () => read({ litres: '2' }, bench(both, {})).question?.target.litres);
    expect(litres('metric')).toBe(2000);
    expect(litres('us')).toBeCloseTo(1529.11, 1); // a cubic yard is 0.764555 m³ (NIST SP 811)
  });
  test('beyond the store there is no end but the one that is typed', () => {
    expect(read({ stock: false }).question?.offers.map((o) => o.mostKg)).toEqual([null, null]);
    const capped = read(
      { stock: false },
      bench([lineOf('green-chip', 4, { most: '8' }), both[1]!]),
    );
    expect(capped.question?.offers[0]).toMatchObject({ wished: true });
    expect(capped.question!.offers[0]!.mostKg!).toBeCloseTo(
      capped.question!.offers[0]!.nowKg * 2,
      6,
    );
  });
  test('water that the heap was given weighs, and takes no room', () => {
    const { question } = read({}, bench(both, { alreadyWaterL: 40 }));
    expect(question!.offers[0]).toMatchObject({ nowKg: 40, fixed: true, inHeap: true });
    expect(read({}, bench(both, { alreadyWaterL: 40 })).litresNow).toBe(read({}).litresNow);
  });
});

describe('what stands in its way is named', () => {
  test.each([
    [{ cn: ['', '30'] }, /Type each target as a number/],
    [{ dense: 'heavy' }, /Type each target as a number/],
    [{ cn: ['31', '30'] }, /lower end of C:N/],
    [{ wet: ['65', '60'] }, /lower end of moisture/],
    [{ wet: ['50', '100'] }, /less than 100 %/],
    [{ litres: '0' }, /Type each target/],
  ] as [Partial<SolveDraft>, RegExp][])('%j', (change, says) => {
    expect(read(change).wrong).toMatch(says);
    expect(read(change).question).toBeNull();
  });
  test('limits of a row that are none, or cross', () => {
    const bad = (change: Partial<BenchRow>) =>
      read({}, bench([lineOf('green-chip', 4, change)])).badRow;
    expect(bad({ least: 'x' })).toMatch(/as numbers of 0 or more/);
    expect(bad({ least: '5', most: '3' })).toMatch(/at least 5 is more than at most 3/);
    expect(bad({ least: '3', most: '5' })).toBeNull();
  });
  test('more than there is', () => {
    const { short, question } = read({}, bench([lineOf('green-chip', 4, { least: '30' })]));
    expect(short?.leastKg).toBeCloseTo(short!.mostKg * 1.5, 6);
    expect(question).toBeNull();
  });
  test('something fixed of which nobody knows how much', () => {
    const unknown = lineOf('horse-manure', 1, { unit: 'unknown' });
    const { fixedUnknown, question } = read({}, bench([both[0]!, unknown]));
    expect(fixedUnknown).toEqual([unknown.item.name]);
    expect(question).toBeNull();
  });
});

describe('an answer that is taken', () => {
  const fixed = lineOf('horse-manure', 2, { fixed: true });
  const { rows } = read({}, bench([both[0]!, fixed]));
  const kgOfBarrow = rows[0]!.ingredient.kg! / 4;
  const then = applyAnswer(
    rows,
    { amounts: new Map([['green-chip', kgOfBarrow * 6.5]]) },
    store.measures,
  );
  test('is told in the row’s own measure; what is fixed stays, what was left out is nought', () => {
    expect(then.map((r) => [r.now, r.next])).toEqual([
      [4, 6.5],
      [2, 2],
    ]);
    expect(applyAnswer(rows, { amounts: new Map() }, store.measures)[0]?.next).toBe(0);
  });
  test('goes into the rows that it moves, and is no guess any more', () => {
    const typed = [{ ...both[0]!.row, about: true }, fixed.row];
    expect(takeAnswer(typed, then)).toEqual([
      { ...both[0]!.row, n: '6.5', about: false },
      fixed.row,
    ]);
  });
});
