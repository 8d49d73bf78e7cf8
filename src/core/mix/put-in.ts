import { PUT_IN_DOUBTS, type PutInDoubt } from '../log/kinds/vocabulary';
import type { Amount } from '../log/store-shapes';
import { amountOf } from './amount';

/** What speaks against putting something in, before it is saved. Nothing is refused: whoever stands there knows better. */

/** Something that is put in, as far as it is asked about. */
export type PutInSource = {
  readonly key: string;
  /** How much is left of its load; null: it comes from no load. */
  readonly left: { readonly litres: number | null; readonly kg: number | null } | null;
  /** It still ripens: seals, dries, soaks. */ readonly isRipening: boolean;
  /** The site asks about it first for such a batch, or refuses it. */ readonly isAsked: boolean;
};
export type PutInLine = { readonly source: PutInSource; readonly amount: Amount };
/** How much fits where the batch stands, L; `holds` null: how much is in it is not known. */
export type Room = { readonly litres: number; readonly holds: number | null };

/** A measure is filled by eye: so much more than there is or fits asks nothing (common practice). */
const BY_EYE = 1.1;

const sumOf = (list: readonly (number | null)[]): number | null =>
  list.some((x) => x === null) ? null : list.reduce((a: number, b) => a + (b ?? 0), 0);

/** What is taken of one source, by volume and by weight. */
const takenOf = (lines: readonly PutInLine[], key: string) => {
  const own = lines.filter((l) => l.source.key === key).map((l) => amountOf(l.amount, null));
  return { litres: sumOf(own.map((o) => o.litres)), kg: sumOf(own.map((o) => o.kg)) };
};

function isMoreThanLeft(lines: readonly PutInLine[], { key, left }: PutInSource): boolean {
  if (left === null) return false;
  const taken = takenOf(lines, key);
  return (['litres', 'kg'] as const).some((k) => {
    const [is, wanted] = [left[k], taken[k]];
    return is !== null && wanted !== null && wanted > is * BY_EYE;
  });
}

function isOverRoom(lines: readonly PutInLine[], room: Room | null): boolean {
  const holds = room?.holds ?? null;
  if (room === null || holds === null) return false;
  // What is heavy for its room is not known here; what is given by volume is.
  const litres = lines.reduce((sum, l) => sum + (amountOf(l.amount, null).litres ?? 0), 0);
  return holds + litres > room.litres * BY_EYE;
}

/** A doubt with the source that it is about; null: it is about all together. */
export type FoundDoubt = { readonly code: PutInDoubt; readonly key: string | null };

/** What speaks against putting these in, in the order of {@link PUT_IN_DOUBTS}. */
export function putInDoubts(lines: readonly PutInLine[], room: Room | null): FoundDoubt[] {
  const sources = [...new Map(lines.map((l) => [l.source.key, l.source])).values()];
  const about = (code: PutInDoubt, is: (s: PutInSource) => boolean): FoundDoubt[] =>
    sources.filter(is).map(({ key }) => ({ code, key }));
  const found: Readonly<Record<PutInDoubt, readonly FoundDoubt[]>> = {
    'asked-first': about('asked-first', (s) => s.isAsked),
    ripening: about('ripening', (s) => s.isRipening),
    'more-than-left': about('more-than-left', (s) => isMoreThanLeft(lines, s)),
    'no-room': isOverRoom(lines, room) ? [{ code: 'no-room', key: null }] : [],
  };
  return PUT_IN_DOUBTS.flatMap((code) => found[code]);
}
