'use client';
import { say } from '@/messages/say';
import { signOf } from '@/core/quantity/typed-quantity';
import {
  DndContext,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { useRef, useState } from 'react';
import { SLOT_KINDS, type SiteMap, type Slot } from '@/core/log/store-shapes';
import { submitOrQueue } from '@/outbox/keep';
import { DraftScope, useTypedFields } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { useSubmit } from '@/ui/useSubmit';
import {
  addSlot,
  dragSlot,
  draftOfMap,
  readMapDraft,
  SLOT_WORDS,
  type MapDraft,
  type MapReading,
  type SlotDraft,
} from '../map-draft';
import { SlotFields } from './SlotFields';

const pct = (x: number, of: number): string => `${(x / of) * 100}%`;

function Box({
  slot,
  map,
  chosen,
  onPick,
}: {
  slot: Slot;
  map: { widthM: number; depthM: number };
  chosen: boolean;
  onPick: () => void;
}) {
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id: slot.id });
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      onClick={onPick}
      aria-label={`${SLOT_WORDS[slot.kind]} ${slot.name}`}
      className={`absolute touch-none cursor-grab bg-sheet text-left align-top overflow-hidden text-fine ${chosen ? 'border-[3px] z-10' : 'border-[1.6px]'} border-ink ${slot.kind === 'row' ? 'border-dashed' : slot.kind === 'store' ? 'border-dotted' : ''}`}
      style={{
        left: pct(slot.xM, map.widthM),
        top: pct(slot.yM, map.depthM),
        width: pct(slot.lengthM, map.widthM),
        height: pct(slot.widthM, map.depthM),
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
      }}
    >
      <b className="disp px-1">{slot.name}</b>
    </button>
  );
}

/** The map as it is drawn: places are added, dragged, and typed to the decimetre. */
export const EditMap = (p: EditMapProps) => (
  <DraftScope name="map">
    <MapForm {...p} />
  </DraftScope>
);
type EditMapProps = {
  readonly map: SiteMap | null;
  readonly version: string | null;
  readonly by: string;
  readonly onDone: () => void;
  readonly first: boolean;
};

