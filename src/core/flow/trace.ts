import type { Instant } from '../quantity/instant';
import { Follower, followMoments, mixShares, type CarriedMatter, type Marking } from './follow';
import { listMoments } from './order';
import type { Flow, FlowSite, LotKind } from './site-file';

/** How much of a lot is tagged matter, and how much of that was never heated, as intervals of shares (contract, sections 2 and 3). */

export type Interval = readonly [lo: number, hi: number];
const NONE: Interval = [0, 0];
const WHOLE: Interval = [1, 1];
const ANY: Interval = [0, 1];

/** Of matter: the share that is tagged, and the share that is tagged and was never heated. */
type Shares = { readonly any: Interval; readonly raw: Interval };
const NO_SHARES: Shares = { any: NONE, raw: NONE };

type TraceNote =
  Follower<Shares>['notes'][number] | { readonly code: 'EMPTY'; readonly lot: string };

/** What is tagged. */
type Tags = {
  /** Flows from nothing. */ readonly inflow: (flow: Flow) => boolean;
  /** Lots that are tagged whole, whatever is ever in them. */ readonly lots: ReadonlySet<string>;
  /** Null: whatever is ever in them; else only what is in them at this moment. */
  readonly at: Instant | null;
};

/** `raw` of each lot that an event changed, by the event's number; every inflow was tagged. */
type UnheatedAfter = readonly ReadonlyMap<string, Interval>[];

/** Shares of what is tagged. @param unheated how much of each lot was never heated, event by event */
const markTagged = (tags: Tags, unheated: UnheatedAfter): Marking<Shares> => ({
  none: NO_SHARES,
  unknown: (from) => ({
    any: from !== null && tags.lots.has(from) && tags.at === null ? WHOLE : ANY,
    raw: ANY,
  }),
  bring: (flow) => {
    const any = tags.inflow(flow) ? WHOLE : NONE;
    return { any, raw: flow.clean ? NONE : any };
  },
  mix: (a, aLitres, b, bLitres) => ({
    any: mixShares(a.any, aLitres, b.any, bLitres),
    raw: mixShares(a.raw, aLitres, b.raw, bLitres),
  }),
  prove: ({ any }) => ({ any, raw: NONE }),
  settle: (lot, marks, step, at) => {
    const isTagging = tags.at === null || tags.at === at;
    if (!isTagging || !tags.lots.has(lot)) return marks;
    return { any: WHOLE, raw: unheated[step]?.get(lot) ?? marks.raw };
  },
});

/** With every inflow tagged. */
function followAll(site: FlowSite, until: Instant | null) {
  const after: Map<string, Interval>[] = [];
  const tags: Tags = { inflow: () => true, lots: new Set(), at: null };
  const marking: Marking<Shares> = {
    ...markTagged(tags, []),
    settle: (lot, marks, step) => {
      const changed = after[step] ?? new Map<string, Interval>();
      after[step] = changed.set(lot, marks.raw);
      return marks;
    },
  };
  const run = followMoments(new Follower(marking), listMoments(site), until);
  return { run, after };
}

/** Whatever is ever in these lots, or what is in them at a moment. */
export function followTagged(site: FlowSite, lots: readonly string[], at: Instant | null) {
  const all = followAll(site, null);
  const tags: Tags = { inflow: () => false, lots: new Set(lots), at };
  const marking = markTagged(tags, all.after);
  const run = new Follower(marking);
  const moments = listMoments(site);
  if (at === null) return followMoments(run, moments, null);
  // Before the first event of the moment of tagging everything starts anew, the tagged lots whole.
  const earlier = moments.filter((m) => m.at < at);
  const before = followAll(site, at - 1).run;
  followMoments(run, earlier, null);
  for (const [lot, state] of run.states) {
    const isTagged = tags.lots.has(lot) && !state.empty;
    const marks = isTagged ? { any: WHOLE, raw: before.of(lot).marks.raw } : NO_SHARES;
    run.set(lot, { ...state, marks });
  }
  return followMoments(run, moments.slice(earlier.length), null);
}

const shown = ({ any, raw }: Shares): boolean => any[1] > 0 || raw[1] > 0;

/** A part of matter: how much, what share of it is tagged, and what was never heated. */
export type Traced = { readonly litres: number | null } & Shares;
/** A part of matter with its shares beside its amount. */
export const tracedOf = ({ litres, marks }: CarriedMatter<Shares>): Traced => ({
  litres,
  ...marks,
});
type TracedLot = { readonly lot: string } & Traced;
type TracedOut = { readonly flow: string; readonly at: Instant } & Traced & {
    /** Tagged litres; null: its litres are not known. */ readonly tagged: Interval | null;
  };
