import type { Instant } from '../quantity/instant';
import { listMoments, orderFlows, type FlowMoment } from './order';
import type { Flow, FlowSite, LotKind } from './site-file';

/** How much of a lot is tagged matter, and how much of that was never heated, as intervals of shares (contract, sections 2 and 3). */

export type Interval = readonly [lo: number, hi: number];
const NONE: Interval = [0, 0];
const WHOLE: Interval = [1, 1];
const ANY: Interval = [0, 1];
/** Volumes nearer to nothing than this are nothing, L. */
const NOUGHT_L = 1e-6;
const isNought = (litres: number): boolean => Math.abs(litres) < NOUGHT_L;

/** A lot as it is at a moment. */
type LotState = {
  /** Null: not known. */ readonly litres: number | null;
  /** At its start, emptied, or measured as empty: its volume is known to be 0. */ readonly empty: boolean;
  readonly any: Interval;
  readonly raw: Interval;
};
const EMPTY: LotState = { litres: 0, empty: true, any: NONE, raw: NONE };

/** What a flow carries. */
type Carried = {
  readonly litres: number | null;
  readonly any: Interval;
  readonly raw: Interval;
};
type TraceNote =
  | { readonly code: 'OVERDRAWN'; readonly flow: string }
  | { readonly code: 'FROM_NOWHERE'; readonly lot: string }
  | { readonly code: 'EMPTY'; readonly lot: string };

/** What is tagged. */
type Tags = {
  /** Flows from nothing. */ readonly inflow: (flow: Flow) => boolean;
  /** Lots that are tagged whole, whatever is ever in them. */ readonly lots: ReadonlySet<string>;
  /** Null: whatever is ever in them; else only what is in them at this moment. */
  readonly at: Instant | null;
};
const NO_LOTS: ReadonlySet<string> = new Set();

type Run = {
  readonly states: ReadonlyMap<string, LotState>;
  readonly carried: ReadonlyMap<string, Carried>;
  readonly notes: readonly TraceNote[];
  /** The last state of each lot that held something. */ readonly lastFull: ReadonlyMap<
    string,
    LotState
  >;
  /** `raw` of every lot that changed, event by event. */ readonly rawAfter: readonly ReadonlyMap<
    string,
    Interval
  >[];
};

/** Mixes two parts, by volume where both are known; else as widely as they may be. */
function mixed(a: Interval, aLitres: number | null, b: Interval, bLitres: number | null): Interval {
  if (aLitres === null || bLitres === null || aLitres + bLitres <= 0)
    return [Math.min(a[0], b[0]), Math.max(a[1], b[1])];
  const part = (x: number, y: number): number => (aLitres * x + bLitres * y) / (aLitres + bLitres);
  return [part(a[0], b[0]), part(a[1], b[1])];
}

/** Follows the matter of a site event by event. */
class Follower {
  readonly states = new Map<string, LotState>();
  readonly carried = new Map<string, Carried>();
  readonly notes: TraceNote[] = [];
  readonly lastFull = new Map<string, LotState>();
  readonly rawAfter: ReadonlyMap<string, Interval>[] = [];
  private step = 0;

  constructor(
    private readonly tags: Tags,
    /** `raw` of the tagged lots with every inflow tagged, event by event. */
    private readonly unheated: readonly ReadonlyMap<string, Interval>[] | null,
  ) {}

  of(lot: string): LotState {
    return this.states.get(lot) ?? EMPTY;
  }

  private set(lot: string, state: LotState): void {
    const before = this.of(lot);
    if (!before.empty) this.lastFull.set(lot, before);
    this.states.set(lot, state);
    if (!state.empty) this.lastFull.set(lot, state);
  }

  /** Ends an event: what is in a tagged lot is tagged, with the share of it that was never heated. */
  private endEvent(changed: readonly (string | null)[], at: Instant): void {
    const isTagging = this.tags.at === null || this.tags.at === at;
    for (const lot of changed)
      if (lot !== null && isTagging && this.tags.lots.has(lot)) this.tagWhole(lot, this.step);
    this.rawAfter.push(
      new Map(changed.flatMap((lot) => (lot === null ? [] : [[lot, this.of(lot).raw]]))),
    );
    this.step += 1;
  }

  private tagWhole(lot: string, step: number): void {
    const state = this.of(lot);
    if (state.empty) return;
    const raw = this.unheated?.[step]?.get(lot) ?? state.raw;
    this.set(lot, { ...state, any: WHOLE, raw });
  }

