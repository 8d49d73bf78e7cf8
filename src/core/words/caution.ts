import { say } from '../../messages/say';
/** Cautions of the trade, one sentence each, shown where the work is. */
export const CAUTION = {
  get steam() {
    return say('terms.steamHotCoreBurnWear');
  },
  get danger() {
    return say('terms.keepPeopleBackDoNot');
  },
  get spores() {
    return say('terms.turningDryCompostThrowsUp');
  },
  get burnt() {
    return say('terms.aBurntSmellCanMean');
  },
  get split() {
    return say('terms.splittingLetsAirIntoVery');
  },
  get machine() {
    return say('terms.keepPeopleClearLoaderLet');
  },
  get lift() {
    return say('terms.forkingHeavySmallLoadsTwo');
  },
  get food() {
    return say('terms.ratsCarryDiseaseWearGloves');
  },
  get unproven() {
    return say('terms.compostHasNotMetRule');
  },
  get coldHeap() {
    return say('terms.seedsRootsPlantDiseaseSurvive');
  },
  get raw() {
    return say('terms.rawManureLeachateCarryPathogens');
  },
} as const;
