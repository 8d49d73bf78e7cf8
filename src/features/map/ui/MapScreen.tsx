'use client';
import { currentUnits, say } from '@/messages/say';
import { M_PER_FT } from '@/core/units/units';
import { figureWithUnit } from '@/core/quantity/format';
import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import type { Position } from '@/core/log/shapes';
import { FromAbove, PlanBadge } from '@/charts/FromAbove';
import { Sheet } from '@/ui/Sheet';
import type { MapHeap, MapSlot, MapView } from '../view';
import { EditMap } from './EditMap';

const pct = (x: number, of: number): string => `${(x / of) * 100}%`;

/** A heap on the map: dragged to another place, or pressed and moved from a list. */
function Heap({
  heap,
  style,
  onPress,
}: {
  heap: MapHeap;
  style: React.CSSProperties;
  onPress: () => void;
}) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: heap.id,
  });
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      role="button"
      aria-roledescription="heap"
      aria-label={say('map.moveIt', { says: heap.says })}
      onClick={onPress}
      data-testid="map-heap"
      data-heap={heap.code}
      className={`absolute touch-none ${isDragging ? 'z-20 cursor-grabbing' : 'cursor-grab'}`}
      style={{
        ...style,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
      }}
    >
      <FromAbove heap={heap.picture} />
      <PlanBadge heap={heap.picture} />
    </button>
  );
}

/** What a place is called, what lies in it, and how much room there is. */
function PlaceWords({ s }: { s: MapSlot }) {
  const { slot } = s;
  return (
    <p
      className="absolute left-1.5 top-0.5 right-1 max-h-full overflow-hidden text-fine leading-[1.15] pointer-events-none"
      title={[s.title, s.room, s.only].filter(Boolean).join(', ')}
    >
      <b className="disp">{s.title}</b>
      {s.lots.map((l) => (
        <span key={l.id} className="block pointer-events-auto" data-testid="map-lot">
          <Link prefetch={false} className="link" href={`/lots/${l.id}`}>
            {l.title}
          </Link>{' '}
          <span className="text-ink-2">{[l.kind, l.amount].join(', ')}</span>
        </span>
      ))}
      {slot.widthM >= 2 &&
      (slot.kind === 'store' || s.heaps.length === 0 || slot.kind === 'row') ? (
        <span className="text-ink-2"> {s.room}</span>
      ) : null}
      {s.only && slot.kind !== 'tub' && (
        <span className="block text-[12px] text-ink-2">{s.only}</span>
      )}
    </p>
  );
}

function Place({
  s,
  map,
  over,
  onPress,
}: {
  s: MapSlot;
  map: NonNullable<MapView['map']>;
  over: { ok: boolean } | null;
  onPress: (h: MapHeap) => void;
}) {
  const { setNodeRef } = useDroppable({ id: s.slot.id, disabled: s.slot.kind === 'store' });
  const { slot } = s;
  const n = Math.max(1, s.heaps.length);
  return (
    <div
      ref={setNodeRef}
      data-testid="slot"
      data-slot={slot.id}
      className={`absolute border-ink ${slot.kind === 'row' ? 'border-y-[1.6px] border-dashed' : slot.kind === 'store' ? 'border-[1.4px] border-dotted' : slot.kind === 'bay' ? 'border-[2px] border-b-0' : 'border-[2px] rounded-[6px]'} ${slot.kind === 'store' ? 'bg-sunk' : 'bg-sheet'} ${over ? (over.ok ? 'outline-[3px] outline outline-ink' : 'outline-[3px] outline-dotted outline-ink') : ''}`}
      style={{
        left: pct(slot.xM, map.widthM),
        top: pct(slot.yM, map.depthM),
        width: pct(slot.lengthM, map.widthM),
        height: pct(slot.widthM, map.depthM),
      }}
    >
      <PlaceWords s={s} />
      {s.heaps.map((h, i) => (
        <Heap
          key={h.id}
          heap={h}
          onPress={() => onPress(h)}
          style={
            h.fromM !== null && h.toM !== null
              ? {
                  left: pct(h.fromM, slot.lengthM),
                  width: pct(h.toM - h.fromM, slot.lengthM),
                  bottom: 0,
                  height: '72%',
                }
              : { left: `${(i / n) * 100 + 4}%`, width: `${92 / n}%`, bottom: '3%', height: '70%' }
          }
        />
      ))}
    </div>
  );
}

