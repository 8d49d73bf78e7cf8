import { currentUnits, say } from '../../messages/say';
import { fromBase, unitOf } from '../units/units';
import type { AcceptanceAnswer, LoadState, Particle, Risk, Role } from '../log/store-shapes';
import { ageText, dayText, listText, upperFirst } from '../quantity/format';
import { MS } from '../quantity/instant';
import { kgText, litresText, measureText } from '../words/amount';
import type { Locale } from '../words/note';
import type { FigureFrom } from './ingredient';
import type { CnFinding } from './initial-cn';
import { isLacking, type Est, type Mix } from './mix';
import type { MixApproach, ApproachAdvice } from './approaches';
import type { Limit, SolvedMix } from './solve';
import type { StockLoad } from './store';
import {
  estOf,
  windowPositionOf,
  WINDOWS,
  type WindowPosition,
  type WindowId,
  isBelow,
} from './window';
import { firstOf } from '../quantity/present';

/** The texts of materials, mixes and building. */

export const ROLE_WORDS: Readonly<Record<Role, { readonly one: string; readonly many: string }>> = {
  green: {
    one: 'green',
    get many() {
      return say('mix.greens');
    },
  },
  brown: {
    one: 'brown',
    get many() {
      return say('mix.browns');
    },
  },
  structure: {
    one: 'structure',
    get many() {
      return say('mix.structure');
    },
  },
  activator: {
    one: 'activator',
    get many() {
      return say('mix.activators');
    },
  },
  mineral: {
    one: 'mineral',
    get many() {
      return say('mix.mineralsBiochar');
    },
  },
  finished: {
    get one() {
      return say('mix.finishedCompost');
    },
    get many() {
      return say('mix.finishedCompost2');
    },
  },
  liquid: {
    one: 'liquid',
    get many() {
      return say('mix.liquids');
    },
  },
};
/** What a role does, for whoever meets the word first. */
export const ROLE_MEANS: Readonly<Record<Role, string>> = {
  get green() {
    return say('mix.bringsNitrogen');
  },
  get brown() {
    return say('mix.bringsCarbon');
  },
  get structure() {
    return say('mix.keepAirPathsOpen');
  },
  get activator() {
    return say('mix.aLittleGoesLongWay');
  },
  get mineral() {
    return say('mix.bringAlmostNoCarbon');
  },
  get finished() {
    return say('mix.finishedForStarterOrCover');
  },
  get liquid() {
    return say('mix.wetThePile');
  },
};
export const STATE_WORDS: Readonly<Record<LoadState, string>> = {
  get fresh() {
    return say('mix.fresh');
  },
  get dried() {
    return say('mix.dried');
  },
  get frozen() {
    return say('mix.frozen');
  },
  get fermenting() {
    return say('mix.fermenting');
  },
  get soaked() {
    return say('mix.soaked');
  },
  get aged() {
    return say('mix.aged');
  },
  get charged() {
    return say('mix.charged');
  },
};
export const RISK_WORDS: Readonly<Record<Risk, string>> = {
  get 'raw-animal'() {
    return say('mix.rawAnimal');
  },
  get food() {
    return say('mix.food');
  },
  get seeds() {
    return say('mix.seedsOrRoots');
  },
  get disease() {
    return say('mix.plantDisease');
  },
  get chemical() {
    return say('mix.chemicals');
  },
  get sharps() {
    return say('mix.sharpsPlastic');
  },
  get sludge() {
    return say('mix.sewageSludge');
  },
  get 'by-product'() {
    return say('mix.animalByProduct');
  },
  get dust() {
    return say('mix.dustOrAllergens');
  },
};
export const PARTICLE_WORDS: Readonly<Record<Particle, string>> = {
  get paste() {
    return say('mix.paste');
  },
  get fine() {
    return say('mix.fine');
  },
  get medium() {
    return say('mix.medium');
  },
  get coarse() {
    return say('mix.coarse');
  },
  get long() {
    return say('mix.long');
  },
  get liquid() {
    return say('mix.liquid');
  },
};
export const ANSWER_WORDS: Readonly<
  Record<AcceptanceAnswer, { readonly says: string; readonly mark: string }>