/** The drawing, on which places are dragged. */
function Drawing({
  reading: { size, sound },
  chosen,
  onPick,
  onDrag,
}: {
  reading: MapReading;
  chosen: string | null;
  onPick: (id: string) => void;
  onDrag: (slot: Slot, by: { xM: number; yM: number }) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const drop = ({ active, delta }: DragEndEvent): void => {
    const slot = sound.find((x) => x.id === active.id);
    const px = box.current?.clientWidth;
    if (!slot || !px || !size) return;
    onDrag(slot, { xM: (delta.x / px) * size.widthM, yM: (delta.y / px) * size.widthM });
  };
  return (
    <DndContext sensors={sensors} onDragEnd={drop}>
      <div
        ref={box}
        className="relative bg-paper border-[1.6px] border-ink w-full"
        style={{ aspectRatio: size ? `${size.widthM} / ${size.depthM}` : '5 / 3' }}
        data-testid="edit-map"
      >
        {size &&
          sound.map((s) => (
            <Box
              key={s.id}
              slot={s}
              map={size}
              chosen={s.id === chosen}
              onPick={() => onPick(s.id)}
            />
          ))}
      </div>
    </DndContext>
  );
}

const ADD_WORDS: Readonly<Record<Slot['kind'], string>> = {
  get bay() {
    return say('map.aBay');
  },
  get bin() {
    return say('map.aBin');
  },
  get tub() {
    return say('map.aDrum');
  },
  get row() {
    return say('map.aWindrow');
  },
  get pad() {
    return say('map.anOpenPad');
  },
  get store() {
    return say('map.aStockPlace');
  },
};

/** Size of the map, and a key for each kind of place. */
function SizeAndKinds({
  draft,
  set,
  onAdd,
}: {
  draft: MapDraft;
  set: (change: Partial<MapDraft>) => void;
  onAdd: (kind: Slot['kind']) => void;
}) {
  return (
    <div className="flex flex-wrap gap-3 items-end">
      {(
        [
          ['width', say('map.width')],
          ['depth', say('map.depth')],
        ] as const
      ).map(([field, label]) => (
        <div key={field} className="w-[120px]">
          <Field
            label={label}
            unit={signOf('length')}
            inputMode="decimal"
            value={draft[field]}
            onChange={(e) => set({ [field]: e.target.value })}
          />
        </div>
      ))}
      <p className="flex flex-wrap gap-2 mb-5">
        {SLOT_KINDS.map((k) => (
          <button key={k} type="button" className="btn" onClick={() => onAdd(k)}>
            {say('map.add', { addwords: ADD_WORDS[k] })}
          </button>
        ))}
      </p>
    </div>
  );
}

/** The places on the drawing, and which of them is at hand. */
function useSlots(draft: MapDraft, set: (change: Partial<MapDraft>) => void) {
  const { slots } = draft;
  const [chosen, setChosen] = useState<string | null>(null);
  const change = (slot: SlotDraft): void =>
    set({ slots: slots.map((s) => (s.id === slot.id ? slot : s)) });
  const add = (kind: Slot['kind']): void => {
    const slot = addSlot(slots, kind);
    set({ slots: [...slots, slot] });
    setChosen(slot.id);
  };
  const takeOff = (id: string): void => {
    set({ slots: slots.filter((s) => s.id !== id) });
    setChosen(null);
  };
  const drag = (slot: Slot, by: { xM: number; yM: number }, size: MapReading['size']): void => {
    const before = slots.find((s) => s.id === slot.id);
    if (before && size) change({ ...before, ...dragSlot(slot, by, size) });
  };
  const atHand = slots.find((s) => s.id === chosen) ?? null;
  return { atHand, chosen, setChosen, change, add, takeOff, drag };
}

function MapForm({ map, version, by: device, onDone, first }: EditMapProps) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [draft, set] = useTypedFields<MapDraft>(draftOfMap(map));
  const reading = readMapDraft(draft);
  const places = useSlots(draft, set);
  const { atHand } = places;
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: null,
            kind: 'site-map',
            at: null,
            by,
            data: { map: reading.map, from: version },
          },
          'map',
        ),
      onDone,
    );
  const missing = draft.slots.length === 0 ? say('map.addAPlaceFirst') : reading.wrong;
  return (
    <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-3">
      <h1>{first ? say('map.drawTheSite') : say('map.changeTheMap')}</h1>
      <p className="hint max-w-[720px]">{say('map.addYourBaysBinsWindrows')}</p>
      <SizeAndKinds draft={draft} set={set} onAdd={places.add} />
      <div className="grid lg:grid-cols-[minmax(0,1fr)_300px] gap-5 items-start">
        <Drawing
          reading={reading}
          chosen={places.chosen}
          onPick={places.setChosen}
          onDrag={(slot, moved) => places.drag(slot, moved, reading.size)}
        />
        {atHand ? (
          <SlotFields
            slot={atHand}
            set={places.change}
            onTakeOff={() => places.takeOff(atHand.id)}
          />
        ) : (
          <p className="q">{say('map.pressPlaceTypeMetersName')}</p>
        )}
      </div>
      <div className="max-w-[320px]">
        <Field
          label={say('map.who')}
          value={by}
          maxLength={60}
          autoComplete="name"
          onChange={(e) => setBy(e.target.value)}
        />
      </div>
      <Problems list={problems} />
      <div className="flex gap-3 flex-wrap items-center">
        {!first && (
          <button type="button" className="btn" onClick={onDone}>
            {say('map.back')}
          </button>
        )}
        <SaveButton
          className="btn key !min-h-key"
          label={say('map.saveThisMap')}
          busy={busy}
          missing={missing ?? whoIsMissing(by)}
          onSave={save}
        />
      </div>
    </div>
  );
}