/** Bays, bins and rows drawn to scale, with what stands in them; a heap is moved by dragging it, or from a list. */
export function MapScreen({
  view,
  by,
  move,
}: {
  view: MapView;
  by: string;
  move: (heap: MapHeap, to: Position | null, done: () => void) => ReactNode;
}) {
  const [edit, setEdit] = useState(view.map === null);
  const [pressed, setPressed] = useState<MapHeap | null>(null);
  const [moving, setMoving] = useState<{ heap: MapHeap; to: Position } | null>(null);
  const [over, setOver] = useState<{ slot: string; ok: boolean } | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor),
  );
  const heaps = new Map(
    [...view.slots.flatMap((s) => s.heaps), ...view.nowhere].map((h) => [h.id, h]),
  );
  const put = (heap: MapHeap, slot: string): void => {
    const m = view.moves[heap.id]?.[slot];
    setSaid(m?.to === null ? m.says : null);
    if (m?.to) setMoving({ heap, to: m.to });
  };
  const end = ({ active, over: at }: DragEndEvent): void => {
    setOver(null);
    const heap = heaps.get(String(active.id));
    if (heap && at) put(heap, String(at.id));
  };
  if (edit || !view.map)
    return (
      <EditMap
        map={view.map}
        version={view.version}
        by={by}
        onDone={() => setEdit(false)}
        first={view.map === null}
      />
    );
  const { map } = view;
  const barM = currentUnits().system === 'us' ? 20 * M_PER_FT : 5;
  return (
    <div className="flex flex-col">
      <div className="px-5 max-sm:px-4 py-3 flex flex-wrap gap-x-5 gap-y-1 items-baseline">
        <h1>{say('map.map')}</h1>
        <p className="q" data-testid="free">
          {say('map.byM', { free: view.free, widthM: map.widthM, depthM: map.depthM })}
        </p>
        <button type="button" className="btn ml-auto" onClick={() => setEdit(true)}>
          {say('map.changeTheMap')}
        </button>
      </div>
      {said && (
        <p role="status" className="marked font-semibold mx-5 w-fit">
          {said}
        </p>
      )}
      <DndContext
        sensors={sensors}
        onDragOver={({ active, over: at }) =>
          setOver(
            at
              ? {
                  slot: String(at.id),
                  ok: view.moves[String(active.id)]?.[String(at.id)]?.to != null,
                }
              : null,
          )
        }
        onDragCancel={() => setOver(null)}
        onDragEnd={end}
      >
        <div className="relative overflow-x-auto px-5 max-sm:px-4">
          <div
            className="relative min-w-[860px] bg-paper border-[1.6px] border-ink"
            style={{
              aspectRatio: `${map.widthM} / ${map.depthM}`,
              maxHeight: '74dvh',
              width: '100%',
              maxWidth: `calc(74dvh * ${map.widthM / map.depthM})`,
            }}
            data-testid="map"
          >
            {view.slots.map((s) => (
              <Place
                key={s.slot.id}
                s={s}
                map={map}
                over={over?.slot === s.slot.id ? { ok: over.ok } : null}
                onPress={setPressed}
              />
            ))}
            <span className="absolute inset-x-0 bottom-1 text-fine text-ink-2 flex justify-end items-end gap-2 pointer-events-none">
              <span
                className="block flex-none border-b-2 border-x-2 border-ink h-2"
                style={{ width: pct(barM, map.widthM) }}
                data-testid="scale-bar"
              />
              <span className="mr-2">{figureWithUnit('length', barM)}</span>
            </span>
          </div>
        </div>
      </DndContext>
      {view.nowhere.length + view.lotsElsewhere.length > 0 && (
        <section className="px-5 max-sm:px-4 py-3">
          <h2 className="!text-subhead">{say('map.notOnTheMap')}</h2>
          <p className="flex flex-wrap gap-2 mt-1">
            {view.lotsElsewhere.map((l) => (
              <Link key={l.id} prefetch={false} className="btn" href={`/lots/${l.id}`}>
                {[l.title, l.where].filter(Boolean).join(', ')}
              </Link>
            ))}
            {view.nowhere.map((h) => (
              <button key={h.id} type="button" className="btn" onClick={() => setPressed(h)}>
                {say('map.choosePlaceFor', { name: h.name })}
              </button>
            ))}
          </p>
        </section>
      )}
      <p className="hint px-5 max-sm:px-4 py-2">{say('map.dragBatchAnotherPlaceOr')}</p>
      <Sheet
        open={pressed !== null}
        onOpenChange={(o) => {
          if (!o) setPressed(null);
        }}
        title={pressed?.name ?? ''}
        {...(pressed ? { note: pressed.says } : {})}
      >
        {pressed && (
          <>
            <p>
              <Link prefetch={false} className="link" href={`/batch/${pressed.id}`}>
                {say('map.openItsPage')}
              </Link>
            </p>
            <h3>{say('map.moveItTo')}</h3>
            <ul>
              {Object.entries(view.moves[pressed.id] ?? {}).map(([slot, m]) => (
                <li key={slot} className="border-b border-rule">
                  <button
                    type="button"
                    disabled={m.to === null}
                    className="w-full text-left min-h-choice pointer-coarse:min-h-[60px] cursor-pointer disabled:text-ink-3"
                    onClick={() => {
                      const heap = pressed;
                      setPressed(null);
                      put(heap, slot);
                    }}
                  >
                    {m.says}
                  </button>
                </li>
              ))}
            </ul>
          </>
        )}
      </Sheet>
      <Sheet
        open={moving !== null}
        onOpenChange={(o) => {
          if (!o) setMoving(null);
        }}
        title={moving ? say('map.wasMoved', { name: moving.heap.name }) : ''}
      >
        {moving && move(moving.heap, moving.to, () => setMoving(null))}
      </Sheet>
    </div>
  );
}
