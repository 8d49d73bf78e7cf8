'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { Mark } from '@/charts/marks';
import { useOnPage } from '@/ui/useOnPage';
import type { Plot } from '../plot';

/** The heaps that are not drawn, one under the other: where it stands, how far it is, what to do. */
export function HeapRows({ rows }: { rows: readonly Plot[] }) {
  const onPage = useOnPage();
  return (
    <section aria-labelledby="others" className="px-3.5 pt-4">
      <h2 id="others" className="!text-subhead border-b-[1.6px] border-ink pb-1">
        {say('yard.alsoOnSiteOneOther', { rows: rows.length })}
      </h2>
      <ul>{onPage && rows.map((plot) => <HeapRow key={plot.id} plot={plot} />)}</ul>
    </section>
  );
}

function HeapRow({ plot }: { plot: Plot }) {
  return (
    <li className="border-b border-rule">
      <Link
        prefetch={false}
        href={`/batch/${plot.id}`}
        className="grid grid-cols-[minmax(84px,1fr)_minmax(0,2fr)_minmax(0,2fr)] max-sm:grid-cols-[minmax(84px,1fr)_minmax(0,2fr)] gap-x-4 items-baseline py-2 min-h-target text-small leading-[1.3]"
      >
        <span>
          <b className="disp text-body">{plot.name}</b>
          <span className="q block text-note">{plot.place}</span>
        </span>
        <span data-says={plot.says}>
          <b className="font-[650]">{plot.head}</b>
          <span className="q block text-note">
            {[plot.sub, plot.foot].filter(Boolean).join(' · ')}
          </span>
        </span>
        <span className="flex gap-1.5 items-start max-sm:col-start-2" data-says={plot.adviceSays}>
          <Mark name={plot.advice.mark} size={17} />
          <span className={plot.advice.danger ? 'alarm' : plot.advice.urgent ? 'marked' : ''}>
            {plot.advice.act}
          </span>
        </span>
      </Link>
    </li>
  );
}
