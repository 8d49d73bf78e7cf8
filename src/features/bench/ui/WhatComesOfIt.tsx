'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import type { Addition } from '@/core/mix/additions';
import type { Mix } from '@/core/mix/mix';
import { estOf, mixDistanceFromPreferred, WINDOWS } from '@/core/mix/window';
import { mixSays, windowInShort } from '@/core/mix/words';
import { listText } from '@/core/quantity/format';
import { itemAt } from '@/core/quantity/present';
import { measureText } from '@/core/words/amount';
import { Mark } from '@/charts/marks';
import { waterWith } from '../addition';
import { farFrom, type BenchView, type HeapMix } from '../view';
import { Schools } from './Beside';
import type { Additions } from './useAdditions';
import type { BenchHandle } from './useBench';
import { Windows } from './Windows';

type Measure = BenchView['measures'][number];
type Named = Pick<BenchHandle, 'byKey'>;

/** A material in the middle of a sentence. */
const nameOf = (a: Addition, bench: Named): string =>
  (bench.byKey.get(a.key)?.name ?? a.key).replace(/^[A-Z](?=[a-z])/, (c) => c.toLowerCase());
const amountOfAddition = (a: Addition, measure: Measure): string =>
  measureText(a.n, measure.name, measure.many);

/** How far an addition helps, as the end of a sentence that begins with its amount. */
function helpText(a: Addition): string {
  const one = a.n === 1;
  const right = one ? say('bench.fixesIt') : say('bench.fixIt');
  const nearer = one ? say('bench.improvesIt') : say('bench.improveIt');
  const costs = a.costs.map((id) =>
    say('bench.goesTo', {
      toLowerCase: WINDOWS[id].name.toLowerCase(),
      id: windowInShort(id, a.after),
    }),
  );
  const but = costs.length > 0 ? say('bench.but', { costs: listText(costs) }) : '';
  return `${a.miss < 1e-9 ? right : nearer}${but}`;
}

/** What the mix is like, and what would make it better. */
function Says({
  mix,
  chosen,
  bench,
  measure,
}: {
  mix: Mix | null;
  chosen: Addition | null;
  bench: Named;
  measure: Measure;
}) {
  return (
    <p className="text-says leading-[1.3]" data-testid="says" aria-live="polite">
      {mix ? mixSays(mix) : say('bench.correctMarkedAmounts')}
      {mix && chosen ? (
        <>
          {' '}
          <b>
            {say('bench.of', {
              chosen: amountOfAddition(chosen, measure),
              chosen2: nameOf(chosen, bench),
            })}
          </b>{' '}
          {helpText(chosen)}.
        </>
      ) : null}
    </p>
  );
}

/** Takes what is offered, or looks at the next offer. */
function AdditionKeys({
  additions,
  chosen,
  next,
  bench,
  measure,
  working,
  onTake,
  onNext,
}: {
  additions: readonly Addition[];
  chosen: Addition;
  next: Addition;
  bench: Named;
  measure: Measure;
  working: boolean;
  onTake: () => void;
  onNext: () => void;
}) {
  const water = waterWith(chosen);
  return (
    <div className="flex flex-wrap gap-2">
      <button type="button" className="btn key !min-h-[50px]" disabled={working} onClick={onTake}>
        <Mark name="add" size={20} />
        {say('bench.addOf', {
          chosen: amountOfAddition(chosen, measure),
          chosen2: nameOf(chosen, bench),
          water: water > 0 ? say('bench.andLWater', { water }) : '',
        })}
      </button>
      {additions.length > 1 && (
        <button type="button" className="btn !min-h-[50px]" disabled={working} onClick={onNext}>
          {say('bench.useInstead', { next: nameOf(next, bench) })}
        </button>
      )}
    </div>
  );
}

