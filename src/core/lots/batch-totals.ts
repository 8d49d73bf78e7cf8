import { traceOutsOf, type Interval } from '../flow/trace';
import type { Entry } from '../log/entry';
import { OUT_IS_PRODUCT } from '../log/lot-shapes';
import type { StoreState } from '../mix/store';
import type { LotBook } from './book';
import { liveEntries } from './fold';
import { turningHours } from './season';

/** What each batch took in and gave (contract, section 9): sums of what was logged, with what is missing in them. */
export type BatchTotals = {
  readonly batch: string;
  /** L that went into it from loads, lots and outside. */ readonly tookInL: number;
  /** Times that something of an unknown amount went in. */ readonly unknownIn: number;
  /** L of product that left the site and had passed through it. */ readonly productL: Interval;
  /** Times that some of it left in an unknown amount. */ readonly unknownOut: number;
  readonly waterL: number;
  /** Hours that people turned it. */ readonly turningHours: number;
  /** Turnings whose time nobody logged. */ readonly unknownHours: number;
  /** What its parts of loads cost. */ readonly cost: number;
  /** Loads in it without a cost or an amount. */ readonly unknownCost: number;
};

/** The part of a load's cost that went along with some of it. */
function costOf(store: StoreState, load: string, litres: number | null): number | null {
  const known = store.loads.find((l) => (l.id as string) === load);
  if (known?.load.cost === undefined || litres === null || !known.litres) return null;
  return known.load.cost * Math.min(1, litres / known.litres);
}

/** The totals of batches, in the order in which they are asked for. */
export function totalsOfBatches(
  batches: readonly string[],
  entries: readonly Entry[],
  store: StoreState,
  book: LotBook,
): BatchTotals[] {
  const live = liveEntries(entries);
  const loads = new Set<string>(store.loads.map((l) => l.id));
  const outs = traceOutsOf(book.site, batches);
  const product = new Set(
    live.flatMap((e) =>
      e.kind === 'lot-out' && OUT_IS_PRODUCT[e.data.how] ? [e.id as string] : [],
    ),
  );
  return batches.map((batch) => {
    const own = live.filter((e) => e.batch === batch);
    const into = book.site.flows
      .filter((f) => f.to === batch)
      .map((f) => ({ from: f.from, litres: book.carriedBy(f.id).litres }));
    const costs = into.flatMap(({ from, litres }) =>
      from !== null && loads.has(from) ? [costOf(store, from, litres)] : [],
    );
    const gone = (outs.get(batch) ?? []).filter((o) => product.has(o.flow));
    const sumOf = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
    return {
      batch,
      tookInL: sumOf(into.map((i) => i.litres ?? 0)),
      unknownIn: into.filter((i) => i.litres === null).length,
      productL: [
        sumOf(gone.map((o) => o.share[0] * (o.litres ?? 0))),
        sumOf(gone.map((o) => o.share[1] * (o.litres ?? 0))),
      ],
      unknownOut: gone.filter((o) => o.litres === null).length,
      waterL: sumOf(own.map((e) => (e.kind === 'water' ? (e.data.litres ?? 0) : 0))),
      turningHours: sumOf(own.map((e) => (e.kind === 'turn' ? turningHours(e) : 0))),
      unknownHours: own.filter((e) => e.kind === 'turn' && e.data.minutes === undefined).length,
      cost: sumOf(costs.map((c) => c ?? 0)),
      unknownCost: costs.filter((c) => c === null).length,
    };
  });
}
