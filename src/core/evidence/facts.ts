import type { Note } from '../words/note';
import { getRequirementDescription } from './requirements';
import type { VerdictFacts } from './verdict-facts';
import { proofStatusOf } from './rule-progress';
import type { RuleAssessment } from './verdict';

/** A verdict as its sentence needs it. @param keep which notes */
export const factsOf = (
  { verdict: v, progress: { part, scan } }: RuleAssessment,
  keep: (note: Note) => boolean = () => true,
): VerdictFacts => ({
  ...proofStatusOf(v),
  creditedHours: v.creditedHours,
  requiredHours: v.requiredHours,
  turningsCounted: v.turningsCounted,
  turningsRequired: v.turningsRequired,
  earliestProofAt: v.earliestProofAt,
  notes: v.notes.filter(keep),
  latestHotAt: scan.hotRounds.at(-1)?.time ?? null,
  floorC: part.floorC,
  combine: v.policy.combine,
  consecutive: part.consecutive,
  form: getRequirementDescription(part.of.kind).facts(part.of),
  reachedMeanC: part.meanC ?? null,
});
