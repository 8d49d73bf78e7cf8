import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { amountShown } from '@/core/mix/amount';
import { findAmountUnit } from '@/core/units/amount-units';
import type { BatchId, LoadId } from '@/core/log/ids';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { Amount, OwnMeasure, Part, Recipe, Role } from '@/core/log/store-shapes';
import {
  resolveMaterialProperties,
  ingredientOf,
  type Ingredient,
  type MaterialProperties,
} from '@/core/mix/ingredient';
import { mixOf } from '@/core/mix/mix';
import { contentsOf, type Contents } from '@/core/mix/contents';
import { inStock, type StoreState } from '@/core/mix/store';
import { estOf } from '@/core/mix/window';
import { stockText } from '@/core/mix/words';
import { dayText, durationText, tempText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { Locale } from '@/core/words/note';
import { lastOf } from '@/core/quantity/present';

/** Something that can go into a mix: a load of the store, or a material of the library that is not there. */
export type BenchItem = {
  /** `load:` or `material:` and its id. */
  readonly key: string;
  readonly material: string;
  readonly load: LoadId | null;
  readonly name: string;
  readonly role: Role;
  /** `9 barrows, 12 d old, bay 3`. */
  readonly says: string;
  readonly stuff: MaterialProperties;
  readonly price: number | null;
  /** What is left of it, L; null: not known, or not in the store. */
  readonly hasLitres: number | null;
  readonly inStore: boolean;
  readonly ready: boolean;
};
/** A heap as its mix and what came of it. */
export type HeapMix = {
  readonly id: string;
  readonly code: string;
  readonly name: string;
  readonly cn: number;
  readonly moisture: number;
  readonly says: string;
};
export type RecipeView = {
  readonly id: string;
  readonly entry: string;
  readonly name: string;
  readonly says: string;
  readonly version: number;
  readonly recipe: Recipe;
  readonly heaps: readonly {
    readonly id: string;
    readonly name: string;
    readonly hot: string;
    readonly highest: string;
    readonly proven: string;
  }[];
};
/** A heap that the bench may work for: one that is building, or one that something is to be added to. */
export type BenchHeap = {
  readonly id: BatchId;
  readonly building: boolean;
  readonly name: string;
  readonly place: string;
};
/** The heap in hand, with what it holds already, what it is built by, and what of that is not in yet. */
export type HeapInHand = BenchHeap &
  Contents & {
    readonly shape: string | null;
    readonly by: Pick<Recipe, 'id' | 'name'> | null;
    readonly owed: readonly Part[];
  };
type SlotView = {
  readonly name: string;
  readonly kind: string;
  readonly lengthM: number;
  readonly widthM: number;
  readonly heightM: number;
};
export type BenchView = {
  readonly items: readonly BenchItem[];
  readonly measures: readonly OwnMeasure[];
  readonly recipes: readonly RecipeView[];
  readonly heaps: readonly BenchHeap[];
  readonly heap: HeapInHand | null;
  readonly near: readonly HeapMix[];
  readonly slots: readonly SlotView[];
  readonly hose: { readonly flowLPerMin: number; readonly bucketL: number };
  readonly leastM3: number;
  readonly stemM: number | null;
};

/** Loads first, by role and age; then the rest of the library. */
export function itemsOf(store: StoreState, locale: Locale): BenchItem[] {
  const loads = inStock(store)
    .filter((l) => l.answer === 'accept')
    .map((l): BenchItem => {
      return {
        key: `load:${l.id}`,
        material: l.material.id,
        load: l.id,
        name: l.load.what ?? libraryText(l.material.name),
        role: l.stuff.role,
        says: stockText(l, locale),
        stuff: l.stuff,
        price: l.price,
        hasLitres: l.leftLitres,
        inStore: true,
        ready: l.readyFrom === null || l.readyFrom <= locale.now,
      };
    });
  const rest = [...store.materials.values()].map((m): BenchItem => ({
    key: `material:${m.id}`,
    material: m.id,
    load: null,
    name: libraryText(m.name),
    role: m.role,
    says: say('bench.notFromStock'),
    stuff: resolveMaterialProperties(m, 'fresh'),
    price: null,
    hasLitres: null,
    inStore: false,
    ready: true,
  }));
  return [...loads, ...rest];
}

/** How a heap did, in three figures. */
function didOf(
  d: BatchSnapshot,
  { unit }: Locale,
): { readonly hot: string; readonly highest: string; readonly proven: string } {
  const { hotAt, highestC, best } = d.outcome;
  const from = d.builtAt;
  return {
    hot:
      hotAt === null || from === null
        ? from === null
          ? say('bench.stillBeingBuilt')
          : say('bench.notAtYet', { temp: tempText(55, unit) })
        : say('bench.after', {
            temp: tempText(55, unit),
            hotAt: durationText(Math.max(0, hotAt - from) / MS.hour),
          }),
    highest:
      highestC === null
        ? say('bench.noTemperaturesYet')
        : say('bench.hottest', { highestC: tempText(highestC, unit) }),
    proven:
      best === null
        ? say('bench.noRule')
        : best.provenAt !== null
          ? say('bench.ruleMet', { creditedHours: durationText(best.creditedHours) })
          : say('bench.ofCountedTime', { creditedHours: durationText(best.creditedHours) }),
  };
}

/** Heaps of the site whose mix can be told, with what came of them. */
export const heapMixes = (
  store: StoreState,
  board: readonly BatchSnapshot[],
  locale: Locale,
): HeapMix[] =>
  board.flatMap((d) => {
    const { ingredients, waterL } = contentsOf(store, d.id);
    if (ingredients.length === 0 || d.builtAt === null) return [];
    const mix = mixOf(ingredients, waterL, false);
    const [cn, wet] = [estOf(mix.cn), estOf(mix.moisture)];
    const did = didOf(d, locale);
    return cn && wet
      ? [
          {
            id: d.id,
            code: d.code,
            name: d.name ?? d.code,
            cn: cn.value,
            moisture: wet.value,
            says: `${did.hot}; ${did.proven}`,
          },
        ]
      : [];
  });

/** Recipes that are not put away, the latest first, with the heaps that were built by each. */
export const recipeViews = (
  store: StoreState,
  board: readonly BatchSnapshot[],
  locale: Locale,
): RecipeView[] =>
  [...store.recipes.values()]
    .flatMap((versions): RecipeView[] => {
      const last = lastOf(versions);
      if (last.recipe.away) return [];
      const heaps = board
        .filter((d) => store.layUps.get(d.id)?.recipe.id === last.recipe.id)
        .map((d) => ({ id: d.id, name: d.name ?? d.code, ...didOf(d, locale) }));
      return [
        {
          id: last.recipe.id,
          entry: last.entry,
          name: last.recipe.name,
          version: last.version,
          says: say('bench.versionBy', {
            version: last.version,
            by: last.by,
            at: dayText(locale.timeZone, last.at),
          }),
          recipe: last.recipe,
          heaps,
        },
      ];
    })
    .sort((a, b) => (a.name < b.name ? -1 : 1));

/** How far apart two mixes are: a step is 5 of C:N or 6 % of moisture (common practice: that is when a heap behaves otherwise). */
export const farFrom = (
  a: Pick<HeapMix, 'cn' | 'moisture'>,
  b: { readonly cn: number; readonly moisture: number },
): number => Math.hypot((a.cn - b.cn) / 5, (a.moisture - b.moisture) / 6);

/** A row of the bench: what is typed stays as it was typed. */
export type BenchRow = {
  readonly id: string;
  readonly item: string;
  readonly n: string;
  readonly unit: string;
  readonly about: boolean;
  readonly fixed: boolean;
  /** For a solve, as they are typed: ends in its own measure, and what one of that costs. */ readonly least?: string;
  readonly most?: string;
  readonly price?: string;
};

/** A row with what it stands for. */
export type BenchLine = {
  readonly row: BenchRow;
  readonly item: BenchItem;
  /** As typed; null: no number, undefined: not known how much. */ readonly n:
    number | null | undefined;
  readonly part: Part | null;
  readonly ingredient: Ingredient | null;
  readonly wrong: string | null;
};

export const ingredientOfRow = (row: BenchRow, item: BenchItem, amount: Amount): Ingredient => ({
  ...ingredientOf(row.id, { amount }, item.stuff, item.price),
  name: item.name,
});
/** Litres of one unit of a row; null where it has no volume of its own. */
export const litresOfUnit = (
  unit: string,
  item: BenchItem,
  measures: readonly OwnMeasure[],
): number | null => {
  const standard = findAmountUnit(unit);
  if (standard && 'litres' in standard) return standard.litres;
  if (standard) return item.stuff.density ? (standard.kg * 1000) / item.stuff.density.usual : null;
  return measures.find((m) => m.id === unit)?.litres ?? null;
};
/** Kilograms of one unit of a row; null: its density is not known. */
export const kgOfUnit = (
  unit: string,
  item: BenchItem,
  measures: readonly OwnMeasure[],
): number | null => {
  const standard = findAmountUnit(unit);
  if (standard && 'kg' in standard) return standard.kg;
  const litres = litresOfUnit(unit, item, measures);
  return litres !== null && item.stuff.density ? (litres * item.stuff.density.usual) / 1000 : null;
};
/** The load of the store that a part comes from: the one it names while there is enough of it, else the oldest with enough, else the fullest. */
function itemOfPart(p: Part, items: readonly BenchItem[]): string {
  const own = items.filter((i) => i.inStore && i.material === p.material);
  const litres =
    p.amount.in === 'measure'
      ? p.amount.n * p.amount.litresEach
      : p.amount.in === 'litres'
        ? p.amount.n
        : 0;
  const enough = (i: BenchItem): boolean =>
    i.ready && (i.hasLitres === null || i.hasLitres >= litres);
  const named = own.find((i) => i.load === p.load);
  const best =
    named && enough(named)
      ? named
      : (own.find(enough) ?? [...own].sort((a, b) => (b.hasLitres ?? 0) - (a.hasLitres ?? 0))[0]);
  return best?.key ?? `material:${p.material}`;
}
/** A row from a part that was kept. */
export const rowOfPart = (
  id: string,
  p: Part,
  measures: readonly OwnMeasure[],
  items: readonly BenchItem[],
): BenchRow => {
  const a = p.amount;
  const known =
    a.in !== 'measure' ||
    findAmountUnit(a.measure) !== undefined ||
    measures.some((m) => m.id === a.measure && Math.abs(m.litres - a.litresEach) < 1e-9);
  const rest = {
    id,
    item: itemOfPart(p, items),
    fixed: false,
    about: a.in !== 'unknown' && a.about === true,
  };
  if (a.in === 'unknown') return { ...rest, n: '', unit: 'unknown' };
  // A measure that holds something else now is told in the litres that it held then.
  const shown = amountShown(a);
  return known
    ? { ...rest, n: String(shown.n), unit: shown.unit }
    : {
        ...rest,
        n: String(Math.round(a.n * (a as { litresEach: number }).litresEach * 10) / 10),
        unit: 'L',
      };
};
export const partOfRow = (item: BenchItem, amount: Amount): Part => ({
  material: item.material,
  ...(item.load ? { load: item.load } : {}),
  amount,
});
