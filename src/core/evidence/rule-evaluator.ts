import type { SegmentContext } from './segment-context';
import { getRequirementDescription } from './requirements';
import type { Requirement } from './rule';
import { shareOf, type RuleProgress, type Status, type RuleEvaluator } from './rule-progress';

/** Of the two, the order in which alternatives of equal share are told. */
const RANK: Record<Status, number> = {
  proven: 4,
  running: 3,
  recovering: 2,
  waiting: 1,
  broken: 0,
};

/** The first of those that no other one beats. */
const firstBest = <P extends RuleProgress>(all: readonly P[], beats: (a: P, b: P) => boolean): P =>
  all.reduce((best, s) => (beats(s, best) ? s : best));

type Proven = Extract<RuleProgress, { status: 'proven' }>;
const isProven = (s: RuleProgress): s is Proven => s.status === 'proven';

/** Met first, else furthest along. */
function ofAny(all: readonly RuleProgress[]): RuleProgress {
  const met = all.filter(isProven);
  if (met.length > 0) return firstBest(met, (a, b) => a.provenAt < b.provenAt);
  return firstBest(
    all,
    (a, b) =>
      shareOf(a) > shareOf(b) || (shareOf(a) === shareOf(b) && RANK[a.status] > RANK[b.status]),
  );
}

/** Furthest from done among those not met, else met last. */
function ofAll(all: readonly RuleProgress[]): RuleProgress {
  const open = all.filter((s) => s.provenAt === null);
  return open.length > 0
    ? firstBest(open, (a, b) => shareOf(a) < shareOf(b))
    : firstBest(all.filter(isProven), (a, b) => a.provenAt > b.provenAt);
}

/** Reckons any requirement on a segment (contract, section 9). */
export function createRuleEvaluator(
  requirement: Requirement,
  context: SegmentContext,
): RuleEvaluator {
  if (!('of' in requirement))
    return getRequirementDescription(requirement.kind).createEvaluator(requirement, context);
  const parts = requirement.of.map((part) => createRuleEvaluator(part, context));
  const choose = requirement.kind === 'anyOf' ? ofAny : ofAll;
  return { progress: (at) => choose(parts.map((part) => part.progress(at))) };
}

/** Whether the second of two standings, of the same requirement, says less of the heap than the first. */
export function isWorse(than: RuleProgress, other: RuleProgress): boolean {
  if (than.provenAt !== null) return other.provenAt === null || other.provenAt > than.provenAt;
  return (
    other.provenAt === null &&
    (shareOf(other) < shareOf(than) ||
      other.turningsCounted < than.turningsCounted ||
      RANK[other.status] < RANK[than.status])
  );
}
