'use client';
import { say } from '@/messages/say';
import { findAmountUnit } from '@/core/units/amount-units';
import { signOf } from '@/core/quantity/typed-quantity';
import { looseLitres } from '@/core/mix/mix';
import { windowInShort } from '@/core/mix/words';
import type { Ingredient } from '@/core/mix/ingredient';
import { figureWithUnit, listText } from '@/core/quantity/format';
import { kgText, litresText, measureText } from '@/core/words/amount';
import { Mark } from '@/charts/marks';
import type { BenchView, HeapInHand } from '../view';
import { RowOf } from './Rows';
import type { BenchHandle } from './useBench';

/** The sheets that open over the bench. */
export type BenchSheet = 'pick' | 'solve' | 'keep' | 'scale' | 'lay';

/** The bench, what it may draw on, and what the heap at hand holds already. */
export type BenchProps = {
  readonly bench: BenchHandle;
  readonly view: BenchView;
  /** What the heap holds, the same stuff together; and its own parts on the bench. */
  readonly already: readonly Ingredient[];
  readonly own: readonly Ingredient[];
  /** The heap is closed: what lies here is what to add to it. */ readonly closed: boolean;
};

function Heading({ bench: { draft }, view: { heap }, closed }: BenchProps) {
  const stage = closed ? say('bench.builtWhatAdd') : say('bench.stillBeingBuilt');
  const kind = draft.recipe ? say('bench.aRecipe') : say('bench.aMixNotSavedYet');
  return (
    <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <h1>{heap ? heap.name : draft.name || say('bench.mixCalculator')}</h1>
      <span className="q">{heap ? `${heap.place}${heap.place ? ', ' : ''}${stage}` : kind}</span>
    </div>
  );
}

const ClosedNote = ({ heap }: { heap: HeapInHand }) => (
  <p className="text-hint border-l-[4px] border-ink pl-2.5 mt-2">
    {say('bench.anythingRawStartsClockOver', {
      unlogged:
        heap.unlogged.length === 0
          ? say('bench.workedOutAsWasBuilt')
          : say('bench.nobodyLoggedSoMixCannot', { unlogged: listText(heap.unlogged) }),
    })}
  </p>
);

/** What has gone into the heap, and that what lies below is still to go in. */
function InItAlready({ heap, props }: { heap: HeapInHand; props: BenchProps }) {
  const { already, closed } = props;
  const held = already.map((p) =>
    p.litres === null
      ? say('bench.notKnown2', { replace: p.name.replace(/, in it$/, '') })
      : `${p.name.replace(/, in it$/, '')} ${litresText(p.litres)}`,
  );
  return (
    <p className="text-hint ruled mt-2 pt-1.5">
      <b>{say('bench.alreadyInIt')}</b> {held.join('; ')}
      {heap.waterL > 0 ? say('bench.lOfWater2', { waterL: heap.waterL }) : ''}.
      {heap.by && !closed ? say('bench.belowWhatStillAdded', { name: heap.by.name }) : ''}
    </p>
  );
}

const Stale = ({ heap, onReset }: { heap: HeapInHand | null; onReset: () => void }) => (
  <p className="marked font-semibold text-small mt-2" role="status" data-testid="stale">
    {heap
      ? say('bench.somethingWasAddedSinceYou', { name: heap.name })
      : say('bench.somebodySavedAnotherVersionThis')}{' '}
    <button type="button" className="underline target-in-text" onClick={onReset}>
      {say('bench.startAgainWithIt')}
    </button>
  </p>
);

/** Another material, and water. */
function AddRow({ bench, onPick }: { bench: BenchHandle; onPick: () => void }) {
  return (
    <>
      <div className="flex flex-wrap gap-2 mt-3 items-center">
        <button type="button" className="btn" onClick={onPick}>
          <Mark name="add" size={19} />
          {say('bench.anotherMaterial')}
        </button>
        <label className="flex items-center gap-2 ml-auto text-small">
          {say('bench.water')}{' '}
          <input
            className="small-field !w-[74px]"
            aria-label={say('bench.waterToAddLiters', { unit: signOf('litres') })}
            inputMode="decimal"
            value={bench.draft.waterL}
            placeholder="0"
            onChange={(e) => bench.change({ waterL: e.target.value })}
          />{' '}
          {signOf('litres')}
        </label>
      </div>
      {bench.water === null && (
        <p role="alert" className="marked font-semibold text-small mt-1">
          {say('bench.typeWaterAsLitersOr')}
        </p>
      )}
    </>
  );
}

