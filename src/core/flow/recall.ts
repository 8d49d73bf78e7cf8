import type { FlowSite } from './site-file';
import { followTagged, tracedOf, type Interval, type Traced } from './trace';

/** A recall: where the matter of some loads or lots is now, who has it, and how much of it can be accounted for (contract, section 3). */

type RecallLot = Traced & {
  readonly lot: string;
  readonly tagged: Interval | null;
  readonly unclear: boolean;
};
type RecallOut = Traced & {
  readonly flow: string;
  readonly at: number;
  readonly tagged: Interval | null;
  readonly unclear: boolean;
};
export type Recall = {
  readonly here: readonly RecallLot[];
  /** Out of the site, to be called in this order: by raw share, then litres. */ readonly out: readonly RecallOut[];
  /** Tagged litres that came in, that are here, that went out, that were lost at levels; null: an amount is not known. */
  readonly cameIn: number | null;
  readonly isHere: number | null;
  readonly wentOut: number | null;
  readonly wasLost: number | null;
  /** Here, out and lost, of what came in; null: an amount is not known. */ readonly accounted:
    number | null;
};

/** From this width on a share cannot be told. */
const UNCLEAR = 0.5;
const isUnclear = ([lo, hi]: Interval): boolean => hi - lo > UNCLEAR;
const taggedOf = ({ litres, any }: Traced): Interval | null =>
  litres === null ? null : [any[0] * litres, any[1] * litres];

/** The exact litres of parts whose shares are exact; null: one of them is not. */
function sumExact(
  parts: readonly { readonly litres: number | null; readonly any: Interval }[],
): number | null {
  let sum = 0;
  for (const { litres, any } of parts) {
    if (any[1] === 0) continue;
    if (litres === null || any[1] - any[0] > 1e-9) return null;
    sum += any[0] * litres;
  }
  return sum;
}

/** What came into the tagged lots from elsewhere: of what comes back into them the tagged part is not counted again. */
function cameInto(
  site: FlowSite,
  tagged: ReadonlySet<string>,
  carried: (flow: string) => Traced | null,
): number | null {
  let sum = 0;
  for (const f of site.flows) {
    if (f.to === null || !tagged.has(f.to)) continue;
    const part = carried(f.id);
    const already = f.from === null ? ([0, 0] as Interval) : (part?.any ?? [0, 0]);
    if (already[0] === 1) continue;
    const litres = part?.litres ?? null;
    if (litres === null || already[1] - already[0] > 1e-9) return null;
    sum += litres * (1 - already[0]);
  }
  return sum;
}

/** Where the matter of some loads or lots is. @param leastShare entries with less of it are left out */
export function recallOf(site: FlowSite, lots: readonly string[], leastShare = 0): Recall {
  const run = followTagged(site, lots, null);
  const carried = (flow: string): Traced | null => {
    const c = run.carried.get(flow);
    return c ? tracedOf(c) : null;
  };
  const isShown = ({ any }: Traced): boolean => any[1] > 0 && any[1] >= leastShare;
  const allHere = site.lots.map((l) => ({ lot: l.id, ...tracedOf(run.of(l.id)) }));
  const allOut = site.flows.flatMap((f) => {
    const part = f.to === null && f.from !== null ? carried(f.id) : null;
    return part ? [{ flow: f.id, at: f.at, ...part }] : [];
  });
  const lost = run.losses.map(({ litres, marks }) => ({ litres, ...marks }));
  const [cameIn, isHere, wentOut, wasLost] = [
    cameInto(site, new Set(lots), carried),
    sumExact(allHere),
    sumExact(allOut),
    sumExact(lost),
  ];
  const isKnown = cameIn !== null && isHere !== null && wentOut !== null && wasLost !== null;
  return {
    here: allHere
      .filter(isShown)
      .map((l) => ({ ...l, tagged: taggedOf(l), unclear: isUnclear(l.any) }))
      .sort((a, b) => b.raw[1] - a.raw[1] || (b.litres ?? Infinity) - (a.litres ?? Infinity)),
    out: allOut
      .filter(isShown)
      .map((o) => ({ ...o, tagged: taggedOf(o), unclear: isUnclear(o.any) }))
      .sort((a, b) => b.raw[1] - a.raw[1] || (b.litres ?? Infinity) - (a.litres ?? Infinity)),
    ...{ cameIn, isHere, wentOut, wasLost },
    accounted: isKnown && cameIn > 0 ? (isHere + wentOut + wasLost) / cameIn : null,
  };
}
