import { HARD_SEED_LINE, type DeathLine } from './doses';

/** How long a seed stands heat in moist compost, and where the figures come from. */
export type Species = {
  readonly id: string;
  readonly name: string;
  readonly latin?: string | undefined;
  readonly line: DeathLine;
  readonly source: string;
};

const STUDY =
  'from memory: Dahlquist, Prather and Stapleton, Weed Science 55, 2007, in moist soil; rounded up';
const line = (t1: number, h1: number, t2: number, h2: number, maxC = 65): DeathLine => ({
  through: [
    [t1, h1],
    [t2, h2],
  ],
  minC: 46,
  maxC,
  moistOnly: true,
});

/** Seeds by how long they stand heat. Every line is for moist seed: dry ones survive far more. */
export const SPECIES: readonly Species[] = [
  {
    id: 'hard-seed',
    name: 'Hard seed (default)',
    line: HARD_SEED_LINE,
    source: 'common practice: 54.4 °C for a week, 60 °C for 3 hours',
  },
  {
    id: 'sowthistle',
    name: 'Annual sowthistle',
    latin: 'Sonchus oleraceus',
    line: line(50, 6, 60, 1),
    source: STUDY,
  },
  {
    id: 'barnyardgrass',
    name: 'Barnyard grass',
    latin: 'Echinochloa crus-galli',
    line: line(50, 12, 60, 1),
    source: STUDY,
  },
  {
    id: 'purslane',
    name: 'Common purslane',
    latin: 'Portulaca oleracea',
    line: line(50, 60, 60, 2),
    source: STUDY,
  },
  {
    id: 'nightshade',
    name: 'Black nightshade',
    latin: 'Solanum nigrum',
    line: line(50, 72, 60, 3),
    source: STUDY,
  },
  {
    id: 'pigweed',
    name: 'Tumble pigweed',
    latin: 'Amaranthus albus',
    line: line(50, 120, 60, 2),
    source: STUDY,
  },
  {
    id: 'hard-coated',
    name: 'Hard-coated clovers and mallows',
    line: line(60, 168, 70, 24, 70),
    source: 'common practice: some survive even 70 °C; a careful line, not a measured one',
  },
];
