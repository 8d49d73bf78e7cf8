import type { Position } from '../log/shapes';
import type { Border } from './plan';

/** Heaps that lie end to end in one row, told apart by flags. Lengths in metres from the row's start. */
export type InRow = {
  readonly id: string;
  readonly name: string;
  readonly fromM: number;
  readonly toM: number;
};
type Placed = { readonly id: string; readonly name: string; readonly position: Position | null };

/** Ends that lie closer than this are one border: flags are paced out, not surveyed. */
const SAME_BORDER_M = 0.75;

/** Those of a row, from its start on. */
export const rowOf = (heaps: readonly Placed[], row: string): InRow[] =>
  heaps
    .flatMap(({ id, name, position }) =>
      position && 'row' in position && position.row === row
        ? [{ id, name, fromM: position.fromM, toM: position.toM }]
        : [],
    )
    .sort((a, b) => a.fromM - b.fromM);

export type Neighbours = { readonly before: InRow | null; readonly after: InRow | null };

/** Who lies before and behind a heap in its row, where their ends touch or overlap. */
export function neighboursOf(heaps: readonly Placed[], id: string): Neighbours {
  const own = heaps.find((h) => h.id === id)?.position;
  if (!own || !('row' in own)) return { before: null, after: null };
  const others = rowOf(heaps, own.row).filter((h) => h.id !== id);
  return {
    before:
      others.findLast((h) => h.fromM < own.fromM && own.fromM - h.toM < SAME_BORDER_M) ?? null,
    after: others.find((h) => h.fromM >= own.fromM && h.fromM - own.toM < SAME_BORDER_M) ?? null,
  };
}

/** Borders of a heap as metres from its own start. */
export function bordersOf(heaps: readonly Placed[], id: string): Border[] {
  const own = heaps.find((h) => h.id === id)?.position;
  if (!own || !('row' in own)) return [];
  const { before, after } = neighboursOf(heaps, id);
  return [
    ...(before ? [{ name: before.name, atM: 0 }] : []),
    ...(after ? [{ name: after.name, atM: own.toM - own.fromM }] : []),
  ];
}

/**
 * What a new stretch of one heap does to its neighbours: a border that it moves is theirs too.
 * @returns new positions of the neighbours that touch it, by id; one that would be left without length is told as an overlap
 */
export function movedBorders(
  heaps: readonly Placed[],
  id: string,
  to: { row: string; fromM: number; toM: number },
): { moved: { id: string; name: string; position: Position }[]; overlaps: string[] } {
  const { before, after } = neighboursOf(heaps, id);
  const moved: { id: string; name: string; position: Position }[] = [];
  const overlaps: string[] = [];
  const put = (h: InRow, fromM: number, toM: number): void => {
    if (toM - fromM < 0.1) overlaps.push(h.name);
    else if (fromM !== h.fromM || toM !== h.toM)
      moved.push({ id: h.id, name: h.name, position: { row: to.row, fromM, toM } });
  };
  if (before) put(before, before.fromM, to.fromM);
  if (after) put(after, to.toM, after.toM);
  const touched = new Set([id, before?.id, after?.id]);
  for (const h of rowOf(heaps, to.row))
    if (!touched.has(h.id) && h.fromM < to.toM - 1e-9 && h.toM > to.fromM + 1e-9)
      overlaps.push(h.name);
  return { moved, overlaps };
}
