'use client';
import type { OwnMeasure } from '@/core/log/store-shapes';
import { VOLUME_SIGN, type VolumeUnit } from '@/core/quantity/units';
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
        label={`${label} from`}
        {...sign}
        inputMode="decimal"
        value={low}
        onChange={(e) => onChange([e.target.value, high])}
      />
      <Field
        label={`${label} to`}
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
  volume,
}: {
  draft: SolveDraft;
  set: (change: Partial<SolveDraft>) => void;
  litresNow: number;
  volume: VolumeUnit;
}) {
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <EndsFields label="C:N" value={draft.cn} onChange={(cn) => set({ cn })} />
        <EndsFields label="Moisture" unit="%" value={draft.wet} onChange={(wet) => set({ wet })} />
        <Field
          label="Bulk density at most"
          unit="kg/m³"
          inputMode="decimal"
          value={draft.dense}
          onChange={(e) => set({ dense: e.target.value })}
        />
        <Field
          label="Volume at least"
          unit={`${VOLUME_SIGN[volume]}, loose`}
          inputMode="decimal"
          value={draft.litres}
          onChange={(e) => set({ litres: e.target.value })}
          hint={`empty: ${litresNow > 0 ? `as much as now, ${litresText(litresNow, volume)}` : volumeText(1, volume)}`}
        />
      </div>
      <label className="flex gap-3 items-center min-h-target">
        <input
          type="checkbox"
          className="size-5"
          checked={draft.stock}
          onChange={(e) => set({ stock: e.target.checked })}
        />
        No more than the store has
      </label>
    </>
  );
}

/** What may be typed for one row of a solve, beside its name. */
const LIMITS = [
  { field: 'least', label: 'at least', placeholder: () => '0' },
  { field: 'most', label: 'at most', placeholder: () => '–' },
  {
    field: 'price',
    label: 'price of one',
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
        <span className="q text-fine">in {measure}</span>
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
    measures.find((m) => m.id === unit)?.many ?? (unit === 'L' ? 'litres' : unit);
  return (
    <details>
      <summary className="cursor-pointer underline font-semibold min-h-target flex items-center">
        Limits and prices of each
      </summary>
      <table className="w-full text-small table-fixed">
        <thead>
          <tr>
            <th scope="col" className="text-left font-semibold w-[40%]">
              Material
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
      <p className="hint">Empty: no limit but the store’s, and the price that its load came at.</p>
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
          {short.name}: at least {kgText(short.leastKg)} was asked for, and there are{' '}
          {kgText(short.mostKg)}. Ask for less, or solve beyond the store.
        </Wrong>
      )}
      {without.length > 0 && fixedUnknown.length === 0 && (
        <p className="hint">
          Taken out, because {without.length === 1 ? 'its' : 'their'} figures are not known:{' '}
          {listText(without)}.
        </p>
      )}
      {fixedUnknown.length > 0 && (
        <Wrong>
          Cannot be solved while {listText(fixedUnknown)} {fixedUnknown.length === 1 ? 'is' : 'are'}{' '}
          in it and not known well enough. Count it, test it, or take it out.
        </Wrong>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
    </>
  );
}
