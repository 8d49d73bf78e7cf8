import type { Position } from '../log/shapes';
import type { Slot } from '../log/store-shapes';
import { rowLengthM } from './form';
import { rowOf } from './row';

/** What stands where on the site's map, and what room is left. Lengths in metres, volumes in m³. */
export type PlacedBatch = {
  readonly id: string;
  readonly name: string;
  readonly position: Position | null;
  readonly m3: number | null;
};
export type SlotUse = {
  readonly slot: Slot;
  readonly heaps: readonly {
    readonly id: string;
    readonly name: string;
    readonly m3: number | null;
    /** Along a row. */ readonly fromM: number | null;
    readonly toM: number | null;
  }[];
  readonly holdsM3: number;
  /** Of those whose size is known. */ readonly usedM3: number;
  readonly freeM3: number;
  /** Of a row: stretches without a heap. */ readonly gaps: readonly {
    readonly fromM: number;
    readonly toM: number;
  }[];
};

/** A bay or bin filled level; a row as a rounded one, two thirds of its box. */
const holdsM3 = ({ kind, lengthM, widthM, heightM }: Slot): number =>
  kind === 'row' ? ((2 * widthM * heightM) / 3) * lengthM : lengthM * widthM * heightM;

/** Stretches of a row where no heap lies, from its start on. */
export function gapsOf(
  taken: readonly { readonly fromM: number; readonly toM: number }[],
  lengthM: number,
): { fromM: number; toM: number }[] {
  const gaps: { fromM: number; toM: number }[] = [];
  let at = 0;
  for (const t of [...taken].sort((a, b) => a.fromM - b.fromM)) {
    if (t.fromM - at > 0.05) gaps.push({ fromM: at, toM: t.fromM });
    at = Math.max(at, t.toM);
  }
  if (lengthM - at > 0.05) gaps.push({ fromM: at, toM: lengthM });
  return gaps;
}

const named = (slot: Slot, bay: string): boolean =>
  slot.name.toLowerCase() === bay.trim().toLowerCase();
/** Each place of the map with what stands in it; and the heaps that stand on none of them. */
export function usesOf(
  slots: readonly Slot[],
  heaps: readonly PlacedBatch[],
): { readonly uses: readonly SlotUse[]; readonly nowhere: readonly PlacedBatch[] } {
  const uses = slots.map((slot): SlotUse => {
    const rows = slot.kind === 'row' ? rowOf(heaps, slot.name) : [];
    const own =
      slot.kind === 'row'
        ? heaps.filter((h) => rows.some((r) => r.id === h.id))
        : heaps.filter(
            (h) => h.position !== null && 'bay' in h.position && named(slot, h.position.bay),
          );
    const holds = holdsM3(slot);
    const usedM3 = own.reduce((s, h) => s + (h.m3 ?? 0), 0);
    return {
      slot,
      holdsM3: holds,
      usedM3,
      freeM3: Math.max(0, holds - usedM3),
      gaps: slot.kind === 'row' ? gapsOf(rows, slot.lengthM) : [],
      heaps: own.map((h) => {
        const r = rows.find((x) => x.id === h.id);
        return { id: h.id, name: h.name, m3: h.m3, fromM: r?.fromM ?? null, toM: r?.toM ?? null };
      }),
    };
  });
  const placed = new Set(uses.flatMap((u) => u.heaps.map((h) => h.id)));
  return { uses, nowhere: heaps.filter((h) => !placed.has(h.id)) };
}

/**
 * Where a heap would stand in a place: in a bay, or in the first stretch of a row that is long enough for it, at the row's
 * width and height. Null: the row has no such stretch.
 */
export function positionIn(
  { slot, gaps }: Pick<SlotUse, 'slot' | 'gaps'>,
  heap: Pick<PlacedBatch, 'm3' | 'position'>,
): Position | null {
  if (slot.kind !== 'row') return { bay: slot.name };
  const now =
    heap.position && 'row' in heap.position ? heap.position.toM - heap.position.fromM : null;
  const wants = Math.max(
    0.5,
    now ?? rowLengthM('windrow', heap.m3 ?? 3, { widthM: slot.widthM, heightM: slot.heightM }),
  );
  const gap = gaps.find((g) => g.toM - g.fromM >= wants - 1e-9);
  const round = (x: number): number => Math.round(x * 10) / 10;
  return gap
    ? { row: slot.name, fromM: round(gap.fromM), toM: round(Math.min(gap.toM, gap.fromM + wants)) }
    : null;
}
