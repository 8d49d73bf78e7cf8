import type { Clock, Method } from './types';

/** Time at or above a floor, with turnings. Hours are elapsed hours; with counting days each hot day earns 24. */
export type Hold = {
  readonly kind: 'hold';
  readonly floorC: number;
  readonly ceilingC?: number | undefined;
  readonly hours: number;
  readonly consecutive: boolean;
  readonly turnings: number;
  /** While the batch is logged as dry nothing is earned: dry seeds survive heat that kills moist ones. */
  readonly moist?: boolean | undefined;
};

/** A hold before each of several full turnings. */
export type Staged = {
  readonly kind: 'staged';
  readonly floorC: number;
  readonly ceilingC?: number | undefined;
  readonly holdHours: number;
  readonly stages: number;
};
/** Inner hours inside a run of the outer hold; neither asks for turnings. */
export type Within = { readonly kind: 'within'; readonly outer: Hold; readonly inner: Hold };
/** Hours at a floor with a time-weighted mean above another figure. */
export type MeanAbove = {
  readonly kind: 'meanAbove';
  readonly floorC: number;
  readonly hours: number;
  readonly meanC: number;
};
/** A requirement that is not made of alternatives. */
export type Leaf = Hold | Staged | Within | MeanAbove;

export type Requirement =
  Leaf | { readonly kind: 'anyOf' | 'allOf'; readonly of: readonly Requirement[] };

/** The jurisdiction of what no law asks for, and the trade does. */
export const COMMON_PRACTICE = 'common practice';

/** What goes into a heap, as far as it decides which rules are proposed. */
export const INPUTS = [
  'manure',
  'seeding-weeds',
  'food-waste',
  'biosolids',
  'diseased-plants',
  'garden',
] as const;

/** A rule is data (contract, section 9). */
export type Rule = {
  readonly id: string;
  /** Standard, what it is for, and its figures: no two rules share one. */
  readonly title: string;
  /** The same in a few words, where there is little room; absent: the title. */
  readonly short?: string | undefined;
  /** A jurisdiction, or {@link COMMON_PRACTICE}. */
  readonly jurisdiction: string;
  readonly document: string;
  readonly section?: string | undefined;
  readonly year?: number | undefined;
  /** The value was written down from memory and wants checking against the document. */
  readonly fromMemory: boolean;
  readonly methods: readonly Method[];
  readonly clock: Clock;
  readonly requirement: Requirement;
  /** Written for piles that air is blown or drawn through, or vessels: not for a static pile without air. */
  readonly needsAir?: boolean | undefined;
  /** What may not go in under it. */
  readonly excludes?: readonly (typeof INPUTS)[number][] | undefined;
  /** It speaks of what draws flies and rats, not of pathogens. */
  readonly onlyVectors?: boolean | undefined;
  /** Carbon to nitrogen by weight that the first mix must lie in. */
  readonly initialCn?: { readonly low: number; readonly high: number } | undefined;
  /** What the rule asks for beside temperatures and the initial C:N; shown, not judged. */
  readonly conditions: readonly string[];
  readonly caution?: string | undefined;
};

/** Every single requirement in a rule, alternatives included. */
export const leavesOf = (r: Requirement): Leaf[] => ('of' in r ? r.of.flatMap(leavesOf) : [r]);
