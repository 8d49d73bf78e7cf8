'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { Mark } from '@/charts/marks';
import { PLACES } from '@/core/words/places';
import type { FindView, Found } from '../view';

/** So long after the last letter it is looked for. */
const PAUSE_MS = 250;

/** Looks for batches, loads, entries and pages as one types. */
export function Find({ typed, found }: { typed: string; found: FindView | null }) {
  const router = useRouter();
  const [text, setText] = useState(typed);
  const asked = useRef(typed);
  useEffect(() => {
    if (text === asked.current) return;
    const timer = setTimeout(() => {
      asked.current = text;
      router.replace(`/find?q=${encodeURIComponent(text)}`, { scroll: false });
    }, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [router, text]);
  return (
    <div className="px-5 max-sm:px-4 py-4 max-w-[860px] w-full flex flex-col gap-4">
      <h1>{PLACES.find.name}</h1>
      <form role="search" action="/find">
        <label className="label" htmlFor="q">
          {say('find.whatAreYouLookingFor')}
        </label>
        <input
          id="q"
          name="q"
          type="search"
          className="field !min-h-row"
          value={text}
          autoFocus
          autoComplete="off"
          enterKeyHint="search"
          onChange={(e) => setText(e.target.value)}
          aria-describedby="q-hint"
        />
        <p id="q-hint" className="hint mt-2">
          {say('find.aBatchPersonMaterial')}
        </p>
      </form>
      <div role="status" aria-live="polite">
        {found && <Results found={found} />}
      </div>
    </div>
  );
}

function Results({ found }: { found: FindView }) {
  const none =
    found.batches.length + found.loads.length + found.pages.length + found.entries.length === 0;
  if (none) return <p>{say('find.nothingFound', { typed: found.typed })}</p>;
  return (
    <div className="flex flex-col gap-5">
      <Group id="batches" title={say('find.batches')} all={found.batches} />
      <Group id="loads" title={say('find.materials')} all={found.loads} />
      <Group id="pages" title={say('find.pages')} all={found.pages} />
      <Entries found={found} />
    </div>
  );
}

function Group({ id, title, all }: { id: string; title: string; all: readonly Found[] }) {
  if (all.length === 0) return null;
  return (
    <section aria-labelledby={id}>
      <h2 id={id} className="!text-lead ruled pt-2">
        {title}
      </h2>
      <ul>
        {all.map((x) => (
          <li key={x.href} className="border-b border-rule">
            <Link prefetch={false} href={x.href} className="block py-2 min-h-target">
              <b className="disp">{x.name}</b>
              <span className="q block text-small">{x.about}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Entries({ found: { entries, moreEntries } }: { found: FindView }) {
  if (entries.length === 0) return null;
  return (
    <section aria-labelledby="entries">
      <h2 id="entries" className="!text-lead ruled pt-2">
        {say('find.logEntries')}
      </h2>
      <ul>
        {entries.map((e, i) => (
          <li key={i} className="border-b border-rule">
            <Link
              prefetch={false}
              href={e.href}
              className="py-2 min-h-target grid grid-cols-[24px_1fr_auto] gap-x-2 items-start text-small"
            >
              <Mark name={e.mark} size={19} />
              <span>
                <b className="font-[650]">{e.name}</b> {e.about}
              </span>
              <span className="q text-right whitespace-nowrap max-sm:whitespace-normal">
                {e.when}
                <br />
                {e.by}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {moreEntries && <p className="q text-small mt-2">{say('find.olderEntriesNotShown')}</p>}
    </section>
  );
}
