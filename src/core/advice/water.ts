import type { Squeeze } from '../words/feel';
import type { MethodTemplate } from '../log/shapes';
import { SQUEEZE_PCT } from '../mix/measured';
import { waterToAdd } from '../mix/mix';
import { DRY_KG_M3 } from '../heap/size';
import { MS, type Instant } from '../quantity/instant';

/** How much water a heap lacks, as litres, hose minutes and buckets, and what it does to its heat. */

/** Specific heat of a moist mix, kJ/(kg·K): water 4.18, dry matter about 1.3, by their shares (mixing rule; the dry figure from memory). */
const heatCapacity = (pct: number): number => (4.18 * pct + 1.3 * (100 - pct)) / 100;

/** How far cold water lowers the mean of a heap that it is mixed into, K: the heat that warms the water comes from the heap. */
export function coolsBy(
  litres: number,
  waterC: number,
  massKg: number,
  heapC: number,
  pct: number,
): number {
  const [water, heap] = [litres * 4.18, massKg * heatCapacity(pct)];
  return heapC - (water * waterC + heap * heapC) / (water + heap);
}

export type WaterSituation = {
  readonly now: Instant;
  readonly template: MethodTemplate;
  readonly volumeM3: number | null;
  /** Latest squeeze or measured moisture that still speaks of the heap as it is. */
  readonly moisture:
    | { readonly at: Instant; readonly by: 'squeeze'; readonly squeeze: Squeeze }
    | { readonly at: Instant; readonly by: 'measured'; readonly pct: number }
    | null;
  /** Water put in since then, L. */
  readonly wateredSinceL: number;
  readonly coreC: number | null;
  readonly airC: number | null;
  readonly flowLPerMin: number;
  readonly bucketL: number;
};

export type PercentRange = { readonly low: number; readonly high: number };
export type WaterAdvice =
  | { readonly code: 'NOT_FELT' }
  | { readonly code: 'FELT_LONG_AGO'; readonly felt: Instant }
  | { readonly code: 'MOIST_ENOUGH'; readonly at: Instant; readonly pct: PercentRange }
  | {
      readonly code: 'TOO_WET';
      readonly at: Instant;
      readonly pct: PercentRange;
      readonly looseL: PercentRange | null;
    }
  | { readonly code: 'NO_SIZE'; readonly at: Instant; readonly pct: PercentRange }
  | {
      readonly code: 'WATER';
      readonly at: Instant;
      readonly pct: PercentRange;
      readonly targetPct: number;
      readonly litres: PercentRange;
      /** What is given in one go, L, and as hose minutes and buckets. */
      readonly now: { readonly litres: number; readonly minutes: number; readonly buckets: number };
      /** How far that lowers the heap's mean, K; null: its heat is not known. */
      readonly coolsK: number | null;
      readonly waterC: number;
      readonly hints: readonly WaterHint[];
    };
/** Only while it is turned: frost. Slowly, half at first: old straw sheds it. In the cool of the day: heat. In two goes: much. */
export type WaterHint = 'FROST' | 'HEAT' | 'SHEDS' | 'TWO_GOES';

/** Water out of a pipe or butt is about as cold as the ground, within these, °C (common practice). */
const waterTemperature = (airC: number | null): number => Math.min(18, Math.max(5, airC ?? 10));
/** A hot heap dries by the day: what was felt longer ago says nothing of its water now (common practice). */
export const FELT_LASTS_MS = 4 * MS.day;
/** More than this much of its mass at once runs through instead of soaking in (common practice). */
const MAX_AT_ONCE = 0.12;

/** What to do about water. The heap's mass is that of its dry matter with the water it has; the span of the litres is the span of what is known. */
export function waterAdvice(s: WaterSituation): WaterAdvice {
  const {
    moisture,
    volumeM3,
    template: { moisture: aim },
  } = s;
  if (!moisture) return { code: 'NOT_FELT' };
  if (s.now - moisture.at > FELT_LASTS_MS) return { code: 'FELT_LONG_AGO', felt: moisture.at };
  const felt =
    moisture.by === 'squeeze'
      ? SQUEEZE_PCT[moisture.squeeze]
      : { lowPct: moisture.pct - 2, highPct: moisture.pct + 2 };
  const massAt = (dry: keyof typeof DRY_KG_M3, pct: number): number =>
    ((volumeM3 ?? 0) * DRY_KG_M3[dry] * 100) / (100 - pct);
  // What went in since lifts it: (M·m + 100·w) / (m + w).
  const lifted = (pct: number): number => {
    const mass = massAt('usual', pct);
    return volumeM3 === null
      ? pct
      : (pct * mass + 100 * s.wateredSinceL) / (mass + s.wateredSinceL);
  };
  const pct = { low: lifted(felt.lowPct), high: lifted(felt.highPct) };
  const mid = (pct.low + pct.high) / 2;
  if (mid > aim.highPct)
    return {
      code: 'TOO_WET',
      at: moisture.at,
      pct,
      looseL:
        volumeM3 === null
          ? null
          : {
              low: Math.max(0, -waterToAdd(massAt('low', pct.low), pct.low, aim.highPct)),
              high: -waterToAdd(massAt('high', pct.high), pct.high, aim.highPct),
            },
    };
  if (mid >= aim.lowPct) return { code: 'MOIST_ENOUGH', at: moisture.at, pct };
  if (volumeM3 === null) return { code: 'NO_SIZE', at: moisture.at, pct };
  const litres = {
    low: Math.max(0, waterToAdd(massAt('low', pct.high), pct.high, aim.targetPct)),
    high: waterToAdd(massAt('high', pct.low), pct.low, aim.targetPct),
  };
  const mass = massAt('usual', mid);
  const lacking = waterToAdd(mass, mid, aim.targetPct);
  const most = mass * MAX_AT_ONCE;
  const now = Math.min(lacking, most);
  const waterC = waterTemperature(s.airC);
  const hints: WaterHint[] = [
    ...(s.airC !== null && s.airC < 2 ? (['FROST'] as const) : []),
    ...(s.airC !== null && s.airC > 25 ? (['HEAT'] as const) : []),
    ...(moisture.by === 'squeeze' && moisture.squeeze === 'crumbles' ? (['SHEDS'] as const) : []),
    ...(lacking > most ? (['TWO_GOES'] as const) : []),
  ];
  return {
    code: 'WATER',
    at: moisture.at,
    pct,
    targetPct: aim.targetPct,
    litres,
    now: { litres: now, minutes: now / s.flowLPerMin, buckets: now / s.bucketL },
    coolsK: s.coreC === null ? null : coolsBy(now, waterC, mass, s.coreC, mid),
    waterC,
    hints,
  };
}
