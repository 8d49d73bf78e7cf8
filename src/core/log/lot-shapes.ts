import { z } from 'zod';
import { say } from '../../messages/say';
import { PROBLEM } from '../words/problem';
import { EntryIdSchema, LotIdSchema } from './ids';
import { act, Words } from './kinds/shared';
import { CROP_FAMILIES, SMELLS, SQUEEZES } from './kinds/vocabulary';
import { MOST } from './most';
import { TEST_KINDS, TestValuesSchema } from './test-shapes';

/** Shapes of what happens to compost after the heat: lots, what moves between them, their tests, results and releases. */

/** A load, a batch or a lot: whatever holds matter. Their ids are never the same. */
const MatterIdSchema = z.uuid();
const Litres = z
  .number({ error: () => PROBLEM.litres })
  .positive({ error: () => PROBLEM.litres })
  .max(MOST.litres, { error: () => PROBLEM.litresMost });
const Photos = z.array(z.string().regex(/^[0-9a-f]{64}$/)).max(12);
const Name = z.string().trim().max(60);

const LOT_KINDS = ['curing', 'fines', 'overs', 'product'] as const;
export type LotKindOfLog = (typeof LOT_KINDS)[number];
/** How a lot is called, and where it lies. */
const LotNameSchema = z.looseObject({
  code: z
    .string()
    .trim()
    .min(1, { error: () => PROBLEM.lotCode })
    .max(24),
  name: Name.optional(),
  where: z.string().trim().max(40).optional(),
});
export const LotSchema = LotNameSchema.extend({
  kind: z.enum(LOT_KINDS),
  words: Words.optional(),
  ...act,
});

/** A lot that begins with the act that fills it. */
const Begin = LotNameSchema.extend({ kind: z.enum(LOT_KINDS) });
/** How much of a lot: all that is there, so many litres, or an amount that nobody knows. */
const howMuch = { litres: Litres.optional(), all: z.boolean() };

/** What whoever moves a batch to cure says that they know: its heat is a danger, its rule is not met. */
const CURE_DOUBTS = ['danger', 'unproven'] as const;
export type CureDoubt = (typeof CURE_DOUBTS)[number];
/** What the move of a batch to cure says beside that it happened. */
export const CureSchema = z.looseObject({
  to: LotIdSchema.optional(),
  begin: Begin.optional(),
  litres: Litres.optional(),
  all: z.boolean().optional(),
  knowing: z.array(z.enum(CURE_DOUBTS)).max(CURE_DOUBTS.length).optional(),
});
export const LotMoveSchema = z
  .looseObject({
    from: MatterIdSchema,
    to: LotIdSchema,
    begin: Begin.optional(),
    ...howMuch,
    words: Words.optional(),
    ...act,
  })
  .refine((m) => m.from !== (m.to as string), { path: ['to'], error: () => PROBLEM.sameLot });

export const WETNESS = ['dry', 'moist', 'wet'] as const;
export const ScreeningSchema = z.looseObject({
  inputs: z
    .array(z.strictObject({ lot: MatterIdSchema, ...howMuch }))
    .min(1)
    .max(20),
  /** Mesh, mm. */ meshMm: z
    .number({ error: () => PROBLEM.mesh })
    .min(1, { error: () => PROBLEM.mesh })
    .max(150, { error: () => PROBLEM.mesh }),
  wetness: z.enum(WETNESS),
  outputs: z
    .array(z.looseObject({ lot: LotIdSchema, begin: Begin.optional(), litres: Litres.optional() }))
    .min(1)
    .max(4),
  /** Stones and plastic, L. */ rejectsL: z.number().min(0).max(MOST.litres).optional(),
  hours: z.number().min(0).max(200).optional(),
  people: z.int().min(1).max(50).optional(),
  machine: Name.optional(),
  words: Words.optional(),
  ...act,
});

export const OUT_WAYS = ['bed', 'sold', 'shared', 'given', 'discarded', 'lost'] as const;
export type OutWay = (typeof OUT_WAYS)[number];
/** Ways out that are product, and not loss. */
export const OUT_IS_PRODUCT: Readonly<Record<OutWay, boolean>> = {
  bed: true,
  sold: true,
  shared: true,
  given: true,
  discarded: false,
  lost: false,
};
/** What compost may be released for. */
export const USE_IDS = [
  'mulch',
  'beds-before-planting',
  'growing-beds',
  'potting-mix',
  'seed-mix',
  'bulk-sale',
  'bag-sale',
  'given-away',
] as const;

