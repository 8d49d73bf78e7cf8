import type { Part } from '@/core/log/store-shapes';
import type { HeapModel } from './heat';
import { MOVED_TO_CURE_DAYS } from './lots';

export type DemoEvent = { readonly hour: number } & (
  | { readonly kind: 'turn'; readonly full: boolean; readonly by: string }
  | {
      readonly kind: 'water';
      readonly litres: number;
      readonly clean: boolean;
      readonly by: string;
    }
  | {
      readonly kind: 'addition';
      readonly what: string;
      readonly parts: readonly Part[];
      readonly raw: boolean;
      readonly seeds: boolean;
      readonly by: string;
    }
  | {
      readonly kind: 'observation';
      readonly squeeze: 'crumbles' | 'holds' | 'drops' | 'runs';
      readonly smell: 'none' | 'earthy' | 'sweet' | 'ammonia' | 'sour';
      readonly words?: string;
      readonly by: string;
    }
  | { readonly kind: 'note'; readonly words: string; readonly by: string }
  | { readonly kind: 'moisture'; readonly state: 'moist' }
  | { readonly kind: 'cure' | 'release'; readonly by: string }
);

/** A made-up heap. Hours count from building; `ageH` is its age now. */
export type DemoHeap = {
  readonly code: string;
  readonly name: string;
  readonly bay: string;
  /** Instead of its bay: a stretch of a row that it shares. */
  readonly row?: { readonly row: string; readonly fromM: number; readonly toM: number };
  readonly volumeM3: number;
  readonly ageH: number;
  readonly model: HeapModel | null;
  readonly events: readonly DemoEvent[];
  /** No round later than so many hours after building: it was moved. */
  readonly readTo?: number;
  /** Nobody has read it since so long ago that its run is about to be lost. */
  readonly almostLost?: true;
  /** No round after this many hours before now. */
  readonly unreadFor?: number;
  /** Rounds beside those of the day, hours before now. */
  readonly extraRoundsAgo?: readonly number[];
  /** Hours since building of a round with two points only. */
  readonly thinAt?: number;
  /** Hours since building of a round with a slip of the finger that is put right. */
  readonly slipAt?: number;
};

const d = (days: number): number => days * 24;
const turns = (at: readonly number[], by = 'Jo'): DemoEvent[] =>
  at.map((hour) => ({ hour, kind: 'turn', full: true, by }));
const moist: DemoEvent = { hour: 1, kind: 'moisture', state: 'moist' };

const BITTERN = [d(4), d(7), d(10), d(13), d(16), d(18.2)];
const AVOCET = [d(4), d(7), d(10), d(13), d(16), d(19)];
const CURLEW = [d(4), d(6.5), d(9), d(11.5), d(14)];
const DUNNOCK = [d(4.5), d(8)];
const EGRET = [d(8), d(10.5), d(14)];
const FINCH = [d(4), d(7.1)];
const LAPWING = [d(4), d(7), d(10), d(13), d(16), d(19)];

const NIGHTJAR = [d(4), d(7), d(10), d(13), d(16), d(19)];
const OUZEL = [d(4), d(7), d(10), d(13), d(16), d(19)];

