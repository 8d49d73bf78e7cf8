import type { Instant } from '../quantity/instant';
import type { BatchEvent } from './types';

/** Time from one moment up to, but not including, another. */
export type TimeSpan = { readonly from: Instant; readonly to: Instant };

/** Spans in which the batch was logged as dry; of several states at one moment a dry one holds. By time, apart from each other. */
export function drySpans(events: readonly BatchEvent[], asOf: Instant): TimeSpan[] {
  const states = events
    .filter((e) => e.type === 'moisture' && e.at <= asOf)
    .map((e) => ({ at: e.at, dry: e.type === 'moisture' && e.state === 'dry' }))
    .sort((a, b) => a.at - b.at || Number(a.dry) - Number(b.dry));
  const spans = states.flatMap(({ at, dry }, i) =>
    dry ? [{ from: at, to: states[i + 1]?.at ?? Infinity }] : [],
  );
  return spans.filter((span) => span.to > span.from);
}

/** What a moist rule asks of the moisture that was logged (contract, section 4, Moist rules). */
export type Moisture = {
  /** Whether any state was logged at all; without one, credit stands. */
  readonly known: boolean;
  readonly dry: readonly TimeSpan[];
  isDryAt(t: Instant): boolean;
  /** Dry time within (from, to), in ms. */
  dryMs(from: Instant, to: Instant): number;
};

/** The moisture of a batch as of a moment, whatever segment it was logged in. */
export function moistureOf(events: readonly BatchEvent[], asOf: Instant): Moisture {
  const dry = drySpans(events, asOf);
  return {
    known: events.some((e) => e.type === 'moisture' && e.at <= asOf),
    dry,
    isDryAt: (t) => dry.some((span) => span.from <= t && t < span.to),
    dryMs: (from, to) =>
      dry.reduce(
        (sum, span) => sum + Math.max(0, Math.min(span.to, to) - Math.max(span.from, from)),
        0,
      ),
  };
}
