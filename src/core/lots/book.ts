import { followInOrder } from '../flow/order';
import type { Flow, FlowSite, Proof } from '../flow/site-file';
import {
  traceCarried,
  traceFrom,
  traceOf,
  traceUnheated,
  type Interval,
  type Trace,
  type Traced,
} from '../flow/trace';
import { assessTest, USUAL_TEST_LIMITS, type TestLimits } from '../maturity/outcome';
import { concernsOfLoads } from '../mix/concerns';
import type { StoreState } from '../mix/store';
import { MS, type Instant } from '../quantity/instant';
import type { LotFacts, RuleEvidence, TestEvidence } from '../release/assess-release';
import type { Use } from '../release/uses';
import { screeningLotOf } from './site-flows';
import type { LotsState, LotTest } from './fold';

/** What can be said of each lot of a site at a moment: ages, tests that still speak, evidence for a release. */

/** Since when the matter of a lot cures. */
export type LotAge = {
  /** Of the last intake that was not finished; null: all that came in was. */ readonly youngestAt: Instant | null;
  /** Of the first intake since it was last empty. */ readonly oldestAt: Instant | null;
};
const NO_AGE: LotAge = { youngestAt: null, oldestAt: null };

/** Of two parts in one lot: the youngest of both, and the oldest. */
function olderAndYounger(a: LotAge, b: LotAge): LotAge {
  const known = (list: readonly (Instant | null)[]): Instant[] =>
    list.filter((at): at is Instant => at !== null);
  const young = known([a.youngestAt, b.youngestAt]);
  const old = known([a.oldestAt, b.oldestAt]);
  return {
    youngestAt: young.length > 0 ? Math.max(...young) : null,
    oldestAt: old.length > 0 ? Math.min(...old) : null,
  };
}
/** The coarsest mesh that both parts went through; null: one was not screened. @param was undefined: nothing was there */
const coarser = (was: number | null | undefined, came: number | null): number | null =>
  was === undefined ? came : was === null || came === null ? null : Math.max(was, came);

const EMPTY: Traced = { litres: 0, any: [0, 0], raw: [0, 0] };
const isHeated = ({ any, raw }: { readonly any: Interval; readonly raw: Interval }): boolean =>
  raw[1] === 0 && any[0] === 1;

/** When a batch met a rule. */
export type RuleProof = Proof & {
  readonly rule: string;
  /** With a rim that nobody read and nobody turned in. */ readonly rimUnread: boolean;
};

type Given = {
  readonly state: LotsState;
  /** With proofs of rules on pathogens. */ readonly site: FlowSite;
  readonly store: StoreState;
  /** When batches met rules on weed seeds. */ readonly seedProofs: readonly RuleProof[];
  readonly germProofs: readonly RuleProof[];
  /** Least volume that stays hot here, m³. */ readonly leastM3: number;
};

/** What a use asks of tests, on a site. */
const limitsFor = (use: Use, leastM3: number): TestLimits => ({
  ...USUAL_TEST_LIMITS,
  leastM3,
  germinationPct: use.germinationPct,
  flaskClass: use.flaskClass,
});

/** The earliest proof of each batch that is among the sources of a lot; one with its rim read before any other. */
const evidenceOf = (batches: readonly string[], proofs: Given['seedProofs']): RuleEvidence[] =>
  batches.map((batch) => {
    const own = proofs
      .filter((p) => p.lot === batch)
      .sort((a, b) => Number(a.rimUnread) - Number(b.rimUnread) || a.at - b.at)[0];
    return {
      ...{ batch, rule: own?.rule ?? null, at: own?.at ?? null },
      rimUnread: own?.rimUnread ?? false,
    };
  });

/** All that is worked out of a site's lots once, and asked of many times. */
export class LotBook {
  private readonly unheated: ReadonlyMap<string, Traced>;
  private readonly carried: ReadonlyMap<string, Traced>;
  private readonly inflows = new Map<string, Flow[]>();
  private readonly kindOf: ReadonlyMap<string, string>;
  private readonly ages = new Map<string, LotAge>();
  private readonly meshes = new Map<string, number | null>();
  private readonly finished = new Map<string, boolean>();
  private readonly origins = new Map<string, Trace>();
  private readonly afterTest = new Map<string, Trace>();
  private readonly facts = new Map<string, LotFacts>();
  readonly notes: Trace['notes'];
  readonly site: FlowSite;

