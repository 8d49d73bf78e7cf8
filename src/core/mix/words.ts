import type { AcceptanceAnswer, LoadState, Particle, Risk, Role } from '../log/store-shapes';
import { ageText, dayText, listText, upperFirst } from '../quantity/format';
import { MS } from '../quantity/instant';
import type { VolumeUnit } from '../quantity/units';
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
  green: { one: 'green', many: 'Greens' },
  brown: { one: 'brown', many: 'Browns' },
  structure: { one: 'structure', many: 'Structure' },
  activator: { one: 'activator', many: 'Activators' },
  mineral: { one: 'mineral', many: 'Minerals, char' },
  finished: { one: 'finished compost', many: 'Finished compost' },
  liquid: { one: 'liquid', many: 'Liquids' },
};
/** What a role does, for whoever meets the word first. */
export const ROLE_MEANS: Readonly<Record<Role, string>> = {
  green: 'brings nitrogen',
  brown: 'brings carbon',
  structure: 'keeps air paths open',
  activator: 'a little of it goes far',
  mineral: 'brings no carbon to speak of',
  finished: 'done, for seeding or cover',
  liquid: 'wets the heap',
};
export const STATE_WORDS: Readonly<Record<LoadState, string>> = {
  fresh: 'fresh',
  dried: 'dried',
  frozen: 'frozen',
  fermenting: 'fermenting',
  soaked: 'soaked',
  aged: 'aged',
  charged: 'charged',
};
export const RISK_WORDS: Readonly<Record<Risk, string>> = {
  'raw-animal': 'raw animal',
  food: 'food',
  seeds: 'seeds or roots',
  disease: 'plant disease',
  chemical: 'chemicals',
  sharps: 'sharps, plastic',
};
export const PARTICLE_WORDS: Readonly<Record<Particle, string>> = {
  paste: 'paste',
  fine: 'fine',
  medium: 'medium',
  coarse: 'coarse',
  long: 'long',
  liquid: 'liquid',
};
export const ANSWER_WORDS: Readonly<
  Record<AcceptanceAnswer, { readonly says: string; readonly mark: string }>
> = {
  accept: { says: 'Accept', mark: 'taken in' },
  ask: { says: 'Ask first', mark: 'held until it is asked' },
  refuse: { says: 'Refuse', mark: 'refused' },
};
/** Where a figure of a material comes from. */
export const fromText = ({ by, words }: FigureFrom): string =>
  by === 'table'
    ? words
    : by === 'test'
      ? `measured: ${(TEST_WORDS as Partial<Record<string, string>>)[words] ?? words}`
      : `laboratory${words === 'laboratory' ? '' : `, ${words}`}`;
const TEST_WORDS = {
  bucket: 'bucket test',
  drying: 'drying test',
  squeeze: 'squeeze test',
  laboratory: 'laboratory',
} as const;
export const END_OF_LOAD = {
  discarded: 'thrown away',
  spread: 'spread on land',
  sold: 'sold',
  returned: 'sent back',
  'counted-out': 'used up, by count',
  used: 'used up',
} as const;

/** What a load may ripen into, what that is called, and how long it takes as a rule, days (common practice). */
export const RIPENING = {
  dried: { doing: 'Drying', days: 5 },
  soaked: { doing: 'Soaking', days: 2 },
  fermenting: { doing: 'Fermenting in sealed pails', days: 14 },
  charged: { doing: 'Charging char', days: 14 },
  aged: { doing: 'Ageing in the stack', days: 90 },
} as const;
export type Ripening = keyof typeof RIPENING;

/** An age in days, in hours at first: `7 h`, `22 d`. */
export const oldText = (ms: number): string =>
  ms < 2 * MS.day ? ageText(ms / MS.hour) : `${Math.floor(ms / MS.day)} d`;
/** A load where it is to be chosen: `dried, 810 L left, 22 d old, ready from Thu 21 May`. */
export const stockText = (
  l: StockLoad,
  { timeZone, now, volume }: Pick<Locale, 'timeZone' | 'now' | 'volume'>,
): string =>
  [
    l.state === 'fresh' ? null : STATE_WORDS[l.state],
    l.leftLitres === null ? 'amount not known' : `${litresText(l.leftLitres, volume)} left`,
    `${oldText(now - l.at)} old`,
    l.readyFrom !== null && l.readyFrom > now
      ? `ready from ${dayText(timeZone, l.readyFrom)}`
      : null,
  ]
    .filter(Boolean)
    .join(', ');

const SAYS: Readonly<
  Record<WindowId, Readonly<Record<Exclude<WindowPosition, 'unknown' | 'preferred'>, string>>>
