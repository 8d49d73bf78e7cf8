import { amountOf } from '../mix/amount';
import type { StoreState } from '../mix/store';
import type { Entry } from '../log/entry';
import { OUT_IS_PRODUCT, type OutWay } from '../log/lot-shapes';
import type { Instant } from '../quantity/instant';
import { liveEntries } from './fold';

/** What a season took in and gave (contract, section 9): sums of what was logged, with what is missing in them. */

export type SeasonTotals = {
  readonly taken: readonly {
    readonly supplier: string | null;
    readonly loads: number;
    readonly litres: number;
    /** Loads whose amount is not known in litres. */ readonly unknown: number;
  }[];
  /** That would else have gone to waste, kg. */ readonly divertedKg: number;
  readonly out: readonly {
    readonly how: OutWay;
    readonly times: number;
    readonly litres: number;
    readonly unknown: number;
    readonly income: number;
  }[];
  readonly screened: {
    readonly runs: number;
    readonly finesL: number;
    readonly oversL: number;
    readonly rejectsL: number;
  };
  /** Hours of people, by work. */ readonly hours: {
    readonly turning: number;
    /** Turnings whose time nobody logged. */ readonly untimed: number;
    readonly screening: number;
    readonly goingOut: number;
  };
  readonly waterL: number;
  readonly cost: number;
  readonly income: number;
  /** L of product that went out for each m³ taken in; null: nothing was taken in. */
  readonly productPerM3: number | null;
  /** Cost of loads for each m³ of product; null: nothing went out. */ readonly costPerM3:
    number | null;
  readonly months: readonly {
    readonly month: number;
    readonly takenL: number;
    readonly outL: number;
  }[];
  readonly missing: readonly {
    readonly what: 'loads' | 'outs' | 'prices' | 'costs';
    readonly n: number;
  }[];
};

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

type Screening = Extract<Entry, { kind: 'screening' }>;
const peopleHours = ({ data }: Screening): number => (data.hours ?? 0) * (data.people ?? 1);

/** Hours that people turned a batch. */
export const turningHours = ({ data }: Extract<Entry, { kind: 'turn' }>): number =>
  ((data.minutes ?? 0) * (data.people ?? 1)) / 60;

function screenedOf(
  runs: readonly Screening[],
  kindOf: ReadonlyMap<string, string>,
): SeasonTotals['screened'] {
  const of = (kind: string): number =>
    sum(
      runs.flatMap((r) =>
        r.data.outputs.map((o) => (kindOf.get(o.lot) === kind ? (o.litres ?? 0) : 0)),
      ),
    );
  return {
    runs: runs.length,
    finesL: of('fines'),
    oversL: of('overs'),
    rejectsL: sum(runs.map((r) => r.data.rejectsL ?? 0)),
  };
}

function takenOf(loads: StoreState['loads']): SeasonTotals['taken'] {
  const suppliers = [...new Set(loads.map((l) => l.load.supplier ?? null))];
  return suppliers
    .map((supplier) => {
      const own = loads.filter((l) => (l.load.supplier ?? null) === supplier);
      return {
        supplier,
        loads: own.length,
        litres: sum(own.map((l) => l.litres ?? 0)),
        unknown: own.filter((l) => l.litres === null).length,
      };
    })
    .sort((a, b) => b.litres - a.litres);
}

function outOf(
  outs: readonly Extract<Entry, { kind: 'lot-out' }>[],
  carried: (flow: string) => number | null,
): SeasonTotals['out'] {
  const ways = [...new Set(outs.map((o) => o.data.how))];
  return ways.map((how) => {
    const own = outs.filter((o) => o.data.how === how);
    const litres = own.map((o) => o.data.litres ?? carried(o.id));
    return {
      how,
      times: own.length,
      litres: sum(litres.map((l) => l ?? 0)),
      unknown: litres.filter((l) => l === null).length,
      income: sum(own.map((o) => o.data.price ?? 0)),
    };
  });
}

/**
 * Totals of what happened in a span of time.
 * @param monthOf the month of an instant by the site's clock, 1 to 12
 * @param carried litres that a flow carried; null: not known
 */
export function seasonTotals(
  entries: readonly Entry[],
  store: StoreState,
  {
    from,
    to,
    monthOf,
  }: { readonly from: Instant; readonly to: Instant; monthOf(at: Instant): number },
  carried: (flow: string) => number | null,
): SeasonTotals {
  const isWithin = ({ at }: { readonly at: Instant }): boolean => at >= from && at < to;
  const live = liveEntries(entries);
  const kindOf = new Map(
    live.flatMap((e) => (e.kind === 'lot' ? [[e.id as string, e.data.kind]] : [])),
  );
  const within = live.filter(isWithin);
  const ofKind = <K extends Entry['kind']>(kind: K) =>
    within.filter((e): e is Extract<Entry, { kind: K }> => e.kind === kind);
  const loads = store.loads.filter((l) => isWithin(l) && l.answer === 'accept');
  const outs = ofKind('lot-out');
  const runs = ofKind('screening');
  const [taken, out] = [takenOf(loads), outOf(outs, carried)];
  const [takenL, productL] = [
    sum(taken.map((t) => t.litres)),
    sum(out.filter((o) => OUT_IS_PRODUCT[o.how]).map((o) => o.litres)),
  ];
  const cost = sum(loads.map((l) => l.load.cost ?? 0));
  const litresOfOut = (o: (typeof outs)[number]): number => o.data.litres ?? carried(o.id) ?? 0;
  return {
    taken,
    divertedKg: sum(
      loads
        .filter((l) => l.load.waste)
        .map((l) => amountOf(l.load.amount, l.stuff.density).kg ?? 0),
    ),
    out,
    screened: screenedOf(runs, kindOf),
    hours: {
      turning: sum(ofKind('turn').map(turningHours)),
      untimed: ofKind('turn').filter((t) => t.data.minutes === undefined).length,
      screening: sum(runs.map(peopleHours)),
      goingOut: sum(outs.map((o) => o.data.hours ?? 0)),
    },
    waterL:
      sum(ofKind('water').map((e) => e.data.litres ?? 0)) +
      sum(ofKind('lot-look').map((e) => e.data.waterL ?? 0)),
    cost,
    income: sum(out.map((o) => o.income)),
    productPerM3: takenL > 0 ? productL / (takenL / 1000) : null,
    costPerM3: productL > 0 ? cost / (productL / 1000) : null,
    months: Array.from({ length: 12 }, (_, i) => ({
      month: i + 1,
      takenL: sum(loads.filter((l) => monthOf(l.at) === i + 1).map((l) => l.litres ?? 0)),
      outL: sum(
        outs.filter((o) => monthOf(o.at) === i + 1 && OUT_IS_PRODUCT[o.data.how]).map(litresOfOut),
      ),
    })),
    missing: missingOf(taken, out, outs, loads),
  };
}

/** What the sums lack. */
const missingOf = (
  taken: SeasonTotals['taken'],
  out: SeasonTotals['out'],
  outs: readonly Extract<Entry, { kind: 'lot-out' }>[],
  loads: StoreState['loads'],
): SeasonTotals['missing'] => {
  const all: SeasonTotals['missing'] = [
    { what: 'loads', n: sum(taken.map((t) => t.unknown)) },
    { what: 'outs', n: sum(out.map((o) => o.unknown)) },
    {
      what: 'prices',
      n: outs.filter((o) => o.data.how === 'sold' && o.data.price === undefined).length,
    },
    { what: 'costs', n: loads.filter((l) => l.load.cost === undefined).length },
  ];
  return all.filter((m) => m.n > 0);
};
