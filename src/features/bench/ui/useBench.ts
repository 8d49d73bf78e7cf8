'use client';
import { say } from '@/messages/say';
import { shownQuantity, typedQuantity } from '@/core/quantity/typed-quantity';
import { useEffect, useMemo, useState } from 'react';
import { v7 } from 'uuid';
import type { Recipe } from '@/core/log/store-shapes';
import { amountTyped } from '@/core/mix/amount';
import { mixOf, type Mix } from '@/core/mix/mix';
import type { Ingredient } from '@/core/mix/ingredient';
import { litresText } from '@/core/words/amount';
import type { HeapShape } from '@/core/words/shape';
import { typed } from '@/core/quantity/typed-number';
import {
  ingredientOfRow,
  partOfRow,
  rowOfPart,
  type BenchView,
  type BenchItem,
  type BenchLine,
  type BenchRow,
} from '../view';

/** What lies on the bench. It is kept on this device under the recipe or heap it belongs to, so that nothing typed is lost. */
export type Draft = {
  readonly name: string;
  readonly rows: readonly BenchRow[];
  readonly waterL: string;
  readonly shape: HeapShape;
  readonly from: string | null;
  readonly recipe: string | null;
  /** So many parts were in the heap when this was laid out. */ readonly held: number;
};

const EMPTY: Draft = {
  name: '',
  rows: [],
  waterL: '',
  shape: 'dome',
  from: null,
  recipe: null,
  held: 0,
};
export const createBenchDraft = (
  recipe: Recipe | null,
  entry: string | null,
  view: BenchView,
): Draft =>
  recipe === null
    ? EMPTY
    : {
        name: recipe.name,
        rows: recipe.parts.map((p) => rowOfPart(v7(), p, view.measures, view.items)),
        waterL: recipe.waterL ? shownQuantity('litres', recipe.waterL) : '',
        shape: recipe.shape ?? 'dome',
        from: entry,
        recipe: recipe.id,
        held: 0,
      };

/** More of one thing than this is a figure typed too many, L: five lorries. */
const ABSURD_L = 300_000;
function wrongOf(
  item: BenchItem,
  n: number | null | undefined,
  unit: string,
  ingredient: Ingredient | null,
): string | null {
  if (unit === 'unknown') return null;
  if (n === null) return say('bench.typeNumber0OrMore', { name: item.name });
  if (ingredient?.litres != null && ingredient.litres > ABSURD_L)
    return say('bench.inOneBatchCheckNumber', {
      name: item.name,
      litres: litresText(ingredient.litres),
    });
  return null;
}

export function useBench(
  view: BenchView,
  key: string,
  first: Draft,
  already: readonly Ingredient[],
  alreadyWaterL: number,
) {
  // What nobody changed is not kept (null): it is laid out anew from what has gone in meanwhile.
  const [changed, setDraft] = useState<Draft | null>(null);
  const draft = changed ?? first;
  const [loaded, setLoaded] = useState(false);
  useEffect(() => {
    // Read after the first picture: the server knows nothing of what this device kept.
    queueMicrotask(() => {
      try {
        const kept = JSON.parse(localStorage.getItem(`zh_bench:${key}`) ?? 'null') as Draft | null;
        if (Array.isArray(kept?.rows))
          setDraft({
            ...first,
            ...kept,
            rows: (kept.rows as Draft['rows']).filter((r) =>
              view.items.some((i) => i.key === r.item),
            ),
          });
      } catch {
        /* an older form of it: begin anew */
      }
      setLoaded(true);
    });
    // Once for each thing laid on the bench.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  useEffect(() => {
    if (!loaded) return;
    if (changed) localStorage.setItem(`zh_bench:${key}`, JSON.stringify(changed));
    else localStorage.removeItem(`zh_bench:${key}`);
  }, [changed, loaded, key]);
  // Something went into the heap, or somebody kept another version, since this was laid out.
  const newest = view.recipes.find((r) => r.id === draft.recipe)?.entry;
  const stale =
    changed !== null &&
    (draft.held !== first.held || (newest !== undefined && newest !== draft.from));
  const byKey = useMemo(() => new Map(view.items.map((i) => [i.key, i])), [view.items]);
  const lines = useMemo(
    () =>
      draft.rows.flatMap((row): BenchLine[] => {
        const item = byKey.get(row.item);
        if (!item) return [];
        const n = row.unit === 'unknown' ? undefined : typed(row.n);
        const amount = amountTyped(
          row.unit !== 'unknown' && n === undefined ? 0 : n,
          row.unit,
          row.about,
          view.measures,
        );
        const ingredient = amount && ingredientOfRow(row, item, amount);
        return [
          {
            row,
            item,
            n,
            part:
              amount && (amount.in === 'unknown' || amount.n > 0) ? partOfRow(item, amount) : null,
            ingredient,
            wrong: wrongOf(item, n, row.unit, ingredient),
          },
        ];
      }),
    [draft.rows, byKey, view.measures],
  );
  const water = typedQuantity('litres', draft.waterL);
  const sound = lines.every((l) => l.wrong === null) && water !== null;
  const parts = useMemo(
    () => [...already, ...lines.flatMap((l) => (l.ingredient ? [l.ingredient] : []))],
    [already, lines],
  );
  const waterL = alreadyWaterL + (water ?? 0);
  const mix: Mix | null = useMemo(
    () => (sound ? mixOf(parts, waterL) : null),
    [sound, parts, waterL],
  );
  const edit = (make: (d: Draft) => Draft): void => setDraft((d) => make(d ?? first));
  const change = (part: Partial<Draft>): void => edit((d) => ({ ...d, ...part }));
  const setRow = (id: string, part: Partial<BenchRow>): void =>
    edit((d) => ({ ...d, rows: d.rows.map((r) => (r.id === id ? { ...r, ...part } : r)) }));
  return {
    draft,
    stale,
    reset: () => setDraft(null),
    change,
    setRow,
    lines,
    parts,
    water,
    waterL,
    mix,
    sound,
    byKey,
  };
}
export type BenchHandle = ReturnType<typeof useBench>;
