'use client';
import Link from 'next/link';
import { Mark } from '@/charts/marks';
import { Mound, type MoundProps } from '@/charts/Mound';
import { useOnPage } from '@/ui/useOnPage';
import type { Plot } from '../plot';

export type YardHeap = {
  readonly plot: Plot;
  readonly picture: MoundProps & { readonly says: string };
};

/** One heap on its piece of ground: the drawing, its standing in words, and what to do. */
export function HeapPlot({
  heap: { plot, picture },
  largest,
}: {
  heap: YardHeap;
  largest: number;
}) {
  const onPage = useOnPage();
  return (
    <li className="relative min-w-0 flex flex-col">
      <Link
        prefetch={false}
        href={`/batch/${plot.id}`}
        tabIndex={-1}
        aria-hidden="true"
        className="block"
      >
        <svg viewBox="0 0 148 154" className="block w-full">
          <rect x="0" y="134" width="148" height="20" fill="var(--color-soil)" />
          <rect x="0" y="134" width="148" height="20" fill="url(#stones)" />
          <path d="M0 125V154" stroke="var(--color-ink)" strokeWidth="3" />
          {onPage && (
            <Mound heap={picture} place={{ x: 74, base: 134, maxW: 136, maxH: 90, largest }} />
          )}
          <path d="M0 134H148" stroke="var(--color-ink)" strokeWidth="1.8" />
          <text x="10" y="148.5" fontSize="12" fill="var(--color-soil-dim)">
            {plot.place}
          </text>
          <text
            x="140"
            y="148.5"
            fontSize="12"
            textAnchor="end"
            fontWeight="600"
            fill="var(--color-soil-text)"
          >
            {plot.foot}
          </text>
        </svg>
      </Link>
      <div className="pl-3.5 pr-2 pt-2 pb-3 text-hint leading-[1.3]">
        <h2 className="!text-lead !leading-[1.2] flex justify-between items-baseline gap-2">
          <Link prefetch={false} href={`/batch/${plot.id}`} className="truncate">
            {plot.name}
            <span className="sr-only">, {picture.says}</span>
          </Link>
          <span className="font-text text-fine font-medium text-ink-2 whitespace-nowrap">
            {plot.volume}
          </span>
        </h2>
        <p data-says={plot.says}>
          <b className="font-[650]">{plot.head}</b>
          <br />
          <span className="q">{plot.sub}</span>
        </p>
        <p
          className="mt-1.5 flex gap-1.5 items-start text-small leading-[1.25] font-[650]"
          data-says={plot.adviceSays}
        >
          <Mark name={plot.advice.mark} size={17} />
          <span className={plot.advice.danger ? 'alarm' : plot.advice.urgent ? 'marked' : ''}>
            {plot.advice.act}
          </span>
        </p>
        <p className="q mt-0.5 text-note">{plot.advice.why}</p>
      </div>
    </li>
  );
}
