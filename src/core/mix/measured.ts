import { say } from '../../messages/say';
import { figureWithUnit } from '../quantity/format';
import type { Squeeze } from '../words/feel';
import { itemAt, lastOf } from '../quantity/present';

/** Tests of a load with a bucket, scales and an oven, with their arithmetic step by step. Volumes in L, weights in kg. */
type Step = { readonly says: string; readonly text: string };
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
  if (!(bucketL > 0)) return { ok: false, wrong: say('mix.giveVolumeBucketInLiters') };
  if (!(net > 0))
    return {
      ok: false,
      wrong: say('mix.theFullBucketMustWeigh'),
    };
  const density = (net / bucketL) * 1000;
  if (density > 3000)
    return {
      ok: false,
      wrong: say('mix.thatWouldKgMHeavier', { density: Math.round(density) }),
    };
  const steps: Step[] = [
    { says: say('mix.whatIsInIt', { fullKg, emptyKg }), text: figureWithUnit('kg', round(net)) },
    {
      says: say('mix.kgInL', { net: round(net), bucketL }),
      text: figureWithUnit('density', round(density)),
    },
  ];
  if (waterKg === null) return { ok: true, steps, density };
  if (waterKg < 0 || waterKg > bucketL)
    return {
      ok: false,
      wrong: say('mix.aBucketLTakesBetween', { bucketL }),
    };
  const airPct = (waterKg / bucketL) * 100;
  return {
    ok: true,
    density,
    airPct,
    steps: [
      ...steps,
      {
        says: say('mix.lWaterIntoL', { waterKg, bucketL }),
        text: `${round(airPct)} ${say('mix.air')}`,
      },
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
    return { ok: false, wrong: say('mix.weighWetAtLeastOnce') };
  if (!(wet > dishG)) return { ok: false, wrong: say('mix.theDishWithSampleMust') };
  const up = dried.findIndex((g, i) => g > (i === 0 ? wet : itemAt(dried, i - 1)) + 1e-9);
  if (up >= 0)
    return {
      ok: false,
      wrong: say('mix.weighingHeavierThanOneBefore', { up: up + 2 }),
    };
  const dry = lastOf(dried);
  if (!(dry > dishG))
    return {
      ok: false,
      wrong: say('mix.nothingWouldLeftSampleWas'),
    };
  const before = dried.length > 1 ? dried.at(-2)! : wet;
  const pct = ((wet - dry) / (wet - dishG)) * 100;
  return {
    ok: true,
    moisturePct: pct,
    still: before - dry > STILL * (dry - dishG),
    steps: [
      { says: say('mix.sampleWet', { wet, dishG }), text: `${round(wet - dishG)} g` },
      { says: say('mix.waterThatLeft', { wet, dry }), text: `${round(wet - dry)} g` },
      {
        says: say('mix.of', { wet: round(wet - dry), wet2: round(wet - dishG) }),
        text: `${round(pct)} ${say('mix.moisture')}`,
      },
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
