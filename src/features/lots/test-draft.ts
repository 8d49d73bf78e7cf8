import { say } from '@/messages/say';
import type { RECOGNISABLE, TestKind } from '@/core/log/test-shapes';
import type { Smell, Squeeze } from '@/core/words/feel';
import { shownQuantity, typedQuantity } from '@/core/quantity/typed-quantity';
import { typed } from '@/core/quantity/typed-number';

/** What is typed into the forms of maturity tests, and the raw values that it stands for. */

type YesNo = 'yes' | 'no' | '';
export type TestDraft = {
  readonly turned: YesNo;
  readonly squeeze: Squeeze | '';
  readonly volume: string;
  readonly core: string;
  readonly air: string;
  readonly adjusted: YesNo;
  readonly seeds: string;
  readonly germinated: string;
  readonly rootMm: string;
  readonly seeds2: string;
  readonly germinated2: string;
  readonly rootMm2: string;
  readonly pots: string;
  readonly sown: string;
  readonly up: string;
  readonly clear: string;
  readonly slight: string;
  readonly pots2: string;
  readonly sown2: string;
  readonly up2: string;
  readonly clear2: string;
  readonly slight2: string;
  readonly litres: string;
  readonly seedlings: string;
  readonly kept: YesNo;
  readonly moist: YesNo;
  readonly smell: Smell | '';
  readonly puffed: YesNo;
  readonly recognisable: (typeof RECOGNISABLE)[number] | '';
  readonly figure: string;
};
export const emptyValues: TestDraft = {
  turned: '',
  squeeze: '',
  volume: '',
  core: '',
  air: '',
  adjusted: '',
  seeds: '',
  germinated: '',
  rootMm: '',
  seeds2: '',
  germinated2: '',
  rootMm2: '',
  pots: '',
  sown: '',
  up: '',
  clear: '',
  slight: '',
  pots2: '',
  sown2: '',
  up2: '',
  clear2: '',
  slight2: '',
  litres: '',
  seedlings: '',
  kept: '',
  moist: '',
  smell: '',
  puffed: '',
  recognisable: '',
  figure: '',
};

/** A lot's volume as its field shows it at first. */
export const shownVolume = (litres: number | null): string =>
  litres === null ? '' : shownQuantity('volume', litres / 1000, 2);

const isYes = (answer: YesNo): boolean | null => (answer === '' ? null : answer === 'yes');
const figureOf = (text: string): number | null => typed(text) ?? null;
/** A size that says nothing is not known. */
const aboveNothing = (size: number | null | undefined): number | null =>
  size !== null && size !== undefined && size > 0 ? size : null;
const countOf = (text: string): number => Math.round(typed(text) ?? 0);
const celsiusOf = (text: string): number | null => typedQuantity('celsius', text, -60) ?? null;

/** Seeds on one paper; null: not counted. */
const sownOf = (seeds: string, germinated: string, rootMm: string) =>
  seeds.trim() === ''
    ? null
    : { seeds: countOf(seeds), germinated: countOf(germinated), rootMm: figureOf(rootMm) ?? 0 };
/** Pots of one sort; null: not counted. */
const potsOf = (d: TestDraft, of: '' | '2') =>
  d[`pots${of}`].trim() === ''
    ? null
    : {
        pots: countOf(d[`pots${of}`]),
        sown: countOf(d[`sown${of}`]),
        up: countOf(d[`up${of}`]),
        clear: countOf(d[`clear${of}`]),
        slight: countOf(d[`slight${of}`]),
      };

const orNull = <T extends string>(value: T | ''): T | null => (value === '' ? null : value);
function reheatValues(d: TestDraft, isStart: boolean): object {
  const [core, air] = [celsiusOf(d.core), celsiusOf(d.air)];
  return {
    ...(isStart && d.turned === 'yes' ? {} : { turnedAt: null }),
    squeezes: d.squeeze === '' ? [] : [{ squeeze: d.squeeze }],
    moistures: [],
    volumeM3: aboveNothing(typedQuantity('volume', d.volume)),
    core: core === null ? [] : [{ c: core }],
    air: air === null ? [] : [{ c: air }],
  };
}

const READERS: Readonly<Record<TestKind, (d: TestDraft, isStart: boolean) => object>> = {
  reheat: reheatValues,
  flask: (d) => ({
    highestC: celsiusOf(d.core),
    roomC: celsiusOf(d.air),
    adjusted: isYes(d.adjusted),
  }),
  germination: (d) => ({
    extract: sownOf(d.seeds, d.germinated, d.rootMm),
    control: sownOf(d.seeds2, d.germinated2, d.rootMm2),
  }),
  seedlings: (d) => ({ compost: potsOf(d, ''), control: potsOf(d, '2') }),
  sprout: (d) => ({
    litres: aboveNothing(typedQuantity('litres', d.litres)),
    seedlings: d.seedlings.trim() === '' ? null : countOf(d.seedlings),
    kept: isYes(d.kept),
  }),
  bag: (d) => ({ moist: isYes(d.moist), smell: orNull(d.smell), puffed: isYes(d.puffed) }),
  looks: (d) => ({ recognisable: orNull(d.recognisable), smell: orNull(d.smell) }),
  respiration: (d) => ({ value: figureOf(d.figure), unit: 'mg CO2-C/g OM/d' }),
};

/**
 * The raw values that a form of a test stands for, as they are sent: readings without a time of their own are given that of the
 * entry by the door, and so is the turning at the start.
 */
export const readValues = (kind: TestKind, d: TestDraft, isStart: boolean): object => ({
  kind,
  ...READERS[kind](d, isStart),
});

/** Fields that a form cannot be saved without. */
const NEEDED: Readonly<
  Record<
    TestKind,
    { readonly start: readonly (keyof TestDraft)[]; readonly later: readonly (keyof TestDraft)[] }
  >
> = {
  reheat: { start: ['turned', 'squeeze'], later: ['core', 'air'] },
  flask: { start: ['adjusted'], later: ['core', 'air'] },
  germination: {
    start: [],
    later: ['seeds', 'germinated', 'rootMm', 'seeds2', 'germinated2', 'rootMm2'],
  },
  seedlings: { start: [], later: ['pots', 'sown', 'up', 'pots2', 'sown2', 'up2'] },
  sprout: { start: ['litres'], later: ['seedlings', 'kept'] },
  bag: { start: ['moist'], later: ['smell', 'puffed'] },
  looks: { start: ['recognisable', 'smell'], later: [] },
  respiration: { start: ['figure'], later: [] },
};
const NUMBERS: readonly (keyof TestDraft)[] = [
  ...(['core', 'air', 'volume', 'seeds', 'germinated', 'rootMm', 'seeds2', 'germinated2'] as const),
  ...([
    'rootMm2',
    'pots',
    'sown',
    'up',
    'clear',
    'slight',
    'pots2',
    'sown2',
    'up2',
    'clear2',
  ] as const),
  ...(['slight2', 'litres', 'seedlings', 'figure'] as const),
];

/** What a form of a test still lacks, as a sentence; null: nothing. */
export function valuesMissing(kind: TestKind, d: TestDraft, isStart: boolean): string | null {
  if (NUMBERS.some((name) => typed(d[name], -60) === null)) return say('lots.typeNumbers');
  const needed = NEEDED[kind][isStart ? 'start' : 'later'];
  return needed.some((name) => d[name].trim() === '') ? say('lots.fillIn', { kind }) : null;
}
