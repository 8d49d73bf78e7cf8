import { loadId } from '../../../tests/support/ids';
import fc from 'fast-check';
import { amountProblem, amountTyped } from '@/core/mix/amount';
import { foldStore } from '@/core/mix/store';
import { barrows, entry, idOf, load, LOCALE } from '../../../tests/support/store';
import {
  farFrom,
  heapMixes,
  ingredientOfRow,
  itemsOf,
  litresOfUnit,
  partOfRow,
  recipeViews,
  rowOfPart,
} from './view';

const store = (...list: Parameters<typeof foldStore>[0]) => foldStore(list);
const chip = load('green-chip', barrows(20), {}, 300);
const little = load('green-chip', barrows(1), { what: 'last of the old chip' }, 500);

describe('a row of the bench', () => {
  const s = store(little, chip);
  const items = itemsOf(s, LOCALE);
  test('takes the load that it names while there is enough of it, else the oldest with enough', () => {
    const row = (n: number, named?: string) =>
      rowOfPart(
        'r',
        { material: 'green-chip', amount: barrows(n), ...(named ? { load: loadId(named) } : {}) },
        s.measures,
        items,
      ).item;
    expect([row(1, chip.id), row(5, little.id), row(5), row(60)]).toEqual([
      `load:${chip.id}`,
      `load:${chip.id}`,
      `load:${chip.id}`,
      `load:${chip.id}`,
    ]);
    expect(row(0.5)).toBe(`load:${little.id}`);
    expect(rowOfPart('r', { material: 'straw', amount: barrows(2) }, s.measures, items).item).toBe(
      'material:straw',
    );
  });
  test('kept and laid out again is the same; a measure that holds something else now is told in the litres of then', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.constantFrom('barrow', 'bucket', 'L', 'kg'),
        fc.boolean(),
        (n, unit, about) => {
          const item = items.find((i) => i.load === loadId(chip.id))!;
          const part = partOfRow(item, amountTyped(n, unit, about, s.measures)!);
          const row = rowOfPart('r', part, s.measures, items);
          expect({ n: Number(row.n), unit: row.unit, about: row.about }).toEqual({
            n,
            unit,
            about,
          });
        },
      ),
    );
    const old = rowOfPart(
      'r',
      {
        material: 'straw',
        amount: { in: 'measure', n: 4, measure: 'barrow', name: 'barrow', litresEach: 60 },
      },
      s.measures,
      items,
    );
    expect([old.n, old.unit]).toEqual(['240', 'L']);
    expect(
      rowOfPart('r', { material: 'straw', amount: { in: 'unknown' } }, s.measures, items).unit,
    ).toBe('unknown');
  });
  test('weighs what its load weighs, in whatever unit it is told', () => {
    const item = items.find((i) => i.load === loadId(chip.id))!;
    for (const unit of ['barrow', 'L', 'kg']) {
      const made = ingredientOfRow(
        { id: 'r', item: item.key, n: '7', unit, about: false, fixed: false },
        item,
        amountTyped(7, unit, false, s.measures)!,
      );
      expect(made.litres).toBeCloseTo(7 * litresOfUnit(unit, item, s.measures)!, 9);
    }
    expect(amountTyped(null, 'kg', false, s.measures)).toBeNull();
    expect(amountTyped(-1, 'L', false, s.measures)).toBeNull();
    expect(amountTyped(undefined, 'unknown', false, s.measures)).toEqual({ in: 'unknown' });
    expect([
      amountProblem(4, 'kg', s.measures),
      amountProblem(undefined, 'kg', s.measures),
      amountProblem(null, 'unknown', s.measures),
    ]).toEqual([undefined, undefined, undefined]);
    expect(amountProblem(0, 'L', s.measures)).toMatch(/^Type a number above 0/);
    expect(amountProblem(10_000_000, 'kg', s.measures)).toMatch(
      /^More than 100 t in one load.*\?$/,
    );
    expect(amountProblem(9_000, 'barrow', s.measures)).toMatch(/^More than 500 m³ in one load/);
  });
});

test('what is held, refused or gone is not offered; what is not ripe is, and says so', () => {
  const [held, refused, gone, grass] = [
    load('straw', barrows(2), { answer: 'ask' }),
    load('leaves', barrows(2), { answer: 'refuse' }),
    load('bark', barrows(2)),
    load('grass-clippings', barrows(9), { becomes: 'dried', readyFrom: LOCALE.now + 86_400_000 }),
  ];
  const items = itemsOf(
    store(held, refused, gone, grass, entry('load-change', { load: gone.id, gone: 'sold' })),
    LOCALE,
  ).filter((i) => i.inStore);
  expect(items.map((i) => [i.load, i.ready])).toEqual([[grass.id, false]]);
  expect(items[0]!.says).toMatch(/810 L left, 2 d old, ready from Thu May 21/);
});

test('recipes show their latest version; one that was put away is not shown, and stays in the log', () => {
  const recipe = (id: number, name: string, more: object = {}) => ({
    id: idOf(id),
    name,
    parts: [{ material: 'straw', amount: barrows(2) }],
    ...more,
  });
  const [one, two, three] = [
    entry('recipe', { recipe: recipe(1001, 'Spring'), from: null }),
    entry('recipe', { recipe: recipe(1001, 'Spring, drier'), from: null }),
    entry('recipe', { recipe: recipe(1002, 'Old', { away: true }), from: null }),
  ];
  const s = store(one, two, three);
  expect(recipeViews(s, [], LOCALE).map((r) => [r.name, r.version, r.entry])).toEqual([
    ['Spring, drier', 2, two.id],
  ]);
  expect(s.recipes.size).toBe(2);
});

test('mixes are as far apart as their C:N and moisture are; a heap that is not closed has none yet', () => {
  expect(farFrom({ cn: 25, moisture: 55 }, { cn: 30, moisture: 55 })).toBeCloseTo(1, 9);
  expect(farFrom({ cn: 25, moisture: 55 }, { cn: 25, moisture: 61 })).toBeCloseTo(1, 9);
  expect(heapMixes(store(), [], LOCALE)).toEqual([]);
});