> = {
  accept: {
    get says() {
      return say('mix.accept');
    },
    get mark() {
      return say('mix.accepted');
    },
  },
  ask: {
    get says() {
      return say('mix.askFirst');
    },
    get mark() {
      return say('mix.onHoldUntilAnswered');
    },
  },
  refuse: {
    get says() {
      return say('mix.refuse');
    },
    mark: 'refused',
  },
};
/** Where a figure of a material comes from. */
export const fromText = ({ by, words }: FigureFrom): string =>
  by === 'table'
    ? words
    : by === 'test'
      ? say('mix.measured', {
          testwords: (TEST_WORDS as Partial<Record<string, string>>)[words] ?? words,
        })
      : `laboratory${words === 'laboratory' ? '' : `, ${words}`}`;
const TEST_WORDS = {
  get bucket() {
    return say('mix.bucketTest');
  },
  get drying() {
    return say('mix.dryingTest');
  },
  get squeeze() {
    return say('mix.squeezeTest');
  },
  laboratory: 'laboratory',
} as const;
export const END_OF_LOAD = {
  get discarded() {
    return say('mix.thrownAway');
  },
  get spread() {
    return say('mix.spreadOnLand');
  },
  sold: 'sold',
  get returned() {
    return say('mix.sentBack');
  },
  get 'counted-out'() {
    return say('mix.usedUpByCount');
  },
  get used() {
    return say('mix.usedUp');
  },
} as const;

/** What a load may ripen into, what that is called, and how long it takes as a rule, days (common practice). */
export const RIPENING = {
  dried: {
    get doing() {
      return say('mix.drying');
    },
    days: 5,
  },
  soaked: {
    get doing() {
      return say('mix.soaking');
    },
    days: 2,
  },
  fermenting: {
    get doing() {
      return say('mix.fermentingInSealedBuckets');
    },
    days: 14,
  },
  charged: {
    get doing() {
      return say('mix.chargingBiochar');
    },
    days: 14,
  },
  aged: {
    get doing() {
      return say('mix.agingInTheStack');
    },
    days: 90,
  },
} as const;
export type Ripening = keyof typeof RIPENING;

/** An age in days, in hours at first: `7 h`, `22 d`. */
export const oldText = (ms: number): string =>
  ms < 2 * MS.day ? ageText(ms / MS.hour) : `${Math.floor(ms / MS.day)} d`;
/** A load where it is to be chosen: `dried, 810 L left, 22 d old, ready from Thu 21 May`. */
export const stockText = (
  l: StockLoad,
  { timeZone, now }: Pick<Locale, 'timeZone' | 'now'>,
): string =>
  [
    l.state === 'fresh' ? null : STATE_WORDS[l.state],
    l.leftLitres === null
      ? say('mix.amountNotKnown')
      : say('mix.left', { leftLitres: litresText(l.leftLitres) }),
    say('mix.old', { old: oldText(now - l.at) }),
    l.readyFrom !== null && l.readyFrom > now
      ? say('mix.readyFrom', { readyFrom: dayText(timeZone, l.readyFrom) })
      : null,
  ]
    .filter(Boolean)
    .join(', ');

const SAYS: Readonly<
  Record<WindowId, Readonly<Record<Exclude<WindowPosition, 'unknown' | 'preferred'>, string>>>
> = {
  cn: {
    get 'too-low'() {
      return say('mix.itWouldHeatUpBut');
    },
    get low() {
      return say('mix.aLittleHighInNitrogen');
    },
    get high() {
      return say('mix.aLittleLowInNitrogen');
    },
    get 'too-high'() {
      return say('mix.itWouldHardlyHeatToo');
    },
  },
  moisture: {
    get 'too-low'() {
      return say('mix.itTooDryWork');
    },
    get low() {
      return say('mix.itLittleDry');
    },
    get high() {
      return say('mix.itLittleWet');
    },
    get 'too-high'() {
      return say('mix.itTooWetWouldGo');
    },
  },
  density: {
    get 'too-low'() {
      return say('mix.itSoLooseWouldNot');
    },
    get low() {
      return say('mix.itIsLoose');
    },
    get high() {
      return say('mix.itIsRatherDense');
    },
    get 'too-high'() {
      return say('mix.itTooDenseForAir');
    },
  },
  air: {
    get 'too-low'() {
      return say('mix.airWouldNotGetThrough');
    },
    get low() {
      return say('mix.itHasLittleAir');
    },
    get high() {
      return say('mix.itIsAiry');
    },
    get 'too-high'() {
      return say('mix.itSoAiryWouldCool');
    },
  },
};
/** A little looser or airier than is wanted does no harm that anybody would notice (common practice). */
const isSlight = (id: WindowId, value: number): boolean =>
  (id === 'air' && value > 60 && value <= 65) || (id === 'density' && value >= 250 && value < 300);
