'use client';
import { say } from '@/messages/say';
import { shownQuantity } from '@/core/quantity/typed-quantity';
import { useMemo, useState } from 'react';
import { v7 } from 'uuid';
import { isShape } from '@/core/heap/size';
import type { Addition } from '@/core/mix/additions';
import { addToRows, carryingMeasure, mergeAlike, newRow, waterWith } from '../addition';
import { rowOfPart, type BenchItem, type BenchView, type HeapInHand } from '../view';
import { HowItIsLaidUp } from './HowItIsLaidUp';
import { BuildFromRecipe, KeepRecipe, Scale } from './Keep';
import { Pick } from './Pick';
import { Recipes } from './Recipes';
import { SolvePanel } from './Solve';
import { useAdditions } from './useAdditions';
import { createBenchDraft, useBench, type Draft } from './useBench';
import { useSolver } from './useSolver';
import { WhatComesOfIt } from './WhatComesOfIt';
import { WhatGoesIn, type BenchProps, type BenchSheet } from './WhatGoesIn';

/** What the heap at hand lays on the bench: what of its recipe is still to go in; of a closed one nothing. */
const draftOfHeap = (heap: HeapInHand, view: BenchView): Partial<Draft> => ({
  held: heap.ingredients.length,
  rows: heap.building
    ? heap.owed.map((p, i) => rowOfPart(`owed-${i}`, p, view.measures, view.items))
    : [],
  ...(isShape(heap.shape) ? { shape: heap.shape } : {}),
});

/** The bench as it opens for a heap, a recipe, or nothing. */
function useLaidOut(view: BenchView, recipeId: string | null) {
  const { heap } = view;
  const from = view.recipes.find((r) => r.id === recipeId) ?? null;
  const already = useMemo(
    () =>
      mergeAlike(
        (heap?.ingredients ?? []).map((i) => ({ ...i, name: say('bench.inIt', { name: i.name }) })),
      ),
    [heap],
  );
  const first: Draft = useMemo(
    () => ({
      ...createBenchDraft(from?.recipe ?? null, from?.entry ?? null, view),
      ...(heap ? draftOfHeap(heap, view) : {}),
    }),
    [from, view, heap],
  );
  const key = heap ? `heap:${heap.id}` : (from?.id ?? 'new');
  const bench = useBench(view, key, first, already, heap?.waterL ?? 0);
  return { bench, already, from };
}

/** The sheets over the bench. */
function BenchSheets({
  open,
  setOpen,
  ask,
  by,
  heapToLay,
  onPick,
  ...props
}: BenchProps & {
  open: BenchSheet | null;
  setOpen: (sheet: BenchSheet | null) => void;
  ask: ReturnType<typeof useSolver>;
  by: string;
  heapToLay: string | null;
  onPick: (item: BenchItem) => void;
}) {
  const { bench, view, already } = props;
  const sheet = (name: BenchSheet) => ({
    open: open === name,
    onOpenChange: (o: boolean) => setOpen(o ? name : null),
  });
  const common = { bench, view, by };
  return (
    <>
      <Pick
        {...sheet('pick')}
        items={view.items}
        taken={new Set(bench.draft.rows.map((r) => r.item))}
        onPick={onPick}
      />
      <SolvePanel
        {...sheet('solve')}
        bench={bench}
        view={view}
        ask={ask}
        already={already}
        alreadyWaterL={view.heap?.waterL ?? 0}
      />
      {open === 'keep' && (
        <KeepRecipe
          {...common}
          onOpenChange={sheet('keep').onOpenChange}
          onKept={(d) => bench.change(d)}
        />
      )}
      <Scale {...sheet('scale')} bench={bench} already={already} />
      {open === 'lay' && (
        <BuildFromRecipe {...sheet('lay')} {...common} heap={view.heap?.id ?? heapToLay} />
      )}
    </>
  );
}

/** The recipe bench: what goes in, what comes of it, how it is laid up. */
export function Bench({
  view,
  start,
  lay,
  by,
}: {
  view: BenchView;
  start: { recipe: string } | null;
  /** A heap was opened for what lies here. */ lay: string | null;
  by: string;
}) {
  const { heap } = view;
  const closed = heap !== null && !heap.building;
  const { bench, already, from } = useLaidOut(view, start?.recipe ?? null);
  const [open, setOpen] = useState<BenchSheet | null>(lay ? 'lay' : null);
  const [pick, setPick] = useState(0);
  const ask = useSolver();
  const measure = carryingMeasure(view) ?? { id: 'bucket', name: 'bucket', litres: 12 };
  const offers = useAdditions(bench, view, ask);
  const offered = offers.additions[pick] ?? offers.additions[0] ?? null;
  const { draft, mix } = bench;
  const props = { bench, view, already, own: bench.parts.slice(already.length), closed };
  const addItem = ({ key }: BenchItem): void =>
    bench.change({ rows: [...draft.rows, newRow(v7(), key, '1', measure.id)] });
  const take = (a: Addition): void => {
    const water = waterWith(a);
    const waterL = Math.round(((bench.water ?? 0) + a.waterL) / 5) * 5;
    bench.change({
      rows: addToRows(draft.rows, a, measure.id, v7),
      ...(water > 0 ? { waterL: shownQuantity('litres', waterL, 0) } : {}),
    });
    setPick(0);
  };
  return (
    <div className="grid xl:grid-cols-[430px_460px_1fr] lg:grid-cols-2 flex-1">
      <section className="px-5 max-sm:px-4 pt-3 pb-4 lg:border-r border-rule-2">
        <WhatGoesIn
          {...props}
          addition={mix && !offers.working ? offered : null}
          resetLabel={
            from || (heap?.by && !closed) ? say('bench.backToTheRecipe') : say('bench.clear')
          }
          onOpen={setOpen}
        />
        <Recipes view={view} by={by} />
      </section>
      <section
        id="figures"
        className="px-5 max-sm:px-4 pt-4 pb-4 xl:border-r border-rule-2 flex flex-col gap-3"
      >
        <WhatComesOfIt {...{ bench, view, offers, pick, measure }} onPick={setPick} onTake={take} />
      </section>
      <aside className="bg-sheet max-xl:lg:col-span-2 px-5 max-sm:px-4 pt-3 pb-5 flex flex-col gap-3 max-xl:border-t-[1.6px] border-ink">
        <HowItIsLaidUp {...props} measure={measure} onLayUp={() => setOpen('lay')} />
      </aside>
      <BenchSheets {...props} {...{ open, setOpen, ask, by, heapToLay: lay }} onPick={addItem} />
    </div>
  );
}
