import { say } from '../../../messages/say';
import type { EntryKind } from '../entry';
import type { LotEntryKind } from './waiting-lots';

/** Kinds that a form of their own writes; a witness is written by the device itself, others by the installation; an inspector's link and a check of an entry are named where they are made. */
type FormKind = Exclude<
  EntryKind,
  | LotEntryKind
  | 'witness'
  | 'inspection'
  | 'entry-check'
  | 'trainee-policy'
  | 'signed-from'
  | 'restored'
  | 'fault-noted'
  | 'question-closed'
>;

/**
 * The name of each kind in the list of what waits on a device. It stands apart from the rest of a kind's description, since a
 * page that logs needs this alone, and not the shapes of all data.
 */
export const WAITING_NAMES: Readonly<Record<FormKind, string>> = {
  get acceptance() {
    return say('log.whatWeAccept2');
  },
  get addition() {
    return say('log.kindAddition');
  },
  get ambient() {
    return say('log.kindAmbient');
  },
  get assign() {
    return say('log.kindAssign');
  },
  get 'bay-wanted'() {
    return say('log.bayNeeded2');
  },
  get built() {
    return say('log.kindBuilt');
  },
  get charge() {
    return say('log.wentIn3');
  },
  get chore() {
    return say('log.kindChore');
  },
  get correction() {
    return say('log.kindCorrection');
  },
  get cover() {
    return say('log.kindCover');
  },
  get cure() {
    return say('log.curingStarted2');
  },
  get defer() {
    return say('log.postponed2');
  },
  get ended() {
    return say('log.kindEnded');
  },
  get 'fire-card'() {
    return say('log.firePlan2');
  },
  get fix() {
    return say('log.kindFix');
  },
  get hold() {
    return say('log.kindHold');
  },
  get instrument() {
    return say('log.kindInstrument');
  },
  get 'lay-up'() {
    return say('log.buildSheet2');
  },
  get 'load-change'() {
    return say('log.loadChanged2');
  },
  get 'load-heat'() {
    return say('log.stackTemperature2');
  },
  get load() {
    return say('log.kindLoad');
  },
  get material() {
    return say('log.kindMaterial');
  },
  get measures() {
    return say('log.kindMeasures');
  },
  get merge() {
    return say('log.kindMerge');
  },
  get method() {
    return say('log.kindMethod');
  },
  get moisture() {
    return say('log.kindMoisture');
  },
  get move() {
    return say('log.kindMove');
  },
  get note() {
    return say('log.kindNote');
  },
  get observation() {
    return say('log.moistureAndSmell');
  },
  get opened() {
    return say('log.kindOpened');
  },
  get photo() {
    return say('log.kindPhoto');
  },
  get plan() {
    return say('log.kindPlan');
  },
  get position() {
    return say('log.location2');
  },
  get 'probe-check'() {
    return say('log.thermometerCheck');
  },
  get ready() {
    return say('log.kindReady');
  },
  get recipe() {
    return say('log.kindRecipe');
  },
  get release() {
    return say('log.released2');
  },
  get 'round-settings'() {
    return say('log.kindRoundSettings');
  },
  get round() {
    return say('log.kindRound');
  },
  get rule() {
    return say('log.kindRule');
  },
  get screen() {
    return say('log.kindScreen');
  },
  get 'site-map'() {
    return say('log.kindSiteMap');
  },
  get 'site-terms'() {
    return say('log.rulesOfTheSite');
  },
  get size() {
    return say('log.kindSize');
  },
  get skip() {
    return say('log.skippedAtACheck2');
  },
  get split() {
    return say('log.splitOff2');
  },
  get stack() {
    return say('log.kindStack');
  },
  get template() {
    return say('log.kindTemplate');
  },
  get terms() {
    return say('log.rulesAndPolicy');
  },
  get transfer() {
    return say('log.removed2');
  },
  get turn() {
    return say('log.kindTurn');
  },
  get 'walk-order'() {
    return say('log.orderOfTheWalk2');
  },
  get water() {
    return say('log.kindWater');
  },
  get work() {
    return say('log.kindWork');
  },
};
