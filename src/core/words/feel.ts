import { say } from '../../messages/say';
/** A handful after a hard squeeze, in four steps: what it does, and what that means (common practice). */
export const SQUEEZE_WORDS = {
  crumbles: {
    get word() {
      return say('terms.crumbles');
    },
    get means() {
      return say('terms.tooDry');
    },
    get log() {
      return say('terms.crumblesTooDry');
    },
  },
  holds: {
    get word() {
      return say('terms.holdsNoDrops');
    },
    get means() {
      return say('terms.aLittleDry');
    },
    get log() {
      return say('terms.holdsNoDropsLittleDry');
    },
  },
  drops: {
    get word() {
      return say('terms.aDropOrTwo');
    },
    get means() {
      return say('terms.right');
    },
    get log() {
      return say('terms.aDropOrTwoRight');
    },
  },
  runs: {
    get word() {
      return say('terms.runs');
    },
    get means() {
      return say('terms.tooWet');
    },
    get log() {
      return say('terms.runsTooWet');
    },
  },
} as const;
export type Squeeze = keyof typeof SQUEEZE_WORDS;

/** What a heap smells of; none is a finding too. */
export const SMELL_WORDS = {
  get none() {
    return say('terms.none');
  },
  get earthy() {
    return say('terms.earthy');
  },
  get sweet() {
    return say('terms.sweet');
  },
  get ammonia() {
    return say('terms.ammonia');
  },
  get sour() {
    return say('terms.sour');
  },
  get rotten() {
    return say('terms.rotten');
  },
  get burnt() {
    return say('terms.burnt');
  },
} as const;
export type Smell = keyof typeof SMELL_WORDS;

/** The keys of a table of words, in its order. */
export const keysOf = <T extends object>(words: T): (keyof T & string)[] =>
  Object.keys(words) as (keyof T & string)[];
