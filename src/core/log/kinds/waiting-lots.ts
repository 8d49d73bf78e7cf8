import { say } from '../../../messages/say';

/** The same for kinds that speak of lots: only their pages need these. */
export const LOT_WAITING_NAMES = {
  get lot() {
    return say('lots.newLot');
  },
  get 'lot-move'() {
    return say('log.moved');
  },
  get screening() {
    return say('log.screened');
  },
  get 'lot-out'() {
    return say('lots.wentOutShort');
  },
  get 'lot-size'() {
    return say('lots.measured');
  },
  get 'lot-look'() {
    return say('lots.lookedAt');
  },
  get 'maturity-test'() {
    return say('lots.testShort');
  },
  get 'lab-sample'() {
    return say('lots.sampleDrawn');
  },
  get 'lab-report'() {
    return say('lots.resultsLogged');
  },
  get 'lot-decision'() {
    return say('lots.decisionShort');
  },
  get recall() {
    return say('lots.recalled');
  },
  get 'lot-outcome'() {
    return say('lots.outcomeShort');
  },
  get 'lot-page'() {
    return say('lots.publicPage');
  },
  get 'lot-use'() {
    return say('lots.usesAndLimits');
  },
  get 'limit-set'() {
    return say('lots.ownLimits');
  },
} as const;
/** Kinds that speak of lots after the heat. */
export type LotEntryKind = keyof typeof LOT_WAITING_NAMES;
