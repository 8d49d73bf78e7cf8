'use client';
import { upperFirst } from '@/core/quantity/format';
import {
  DndContext,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { useRef, useState } from 'react';
import { RISKS, SLOT_KINDS, type Risk, type SiteMap, type Slot } from '@/core/log/store-shapes';
import { RISK_WORDS } from '@/core/mix/words';
import { submitOrQueue } from '@/outbox/keep';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { typed } from '@/core/quantity/typed-number';
import { useSubmit } from '@/ui/useSubmit';

type Typed = {
  readonly id: string;
  readonly name: string;
  readonly kind: Slot['kind'];
  readonly base?: string | undefined;
  readonly air?: string | undefined;
  readonly only?: readonly Risk[] | undefined;
  readonly words?: string | undefined;
  readonly xM: string;
  readonly yM: string;
  readonly lengthM: string;
  readonly widthM: string;
  readonly heightM: string;
};
const SIZES = {
  bay: [3, 3, 1.8],
  bin: [1.2, 1.2, 1.2],
  tub: [3, 1.6, 1.5],
  row: [20, 2.4, 1.4],
  pad: [8, 6, 2],
  store: [4, 3, 2],
} as const;
const KIND_WORDS = {
  bay: 'bay',
  bin: 'bin',
  tub: 'tub',
  row: 'row',
  pad: 'open pad',
  store: 'stock',
} as const;
const fig = (x: number): string => String(Math.round(x * 100) / 100);
const typedOf = (s: Slot): Typed => ({
  ...s,
  xM: fig(s.xM),
  yM: fig(s.yM),
  lengthM: fig(s.lengthM),
  widthM: fig(s.widthM),
  heightM: fig(s.heightM),
});
const NUMBERS = ['xM', 'yM', 'lengthM', 'widthM', 'heightM'] as const;
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
      aria-label={`${KIND_WORDS[slot.kind]} ${slot.name}`}
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

function MapForm({ map, version, by: device, onDone, first }: EditMapProps) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [width, setWidth] = useTyped('width', fig(map?.widthM ?? 30));
  const [depth, setDepth] = useTyped('depth', fig(map?.depthM ?? 18));
  const [slots, setSlots] = useTyped<readonly Typed[]>('slots', (map?.slots ?? []).map(typedOf));
  const [chosen, setChosen] = useState<string | null>(null);
  const box = useRef<HTMLDivElement>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const [w, d] = [typed(width, 0.5), typed(depth, 0.5)];
  const read = slots.map((s) => ({
    ...s,
    ...Object.fromEntries(NUMBERS.map((k) => [k, typed(s[k])])),
  })) as unknown as Slot[];
  const sound = (s: Slot): boolean =>
    NUMBERS.every((k) => typeof s[k] === 'number') &&
    s.lengthM > 0 &&
    s.widthM > 0 &&
    s.heightM > 0;
  const out =
    typeof w === 'number' && typeof d === 'number'
      ? read.find((s) => sound(s) && (s.xM + s.lengthM > w + 1e-6 || s.yM + s.widthM > d + 1e-6))
      : undefined;
  const twice = read.find(
    (s, i) =>
      s.name.trim() !== '' &&
      read.findIndex(
        (x) => x.kind === s.kind && x.name.trim().toLowerCase() === s.name.trim().toLowerCase(),
      ) !== i,
  );
  const wrong =
    typeof w !== 'number' || typeof d !== 'number'
      ? 'Type the size of the map in metres.'
      : read.some((s) => !sound(s))
        ? 'Every place wants its metres as numbers above 0.'
        : read.some((s) => s.name.trim() === '')
          ? 'Every place wants the name that stands on it.'
          : out
            ? `${out.name} lies beyond the edge of the map. Move it in, or make the map larger.`
            : twice
              ? `There are two places called ${twice.name}. A heap must know in which it stands.`
              : null;
  const set = (sid: string, part: Partial<Typed>): void =>
    setSlots(slots.map((s) => (s.id === sid ? { ...s, ...part } : s)));
  const drop = ({ active, delta }: DragEndEvent): void => {
    const s = read.find((x) => x.id === active.id);
    const px = box.current?.clientWidth;
    if (!s || !px || typeof w !== 'number' || typeof d !== 'number') return;
    const snap = (x: number, most: number): string =>
      fig(Math.round(Math.max(0, Math.min(most, x)) * 5) / 5);
    set(s.id, {
      xM: snap(s.xM + (delta.x / px) * w, Math.max(0, w - s.lengthM)),
      yM: snap(s.yM + (delta.y / px) * w, Math.max(0, d - s.widthM)),
    });
  };
  const add = (kind: Slot['kind']): void => {
    const n = 1 + slots.filter((s) => s.kind === kind).length;
    let key = `${kind}-${n}`;
    for (let i = n; slots.some((s) => s.id === key); i += 1) key = `${kind}-${i + 1}`;
    const [l, b, h] = SIZES[kind];
    setSlots([
      ...slots,
      {
        id: key,
        name: kind === 'bay' || kind === 'bin' ? String(n) : `${upperFirst(KIND_WORDS[kind])} ${n}`,
        kind,
        xM: '0.5',
        yM: '0.5',
        lengthM: String(l),
        widthM: String(b),
        heightM: String(h),
      },
    ]);
    setChosen(key);
  };
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
            data: {
              map: {
                widthM: w,
                depthM: d,
                slots: read.map((s) => ({ ...s, name: s.name.trim() })),
              },
              from: version,
            },
          },
          'map',
        ),
      onDone,
    );
  const at = slots.find((s) => s.id === chosen) ?? null;
  return (
    <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-3">
      <h1>{first ? 'Draw the site' : 'Change the map'}</h1>
      <p className="hint max-w-[720px]">
        Add your bays, bins and rows, drag them to where they lie, and type their metres. Heaps
        stand in a place by its name: a heap in bay 5 stands in the bay called 5.
      </p>
      <div className="flex flex-wrap gap-3 items-end">
        <div className="w-[120px]">
          <Field
            label="Wide"
            unit="m"
            inputMode="decimal"
            value={width}
            onChange={(e) => setWidth(e.target.value)}
          />
        </div>
        <div className="w-[120px]">
          <Field
            label="Deep"
            unit="m"
            inputMode="decimal"
            value={depth}
            onChange={(e) => setDepth(e.target.value)}
          />
        </div>
        <p className="flex flex-wrap gap-2 mb-5">
          {SLOT_KINDS.map((k) => (
            <button key={k} type="button" className="btn" onClick={() => add(k)}>
              Add{' '}
              {k === 'store' ? 'a stock place' : k === 'pad' ? 'an open pad' : `a ${KIND_WORDS[k]}`}
            </button>
          ))}
        </p>
      </div>
      <div className="grid lg:grid-cols-[minmax(0,1fr)_300px] gap-5 items-start">
        <DndContext sensors={sensors} onDragEnd={drop}>
          <div
            ref={box}
            className="relative bg-paper border-[1.6px] border-ink w-full"
            style={{
              aspectRatio: typeof w === 'number' && typeof d === 'number' ? `${w} / ${d}` : '5 / 3',
            }}
            data-testid="edit-map"
          >
            {typeof w === 'number' &&
              typeof d === 'number' &&
              read
                .filter(sound)
                .map((s) => (
                  <Box
                    key={s.id}
                    slot={s}
                    map={{ widthM: w, depthM: d }}
                    chosen={s.id === chosen}
                    onPick={() => setChosen(s.id)}
                  />
                ))}
          </div>
        </DndContext>
        {at ? (
          <section className="flex flex-col gap-2" data-testid="edit-slot">
            <h2 className="!text-says">
              {KIND_WORDS[at.kind]} {at.name}
            </h2>
            <Field
              label="Its name"
              value={at.name}
              maxLength={40}
              onChange={(e) => set(at.id, { name: e.target.value })}
            />
            <div className="grid grid-cols-2 gap-2">
              {(
                [
                  ['xM', 'From the left'],
                  ['yM', 'From the top'],
                  ['lengthM', at.kind === 'row' ? 'Long' : 'Wide'],
                  ['widthM', at.kind === 'row' ? 'Wide' : 'Deep'],
                  ['heightM', 'High'],
                ] as const
              ).map(([k, label]) => (
                <Field
                  key={k}
                  label={label}
                  unit="m"
                  inputMode="decimal"
                  value={at[k]}
                  onChange={(e) => set(at.id, { [k]: e.target.value })}
                />
              ))}
            </div>
            <Field
              label="Base"
              value={at.base ?? ''}
              maxLength={80}
              onChange={(e) => set(at.id, { base: e.target.value })}
              placeholder="pallets, wire, soil"
            />
            <Field
              label="Air"
              value={at.air ?? ''}
              maxLength={80}
              onChange={(e) => set(at.id, { air: e.target.value })}
              placeholder="pipe, blower, none"
            />
            <fieldset>
              <legend className="label">Kept for</legend>
              <label className="flex gap-2 items-center min-h-[40px]">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={at.only === undefined}
                  onChange={(e) => {
                    const { only: _only, ...rest } = at;
                    setSlots(
                      slots.map((s) =>
                        s.id === at.id
                          ? e.target.checked
                            ? (rest as Typed)
                            : { ...rest, only: ['food'] }
                          : s,
                      ),
                    );
                  }}
                />
                all that the site takes
              </label>
              {at.only !== undefined && (
                <div className="grid grid-cols-2">
                  {RISKS.map((r) => (
                    <label key={r} className="flex gap-2 items-center min-h-[40px]">
                      <input
                        type="checkbox"
                        className="size-5"
                        checked={at.only!.includes(r)}
                        onChange={(e) =>
                          set(at.id, {
                            only: e.target.checked
                              ? [...at.only!, r]
                              : at.only!.filter((x) => x !== r),
                          })
                        }
                      />
                      {RISK_WORDS[r]}
                    </label>
                  ))}
                </div>
              )}
            </fieldset>
            <p>
              <button
                type="button"
                className="btn"
                onClick={() => {
                  setSlots(slots.filter((s) => s.id !== at.id));
                  setChosen(null);
                }}
              >
                Take it off the map
              </button>
            </p>
          </section>
        ) : (
          <p className="q">Press a place to type its metres and name.</p>
        )}
      </div>
      <div className="max-w-[320px]">
        <Field
          label="Who"
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
            Back
          </button>
        )}
        <SaveButton
          className="btn key !min-h-key"
          label="Keep this map"
          busy={busy}
          missing={slots.length === 0 ? 'Add a place first.' : (wrong ?? whoIsMissing(by))}
          onSave={save}
        />
      </div>
    </div>
  );
}
