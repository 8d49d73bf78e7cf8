import { groupChecks } from '../evidence/calibration';
import { isOff } from '../evidence/drift';
import type { AssessedRule } from '../evidence/verdict';
import type { SiteHead } from '../formats/batch-file-of';
import type { BatchState, LoggedCheck, SiteState } from '../log/fold';
import { firstOf, lastOf } from '../quantity/present';
import { MS, type Instant } from '../quantity/instant';
import { assessBatch, type BatchAssessment } from './assess-batch';

/**
 * What a check that found a thermometer off says of what was read with it before. A check corrects what is read from then on
 * alone (contract, section 3); whether earlier rules would still be met, had it been so far off since the check before, is for a
 * named person to decide.
 */
export type CheckDoubt = {
  readonly probe: string;
  /** The first of the checks that found it off. */ readonly at: Instant;
  /** How much too high it read, K; below 0: too low. */ readonly offK: number;
  /** Since when nobody had checked it; null: ever. */ readonly since: Instant | null;
  /** Rules that would be met no more, or would lose counted time. */
  readonly rules: readonly {
    readonly rule: string;
    readonly wasMet: boolean;
    readonly isMet: boolean;
    readonly lostHours: number;
  }[];
};

const LEAST_LOST_HOURS = 1 / 60;

/** How far the first of a group of checks that was out of promise lay off. */
const offOf = (group: readonly LoggedCheck[], accuracyK: number | undefined): number | null => {
  const off = group.find((c) => isOff(c, accuracyK));
  return off ? off.readC - off.referenceC : null;
};

/** The checks as if one group of them had been made right after the group before it. */
function checksMovedBack(
  checks: readonly LoggedCheck[],
  group: readonly LoggedCheck[],
  since: Instant | null,
): LoggedCheck[] {
  const first = firstOf(group).at;
  // Beyond two hours, so that the two groups are not taken for one.
  const from = since === null ? 0 : Math.min(first, since + 2 * MS.hour + 1);
  return checks.map((c) => (group.includes(c) ? { ...c, at: from + (c.at - first) } : c));
}

function lossesOf(
  before: readonly AssessedRule[],
  after: readonly AssessedRule[],
): CheckDoubt['rules'] {
  return before.flatMap(({ rule, assessment }) => {
    const [was, is] = [
      assessment.verdict,
      after.find((a) => a.rule.id === rule.id)?.assessment.verdict,
    ];
    const [wasMet, isMet] = [was.provenAt !== null, (is?.provenAt ?? null) !== null];
    const lostHours = was.creditedHours - (is?.creditedHours ?? 0);
    const isLoss = (wasMet && !isMet) || (!wasMet && lostHours > LEAST_LOST_HOURS);
    return isLoss ? [{ rule: rule.id, wasMet, isMet, lostHours }] : [];
  });
}

/** A batch as it was judged. */
type Judged = {
  readonly state: BatchState;
  readonly site: SiteHead;
  readonly siteState: SiteState;
  readonly now: Instant;
  /** Of the same state and moment; null: it is still being built. */ readonly assessment: BatchAssessment | null;
};

/** What checks of its thermometers put in doubt of a batch's rules, the oldest first. */
export const checkDoubtsOf = (judged: Judged): CheckDoubt[] =>
  [...judged.state.tally.probes]
    .flatMap((probe) => doubtsOfProbe(probe, judged))
    .sort((a, b) => a.at - b.at);

function doubtsOfProbe(
  probe: string,
  { state, site, siteState, now, assessment }: Judged,
): CheckDoubt[] {
  if (!assessment) return [];
  const checks = siteState.probes.get(probe) ?? [];
  const groups = groupChecks(checks, now);
  const accuracyK = siteState.instruments.get(probe)?.accuracyK;
  const isReadBetween = (from: Instant | null, to: Instant): boolean =>
    state.readings.some(
      (r) =>
        r.probe === probe && r.flag === undefined && r.time > (from ?? -Infinity) && r.time < to,
    );
  return groups.flatMap((group, i): CheckDoubt[] => {
    const before = groups[i - 1];
    const [offK, since, { at }] = [
      offOf(group, accuracyK),
      before ? lastOf(before).at : null,
      firstOf(group),
    ];
    if (offK === null || !isReadBetween(since, at)) return [];
    const moved = new Map(siteState.probes).set(probe, checksMovedBack(checks, group, since));
    const after = assessBatch(state, site, { ...siteState, probes: moved }, now);
    const rules = lossesOf(assessment.rules, after?.rules ?? []);
    return rules.length === 0 ? [] : [{ probe, at, offK, since, rules }];
  });
}
