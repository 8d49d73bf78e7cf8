import { say } from '@/messages/say';
import { findAmountUnit } from '@/core/units/amount-units';
import { shownQuantity, typedQuantity } from '@/core/quantity/typed-quantity';
import type { OwnMeasure, Range } from '@/core/log/store-shapes';
import type { Ingredient } from '@/core/mix/ingredient';
import type { InSteps } from '@/core/mix/in-steps';
import { looseLitres } from '@/core/mix/mix';
import type { Offer, Target } from '@/core/mix/programme';
import { unsolvable } from '@/core/mix/solve';
import { typed } from '@/core/quantity/typed-number';
import { kgOfUnit, type BenchLine, type BenchRow } from './view';

/** What the solver is asked, as it is typed, and what follows from it. Pure: the form only shows it. */

/** Every field of the form; pairs are from and to. */
export type SolveDraft = {
  readonly cn: readonly [string, string];
  readonly wet: readonly [string, string];
  readonly dense: string;
  readonly litres: string;
  /** No more than the store has. */ readonly stock: boolean;
};
/** The targets that most growers aim at (see WINDOWS). */
export const newSolveDraft = (): SolveDraft => ({
  cn: ['25', '30'],
  wet: ['50', '60'],
  dense: shownQuantity('density', 640, 0),
  litres: '',
  stock: true,
});

/** What is on the bench, what the heap holds already, and the measures they are counted in. */
export type SolveBench = {
  readonly lines: readonly BenchLine[];
  readonly measures: readonly OwnMeasure[];
  /** What a heap holds, and the water it was given: both are fixed. */
  readonly already: readonly Ingredient[];
  readonly alreadyWaterL: number;
};

/** A row with the ends that it may move between, kg, and its price for a kilogram. */
export type SolveRow = BenchLine & {
  readonly ingredient: Ingredient;
  readonly wrong: string | null;
  readonly leastKg: number;
  readonly mostKg: number | null;
  /** Of a kilogram. */ readonly price: number | null;
  /** What one measure of it costs by its load. */ readonly each: number | null;
};

type Bounds = Pick<Target, 'cn' | 'moisturePct' | 'densityMost'> & {
  /** m³; undefined: empty. */ readonly volume: number | undefined;
};

/** What is asked of the solver, and all that stands in its way. */
export type SolveReading = {
  readonly rows: readonly SolveRow[];
  /** What is wrong with the targets or with a row's limits. */
  readonly wrong: string | null;
  readonly badRow: string | null;
  /** A material of which more is asked for than there is. */
  readonly short: {
    readonly name: string;
    readonly leastKg: number;
    readonly mostKg: number;
  } | null;
  /** Names of what is taken out, because its figures are not known; and of what cannot be taken out. */
  readonly without: readonly string[];
  readonly fixedUnknown: readonly string[];
  readonly litresNow: number;
  /** Null: something stands in its way. */
  readonly question: {
    readonly offers: readonly Offer[];
    readonly target: Target;
    readonly steps: ReadonlyMap<string, number>;
  } | null;
};

const heldOffer = (stuff: Ingredient): Offer => ({
  stuff,
  nowKg: stuff.kg ?? 0,
  fixed: true,
  inHeap: true,
  leastKg: 0,
  mostKg: null,
});
const exactly = (value: number): Range => ({ low: value, usual: value, high: value });
/** Water that a heap was given: it weighs and wets, and takes no room of its own. */
const waterOf = (litres: number): Ingredient => ({
  key: 'in:water',
  material: 'water',
  name: 'water',
  role: 'liquid',
  particle: 'liquid',
  risks: [],
  caution: null,
  cn: null,
  carbonPct: null,
  moisture: exactly(100),
  density: exactly(1000),
  from: {},
  airPct: null,
  kg: litres,
  litres,
  about: false,
  price: null,
});

/** A half of what is carried, or a whole litre or kilogram. */
const stepOf = (unit: string): number => (findAmountUnit(unit) ? 1 : 0.5);

function wrongLimits(
  name: string,
  least: number | null | undefined,
  most: number | null | undefined,
  price: number | null | undefined,
): string | null {
  if (least === null || most === null || price === null)
    return say('bench.typeLimitsPriceAsNumbers', { name });
  return least !== undefined && most !== undefined && least > most
    ? say('bench.atLeastMoreThanAt', { name, least, most })
    : null;
}

/** What is typed in a row stands for its own measure. */
function readRow(
  line: BenchLine,
  ingredient: Ingredient,
  measures: readonly OwnMeasure[],
): SolveRow {
  const { row, item } = line;
  const kg = kgOfUnit(row.unit, item, measures);
  const least = typed(row.least ?? '');
  const most = typed(row.most ?? '');
  const price = typed(row.price ?? '');
  return {
    ...line,
    ingredient,
    wrong: wrongLimits(item.name, least, most, price),
    leastKg: kg === null ? 0 : (least ?? 0) * kg,
    mostKg: kg === null || most == null ? null : most * kg,
    price: kg === null || price == null ? item.price : price / kg,
    each: item.price === null || kg === null ? null : item.price * kg,
  };
}