/** `23 barrows, 12 buckets`: what is carried, by its measures. */
function measuresText(bench: BenchHandle, view: BenchView): string {
  const sum = new Map<string, number>();
  for (const l of bench.lines)
    if (typeof l.n === 'number' && l.n > 0) sum.set(l.row.unit, (sum.get(l.row.unit) ?? 0) + l.n);
  const amount = ([unit, n]: [string, number]): string => {
    const m = view.measures.find((x) => x.id === unit);
    if (m) return measureText(n, m.name, m.many);
    return `${n} ${findAmountUnit(unit)?.sign ?? unit}`;
  };
  return [...sum].map(amount).join(', ') || say('bench.nothingYet');
}

/** How much lies here in all. */
function Sum({ bench, view, own }: BenchProps) {
  const { mix } = bench;
  const litres = looseLitres(own);
  const weight = mix?.massKg ?? null;
  const state = view.heap ? say('bench.withWhatIn') : say('bench.asItIs');
  return (
    <p className="text-right text-small mt-2" data-testid="sum">
      <b>{measuresText(bench, view)}</b>
      {litres === null ? '' : `, ${litresText(litres)}`}
      <br />
      <span className="q">
        {weight === null ? say('bench.weightNotKnown') : `${kgText(weight)} ${state}`}
      </span>
    </p>
  );
}

function BenchKeys({
  bench,
  resetLabel,
  onOpen,
}: {
  bench: BenchHandle;
  resetLabel: string;
  onOpen: (sheet: BenchSheet) => void;
}) {
  const isEmpty = bench.lines.length === 0;
  const keys = [
    { sheet: 'solve', label: say('bench.solve'), disabled: isEmpty },
    { sheet: 'scale', label: say('bench.scale'), disabled: isEmpty },
    { sheet: 'keep', label: say('bench.saveAsARecipe'), disabled: isEmpty || !bench.sound },
  ] as const;
  return (
    <div className="flex flex-wrap gap-2 mt-3">
      {keys.map(({ sheet, label, disabled }) => (
        <button
          key={sheet}
          type="button"
          className="btn"
          disabled={disabled}
          onClick={() => onOpen(sheet)}
        >
          {label}
        </button>
      ))}
      {!isEmpty && (
        <button type="button" className="btn" onClick={bench.reset}>
          {resetLabel}
        </button>
      )}
    </div>
  );
}

/** The three figures in a line that stays in sight on a phone. */
function FiguresInShort({ bench: { mix, lines } }: BenchProps) {
  if (!mix || lines.length === 0) return null;
  return (
    <a
      href="#figures"
      className="lg:hidden sticky z-[5] bottom-0 max-sm:bottom-[53px] -mx-5 max-sm:-mx-4 mt-3 px-5 max-sm:px-4 min-h-choice py-1.5 flex flex-wrap gap-x-3 items-center bg-sheet ruled text-small"
      data-testid="in-short"
    >
      <span>
        C:N <b>{windowInShort('cn', mix)}</b>
      </span>
      <span>
        {say('bench.water2')} <b>{windowInShort('moisture', mix)}</b>
      </span>
      <span>
        {say('bench.density')} <b>{windowInShort('density', mix)}</b>
      </span>
    </a>
  );
}

/** What goes in: the rows of the bench, and the keys that work on all of them. */
export function WhatGoesIn({
  addition,
  resetLabel,
  onOpen,
  ...props
}: BenchProps & {
  /** What is offered to be added, drawn dashed. */
  addition: { readonly key: string; readonly litres: number } | null;
  resetLabel: string;
  onOpen: (sheet: BenchSheet) => void;
}) {
  const { bench, view, closed } = props;
  const { heap } = view;
  const { lines } = bench;
  const measures = view.measures
    .slice(0, 3)
    .map((m) => `${m.name} ${figureWithUnit('litres', m.litres)}`);
  return (
    <>
      <Heading {...props} />
      <h2 className="!text-subhead mt-3">{say('bench.whatGoesIn')}</h2>
      <p className="text-note text-ink-2">
        {say('bench.levelDragAlongRowPress', { measures: measures.join(', ') })}
      </p>
      {heap && closed && <ClosedNote heap={heap} />}
      {heap && heap.ingredients.length > heap.unlogged.length && (
        <InItAlready heap={heap} props={props} />
      )}
      {bench.stale && <Stale heap={heap} onReset={bench.reset} />}
      <ul className="ruled mt-1.5">
        {lines.map((line) => (
          <RowOf
            key={line.row.id}
            line={line}
            bench={bench}
            view={view}
            then={addition?.key === line.row.item ? addition.litres : 0}
          />
        ))}
      </ul>
      {lines.length === 0 && <p className="py-3">{say('bench.emptyAddWhatYouHave')}</p>}
      <AddRow bench={bench} onPick={() => onOpen('pick')} />
      {bench.mix && lines.length > 0 && <Sum {...props} />}
      <BenchKeys bench={bench} resetLabel={resetLabel} onOpen={onOpen} />
      <FiguresInShort {...props} />
    </>
  );
}
