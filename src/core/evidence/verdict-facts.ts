import { say } from '../../messages/say';
import type { ProofStatus, Status } from './rule-progress';
import { tempBeside } from '../quantity/format';
import type { Instant } from '../quantity/instant';
import type { Locale, Note } from '../words/note';

/** What a requirement asks beside hours and turnings, as a snapshot keeps it. */
export type RequirementFacts =
  | { readonly kind: 'hold' }
  | { readonly kind: 'staged'; readonly stageHours: number }
  | {
      readonly kind: 'within';
      readonly outerHours: number;
      readonly outerFloorC: number;
      readonly innerHours: number;
      readonly innerFloorC: number;
    }
  | { readonly kind: 'meanAbove'; readonly meanC: number };
/** The facts of a verdict on one kind of requirement. */
export type FactsOf<K extends RequirementFacts['kind']> = VerdictFacts & {
  readonly form: Extract<RequirementFacts, { readonly kind: K }>;
};

/** A sentence in pieces; strong ones are quantities and dates. */
export type Piece = { readonly text: string; readonly strong?: true };
/** A quantity or a date. */
export const strong = (text: string): Piece => ({ text, strong: true });
/** The words between them. */
export const plain = (text: string): Piece => ({ text });

export const STATUS_WORD = {
  get proven() {
    return say('evidence.met');
  },
  get waiting() {
    return say('evidence.nothingCountsYet');
  },
  get running() {
    return say('evidence.counting');
  },
  get recovering() {
    return say('evidence.paused');
  },
  get broken() {
    return say('evidence.startsOver');
  },
} as const satisfies Record<Status, string>;

/** What the sentence needs of a verdict and its rule. */
export type VerdictFacts = ProofStatus & {
  readonly creditedHours: number;
  readonly requiredHours: number;
  readonly turningsCounted: number;
  readonly turningsRequired: number;
  readonly earliestProofAt: Instant | null;
  readonly notes: readonly Note[];
  /** The latest round that counted as hot; null: none. */
  readonly latestHotAt: Instant | null;
  readonly floorC: number;
  readonly combine: 'coldest' | 'mean' | 'median';
  readonly consecutive: boolean;
  /** What the rule asks beside these hours and turnings. */
  readonly form: RequirementFacts;
  /** Mean of the run so far, where a mean is asked for. */
  readonly reachedMeanC: number | null;
};

/** Which value of a round is held against the floor. */
export const WHERE = {
  get coldest() {
    return say('evidence.atItsColdestPoint');
  },
  get mean() {
    return say('evidence.asMeanPoints');
  },
  get median() {
    return say('evidence.asMedianPoints');
  },
} as const;

/** A floor as it stands in a rule. */
export const floorText = (celsius: number, { unit }: Locale): string =>
  tempBeside(celsius, celsius, unit);
