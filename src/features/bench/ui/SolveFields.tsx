'use client';
import { say } from '@/messages/say';
import { findAmountUnit } from '@/core/units/amount-units';
import { signOf } from '@/core/quantity/typed-quantity';
import type { OwnMeasure } from '@/core/log/store-shapes';
import { listText, volumeText } from '@/core/quantity/format';
import { kgText, litresText } from '@/core/words/amount';
import { Field } from '@/ui/Field';
import type { SolveDraft, SolveReading, SolveRow } from '../solve-draft';
import type { BenchHandle } from './useBench';

type Pair = readonly [string, string];

/** The lower and the upper end of one figure. */
function EndsFields({
  label,
  unit,
  value: [low, high],
  onChange,
}: {
  label: string;
  unit?: string;
  value: Pair;
  onChange: (ends: Pair) => void;
}) {
  const sign = unit === undefined ? {} : { unit };
  return (
    <>
      <Field
        label={say('bench.from', { label })}
        {...sign}
        inputMode="decimal"
        value={low}
        onChange={(e) => onChange([e.target.value, high])}
      />
      <Field
        label={say('bench.to2', { label })}
        {...sign}
        inputMode="decimal"
        value={high}
        onChange={(e) => onChange([low, e.target.value])}
      />
    </>
  );
}

/** The windows to reach, and how much of it. */
export function TargetFields({
  draft,
  set,
  litresNow,
}: {
  draft: SolveDraft;
  set: (change: Partial<SolveDraft>) => void;
  litresNow: number;
}) {
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <EndsFields label="C:N" value={draft.cn} onChange={(cn) => set({ cn })} />
        <EndsFields
          label={say('bench.moisture')}
          unit="%"
          value={draft.wet}
          onChange={(wet) => set({ wet })}
        />
        <Field
          label={say('bench.highestBulkDensity')}
          unit={signOf('density')}
          inputMode="decimal"
          value={draft.dense}
          onChange={(e) => set({ dense: e.target.value })}
        />
        <Field
          label={say('bench.lowestVolume')}
          unit={say('bench.loose', { volumesign: signOf('volume') })}
          inputMode="decimal"
          value={draft.litres}
          onChange={(e) => set({ litres: e.target.value })}
          hint={
            litresNow > 0
              ? say('bench.emptyAsMuchAsNow', { litresNow: litresText(litresNow) })
              : say('bench.empty', { volume: volumeText(1) })
          }
        />
      </div>
      <label className="flex gap-3 items-center min-h-target">
        <input
          type="checkbox"
          className="size-5"
          checked={draft.stock}
          onChange={(e) => set({ stock: e.target.checked })}
        />
        {say('bench.noMoreThanThereIn')}
      </label>
    </>
  );
}

/** What may be typed for one row of a solve, beside its name. */
const LIMITS = [
  {
    field: 'least',
    get label() {
      return say('bench.atLeast');
    },
    placeholder: () => '0',
  },
  {
    field: 'most',
    get label() {
      return say('bench.atMost');
    },
    placeholder: () => '–',
  },
  {
    field: 'price',
    get label() {
      return say('bench.priceOfOne');
    },
    placeholder: (r: SolveRow) => (r.each === null ? '–' : r.each.toFixed(2)),
  },
] as const;

/** One row's limits and price, in its own measure. */
function LimitRow({
  row: r,
  measure,
  setRow,
}: {
  row: SolveRow;
  measure: string;
  setRow: BenchHandle['setRow'];
}) {
  return (
    <tr className="border-t border-rule">
      <th scope="row" className="text-left font-normal leading-[1.2]">
        {r.item.name}
        <br />
        <span className="q text-fine">{say('bench.in', { measure })}</span>
      </th>
      {LIMITS.map(({ field, label, placeholder }) => (
        <td key={field} className="py-1 pl-1.5">
          <input
            className="small-field !w-full"
            inputMode="decimal"
            aria-label={`${r.item.name}, ${label}`}
            value={r.row[field] ?? ''}
            placeholder={placeholder(r)}
            disabled={r.row.fixed && field !== 'price'}
            onChange={(e) => setRow(r.row.id, { [field]: e.target.value })}
          />
        </td>
      ))}
    </tr>
  );
}

/** Limits and prices for this solve; empty where the store and the loads say it. */
export function RowLimits({
  rows,
  setRow,
  measures,
}: {
  rows: readonly SolveRow[];
  setRow: BenchHandle['setRow'];
  measures: readonly OwnMeasure[];
}) {
  const measureOf = ({ row: { unit } }: SolveRow): string =>
    measures.find((m) => m.id === unit)?.many ?? findAmountUnit(unit)?.sign ?? unit;
  return (
    <details>
      <summary className="cursor-pointer underline font-semibold min-h-target flex items-center">
        {say('bench.limitsPricesEach')}
      </summary>
      <table className="w-full text-small table-fixed">
        <thead>
          <tr>
            <th scope="col" className="text-left font-semibold w-[40%]">
              {say('bench.material')}
            </th>
            {LIMITS.map(({ field, label }) => (
              <th key={field} scope="col" className="font-semibold">
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <LimitRow key={r.row.id} row={r} measure={measureOf(r)} setRow={setRow} />
          ))}
        </tbody>
      </table>
      <p className="hint">{say('bench.emptyNoLimitExceptStock')}</p>
    </details>
  );
}

const Wrong = ({ children }: { children: React.ReactNode }) => (
  <p role="alert" className="marked font-semibold">
    {children}
  </p>
);

/** What stands in the way of an answer, and what is left out of it. */
export function SolveObstacles({ reading }: { reading: SolveReading }) {
  const { badRow, short, without, fixedUnknown, wrong } = reading;
  return (
    <>
      {badRow && <Wrong>{badRow}</Wrong>}
      {short && (
        <Wrong>
          {say('bench.atLeastWasAskedFor', {
            name: short.name,
            leastKg: kgText(short.leastKg),
            mostKg: kgText(short.mostKg),
          })}
        </Wrong>
      )}
      {without.length > 0 && fixedUnknown.length === 0 && (
        <p className="hint">
          {say('bench.leftOutBecauseOneOther', {
            without: without.length,
            without2: listText(without),
          })}
        </p>
      )}
      {fixedUnknown.length > 0 && (
        <Wrong>
          {say('bench.cannotSolvedWhileOneOther', {
            fixedUnknown: listText(fixedUnknown),
            fixedUnknown2: fixedUnknown.length,
          })}
        </Wrong>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
    </>
  );
}
