import type { Interval } from '../flow/trace';
import type { TestKind } from '../log/test-shapes';
import type { AssessedTest } from '../maturity/outcome';
import type { LotConcern } from '../mix/concerns';
import { MS, type Instant } from '../quantity/instant';
import { findLimitSet, type LimitSet } from './limit-sets';
import { assessLimits, standAll, type LabSample, type LimitLine, type Standing } from './limits';
import { RELEASE_ITEMS, addDemands, type Force, type ReleaseItem, type Use } from './uses';

/** What a release lists: for one use each item as met, not met or unknown, with its evidence (contract, section 6). */

/** A batch that matter of the lot passed through, and when it met a rule there. */
export type RuleEvidence = {
  readonly batch: string;
  readonly rule: string | null;
  readonly at: Instant | null;
  /** Met with a rim that nobody read and nobody turned in. */ readonly rimUnread: boolean;
};
export type TestEvidence = {
  readonly id: string;
  readonly kind: TestKind;
  readonly at: Instant;
  /** Null: it goes on. */ readonly endedAt: Instant | null;
  /** It speaks of what is in the lot now; false: something came in since. */ readonly speaks: boolean;
  /** As the use limits it. */ readonly assessedFor: (use: Use) => AssessedTest;
};
/** What is known of a lot. */
export type LotFacts = {
  readonly empty: boolean;
  readonly any: Interval;
  readonly raw: Interval;
  readonly germs: readonly RuleEvidence[];
  readonly seeds: readonly RuleEvidence[];
  /** Days since the last intake that was not finished; null: nothing came in. */ readonly days:
    number | null;
  readonly tests: readonly TestEvidence[];
  /** Samples that speak of what is in it now. */ readonly samples: readonly LabSample[];
  /** Whether a load in it may carry weedkiller; `unknown`: nobody knows of one. */
  readonly sprayed: 'no' | 'yes' | 'unknown';
  /** The coarsest mesh that all of it went through, mm; null: it was not screened. */ readonly meshMm:
    number | null;
  readonly covered: boolean | null;
  /** What came in with its loads and limits its use. */
  readonly concerns: readonly LotConcern[];
  /** The site's own sets of limits. */ readonly ownLimits: readonly LimitSet[];
};

type ReleaseLine = {
  readonly item: ReleaseItem;
  readonly force: Force;
  readonly standing: Standing;
  /** By which tests, batches or samples it stands so: their ids. */ readonly evidence: readonly string[];
  /** Lines of the limit sets. */ readonly limits: readonly LimitLine[];
};

/** A rule that was met where it was read is not known to be met in the rim: whoever releases over that says why. */
function standRule(evidence: readonly RuleEvidence[]): Stood {
  const standing = standAll(evidence.map((e) => (e.at === null ? 'not-met' : 'met')));
  return standing === 'met' && evidence.some((e) => e.rimUnread)
    ? { standing: 'unknown', force: 'should' }
    : { standing };
}

/** Whether all of a lot was heated: no raw part, and nothing in it of which nobody knows. */
export function standHeated({
  empty,
  any,
  raw,
}: Pick<LotFacts, 'empty' | 'any' | 'raw'>): Standing {
  if (empty) return 'unknown';
  if (raw[0] > 0) return 'not-met';
  return raw[1] === 0 && any[0] === 1 ? 'met' : 'unknown';
}

const FAILED_WITHIN_MS = 60 * MS.day;
function standMaturity(use: Use, facts: LotFacts, now: Instant): Standing {
  const named = facts.tests.filter((t) => use.maturity.of.includes(t.kind));
  const outcomes = named.map((t) => ({ ...t, outcome: t.assessedFor(use).outcome }));
  const isRecent = (t: TestEvidence): boolean => now - (t.endedAt ?? t.at) <= FAILED_WITHIN_MS;
  if (outcomes.some((t) => t.outcome === 'fail' && isRecent(t))) return 'not-met';
  const passed = new Set(
    outcomes.filter((t) => t.speaks && t.outcome === 'pass').map((t) => t.kind),
  );
  return passed.size >= use.maturity.atLeast ? 'met' : 'unknown';
}

function standBioassay(use: Use, { tests }: LotFacts): Standing {
  const own = tests.filter((t) => t.kind === 'seedlings' && t.speaks);
  const outcomes = own.map((t) => t.assessedFor(use).outcome);
  if (outcomes.includes('fail')) return 'not-met';
  return outcomes.includes('pass') ? 'met' : 'unknown';
}

