import type { Note } from '../words/note';
import type { VerdictFacts } from '../words/verdict';
import type { ReportedRequirement } from './rule-progress';
import type { RuleAssessment } from './verdict';

/** What a part asks beside hours and turnings, for words. */
function formOf({ of }: ReportedRequirement): VerdictFacts['form'] {
  switch (of.kind) {
    case 'hold':
      return { kind: 'hold' };
    case 'staged':
      return { kind: 'staged', stageHours: of.holdHours };
    case 'within':
      return {
        kind: 'within',
        outerHours: of.outer.hours,
        outerFloorC: of.outer.floorC,
        innerHours: of.inner.hours,
        innerFloorC: of.inner.floorC,
      };
    case 'meanAbove':
      return { kind: 'meanAbove', meanC: of.meanC };
  }
}

/** A verdict as its sentence needs it. @param keep which notes */
export const factsOf = (
  { verdict: v, progress: { part, scan } }: RuleAssessment,
  keep: (note: Note) => boolean = () => true,
): VerdictFacts => ({
  status: v.status,
  creditedHours: v.creditedHours,
  requiredHours: v.requiredHours,
  turningsCounted: v.turningsCounted,
  turningsRequired: v.turningsRequired,
  provenAt: v.provenAt,
  earliestProofAt: v.earliestProofAt,
  notes: v.notes.filter(keep),
  latestHotAt: scan.hotRounds.at(-1)?.time ?? null,
  floorC: part.floorC,
  combine: v.policy.combine,
  consecutive: part.consecutive,
  form: formOf(part),
  reachedMeanC: part.meanC ?? null,
});