type Source = { readonly lot: string; readonly share: Interval };
export type Trace = {
  readonly lots: readonly TracedLot[];
  readonly out: readonly TracedOut[];
  readonly sources: readonly Source[];
  readonly notes: readonly TraceNote[];
};
const sortedLots = (site: Pick<FlowSite, 'lots'>): string[] => site.lots.map((l) => l.id).sort();

const lotsOf = (site: FlowSite, run: Follower<Shares>, all: boolean): TracedLot[] =>
  sortedLots(site).flatMap((lot) => {
    const traced = tracedOf(run.of(lot));
    return all || shown(traced) ? [{ lot, ...traced }] : [];
  });

/** How much of each lot was never heated. @param at events after it are left out; null: none */
export function traceUnheated(site: FlowSite, at: Instant | null): Trace {
  const { run } = followAll(site, at);
  return { lots: lotsOf(site, run, true), out: [], sources: [], notes: run.notes };
}

/** What each flow carried, with every inflow tagged: by its id. */
export function traceCarried(site: FlowSite, at: Instant | null): ReadonlyMap<string, Traced> {
  const { carried } = followAll(site, at).run;
  return new Map([...carried].map(([flow, c]) => [flow, tracedOf(c)]));
}

/** Where lots went. @param at null: whatever is ever in them; else what is in them then */
export function traceFrom(site: FlowSite, lots: readonly string[], at: Instant | null): Trace {
  const run = followTagged(site, lots, at);
  const out = site.flows
    .filter((f) => f.to === null && f.from !== null)
    .flatMap((f): TracedOut[] => {
      const carried = run.carried.get(f.id);
      // What went out before the moment of tagging was not in the lot then.
      if (!carried || !shown(carried.marks) || (at !== null && f.at < at)) return [];
      const { litres, marks } = carried;
      const tagged: Interval | null =
        litres === null ? null : [marks.any[0] * litres, marks.any[1] * litres];
      return [{ flow: f.id, at: f.at, ...tracedOf(carried), tagged }];
    })
    .sort((a, b) => a.at - b.at || (a.flow < b.flow ? -1 : 1));
  return { lots: lotsOf(site, run, false), out, sources: [], notes: run.notes };
}

const SOURCE_KINDS: readonly LotKind[] = ['load', 'batch'];

/** Shares of several sources side by side: lo and hi of the first, lo and hi of the second, and so on. */
type SourceShares = Float64Array;
/** So many sources are carried at once: a lot's shares of them fill four kilobytes. */
const SOURCES_AT_ONCE = 256;

function mixSources(
  a: SourceShares,
  aLitres: number | null,
  b: SourceShares,
  bLitres: number | null,
): SourceShares {
  const mixed = new Float64Array(a.length);
  const isKnown = aLitres !== null && bLitres !== null && aLitres + bLitres > 0;
  for (let i = 0; i < mixed.length; i += 1) {
    const [x, y] = [a[i] ?? 0, b[i] ?? 0];
    if (isKnown) mixed[i] = (aLitres * x + bLitres * y) / (aLitres + bLitres);
    else mixed[i] = i % 2 === 0 ? Math.min(x, y) : Math.max(x, y);
  }
  return mixed;
}

/**
 * Tags several sources, each as if it were tagged alone: loads and batches whole, of any other lot what came into it from outside.
 * Volumes do not depend on what is tagged, so their shares can be carried side by side.
 * @param sources the place of each in the shares
 */
function markSources(
  sources: ReadonlyMap<string, number>,
  isWhole: (lot: string) => boolean,
): Marking<SourceShares> {
  const none = new Float64Array(sources.size * 2);
  const withWhole = (source: string, marks: SourceShares): SourceShares => {
    const place = sources.get(source);
    if (place === undefined || marks[place * 2] === 1) return marks;
    const tagged = marks.slice();
    tagged.fill(1, place * 2, place * 2 + 2);
    return tagged;
  };
  const unknown = none.map((_, i) => i % 2);
  return {
    none,
    unknown: (from) => (from !== null && isWhole(from) ? withWhole(from, unknown) : unknown),
    bring: ({ to }) => (to !== null && !isWhole(to) ? withWhole(to, none) : none),
    mix: mixSources,
    prove: (marks) => marks,
    settle: (lot, marks) => (isWhole(lot) ? withWhole(lot, marks) : marks),
  };
}

