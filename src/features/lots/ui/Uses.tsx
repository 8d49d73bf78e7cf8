'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useState } from 'react';
import { upperFirst } from '@/core/quantity/format';
import type { HeapRef } from '@/entry/ui/useEntry';
import { DraftScope } from '@/ui/draft';
import { Sheet } from '@/ui/Sheet';
import type { UsesView } from '../uses-view';
import { LimitSetForm, UseForm } from './UseForms';

type Open = { readonly what: 'use' | 'limits'; readonly id: string };

/** One use: what it asks, and who changed that. */
const UseRow = ({ u, onChange }: { u: UsesView['uses'][number]; onChange: () => void }) => (
  <li
    className="border-b border-rule py-2.5 grid grid-cols-[minmax(0,1fr)_auto] gap-x-4"
    data-testid={`use-${u.use.id}`}
  >
    <div>
      <b>{upperFirst(u.name)}</b>
      {u.asks.map((a) => (
        <p key={a}>{a}</p>
      ))}
      <p className="q text-hint">{u.changed}</p>
    </div>
    <button type="button" className="btn self-start" onClick={onChange}>
      {say('lots.change')}
    </button>
  </li>
);

/** A set of limits, line by line; one of the site's own can be changed. */
const LimitSetItem = ({ l, onChange }: { l: UsesView['limits'][number]; onChange: () => void }) => (
  <details className="border-b border-rule py-1" data-testid="limit-set">
    <summary className="min-h-target cursor-pointer">
      <b>{l.title}</b> <span className="q text-hint">{l.source}</span>
    </summary>
    <ul className="pl-4 columns-2 max-sm:columns-1">
      {l.lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
    {l.own && (
      <button type="button" className="btn mt-1" onClick={onChange}>
        {say('lots.change')}
      </button>
    )}
  </details>
);

/** What each use asks on this site, and the limits that it can ask for; each can be changed. */
export function Uses({ view, site }: { view: UsesView; site: HeapRef }) {
  const [open, setOpen] = useState<Open | null>(null);
  const use = view.uses.find((u) => open?.what === 'use' && u.use.id === open.id);
  const set = view.limits.find((l) => l.id === open?.id)?.own ?? null;
  const close = (): void => setOpen(null);
  return (
    <div className="px-5 max-sm:px-4 py-5 flex flex-col gap-4 max-w-[1080px]">
      <p>
        <Link prefetch={false} className="link pointer-coarse:py-2.5 inline-block" href="/lots">
          {say('lots.title')}
        </Link>
      </p>
      <h1>{say('lots.usesAndLimits')}</h1>
      <p className="max-w-[720px]">{view.labels.how}</p>
      <ul>
        {view.uses.map((u) => (
          <UseRow key={u.use.id} u={u} onChange={() => setOpen({ what: 'use', id: u.use.id })} />
        ))}
      </ul>
      <h2 className="!text-says border-b-[1.6px] border-ink pb-1">{view.labels.limitsAsked}</h2>
      <p className="hint">{say('lots.checkAuthority')}</p>
      <p>
        <button
          type="button"
          className="btn !min-h-glove"
          onClick={() => setOpen({ what: 'limits', id: '' })}
        >
          {view.labels.addLimits}
        </button>
      </p>
      {view.limits.map((l) => (
        <LimitSetItem key={l.id} l={l} onChange={() => setOpen({ what: 'limits', id: l.id })} />
      ))}
      {open && (
        <Sheet
          open
          onOpenChange={(o) => !o && close()}
          title={use ? upperFirst(use.name) : say('lots.ownLimits')}
        >
          <DraftScope name={`uses ${open.what} ${open.id}`}>
            {use ? (
              <UseForm use={use} view={view} site={site} onDone={close} />
            ) : (
              <LimitSetForm set={set} site={site} labels={view.labels} onDone={close} />
            )}
          </DraftScope>
        </Sheet>
      )}
    </div>
  );
}
