import { say } from '../../messages/say';
/** Cautions of the trade, one sentence each, shown where the work is. */
export const CAUTION = {
  get steam() {
    return say('terms.steamAndAHotCoreBurnGloves');
  },
  get danger() {
    return say('terms.keepPeopleBackAndDoNotOpen');
  },
  get spores() {
    return say('terms.dryTurningThrowsUpDustAndSpores');
  },
  get burnt() {
    return say('terms.aBurntSmellCanMeanASmoulder');
  },
  get split() {
    return say('terms.splittingLetsAirIntoAVeryHot');
  },
  get machine() {
    return say('terms.keepPeopleClearOfTheLoaderAnd');
  },
  get lift() {
    return say('terms.forkingIsHeavySmallLoadsTwoPeople');
  },
  get food() {
    return say('terms.ratsCarryDiseaseGlovesAndKeepWhat');
  },
  get unproven() {
    return say('terms.unprovenCompostMayCarryGermsAndLive');
  },
  get rawOut() {
    return say('terms.unprovenItCountsAsRawManureWhere');
  },
  get warmOut() {
    return say('terms.doNotStackOrBagItWarm');
  },
  get coldHeap() {
    return say('terms.seedsRootsAndPlantDiseaseLiveThrough');
  },
  get raw() {
    return say('terms.rawManureAndLeachateCarryGermsGloves');
  },
} as const;
