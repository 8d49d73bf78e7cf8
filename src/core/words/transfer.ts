import { say } from '../../messages/say';
/** What leaves one heap and goes into another, as people call it. */
export const TRANSFER_WORDS = {
  leachate: {
    get name() {
      return say('terms.leachate');
    },
    get hint() {
      return say('terms.rawItStartsAHotHeapsClock');
    },
  },
  rinsings: {
    get name() {
      return say('terms.rinseWater');
    },
    get hint() {
      return say('terms.rawAsWhatItRinsed');
    },
  },
  overs: {
    get name() {
      return say('terms.overs');
    },
    get hint() {
      return say('terms.whatTheScreenKeptBack');
    },
  },
  char: {
    get name() {
      return say('terms.chargedChar');
    },
    get hint() {
      return say('terms.cleanUnlessItWasChargedInSomething');
    },
  },
  other: {
    get name() {
      return say('terms.somethingElse');
    },
    get hint() {
      return say('terms.takenAsRaw');
    },
  },
} as const;
