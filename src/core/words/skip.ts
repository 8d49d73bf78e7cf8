import { say } from '../../messages/say';
/** Why a heap or a place was left out of a round. */
export const SKIP_WORDS = {
  get 'no-time'() {
    return say('terms.noTime');
  },
  get 'just-turned'() {
    return say('terms.justTurned');
  },
  get 'not-reachable'() {
    return say('terms.couldNotBeReached');
  },
  get 'too-hot'() {
    return say('terms.tooHotGoNear');
  },
  get thermometer() {
    return say('terms.thermometerFailed');
  },
  get other() {
    return say('terms.anotherReason');
  },
} as const;
export type SkipReason = keyof typeof SKIP_WORDS;
