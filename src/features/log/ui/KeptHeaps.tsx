'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { Mark } from '@/charts/marks';
import { Mound } from '@/charts/Mound';
import { localInput } from '@/core/quantity/calendar';
import { whenText } from '@/core/quantity/format';
import { recallHeaps, refreshKeptHeaps } from '@/outbox/kept-heaps';
import { serverNow } from '@/outbox/store';
import { HotChoices } from '@/entry/ui/HotChoices';
import type { HeapRef } from '@/entry/ui/useEntry';
import type { OfflineHeap, OfflineHeaps } from '../offline-heaps';
import { LogBar } from './LogBar';

/** The heap that the address names; empty: none. */
const heapOfAddress = (): string => /^\/batch\/([^/]+)/.exec(location.pathname)?.[1] ?? '';

/** A round this fresh was read before the turning that is being logged. */
const READ_LATELY_MS = 43_200_000;

/** What this device keeps of the heaps: all of them as a list, or the one whose page was asked for and cannot be had. */
export function KeptHeaps() {
  const [kept, setKept] = useState<OfflineHeaps | 'looking' | null>('looking');
  const [id, setId] = useState('');
  const [reached, setReached] = useState(false);
  useEffect(() => {
    let current = true;
    const recall = async (): Promise<void> => {
      const found = await recallHeaps((data) => data as OfflineHeaps).catch(() => null);
      if (!current) return;
      setKept(found);
      setId(heapOfAddress());
    };
    void recall();
    // Where there is a signal after all, what is kept is made anew.
    refreshKeptHeaps().then(
      () => {
        setReached(true);
        return recall();
      },
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, []);
  if (kept === 'looking')
    return (
      <p className="p-5" role="status">
        {say('log.lookingForWhatSavedOn')}
      </p>
    );
  const heap = kept?.heaps.find((h) => h.id === id);
  if (!kept || (id !== '' && !heap))
    return (
      <p className="p-5">{kept ? say('log.thisBatchNotSavedOn') : say('log.noBatchSavedOnThis')}</p>
    );
  return heap ? (
    <KeptHeap kept={kept} heap={heap} reached={reached} />
  ) : (
    <KeptList kept={kept} reached={reached} />
  );
}

function KeptList({ kept, reached }: { kept: OfflineHeaps; reached: boolean }) {
  return (
    <div className="px-4 py-4 max-w-[720px]">
      <h1>{say('terms.batchesSavedOnThisDevice')}</h1>
      <AsOf kept={kept} reached={reached} />
      <ul className="mt-2">
        {kept.heaps.map((h) => (
          <li key={h.id} className="border-b border-rule">
            <a
              href={`/batch/${h.id}`}
              className="min-h-row py-2 grid grid-cols-[minmax(90px,1fr)_2fr] gap-3 items-center"
            >
              <span>
                <b className="disp">{h.picture.name}</b>
                <span className="q block text-note">{h.place}</span>
              </span>
              <span className="text-small flex gap-1.5 items-start">
                <Mark name={h.advice.mark} size={17} />
                {h.advice.act}
              </span>
            </a>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** When it was kept, and whether there is something newer to be had. */
function AsOf({ kept: { now, timeZone }, reached }: { kept: OfflineHeaps; reached: boolean }) {
  const when = whenText(timeZone, now, serverNow());
  return (
    <p className="text-small font-semibold" data-testid="kept-as-of">
      {reached
        ? say('log.asSavedForWhenThere', { when })
        : say('log.asServerCannotReachedSo', { when })}
    </p>
  );
}

/** What the forms of a heap ask for, out of what is kept. */
const refOf = (kept: OfflineHeaps, heap: OfflineHeap): HeapRef => ({
  id: heap.id,
  name: heap.picture.name,
  by: kept.by,
  nowLocal: localInput(kept.timeZone, serverNow()),
  unit: kept.unit,
  placed: kept.placed,
  readLately: heap.readAt !== null && serverNow() - heap.readAt < READ_LATELY_MS,
  templates: kept.templates.filter((t) => t.kept === heap.kept),
  template: heap.template,
  rules: kept.rules
    .filter((rule) => heap.rules.includes(rule.id))
    .map((rule) => ({ title: rule.title, rule })),
  onHold: heap.onHold,
  shape: heap.shape,
  danger: heap.danger,
});

function KeptHeap({
  kept,
  heap,
  reached,
}: {
  kept: OfflineHeaps;
  heap: OfflineHeap;
  reached: boolean;
}) {
  const { picture, hot, advice } = heap;
  return (
    <div className="px-4 pt-4 pb-28 flex flex-col gap-3 max-w-[880px]" data-testid="kept-heap">
      <AsOf kept={kept} reached={reached} />
      {hot?.urgent && <TooHot heap={heap} hot={hot} />}
      <section className="flex gap-5 items-end" aria-labelledby="heap-name">
        <svg
          viewBox="0 -6 210 134"
          className="w-[150px] flex-none"
          role="img"
          aria-label={picture.says}
        >
          <Mound
            heap={picture}
            place={{ x: 104, base: 116, maxW: 196, maxH: 92, largest: picture.volume }}
          />
          <rect x="0" y="116" width="210" height="5" fill="var(--color-soil)" />
          <path d="M0 116H210" stroke="var(--color-ink)" strokeWidth="1.8" />
        </svg>
        <div className="min-w-0">
          <h1 id="heap-name">{picture.name}</h1>
          <p className="q text-hint">{[heap.place, heap.stage, heap.method].join(' · ')}</p>
          <p className="text-small">{heap.standing}.</p>
        </div>
      </section>
      {!hot?.urgent && (
        <section aria-label={say('log.whatToDoNext')} className="ruled pt-2" data-testid="todo">
          <h2 className="flex gap-2 items-center">
            <Mark name={advice.mark} size={22} />
            <span className={advice.urgent ? 'marked' : ''}>{advice.act}</span>
          </h2>
          <p className="mt-1.5">{advice.why}</p>
          {advice.caution && <p className="caution mt-2">{advice.caution}</p>}
        </section>
      )}
      <LogBar heap={refOf(kept, heap)} building={heap.building} />
      <LastValues heap={heap} />
    </div>
  );
}

function LastValues({ heap }: { heap: OfflineHeap }) {
  return (
    <section aria-labelledby="places" className="ruled pt-2">
      <h2 id="places" className="!text-lead">
        {say('log.lastReadingEachPoint')}
      </h2>
      <ul>
        {heap.places.map((p) => (
          <li key={p.name} className="border-b border-rule py-1 flex justify-between gap-3">
            <span>{p.name}</span>
            <b className="font-semibold">{p.last}</b>
          </li>
        ))}
      </ul>
      <p className="q text-small mt-1">{heap.limits}</p>
    </section>
  );
}

function TooHot({ heap, hot }: { heap: OfflineHeap; hot: NonNullable<OfflineHeap['hot']> }) {
  return (
    <section aria-label={say('log.danger')} className="danger pl-7 pr-4 py-3" data-testid="danger">
      <h2 className="flex gap-2 items-center">
        <Mark name={heap.advice.mark} size={24} />
        {heap.picture.name}: {hot.heading}
      </h2>
      <HotChoices hot={hot} />
      <p className="mt-1">
        <Link prefetch={false} className="link min-h-target inline-flex items-center" href="/fire">
          {say('log.firePlan')}
        </Link>
      </p>
    </section>
  );
}
