import { assessRule } from '../evidence/verdict';
import type { SiteHead } from '../formats/batch-file-of';
import { readingOf } from '../formats/evidence-of-state';
import type { BatchState, LoggedReading, SiteState } from '../log/fold';
import type { Instant } from '../quantity/instant';
import { assessBatch, type BatchAssessment } from './assess-batch';

/**
 * An assessment that grows with its batch. Half a million readings are not walked again for one more round: the walks go on
 * where they stood (contract, sections 6 and 7, are told round by round). It belongs to one state of one batch, and is given on
 * to the state that comes of it; what it says is the same as an assessment made anew.
 */
type Growing = {
  readonly assessment: BatchAssessment;
  /** As many readings of the batch it knows. */
  readonly readings: number;
  /** Checks of all thermometers when it was made: they correct what was read. */
  readonly checks: string;
  readonly site: SiteHead;
};

const growing = new WeakMap<BatchState, Growing>();

/** Gives what is known of a state on to one that is the same with rounds behind it, and nothing else. */
export function noteGrowth(before: BatchState, after: BatchState): void {
  const known = growing.get(before);
  if (!known) return;
  growing.delete(before);
  growing.set(after, known);
}

const checksOf = ({ probes }: SiteState): string => JSON.stringify([...probes]);

/** Readings behind so many, entry by entry. */
function roundsBehind({ readings }: BatchState, known: number): LoggedReading[][] {
  const byEntry = new Map<string, LoggedReading[]>();
  for (const r of readings.slice(known)) {
    const round = byEntry.get(r.entry);
    if (round) round.push(r);
    else byEntry.set(r.entry, [r]);
  }
  return [...byEntry.values()];
}

/** Whether one more reading can be taken as evidence as it is: the batch has its thermometers to itself, and this one is known. */
const isPlain = (state: BatchState, { evidence }: BatchAssessment['prepared'], r: LoggedReading) =>
  state.opened.brought === undefined &&
  (r.probe === undefined || evidence.probes.some((p) => p.id === r.probe));

/** What is known of a batch, gone on to what it is now. Null: it has to be made anew. */
function goOn(
  state: BatchState,
  site: SiteHead,
  siteState: SiteState,
  now: Instant,
): Growing | null {
  const known = growing.get(state);
  if (!known || known.readings === state.readings.length) return null;
  // From here on it is neither of the state before nor of this one, unless it comes through.
  growing.delete(state);
  const { assessment, checks } = known;
  const { prepared } = assessment;
  const rounds = roundsBehind(state, known.readings);
  if (
    state.terms.length > 1 ||
    checks !== checksOf(siteState) ||
    known.site.timeZone !== site.timeZone ||
    known.site.unit !== site.unit ||
    !rounds.flat().every((r) => isPlain(state, prepared, r))
  )
    return null;
  try {
    rounds.forEach((round, i) => {
      const readings = round.map((r) => readingOf(r, r.probe));
      const latest = readings.reduce((a, r) => Math.max(a, r.at), -Infinity);
      prepared.add(readings, i === rounds.length - 1 ? Math.max(now, latest) : latest);
    });
  } catch (error) {
    // It came late, is dated ahead, or is part of a round that is known: that changes what was walked already.
    if (error instanceof RangeError) return null;
    throw error;
  }
  if (prepared.asOf !== now) return null;
  const rules = assessment.rules.map(({ rule, terms }) => ({
    rule,
    terms,
    assessment: assessRule(prepared, rule),
  }));
  return { assessment: { prepared, rules }, readings: state.readings.length, checks, site };
}

/** What {@link assessBatch} says, gone on from what was known where that can be. */
export function assessGrowing(
  state: BatchState,
  site: SiteHead,
  siteState: SiteState,
  now: Instant,
): BatchAssessment | null {
  const gone = goOn(state, site, siteState, now);
  if (gone) {
    growing.set(state, gone);
    return gone.assessment;
  }
  const assessment = assessBatch(state, site, siteState, now);
  if (assessment && state.terms.length === 1)
    growing.set(state, {
      assessment,
      readings: state.readings.length,
      checks: checksOf(siteState),
      site,
    });
  return assessment;
}
