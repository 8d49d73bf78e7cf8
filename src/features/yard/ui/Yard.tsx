import { say } from '@/messages/say';
import Link from 'next/link';
import { ember } from '@/charts/ember';
import { Mark } from '@/charts/marks';
import type { ReactNode } from 'react';
import type { YardFilter } from '../filter';
import type { Plot } from '../plot';
import { FilterBar } from './FilterBar';
import { HeapPlot, type YardHeap } from './HeapPlot';
import { HeapRows } from './HeapRows';

/** As many batches a phone shows before what is due. */
const FEW = 14;

const listHeats = (): readonly [number, string][] => [
  [25, say('yard.cold')],
  [40, say('yard.warming')],
  [55, say('yard.heatTreatment')],
  [65, say('yard.hot')],
  [70, say('yard.tooHot')],
  [77, say('yard.danger')],
];

/** Home: the heaps on their ground, and the day's work beside them. */
export function Yard({
  heaps,
  rows,
  gone,
  of,
  filter,
  figures,
  today,
  piles,
}: {
  heaps: readonly YardHeap[];
  /** What is not drawn, where there are many. */ rows: readonly Plot[];
  /** How many batches have left the yard. */ gone: number;
  /** Of how many they were chosen. */ of: number;
  filter: YardFilter;
  figures: readonly string[];
  /** The day's work, beside them. */ today: ReactNode;
  /** Lots after the heat, below them. */ piles: ReactNode;
}) {
  const largest = Math.max(...heaps.map((h) => h.picture.volume), 1);
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,392px)]">
      <section aria-labelledby="yard-title" className="min-w-0 flex flex-col">
        <h1 id="yard-title" className="sr-only">
          {say('yard.batches')}
        </h1>
        {of > 0 && (
          <div className="flex flex-wrap items-center justify-end border-b border-rule">
            {of > 1 && <FilterBar filter={filter} shown={heaps.length + rows.length} of={of} />}
            <Link
              prefetch={false}
              href="/open"
              className="link text-small ml-auto px-3.5 min-h-target inline-flex items-center"
            >
              {say('yard.startABatch')}
            </Link>
          </div>
        )}
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(136px,1fr))] max-sm:grid-cols-2">
          {heaps.map((h) => (
            <HeapPlot key={h.plot.id} heap={h} largest={largest} />
          ))}
        </ul>
        {rows.length > 0 && <HeapRows rows={rows} />}
        {piles}
        {of === 0 && (
          <p className="px-5 py-8 text-subhead">
            {say('yard.noActiveBatch')}{' '}
            <Link href="/open" className="link">
              {say('yard.startABatch')}
            </Link>
          </p>
        )}
        {gone > 0 && (
          <p className="px-3.5 py-2 text-small">
            <Link
              prefetch={false}
              href="/records"
              className="link min-h-target inline-flex items-center"
            >
              {say('yard.oneFinishedBatchFinishedBatches', { gone })}
            </Link>
          </p>
        )}
        <p className="mt-auto px-3.5 py-3 flex flex-wrap gap-x-6 gap-y-1 text-fine text-ink-2">
          <span className="flex items-center gap-1.5">
            <svg width="92" height="14" aria-hidden="true">
              {listHeats().map(([t], i) => (
                <g key={t}>
                  <rect
                    x={i * 15.3 + 0.5}
                    y="1"
                    width="15"
                    height="12"
                    style={{ fill: ember(t) }}
                    stroke="var(--color-ink)"
                    strokeWidth=".8"
                  />
                  {t === 77 && (
                    <rect x={i * 15.3} y="1" width="15" height="12" fill="url(#danger-small)" />
                  )}
                </g>
              ))}
            </svg>
            {listHeats()
              .map(([, word], i) => (i === 0 ? word : `${figures[i]} ${word}`))
              .join(' · ')}
          </span>
          <span className="flex items-center gap-1.5">
            <svg width="26" height="14" aria-hidden="true">
              <rect
                x=".5"
                y=".5"
                width="25"
                height="12"
                fill="url(#hatch-small)"
                stroke="var(--color-ink)"
                strokeWidth=".8"
              />
            </svg>
            {say('yard.timeDoesNotCount')}
          </span>
          <span className="flex items-center gap-1.5">
            <svg width="26" height="14" aria-hidden="true">
              <path
                d="M1 12Q13-6 25 12"
                fill="none"
                stroke="var(--color-ink)"
                strokeDasharray="2 2.5"
              />
            </svg>
            {say('yard.turningStillNeeded')}
          </span>
        </p>
      </section>
      {/* Where there are many, what is due comes before them on a phone. */}
      <div className={of > FEW ? 'contents max-lg:block max-lg:order-first' : 'contents'}>
        {today}
      </div>
    </div>
  );
}

/** What to do first on an empty site; beside it what the store asks for already. */
export function EmptyYard({ today }: { today: ReactNode }) {
  return (
    <div className={today ? 'grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,400px)] flex-1' : ''}>
      <section className="max-w-[620px] px-5 py-10 flex flex-col gap-4">
        <h1>{say('yard.noBatchYet')}</h1>
        <p className="text-lead">{say('yard.startOneYouBuildingOr')}</p>
        <p className="flex gap-3 flex-wrap">
          <Link href="/start" className="btn key">
            <Mark name="flag" />
            {say('yard.setUpInFourSteps')}
          </Link>
          <Link href="/start/sample" className="btn">
            {say('yard.lookAtASample')}
          </Link>
          <Link href="/open" className="btn">
            {say('yard.startABatch')}
          </Link>
          <Link href="/bench" className="btn">
            {say('yard.workOutARecipe')}
          </Link>
          <Link href="/store/take-in" className="btn">
            {say('yard.logALoad')}
          </Link>
          <Link href="/bring" className="btn">
            {say('yard.importAFile')}
          </Link>
        </p>
      </section>
      {today}
    </div>
  );
}
