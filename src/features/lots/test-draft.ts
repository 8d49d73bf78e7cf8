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
const countOf = (text: string): number => Math.round(typed(text) ?? 0);
const celsiusOf = (text: string): number | null => typedQuantity('celsius', text, -60) ?? null;

/**
 * The raw values that a form of a test stands for, as they are sent: readings without a time of their own are given that of the
 * entry by the door, and so is the turning at the start.
 */
export function readValues(kind: TestKind, d: TestDraft, isStart: boolean): object {
  switch (kind) {
    case 'reheat': {
      const [core, air] = [celsiusOf(d.core), celsiusOf(d.air)];
      return {
        kind,
        ...(isStart && d.turned === 'yes' ? {} : { turnedAt: null }),
        squeezes: d.squeeze === '' ? [] : [{ squeeze: d.squeeze }],
        moistures: [],
        volumeM3: typedQuantity('volume', d.volume) || null,
        core: core === null ? [] : [{ c: core }],
        air: air === null ? [] : [{ c: air }],
      };
    }
    case 'flask':
      return {
        kind,
        highestC: celsiusOf(d.core),
        roomC: celsiusOf(d.air),
        adjusted: isYes(d.adjusted),
      };
    case 'germination': {
      const sown = (seeds: string, germinated: string, rootMm: string) =>
        seeds.trim() === ''
          ? null
          : {
              seeds: countOf(seeds),
              germinated: countOf(germinated),
              rootMm: figureOf(rootMm) ?? 0,
            };
      return {
        kind,
        extract: sown(d.seeds, d.germinated, d.rootMm),
        control: sown(d.seeds2, d.germinated2, d.rootMm2),
      };
    }
    case 'seedlings': {
      const pots = (p: string, sown: string, up: string, clear: string, slight: string) =>
        p.trim() === ''
          ? null
          : {
              pots: countOf(p),
              sown: countOf(sown),
              up: countOf(up),
              clear: countOf(clear),
              slight: countOf(slight),
            };
      return {
        kind,
        compost: pots(d.pots, d.sown, d.up, d.clear, d.slight),
        control: pots(d.pots2, d.sown2, d.up2, d.clear2, d.slight2),
      };
    }
    case 'sprout':
      return {
        kind,
        litres: typedQuantity('litres', d.litres) || null,
        seedlings: d.seedlings.trim() === '' ? null : countOf(d.seedlings),
        kept: isYes(d.kept),
      };
    case 'bag':
      return {
        kind,
        moist: isYes(d.moist),
        smell: d.smell === '' ? null : d.smell,
        puffed: isYes(d.puffed),
      };
    case 'looks':
      return {
        kind,
        recognisable: d.recognisable === '' ? null : d.recognisable,
        smell: d.smell === '' ? null : d.smell,
      };
    case 'respiration':
      return { kind, value: figureOf(d.figure), unit: 'mg CO2-C/g OM/d' };
  }
}

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
