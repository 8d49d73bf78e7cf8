import type { Squeeze } from '../words/feel';
import { itemAt, lastOf } from '../quantity/present';

/** Tests of a load with a bucket, scales and an oven, with their arithmetic step by step. Volumes in L, weights in kg. */
type Step = { readonly says: string; readonly value: number; readonly unit: string };
export type Tested =
  | {
      readonly ok: true;
      readonly steps: readonly Step[];
      readonly density?: number;
      readonly airPct?: number;
      readonly moisturePct?: number;
    }
  | { readonly ok: false; readonly wrong: string };

/**
 * Bucket test: a bucket of known volume is filled in thirds, each dropped ten times from a hand's height, and weighed; then
 * water is poured in to the brim: what goes in is the air space. Common practice of compost sites.
 */
export function bucketTest({
  bucketL,
  emptyKg,
  fullKg,
  waterKg,
}: {
  bucketL: number;
  emptyKg: number;
  fullKg: number;
  waterKg: number | null;
}): Tested {
  const net = fullKg - emptyKg;
  if (!(bucketL > 0)) return { ok: false, wrong: 'Give the volume of the bucket in litres.' };
  if (!(net > 0))
    return {
      ok: false,
      wrong: 'The full bucket must weigh more than the empty one. Were the two swapped?',
    };
  const density = (net / bucketL) * 1000;
  if (density > 3000)
    return {
      ok: false,
      wrong: `That would be ${Math.round(density)} kg/m³, heavier than stone. Check the litres and the kilograms.`,
    };
  const steps: Step[] = [
    { says: `${fullKg} − ${emptyKg} = what is in it`, value: net, unit: 'kg' },
    { says: `${round(net)} kg in ${bucketL} L`, value: density, unit: 'kg/m³' },
  ];
  if (waterKg === null) return { ok: true, steps, density };
  if (waterKg < 0 || waterKg > bucketL)
    return {
      ok: false,
      wrong: `A bucket of ${bucketL} L takes between 0 and ${bucketL} kg of water.`,
    };
  const airPct = (waterKg / bucketL) * 100;
  return {
    ok: true,
    density,
    airPct,
    steps: [
      ...steps,
      { says: `${waterKg} L of water into ${bucketL} L`, value: airPct, unit: '% air' },
    ],
  };
}

/** Dry until two weighings differ by no more than this share of what is left. */
const STILL = 0.01;
/**
 * Drying test by oven or microwave: (wet − dry)/(wet − dish), % of wet weight. The dry weight is the last of several; until two
 * agree there is water left, and the moisture is higher than reckoned. @param weighings g, the wet one first, dish included
 */
export function dryingTest(
  dishG: number,
  weighings: readonly number[],
): Tested & { readonly still?: boolean } {
  const [wet, ...dried] = weighings;
  if (wet === undefined || dried.length === 0)
    return { ok: false, wrong: 'Weigh it wet, and once more at least when it has dried.' };
  if (!(wet > dishG))
    return { ok: false, wrong: 'The dish with the sample must weigh more than the dish alone.' };
  const up = dried.findIndex((g, i) => g > (i === 0 ? wet : itemAt(dried, i - 1)) + 1e-9);
  if (up >= 0)
    return {
      ok: false,
      wrong: `Weighing ${up + 2} is heavier than the one before: it cannot have gained water while drying.`,
    };
  const dry = lastOf(dried);
  if (!(dry > dishG))
    return {
      ok: false,
      wrong: 'Nothing would be left of the sample. Was the dish weighed with it?',
    };
  const before = dried.length > 1 ? dried.at(-2)! : wet;
  const pct = ((wet - dry) / (wet - dishG)) * 100;
  return {
    ok: true,
    moisturePct: pct,
    still: before - dry > STILL * (dry - dishG),
    steps: [
      { says: `${wet} − ${dishG} = sample, wet`, value: wet - dishG, unit: 'g' },
      { says: `${wet} − ${dry} = water that left`, value: wet - dry, unit: 'g' },
      { says: `${round(wet - dry)} of ${round(wet - dishG)}`, value: pct, unit: '% moisture' },
    ],
  };
}

/** What a squeeze says of moisture, % of wet weight: common practice, a hand is no scale. */
export const SQUEEZE_PCT: Readonly<
  Record<Squeeze, { readonly lowPct: number; readonly highPct: number }>
> = {
  crumbles: { lowPct: 30, highPct: 42 },
  holds: { lowPct: 42, highPct: 50 },
  drops: { lowPct: 50, highPct: 60 },
  runs: { lowPct: 62, highPct: 75 },
};

const round = (x: number): number => Math.round(x * 100) / 100;
