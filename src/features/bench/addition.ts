import type { Addition, Carried } from '@/core/mix/additions';
import { ingredientOf, type Ingredient } from '@/core/mix/ingredient';
import type { OwnMeasure } from '@/core/log/store-shapes';
import type { BenchItem, BenchLine, BenchRow, BenchView } from './view';

/** What may be added to a mix, and what becomes of the bench when it is. Pure. */

/** The measure in which additions are offered: the barrow, or what the site has. Null: it has none. */
export const carryingMeasure = (view: Pick<BenchView, 'measures'>): OwnMeasure | null =>
  view.measures.find((m) => m.id === 'barrow') ?? view.measures[0] ?? null;

/** Seeds, disease and raw dung are not offered to a mix that has none of them, and sprayed stuff to none. */
function isHarmlessIn(parts: readonly Ingredient[]): (item: BenchItem) => boolean {
  const held = new Set(parts.flatMap((p) => p.risks));
  return ({ stuff: { risks } }) =>
    risks.every(
      (r) =>
        r !== 'chemical' &&
        ((r !== 'seeds' && r !== 'disease' && r !== 'raw-animal') || held.has(r)),
    );
}

/** Of several loads of one material the fullest stands for all. */
function fullestOfEach(items: readonly BenchItem[]): BenchItem[] {
  const fullest = new Map<string, BenchItem>();
  for (const item of items) {
    const was = fullest.get(item.material);
    if (!was || (item.hasLitres ?? 0) > (was.hasLitres ?? 0)) fullest.set(item.material, item);
  }
  return [...fullest.values()];
}

/** What the solver may add: of the store first, of the library where nothing of the store helps. */
export function additionStock(
  view: Pick<BenchView, 'items' | 'measures'>,
  parts: readonly Ingredient[],
  lines: readonly BenchLine[],
): { readonly ofStore: readonly Carried[]; readonly ofLibrary: readonly Carried[] } {
  const measure = carryingMeasure(view);
  if (!measure) return { ofStore: [], ofLibrary: [] };
  const isHarmless = isHarmlessIn(parts);
  const usedLitres = (key: string): number =>
    lines.reduce((s, l) => (l.item.key === key ? s + (l.ingredient?.litres ?? 0) : s), 0);
  const carried = (i: BenchItem): Carried => ({
    stuff: {
      ...ingredientOf(i.key, { amount: { in: 'litres', n: 1 } }, i.stuff, i.price),
      name: i.name,
    },
    litresEach: measure.litres,
    hasLitres: i.hasLitres === null ? null : i.hasLitres - usedLitres(i.key),
  });
  const inStore = view.items.filter((i) => i.inStore && i.ready && isHarmless(i));
  return {
    ofStore: fullestOfEach(inStore).map(carried),
    ofLibrary: view.items.filter((i) => !i.inStore && isHarmless(i)).map(carried),
  };
}

/** Less water than this is not worth a can, L. */
const SPLASH_L = 2.5;
/** Water that goes with an addition, in cans of five litres; 0: none worth it. */
export const waterWith = ({ waterL }: Pick<Addition, 'waterL'>): number =>
  waterL >= SPLASH_L ? Math.round(waterL / 5) * 5 : 0;

/** The bench with an addition on it: to the row that is there in the same measure, or as a new one. */
export function addToRows(
  rows: readonly BenchRow[],
  addition: Pick<Addition, 'key' | 'n'>,
  unit: string,
  newId: () => string,
): BenchRow[] {
  const there = rows.find((r) => r.item === addition.key && r.unit === unit);
  if (!there) return [...rows, newRow(newId(), addition.key, String(addition.n), unit)];
  const n = (Number(there.n.replace(',', '.')) || 0) + addition.n;
  return rows.map((r) => (r === there ? { ...r, n: String(n) } : r));
}

export const newRow = (id: string, item: string, n: string, unit: string): BenchRow => ({
  id,
  item,
  n,
  unit,
  about: false,
  fixed: false,
});

/** The same stuff put in several times, as one; what went in fresh and what went in dried stay apart. */
export function mergeAlike(parts: readonly Ingredient[]): Ingredient[] {
  const by = new Map<string, Ingredient>();
  const sum = (a: number | null, b: number | null): number | null =>
    a === null || b === null ? null : a + b;
  for (const p of parts) {
    const same = JSON.stringify([p.name, p.role, p.moisture, p.density]);
    const was = by.get(same);
    by.set(
      same,
      was
        ? {
            ...was,
            kg: sum(was.kg, p.kg),
            litres: sum(was.litres, p.litres),
            about: was.about || p.about,
          }
        : p,
    );
  }
  return [...by.values()];
}
