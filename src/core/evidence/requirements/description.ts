import type { TempUnit } from '../../units/units';
import type { Locale } from '../../words/note';
import type { RuleEvaluator, ReportedRequirement } from '../rule-progress';
import type { Hold, Leaf } from '../rule';
import type { SegmentContext } from '../segment-context';
import type { FactsOf, RequirementFacts } from '../verdict-facts';

/** What a field of a requirement may hold; the parser of batch files and the published schema are made from it. */
export type FieldType =
  | 'celsius'
  | 'optional-celsius'
  | 'positive-hours'
  | 'yes-no'
  | 'optional-yes-no'
  | 'count'
  | 'count-from-1'
  /** A hold that asks for no turnings. */
  | 'plain-hold';

/** What a person types to write a requirement down; temperatures in °C, NaN where no number stands. */
export type TypedRequirement = {
  readonly floor: number;
  readonly ceiling: number | undefined;
  readonly days: number;
  readonly turnings: number;
  readonly innerFloor: number;
  readonly innerHours: number;
  readonly mean: number;
  readonly inARow: boolean;
  readonly moist: boolean;
};
export type FormInput = {
  readonly key: Exclude<keyof TypedRequirement, 'inARow' | 'moist'>;
  readonly label: string;
  readonly unit: 'temperature' | 'days' | 'hours' | 'count';
  /** What is meant where nothing is typed; absent: it must be typed. */
  readonly empty?: string;
};
type RequirementForm<R> = {
  readonly label: string;
  readonly inputs: readonly FormInput[];
  readonly asksInARow?: boolean;
  readonly asksMoist?: boolean;
  /** Turnings that it asks for at least. */
  readonly minTurnings: number;
  read(typed: TypedRequirement): R;
  write(requirement: R): Partial<TypedRequirement>;
};

/** Why figures of a requirement cannot be meant as they stand. */
export type RequirementSlip =
  | { readonly code: 'floor-out'; readonly floorC: number }
  | { readonly code: 'ceiling-low'; readonly ceilingC: number; readonly floorC: number }
  | { readonly code: 'inner-longer' }
  | { readonly code: 'mean-low' };

type BarContext = {
  readonly part: ReportedRequirement;
  /** Full turnings asked for. */
  readonly turns: number;
  readonly unit: TempUnit;
  /** Whether there is room for its temperature, where no turnings are asked for. */
  readonly roomy: boolean;
};

/** Everything that the core knows of one kind of requirement that is not made of others. */
export type RequirementDescription<R extends Leaf = Leaf> = {
  readonly fields: Readonly<Required<Record<Exclude<keyof R, 'kind'>, FieldType>>>;
  /** Follows it on a segment (contract, section 9). */
  createEvaluator(requirement: R, context: SegmentContext): RuleEvaluator;
  /** The holds that it is made of. */
  holds(requirement: R): readonly Hold[];
  /** The temperature ranges that it names. */
  ranges(
    requirement: R,
  ): readonly { readonly floorC: number; readonly ceilingC?: number | undefined }[];
  /** A contradiction within it, beside its ranges; null: none. */
  findSlip(requirement: R): RequirementSlip | null;
  /** Full turnings that a batch must have for it. */
  asksTurnings(requirement: R): boolean;
  /** Each turning ends a stage of its own, instead of falling into one time. */
  readonly turningsEndStages: boolean;
  /** With its hours reached something else may still be owed, which no date can be given for. */
  readonly waitsBeyondHours: boolean;
  /** Whether the hours of a run that broke are lost to it. */
  losesBrokenRuns(requirement: R): boolean;
  /** Whether the verdict shows one run, though its hours add up. */
  readonly reportsOneRun: boolean;
  /** In plain words, from its data: what is reckoned is what is read. */
  text(requirement: R, unit: TempUnit): string;
  /** On its bar under the heat chart. */
  barText(requirement: R, bar: BarContext): string;
  facts(requirement: R): Extract<RequirementFacts, { readonly kind: R['kind'] }>;
  /** The whole requirement in one phrase, its strong parts marked: `15 days at 55 °C and 5 turnings`. */
  askedText(v: FactsOf<R['kind']>, locale: Locale): string;
  /** What was reached, behind 'Proven'. */
  reachedText(v: FactsOf<R['kind']>, locale: Locale): string;
  /** Behind the missing time: inside which longer time it must lie. */
  insideText?(v: FactsOf<R['kind']>, locale: Locale): string;
  /** Missing turnings, where they are not just so many more. */
  turnsOwed?(v: FactsOf<R['kind']>, turns: number, timeMissing: boolean): string;
  /** What is owed beside time and turnings, marked; null: nothing. */
  otherwiseOwed?(v: FactsOf<R['kind']>, locale: Locale, timeMissing: boolean): string | null;
  readonly form: RequirementForm<R>;
};
