import type { HeapFacts } from '../advice/situation';
import { systemOfSite, type SiteHead } from '../formats/batch-file-of';
import { leastHotVolume } from '../heap/size';
import { usualTemplate } from '../advice/templates';
import type { SiteState } from '../log/fold';
import type { MethodTemplate } from '../log/shapes';
import { MS, type Instant } from '../quantity/instant';
import { toCelsius } from '../units/units';

/** What every batch of a site shares, and a snapshot takes in when it is read: the air, the crew, the site's methods. */
export type SiteConditions = {
  /** By time, °C. */ readonly air: readonly { readonly at: Instant; readonly c: number }[];
  readonly work: SiteState['work'];
  readonly templates: SiteState['templates'];
  /** Below this a pile rarely stays hot here, m³. */ readonly leastHotM3: number;
};

/** What the site gives its batches, as its own entries tell it; air in °C, by time. */
export const siteConditionsOf = (
  { ambient, work, templates }: Pick<SiteState, 'ambient' | 'work' | 'templates'>,
  site: Pick<SiteHead, 'unit' | 'units'>,
): SiteConditions => ({
  air: ambient
    .map((a) => ({ at: a.at, c: toCelsius(a.value, a.unit) }))
    .sort((a, b) => a.at - b.at),
  work,
  templates,
  leastHotM3: leastHotVolume(work?.leastM3, systemOfSite(site)),
});

/** How many air readings there are up to a moment. */
function countUntil(air: SiteConditions['air'], at: Instant): number {
  let [low, high] = [0, air.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((air[middle]?.at ?? Infinity) <= at) low = middle + 1;
    else high = middle;
  }
  return low;
}

const AIR_DAYS_MS = 3 * MS.day;
/** Mean of the air read on the last day before a moment, °C; null: none in three days. */
export function airOf(air: SiteConditions['air'], now: Instant): number | null {
  const until = countUntil(air, now);
  const last = air[until - 1];
  if (!last || last.at <= now - AIR_DAYS_MS) return null;
  const from = Math.max(countUntil(air, last.at - MS.day), countUntil(air, now - AIR_DAYS_MS));
  const day = air.slice(from, until);
  return day.reduce((sum, a) => sum + a.c, 0) / day.length;
}

/** An air reading so far from a temperature check is not the air of that check. */
const AIR_WITH_CHECK_MS = 3 * MS.hour;
/** The air as it was read nearest to a temperature check, °C; null: nobody read it within three hours. */
export function airAt(air: SiteConditions['air'], at: Instant): number | null {
  const after = countUntil(air, at);
  const near = air
    .slice(Math.max(0, after - 1), after + 1)
    .map(({ at: read, c }) => ({ apart: Math.abs(read - at), c }))
    .filter(({ apart }) => apart <= AIR_WITH_CHECK_MS);
  return near.toSorted((a, b) => a.apart - b.apart)[0]?.c ?? null;
}

/** What comes out of a garden hose, L a minute, and goes into a bucket, L, until the site says otherwise (common practice). */
export const USUAL_FLOW = 15;
export const USUAL_BUCKET = 10;

/** The part of a heap's facts that is the site's. @param own the heap's own method template, where one was chosen */
export function siteFactsOf(
  { kept, lastRead }: Pick<HeapFacts, 'kept' | 'lastRead'>,
  own: MethodTemplate | null,
  { air, work, templates, leastHotM3 }: SiteConditions,
  now: Instant,
): Pick<
  HeapFacts,
  'template' | 'limits' | 'airC' | 'lastRead' | 'flowLPerMin' | 'bucketL' | 'leastHotM3'
> {
  const usual = usualTemplate(kept);
  const template = own ?? templates.get(usual.id) ?? usual;
  return {
    template,
    limits: work?.limits ?? template.limits,
    airC: airOf(air, now),
    lastRead: lastRead && { ...lastRead, airC: airAt(air, lastRead.at) },
    flowLPerMin: work?.flowLPerMin ?? USUAL_FLOW,
    bucketL: work?.bucketL ?? USUAL_BUCKET,
    leastHotM3,
  };
}
