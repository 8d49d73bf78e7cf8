import type { Instant } from '../quantity/instant';
import { orderFlows, type FlowMoment } from './order';
import type { Flow } from './site-file';

/** Follows the matter of a site, event by event, through lots that mix and empty (contract, section 2). */

/** Volumes nearer to nothing than this are nothing, L. */
const NOUGHT_L = 1e-6;
const isNought = (litres: number): boolean => Math.abs(litres) < NOUGHT_L;

/** A lot as it is at a moment, with what is marked in it. */
export type LotState<M> = {
  /** Null: not known. */ readonly litres: number | null;
  /** At its start, emptied, or measured as empty: its volume is known to be 0. */ readonly empty: boolean;
  readonly marks: M;
};
/** What a flow carries. */
export type CarriedMatter<M> = { readonly litres: number | null; readonly marks: M };

export type FlowNote =
  | { readonly code: 'OVERDRAWN'; readonly flow: string }
  | { readonly code: 'FROM_NOWHERE'; readonly lot: string };

/** What is marked in matter, and how marks behave when matter is brought in, mixed and proven. */
export type Marking<M> = {
  /** Of a lot with nothing in it. */ readonly none: M;
  /** Of matter of which nothing is known. @param from the lot it was drawn from; null: it came from nowhere */
  unknown(from: string | null): M;
  /** Of matter brought in from outside. */ bring(flow: Flow): M;
  /** Of two parts mixed by volume; with an amount that is null as widely as they may be. */
  mix(a: M, aLitres: number | null, b: M, bLitres: number | null): M;
  /** After a rule on pathogens was met. */ prove(marks: M): M;
  /** After an event that changed a lot which is not empty. @param step the event's number */
  settle(lot: string, marks: M, step: number, at: Instant): M;
};

/** A share of a mix, as it is by volume, or as wide as it may be where an amount is not known. */
export function mixShares(
  a: readonly [lo: number, hi: number],
  aLitres: number | null,
  b: readonly [lo: number, hi: number],
  bLitres: number | null,
): readonly [lo: number, hi: number] {
  if (aLitres === null || bLitres === null || aLitres + bLitres <= 0)
    return [Math.min(a[0], b[0]), Math.max(a[1], b[1])];
  const part = (x: number, y: number): number => (aLitres * x + bLitres * y) / (aLitres + bLitres);
  return [part(a[0], b[0]), part(a[1], b[1])];
}

export class Follower<M> {
  readonly states = new Map<string, LotState<M>>();
  readonly carried = new Map<string, CarriedMatter<M>>();
  readonly notes: FlowNote[] = [];
  /** The last state of each lot that held something. */ readonly lastFull = new Map<
    string,
    LotState<M>
  >();
  /** What shrank away, was not carried off with the rest, or was more than thought: L that a lot is short of, by what was in it. */
  readonly losses: { readonly lot: string; readonly litres: number | null; readonly marks: M }[] =
    [];
  private readonly nothing: LotState<M>;
  private step = 0;

  /** @param keeps of which flows it is remembered what they carried */
  constructor(
    private readonly marking: Marking<M>,
    private readonly keeps: (flow: string) => boolean = () => true,
  ) {
    this.nothing = { litres: 0, empty: true, marks: marking.none };
  }

  of(lot: string): LotState<M> {
    return this.states.get(lot) ?? this.nothing;
  }

  set(lot: string, state: LotState<M>): void {
    this.states.set(lot, state);
    if (!state.empty) this.lastFull.set(lot, state);
  }

  private endEvent(changed: readonly (string | null)[], at: Instant): void {
    for (const lot of changed) {
      if (lot === null) continue;
      const state = this.of(lot);
      if (state.empty) continue;
      const marks = this.marking.settle(lot, state.marks, this.step, at);
      if (marks !== state.marks) this.set(lot, { ...state, marks });
    }
    this.step += 1;
  }

  takeMoment({ at, proofs, flows, levels }: FlowMoment): void {
    for (const { lot } of proofs) {
      const state = this.of(lot);
      this.set(lot, { ...state, marks: this.marking.prove(state.marks) });
      this.endEvent([lot], at);
    }
    const before = new Map(flows.map((f) => [f.from, f.from !== null && this.of(f.from).empty]));
    for (const flow of orderFlows(flows, (lot) => before.get(lot) ?? this.of(lot).empty)) {
      const carried = flow.from === null ? this.bring(flow) : this.draw(flow, flow.from);
      if (this.keeps(flow.id)) this.carried.set(flow.id, carried);
      if (flow.to !== null) this.pour(flow.to, carried);
      this.endEvent([flow.from, flow.to], at);
    }
    for (const { lot, litres } of levels) {
      this.level(lot, isNought(litres) ? 0 : litres);
      this.endEvent([lot], at);
    }
  }

  private bring(flow: Flow): CarriedMatter<M> {
    return { litres: flow.litres, marks: this.marking.bring(flow) };
  }

  private draw(flow: Flow, from: string): CarriedMatter<M> {
    const lot = this.of(from);
    if (lot.empty) return this.drawFromEmpty(flow, from);
    const { marks } = lot;
    if (flow.all) {
      this.set(from, this.nothing);
      if (flow.litres !== null) this.lose(from, lot, flow.litres);
      return { litres: flow.litres ?? lot.litres, marks };
    }
    const rest = lot.litres === null || flow.litres === null ? null : lot.litres - flow.litres;
    if (rest !== null && rest < 0 && !isNought(rest)) {
      this.notes.push({ code: 'OVERDRAWN', flow: flow.id });
      this.set(from, { ...lot, litres: null });
    } else this.set(from, { ...lot, litres: rest !== null && isNought(rest) ? 0 : rest });
    return { litres: flow.litres, marks };
  }

  private lose(lot: string, { litres, marks }: LotState<M>, left: number): void {
    this.losses.push({ lot, litres: litres === null ? null : litres - left, marks });
  }

  /** More than there is: where it came from is not known, nor what it is. */
  private drawFromEmpty(flow: Flow, from: string): CarriedMatter<M> {
    if (flow.litres !== null && isNought(flow.litres))
      return { litres: 0, marks: this.marking.none };
    this.notes.push({ code: 'OVERDRAWN', flow: flow.id });
    const marks = this.marking.unknown(from);
    if (!flow.all) this.set(from, { litres: null, empty: false, marks });
    return { litres: flow.litres, marks };
  }

  private pour(to: string, { litres, marks }: CarriedMatter<M>): void {
    if (litres !== null && isNought(litres)) return;
    const lot = this.of(to);
    if (lot.empty) {
      this.set(to, { litres, empty: false, marks });
      return;
    }
    this.set(to, {
      litres: lot.litres === null || litres === null ? null : lot.litres + litres,
      empty: false,
      marks: this.marking.mix(lot.marks, lot.litres, marks, litres),
    });
  }

  private level(lot: string, litres: number): void {
    const state = this.of(lot);
    if (!state.empty) this.lose(lot, state, litres);
    if (litres === 0) this.set(lot, this.nothing);
    else if (state.empty) {
      this.notes.push({ code: 'FROM_NOWHERE', lot });
      this.set(lot, { litres, empty: false, marks: this.marking.unknown(null) });
    } else this.set(lot, { ...state, litres });
  }
}

/** Takes moments in their order. @param until those after it are left out; null: none */
export function followMoments<M>(
  follower: Follower<M>,
  moments: readonly FlowMoment[],
  until: Instant | null,
): Follower<M> {
  for (const moment of moments) {
    if (until !== null && moment.at > until) break;
    follower.takeMoment(moment);
  }
  return follower;
}
