import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts, listText } from '../../quantity/format';
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
  get growth() {
    return say('log.noMold');
  },
  get steam() {
    return say('log.noSteam');
  },
  get pests() {
    return say('log.noPests');
  },
  get seepage() {
    return say('log.noSeepage');
  },
} as const;
const PEST_WORDS = {
  get flies() {
    return say('log.flies');
  },
  get rats() {
    return say('log.rats');
  },
  get other() {
    return say('log.otherPests');
  },
} as const satisfies Readonly<Record<(typeof PESTS)[number], string>>;
const LOOKED_FOR = ['growth', 'steam', 'pests', 'seepage'] as const;
const COLOUR_WORDS = {
  get 'as-built'() {
    return say('log.colorAsBuilt');
  },
  get browning() {
    return say('log.turningBrown');
  },
  get dark() {
    return say('log.darkBrown');
  },
  get ashy() {
    return say('log.grayAshy');
  },
} as const;

function squeezeText({ squeeze, sample }: ObservationData): string | undefined {
  if (squeeze === undefined) return undefined;
  return sample
    ? say('log.squeezeTestFrom', { log: SQUEEZE_WORDS[squeeze].log, sample })
    : say('log.squeezeTest', { log: SQUEEZE_WORDS[squeeze].log });
}

/** What was seen, and what was looked for and not found. */
function observed(data: ObservationData): string {
  const absent = LOOKED_FOR.filter((k) => data[k] === 'none').map((k) => NOTHING_SEEN[k]);
  return joinParts(
    squeezeText(data),
    data.smell && say('log.smell', { smell: data.smell }),
    data.growth && data.growth !== 'none' && say('log.mold', { growth: data.growth }),
    data.steam &&
      data.steam !== 'none' &&
      (data.steam === 'much' ? say('log.muchSteam') : say('log.steam')),
    data.pests !== undefined && listText(pestsOf(data.pests).map((p) => PEST_WORDS[p])),
    data.seepage &&
      data.seepage !== 'none' &&
      (data.seepage === 'much' ? say('log.muchSeepage') : 'seepage'),
    data.cover && say('log.cover2', { cover: data.cover }),
    data.colour && COLOUR_WORDS[data.colour],
    data.sunkCm !== undefined && say('log.cmBelowItsMark', { sunkCm: data.sunkCm }),
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
  changesFrom: (_data, at) => at,
  mark: 'squeeze',
  tell: (data) => ({ title: say('log.observed'), detail: observed(data) }),
  record: (data) =>
    joinParts(
      data.squeeze && say('log.squeezeTest2', { squeeze: data.squeeze }),
      data.smell && say('log.smell', { smell: data.smell }),
      data.words,
    ) || null,
});