/** What is eaten of a bed: it touches the soil, it stands clear of it, or nothing is. */
export const BED_CROPS = ['touching', 'apart', 'none'] as const;
export type BedCrop = (typeof BED_CROPS)[number];

/** Why something should not go out yet. */
const OUT_DOUBTS = ['not-released', 'on-hold', 'refused', 'in-question', 'other-use'] as const;
export type OutDoubt = (typeof OUT_DOUBTS)[number];

export const LotOutSchema = z.looseObject({
  lot: MatterIdSchema,
  how: z.enum(OUT_WAYS),
  ...howMuch,
  /** Where it was spread. */ bed: z
    .looseObject({
      name: z.string().trim().min(1).max(60),
      areaM2: z.number().positive().max(1_000_000).optional(),
      depthM: z.number().positive().max(2).optional(),
      /** What grows there, or will. */ crop: z.string().trim().max(60).optional(),
      family: z.enum(CROP_FAMILIES).optional(),
      /** Whether what is eaten of it touches the soil; left out: nobody said. */
      eaten: z.enum(BED_CROPS).optional(),
    })
    .optional(),
  /** What it is used for there; left out by what was logged before that was asked. */
  use: z.enum(USE_IDS).optional(),
  /** Buyer, partner, neighbour. */ party: Name.optional(),
  grade: Name.optional(),
  price: z.number().min(0).max(10_000_000).optional(),
  hours: z.number().min(0).max(200).optional(),
  /** What whoever let it go was shown, and said to know. */ knowing: z.enum(OUT_DOUBTS).optional(),
  words: Words.optional(),
});

export const LotSizeSchema = z.looseObject({
  lot: LotIdSchema,
  litres: z
    .number({ error: () => PROBLEM.litres })
    .min(0, { error: () => PROBLEM.litres })
    .max(MOST.litres, { error: () => PROBLEM.litresMost }),
  words: Words.optional(),
});

export const LotLookSchema = z.looseObject({
  lot: LotIdSchema,
  squeeze: z.enum(SQUEEZES).optional(),
  smell: z.enum(SMELLS).optional(),
  cover: z.enum(['on', 'off']).optional(),
  /** Water given, L. */ waterL: z.number().min(0).max(100_000).optional(),
  turned: z.enum(['full', 'partial']).optional(),
  coreC: z.number().min(-40).max(110).optional(),
  airC: z.number().min(-40).max(60).optional(),
  /** Weeds grow on it, or seeds blew in. */ weeds: z.boolean().optional(),
  pests: z.boolean().optional(),
  photos: Photos.optional(),
  words: Words.optional(),
});

export const MaturityTestSchema = z.looseObject({
  /** The entry that began the test; absent: this one does. */ test: EntryIdSchema.optional(),
  lot: MatterIdSchema,
  /** What was found since the entry before: later values stand over earlier ones, readings are added. */
  values: TestValuesSchema,
  /** It is over with this entry. */ ended: z.boolean(),
  photos: Photos.optional(),
  words: Words.optional(),
});

export const LabSampleSchema = z.looseObject({
  lot: MatterIdSchema,
  laboratory: Name.optional(),
  /** Of how many places it was mixed. */ composite: z.int().min(1).max(200).optional(),
  /** From where in the lot. */ places: Words.optional(),
  words: Words.optional(),
});
const LabResultSchema = z.strictObject({
  analyte: z.string().trim().min(1).max(80),
  value: z.discriminatedUnion('is', [
    z.strictObject({
      is: z.literal('figure'),
      n: z.number().min(0).max(1e12),
      mark: z.enum(['<', '>']).nullable(),
    }),
    z.strictObject({ is: z.literal('found'), present: z.boolean() }),
  ]),
  unit: z.string().trim().max(40),
  basis: z.enum(['dry', 'fresh']).nullable(),
  method: z.string().trim().max(80).optional(),
});
export const LabReportSchema = z.looseObject({
  sample: EntryIdSchema,
  /** % of the fresh sample that is solid. */ solidsPct: z.number().gt(0).max(100).optional(),
  results: z.array(LabResultSchema).min(1).max(200),
  photos: Photos.optional(),
  words: Words.optional(),
});