/** Nothing of the store helps: what else would, or what to do. */
function NoAddition({
  mix,
  elsewhere,
  bench,
  view,
  measure,
}: {
  mix: Mix;
  elsewhere: Addition | null;
  bench: Named;
  view: BenchView;
  measure: Measure;
}) {
  const water = elsewhere ? waterWith(elsewhere) : 0;
  const isRight = mixDistanceFromPreferred(mix) === 0;
  return (
    <p className="q" data-testid="no-addition">
      {view.items.some((i) => i.inStore)
        ? say('bench.nothingInStockImprovesAlone')
        : say('bench.thereNothingInStock')}{' '}
      {elsewhere && (
        <b className="font-semibold text-ink">
          {say('bench.aboutOfWould', {
            elsewhere: amountOfAddition(elsewhere, measure),
            elsewhere2: nameOf(elsewhere, bench),
            water: water > 0 ? say('bench.andLOfWater', { water }) : '',
          })}
        </b>
      )}
      {!elsewhere && !isRight && say('bench.nothingInLibraryDoesEither')}
    </p>
  );
}

/** The two heaps of the site whose mix was most like this one. */
function nearestHeaps(mix: Mix, heaps: readonly HeapMix[]): HeapMix[] {
  const [cn, moisture] = [estOf(mix.cn), estOf(mix.moisture)];
  if (!cn || !moisture) return [];
  const here = { cn: cn.value, moisture: moisture.value };
  return [...heaps].sort((a, b) => farFrom(a, here) - farFrom(b, here)).slice(0, 2);
}

const NearestHeaps = ({ heaps }: { heaps: readonly HeapMix[] }) =>
  heaps.length > 0 && (
    <section className="ruled pt-2">
      <h3>{say('bench.yourBatchesMostLikeThis')}</h3>
      <ul className="grid sm:grid-cols-2 gap-3 mt-1 text-hint">
        {heaps.map((h) => (
          <li key={h.id}>
            <Link prefetch={false} className="link" href={`/batch/${h.id}`}>
              {h.name}
            </Link>{' '}
            {say('bench.cNMoisture', { cn: h.cn.toFixed(0), moisture: h.moisture.toFixed(0) })}
            <br />
            <span className="text-ink-2">{h.says}</span>
          </li>
        ))}
      </ul>
    </section>
  );

/** So many offers at most are gone through one after another. */
const MAX_OFFERS = 5;

/** What comes of it: figures with their windows, what makes them better, heaps that were like it. */
export function WhatComesOfIt({
  bench,
  view,
  offers: { additions, elsewhere, working },
  pick,
  measure,
  onPick,
  onTake,
}: {
  bench: BenchHandle;
  view: BenchView;
  offers: Additions;
  /** Which of the additions is looked at. */ pick: number;
  measure: Measure;
  onPick: (pick: number) => void;
  onTake: (addition: Addition) => void;
}) {
  const { mix, lines, parts } = bench;
  const chosen = additions[pick] ?? additions[0] ?? null;
  const next = (pick + 1) % Math.max(1, Math.min(additions.length, MAX_OFFERS));
  const settled = working ? null : chosen;
  const nothingHelps = !chosen && mix?.cn.ok === true && !working && lines.length > 0;
  return (
    <>
      <Says mix={mix} chosen={settled} bench={bench} measure={measure} />
      {mix && <Windows mix={mix} then={settled?.after ?? null} />}
      {chosen && (
        <AdditionKeys
          additions={additions}
          chosen={chosen}
          next={itemAt(additions, next)}
          bench={bench}
          measure={measure}
          working={working}
          onTake={() => onTake(chosen)}
          onNext={() => onPick(next)}
        />
      )}
      {nothingHelps && (
        <NoAddition mix={mix} elsewhere={elsewhere} bench={bench} view={view} measure={measure} />
      )}
      {mix && <NearestHeaps heaps={nearestHeaps(mix, view.near)} />}
      {mix && <Schools parts={parts} mix={mix} measure={measure} />}
    </>
  );
}