/** Which is told first. */
const ORDER: readonly WindowId[] = ['cn', 'moisture', 'density', 'air'];
const BAD: ReadonlySet<WindowPosition> = new Set<WindowPosition>(['too-low', 'too-high']);

/** What is to be thought of a mix, in a sentence or two. */
export function mixSays(mix: Mix): string {
  const cn = mix.cn;
  if (mix.shares.length === 0) return say('mix.itEmptyAddWhatYou');
  if (!cn.ok && cn.known)
    return say('mix.countBucketsOrTestLoad', { known: knownText('cn', cn.known, cn.missing) });
  if (!cn.ok)
    return say('mix.cannotWorkedOutIsnotNot', {
      missing: listText(cn.missing),
      isLacking: cn.missing.every(isLacking) ? 'none' : cn.missing.length === 1 ? 'isNot' : 'other',
      isLacking2: cn.missing.some(isLacking) ? 'addSomething' : 'other',
    });
  const at = ORDER.flatMap((id) => {
    const e = estOf(mix[id]);
    const s = e ? windowPositionOf(WINDOWS[id], e.value) : 'unknown';
    return s === 'unknown' || s === 'preferred' || isSlight(id, e!.value) ? [] : [{ id, s }];
  });
  // Loose and airy say the same, and so do dense and airless.
  const told = at.filter(
    (x) =>
      !(x.id === 'air' && at.some((y) => y.id === 'density')) &&
      !(
        (x.id === 'density' || x.id === 'air') &&
        (x.s === 'low' || (x.id === 'air' && x.s === 'high'))
      ),
  );
  const worst = [...told.filter((x) => BAD.has(x.s)), ...told.filter((x) => !BAD.has(x.s))].slice(
    0,
    2,
  );
  if (worst.length === 0 && at.length > 0)
    return say('mix.carbonNitrogenWaterRightBut', {
      says: SAYS[firstOf(at).id][firstOf(at).s],
    });
  if (worst.length === 0) return say('mix.aGoodMixIfPile');
  const [first, second] = worst.map((x) => SAYS[x.id][x.s]) as [string, string?];
  const balanced = !at.some((x) => x.id === 'cn');
  const [{ id, s }] = worst as [(typeof worst)[number]];
  // All but this one speak of the mix itself, and can stand behind 'but'.
  const speaksOfAir = id === 'air' && s === 'too-low';
  const start =
    balanced && !speaksOfAir ? say('mix.carbonNitrogenBalancedBut', { first }) : upperFirst(first);
  return `${start}${second ? `. ${upperFirst(second)}` : ''}.`;
}

/** What is known of a mix of which a part is not: the known part with its band, and what is not in it. */
function knownText(id: WindowId, known: Est, missing: readonly string[]): string {
  const { low, value, high } = known;
  const band =
    high - low > 10 ** -WINDOWS[id].digits
      ? say('mix.to', { id: windowFigure(id, low), id2: windowFigure(id, high) })
      : '';
  return say('mix.ofWhatKnownNotIncluded', {
    nameinshort: NAME_IN_SHORT[id],
    id: windowFigure(id, value),
    unitinshort: UNIT_IN_SHORT[id],
    band,
    missing: listText(missing),
  });
}

/** `28.7`, `59`: a figure of a window. */
export const windowFigure = (id: WindowId, value: number): string =>
  (id === 'density' ? fromBase('density', value, currentUnits()) : value).toFixed(
    WINDOWS[id].digits,
  );
/** An end of a window, without digits that say nothing: `25`, `506`. */
export const windowEnd = (id: WindowId, value: number): string =>
  String(Number(windowFigure(id, value)));
/** A window from its lower to its upper end: `25 to 30`. */
export const windowRange = (id: WindowId, [low, high]: readonly [number, number]): string =>
  say('units.fromTo', { low: windowEnd(id, low), high: windowEnd(id, high) });
