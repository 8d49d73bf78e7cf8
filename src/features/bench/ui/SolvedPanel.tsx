'use client';
import { say } from '@/messages/say';
import { findAmountUnit } from '@/core/units/amount-units';
import { figureWithUnit } from '@/core/quantity/format';
import type { OwnMeasure } from '@/core/log/store-shapes';
import type { InSteps } from '@/core/mix/in-steps';
import type { Offer } from '@/core/mix/programme';
import type { SolvedMix } from '@/core/mix/solve';
import { estOf, WINDOWS, WINDOW_IDS } from '@/core/mix/window';
import { limitText, solvedSays, windowInShort } from '@/core/mix/words';
import { measureText } from '@/core/words/amount';
import type { SolvedRow } from '../solve-draft';

export type SolveAnswer = { readonly solved: SolvedMix; readonly inSteps: InSteps };

/** What stands in the way of the target, and what lifting it would take. */
function Limits({ solved, offers }: { solved: SolvedMix; offers: readonly Offer[] }) {
  const litresPerKg = (key: string): number | null => {
    const density = offers.find((o) => o.stuff.key === key)?.stuff.density;
    return density ? 1000 / density.usual : null;
  };
  return (
    solved.limits.length > 0 && (
      <ul>
        {solved.limits.slice(0, 4).map((l, i) => (
          <li key={i}>{limitText(l, l.code === 'NOTHING_LIKE' ? null : litresPerKg(l.key))}.</li>
        ))}
      </ul>
    )
  );
}

const unitText = (n: number, unit: string, measures: readonly OwnMeasure[]): string => {
  const m = measures.find((x) => x.id === unit);
  return m ? measureText(n, m.name, m.many) : `${n} ${findAmountUnit(unit)?.sign ?? unit}`;
};

/** Each amount now and then. */
function AmountTable({
  rows,
  water,
  measures,
}: {
  rows: readonly SolvedRow[];
  /** Litres. */ water: { now: number; next: number };
  measures: readonly OwnMeasure[];
}) {
  return (
    <table className="text-body">
      <thead>
        <tr>
          <th scope="col" className="text-left font-semibold">
            {say('bench.material')}
          </th>
          <th scope="col" className="text-right font-semibold">
            {say('bench.now')}
          </th>
          <th scope="col" className="text-right font-semibold">
            {say('bench.then')}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.row.id} className="border-b border-rule">
            <td className="py-1">
              {r.item.name}
              {r.row.fixed ? say('bench.fixed') : ''}
            </td>
            <td className="text-right">{unitText(r.now, r.row.unit, measures)}</td>
            <td className="text-right">
              <b>{unitText(r.next, r.row.unit, measures)}</b>
            </td>
          </tr>
        ))}
        <tr>
          <td className="py-1">{say('bench.water')}</td>
          <td className="text-right">{figureWithUnit('litres', water.now)}</td>
          <td className="text-right">
            <b>{figureWithUnit('litres', water.next)}</b>
          </td>
        </tr>
      </tbody>
    </table>
  );
}

const figuresText = ({ mix }: InSteps): string =>
  WINDOW_IDS.flatMap((id) =>
    estOf(mix[id]) ? [`${WINDOWS[id].name.toLowerCase()} ${windowInShort(id, mix)}`] : [],
  ).join(', ');

/** What the solver found, and the key that takes it. */
export function SolvedPanel({
  answer: { solved, inSteps },
  rows,
  offers,
  waterNow,
  measures,
  onTake,
  ref,
}: {
  answer: SolveAnswer;
  rows: readonly SolvedRow[];
  offers: readonly Offer[];
  waterNow: number;
  measures: readonly OwnMeasure[];
  onTake: () => void;
  ref: React.Ref<HTMLElement>;
}) {
  return (
    <section
      ref={ref}
      className="ruled pt-3 flex flex-col gap-2"
      data-testid="solved"
      aria-live="polite"
    >
      <p className={`font-semibold ${solved.reached ? '' : 'marked'}`}>
        {solvedSays(solved, inSteps)}
      </p>
      <Limits solved={solved} offers={offers} />
      <AmountTable
        rows={rows}
        water={{ now: waterNow, next: inSteps.waterL }}
        measures={measures}
      />
      <p className="hint">
        {say('bench.then2', {
          inSteps: figuresText(inSteps),
          cost:
            inSteps.cost === null
              ? ''
              : say('bench.costWhatHasPrice', { cost: inSteps.cost.toFixed(2) }),
        })}
      </p>
      <button type="button" className="btn key" onClick={onTake}>
        {say('bench.useTheseAmounts')}
      </button>
    </section>
  );
}
