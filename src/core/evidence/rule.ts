import type { Clock, Method } from './types';

/** Time at or above a floor, with turnings. Hours are elapsed hours; with counting days each hot day earns 24. */
export type Hold = {
  readonly kind: 'hold';
  readonly floorC: number;
  readonly ceilingC?: number | undefined;
  readonly hours: number;
  readonly consecutive: boolean;
  readonly turnings: number;
};

export type Requirement =
  | Hold
  | { readonly kind: 'staged'; readonly floorC: number; readonly ceilingC?: number | undefined; readonly holdHours: number; readonly stages: number }
  | { readonly kind: 'anyOf' | 'allOf'; readonly of: readonly Requirement[] }
  | { readonly kind: 'within'; readonly outer: Hold; readonly inner: Hold }
  | { readonly kind: 'meanAbove'; readonly floorC: number; readonly hours: number; readonly meanC: number };

/** A rule is data (contract, section 9). */
export type Rule = {
  readonly id: string;
  readonly title: string;
  /** A jurisdiction, or 'common practice'. */
  readonly jurisdiction: string;
  readonly document: string;
  readonly section?: string | undefined;
  readonly year?: number | undefined;
  /** The value was written down from memory and wants checking against the document. */
  readonly fromMemory: boolean;
  readonly methods: readonly Method[];
  readonly clock: Clock;
  readonly requirement: Requirement;
  /** What the rule asks for beside temperatures; shown, not reckoned. */
  readonly conditions: readonly string[];
  readonly caution?: string | undefined;
};

/** A rule whose requirement this version can reckon. */
export type SupportedRule = Rule & { readonly requirement: Hold };

export const isSupported = (rule: Rule): rule is SupportedRule => rule.requirement.kind === 'hold';
