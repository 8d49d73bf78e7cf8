import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { heapPicture, type HeapPicture } from '@/telling/status/picture';
import { statusOfBatch } from '@/core/status/batch-status';
import { positionIn, usesOf } from '@/core/heap/site-map';
import { positionText } from '@/core/words/position';
import type { Position } from '@/core/log/shapes';
import type { SiteMap, Slot } from '@/core/log/store-shapes';
import type { StoreState } from '@/core/mix/store';
import { inStock } from '@/core/mix/store';
import { RISK_WORDS } from '@/core/mix/words';
import { figureWithUnit, volumeText, listText } from '@/core/quantity/format';
import { litresText } from '@/core/words/amount';
import type { Locale } from '@/core/words/note';
import { valueAt } from '@/core/quantity/present';

export type MapHeap = {
  readonly id: string;
  readonly name: string;
  readonly code: string;
  readonly says: string;
  readonly picture: HeapPicture;
  /** Metres along a row. */ readonly fromM: number | null;
  readonly toM: number | null;
};
/** A lot after the heat, as the map shows it where it lies. */
export type MapLot = {
  readonly id: string;
  readonly title: string;
  readonly kind: string;
  readonly amount: string;
  readonly where: string;
  readonly litres: number | null;
};
export type MapSlot = {
  readonly slot: Slot;
  readonly title: string;
  readonly room: string;
  readonly heaps: readonly MapHeap[];
  readonly lots: readonly MapLot[];
  readonly only: string | null;
};
export type MapView = {
  readonly map: SiteMap | null;
  readonly version: string | null;
  readonly slots: readonly MapSlot[];
  readonly nowhere: readonly MapHeap[];
  /** Lots whose place is none of the map's. */ readonly lotsElsewhere: readonly MapLot[];
  readonly free: string;
  /** Heap id → place id → where it would stand, or that it does not fit. */
  readonly moves: Readonly<
    Record<
      string,
      Readonly<Record<string, { readonly to: Position | null; readonly says: string }>>
    >
  >;
};

const KIND = {
  get bay() {
    return say('map.bay');
  },
  get bin() {
    return say('map.bin');
  },
  get tub() {
    return say('map.drum');
  },
  get row() {
    return say('map.windrow');
  },
  get pad() {
    return say('map.pad');
  },
  get store() {
    return say('map.stock');
  },
} as const;
const titleOf = (s: Slot): string =>
  s.kind === 'store' || s.kind === 'pad' || s.name.toLowerCase().startsWith(s.kind)
    ? s.name
    : `${KIND[s.kind]} ${s.name}`;

/** One name for one place, however it was typed. */
const placeKey = (name: string): string => name.trim().toLowerCase();

