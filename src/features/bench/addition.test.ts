import { foldStore } from '@/core/mix/store';
import { barrows, load, LOCALE } from '../../../tests/support/store';
import {
  addToRows,
  additionStock,
  carryingMeasure,
  mergeAlike,
  newRow,
  waterWith,
} from './addition';
import { ingredientOfRow, itemsOf, type BenchLine } from './view';

const store = foldStore([
  load('green-chip', barrows(20), {}, 300),
  load('green-chip', barrows(1), { what: 'last of the old chip' }, 500),
]);
const view = { items: itemsOf(store, LOCALE), measures: store.measures };
const lineOf = (key: string, n: number): BenchLine => {
  const item = view.items.find((i) => i.key === key)!;
  const row = newRow('r', key, String(n), 'barrow');
  const ingredient = ingredientOfRow(row, item, barrows(n));
  return { row, item, n, part: null, ingredient, wrong: null };
};

test('a barrow carries what is offered; a site with none carries in what it has', () => {
  expect(carryingMeasure(view)?.id).toBe('barrow');
  const bucket = { id: 'bucket', name: 'bucket', litres: 12 };
  expect(carryingMeasure({ measures: [bucket] })).toBe(bucket);
  expect(carryingMeasure({ measures: [] })).toBeNull();
});

describe('what may be added', () => {
  test('of two loads of one material the fuller one stands for both', () => {
    const { ofStore } = additionStock(view, [], []);
    expect(ofStore.filter((s) => s.stuff.material === 'green-chip')).toHaveLength(1);
    const litres = carryingMeasure(view)!.litres;
    expect(ofStore[0]?.hasLitres).toBeCloseTo(20 * litres, 6);
  });
  test('what is on the bench already is not there a second time', () => {
    const { ofStore } = additionStock(view, [], []);
    const key = ofStore[0]!.stuff.key;
    const left = additionStock(view, [], [lineOf(key, 5)]).ofStore[0]?.hasLitres;
    expect(ofStore[0]!.hasLitres! - left!).toBeCloseTo(5 * carryingMeasure(view)!.litres, 6);
  });
  test('raw dung, seeds and disease are offered only to a mix that holds them; sprayed stuff to none', () => {
    const risky = view.items.filter((i) => i.stuff.risks.length > 0);
    expect(risky.length).toBeGreaterThan(0);
    const offered = (parts: Parameters<typeof additionStock>[1]) =>
      additionStock(view, parts, []).ofLibrary.flatMap((s) => s.stuff.risks);
    expect(offered([])).not.toContain('raw-animal');
    expect(offered([])).not.toContain('seeds');
    const holdsDung = risky.find((i) => i.stuff.risks.includes('raw-animal'))!;
    const dung = lineOf(holdsDung.key, 1).ingredient!;
    expect(offered([dung])).toContain('raw-animal');
    expect(offered([dung])).not.toContain('chemical');
  });
});

describe('an addition that is taken', () => {
  const addition = { key: 'load:a', n: 3 };
  test('goes to the row that is there in the same measure, whatever comma was typed', () => {
    const rows = [newRow('x', 'load:a', '2,5', 'barrow'), newRow('y', 'load:b', '1', 'barrow')];
    expect(addToRows(rows, addition, 'barrow', () => 'new').map((r) => r.n)).toEqual(['5.5', '1']);
  });
  test('is a row of its own in another measure, or where there is none', () => {
    const rows = [newRow('x', 'load:a', '2', 'bucket')];
    expect(addToRows(rows, addition, 'barrow', () => 'new')).toEqual([
      rows[0],
      newRow('new', 'load:a', '3', 'barrow'),
    ]);
  });
  test('water goes with it in cans of five litres, and a splash does not', () =>
    expect([0, 2.4, 2.5, 7, 12.6].map((waterL) => waterWith({ waterL }))).toEqual([
      0, 0, 5, 5, 15,
    ]));
});

test('the same stuff put in twice is one; what nobody counted makes the sum unknown', () => {
  const { ingredient } = lineOf(view.items[0]!.key, 2);
  const once = ingredient!;
  expect(mergeAlike([once, once])).toEqual([
    { ...once, kg: once.kg! * 2, litres: once.litres! * 2 },
  ]);
  expect(mergeAlike([once, { ...once, kg: null, litres: null }])[0]).toMatchObject({
    kg: null,
    litres: null,
  });
  expect(mergeAlike([once, { ...once, name: 'other' }])).toHaveLength(2);
});
