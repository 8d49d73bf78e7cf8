'use client';
import { say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, useSyncExternalStore, type ReactNode } from 'react';
import type { OfflineRoundData } from '../offline-round-data';
import { nextHeap, openHeap, startWalk, unfinished, type Out, type RoundWalk } from '../round-walk';
import { Desk } from './Desk';
import { AirStep, PhoneHeap } from './PhoneWalk';
import { Resume } from './Resume';
import { Start } from './Start';
import { serverNow, createId, useRoundWalk } from './useRoundWalk';

const onPhone = (f: () => void): (() => void) => {
  const m = matchMedia('(max-width: 640px)');
  m.addEventListener('change', f);
  return () => m.removeEventListener('change', f);
};
const onHash = (f: () => void): (() => void) => {
  window.addEventListener('hashchange', f);
  return () => window.removeEventListener('hashchange', f);
};

/**
 * The round over the site. Behind a `#` stands one heap that is read alone. All that it shows comes out of the device's own
 * store, so that it is the same with and without a network.
 */
export function RoundApp({
  initial,
  also,
}: {
  initial: OfflineRoundData | null;
  /** What else is to be read on the way. */ also: ReactNode;
}) {
  const router = useRouter();
  const handle = useRoundWalk(initial);
  const phone = useSyncExternalStore(
    onPhone,
    () => matchMedia('(max-width: 640px)').matches,
    () => true,
  );
  const only = useSyncExternalStore(
    onHash,
    () => location.hash.slice(1),
    () => '',
  );
  const { sheet: data, walk, step } = handle;
  const [chosen, setHeapId] = useState<string | null>(null);
  const single = only !== '' && data?.heaps.some((h) => h.id === only) ? only : null;
  const heapId = single ?? chosen;

  const leaving = useRef(false);

  useEffect(() => {
    if (
      !data ||
      single === null ||
      leaving.current ||
      (walk?.order.includes(single) && walk.heaps[single]?.done === null)
    )
      return;
    const heap = data.heaps.find((h) => h.id === single)!;
    const probe = heap.probe ?? data.instruments.find((i) => i.out === undefined)?.name ?? null;
    // A walk that is under way takes the heap in; else it is read alone.
    const base: RoundWalk =
      walk && !walk.single
        ? { ...walk, order: walk.order.includes(single) ? walk.order : [...walk.order, single] }
        : startWalk(
            data,
            serverNow(),
            { order: [single], probe, by: data.by, single: true, ended: [] },
            createId,
          );
    // Another heap that was begun alone goes in as far as it was read.
    void step(
      openHeap(base, single, createId),
      walk?.single && walk.order[0] !== single ? unfinished(walk, data, serverNow()) : [],
    );
  }, [data, single, walk, step]);

  if (!data)
    return (
      <p className="p-5" role="status">
        {initial === null
          ? say('round.nothingSavedOnThisDevice')
          : say('log.lookingForWhatSavedOn')}
      </p>
    );
  if (data.heaps.length === 0) return <p className="p-5">{say('round.noActiveBatchOnThis')}</p>;
  const go = (w: RoundWalk, id: string | null, out: readonly Out[] = []): void => {
    void step(id === null ? w : openHeap(w, id, createId), out);
    setHeapId(id);
  };
  const done = (after: RoundWalk, out: readonly Out[]): void => {
    if (single === null) {
      go(after, nextHeap(after, data), out);
      return;
    }
    leaving.current = true;
    void step(after.single ? null : after, out).then(() => router.push(`/batch/${single}`));
  };
  if (!walk && single !== null)
    return (
      <p className="p-5" role="status">
        {say('round.oneMoment')}
      </p>
    );
  // One heap that was opened alone and not begun stands in no way.
  if (!walk || (walk.single && single === null && unfinished(walk, data, serverNow()).length === 0))
    return (
      <Start handle={handle} sheet={data} also={also} onStart={(w) => go(w, nextHeap(w, data))} />
    );
  if (!phone)
    return (
      <Desk
        handle={handle}
        sheet={data}
        walk={walk}
        heapId={heapId}
        onHeap={(id) => go(walk, id)}
        onDone={done}
      />
    );
  if (!walk.airAsked) return <AirStep handle={handle} sheet={data} walk={walk} />;
  const heap = data.heaps.find((h) => h.id === heapId);
  if (!heap || !walk.heaps[heap.id])
    return <Resume handle={handle} sheet={data} walk={walk} onHeap={(id) => go(walk, id)} />;
  const nextId = walk.order.find(
    (id) => id !== heap.id && nextHeap({ ...walk, order: [id] }, data) !== null,
  );
  return (
    <PhoneHeap
      key={`${heap.id} ${walk.heaps[heap.id]!.ids.round}`}
      handle={handle}
      sheet={data}
      walk={walk}
      heap={heap}
      next={data.heaps.find((h) => h.id === nextId) ?? null}
      onDone={done}
    />
  );
}