/** The map with what stands on it and what room is left. */
export function mapView(
  store: StoreState,
  board: readonly BatchSnapshot[],
  locale: Locale,
  lots: readonly MapLot[],
): MapView {
  const live = board.filter((d) => !statusOfBatch(d, locale.now).isGone);
  const byId = new Map(live.map((d) => [d.id, d]));
  const standing = live.map((d) => ({
    id: d.id,
    name: d.name ?? d.code,
    position: d.position,
    m3: d.volumeM3,
  }));
  const { uses, nowhere } = usesOf(store.map?.map.slots ?? [], standing);
  const heap = (id: string, fromM: number | null, toM: number | null): MapHeap => {
    const d = valueAt(byId, id);
    const picture = heapPicture(d, locale);
    return { id, name: d.name ?? d.code, code: d.code, says: picture.says, picture, fromM, toM };
  };
  const stock = new Map<string, { litres: number; names: string[] }>();
  for (const l of inStock(store))
    if (l.where) {
      const s = stock.get(placeKey(l.where)) ?? { litres: 0, names: [] };
      s.litres += l.leftLitres ?? 0;
      s.names.push(l.load.what ?? libraryText(l.material.name));
      stock.set(placeKey(l.where), s);
    }
  const places = new Set(uses.map((u) => placeKey(u.slot.name)));
  const lotsAt = (slot: Slot): MapLot[] =>
    lots.filter((l) => placeKey(l.where) === placeKey(slot.name));
  const slots = uses.map((u): MapSlot => {
    const lying = lotsAt(u.slot);
    const taken = lying.reduce((m3, l) => m3 + (l.litres ?? 0) / 1000, 0);
    const freeM3 = Math.max(0, u.freeM3 - taken);
    const isTaken = u.heaps.length > 0 || lying.length > 0;
    const lies = stock.get(placeKey(u.slot.name));
    const gap = Math.max(0, ...u.gaps.map((g) => g.toM - g.fromM));
    const room =
      u.slot.kind === 'store'
        ? lies
          ? say('map.ofAndmoreAndMore', {
              litres: litresText(lies.litres),
              toLowerCase: [...new Set(lies.names)].slice(0, 2).join(', ').toLowerCase(),
              size: new Set(lies.names).size > 2 ? 'andMore' : 'other',
            })
          : say('map.empty')
        : u.slot.kind === 'row'
          ? gap > 0
            ? say('map.ofMFree', {
                reduce: figureWithUnit(
                  'length',
                  Math.round(u.gaps.reduce((s, g) => s + g.toM - g.fromM, 0) * 10) / 10,
                ),
                lengthM: u.slot.lengthM,
              })
            : say('map.full')
          : !isTaken
            ? say('map.freeRoomFor', { holdsM3: volumeText(u.holdsM3) })
            : freeM3 < 0.3
              ? say('map.full')
              : say('map.roomFor', { freeM3: volumeText(freeM3) });
    return {
      slot: u.slot,
      title: titleOf(u.slot),
      room,
      only: u.slot.only
        ? say('map.only', { only: listText(u.slot.only.map((r) => RISK_WORDS[r])) })
        : null,
      heaps: u.heaps.map((h) => heap(h.id, h.fromM, h.toM)),
      lots: lying,
    };
  });
  const empty = uses.filter(
    (u) =>
      u.slot.kind !== 'store' &&
      u.slot.kind !== 'row' &&
      u.heaps.length === 0 &&
      lotsAt(u.slot).length === 0,
  );
  const rowFree = uses
    .filter((u) => u.slot.kind === 'row')
    .reduce((s, u) => s + u.gaps.reduce((t, g) => t + g.toM - g.fromM, 0), 0);
  const moves = Object.fromEntries(
    standing.map((h) => [
      h.id,
      Object.fromEntries(
        uses
          .filter((u) => u.slot.kind !== 'store' && !u.heaps.some((x) => x.id === h.id))
          .map((u) => {
            const to = positionIn(u, h);
            const over = u.slot.kind !== 'row' && h.m3 !== null && u.freeM3 < h.m3;
            return [
              u.slot.id,
              {
                to,
                says:
                  to === null
                    ? say('map.hasNoFreeStretchLong', { slot: titleOf(u.slot) })
                    : `${positionText(to)}${over ? say('map.itHasRoomFor', { freeM3: volumeText(u.freeM3), name: h.name, m3: volumeText(h.m3!) }) : u.heaps.length > 0 && u.slot.kind !== 'row' ? say('map.nextTo', { heaps: listText(u.heaps.map((x) => x.name)) }) : ''}`,
              },
            ] as const;
          }),
      ),
    ]),
  );
  return {
    map: store.map?.map ?? null,
    version: store.map?.entry ?? null,
    slots,
    nowhere: nowhere.map((h) => heap(h.id, null, null)),
    lotsElsewhere: lots.filter((l) => !places.has(placeKey(l.where))),
    moves,
    free: [
      empty.length > 0
        ? say('map.freeInAll', {
            empty: listText(empty.map((u) => titleOf(u.slot).toLowerCase())),
            reduce: volumeText(empty.reduce((s, u) => s + u.holdsM3, 0)),
          })
        : say('map.noBayIsFree'),
      rowFree > 0.5 ? say('map.mOfWindrow', { rowFree: Math.round(rowFree * 10) / 10 }) : '',
    ]
      .filter(Boolean)
      .join('; '),
  };
}
