'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { Mark } from '@/charts/marks';
import { Mound } from '@/charts/Mound';
import { itemAt } from '@/core/quantity/present';
import { enqueue } from '@/outbox/keep';
import { sendWaiting } from '@/outbox/store';
import type { OfflineRoundData, RoundHeap } from '../offline-round-data';
import { createId, type WalkHandle } from './useRoundWalk';

/** The order of the heaps: as proposed or kept, until it is changed by hand; kept for every phone. */
export function useRouteOrder(data: OfflineRoundData, by: string, onKept: WalkHandle['refresh']) {
  const [ordering, setOrdering] = useState(false);
  const [order, setOrder] = useState<readonly string[] | null>(null);
  const heaps = (order ?? data.heaps.map((h) => h.id)).flatMap(
    (id) => data.heaps.find((h) => h.id === id) ?? [],
  );
  const move = (i: number, step: -1 | 1): void => {
    const ids = heaps.map((h) => h.id);
    [ids[i], ids[i + step]] = [itemAt(ids, i + step), itemAt(ids, i)];
    setOrder(ids);
  };
  const keep = (ids: readonly string[]): void => {
    const form = {
      id: createId(),
      batch: null,
      kind: 'walk-order' as const,
      at: null,
      by: by.trim() || say('round.thisDevice'),
      data: { batches: ids },
    };
    void enqueue([{ form, what: say('log.orderOfTheWalk') }])
      .then(() => sendWaiting())
      .then(onKept);
    if (ids.length === 0) setOrder(null);
    setOrdering(false);
  };
  const leave = (): void => {
    setOrder(null);
    setOrdering(false);
  };
  return { heaps, ordering, begin: () => setOrdering(true), move, keep, leave };
}
type RouteOrder = ReturnType<typeof useRouteOrder>;

const SmallMound = ({ heap, largest }: { heap: RoundHeap; largest: number }) => (
  <svg
    width={56}
    height={40}
    viewBox="0 0 74 52"
    aria-hidden="true"
    className="flex-none max-sm:hidden"
  >
    <Mound
      heap={heap.picture}
      place={{ x: 35, base: 50, maxW: 66, maxH: 32, largest, small: true }}
    />
    <path d="M0 50H74" stroke="var(--color-ink)" strokeWidth={1.8} />
  </svg>
);

/** A heap on the way: what it is, and why it is read or not. */
const HeapWords = ({ heap: h, reasons }: { heap: RoundHeap; reasons: boolean }) => (
  <span className="flex-1 min-w-0 leading-[1.25]">
    <b className="disp text-lead">{h.name}</b>{' '}
    <span className="q text-small" data-says={h.says}>
      {[h.place, h.reason].filter(Boolean).join(' · ')}
    </span>
    {h.danger !== null && (
      <b className={`${h.danger === 'fire' ? 'alarm' : 'marked'} ml-1 text-small`}>
        {h.danger === 'fire' ? say('status.standBack') : say('round.tooHot')}
      </b>
    )}
    {reasons && h.notNow && <span className="block q text-hint">{h.notNow}</span>}
    {reasons &&
      h.doubts.slice(0, 1).map((d) => (
        <span key={d} className="block q text-hint">
          {d}
        </span>
      ))}
  </span>
);

function MoveKeys({
  name,
  first,
  last,
  onMove,
}: {
  name: string;
  first: boolean;
  last: boolean;
  onMove: (step: -1 | 1) => void;
}) {
  return (
    <span className="flex gap-1.5">
      <button
        type="button"
        className="btn !min-h-glove !px-4"
        disabled={first}
        aria-label={say('round.earlier', { name })}
        onClick={() => onMove(-1)}
      >
        ↑
      </button>
      <button
        type="button"
        className="btn !min-h-glove !px-4"
        disabled={last}
        aria-label={say('round.later', { name })}
        onClick={() => onMove(1)}
      >
        ↓
      </button>
    </span>
  );
}

/** The heaps in the order in which they are read. */
export function Route({
  heaps,
  largest,
  route,
}: {
  heaps: readonly RoundHeap[];
  largest: number;
  route: RouteOrder;
}) {
  return (
    <ol className="px-4 sm:px-5 mt-3" data-testid="route">
      {heaps.map((h, i) => (
        <li key={h.id} className="flex items-center gap-3 border-b border-rule min-h-glove py-1">
          <span className="disp font-bold text-lead w-7 text-right">{i + 1}</span>
          <SmallMound heap={h} largest={largest} />
          <HeapWords heap={h} reasons={!route.ordering} />
          {route.ordering && (
            <MoveKeys
              name={h.name}
              first={i === 0}
              last={i === heaps.length - 1}
              onMove={(step) => route.move(i, step)}
            />
          )}
        </li>
      ))}
      {heaps.length === 0 && <li className="q py-3">{say('round.noBatchDueChooseAll')}</li>}
    </ol>
  );
}

/** Sets the order by hand, or takes it back. */
export function OrderKeys({ route, manual }: { route: RouteOrder; manual: boolean }) {
  if (route.ordering)
    return (
      <>
        <button
          type="button"
          className="btn key"
          onClick={() => route.keep(route.heaps.map((h) => h.id))}
        >
          {say('round.saveThisOrder')}
        </button>
        <button type="button" className="btn" onClick={route.leave}>
          {say('round.leaveAsWas')}
        </button>
      </>
    );
  return (
    <>
      <button type="button" className="btn" onClick={route.begin}>
        <Mark name="walk" />
        {say('round.changeTheOrder')}
      </button>
      {manual && (
        <button type="button" className="btn" onClick={() => route.keep([])}>
          {say('round.backToCleanestFirst')}
        </button>
      )}
    </>
  );
}
