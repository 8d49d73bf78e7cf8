'use client';
import { say } from '@/messages/say';
import { AmountUnits } from '@/ui/AmountField';
import { findAmountUnit } from '@/core/units/amount-units';
import { Lock, LockOpen, Minus, Plus, X } from 'lucide-react';
import Link from 'next/link';
import { litresText } from '@/core/words/amount';
import { ROLE_WORDS } from '@/core/mix/words';
import { HoursBar } from '@/charts/HoursBar';
import { litresOfUnit, type BenchView } from '../view';
import type { BenchLine } from '../view';
import type { BenchHandle } from './useBench';

const half = (x: number): string => String(Math.round(x * 100) / 100);

/** One thing that goes in: drawn as it is carried, set by drawing along it, by − and +, or by typing. */
export function RowOf({
  line,
  bench,
  view: { measures },
  then,
}: {
  line: BenchLine;
  bench: BenchHandle;
  view: Pick<BenchView, 'measures'>;
  /** Litres that are advised on top. */ then: number;
}) {
  const { row, item, n, ingredient, wrong } = line;
  const { cn, moisture } = item.stuff;
  const unknown = row.unit === 'unknown';
  const unitL = litresOfUnit(row.unit, item, measures);
  const each = findAmountUnit(row.unit)?.step ?? 1;
  const value = typeof n === 'number' ? n : 0;
  // The track grows with what is set, so that the hand always has room to the right.
  const most = Math.max(8 * each, Math.ceil((value + (unitL ? then / unitL : 0)) * 1.25));
  const set = (x: number): void => bench.setRow(row.id, { n: half(Math.max(0, x)) });
  const over =
    item.hasLitres !== null &&
    ingredient?.litres != null &&
    ingredient.litres > item.hasLitres + 0.5;
  const label = item.name;
  return (
    <li className="border-b border-rule py-1.5" data-testid="row">
      <div className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 items-center">
        <div className="min-w-0">
          <p className="flex gap-x-2 items-baseline flex-wrap leading-[1.25]">
            <b className="font-[650] text-body">{label}</b>
            <span className="text-fine text-ink-2">
              {cn && moisture
                ? say('bench.cNWater', {
                    usual:
                      cn.usual >= 100
                        ? String(Math.round(cn.usual))
                        : half(Math.round(cn.usual * 10) / 10),
                    usual2: Math.round(moisture.usual),
                  })
                : say('bench.figuresNotKnown', { one: ROLE_WORDS[item.role].one })}
            </span>
          </p>
          <div className="relative mt-1 max-w-[210px] min-h-[22px]">
            {unknown ? (
              <span className="q text-note">{say('bench.howMuchNotKnown')}</span>
            ) : (
              <>
                <HoursBar
                  n={value / each}
                  small={(unitL ?? 1) < 40}
                  then={unitL ? then / unitL / each : 0}
                  most={most / each}
                />
                <input
                  type="range"
                  className="slide"
                  aria-label={say('bench.drawn', { label })}
                  min={0}
                  max={most}
                  step={each === 1 ? 0.5 : 1}
                  value={Math.min(most, value)}
                  onChange={(e) => set(Number(e.target.value))}
                />
              </>
            )}
          </div>
        </div>
        <div className="grid grid-cols-[40px_84px_40px] gap-1 items-center">
          <button
            type="button"
            className="btn !px-0"
            aria-label={say('bench.less', { label })}
            disabled={unknown || value <= 0}
            onClick={() => set(value - each)}
          >
            <Minus size={18} />
          </button>
          <span className="flex flex-col">
            <input
              className="small-field !min-h-[26px] !border-b-0 !rounded-b-none disp"
              aria-label={say('bench.howMuch', { label })}
              inputMode="decimal"
              disabled={unknown}
              aria-invalid={wrong ? true : undefined}
              value={unknown ? '?' : row.n}
              onChange={(e) => bench.setRow(row.id, { n: e.target.value })}
            />
            <select
              className="border-[1.5px] border-ink rounded-b text-fine min-h-[24px] pointer-coarse:min-h-[40px] text-center bg-sheet"
              aria-label={say('controls.measure', { label })}
              value={row.unit}
              onChange={(e) =>
                bench.setRow(row.id, { unit: e.target.value, n: row.n === '' ? '1' : row.n })
              }
            >
              {measures.map((m) => (
                <option key={m.id} value={m.id}>
                  {value === 1 ? m.name : (m.many ?? m.name)}
                </option>
              ))}
              <AmountUnits chosen={row.unit} />
              <option value="unknown">{say('bench.notKnown')}</option>
            </select>
          </span>
          <button
            type="button"
            className="btn !px-0"
            aria-label={say('bench.more', { label })}
            disabled={unknown}
            onClick={() => set(value + each)}
          >
            <Plus size={18} />
          </button>
        </div>
      </div>
      <p className="flex flex-wrap gap-x-3 items-center text-fine text-ink-2">
        <span>{item.inStore ? item.says : say('bench.tableFiguresNotFromStock')}</span>
        {!unknown && (
          <label className="flex gap-1 items-center min-h-[28px]">
            <input
              type="checkbox"
              checked={row.about}
              onChange={(e) => bench.setRow(row.id, { about: e.target.checked })}
            />
            {say('bench.byEye')}
          </label>
        )}
        <button
          type="button"
          className="inline-flex gap-1 items-center min-h-[28px] pointer-coarse:min-h-target underline"
          aria-pressed={row.fixed}
          onClick={() => bench.setRow(row.id, { fixed: !row.fixed })}
        >
          {row.fixed ? <Lock size={13} /> : <LockOpen size={13} />}
          {row.fixed ? 'fixed' : say('bench.fixAmount')}
        </button>
        {item.load && (
          <Link prefetch={false} className="underline" href={`/store/${item.load}#test`}>
            {say('bench.testIt')}
          </Link>
        )}
        <button
          type="button"
          className="inline-flex gap-1 items-center min-h-[28px] pointer-coarse:min-h-target underline"
          onClick={() => bench.change({ rows: bench.draft.rows.filter((r) => r.id !== row.id) })}
        >
          <X size={13} />
          {say('bench.remove')}
          <span className="sr-only"> {label}</span>
        </button>
      </p>
      {over && (
        <p className="text-note marked">
          {say('bench.moreThanThereInStock', {
            hasLitres: litresText(item.hasLitres),
          })}
        </p>
      )}
      {wrong && (
        <p role="alert" className="marked font-semibold text-small">
          {wrong}
        </p>
      )}
    </li>
  );
}