  /** Before the first event of the moment of tagging: everything starts anew, the tagged lots whole. */
  beginTagging(rawOf: (lot: string) => Interval): void {
    for (const [lot, state] of this.states) {
      const isTagged = this.tags.lots.has(lot) && !state.empty;
      this.states.set(lot, {
        ...state,
        any: isTagged ? WHOLE : NONE,
        raw: isTagged ? rawOf(lot) : NONE,
      });
    }
  }

  moment({ at, proofs, flows, levels }: FlowMoment): void {
    for (const { lot } of proofs) {
      this.set(lot, { ...this.of(lot), raw: NONE });
      this.endEvent([lot], at);
    }
    const before = new Map(flows.map((f) => [f.from, f.from !== null && this.of(f.from).empty]));
    for (const flow of orderFlows(flows, (lot) => before.get(lot) ?? this.of(lot).empty)) {
      this.flow(flow);
      this.endEvent([flow.from, flow.to], at);
    }
    for (const { lot, litres } of levels) {
      this.level(lot, isNought(litres) ? 0 : litres);
      this.endEvent([lot], at);
    }
  }

  private flow(flow: Flow): void {
    const carried = flow.from === null ? this.bring(flow) : this.draw(flow, flow.from);
    this.carried.set(flow.id, carried);
    if (flow.to !== null) this.pour(flow.to, carried);
  }

  private bring(flow: Flow): Carried {
    const any = this.tags.inflow(flow) ? WHOLE : NONE;
    return { litres: flow.litres, any, raw: flow.clean ? NONE : any };
  }

  private draw(flow: Flow, from: string): Carried {
    const lot = this.of(from);
    if (lot.empty) return this.drawFromEmpty(flow, from);
    const { any, raw } = lot;
    if (flow.all) {
      this.set(from, EMPTY);
      return { litres: flow.litres ?? lot.litres, any, raw };
    }
    const rest = lot.litres === null || flow.litres === null ? null : lot.litres - flow.litres;
    if (rest !== null && rest < 0 && !isNought(rest)) {
      this.notes.push({ code: 'OVERDRAWN', flow: flow.id });
      this.set(from, { ...lot, litres: null });
    } else this.set(from, { ...lot, litres: rest !== null && isNought(rest) ? 0 : rest });
    return { litres: flow.litres, any, raw };
  }

  /** More than there is: where it came from is not known, nor what it is. */
  private drawFromEmpty(flow: Flow, from: string): Carried {
    if (flow.litres !== null && isNought(flow.litres)) return { litres: 0, any: NONE, raw: NONE };
    this.notes.push({ code: 'OVERDRAWN', flow: flow.id });
    const any = this.tags.lots.has(from) && this.tags.at === null ? WHOLE : ANY;
    if (!flow.all) this.set(from, { litres: null, empty: false, any, raw: ANY });
    return { litres: flow.litres, any, raw: ANY };
  }

  private pour(to: string, { litres, any, raw }: Carried): void {
    if (litres !== null && isNought(litres)) return;
    const lot = this.of(to);
    if (lot.empty) {
      this.set(to, { litres, empty: false, any, raw });
      return;
    }
    this.set(to, {
      litres: lot.litres === null || litres === null ? null : lot.litres + litres,
      empty: false,
      any: mixed(lot.any, lot.litres, any, litres),
      raw: mixed(lot.raw, lot.litres, raw, litres),
    });
  }

  private level(lot: string, litres: number): void {
    const state = this.of(lot);
    if (litres === 0) this.set(lot, EMPTY);
    else if (state.empty) {
      this.notes.push({ code: 'FROM_NOWHERE', lot });
      this.set(lot, { litres, empty: false, any: ANY, raw: ANY });
    } else this.set(lot, { ...state, litres });
  }
}

/** Follows a site with some tags. @param until events after it are left out; null: none */
function follow(
  site: FlowSite,
  tags: Tags,
  until: Instant | null,
  unheated: readonly ReadonlyMap<string, Interval>[] | null,
): Run {
  const follower = new Follower(tags, unheated);
  const raws = new Map<string, Interval>();
  let step = 0;
  let isTagging = tags.at === null;
  for (const moment of listMoments(site)) {
    if (until !== null && moment.at > until) break;
    if (!isTagging && tags.at !== null && moment.at >= tags.at) {
      follower.beginTagging((lot) => raws.get(lot) ?? NONE);
      isTagging = true;
    }
    follower.moment(moment);
    for (; step < follower.rawAfter.length; step += 1)
      for (const [lot, raw] of unheated?.[step] ?? []) raws.set(lot, raw);
  }
  if (!isTagging) follower.beginTagging((lot) => raws.get(lot) ?? NONE);
  return follower;
}

