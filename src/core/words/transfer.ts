import { say } from '../../messages/say';
/** What leaves one heap and goes into another, as people call it. */
export const TRANSFER_WORDS = {
  leachate: {
    get name() {
      return say('terms.leachate');
    },
    get hint() {
      return say('terms.rawStartsHotBatchsClock');
    },
  },
  rinsings: {
    get name() {
      return say('terms.rinseWater');
    },
    get hint() {
      return say('terms.rawLikeWhatRinsed');
    },
  },
  overs: {
    get name() {
      return say('terms.overs');
    },
    get hint() {
      return say('terms.whatScreenHeldBack');
    },
  },
  char: {
    get name() {
      return say('terms.chargedBiochar');
    },
    get hint() {
      return say('terms.cleanUnlessWasChargedIn');
    },
  },
  other: {
    get name() {
      return say('terms.somethingElse');
    },
    get hint() {
      return say('terms.countsAsRaw');
    },
  },
} as const;