const IN_SHORT: Readonly<Record<Exclude<WindowPosition, 'unknown'>, string>> = {
  preferred: '✓',
  low: 'low',
  high: 'high',
  get 'too-low'() {
    return say('mix.tooLow');
  },
  get 'too-high'() {
    return say('mix.tooHigh');
  },
};
const NAME_IN_SHORT: Readonly<Record<WindowId, string>> = {
  cn: 'C:N',
  get moisture() {
    return say('mix.moistureContent');
  },
  get density() {
    return say('mix.density');
  },
  get air() {
    return say('mix.air2');
  },
};
const UNIT_IN_SHORT: Readonly<Record<WindowId, string>> = {
  cn: '',
  moisture: ' %',
  get density() {
    return ` ${unitOf('density', currentUnits()).sign}`;
  },
  air: ' %',
};
/** A figure and how it stands, where there is room for no more: `22.2 low`, `55 % ✓`. */
export function windowInShort(id: WindowId, mix: Mix): string {
  const e = estOf(mix[id]);
  return e === null
    ? say('mix.notKnown')
    : `${windowFigure(id, e.value)}${UNIT_IN_SHORT[id]} ${IN_SHORT[windowPositionOf(WINDOWS[id], e.value)]}`;
}
/** What stands under a window. */
export function windowSays(id: WindowId, mix: Mix): string {
  const f = mix[id];
  if (mix.shares.length === 0)
    return say('mix.bestStillWorks', {
      preferred: windowRange(id, WINDOWS[id].preferred),
      reasonable: windowRange(id, WINDOWS[id].reasonable),
    });
  if (!f.ok)
    return f.known
      ? knownText(id, f.known, f.missing)
      : say('mix.cannotBeWorkedOut', { missing: listText(f.missing) });
  const { low, value, high } = f.est;
  const s = windowPositionOf(WINDOWS[id], value);
  const band =
    high - low > 10 ** -WINDOWS[id].digits
      ? say('mix.itMayBeTo', { id: windowFigure(id, low), id2: windowFigure(id, high) })
      : '';
  return `${band}${s === 'preferred' || isSlight(id, value) ? NEAR[id] : WHY[id][isBelow(s) ? 'low' : 'high']}`;
}
const NEAR: Readonly<Record<WindowId, string>> = {
  get cn() {
    return say('mix.theRangeMostGrowersAim');
  },
  get moisture() {
    return say('mix.likeWrungOutSponge');
  },
  get density() {
    return say('mix.looseEnoughForAir');
  },
  get air() {
    return say('mix.airGetsThrough');
  },
};
const WHY: Readonly<Record<WindowId, { readonly low: string; readonly high: string }>> = {
  cn: {
    get low() {
      return say('mix.below25NitrogenLeavesAs');
    },
    get high() {
      return say('mix.above30HeatsMoreSlowly');
    },
  },
  moisture: {
    get low() {
      return say('mix.below50MicrobesRunShort');
    },
    get high() {
      return say('mix.above60PoresFillWith');
    },
  },
  density: {
    get low() {
      return say('mix.looseSettlesFastLosesHeat');
    },
    get high() {
      return say('mix.denseMoreStructureLetsAir');
    },
  },
  air: {
    get low() {
      return say('mix.belowThirdAirDoesNot');
    },
    get high() {
      return say('mix.veryOpenDriesCools');
    },
  },
};

export const SCHOOL_NAMES: Readonly<Record<MixApproach, string>> = {
  get 'by-weight'() {
    return say('mix.cNByWeight');
  },
  get '1:1'() {
    return say('mix.n1Green1Brown');
  },
  get '1:2'() {
    return say('mix.n1Green2Brown');
  },
  get '1:3'() {
    return say('mix.n1Green3Brown');
  },
  get cover() {
    return say('mix.coverAndSmell');
  },
};
const SCHOOL_FITS: Readonly<Record<MixApproach, string>> = {
  get 'by-weight'() {
    return say('mix.fits25To30');
  },
  get '1:1'() {
    return say('mix.fits');
  },
  get '1:2'() {
    return say('mix.fits');
  },
  get '1:3'() {
    return say('mix.fits');
  },
  get cover() {
    return say('mix.enoughBrownsCoverEveryLayer');
  },
};
/** What a school says of the mix. @param measure that amounts are told in */
export function schoolSays(
  s: ApproachAdvice,
  measure: { readonly name: string; readonly many?: string | undefined; readonly litres: number },
): string {
  if (s.says === 'unknown') return say('mix.cannotBeWorkedOut2', { missing: listText(s.missing) });
  if (s.says === 'fits') return SCHOOL_FITS[s.school];
  const what = s.says === 'more-brown' ? say('mix.moreBrowns') : say('mix.moreGreens');
  if (s.litres === null) return say('mix.needs', { what });
  return say('mix.needs2', {
    litres: measureText(
      Math.max(0.5, Math.round((s.litres / measure.litres) * 2) / 2),
      measure.name,
      measure.many,
    ),
    what,
  });
}

