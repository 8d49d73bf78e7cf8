/** A handful after a hard squeeze, in four steps: what it does, and what that means (common practice). */
export const SQUEEZE_WORDS = {
  crumbles: { word: 'Crumbles', means: 'too dry', log: 'crumbles: too dry' },
  holds: { word: 'Holds', means: 'no drop: a little dry', log: 'holds, no drop: a little dry' },
  drops: { word: 'A drop or two', means: 'right', log: 'a drop or two: right' },
  runs: { word: 'Runs out', means: 'too wet', log: 'runs out: too wet' },
} as const;
export type Squeeze = keyof typeof SQUEEZE_WORDS;

/** What a heap smells of; none is a finding too. */
export const SMELL_WORDS = {
  none: 'None',
  earthy: 'Earthy',
  sweet: 'Sweet',
  ammonia: 'Ammonia',
  sour: 'Sour',
  rotten: 'Rotten',
  burnt: 'Burnt',
} as const;
export type Smell = keyof typeof SMELL_WORDS;

/** The keys of a table of words, in its order. */
export const keysOf = <T extends object>(words: T): (keyof T & string)[] =>
  Object.keys(words) as (keyof T & string)[];