/** The targets as numbers, or what is wrong with them. */
function readBounds(draft: SolveDraft): { bounds: Bounds } | { wrong: string } {
  const [cnLow, cnHigh] = draft.cn.map((t) => typed(t, 0.1));
  const [wetLow, wetHigh] = draft.wet.map((t) => typed(t, 0.1));
  const dense = typedQuantity('density', draft.dense, 0.1);
  const volume = typedQuantity('volume', draft.litres, 0.01);
  if (
    cnLow == null ||
    cnHigh == null ||
    wetLow == null ||
    wetHigh == null ||
    dense == null ||
    volume === null
  )
    return { wrong: say('bench.typeEachTargetAsNumber') };
  if (cnLow > cnHigh) return { wrong: say('bench.theLowerEndCN') };
  if (wetLow > wetHigh) return { wrong: say('bench.theLowerEndMoistureAbove') };
  if (wetHigh >= 100) return { wrong: say('bench.moistureShareWeightLessThan') };
  return {
    bounds: { cn: [cnLow, cnHigh], moisturePct: [wetLow, wetHigh], densityMost: dense, volume },
  };
}

function offerOf(r: SolveRow, stock: boolean): Offer {
  const { row, item, ingredient, leastKg, mostKg, price } = r;
  const hasKg =
    stock && item.hasLitres !== null && item.stuff.density
      ? (item.hasLitres * item.stuff.density.usual) / 1000
      : null;
  const wished = mostKg !== null && (hasKg === null || mostKg < hasKg);
  return {
    stuff: { ...ingredient, name: item.name, price },
    nowKg: ingredient.kg ?? 0,
    fixed: row.fixed,
    leastKg,
    mostKg: wished ? mostKg : hasKg,
    wished,
  };
}

const shortOf = (offers: readonly Offer[]): SolveReading['short'] =>
  offers.flatMap(({ fixed, leastKg, mostKg, stuff: { name } }) =>
    !fixed && mostKg !== null && leastKg > mostKg + 1e-9 ? [{ name, leastKg, mostKg }] : [],
  )[0] ?? null;

/** Kilograms of one step of each row. */
const stepsOf = (
  rows: readonly SolveRow[],
  measures: readonly OwnMeasure[],
): ReadonlyMap<string, number> =>
  new Map(
    rows.flatMap(({ row, item }) => {
      const kg = kgOfUnit(row.unit, item, measures);
      return kg === null ? [] : [[row.id, stepOf(row.unit) * kg] as const];
    }),
  );

/** Reads what is typed: the question for the solver, or what stands in its way. */
export function readSolveDraft(draft: SolveDraft, bench: SolveBench): SolveReading {
  const { lines, measures, already, alreadyWaterL } = bench;
  const counted = lines.filter((l) => l.row.unit !== 'unknown');
  const rows = counted.flatMap((l) =>
    l.ingredient === null ? [] : [readRow(l, l.ingredient, measures)],
  );
  const offers = [
    ...already.map(heldOffer),
    ...(alreadyWaterL > 0 ? [heldOffer(waterOf(alreadyWaterL))] : []),
    ...rows.map((r) => offerOf(r, draft.stock)),
  ];
  const read = readBounds(draft);
  const badRow = rows.find((r) => r.wrong !== null)?.wrong ?? null;
  const short = shortOf(offers);
  const without = unsolvable(offers);
  const isWithout = ({ name }: { readonly name: string }): boolean => without.includes(name);
  const fixedUnknown = [
    ...already.filter((p) => p.kg === null).map((p) => p.name),
    ...offers.filter((o) => o.fixed && isWithout(o.stuff)).map((o) => o.stuff.name),
    ...lines.filter((l) => l.row.unit === 'unknown').map((l) => l.item.name),
  ];
  const litresNow =
    looseLitres([...already, ...rows.map((r) => r.ingredient)].filter((p) => !isWithout(p))) ?? 0;
  const common = { rows, badRow, short, without, fixedUnknown, litresNow };
  if ('wrong' in read) return { ...common, wrong: read.wrong, question: null };
  const { volume: wanted, ...bounds } = read.bounds;
  const target: Target = {
    ...bounds,
    litres: wanted === undefined ? litresNow || 1000 : wanted * 1000,
    keep: litresNow > 0,
  };
  const isClear = badRow === null && short === null && fixedUnknown.length === 0;
  return {
    ...common,
    wrong: null,
    question: isClear ? { offers, target, steps: stepsOf(rows, measures) } : null,
  };
}

/** A row as it is and as the answer has it, in its own measure. */
export type SolvedRow = SolveRow & { readonly now: number; readonly next: number };

/** What was left out is taken out: with it nothing could be said of the mix. */
export const applyAnswer = (
  rows: readonly SolveRow[],
  answer: Pick<InSteps, 'amounts'>,
  measures: readonly OwnMeasure[],
): SolvedRow[] =>
  rows.map((r) => {
    const now = typeof r.n === 'number' ? r.n : 0;
    if (r.row.fixed) return { ...r, now, next: now };
    const kg = answer.amounts.get(r.row.id);
    const each = kgOfUnit(r.row.unit, r.item, measures);
    const next = kg === undefined || each === null ? 0 : Math.round((kg / each) * 100) / 100;
    return { ...r, now, next };
  });

/** The rows of the bench with the amounts of an answer in them; what is fixed stays as it was typed. */
export const takeAnswer = (rows: readonly BenchRow[], then: readonly SolvedRow[]): BenchRow[] =>
  rows.map((row) => {
    const solved = then.find((x) => x.row.id === row.id);
    return solved && !row.fixed ? { ...row, n: String(solved.next), about: false } : row;
  });