const LACKS = {
  get carbon() {
    return say('mix.nothingInListBringsEnough');
  },
  get nitrogen() {
    return say('mix.nothingInListBringsEnough2');
  },
  get dry() {
    return say('mix.everythingInListTooWet');
  },
  get structure() {
    return say('mix.everythingInListTooDense');
  },
} as const;
/** Which limit binds, with what it would take instead. @param perL litres of a kilogram */
export function limitText(l: Limit, perL: number | null): string {
  if (l.code === 'NOTHING_LIKE') return LACKS[l.lacks];
  const amount = (kg: number): string =>
    kg < 0.5
      ? say('mix.none')
      : perL === null
        ? kgText(kg)
        : `${kgText(kg)}, ${litresText(kg * perL)}`;
  const takes = say('mix.itWouldTake', { wantsKg: amount(l.wantsKg) });
  switch (l.code) {
    case 'STOCK':
      return l.allowedKg < 0.5
        ? say('mix.thereIsNoneAnd', { name: l.name, takes })
        : say('mix.thereIsAnd', { name: l.name, allowedKg: amount(l.allowedKg), takes });
    case 'MOST':
      return say('mix.atMostWasAllowed', {
        name: l.name,
        allowedKg: amount(l.allowedKg),
        takes,
      });
    case 'LEAST':
      return say('mix.atLeastWasAskedFor', {
        name: l.name,
        allowedKg: amount(l.allowedKg),
        takes,
      });
    case 'FIXED':
      return say('mix.fixedAtAnd', { name: l.name, allowedKg: amount(l.allowedKg), takes });
  }
}
/** What came of solving, in a sentence. @param inSteps the same in the measures that it is carried in */
export function solvedSays(
  s: SolvedMix,
  inSteps: { readonly misses: readonly WindowId[] },
): string {
  const names = (ids: readonly WindowId[]): string =>
    listText(ids.map((m) => WINDOWS[m].name.toLowerCase()));
  if (s.reached)
    return inSteps.misses.length === 0
      ? say('mix.thisReachesTheGoal')
      : say('mix.itCanReachedByWeight', { misses: names(inSteps.misses) });
  return say('mix.theGoalCannotReachedWith', {
    misses: names(s.misses) || say('mix.theAmountWasAskedFor'),
  });
}

const ratio = (x: number): string => `${Math.round(x)}:1`;
/** What a rule that asks for an initial C:N says of a heap. */
export function initialCnText(
  asked: { readonly low: number; readonly high: number },
  found: CnFinding,
): string {
  const asks = say('mix.initialCN', { low: ratio(asked.low), high: ratio(asked.high) });
  if (found.code === 'unknown')
    return found.missing.length === 0
      ? say('mix.cannotTellBatchStillBeing', { asks })
      : say('mix.cannotTellBecauseThisNot', { asks, missing: listText(found.missing) });
  const { low, value, high } = found.est;
  const mix =
    Math.round(low) === Math.round(high)
      ? say('mix.itsMixCameTo', { value: ratio(value) })
      : say('mix.itsMixCame', {
          value: ratio(value),
          low: Math.round(low),
          high: Math.round(high),
        });
  switch (found.code) {
    case 'met':
      return say('mix.meets', { asks, mix });
    case 'not-met':
      return say('mix.doesNotMeet', { asks, mix });
    case 'unsure':
      return say('mix.notCertainLaboratoryFiguresMaterials', { asks, mix });
  }
}

export const LAYER_WORDS = {
  get base() {
    return say('mix.airyBase');
  },
  get brown() {
    return say('mix.browns2');
  },
  get green() {
    return say('mix.greens2');
  },
  get raw() {
    return say('mix.greensWithRawSeedingMaterials');
  },
  get blanket() {
    return say('mix.coverLayer');
  },
} as const;

/** Cautions of building, where the work is done. */
export const BUILD_CAUTION = {
  get raw() {
    return say('mix.rawManureOrFoodWear');
  },
  get dust() {
    return say('mix.oldHayLitterChipsFull');
  },
  get lifting() {
    return say('mix.aWheelbarrowWetManureWeighs');
  },
} as const;
/** What a team moves, in words. @param kg in all */
export const liftText = (kg: number, people: number): string =>
  say('mix.aboutMoveForEach', {
    kg: kgText(kg),
    kg2: kgText(kg / Math.max(1, people)),
    people,
    lifting: BUILD_CAUTION.lifting,
  });
