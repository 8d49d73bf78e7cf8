import type { Instant } from '../quantity/instant';
import type { Leaf } from './rule';
import type { CountedTurn, UncountedTurn } from './turnings';
import type { Run, RunScan } from './run-scan';

export type Status = 'proven' | 'waiting' | 'running' | 'recovering' | 'broken';

/** Proven, and since when; or not, and how it stands. */
export type ProofStatus =
  | { readonly status: 'proven'; readonly provenAt: Instant }
  | { readonly status: Exclude<Status, 'proven'>; readonly provenAt: null };

/** The state alone, of whatever holds it. */
export const proofStatusOf = ({ status, provenAt }: ProofStatus): ProofStatus =>
  status === 'proven' ? { status, provenAt } : { status, provenAt };

/** What a segment has reached against a requirement, at a moment (contract, section 10). */
export type RuleProgress = ProofStatus & {
  readonly creditMs: number;
  readonly requiredMs: number;
  readonly turningsCounted: number;
  readonly turningsRequired: number;
  readonly run: { readonly from: Instant; readonly to: Instant } | null;
  /** From where the missing hours would run on. */
  readonly base: Instant;
  /** Time that must follow the missing hours: the stages after the present one. */
  readonly furtherMs: number;
  /** The part that is reported: of alternatives one, of nested limits the one furthest from done. */
  readonly part: ReportedRequirement;
  /** The walk that gives the status. */
  readonly scan: RunScan;
  /** The run that was reported, if any: the proving one, or the latest while it lives. */
  readonly reported: Run | null;
  /** Counted turns of the part reported. */
  readonly counted: readonly CountedTurn[];
  /** Turns that do not count, each with the first code that fits. */
  uncounted(): readonly UncountedTurn[];
};

/** The requirement that is reported, with the figures that words and drawings need. */
export type ReportedRequirement = {
  readonly of: Leaf;
  /** Floor that the reported hours were held at, °C. */
  readonly floorC: number;
  /** Whether one run must hold it all. */
  readonly consecutive: boolean;
  /** Hours in all, every stage counted: the whole height of a mound. */
  readonly totalHours: number;
  /** Time-weighted mean of the reported run, °C, where a mean is asked for and something was credited. */
  readonly meanC?: number | undefined;
};

/** Reckons a requirement on a segment whose rounds may still grow. Ask for later and later moments only. */
export type RuleEvaluator = { progress(at: Instant): RuleProgress };

/** The status that a scan shows while nothing is proven (contract, section 10). */
export function statusOf(scan: RunScan): Exclude<Status, 'proven'> {
  if (scan.untouched) return 'waiting';
  return scan.latest === 'running' || scan.latest === 'recovering' ? scan.latest : 'broken';
}

/** From the first to the latest hot round of a run, or to another moment; null: no run. */
export const spanOf = (run: Run | null, to = run?.to): RuleProgress['run'] =>
  run && to !== undefined ? { from: run.from, to } : null;

/** How far it has come: credited hours over required ones. */
export const shareOf = ({
  creditMs,
  requiredMs,
}: Pick<RuleProgress, 'creditMs' | 'requiredMs'>): number => creditMs / requiredMs;