/** Lots from which something may have come into a lot, itself included. */
function reaches(site: FlowSite, lot: string): ReadonlySet<string> {
  const into = new Map<string, string[]>();
  for (const { from, to } of site.flows) {
    if (from === null || to === null) continue;
    const froms = into.get(to);
    if (froms) froms.push(from);
    else into.set(to, [from]);
  }
  const found = new Set([lot]);
  for (const at of found) for (const from of into.get(at) ?? []) found.add(from);
  return found;
}

/** What may have gone into a lot, and the sources among it, sorted. */
function siteBehind(site: FlowSite, lot: string) {
  const behind = reaches(site, lot);
  const isBehind = (end: string | null): boolean => end !== null && behind.has(end);
  const lots = site.lots.filter((l) => behind.has(l.id));
  const filled = new Set(site.flows.flatMap((f) => (f.from === null && f.to ? [f.to] : [])));
  const whole = new Set(lots.filter((l) => SOURCE_KINDS.includes(l.kind)).map((l) => l.id));
  return {
    part: {
      lots,
      flows: site.flows.filter((f) => isBehind(f.from) || isBehind(f.to)),
      levels: site.levels.filter((l) => behind.has(l.lot)),
      proofs: [],
    } satisfies FlowSite,
    sources: sortedLots({ lots }).filter((id) => whole.has(id) || filled.has(id)),
    isWhole: (id: string): boolean => whole.has(id),
  };
}

/** What went out of a site, with the share of it that passed through a lot. */
type SharedOut = {
  readonly flow: string;
  readonly litres: number | null;
  readonly share: Interval;
};
/** Of each of several lots, what of it left the site: as if each were tagged alone, but followed together. */
export function traceOutsOf(
  site: FlowSite,
  lots: readonly string[],
): ReadonlyMap<string, readonly SharedOut[]> {
  const found = new Map<string, SharedOut[]>(lots.map((l) => [l, []]));
  const isOut = new Set(site.flows.flatMap((f) => (f.to === null && f.from !== null ? f.id : [])));
  const moments = listMoments(site);
  const asked = new Set(lots);
  for (let first = 0; first < lots.length; first += SOURCES_AT_ONCE) {
    const block = lots.slice(first, first + SOURCES_AT_ONCE);
    const marking = markSources(new Map(block.map((id, i) => [id, i])), (l) => asked.has(l));
    const run = followMoments(new Follower(marking, (id) => isOut.has(id)), moments, null);
    for (const [flow, { litres, marks }] of run.carried)
      block.forEach((lot, i) => {
        const share: Interval = [marks[i * 2] ?? 0, marks[i * 2 + 1] ?? 0];
        if (share[1] > 0) found.get(lot)?.push({ flow, litres, share });
      });
  }
  return found;
}

/** Where a lot, or what a flow carried, came from. @param at events after it are left out; null: none */
export function traceOf(site: FlowSite, asked: string, at: Instant | null): Trace {
  const flow = site.flows.find((f) => f.id === asked);
  const all = followAll(site, at).run;
  const isEmpty = !flow && all.of(asked).empty;
  const notes = isEmpty ? [...all.notes, { code: 'EMPTY' as const, lot: asked }] : all.notes;
  const lot = flow ? (flow.from ?? flow.to) : asked;
  if (lot === null) return { lots: [], out: [], sources: [], notes };
  const { part, sources, isWhole } = siteBehind(site, lot);
  const found: Source[] = [];
  for (let first = 0; first < sources.length; first += SOURCES_AT_ONCE) {
    const block = sources.slice(first, first + SOURCES_AT_ONCE);
    const marking = markSources(new Map(block.map((id, i) => [id, i])), isWhole);
    const run = new Follower(marking, (id) => id === flow?.id);
    followMoments(run, listMoments(part), at);
    const marks = flow
      ? run.carried.get(flow.id)?.marks
      : (isEmpty ? run.lastFull.get(asked) : run.of(asked))?.marks;
    block.forEach((id, i) => {
      const share: Interval = [marks?.[i * 2] ?? 0, marks?.[i * 2 + 1] ?? 0];
      if (share[1] > 0) found.push({ lot: id, share });
    });
  }
  return { lots: [], out: [], sources: found, notes };
}
