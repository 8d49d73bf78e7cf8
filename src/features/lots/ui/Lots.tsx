'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { keepPages } from '@/outbox/keep-pages';
import { DraftScope } from '@/ui/draft';
import { Sheet } from '@/ui/Sheet';
import type { LotRow, LotsView } from '../view';
import { CureForm } from './MoveForms';
import type { LotRef } from './parts';

function Row({ r }: { r: LotRow }) {
  return (
    <li
      className="border-b border-rule py-2.5 grid grid-cols-[minmax(0,1fr)_auto] gap-x-4"
      data-testid="lot"
    >
      <div className="min-w-0">
        <Link
          prefetch={false}
          href={`/lots/${r.id}`}
          className="link font-semibold pointer-coarse:py-2.5 inline-block"
        >
          {r.title}
        </Link>
        <p className="q text-hint">{[r.kind, r.where, r.age].filter(Boolean).join(', ')}</p>
        {r.due.map((d) => (
          <p key={d} className="text-hint marked w-fit mt-1">
            {d}
          </p>
        ))}
      </div>
      <div className="text-right">
        <b>{r.amount}</b>
        <p className="text-hint">{r.unheated}</p>
        <p className={`text-hint ${r.inQuestion ? 'marked font-semibold w-fit ml-auto' : 'q'}`}>
          {r.decision}
        </p>
      </div>
    </li>
  );
}

/** A batch that may be moved to cure, and the button for it. */
function BatchToCure({ b, onChoose }: { b: LotsView['batches'][number]; onChoose: () => void }) {
  return (
    <li className="flex flex-wrap justify-between items-center gap-2 border-b border-rule py-1.5">
      <span>
        <Link prefetch={false} href={`/batch/${b.id}`} className="link">
          {b.name}
        </Link>{' '}
        <span className="q text-hint" data-says={b.says}>
          {b.standing}
        </span>
      </span>
      <button type="button" className="btn" onClick={onChoose}>
        {say('lots.moveToCure')}
      </button>
    </li>
  );
}

/** What else there is of lots: tracing, totals, what uses ask, the open file. */
const LotLinks = () => (
  <p className="flex flex-wrap gap-x-5 gap-y-1">
    <Link prefetch={false} className="link pointer-coarse:py-2.5" href="/lots/trace">
      {say('lots.traceOrRecall')}
    </Link>
    <Link prefetch={false} className="link pointer-coarse:py-2.5" href="/lots/season">
      {say('lots.seasonTotals')}
    </Link>
    <Link prefetch={false} className="link pointer-coarse:py-2.5" href="/lots/uses">
      {say('lots.usesAndLimits')}
    </Link>
    <a className="link pointer-coarse:py-2.5" href="/api/lots/site-file">
      {say('lots.siteFile')}
    </a>
  </p>
);

/** All lots after the heat, by what they ask for; and the batches that could join them. */
export function Lots({ view, refs }: { view: LotsView; refs: Readonly<Record<string, LotRef>> }) {
  const [curing, setCuring] = useState<string | null>(null);
  const ref = curing === null ? undefined : refs[curing];
  const pages = view.open.map((r) => `/lots/${r.id}`).join(' ');
  // Lots lie outside: their pages are there without a signal too.
  useEffect(() => keepPages('lots', pages.split(' ')), [pages]);
  return (
    <div className="grid lg:grid-cols-[minmax(0,1fr)_360px] flex-1">
      <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-3">
        <h1>{say('lots.title')}</h1>
        <LotLinks />
        {view.open.length === 0 && <p className="max-w-[640px]">{say('lots.noneYet')}</p>}
        <ul>
          {view.open.map((r) => (
            <Row key={r.id} r={r} />
          ))}
        </ul>
        {view.done.length > 0 && (
          <details>
            <summary className="link min-h-target">
              {say('lots.emptyLots', { n: view.done.length })}
            </summary>
            <ul>
              {view.done.map((r) => (
                <Row key={r.id} r={r} />
              ))}
            </ul>
          </details>
        )}
      </div>
      <aside className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 max-sm:px-4 py-4">
        <h2 className="!text-says">{say('frame.batches')}</h2>
        <p className="hint mt-1">{say('lots.whenToCure')}</p>
        <ul className="mt-2">
          {view.batches.map((b) => (
            <BatchToCure key={b.id} b={b} onChoose={() => setCuring(b.id)} />
          ))}
        </ul>
      </aside>
      {ref && (
        <Sheet
          open
          onOpenChange={(open) => !open && setCuring(null)}
          title={say('lots.moveBatch', { name: ref.name })}
        >
          <DraftScope name={`cure ${ref.id}`}>
            <CureForm lot={ref} onDone={() => setCuring(null)} />
          </DraftScope>
        </Sheet>
      )}
    </div>
  );
}
