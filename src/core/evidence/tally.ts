import type { Ground } from './ground';
import { holdTally } from './hold';
import { meanAboveTally } from './mean-above';
import type { Requirement } from './rule';
import { stagedTally } from './staged';
import { shareOf, type Standing, type Status, type Tally } from './standing';
import { withinTally } from './within';

/** Of the two, the order in which alternatives of equal share are told. */
const RANK: Record<Status, number> = {
  proven: 4,
  running: 3,
  recovering: 2,
  waiting: 1,
  broken: 0,
};

/** The first of those that no other one beats. */
const firstBest = (
  all: readonly Standing[],
  beats: (a: Standing, b: Standing) => boolean,
): Standing => all.reduce((best, s) => (beats(s, best) ? s : best));

/** Met first, else furthest along. */
function ofAny(all: readonly Standing[]): Standing {
  const met = all.filter((s) => s.provenAt !== null);
  if (met.length > 0) return firstBest(met, (a, b) => a.provenAt! < b.provenAt!);
  return firstBest(
    all,
    (a, b) =>
      shareOf(a) > shareOf(b) || (shareOf(a) === shareOf(b) && RANK[a.status] > RANK[b.status]),
  );
}

/** Furthest from done among those not met, else met last. */
function ofAll(all: readonly Standing[]): Standing {
  const open = all.filter((s) => s.provenAt === null);
  return open.length > 0
    ? firstBest(open, (a, b) => shareOf(a) < shareOf(b))
    : firstBest(all, (a, b) => a.provenAt! > b.provenAt!);
}

/** Reckons any requirement on a segment (contract, section 9). */
export function tallyOf(requirement: Requirement, ground: Ground): Tally {
  switch (requirement.kind) {
    case 'hold':
      return holdTally(requirement, ground);
    case 'staged':
      return stagedTally(requirement, ground);
    case 'within':
      return withinTally(requirement, ground);
    case 'meanAbove':
      return meanAboveTally(requirement, ground);
    case 'anyOf':
    case 'allOf': {
      const parts = requirement.of.map((part) => tallyOf(part, ground));
      const choose = requirement.kind === 'anyOf' ? ofAny : ofAll;
      return { standing: (at) => choose(parts.map((part) => part.standing(at))) };
    }
  }
}

/** Whether the second of two standings, of the same requirement, says less of the heap than the first. */
export function isWorse(than: Standing, other: Standing): boolean {
  if (than.provenAt !== null) return other.provenAt === null || other.provenAt > than.provenAt;
  return (
    other.provenAt === null &&
    (shareOf(other) < shareOf(than) ||
      other.turningsCounted < than.turningsCounted ||
      RANK[other.status] < RANK[than.status])
  );
}