> = {
  cn: {
    'too-low': 'It would heat, but smell of ammonia: too little carbon for its nitrogen',
    low: 'A little rich: some of its nitrogen will leave as ammonia',
    high: 'A little lean: it will heat more slowly',
    'too-high': 'It would hardly heat: too little nitrogen for all that carbon',
  },
  moisture: {
    'too-low': 'it is too dry to work',
    low: 'it is a little dry',
    high: 'it is a little wet',
    'too-high': 'it is too wet and would go sour',
  },
  density: {
    'too-low': 'it is so loose that it would not hold its heat',
    low: 'it is loose',
    high: 'it lies rather tight',
    'too-high': 'it is too dense to breathe',
  },
  air: {
    'too-low': 'air would not get through it',
    low: 'it has little air',
    high: 'it is airy',
    'too-high': 'it is so airy that it would cool',
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
  if (mix.shares.length === 0) return 'Nothing is in it yet. Add what you have.';
  if (!cn.ok && cn.known)
    return `${knownText('cn', cn.known, cn.missing)} Count the buckets or test a load, and it is told of the whole.`;
  if (!cn.ok)
    return `Cannot be computed: ${listText(cn.missing)}${cn.missing.every(isLacking) ? '' : cn.missing.length === 1 ? ' is not known well enough' : ' are not known well enough'}. No figure is made up: ${cn.missing.some(isLacking) ? 'add something green' : 'count the buckets, test a load, or leave it out'}.`;
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
    return `Carbon, nitrogen and water are right, but ${SAYS[firstOf(at).id][firstOf(at).s]}: it may dry and cool fast.`;
  if (worst.length === 0) return 'A good mix. Big enough, it should be hot within three days.';
  const [first, second] = worst.map((x) => SAYS[x.id][x.s]);
  const balanced = !at.some((x) => x.id === 'cn');
  const [{ id, s }] = worst as [(typeof worst)[number]];
  // All but this one speak of the mix itself, and can stand behind 'but'.
  const speaksOfAir = id === 'air' && s === 'too-low';
  const start =
    balanced && !speaksOfAir
      ? `The balance of carbon and nitrogen is right, but ${first}`
      : upperFirst(first!);
  return `${start}${second ? `. ${upperFirst(second)}` : ''}.`;
}

/** What is known of a mix of which a part is not: the known part with its band, and what is not in it. */
function knownText(id: WindowId, known: Est, missing: readonly string[]): string {
  const { low, value, high } = known;
  const band =
    high - low > 10 ** -WINDOWS[id].digits
      ? ` (${windowFigure(id, low)} to ${windowFigure(id, high)})`
      : '';
  return `${NAME_IN_SHORT[id]} of what is known: ${windowFigure(id, value)}${UNIT_IN_SHORT[id]}${band}. Not in that figure: ${listText(missing)}.`;
}

/** `28.7`, `59`: a figure of a window. */
export const windowFigure = (id: WindowId, value: number): string =>
  value.toFixed(WINDOWS[id].digits);
const IN_SHORT: Readonly<Record<Exclude<WindowPosition, 'unknown'>, string>> = {
  preferred: '✓',
  low: 'low',
  high: 'high',
  'too-low': 'too low',
  'too-high': 'too high',
};
const NAME_IN_SHORT: Readonly<Record<WindowId, string>> = {
  cn: 'C:N',
  moisture: 'Moisture',
  density: 'Density',
  air: 'Air',
};
const UNIT_IN_SHORT: Readonly<Record<WindowId, string>> = {
  cn: '',
  moisture: ' %',
  density: ' kg/m³',
  air: ' %',
};
/** A figure and how it stands, where there is room for no more: `22.2 low`, `55 % ✓`. */
export function windowInShort(id: WindowId, mix: Mix): string {
  const e = estOf(mix[id]);
  return e === null
    ? 'not known'
    : `${windowFigure(id, e.value)}${UNIT_IN_SHORT[id]} ${IN_SHORT[windowPositionOf(WINDOWS[id], e.value)]}`;
}
/** What stands under a window. */
export function windowSays(id: WindowId, mix: Mix): string {
  const f = mix[id];
  if (mix.shares.length === 0)
    return `Wanted ${WINDOWS[id].preferred.join(' to ')}; ${WINDOWS[id].reasonable.join(' to ')} still works.`;
  if (!f.ok)
    return f.known
      ? knownText(id, f.known, f.missing)
      : `Cannot be computed: ${listText(f.missing)}.`;
  const { low, value, high } = f.est;
  const s = windowPositionOf(WINDOWS[id], value);
  const band =
    high - low > 10 ** -WINDOWS[id].digits
      ? `It may be ${windowFigure(id, low)} to ${windowFigure(id, high)}. `
      : '';
  return `${band}${s === 'preferred' || isSlight(id, value) ? NEAR[id] : WHY[id][isBelow(s) ? 'low' : 'high']}`;
}
const NEAR: Readonly<Record<WindowId, string>> = {
  cn: 'Where most schools want it.',
  moisture: 'Like a wrung sponge.',
  density: 'Loose enough to breathe.',
  air: 'Air gets through.',
};
const WHY: Readonly<Record<WindowId, { readonly low: string; readonly high: string }>> = {
  cn: { low: 'Under 25 the nitrogen leaves as ammonia.', high: 'Over 30 it warms more slowly.' },
  moisture: { low: 'Under 50 the microbes go thirsty.', high: 'Over 60 the pores fill up.' },
  density: {
    low: 'Loose: it sinks fast, and heat blows out.',
    high: 'Tight: more structure lets air in.',
  },
  air: { low: 'Under a third, air stands still.', high: 'Very open: it dries and cools.' },
};

export const SCHOOL_NAMES: Readonly<Record<MixApproach, string>> = {
  'by-weight': 'C:N by weight',
  '1:1': '1 green : 1 brown',
  '1:2': '1 green : 2 brown',
  '1:3': '1 green : 3 brown',
  cover: 'Cover and smell',
};
const SCHOOL_FITS: Readonly<Record<MixApproach, string>> = {
  'by-weight': 'fits: 25 to 30',
  '1:1': 'fits',
  '1:2': 'fits',
  '1:3': 'fits',
  cover: 'browns enough to cover every layer; then go by the nose',
};
/** What a school says of the mix. @param measure that amounts are told in */
export function schoolSays(
  s: ApproachAdvice,
  measure: { readonly name: string; readonly many?: string | undefined; readonly litres: number },
): string {
  if (s.says === 'unknown') return `cannot be computed: ${listText(s.missing)}`;
  if (s.says === 'fits') return SCHOOL_FITS[s.school];
  const what = s.says === 'more-brown' ? 'more brown' : 'more green';
  if (s.litres === null) return `wants ${what}`;
  return `wants ${measureText(Math.max(0.5, Math.round((s.litres / measure.litres) * 2) / 2), measure.name, measure.many)} ${what}`;
}

const LACKS = {
  carbon: 'nothing in the list brings enough carbon: add a brown',
  nitrogen: 'nothing in the list brings enough nitrogen: add a green',
  dry: 'everything in the list is too wet: add something dry',
  structure: 'everything in the list is too dense: add structure, such as chip',
} as const;
/** Which limit binds, with what it would take instead. @param perL litres of a kilogram */
export function limitText(l: Limit, perL: number | null, volume: VolumeUnit): string {
  if (l.code === 'NOTHING_LIKE') return LACKS[l.lacks];
  const amount = (kg: number): string =>
    kg < 0.5
      ? 'none'
      : perL === null
        ? kgText(kg)
        : `${kgText(kg)}, ${litresText(kg * perL, volume)}`;
  const takes = `it would take ${amount(l.wantsKg)}`;
  switch (l.code) {
    case 'STOCK':
      return `${l.name}: there ${l.allowedKg < 0.5 ? 'is none' : `are ${amount(l.allowedKg)}`}, and ${takes}`;
    case 'MOST':
      return `${l.name}: at most ${amount(l.allowedKg)} was allowed, and ${takes}`;
    case 'LEAST':
      return `${l.name}: at least ${amount(l.allowedKg)} was asked for, and ${takes}`;
    case 'FIXED':
      return `${l.name}: fixed at ${amount(l.allowedKg)}, and ${takes}`;
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
      ? 'This reaches it.'
      : `To the kilogram it can be reached; in these measures it just misses ${names(inSteps.misses)}.`;
  return `It cannot be reached with what there is. This is the nearest: it misses ${names(s.misses) || 'the amount that was asked for'}.`;
}

const ratio = (x: number): string => `${Math.round(x)}:1`;
/** What a rule that asks for an initial C:N says of a heap. */
export function initialCnText(
  asked: { readonly low: number; readonly high: number },
  found: CnFinding,
): string {
  const asks = `Initial C:N of ${ratio(asked.low)} to ${ratio(asked.high)}`;
  if (found.code === 'unknown')
    return `${asks}: cannot be told, ${found.missing.length === 0 ? 'the heap is still building' : `since this is not known: ${listText(found.missing)}`}.`;
  const { low, value, high } = found.est;
  const mix = `its mix came to ${ratio(value)}${Math.round(low) === Math.round(high) ? '' : ` (${Math.round(low)} to ${Math.round(high)})`}`;
  switch (found.code) {
    case 'met':
      return `${asks}: met, ${mix}.`;
    case 'not-met':
      return `${asks}: not met, ${mix}.`;
    case 'unsure':
      return `${asks}: not sure, ${mix}. A laboratory's figures of its materials would settle it.`;
  }
}

export const LAYER_WORDS = {
  base: 'airy base',
  brown: 'browns',
  green: 'greens',
  raw: 'greens, the raw and seeding of them well inside',
  blanket: 'blanket',
} as const;

/** Cautions of building, where the work is done. */
export const BUILD_CAUTION = {
  raw: 'Raw dung or food: gloves, wash hands before eating, tools that do not go to finished compost, children kept off.',
  dust: 'Old hay, litter and chip are full of mould spores: damp them down and wear a mask. Those with weak lungs or a weak immune system stay away.',
  lifting: 'A barrow of wet dung weighs more than a person: half loads, two people, and rest.',
} as const;
/** What a team moves, in words. @param kg in all */
export const liftText = (kg: number, people: number): string =>
  `About ${kgText(kg)} to move: ${kgText(kg / Math.max(1, people))} for each of ${people}. ${BUILD_CAUTION.lifting}`;
