'use client';
import { useEffect, useRef, useState } from 'react';
import type { OwnMeasure, Range } from '@/core/log/store-shapes';
import type { Ingredient } from '@/core/mix/ingredient';
import { looseLitres } from '@/core/mix/mix';
import { unsolvable, type SolvedMix } from '@/core/mix/solve';
import type { InSteps } from '@/core/mix/in-steps';
import type { Offer, Target } from '@/core/mix/programme';
import { estOf, WINDOWS, WINDOW_IDS } from '@/core/mix/window';
import { limitText, solvedSays, windowInShort } from '@/core/mix/words';
import { M3_OF, VOLUME_SIGN } from '@/core/quantity/units';
import { volumeText, listText } from '@/core/quantity/format';
import { kgText, litresText, measureText } from '@/core/words/amount';
import { DraftScope, useDraftSaved, useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { SaveButton } from '@/ui/SaveButton';
import { Sheet } from '@/ui/Sheet';
import { typed } from '@/core/quantity/typed-number';
import { kgOfUnit, type BenchView } from '../view';
import type { BenchHandle, Line } from './useBench';
import type { useSolver } from './useSolver';
import { firstOf, itemAt } from '@/core/quantity/present';

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
const stepOf = (unit: string): number => (unit === 'L' || unit === 'kg' ? 1 : 0.5);
const perLitre = (density: Range | null | undefined): number | null =>
  density ? 1000 / density.usual : null;

/** A row with the ends that it may move between, kg, and its price for a kilogram. What is typed there stands for its own measure. */
function limited(line: Line, measures: readonly OwnMeasure[]) {
  const { row, item } = line;
  const kg = kgOfUnit(row.unit, item, measures);
  const [least, most, price] = [
    typed(row.least ?? ''),
    typed(row.most ?? ''),
    typed(row.price ?? ''),
  ];
  const wrong =
    least === null || most === null || price === null
      ? `${item.name}: type its limits and its price as numbers that are not negative, or leave them empty.`
      : least !== undefined && most !== undefined && least > most
        ? `${item.name}: at least ${least} is more than at most ${most}.`
        : null;
  return {
    ...line,
    wrong,
    leastKg: kg === null ? 0 : (least ?? 0) * kg,
    mostKg: kg === null || most == null ? null : most * kg,
    price: kg === null || price == null ? item.price : price / kg,
    each: item.price === null || kg === null ? null : item.price * kg,
  };
}

/** Limits and prices for this solve; empty where the store and the loads say it. */
function Ends({
  rows,
  bench,
  measures,
}: {
  rows: readonly ReturnType<typeof limited>[];
  bench: BenchHandle;
  measures: readonly OwnMeasure[];
}) {
  const cell = (
    r: (typeof rows)[number],
    what: 'least' | 'most' | 'price',
    label: string,
    placeholder: string,
  ) => (
    <td className="py-1 pl-1.5">
      <input
        className="small-field !w-full"
        inputMode="decimal"
        aria-label={`${r.item.name}, ${label}`}
        value={r.row[what] ?? ''}
        placeholder={placeholder}
        disabled={r.row.fixed && what !== 'price'}
        onChange={(e) => bench.setRow(r.row.id, { [what]: e.target.value })}
      />
    </td>
  );
  return (
    <details>
      <summary className="cursor-pointer underline font-semibold min-h-[44px] flex items-center">
        Limits and prices of each
      </summary>
      <table className="w-full text-[14px] table-fixed">
        <thead>
          <tr>
            <th scope="col" className="text-left font-semibold w-[40%]">
              Material
            </th>
            <th scope="col" className="font-semibold">
              at least
            </th>
            <th scope="col" className="font-semibold">
              at most
            </th>
            <th scope="col" className="font-semibold">
              price of one
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.row.id} className="border-t border-rule">
              <th scope="row" className="text-left font-normal leading-[1.2]">
                {r.item.name}
                <br />
                <span className="q text-[12.5px]">
                  in{' '}
                  {measures.find((m) => m.id === r.row.unit)?.many ??
                    (r.row.unit === 'L' ? 'litres' : r.row.unit)}
                </span>
              </th>
              {cell(r, 'least', 'at least', '0')}
              {cell(r, 'most', 'at most', '–')}
              {cell(r, 'price', 'price of one', r.each === null ? '–' : r.each.toFixed(2))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="hint">Empty: no limit but the store’s, and the price that its load came at.</p>
    </details>
  );
}

/** Amounts that reach a target with what there is. Fixed rows stay; the rest is worked out, and taken only when it is said so. */
export const SolvePanel = ({
  open,
  onOpenChange,
  ...rest
}: { open: boolean; onOpenChange: (open: boolean) => void } & Omit<SolveProps, 'onDone'>) => (
  <Sheet open={open} onOpenChange={onOpenChange} title="Solve the amounts">
    <DraftScope name="solve">
      <SolveForm {...rest} onDone={() => onOpenChange(false)} />
    </DraftScope>
  </Sheet>
);
type SolveProps = {
  readonly bench: BenchHandle;
  readonly view: Pick<BenchView, 'measures' | 'volume'>;
  readonly ask: ReturnType<typeof useSolver>;
  /** What a heap holds, and the water it was given: both are fixed. */ readonly already: readonly Ingredient[];
  readonly alreadyWaterL: number;
  readonly onDone: () => void;
};

function SolveForm({
  bench,
  view: { measures, volume },
  ask,
  already,
  alreadyWaterL,
  onDone,
}: SolveProps) {
  const [cn, setCn] = useTyped('cn', ['25', '30']);
  const [wet, setWet] = useTyped('wet', ['50', '60']);
  const [dense, setDense] = useTyped('dense', '640');
  const [litres, setLitres] = useTyped('litres', '');
  const [stock, setStock] = useTyped('stock', true);
  /** What was asked, and what came of it. */
  const [result, setResult] = useState<{
    of: string;
    answer: { solved: SolvedMix; inSteps: InSteps } | null;
  } | null>(null);
  const numbers = [...cn, ...wet, dense].map((t) => typed(t, 0.1));
  const many = typed(litres, 0.01);
  const [cnLow, cnHigh, wetLow, wetHigh, densityMost] = numbers as number[];
  const wrong =
    numbers.some((x) => typeof x !== 'number') || many === null
      ? 'Type each target as a number; leave the volume empty if it does not matter.'
      : cnLow! > cnHigh!
        ? 'The lower end of C:N lies above its upper end.'
        : wetLow! > wetHigh!
          ? 'The lower end of the moisture lies above its upper end.'
          : wetHigh! >= 100
            ? 'Moisture is a share of the weight: under 100 %.'
            : null;
  const rows = bench.lines
    .filter((l) => l.ingredient !== null && l.row.unit !== 'unknown')
    .map((l) => limited(l, measures));
  const badRow = rows.find((r) => r.wrong !== null)?.wrong ?? null;
  const offers: Offer[] = [
    ...already.map(heldOffer),
    ...(alreadyWaterL > 0 ? [heldOffer(waterOf(alreadyWaterL))] : []),
    ...rows.map(({ row, item, ingredient, leastKg, mostKg, price }): Offer => {
      const hasKg =
        stock && item.hasLitres !== null && item.stuff.density
          ? (item.hasLitres * item.stuff.density.usual) / 1000
          : null;
      const wished = mostKg !== null && (hasKg === null || mostKg < hasKg);
      return {
        stuff: { ...ingredient!, name: item.name, price },
        nowKg: ingredient!.kg ?? 0,
        fixed: row.fixed,
        leastKg,
        mostKg: wished ? mostKg : hasKg,
        wished,
      };
    }),
  ];
  const short =
    offers.find((o) => !o.fixed && o.mostKg !== null && o.leastKg > o.mostKg + 1e-9) ?? null;
  const without = unsolvable(offers);
  const fixedUnknown = [
    ...already.filter((p) => p.kg === null).map((p) => p.name),
    ...offers.filter((o) => o.fixed && without.includes(o.stuff.name)).map((o) => o.stuff.name),
    ...bench.lines.filter((l) => l.row.unit === 'unknown').map((l) => l.item.name),
  ];
  const litresNow =
    looseLitres(
      [...already, ...rows.map((r) => r.ingredient!)].filter((p) => !without.includes(p.name)),
    ) ?? 0;
  const target: Target = {
    cn: [cnLow!, cnHigh!],
    moisturePct: [wetLow!, wetHigh!],
    densityMost: densityMost!,
    litres: many == null ? (litresNow > 0 ? litresNow : 1000) : many * 1000 * M3_OF[volume],
    keep: litresNow > 0,
  };
  const steps = new Map(
    rows.flatMap(({ row, item }) => {
      const kg = kgOfUnit(row.unit, item, measures);
      return kg === null ? [] : [[row.id, stepOf(row.unit) * kg] as const];
    }),
  );
  // An answer to what was asked before something was changed is no answer.
  const asked = JSON.stringify([offers, target]);
  const run = async (): Promise<void> => {
    const answer = await ask({ do: 'solve', offers, target, steps });
    setResult({
      of: asked,
      answer:
        answer?.did === 'solve' && answer.solved && answer.inSteps
          ? { solved: answer.solved, inSteps: answer.inSteps }
          : null,
    });
  };
  const forgetDraft = useDraftSaved();
  const stuck = wrong !== null || badRow !== null || short !== null || fixedUnknown.length > 0;
  const shown = useRef<HTMLElement>(null);
  // Below the limits it would come where nobody looks.
  useEffect(() => {
    if (result !== null) shown.current?.scrollIntoView({ block: 'start' });
  }, [result]);
  const found = result?.of === asked ? result.answer : null;
  const then = rows.map((l) => {
    const kg = found?.inSteps.amounts.get(l.row.id);
    const each = kgOfUnit(l.row.unit, l.item, measures);
    const now = typeof l.n === 'number' ? l.n : 0;
    // What was left out is taken out: with it nothing could be said of the mix.
    return {
      ...l,
      now,
      next: l.row.fixed
        ? now
        : kg === undefined || each === null
          ? 0
          : Math.round((kg / each) * 100) / 100,
    };
  });
  const take = (): void => {
    const water = found!.inSteps.waterL;
    bench.change({
      rows: bench.draft.rows.map((row) => {
        const r = then.find((x) => x.row.id === row.id);
        return r && !row.fixed ? { ...row, n: String(r.next), about: false } : row;
      }),
      waterL: water > 0 ? String(water) : '',
    });
    forgetDraft();
    onDone();
  };
  const unitText = (n: number, unit: string): string => {
    const m = measures.find((x) => x.id === unit);
    return m ? measureText(n, m.name, m.many) : `${n} ${unit}`;
  };
  return (
    <>
      <p className="hint">
        Rows that are fixed stay as they are. The others move as little as it takes, or to the
        cheapest where prices are known.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="C:N from"
          inputMode="decimal"
          value={cn[0]}
          onChange={(e) => setCn([e.target.value, itemAt(cn, 1)])}
        />
        <Field
          label="C:N to"
          inputMode="decimal"
          value={cn[1]}
          onChange={(e) => setCn([firstOf(cn), e.target.value])}
        />
        <Field
          label="Moisture from"
          unit="%"
          inputMode="decimal"
          value={wet[0]}
          onChange={(e) => setWet([e.target.value, itemAt(wet, 1)])}
        />
        <Field
          label="Moisture to"
          unit="%"
          inputMode="decimal"
          value={wet[1]}
          onChange={(e) => setWet([firstOf(wet), e.target.value])}
        />
        <Field
          label="Bulk density at most"
          unit="kg/m³"
          inputMode="decimal"
          value={dense}
          onChange={(e) => setDense(e.target.value)}
        />
        <Field
          label="Volume at least"
          unit={`${VOLUME_SIGN[volume]}, loose`}
          inputMode="decimal"
          value={litres}
          onChange={(e) => setLitres(e.target.value)}
          hint={`empty: ${litresNow > 0 ? `as much as now, ${litresText(litresNow, volume)}` : volumeText(1, volume)}`}
        />
      </div>
      <label className="flex gap-3 items-center min-h-[44px]">
        <input
          type="checkbox"
          className="size-5"
          checked={stock}
          onChange={(e) => setStock(e.target.checked)}
        />
        No more than the store has
      </label>
      <Ends
        rows={rows.filter((r) => !without.includes(r.item.name))}
        bench={bench}
        measures={measures}
      />
      {badRow && (
        <p role="alert" className="marked font-semibold">
          {badRow}
        </p>
      )}
      {short && (
        <p role="alert" className="marked font-semibold">
          {short.stuff.name}: at least {kgText(short.leastKg)} was asked for, and there are{' '}
          {kgText(short.mostKg!)}. Ask for less, or solve beyond the store.
        </p>
      )}
      {without.length > 0 && fixedUnknown.length === 0 && (
        <p className="hint">
          Taken out, because {without.length === 1 ? 'its' : 'their'} figures are not known:{' '}
          {listText(without)}.
        </p>
      )}
      {fixedUnknown.length > 0 && (
        <p role="alert" className="marked font-semibold">
          Cannot be solved while {listText(fixedUnknown)} {fixedUnknown.length === 1 ? 'is' : 'are'}{' '}
          in it and not known well enough. Count it, test it, or take it out.
        </p>
      )}
      {wrong && (
        <p role="alert" className="marked font-semibold">
          {wrong}
        </p>
      )}
      <SaveButton
        className="btn key !min-h-[52px]"
        label="Solve"
        busy={false}
        missing={
          rows.length === 0
            ? 'Put something with a known amount on the bench first.'
            : stuck
              ? 'Put right what is marked above.'
              : null
        }
        onSave={() => void run()}
      />
      {result?.of === asked && result.answer === null && (
        <p role="alert" className="marked font-semibold">
          The solver found nothing. Loosen a target, or add another material.
        </p>
      )}
      {found && (
        <section
          ref={shown}
          className="border-t-[1.6px] border-ink pt-3 flex flex-col gap-2"
          data-testid="solved"
          aria-live="polite"
        >
          <p className={`font-semibold ${found.solved.reached ? '' : 'marked'}`}>
            {solvedSays(found.solved, found.inSteps)}
          </p>
          {found.solved.limits.length > 0 && (
            <ul>
              {found.solved.limits.slice(0, 4).map((l, i) => (
                <li key={i}>
                  {limitText(
                    l,
                    l.code === 'NOTHING_LIKE'
                      ? null
                      : perLitre(offers.find((o) => o.stuff.key === l.key)?.stuff.density),
                    volume,
                  )}
                  .
                </li>
              ))}
            </ul>
          )}
          <table className="text-[14.5px]">
            <thead>
              <tr>
                <th scope="col" className="text-left font-semibold">
                  Material
                </th>
                <th scope="col" className="text-right font-semibold">
                  Now
                </th>
                <th scope="col" className="text-right font-semibold">
                  Then
                </th>
              </tr>
            </thead>
            <tbody>
              {then.map((r) => (
                <tr key={r.row.id} className="border-b border-rule">
                  <td className="py-1">
                    {r.item.name}
                    {r.row.fixed ? ', fixed' : ''}
                  </td>
                  <td className="text-right">{unitText(r.now, r.row.unit)}</td>
                  <td className="text-right">
                    <b>{unitText(r.next, r.row.unit)}</b>
                  </td>
                </tr>
              ))}
              <tr>
                <td className="py-1">Water</td>
                <td className="text-right">{bench.water ?? 0} L</td>
                <td className="text-right">
                  <b>{found.inSteps.waterL} L</b>
                </td>
              </tr>
            </tbody>
          </table>
          <p className="hint">
            Then:{' '}
            {WINDOW_IDS.flatMap((id) =>
              estOf(found.inSteps.mix[id])
                ? [`${WINDOWS[id].name.toLowerCase()} ${windowInShort(id, found.inSteps.mix)}`]
                : [],
            ).join(', ')}
            .
            {found.inSteps.cost === null
              ? ''
              : ` Cost of what is priced: ${found.inSteps.cost.toFixed(2)}.`}
          </p>
          <button type="button" className="btn key" onClick={take}>
            Take these amounts
          </button>
        </section>
      )}
    </>
  );
}