/** The twelve heaps of Hopyard Corner: each drawing of a mound is among them; and two that were moved to cure. */
export const HEAPS: readonly DemoHeap[] = [
  {
    code: 'B',
    name: 'Bittern',
    bay: '1',
    volumeM3: 4.2,
    ageH: d(20.4),
    model: { peakC: 69, wakesAfter: 26, lastsDays: 150, turns: BITTERN, dryFrom: d(18.6) },
    events: [
      moist,
      ...turns(BITTERN),
      { hour: d(10.1), kind: 'water', litres: 180, clean: true, by: 'Jo' },
    ],
  },
  {
    code: 'A',
    name: 'Avocet',
    bay: '2',
    volumeM3: 3.3,
    ageH: d(44),
    model: {
      peakC: 69,
      wakesAfter: 28,
      lastsDays: 150,
      turns: AVOCET,
      dryFrom: d(20),
      spentFrom: d(21),
    },
    events: [
      moist,
      ...turns(AVOCET, 'Sam'),
      { hour: d(26), kind: 'cure', by: 'Mo' },
      {
        hour: d(40),
        kind: 'observation',
        squeeze: 'drops',
        smell: 'earthy',
        words: 'Nothing of the straw to be seen any more.',
        by: 'Mo',
      },
    ],
  },
  {
    code: 'C',
    name: 'Curlew',
    bay: '3',
    volumeM3: 5.6,
    ageH: d(16.3),
    model: { peakC: 68.4, wakesAfter: 24, lastsDays: 130, turns: CURLEW },
    events: [
      moist,
      ...turns(CURLEW),
      { hour: d(9.05), kind: 'water', litres: 220, clean: true, by: 'Sam' },
    ],
    slipAt: d(12.2),
  },
  {
    code: 'D',
    name: 'Dunnock',
    bay: '4',
    volumeM3: 3.0,
    ageH: d(13),
    model: { peakC: 67.5, wakesAfter: 27, lastsDays: 150, turns: DUNNOCK },
    events: [moist, ...turns(DUNNOCK)],
    almostLost: true,
  },
  {
    code: 'E',
    name: 'Egret',
    bay: '5',
    volumeM3: 6.8,
    ageH: d(18),
    model: { peakC: 68.8, wakesAfter: 25, lastsDays: 110, turns: EGRET },
    events: [
      moist,
      {
        hour: d(4.6),
        kind: 'addition',
        what: 'laid into the middle',
        parts: [
          {
            material: 'hen-litter',
            amount: { in: 'measure', n: 6, measure: 'barrow', name: 'barrow', litresEach: 90 },
          },
        ],
        raw: true,
        seeds: false,
        by: 'Sam',
      },
      ...turns(EGRET),
      { hour: d(12.9), kind: 'water', litres: 240, clean: true, by: 'Mo' },
      {
        hour: d(12.95),
        kind: 'observation',
        squeeze: 'crumbles',
        smell: 'earthy',
        words: 'Dry at the toe on the south side.',
        by: 'Mo',
      },
      { hour: d(15.2), kind: 'turn', full: false, by: 'Jo' },
    ],
    thinAt: d(12.3),
  },
  {
    code: 'F',
    name: 'Finch',
    bay: '6',
    volumeM3: 5.0,
    ageH: d(7.8),
    model: {
      peakC: 68,
      wakesAfter: 26,
      lastsDays: 120,
      turns: FINCH,
      dryFrom: d(7.1),
      driesOver: 14,
      spreadK: 8.5,
    },
    events: [
      moist,
      ...turns(FINCH),
      { hour: d(7.1) + 0.5, kind: 'water', litres: 260, clean: true, by: 'Jo' },
    ],
    extraRoundsAgo: [17.2, 4.1],
  },
  {
    code: 'G',
    name: 'Goshawk',
    bay: '7',
    volumeM3: 7.4,
    ageH: d(6.5),
    model: { peakC: 75, wakesAfter: 20, lastsDays: 120, turns: [d(4)], spreadK: 8 },
    events: [moist, ...turns([d(4)])],
    extraRoundsAgo: [1.1],
  },
  {
    code: 'H',
    name: 'Heron',
    bay: '8',
    volumeM3: 4.6,
    ageH: d(9.4),
    model: { peakC: 69, wakesAfter: 26, lastsDays: 70, turns: [d(4)], dryFrom: d(8.1) },
    events: [
      moist,
      ...turns([d(4)], 'Sam'),
      { hour: d(9.2), kind: 'observation', squeeze: 'crumbles', smell: 'none', by: 'Mo' },
    ],
    extraRoundsAgo: [9.3, 2.2],
  },
  {
    code: 'I',
    name: 'Ibis',
    bay: '9',
    volumeM3: 6.0,
    ageH: d(6.3),
    model: { peakC: 69, wakesAfter: 25, lastsDays: 90, turns: [d(4.4)] },
    events: [moist, ...turns([d(4.4)], 'Mo')],
  },
  {
    code: 'L',
    name: 'Lapwing',
    bay: '10',
    volumeM3: 4.9,
    ageH: d(80),
    model: {
      peakC: 69,
      wakesAfter: 26,
      lastsDays: 150,
      turns: LAPWING,
      dryFrom: d(20),
      spentFrom: d(21),
    },
    events: [
      moist,
      ...turns(LAPWING, 'Sam'),
      { hour: d(26), kind: 'cure', by: 'Mo' },
      {
        hour: d(70),
        kind: 'observation',
        squeeze: 'drops',
        smell: 'earthy',
        words: 'Nothing to be made out any more.',
        by: 'Mo',
      },
      { hour: d(76), kind: 'release', by: 'Mo' },
    ],
    unreadFor: d(4) + 3,
  },
  {
    code: 'J',
    name: 'Jackdaw',
    bay: '11',
    row: { row: 'South', fromM: 0, toM: 6.5 },
    volumeM3: 3.9,
    ageH: d(1.7),
    model: { peakC: 66, wakesAfter: 34, lastsDays: 70, turns: [] },
    events: [moist],
    extraRoundsAgo: [1.6],
  },
  {
    code: 'K',
    name: 'Knot',
    bay: '12',
    row: { row: 'South', fromM: 6.5, toM: 10 },
    volumeM3: 2.3,
    ageH: d(0.8),
    model: null,
    events: [
      {
        hour: 3,
        kind: 'note',
        words: 'Two of about three loads are in; chip comes tomorrow.',
        by: 'Sam',
      },
    ],
  },
  {
    code: 'N',
    name: 'Nightjar',
    bay: '2',
    volumeM3: 4.4,
    ageH: d(94),
    readTo: d(MOVED_TO_CURE_DAYS.N) - 5,
    model: { peakC: 69, wakesAfter: 26, lastsDays: 150, turns: NIGHTJAR, spentFrom: d(17) },
    events: [moist, ...turns(NIGHTJAR)],
  },
  {
    code: 'O',
    name: 'Ouzel',
    bay: '3',
    volumeM3: 3.2,
    ageH: d(86),
    readTo: d(MOVED_TO_CURE_DAYS.O) - 5,
    model: { peakC: 69, wakesAfter: 24, lastsDays: 150, turns: OUZEL, spentFrom: d(17) },
    events: [moist, ...turns(OUZEL)],
  },
];