const known = (is: boolean | null): Standing => (is === null ? 'unknown' : is ? 'met' : 'not-met');

/** Whether weeds came up in a test of it: what speaks against goes before what speaks for, however hot it was. */
const hasSprouted = (use: Use, { tests }: LotFacts): boolean =>
  tests.some((t) => t.kind === 'sprout' && t.speaks && t.assessedFor(use).outcome === 'fail');

type Stood = Pick<ReleaseLine, 'standing'> &
  Partial<Pick<ReleaseLine, 'evidence' | 'limits' | 'force'>>;

function standLimits(use: Use, facts: LotFacts): Stood {
  const sets = use.limitSets.flatMap((id) => findLimitSet(id, facts.ownLimits) ?? []);
  const assessed = sets.map((s) => assessLimits(s.limits, facts.samples));
  const limits = assessed.flatMap((a) => a.lines);
  return {
    standing: standAll(assessed.map((a) => a.standing)),
    limits,
    evidence: [...new Set(limits.flatMap((l) => l.sample ?? []))],
  };
}

function stand(item: ReleaseItem, use: Use, facts: LotFacts, now: Instant): Stood {
  const idsOf = (kinds: readonly TestKind[]): string[] =>
    facts.tests.filter((t) => kinds.includes(t.kind)).map((t) => t.id);
  switch (item) {
    case 'germ-rule':
      return { ...standRule(facts.germs), evidence: facts.germs.map((g) => g.batch) };
    case 'seed-rule':
      return {
        ...(hasSprouted(use, facts) ? { standing: 'not-met' } : standRule(facts.seeds)),
        evidence: [...facts.seeds.map((s) => s.batch), ...idsOf(['sprout'])],
      };
    case 'heated-throughout':
      return { standing: standHeated(facts) };
    case 'curing-days':
      return { standing: known(facts.days === null ? null : facts.days >= use.leastDays) };
    case 'maturity':
      return { standing: standMaturity(use, facts, now), evidence: idsOf(use.maturity.of) };
    case 'limits':
      return standLimits(use, facts);
    case 'bioassay':
      return { standing: standBioassay(use, facts), evidence: idsOf(['seedlings']) };
    case 'screened':
      return {
        standing: known(facts.meshMm !== null && facts.meshMm <= (use.meshMm ?? Infinity) + 0.01),
      };
    case 'covered':
      return { standing: known(facts.covered) };
  }
}

/** A test for weedkiller is asked for where a load was sprayed, or nobody knows. */
const isAsked = (item: ReleaseItem, { sprayed }: LotFacts): boolean =>
  item !== 'bioassay' || sprayed !== 'no';

export type AssessedUse = {
  readonly use: Use;
  readonly lines: readonly ReleaseLine[];
  /** `blocked`: a must is not met or not known; `reasons`: something that should be met is not. */
  readonly standing: 'met' | 'reasons' | 'blocked';
};

/** What a use asks of a lot, with what the concerns of the lot add, and how each item stands at a moment. */
export function assessUse(asked: Use, facts: LotFacts, now: Instant): AssessedUse {
  const use = addDemands(
    asked,
    facts.concerns.map((c) => c.concern),
  );
  const lines = RELEASE_ITEMS.flatMap((item): ReleaseLine[] => {
    const force = use.asks[item];
    if (force === undefined || !isAsked(item, facts)) return [];
    return [{ item, force, evidence: [], limits: [], ...stand(item, use, facts, now) }];
  });
  const open = lines.filter((l) => l.standing !== 'met');
  const isBlocked = open.some((l) => l.force === 'must');
  return { use, lines, standing: isBlocked ? 'blocked' : open.length > 0 ? 'reasons' : 'met' };
}

/**
 * What puts a release in question at a moment: items of its uses that are not met now, and for which nobody gave a reason. What
 * is not known puts in question only what must be met.
 */
export function questionsOf(
  uses: readonly AssessedUse[],
  reasons: readonly { readonly item: string }[],
): readonly ReleaseItem[] {
  const isGiven = (item: ReleaseItem): boolean => reasons.some((r) => r.item === item);
  const open = uses
    .flatMap((u) => u.lines)
    .filter(
      (l) =>
        !isGiven(l.item) &&
        (l.standing === 'not-met' || (l.standing === 'unknown' && l.force === 'must')),
    );
  return [...new Set(open.map((l) => l.item))];
}
