import { say } from '../../messages/say';

/** Words of lots after the heat: their kinds and uses, tests, decisions, what was found. */

/** What a log says of a lot that begins, by its kind. */
export const LOT_BEGAN_WORDS = {
  get curing() {
    return say('lots.lotBeganCuring');
  },
  get fines() {
    return say('lots.lotBeganFines');
  },
  get overs() {
    return say('lots.lotBeganOvers');
  },
  get product() {
    return say('lots.lotBeganOther');
  },
} as const;

/** How something left, by the way it took. */
export const WENT_OUT_WORDS = {
  get bed() {
    return say('lots.wentOutBed');
  },
  get sold() {
    return say('lots.wentOutSold');
  },
  get shared() {
    return say('lots.wentOutShared');
  },
  get given() {
    return say('lots.wentOutGiven');
  },
  get discarded() {
    return say('lots.wentOutDiscarded');
  },
  get lost() {
    return say('lots.wentOutOther');
  },
} as const;

/** What a test of maturity is called. */
export const TEST_WORDS = {
  get reheat() {
    return say('lots.testedReheat');
  },
  get flask() {
    return say('lots.testedFlask');
  },
  get germination() {
    return say('lots.testedGermination');
  },
  get seedlings() {
    return say('lots.testedSeedlings');
  },
  get sprout() {
    return say('lots.testedSprout');
  },
  get bag() {
    return say('lots.testedBag');
  },
  get looks() {
    return say('lots.testedLooks');
  },
  get respiration() {
    return say('lots.testedOther');
  },
} as const;

/** What was decided about a lot. */
export const DECISION_WORDS = {
  get released() {
    return say('lots.decidedReleased');
  },
  get hold() {
    return say('lots.decidedHold');
  },
  get refused() {
    return say('lots.decidedOther');
  },
} as const;

/** What came of something that went out. */
export const OUTCOME_WORDS = {
  get good() {
    return say('lots.outcomeGood');
  },
  get poor() {
    return say('lots.outcomePoor');
  },
  get weeds() {
    return say('lots.outcomeWeeds');
  },
  get damage() {
    return say('lots.outcomeDamage');
  },
  get complaint() {
    return say('lots.outcomeOther');
  },
} as const;

/** What a kind of lot is called. */
export const LOT_KIND_WORDS = {
  get curing() {
    return say('lots.kindCuring');
  },
  get fines() {
    return say('lots.kindFines');
  },
  get overs() {
    return say('lots.kindOvers');
  },
  get product() {
    return say('lots.kindOther');
  },
} as const;

/** What may be asked of a lot. */
export const RELEASE_ITEM_WORDS = {
  get 'germ-rule'() {
    return say('lots.itemGerms');
  },
  get 'seed-rule'() {
    return say('lots.itemSeeds');
  },
  get 'heated-throughout'() {
    return say('lots.itemHeated');
  },
  get 'curing-days'() {
    return say('lots.itemDays');
  },
  get maturity() {
    return say('lots.itemMaturity');
  },
  get limits() {
    return say('lots.itemLimits');
  },
  get bioassay() {
    return say('lots.itemBioassay');
  },
  get screened() {
    return say('lots.itemScreened');
  },
  get covered() {
    return say('lots.itemOther');
  },
} as const;

/** What a use is called. */
export const USE_WORDS = {
  get mulch() {
    return say('lots.useMulch');
  },
  get 'beds-before-planting'() {
    return say('lots.useBeds');
  },
  get 'growing-beds'() {
    return say('lots.useGrowing');
  },
  get 'potting-mix'() {
    return say('lots.usePotting');
  },
  get 'seed-mix'() {
    return say('lots.useSeed');
  },
  get 'bulk-sale'() {
    return say('lots.useBulk');
  },
  get 'bag-sale'() {
    return say('lots.useBag');
  },
  get 'given-away'() {
    return say('lots.useOther');
  },
} as const;

/** What a test says. */
export const TEST_OUTCOME_WORDS = {
  get pass() {
    return say('lots.testSaysPass');
  },
  get fail() {
    return say('lots.testSaysFail');
  },
  get invalid() {
    return say('lots.testSaysInvalid');
  },
  get open() {
    return say('lots.testSaysOther');
  },
} as const;

/** On which matter a laboratory’s figure is based. */
export const BASIS_WORDS = {
  get dry() {
    return say('lots.basisDry');
  },
  get fresh() {
    return say('lots.basisOther');
  },
} as const;

/** What a lot asks for. */
export const LOT_DUE_WORDS = {
  get look() {
    return say('lots.dueLook');
  },
  get water() {
    return say('lots.dueWater');
  },
  get cover() {
    return say('lots.dueOther');
  },
} as const;

/** What a test asks for when its days are over. */
export const TEST_DUE_WORDS = {
  get flask() {
    return say('lots.dueTestFlask');
  },
  get germination() {
    return say('lots.dueTestGermination');
  },
  get seedlings() {
    return say('lots.dueTestSeedlings');
  },
  get sprout() {
    return say('lots.dueTestSprout');
  },
  get bag() {
    return say('lots.dueTestBag');
  },
  get other() {
    return say('lots.dueTestOther');
  },
} as const;

/** Families of crops, by what is grown of them. */
export const CROP_FAMILY_WORDS = {
  get brassicas() {
    return say('lots.familyBrassicas');
  },
  get nightshades() {
    return say('lots.familyNightshades');
  },
  get alliums() {
    return say('lots.familyAlliums');
  },
  get cucurbits() {
    return say('lots.familyCucurbits');
  },
  get legumes() {
    return say('lots.familyLegumes');
  },
  get umbellifers() {
    return say('lots.familyUmbellifers');
  },
  get beets() {
    return say('lots.familyBeets');
  },
  get composites() {
    return say('lots.familyOther');
  },
} as const;

/** Why something should not go out yet. */
export const OUT_DOUBT_WORDS = {
  get 'not-released'() {
    return say('lots.doubtNone');
  },
  get 'on-hold'() {
    return say('lots.doubtHold');
  },
  get refused() {
    return say('lots.doubtRefused');
  },
  get 'in-question'() {
    return say('lots.doubtOther');
  },
  get 'other-use'() {
    return say('lots.doubtUse');
  },
} as const;

/** What a log says of something that went out although it should not have. */
export const OUT_ALTHOUGH_WORDS = {
  get 'not-released'() {
    return say('lots.outWithoutRelease');
  },
  get 'on-hold'() {
    return say('lots.outOnHold');
  },
  get refused() {
    return say('lots.outRefused');
  },
  get 'in-question'() {
    return say('lots.outQuestioned');
  },
  get 'other-use'() {
    return say('lots.outForOtherUse');
  },
} as const;
