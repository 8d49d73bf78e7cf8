'use client';
import { currentUnits, say } from '@/messages/say';
import { amountUnitsOf, findAmountUnit } from '@/core/units/amount-units';
import { Minus, Plus } from 'lucide-react';
import { useId } from 'react';
import { typed } from '@/core/quantity/typed-number';

export type MeasureOption = {
  readonly id: string;
  readonly name: string;
  readonly many?: string | undefined;
  readonly litres: number;
};
export type AmountTyped = { readonly n: string; readonly unit: string; readonly about: boolean };

/** Units to choose from beside a site's measures: those of the moment, and the one that is chosen. */
export function AmountUnits({ chosen }: { chosen: string }) {
  const units = amountUnitsOf(currentUnits());
  const own = findAmountUnit(chosen);
  return [...units, ...(own && !units.includes(own) ? [own] : [])].map(({ id, sign }) => (
    <option key={id} value={id}>
      {sign}
    </option>
  ));
}

/** How much, in the site's own measures, by volume or by weight; or not known. */
export function AmountField({
  label,
  value,
  measures,
  onChange,
  problem,
  mayBeUnknown = true,
}: {
  label: string;
  value: AmountTyped;
  measures: readonly MeasureOption[];
  onChange: (v: AmountTyped) => void;
  problem?: string | undefined;
  mayBeUnknown?: boolean;
}) {
  const id = useId();
  const unknown = value.unit === 'unknown';
  const n = typed(value.n);
  const each = measures.find((m) => m.id === value.unit);
  const step = findAmountUnit(value.unit)?.step ?? 1;
  const set = (x: number): void =>
    onChange({ ...value, n: String(Math.round(Math.max(0, x) * 100) / 100) });
  return (
    <div>
      <label className="label" htmlFor={id}>
        {label}
      </label>
      <div className="grid grid-cols-[56px_minmax(70px,110px)_56px_minmax(120px,1fr)] gap-2 max-w-[460px]">
        <button
          type="button"
          className="btn !px-0"
          aria-label={say('controls.less', { label })}
          disabled={unknown}
          onClick={() => set((n ?? 0) - step)}
        >
          <Minus size={18} />
        </button>
        <input
          id={id}
          className="field text-center"
          inputMode="decimal"
          disabled={unknown}
          value={unknown ? '' : value.n}
          placeholder={unknown ? '?' : ''}
          aria-invalid={problem ? true : undefined}
          onChange={(e) => onChange({ ...value, n: e.target.value })}
        />
        <button
          type="button"
          className="btn !px-0"
          aria-label={say('controls.more', { label })}
          disabled={unknown}
          onClick={() => set((n ?? 0) + step)}
        >
          <Plus size={18} />
        </button>
        <select
          className="field"
          aria-label={say('controls.measure', { label })}
          value={value.unit}
          onChange={(e) => onChange({ ...value, unit: e.target.value })}
        >
          {measures.map((m) => (
            <option key={m.id} value={m.id}>
              {n === 1 ? m.name : (m.many ?? m.name)}
            </option>
          ))}
          <AmountUnits chosen={value.unit} />
          {mayBeUnknown && <option value="unknown">{say('controls.notKnown')}</option>}
        </select>
      </div>
      {!unknown && (
        <label className="flex gap-2 items-center min-h-[40px] pointer-coarse:min-h-choice text-small max-w-[460px]">
          <input
            type="checkbox"
            className="size-5"
            checked={value.about}
            onChange={(e) => onChange({ ...value, about: e.target.checked })}
          />
          {say('controls.estimatedByEye')}
          {each ? (
            <span className="q ml-auto">
              {say('controls.n1IsL', { name: each.name, litres: each.litres })}
            </span>
          ) : null}
        </label>
      )}
      {unknown && <p className="hint mt-1">{say('controls.itStaysUnknownWhatDepends')}</p>}
      {problem && (
        <p role="alert" className="marked font-semibold mt-1">
          {problem}
        </p>
      )}
    </div>
  );
}