  constructor(
    private readonly given: Given,
    readonly now: Instant,
  ) {
    const { flows, levels, proofs, lots } = given.site;
    // What is to come is not there yet.
    this.site = {
      lots,
      flows: flows.filter((f) => f.at <= now),
      levels: levels.filter((l) => l.at <= now),
      proofs: proofs.filter((p) => p.at <= now),
    };
    const trace = traceUnheated(this.site, null);
    this.unheated = new Map(trace.lots.map((l) => [l.lot, l]));
    this.notes = trace.notes;
    this.carried = traceCarried(this.site, null);
    this.kindOf = new Map(lots.map((l) => [l.id, l.kind]));
    for (const f of this.site.flows) {
      if (f.to === null) continue;
      this.inflows.set(f.to, [...(this.inflows.get(f.to) ?? []), f]);
    }
    this.walk();
  }

  /** Least volume that stays hot here, m³. */
  get leastHotM3(): number {
    return this.given.leastM3;
  }
  /** When batches met rules on pathogens. */
  get germProofs(): Given['germProofs'] {
    return this.given.germProofs;
  }
  /** How much there is of a lot, and how much of it was never heated. */
  of(lot: string): Traced {
    return this.unheated.get(lot) ?? EMPTY;
  }
  carriedBy(flow: string): Traced {
    return this.carried.get(flow) ?? EMPTY;
  }
  ageOf(lot: string): LotAge {
    return this.ages.get(lot) ?? NO_AGE;
  }
  /** Whether there is anything in a lot, as far as is known. */
  isEmpty(lot: string): boolean {
    const { litres, any } = this.of(lot);
    return litres === 0 && any[1] === 0;
  }
  /** When a lot was last measured, or filled from empty, or emptied with litres; null: never. */
  measuredAt(lot: string): Instant | null {
    const levels = this.site.levels.filter((l) => l.lot === lot).map((l) => l.at);
    const first = (this.inflows.get(lot) ?? []).filter((f) => f.litres !== null).slice(0, 1);
    const all = [...levels, ...first.map((f) => f.at)];
    return all.length > 0 ? Math.max(...all) : null;
  }
  /** Where the matter of a lot came from. */
  originOf(lot: string): Trace {
    const known = this.origins.get(lot) ?? traceOf(this.site, lot, null);
    this.origins.set(lot, known);
    return known;
  }

  /** Ages and meshes, flow by flow. */
  private walk(): void {
    const meshOf = new Map(
      this.given.state.screenings.map((s) => [screeningLotOf(s.id), s.data.meshMm]),
    );
    const holds = new Set<string>();
    for (const f of followInOrder(this.site)) {
      if (f.to !== null) {
        const isFirst = !holds.has(f.to);
        holds.add(f.to);
        this.takeIn(f, f.to, isFirst, meshOf);
      }
      if (f.from !== null && f.all) {
        holds.delete(f.from);
        this.ages.delete(f.from);
      }
    }
  }

  private takeIn(f: Flow, to: string, isFirst: boolean, meshOf: ReadonlyMap<string, number>): void {
    this.ages.set(to, olderAndYounger(isFirst ? NO_AGE : this.ageOf(to), this.ageInto(f, to)));
    const was = isFirst ? undefined : this.meshes.get(to);
    const came =
      f.from === null || this.kindOf.get(to) === 'overs' ? null : this.meshes.get(f.from);
    this.meshes.set(to, meshOf.get(to) ?? coarser(was, came ?? null));
  }

  /** The age of what a flow brings into a lot: a curing lot is as old as what came in last, what is screened or mixed keeps its age. */
  private ageInto(f: Flow, to: string): LotAge {
    const isFromLot = f.from !== null && !['load', 'batch'].includes(this.kindOf.get(f.from) ?? '');
    if (f.from !== null && isFromLot && this.kindOf.get(to) !== 'curing') {
      const from = this.ageOf(f.from);
      return { youngestAt: from.youngestAt, oldestAt: from.oldestAt ?? f.at };
    }
    return { youngestAt: this.isFinished(f) ? null : f.at, oldestAt: f.at };
  }

  /** Whether a flow carried what was heated throughout and had a maturity of its own. */
  isFinished(f: Flow): boolean {
    const known = this.finished.get(f.id);
    if (known !== undefined) return known;
    // Flows lead from earlier to later; one that waits for itself is not finished.
    this.finished.set(f.id, false);
    const is = isHeated(this.carriedBy(f.id)) && f.from !== null && this.isMature(f.from, f.at);
    this.finished.set(f.id, is);
    return is;
  }

