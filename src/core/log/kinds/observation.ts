import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { SQUEEZE_WORDS } from '../../words/feel';
import { describeKind } from './kind';
import { Words, origin, walk } from './shared';
import { SQUEEZES, SMELLS, LOOKS, PESTS, pestsOf } from './vocabulary';

const schema = z.looseObject({
  squeeze: z.enum(SQUEEZES).optional(),
  /** Where the handful came from: a place of the heap, or words. */ sample: z
    .string()
    .trim()
    .max(120)
    .optional(),
  smell: z.enum(SMELLS).optional(),
  words: Words.optional(),
  growth: z.enum(LOOKS.growth).optional(),
  steam: z.enum(LOOKS.steam).optional(),
  /** One, or several at once. */ pests: z
    .union([z.enum(LOOKS.pests), z.array(z.enum(PESTS)).min(1).max(3)])
    .optional(),
  seepage: z.enum(LOOKS.seepage).optional(),
  cover: z.enum(LOOKS.cover).optional(),
  colour: z.enum(LOOKS.colour).optional(),
  /** How far the top has sunk below its first mark, cm. */
  sunkCm: z.number().min(-100).max(1000).optional(),
  ...walk,
  ...origin,
});
type ObservationData = z.output<typeof schema>;

const NOTHING_SEEN = {
  growth: 'no growth',
  steam: 'no steam',
  pests: 'no pests',
  seepage: 'no seepage',
} as const;
const LOOKED_FOR = ['growth', 'steam', 'pests', 'seepage'] as const;
const COLOUR_WORDS = {
  'as-built': 'colour as built',
  browning: 'browning',
  dark: 'dark brown',
  ashy: 'grey, ashy',
} as const;

function squeezeText({ squeeze, sample }: ObservationData): string | undefined {
  if (squeeze === undefined) return undefined;
  return `squeezed: ${SQUEEZE_WORDS[squeeze].log}${sample ? `, from ${sample}` : ''}`;
}

/** What was seen, and what was looked for and not found. */
function observed(data: ObservationData): string {
  const absent = LOOKED_FOR.filter((k) => data[k] === 'none').map((k) => NOTHING_SEEN[k]);
  return joinParts(
    squeezeText(data),
    data.smell && `smell: ${data.smell}`,
    data.growth && data.growth !== 'none' && `${data.growth} growth`,
    data.steam && data.steam !== 'none' && (data.steam === 'much' ? 'much steam' : 'steam'),
    data.pests !== undefined &&
      pestsOf(data.pests)
        .map((p) => (p === 'other' ? 'other pests' : p))
        .join(' and '),
    data.seepage &&
      data.seepage !== 'none' &&
      (data.seepage === 'much' ? 'much seepage' : 'seepage'),
    data.cover && `cover ${data.cover}`,
    data.colour && COLOUR_WORDS[data.colour],
    data.sunkCm !== undefined && `${data.sunkCm} cm below its mark`,
    absent.join(', '),
    data.words,
  );
}

export const observationKind = describeKind({
  schema,
  scope: 'batch',
  correction: 'strike',
  inherited: true,
  fileEvent: 'note',
  clocks: 'evidence',
  snapshots: 'own',
  mark: 'squeeze',
  tell: (data) => ({ title: 'Seen', detail: observed(data) }),
  record: (data) =>
    joinParts(
      data.squeeze && `squeeze test: ${data.squeeze}`,
      data.smell && `smell: ${data.smell}`,
      data.words,
    ) || null,
});
