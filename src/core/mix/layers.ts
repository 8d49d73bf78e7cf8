import { isRaw } from './concerns';
import type { Ingredient } from './ingredient';

/**
 * How to lay a mix up, from the ground: an airy base of structure, then greens and browns by turns, what is raw or seeds well
 * inside, and a blanket of browns over all. A guide of common practice; mixed at once does as well.
 */
export type Layer = {
  readonly kind: 'base' | 'brown' | 'green' | 'raw' | 'blanket';
  readonly parts: readonly {
    readonly key: string;
    readonly name: string;
    readonly litres: number;
  }[];
  readonly litres: number;
  readonly waterL: number;
};

/** Shares of structure, or of browns where there is none, that go below and above all (common practice). */
const BASE = 0.2;
const BLANKET = 0.2;
/** A pair of layers is about so thick, m; more pairs than this are not followed at a heap (common practice). */
const PAIR_M = 0.3;
const MAX_PAIRS = 6;
/** A part is not carried in portions smaller than this, L: half a bucket. */
const MIN_L = 8;

const inside = ({ risks }: Ingredient): boolean => isRaw(risks) || risks.includes('seeds');
/** Leaves paths for air when it lies at the bottom (common practice: chip, twigs, stalks, straw). */
const isAiry = (p: Ingredient): boolean =>
  (p.role === 'structure' || p.role === 'brown') &&
  (p.particle === 'coarse' || p.particle === 'long');
const isCarbon = (p: Ingredient): boolean =>
  p.role === 'brown' || p.role === 'structure' || p.role === 'finished';

/**
 * @param heightM of the heap when it is done
 * @returns from the ground up; every litre of every part is in one layer. Empty where an amount is not known
 */
export function planLayers(parts: readonly Ingredient[], waterL: number, heightM: number): Layer[] {
  const solid = parts.filter((p) => p.role !== 'liquid' && p.litres !== 0);
  if (solid.length === 0 || solid.some((p) => p.litres === null)) return [];
  const clean = solid.filter((p) => isCarbon(p) && !inside(p));
  const cover = clean.some((p) => p.role === 'structure')
    ? clean.filter((p) => p.role === 'structure')
    : clean;
  // Only what is coarse or long leaves air under a heap; paper, block and fine compost mat or lie tight.
  const airy = cover.filter(isAiry);
  const base = airy.length > 0 ? airy : clean.filter(isAiry);
  const [below, above] = [new Set(base.map((p) => p.key)), new Set(cover.map((p) => p.key))];
  const pairs = Math.max(1, Math.min(MAX_PAIRS, Math.round(heightM / PAIR_M)));
  const take = (p: Ingredient, share: number) => ({
    key: p.key,
    name: p.name,
    litres: p.litres! * share,
  });
  const layer = (kind: Layer['kind'], list: Layer['parts']): Omit<Layer, 'waterL'> => ({
    kind,
    parts: list,
    litres: list.reduce((s, p) => s + p.litres, 0),
  });
  const rest = (p: Ingredient): number =>
    1 - (below.has(p.key) ? BASE : 0) - (above.has(p.key) ? BLANKET : 0);
  const browns = solid.filter((p) => isCarbon(p) && !inside(p));
  const outer = solid.filter((p) => !isCarbon(p) && !inside(p));
  const inner = solid.filter(inside);
  // Small amounts go into one layer in the middle, not in handfuls into all.
  const portions = (p: Ingredient): number =>
    Math.max(1, Math.min(pairs, Math.floor((p.litres! * rest(p)) / MIN_L)));
  const inPair = (p: Ingredient, i: number): number => {
    const n = portions(p);
    const first = Math.floor((pairs - n) / 2);
    return i >= first && i < first + n ? rest(p) / n : 0;
  };
  const made: Omit<Layer, 'waterL'>[] = [
    layer(
      'base',
      base.map((p) => take(p, BASE)),
    ),
  ];
  for (let i = 0; i < pairs; i += 1) {
    const at = (list: readonly Ingredient[]) =>
      list.flatMap((p) => {
        const share = inPair(p, i);
        return share > 0 ? [take(p, share)] : [];
      });
    const greens = [...at(inner), ...at(outer)];
    made.push(layer(at(inner).length > 0 ? 'raw' : 'green', greens), layer('brown', at(browns)));
  }
  made.push(
    layer(
      'blanket',
      cover.map((p) => take(p, BLANKET)),
    ),
  );
  const laid = made.filter((l) => l.parts.length > 0 && l.litres > 1e-9);
  // The blanket stays dry: it sheds rain and keeps the smell in.
  const wetted = laid.filter((l) => l.kind !== 'blanket').reduce((s, l) => s + l.litres, 0);
  return laid.map((l) => ({
    ...l,
    waterL: l.kind === 'blanket' || wetted === 0 ? 0 : (waterL * l.litres) / wetted,
  }));
}
