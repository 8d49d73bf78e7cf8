'use client';
import Link from 'next/link';
import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { Mark } from '@/charts/marks';
import { Mound } from '@/charts/Mound';
import { soonText } from '@/core/quantity/format';
import { ROUTE_WHY } from '@/core/words/route';
import { enqueue } from '@/outbox/keep';
import { sendWaiting } from '@/outbox/store';
import { Field } from '@/ui/Field';
import { remember } from '@/ui/remember';
import type { RoundHeap, OfflineRoundData } from '../offline-round-data';
import { isDone, nextHeap, startWalk, unfinished, type RoundWalk } from '../round-walk';
import { serverNow, createId, type WalkHandle } from './useRoundWalk';
import { firstOf, itemAt } from '@/core/quantity/present';

export const partOfDay = (data: OfflineRoundData): string => {
  const hour = Number(
    new Intl.DateTimeFormat('en-GB', {
      hour: '2-digit',
      hourCycle: 'h23',
      timeZone: data.site.timeZone,
    }).format(serverNow()),
  );
  return hour < 12 ? 'Morning round' : hour < 17 ? 'Afternoon round' : 'Evening round';
};

/** Where a round starts: which heaps, in what order, with which thermometer. */
export function Start({
  handle,
  sheet: data,
  onStart,
}: {
  handle: WalkHandle;
  sheet: OfflineRoundData;
  onStart: (walk: RoundWalk) => void;
}) {
  const [all, setAll] = useState(data.heaps.every((h) => !h.due));
  const [ordering, setOrdering] = useState(false);
  const [order, setOrder] = useState<readonly string[] | null>(null);
  const [by, setBy] = useState(data.by);
  const serving = data.instruments.filter((i) => i.out === undefined);
  const usual =
    data.heaps.find((h) => h.probe !== null && serving.some((i) => i.name === h.probe))?.probe ??
    serving[0]?.name ??
    null;
  const [probe, setProbe] = useState<string | null>(usual);
  const heaps = (order ?? data.heaps.map((h) => h.id)).flatMap((id) => {
    const h = data.heaps.find((x) => x.id === id);
    return h ? [h] : [];
  });
  const chosen = ordering ? heaps : heaps.filter((h) => all || h.due);
  const notNow = heaps.filter((h) => !h.due);
  const largest = Math.max(...data.heaps.map((h) => h.picture.volume), 1);
  const begin = (): void =>
    onStart(
      startWalk(
        data,
        serverNow(),
        {
          order: chosen.map((h) => h.id),
          probe,
          by: by.trim(),
          single: false,
          ended: handle.ended,
        },
        createId,
      ),
    );
  const move = (i: number, by: -1 | 1): void => {
    const ids = heaps.map((h) => h.id);
    [ids[i], ids[i + by]] = [itemAt(ids, i + by), itemAt(ids, i)];
    setOrder(ids);
  };
  const keepOrder = (ids: readonly string[]): void => {
    void enqueue([
      {
        form: {
          id: createId(),
          batch: null,
          kind: 'walk-order',
          at: null,
          by: by.trim() || 'this device',
          data: { batches: ids },
        },
        what: 'Order of the round',
      },
    ])
      .then(() => sendWaiting())
      .then(handle.refresh);
    if (ids.length === 0) setOrder(null);
    setOrdering(false);
  };
  const joined = data.walk.openSince !== null && !handle.ended.includes(data.walk.id);
  return (
    <div className="flex-1 flex flex-col w-full lg:grid lg:grid-cols-[minmax(0,1fr)_minmax(320px,392px)]">
      <div className="min-w-0">
        <div className="px-4 sm:px-5 pt-4 flex flex-col gap-3">
          <div className="flex justify-between items-start gap-3">
            <h1>{partOfDay(data)}</h1>
            <Link href="/" className="btn !min-h-choice sm:hidden">
              Yard
            </Link>
          </div>
          <p className="q text-body">
            {ordering
              ? 'Set the order by hand; it stays for every phone until you change it.'
              : data.manualOrder
                ? 'In the order that was set by hand. To go back to a cleaner heap, rinse the thermometer first.'
                : ROUTE_WHY}
          </p>
          {joined && (
            <p className="marked font-semibold">
              A round is under way since{' '}
              {soonText(data.site.timeZone, data.walk.openSince, serverNow())}: yours joins it.
            </p>
          )}
          {!ordering && notNow.length > 0 && notNow.length < heaps.length && (
            <ToggleGroup.Root
              type="single"
              value={all ? 'all' : 'due'}
              onValueChange={(v) => {
                if (v) setAll(v === 'all');
              }}
              aria-label="Which heaps"
              className="grid grid-cols-2 gap-2"
            >
              <ToggleGroup.Item value="due" className="choice !min-h-glove">
                Due ({heaps.length - notNow.length})
              </ToggleGroup.Item>
              <ToggleGroup.Item value="all" className="choice !min-h-glove">
                All ({heaps.length})
              </ToggleGroup.Item>
            </ToggleGroup.Root>
          )}
        </div>
        <ol className="px-4 sm:px-5 mt-3" data-testid="route">
          {chosen.map((h, i) => (
            <li
              key={h.id}
              className="flex items-center gap-3 border-b border-rule min-h-glove py-1"
            >
              <span className="disp font-bold text-lead w-7 text-right">{i + 1}</span>
              <svg
                width={56}
                height={40}
                viewBox="0 0 74 52"
                aria-hidden="true"
                className="flex-none max-sm:hidden"
              >
                <Mound
                  heap={h.picture}
                  place={{ x: 35, base: 50, maxW: 66, maxH: 32, largest, small: true }}
                />
                <path d="M0 50H74" stroke="var(--color-ink)" strokeWidth={1.8} />
              </svg>
              <span className="flex-1 min-w-0 leading-[1.25]">
                <b className="disp text-lead">{h.name}</b>{' '}
                <span className="q text-small">
                  {[h.place, h.reason].filter(Boolean).join(' · ')}
                </span>
                {h.hot && <b className="marked ml-1 text-small">too hot</b>}
                {h.notNow && !ordering && <span className="block q text-hint">{h.notNow}</span>}
                {!ordering &&
                  h.doubts.slice(0, 1).map((d) => (
                    <span key={d} className="block q text-hint">
                      {d}
                    </span>
                  ))}
              </span>
              {ordering && (
                <span className="flex gap-1.5">
                  <button
                    type="button"
                    className="btn !min-h-glove !px-4"
                    disabled={i === 0}
                    aria-label={`${h.name} earlier`}
                    onClick={() => move(i, -1)}
                  >
                    ↑
                  </button>
                  <button
                    type="button"
                    className="btn !min-h-glove !px-4"
                    disabled={i === chosen.length - 1}
                    aria-label={`${h.name} later`}
                    onClick={() => move(i, 1)}
                  >
                    ↓
                  </button>
                </span>
              )}
            </li>
          ))}
          {chosen.length === 0 && (
            <li className="q py-3">No heap is due. Choose All to read them anyway.</li>
          )}
        </ol>
        <div className="px-4 sm:px-5 pt-3 pb-3 flex flex-col gap-3">
          <div className="flex gap-2 flex-wrap">
            {ordering ? (
              <>
                <button
                  type="button"
                  className="btn key"
                  onClick={() => keepOrder(heaps.map((h) => h.id))}
                >
                  Keep this order
                </button>
                <button
                  type="button"
                  className="btn"
                  onClick={() => {
                    setOrder(null);
                    setOrdering(false);
                  }}
                >
                  Leave it as it was
                </button>
              </>
            ) : (
              <>
                <button type="button" className="btn" onClick={() => setOrdering(true)}>
                  <Mark name="walk" />
                  Change the order
                </button>
                {data.manualOrder && (
                  <button type="button" className="btn" onClick={() => keepOrder([])}>
                    Cleanest first again
                  </button>
                )}
              </>
            )}
          </div>
          {!ordering && !all && notNow.length > 0 && (
            <div className="text-small">
              <h2 className="!text-lead mb-1">Not in this round</h2>
              <p className="q leading-[1.4]">
                {notNow.map((h, i) => (
                  <span key={h.id}>
                    {i > 0 ? ' · ' : ''}
                    <b>{h.name}</b> {h.notNow}
                  </span>
                ))}
              </p>
            </div>
          )}
        </div>
      </div>
      <aside
        className="max-lg:contents lg:bg-sheet lg:border-l-[1.6px] lg:border-ink lg:flex lg:flex-col"
        aria-label="Who reads, and with what"
      >
        <div className="px-4 sm:px-5 pt-1 lg:pt-4 pb-3 flex flex-col gap-3">
          <div>
            <span className="label" id="probe-label">
              Thermometer
            </span>
            {data.instruments.length === 0 ? (
              <p className="hint">
                None is registered, so none is noted and nothing is corrected.{' '}
                <Link className="link" href="/instruments">
                  Register one
                </Link>
              </p>
            ) : (
              <div role="group" aria-labelledby="probe-label" className="grid grid-cols-2 gap-2">
                {data.instruments.map((i) => (
                  <button
                    key={i.name}
                    type="button"
                    disabled={i.out !== undefined}
                    aria-pressed={probe === i.name}
                    onClick={() => setProbe(i.name)}
                    className={`choice !min-h-[60px] flex-col ${probe === i.name ? '!bg-ink !text-sheet' : ''} disabled:border-dashed`}
                  >
                    <span>
                      {i.name} · °{i.unit}
                    </span>
                    <span className="text-note font-normal">
                      {i.out
                        ? `out of service: ${i.out}`
                        : i.checked === null
                          ? 'never checked'
                          : i.checkLate
                            ? `check due: last ${i.checked}`
                            : `checked ${i.checked}`}
                    </span>
                  </button>
                ))}
                <button
                  type="button"
                  aria-pressed={probe === null}
                  onClick={() => setProbe(null)}
                  className={`choice !min-h-[60px] ${probe === null ? '!bg-ink !text-sheet' : ''}`}
                >
                  Another, not noted
                </button>
              </div>
            )}
          </div>
          <Field
            label="Who reads"
            value={by}
            onChange={(e) => {
              setBy(e.target.value);
              remember('zh_by', e.target.value);
            }}
            maxLength={60}
            autoComplete="name"
            hint={by.trim() === '' ? 'Your name goes beside what you read' : undefined}
          />
        </div>
        {!ordering && (
          <div className="max-lg:sticky max-lg:bottom-0 bg-paper lg:bg-sheet max-lg:border-t-2 border-ink px-4 sm:px-5 py-3 max-lg:mt-auto">
            <button
              type="button"
              className="btn key w-full !min-h-[76px] !text-head"
              disabled={chosen.length === 0 || by.trim() === ''}
              onClick={begin}
            >
              {chosen.length === 0
                ? 'Nothing to read'
                : by.trim() === ''
                  ? 'Say who reads'
                  : `Start with ${firstOf(chosen).name}`}
            </button>
          </div>
        )}
      </aside>
    </div>
  );
}

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
          <h1>{next ? 'Your round' : 'Round done'}</h1>
          <Link href="/" className="btn !min-h-choice sm:hidden">
            Yard
          </Link>
        </div>
        <p className="text-control q">
          Begun {soonText(data.site.timeZone, walk.startedAt, serverNow())}; {done} of{' '}
          {heaps.length} {heaps.length === 1 ? 'heap' : 'heaps'} done.
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
              {isDone(walk, data, h.id) ? 'Again' : 'Read'}
            </button>
          </li>
        ))}
      </ol>
      <div className="sticky bottom-0 bg-paper border-t-2 border-ink px-4 sm:px-5 py-3 mt-auto grid grid-cols-[104px_1fr] gap-2">
        {next ? (
          <>
            <button type="button" className="btn !min-h-[76px] !px-1" onClick={end}>
              End this round
            </button>
            <button
              type="button"
              className="btn key !min-h-[76px] !text-head"
              onClick={() => onHeap(next)}
            >
              Go on with {name}
            </button>
          </>
        ) : (
          <button
            type="button"
            className="btn key col-span-2 !min-h-[76px] !text-head"
            onClick={end}
          >
            End this round
          </button>
        )}
      </div>
    </div>
  );
}

/** How a heap stands in the walk, for lists. */
export function stopText(walk: RoundWalk, data: OfflineRoundData, h: RoundHeap): string {
  const draft = walk.heaps[h.id];
  if (draft?.done === 'left') return 'left out';
  if (draft?.done === 'read') return `read by you`;
  const read = Object.keys(draft?.kept ?? {}).length;
  if (read > 0) return `${read} of ${h.places.length} places`;
  if (h.walk?.id === walk.id)
    return `${h.walk.done === 'read' ? 'read' : 'left out'} ${soonText(data.site.timeZone, h.walk.at, serverNow())} by ${h.walk.by}`;
  return [h.place, h.reason].filter(Boolean).join(' · ');
}
