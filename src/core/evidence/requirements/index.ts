import type { Hold, Leaf, Requirement } from '../rule';
import { leavesOf } from '../rule';
import type { RequirementDescription, RequirementSlip } from './description';
import { REQUIREMENT_REGISTRY } from './registry';

export const LEAF_KINDS = Object.keys(REQUIREMENT_REGISTRY) as Leaf['kind'][];
// Each description takes requirements of its own kind, which is where it was looked up by.
/** What is known of a kind of requirement. */
export const getRequirementDescription = (kind: Leaf['kind']): RequirementDescription =>
  REQUIREMENT_REGISTRY[kind];
const describeLeaf = (leaf: Leaf): RequirementDescription => getRequirementDescription(leaf.kind);

/** Whether each turning ends a stage of its own. */
export const turningsEndStages = (leaf: Leaf): boolean => describeLeaf(leaf).turningsEndStages;

/** Every hold in a rule, nested ones included. */
export const holdsOf = (r: Requirement): readonly Hold[] =>
  leavesOf(r).flatMap((leaf): readonly Hold[] => describeLeaf(leaf).holds(leaf));

/** Whether a rule looks at how moist the batch was logged. */
export const asksMoist = (r: Requirement): boolean => holdsOf(r).some((h) => h.moist === true);

/** Temperatures of a rule that a person may write, °C: a typing slip lies outside. */
const FLOORS_C = [20, 90] as const;

/** Figures of a rule that cannot be meant as they stand; null: none. */
export function findRequirementSlip(requirement: Requirement): RequirementSlip | null {
  for (const leaf of leavesOf(requirement)) {
    for (const { floorC, ceilingC } of describeLeaf(leaf).ranges(leaf)) {
      if (floorC < FLOORS_C[0] || floorC > FLOORS_C[1]) return { code: 'floor-out', floorC };
      if (ceilingC !== undefined && ceilingC <= floorC)
        return { code: 'ceiling-low', ceilingC, floorC };
    }
    const slip = describeLeaf(leaf).findSlip(leaf);
    if (slip) return slip;
  }
  return null;
}