const DECISIONS = ['released', 'hold', 'refused'] as const;
export const LotDecisionSchema = z.looseObject({
  lot: MatterIdSchema,
  decision: z.enum(DECISIONS),
  /** For which uses, by id. */ uses: z.array(z.string().max(40)).max(30),
  /** Why something that should be met need not be here, by its item. */
  reasons: z
    .array(z.strictObject({ item: z.string().max(60), words: z.string().trim().min(3).max(300) }))
    .max(40),
  words: Words.optional(),
  /** The decision that stood before; null: there was none. Two people who decide at once are told by it. */
  from: EntryIdSchema.nullable(),
  /** The recall that asked for it. */ recall: EntryIdSchema.optional(),
});

export const RecallSchema = z.looseObject({
  /** Loads and lots whose matter was called back. */ lots: z.array(MatterIdSchema).min(1).max(50),
  rehearsal: z.boolean(),
  reason: Words.optional(),
  /** How long the answer took, from the question to the list, s. */ tookS: z
    .number()
    .min(0)
    .max(864_000),
  /** What was found: L of tagged matter. Null: an amount is not known. */
  taggedL: z.number().min(0).nullable(),
  hereL: z.number().min(0).nullable(),
  outL: z.number().min(0).nullable(),
  outs: z.int().min(0),
});

export const OUTCOMES = ['good', 'poor', 'weeds', 'damage', 'complaint'] as const;
export const LotOutcomeSchema = z.looseObject({
  /** The entry by which it went out. */ out: EntryIdSchema,
  found: z.enum(OUTCOMES),
  photos: Photos.optional(),
  words: Words.optional(),
});

/** Words that promise more than any rule or test can show, in the languages of labels. */
const ABSOLUTE_CLAIM =
  /\b(sterile|safe|pathogen[- ]free|weed[- ]free|germ[- ]free|disease[- ]free|guaranteed|100 ?%|est[eé]ril|segur[oa]|libre de|garantizad[oa])/iu;
export const LotPageSchema = z.looseObject({
  lot: MatterIdSchema,
  /** Whoever scans its label may see what it is made of. */ shown: z.boolean(),
  /** What its label says beside that. */ text: z
    .string()
    .trim()
    .max(160)
    .superRefine((text, context) => {
      const word = ABSOLUTE_CLAIM.exec(text)?.[0];
      if (word !== undefined)
        context.addIssue({ code: 'custom', message: say('lots.absoluteClaim', { word }) });
    })
    .optional(),
});

/** What may be asked of a lot. */
export const RELEASE_ITEMS = [
  'germ-rule',
  'seed-rule',
  'heated-throughout',
  'curing-days',
  'maturity',
  'limits',
  'bioassay',
  'screened',
  'covered',
] as const;
/** What the site asks of a use: it stands in the place of what the use asks unless changed. */
export const LotUseSchema = z.looseObject({
  use: z.enum(USE_IDS),
  asks: z.partialRecord(z.enum(RELEASE_ITEMS), z.enum(['must', 'should'])),
  leastDays: z.int().min(0).max(1000),
  maturity: z.strictObject({
    atLeast: z.int().min(0).max(TEST_KINDS.length),
    of: z.array(z.enum(TEST_KINDS)).max(TEST_KINDS.length),
  }),
  germinationPct: z.number().min(0).max(200),
  flaskClass: z.literal([1, 2, 3, 4, 5]),
  limitSets: z.array(z.string().max(60)).max(30),
  meshMm: z.number().min(1).max(150).nullable(),
  words: Words.optional(),
  /** The change that stood before; null: it was as it ships. */ from: EntryIdSchema.nullable(),
});

/** One limit of a set of the site's own. */
const OwnLimitSchema = z.strictObject({
  analyte: z.string().trim().min(1).max(80),
  unit: z.string().trim().min(1).max(40),
  basis: z.enum(['dry', 'fresh']).nullable(),
  ask: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('max'),
      limit: z.number().min(0).max(1e12),
      below: z.boolean().optional(),
    }),
    z.strictObject({ kind: z.literal('min'), limit: z.number().min(0).max(1e12) }),
    z.strictObject({ kind: z.literal('absent') }),
  ]),
});
/** A set of limits that the site wrote itself: of its own authority, its buyer, or its own mind. */
export const LimitSetSchema = z.looseObject({
  /** The entry that began the set; absent: this one does. */ set: EntryIdSchema.optional(),
  title: z.string().trim().min(2).max(80),
  /** Document and section that it is taken from. */ document: z.string().trim().min(2).max(120),
  year: z.int().min(1900).max(2200).optional(),
  limits: z.array(OwnLimitSchema).min(1).max(60),
  words: Words.optional(),
});
