'use client';
import { say } from '@/messages/say';
import type { OwnMeasure } from '@/core/log/store-shapes';
import { amountProblem, amountTyped } from '@/core/mix/amount';
import { AmountField } from '@/ui/AmountField';
import { useTyped } from '@/ui/draft';
import { typed } from '@/core/quantity/typed-number';
import type { PutRow, Source } from '../view';

/** Rows of what was put in, as they are typed, and the parts they make. */
export function usePutIn(
  first: readonly PutRow[],
  sources: readonly Source[],
  measures: readonly OwnMeasure[],
) {
  const [rows, setRows] = useTyped<readonly PutRow[]>('put', first);
  const read = rows.map((r) => {
    const source = sources.find((s) => s.key === r.source);
    const n = typed(r.n);
    const wrong = amountProblem(n, r.unit, measures);
    const amount = wrong ? null : amountTyped(n, r.unit, r.about, measures);
    return {
      row: r,
      source,
      part:
        source && amount
          ? { material: source.material, ...(source.load ? { load: source.load } : {}), amount }
          : null,
      wrong,
    };
  });
  return {
    rows,
    setRows,
    read,
    parts: read.flatMap((r) => r.part ?? []),
    lines: read.flatMap((r) =>
      r.source && r.part ? [{ source: r.source, amount: r.part.amount }] : [],
    ),
    sound: read.every((r) => r.part !== null),
  };
}
export type PutInHandle = ReturnType<typeof usePutIn>;

/** What went in, from which load, and how much of it. */
export function PutIn({
  put,
  sources,
  measures,
}: {
  put: PutInHandle;
  sources: readonly Source[];
  measures: readonly OwnMeasure[];
}) {
  const [store, library] = [sources.filter((s) => s.inStore), sources.filter((s) => !s.inStore)];
  const set = (i: number, part: Partial<PutRow>): void =>
    put.setRows(put.rows.map((r, k) => (k === i ? { ...r, ...part } : r)));
  const barrow = measures.find((m) => m.id === 'barrow') ?? measures[0];
  return (
    <div className="flex flex-col gap-3">
      {put.read.map(({ row, source, wrong }, i) => (
        <div key={i} className="ruled pt-2 flex flex-col gap-2" data-testid="put">
          <select
            className="field"
            aria-label={say('build.whatWentIn', { i: i + 1 })}
            value={row.source}
            onChange={(e) => set(i, { source: e.target.value })}
          >
            {store.length > 0 && (
              <optgroup label={say('build.inStock')}>
                {store.map((s) => (
                  <option key={s.key} value={s.key}>
                    {s.name}: {s.says}
                  </option>
                ))}
              </optgroup>
            )}
            <optgroup label={say('build.notFromStock2')}>
              {library.map((s) => (
                <option key={s.key} value={s.key}>
                  {s.name}
                </option>
              ))}
            </optgroup>
          </select>
          {source?.answer && (
            <p className="marked font-semibold w-fit" role="status">
              {source.answer}
            </p>
          )}
          <AmountField
            label={source?.name ?? say('build.howMuch')}
            value={row}
            measures={measures}
            onChange={(v) => set(i, v)}
            problem={wrong}
          />
          <p className="-mt-2">
            <button
              type="button"
              className="link min-h-[40px] pointer-coarse:min-h-choice"
              onClick={() => put.setRows(put.rows.filter((_, k) => k !== i))}
            >
              {say('build.removeThisLine')}
            </button>
          </p>
        </div>
      ))}
      <p>
        <button
          type="button"
          className="btn"
          onClick={() =>
            put.setRows([
              ...put.rows,
              { source: sources[0]?.key ?? '', n: '1', unit: barrow?.id ?? 'L', about: false },
            ])
          }
        >
          {put.rows.length === 0 ? say('build.somethingWentIn') : say('build.addAnotherMaterial')}
        </button>
      </p>
    </div>
  );
}
