import type { Ingredient } from './ingredient';
import { LACKS, type Mix } from './mix';
import { estOf, windowPositionOf, WINDOWS, isBelow } from './window';

/** The schools of green to brown, side by side for the same mix (trade facts, section 2). None rejects a recipe. */
export type MixApproach = 'by-weight' | '1:1' | '1:2' | '1:3' | 'cover';

export type ApproachAdvice =
  | { readonly school: MixApproach; readonly says: 'fits' }
  | {
      readonly school: MixApproach;
      readonly says: 'more-brown' | 'more-green';
      /** So many litres of it, as the school counts; null: it names no amount. */ readonly litres:
        number | null;
    }
  | { readonly school: MixApproach; readonly says: 'unknown'; readonly missing: readonly string[] };

/** Litres of browns for a litre of greens that each bucket school asks for. */
const BUCKETS = { '1:1': 1, '1:2': 2, '1:3': 3 } as const;
/** A bucket school is content within this share of its ratio (common practice: buckets are not counted finer). */
const CONTENT = 0.15;
/** Cover-and-smell: a hand of browns, 5 cm, on every 10 cm of greens, and the same again as a blanket (common practice). */
const COVER = 0.5;

/** Greens and browns of a mix by volume, L. Structure and finished compost count as brown, liquids and minerals as neither; null: a volume is not known. */
export function sumParts(parts: readonly Ingredient[]): {
  readonly green: number;
  readonly brown: number;
  readonly missing: readonly string[];
} {
  const green = parts.filter((p) => p.role === 'green' || p.role === 'activator');
  const brown = parts.filter(
    (p) => p.role === 'brown' || p.role === 'structure' || p.role === 'finished',
  );
  const sum = (list: readonly Ingredient[]): number =>
    list.reduce((s, p) => s + (p.litres ?? 0), 0);
  return {
    green: sum(green),
    brown: sum(brown),
    missing: [...green, ...brown].filter((p) => p.litres === null).map((p) => p.name),
  };
}

function byBucket(school: keyof typeof BUCKETS, green: number, brown: number): ApproachAdvice {
  const wanted = BUCKETS[school] * green;
  if (green > 0 && Math.abs(brown - wanted) <= CONTENT * wanted) return { school, says: 'fits' };
  return brown < wanted
    ? { school, says: 'more-brown', litres: wanted - brown }
    : { school, says: 'more-green', litres: brown / BUCKETS[school] - green };
}

/** What each school says of a mix. */
export function compareApproaches(parts: readonly Ingredient[], mix: Mix): ApproachAdvice[] {
  const { green, brown, missing } = sumParts(parts);
  const cn = estOf(mix.cn);
  const weigh = (): ApproachAdvice => {
    if (!mix.cn.ok) return { school: 'by-weight', says: 'unknown', missing: mix.cn.missing };
    const at = windowPositionOf(WINDOWS.cn, cn!.value);
    return at === 'preferred'
      ? { school: 'by-weight', says: 'fits' }
      : {
          school: 'by-weight',
          says: isBelow(at) ? 'more-brown' : 'more-green',
          litres: null,
        };
  };
  const none = parts.length === 0 ? [LACKS.everything] : missing;
  const counted: ApproachAdvice[] =
    none.length > 0
      ? (['1:1', '1:2', '1:3', 'cover'] as const).map((school) => ({
          school,
          says: 'unknown',
          missing: [...new Set(none)],
        }))
      : [
          ...(['1:1', '1:2', '1:3'] as const).map((s) => byBucket(s, green, brown)),
          brown >= COVER * green
            ? { school: 'cover', says: 'fits' }
            : { school: 'cover', says: 'more-brown', litres: COVER * green - brown },
        ];
  return [weigh(), ...counted];
}
