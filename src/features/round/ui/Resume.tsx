'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { Mark } from '@/charts/marks';
import { soonText } from '@/core/quantity/format';
import type { OfflineRoundData, RoundHeap } from '../offline-round-data';
import { isDone, nextHeap, unfinished, type RoundWalk } from '../round-walk';
import { serverNow, type WalkHandle } from './useRoundWalk';

/** A walk that was begun: go on, or end it. */
export function Resume({
  handle,
  sheet: data,
  walk,
  onHeap,
}: {
  handle: WalkHandle;
  sheet: OfflineRoundData;
  walk: RoundWalk;
  onHeap: (id: string) => void;
}) {
  const next = nextHeap(walk, data);
  const heaps = walk.order.flatMap((id) => {
    const h = data.heaps.find((x) => x.id === id);
    return h ? [h] : [];
  });
  const done = heaps.filter((h) => isDone(walk, data, h.id)).length;
  const name = next ? heaps.find((h) => h.id === next)?.name : null;
  const end = (): void => void handle.step(null, unfinished(walk, data, serverNow()));
  return (
    <div className="flex-1 flex flex-col max-w-[760px] w-full">
      <div className="px-4 sm:px-5 pt-4 flex flex-col gap-2">
        <div className="flex justify-between items-start gap-3">
          <h1>{next ? say('round.yourTemperatureCheck') : say('round.allTemperaturesTaken')}</h1>
          <Link href="/" className="btn !min-h-choice sm:hidden">
            {say('round.batches')}
          </Link>
        </div>
        <p className="text-control q">
          {say('round.startedOneOtherDone', {
            startedAt: soonText(data.site.timeZone, walk.startedAt, serverNow()),
            done,
            heaps: heaps.length,
          })}
        </p>
      </div>
      <ol className="px-4 sm:px-5 mt-2" data-testid="route">
        {heaps.map((h, i) => (
          <li key={h.id} className="flex items-center gap-3 border-b border-rule min-h-[60px] py-1">
            <span className="disp font-bold text-lead w-7 text-right">
              {isDone(walk, data, h.id) ? <Mark name="check" size={20} /> : i + 1}
            </span>
            <span className="flex-1 min-w-0 leading-[1.25]">
              <b className="disp text-lead">{h.name}</b>{' '}
              <span className="q text-small block">{stopText(walk, data, h)}</span>
            </span>
            <button type="button" className="btn !min-h-key" onClick={() => onHeap(h.id)}>
              {isDone(walk, data, h.id) ? say('round.again') : say('round.start')}
            </button>
          </li>
        ))}
      </ol>
      <div className="sticky bottom-0 bg-paper border-t-2 border-ink px-4 sm:px-5 py-3 mt-auto grid grid-cols-[104px_1fr] gap-2">
        {next ? (
          <>
            <button type="button" className="btn !min-h-[76px] !px-1" onClick={end}>
              {say('round.finish')}
            </button>
            <button
              type="button"
              className="btn key !min-h-[76px] !text-head"
              onClick={() => onHeap(next)}
            >
              {say('round.continueWith')} {name}
            </button>
          </>
        ) : (
          <button
            type="button"
            className="btn key col-span-2 !min-h-[76px] !text-head"
            onClick={end}
          >
            {say('round.finish')}
          </button>
        )}
      </div>
    </div>
  );
}

/** How a heap stands in the walk, for lists. */
export function stopText(walk: RoundWalk, data: OfflineRoundData, h: RoundHeap): string {
  const draft = walk.heaps[h.id];
  if (draft?.done === 'left') return say('round.skipped');
  if (draft?.done === 'read') return say('round.readByYou');
  const read = Object.keys(draft?.kept ?? {}).length;
  if (read > 0) return say('round.ofPoints', { read, places: h.places.length });
  if (h.walk?.id === walk.id)
    return say('round.readOtherBy', {
      done: h.walk.done === 'read' ? 'read' : 'other',
      at: soonText(data.site.timeZone, h.walk.at, serverNow()),
      by: h.walk.by,
    });
  return [h.place, h.reason].filter(Boolean).join(' · ');
}