const everyInflow: Tags = { inflow: () => true, lots: NO_LOTS, at: null };
const shown = ({ any, raw }: { readonly any: Interval; readonly raw: Interval }): boolean =>
  any[1] > 0 || raw[1] > 0;

type TracedLot = { readonly lot: string } & Carried;
type TracedOut = { readonly flow: string; readonly at: Instant } & Carried & {
    /** Tagged litres; null: its litres are not known. */ readonly tagged: Interval | null;
  };
type Source = { readonly lot: string; readonly share: Interval };
export type Trace = {
  readonly lots: readonly TracedLot[];
  readonly out: readonly TracedOut[];
  readonly sources: readonly Source[];
  readonly notes: readonly TraceNote[];
};
const sortedLots = (site: FlowSite): string[] => site.lots.map((l) => l.id).sort();

function lotsOf(site: FlowSite, run: Run, all: boolean): TracedLot[] {
  return sortedLots(site).flatMap((lot) => {
    const { litres, any, raw } = run.states.get(lot) ?? EMPTY;
    return all || shown({ any, raw }) ? [{ lot, litres, any, raw }] : [];
  });
}

/** How much of each lot was never heated. @param at events after it are left out; null: none */
export function traceUnheated(site: FlowSite, at: Instant | null): Trace {
  const run = follow(site, everyInflow, at, null);
  return { lots: lotsOf(site, run, true), out: [], sources: [], notes: run.notes };
}

/** Where lots went. @param at null: whatever is ever in them; else what is in them then */
export function traceFrom(site: FlowSite, lots: readonly string[], at: Instant | null): Trace {
  const { rawAfter } = follow(site, everyInflow, null, null);
  const run = follow(site, { inflow: () => false, lots: new Set(lots), at }, null, rawAfter);
  const out = site.flows
    .filter((f) => f.to === null && f.from !== null)
    .flatMap((f): TracedOut[] => {
      const carried = run.carried.get(f.id);
      // What went out before the moment of tagging was not in the lot then.
      if (!carried || !shown(carried) || (at !== null && f.at < at)) return [];
      const { litres, any } = carried;
      const tagged: Interval | null = litres === null ? null : [any[0] * litres, any[1] * litres];
      return [{ flow: f.id, at: f.at, ...carried, tagged }];
    })
    .sort((a, b) => a.at - b.at || (a.flow < b.flow ? -1 : 1));
  return { lots: lotsOf(site, run, false), out, sources: [], notes: run.notes };
}

/** Lots from which something may have come into a lot, itself included. */
function reaches(site: FlowSite, lot: string): ReadonlySet<string> {
  const into = new Map<string, string[]>();
  for (const f of site.flows)
    if (f.from !== null && f.to !== null) into.set(f.to, [...(into.get(f.to) ?? []), f.from]);
  const found = new Set([lot]);
  for (const at of found) for (const from of into.get(at) ?? []) found.add(from);
  return found;
}

const SOURCE_KINDS: readonly LotKind[] = ['load', 'batch'];

/** Where a lot, or what a flow carried, came from. @param at events after it are left out; null: none */
export function traceOf(site: FlowSite, asked: string, at: Instant | null): Trace {
  const flow = site.flows.find((f) => f.id === asked);
  const lot = flow ? (flow.from ?? flow.to) : asked;
  const run = follow(site, everyInflow, at, null);
  const notes: TraceNote[] = [...run.notes];
  const isEmpty = !flow && (run.states.get(asked) ?? EMPTY).empty;
  if (isEmpty) notes.push({ code: 'EMPTY', lot: asked });
  const shareIn = ({ states, carried, lastFull }: Run): Interval => {
    if (flow) return carried.get(flow.id)?.any ?? NONE;
    return (isEmpty ? lastFull.get(asked) : states.get(asked))?.any ?? NONE;
  };
  const candidates = lot === null ? new Set<string>() : reaches(site, lot);
  const sources = sortedLots(site).flatMap((id): Source[] => {
    if (!candidates.has(id)) return [];
    const kind = site.lots.find((l) => l.id === id)?.kind;
    const isSource = kind !== undefined && SOURCE_KINDS.includes(kind);
    const tags: Tags = isSource
      ? { inflow: () => false, lots: new Set([id]), at: null }
      : { inflow: (f) => f.to === id, lots: NO_LOTS, at: null };
    if (!isSource && !site.flows.some((f) => f.from === null && f.to === id)) return [];
    const share = shareIn(follow(site, tags, at, run.rawAfter));
    return share[1] > 0 ? [{ lot: id, share }] : [];
  });
  return { lots: [], out: [], sources, notes };
}
