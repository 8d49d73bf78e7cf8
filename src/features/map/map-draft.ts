import { say } from '@/messages/say';
import { shownQuantity, typedQuantity } from '@/core/quantity/typed-quantity';
import type { Risk, SiteMap, Slot } from '@/core/log/store-shapes';
import { upperFirst } from '@/core/quantity/format';

/** The map of a site as it is typed and dragged, and what follows from it. Pure: the form only shows it. */

/** A place as it is typed; metres are texts until they are read. */
export type SlotDraft = {
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
export type MapDraft = {
  readonly width: string;
  readonly depth: string;
  readonly slots: readonly SlotDraft[];
};

/** What is typed: its size, the places whose metres are numbers, and what is wrong with the rest. */
export type MapReading = {
  /** Null: the size is no number. */
  readonly size: { readonly widthM: number; readonly depthM: number } | null;
  readonly sound: readonly Slot[];
  readonly wrong: string | null;
  /** Null while something is wrong. */ readonly map: SiteMap | null;
};

/** Length, width and height that a place has at first, m (common practice). */
const FIRST_SIZE: Readonly<Record<Slot['kind'], readonly [number, number, number]>> = {
  bay: [3, 3, 1.8],
  bin: [1.2, 1.2, 1.2],
  tub: [3, 1.6, 1.5],
  row: [20, 2.4, 1.4],
  pad: [8, 6, 2],
  store: [4, 3, 2],
};
export const SLOT_WORDS: Readonly<Record<Slot['kind'], string>> = {
  get bay() {
    return say('map.bay2');
  },
  get bin() {
    return say('map.bin2');
  },
  get tub() {
    return say('map.drum2');
  },
  get row() {
    return say('map.windrow2');
  },
  get pad() {
    return say('map.openPad');
  },
  get store() {
    return say('map.stock2');
  },
};

/** Metres to the centimetre, as they are typed. */
const metresText = (x: number): string => shownQuantity('length', x, 2);

const draftOfSlot = (s: Slot): SlotDraft => ({
  ...s,
  xM: metresText(s.xM),
  yM: metresText(s.yM),
  lengthM: metresText(s.lengthM),
  widthM: metresText(s.widthM),
  heightM: metresText(s.heightM),
});

/** Metres of an empty site. */
const FIRST_MAP = { widthM: 30, depthM: 18, slots: [] };

/** The map as it opens to be changed; null: there is none yet. */
export const draftOfMap = (map: SiteMap | null): MapDraft => {
  const { widthM, depthM, slots } = map ?? FIRST_MAP;
  return {
    width: metresText(widthM),
    depth: metresText(depthM),
    slots: slots.map(draftOfSlot),
  };
};

/** A place with its metres as numbers; null: one of them is none, or it has no size. */
function readSlot(s: SlotDraft): Slot | null {
  const [xM, yM, lengthM, widthM, heightM] = [s.xM, s.yM, s.lengthM, s.widthM, s.heightM].map((x) =>
    typedQuantity('length', x),
  );
  if (xM == null || yM == null || !lengthM || !widthM || !heightM) return null;
  return { ...s, xM, yM, lengthM, widthM, heightM } as Slot;
}

/** Float noise of metres that were dragged. */
const HAIR_M = 1e-6;
const nameKey = (s: Pick<SlotDraft, 'kind' | 'name'>): string =>
  `${s.kind} ${s.name.trim().toLowerCase()}`;

function wrongIn(
  slots: readonly SlotDraft[],
  sound: readonly Slot[],
  size: MapReading['size'],
): string | null {
  if (!size) return say('map.typeSizeMapInMeters');
  if (sound.length < slots.length) return say('map.everyPlaceNeedsMetersAs');
  if (slots.some((s) => s.name.trim() === '')) return say('map.everyPlaceNeedsNameWritten');
  const out = sound.find(
    (s) => s.xM + s.lengthM > size.widthM + HAIR_M || s.yM + s.widthM > size.depthM + HAIR_M,
  );
  if (out) return say('map.isBeyondEdgeMapMove', { name: out.name });
  const names = slots.map(nameKey);
  const twice = slots.find((_, i) => names.indexOf(names[i] ?? '') !== i);
  return twice ? say('map.thereTwoPlacesCalledEach', { name: twice.name }) : null;
}

export function readMapDraft({ width, depth, slots }: MapDraft): MapReading {
  const [widthM, depthM] = [
    typedQuantity('length', width, 0.5),
    typedQuantity('length', depth, 0.5),
  ];
  const size = widthM == null || depthM == null ? null : { widthM, depthM };
  const sound = slots.flatMap((s) => readSlot(s) ?? []);
  const wrong = wrongIn(slots, sound, size);
  const named = sound.map((s) => ({ ...s, name: s.name.trim() }));
  return {
    size,
    sound,
    wrong,
    map: size && wrong === null ? { ...size, slots: named } : null,
  };
}

/** A place of a kind more, with an id that no other has. */
export function addSlot(slots: readonly SlotDraft[], kind: Slot['kind']): SlotDraft {
  const n = 1 + slots.filter((s) => s.kind === kind).length;
  let suffix = n;
  while (slots.some((s) => s.id === `${kind}-${suffix}`)) suffix += 1;
  const [lengthM, widthM, heightM] = FIRST_SIZE[kind];
  // A bay and a bin are called by their number alone, as the heaps that stand in them say it.
  const isNumbered = kind === 'bay' || kind === 'bin';
  return {
    id: `${kind}-${suffix}`,
    name: isNumbered ? String(n) : `${upperFirst(SLOT_WORDS[kind])} ${n}`,
    kind,
    xM: metresText(0.5),
    yM: metresText(0.5),
    lengthM: metresText(lengthM),
    widthM: metresText(widthM),
    heightM: metresText(heightM),
  };
}

/** Where a place lies after it was dragged so many metres: within the map, to the fifth of a metre. */
export function dragSlot(
  slot: Slot,
  by: { readonly xM: number; readonly yM: number },
  size: NonNullable<MapReading['size']>,
): Pick<SlotDraft, 'xM' | 'yM'> {
  const snap = (x: number, most: number): string =>
    metresText(Math.round(Math.max(0, Math.min(most, x)) * 5) / 5);
  return {
    xM: snap(slot.xM + by.xM, Math.max(0, size.widthM - slot.lengthM)),
    yM: snap(slot.yM + by.yM, Math.max(0, size.depthM - slot.widthM)),
  };
}