  /** Whether a test of a lot had been passed at a moment, and still spoke of it. */
  private isMature(lot: string, at: Instant): boolean {
    return this.given.state.tests.some(
      (t) =>
        t.lot === lot &&
        t.test.startedAt <= at &&
        assessTest(t.test, { ...USUAL_TEST_LIMITS, leastM3: this.given.leastM3 }, at).outcome ===
          'pass' &&
        this.isUnchanged(lot, t.test.startedAt, at),
    );
  }

  /** Nothing came into a lot between two moments but what was finished. */
  private isUnchanged(lot: string, after: Instant, until: Instant): boolean {
    return (this.inflows.get(lot) ?? []).every(
      (f) => f.at <= after || f.at > until || this.isFinished(f),
    );
  }

  /**
   * Whether what was found in a lot at a moment speaks of another, or of itself, now: of itself while nothing unfinished came in,
   * of another where that was made wholly of it since (contract, section 5).
   */
  speaksFor(tested: string, at: Instant, lot: string): boolean {
    if (this.isEmpty(lot)) return false;
    if (tested === lot) return this.isUnchanged(lot, at, this.now);
    const key = `${tested} ${at}`;
    const trace = this.afterTest.get(key) ?? traceFrom(this.site, [tested], at);
    this.afterTest.set(key, trace);
    return trace.lots.some((l) => l.lot === lot && l.any[0] === 1);
  }

  private evidenceFor(lot: string, t: LotTest): TestEvidence {
    return {
      id: t.id,
      kind: t.test.values.kind,
      at: t.test.startedAt,
      endedAt: t.test.endedAt,
      speaks: this.speaksFor(t.lot, t.test.startedAt, lot),
      assessedFor: (use) => assessTest(t.test, limitsFor(use, this.given.leastM3), this.now),
    };
  }

  /** Tests of a lot, and of what it was made of wholly. */
  testsFor(lot: string): TestEvidence[] {
    const own = this.given.state.tests.filter((t) => t.test.startedAt <= this.now);
    return own
      .map((t) => ({ t, evidence: this.evidenceFor(lot, t) }))
      .filter(({ t, evidence }) => t.lot === lot || evidence.speaks)
      .map(({ evidence }) => evidence);
  }

  /** Whether all that a lot was made of was taken in as loads. */
  private isAllLoads(sources: Trace['sources']): boolean {
    const within = new Set(sources.map((s) => s.lot));
    return this.site.flows.every(
      (f) =>
        f.from !== null || f.to === null || !within.has(f.to) || this.kindOf.get(f.to) === 'load',
    );
  }

  /** All that a release looks at. */
  factsOf(lot: string): LotFacts {
    const known = this.facts.get(lot) ?? this.gatherFacts(lot);
    this.facts.set(lot, known);
    return known;
  }

  private gatherFacts(lot: string): LotFacts {
    const { state, store, seedProofs, germProofs } = this.given;
    const { any, raw } = this.of(lot);
    const { sources } = this.originOf(lot);
    const batches = sources.map((s) => s.lot).filter((id) => this.kindOf.get(id) === 'batch');
    const loads = store.loads.filter((l) => sources.some((s) => s.lot === (l.id as string)));
    const { youngestAt, oldestAt } = this.ageOf(lot);
    const since = youngestAt ?? oldestAt;
    const cover = state.looks.findLast((l) => (l.data.lot as string) === lot && l.data.cover);
    return {
      empty: this.isEmpty(lot),
      any,
      raw,
      germs: evidenceOf(batches, germProofs),
      seeds: evidenceOf(batches, seedProofs),
      // A batch that was never moved to cure has no days of curing, however old it is.
      days: since === null || this.kindOf.get(lot) === 'batch' ? null : (this.now - since) / MS.day,
      tests: this.testsFor(lot),
      samples: state.samples.filter((s) => this.speaksFor(s.lot, s.at, lot)),
      sprayed: sprayedOf(
        loads.map((l) => l.load.sprayed),
        this.isAllLoads(sources),
      ),
      meshMm: this.meshes.get(lot) ?? null,
      covered: cover ? cover.data.cover === 'on' : null,
      concerns: concernsOfLoads(loads),
      ownLimits: state.limitSets,
    };
  }
}

/** Of several loads: one that was sprayed makes it so; where what is in it was not all taken in as loads, nobody knows. */
function sprayedOf(
  loads: readonly ('no' | 'yes' | 'unknown')[],
  isAllKnown: boolean,
): LotFacts['sprayed'] {
  if (loads.includes('yes')) return 'yes';
  return loads.includes('unknown') || !isAllKnown ? 'unknown' : 'no';
}
