import { MOST } from './most';
import { LoadIdSchema, LotIdSchema } from './ids';
import { z } from 'zod';
import { METHODS } from '../evidence/types';
import { CROP_FAMILIES, PUT_IN_DOUBTS } from './kinds/vocabulary';
import { PROBLEM } from '../words/problem';
import { SHAPES } from '../words/shape';
import { MeasuresSchema } from './shapes';

/** Shapes of what goes into heaps: materials, loads, measures, recipes, the map of bays. */

const id = z.string().regex(/^[a-z0-9-]{1,60}$/, { error: () => PROBLEM.plainId });
const Words = z.string().trim().max(500);
/** Pictures by the hash under which the hub keeps them. */
const Photos = z.array(z.string().regex(/^[0-9a-f]{64}$/)).max(12);
const Moment = z
  .int()
  .min(Date.UTC(2000, 0, 1))
  .max(Date.UTC(2200, 0, 1));

/** What a material does in a heap. Greens bring nitrogen, browns carbon, structure keeps air paths open. */
export const ROLES = [
  'green',
  'brown',
  'structure',
  'activator',
  'mineral',
  'finished',
  'liquid',
] as const;
export type Role = (typeof ROLES)[number];
/** What a material may bring in. None: clean. */
export const RISKS = [
  'raw-animal',
  'food',
  'seeds',
  'disease',
  'chemical',
  'sharps',
  'sludge',
  'by-product',
  'dust',
] as const;
export type Risk = (typeof RISKS)[number];
export const PARTICLES = ['paste', 'fine', 'medium', 'coarse', 'long', 'liquid'] as const;
export type Particle = (typeof PARTICLES)[number];
/** The state of a load: the same grass is green when fresh and brown when dry. */
export const LOAD_STATES = [
  'fresh',
  'dried',
  'frozen',
  'fermenting',
  'soaked',
  'aged',
  'charged',
] as const;
export type LoadState = (typeof LOAD_STATES)[number];

const range = (least: number, most: number, error: () => string) =>
  z
    .strictObject({
      low: z.number().min(least, { error }).max(most, { error }),
      usual: z.number().min(least, { error }).max(most, { error }),
      high: z.number().min(least, { error }).max(most, { error }),
    })
    .refine((r) => r.low <= r.usual && r.usual <= r.high, {
      path: ['usual'],
      error: () => PROBLEM.rangeOrder,
    });
export type Range = { readonly low: number; readonly usual: number; readonly high: number };

/** Figures of a material. % N of dry weight; C:N by weight; moisture in % of wet weight; bulk density as it lies, kg/m³. Null: not known. */
export const FIGURE_NAMES = ['n', 'cn', 'moisture', 'density'] as const;
export type FigureName = (typeof FIGURE_NAMES)[number];
const BOUNDS: Readonly<
  Record<FigureName, readonly [least: number, most: number, otherwise: () => string]>
> = {
  n: [0, 50, () => PROBLEM.nitrogen],
  cn: [0, 5000, () => PROBLEM.cnRatio],
  moisture: [0, 99.5, () => PROBLEM.moisturePct],
  density: [5, 3000, () => PROBLEM.density],
};
const ofEach = <T>(make: (...bounds: (typeof BOUNDS)[FigureName]) => T): Record<FigureName, T> =>
  Object.fromEntries(FIGURE_NAMES.map((k) => [k, make(...BOUNDS[k])])) as Record<FigureName, T>;
const FIGURES = ofEach((least, most, otherwise) => range(least, most, otherwise).nullable());

export const MaterialSchema = z.looseObject({
  id,
  name: z
    .string()
    .trim()
    .min(2, { error: () => PROBLEM.materialName })
    .max(60),
  role: z.enum(ROLES),
  ...FIGURES,
  particle: z.enum(PARTICLES),
  risks: z.array(z.enum(RISKS)),
  caution: Words.optional(),
  /** Where each figure comes from, in words. */
  sources: z.partialRecord(z.enum(FIGURE_NAMES), z.string().trim().min(2).max(200)),
  /** What is different in another state. */
  states: z
    .partialRecord(z.enum(LOAD_STATES), z.looseObject({ role: z.enum(ROLES), ...FIGURES }))
    .optional(),
  /** Values measured by a laboratory, with their day: each stands over the table's. */
  lab: z
    .strictObject(
      ofEach((least, most, otherwise) =>
        z
          .strictObject({
            value: z.number().min(least, { error: otherwise }).max(most, { error: otherwise }),
            at: Moment,
            words: Words.optional(),
          })
          .optional(),
      ),
    )
    .optional(),
});
export type Material = z.output<typeof MaterialSchema>;

export const OwnMeasureSchema = z.strictObject({
  id,
  name: z
    .string()
    .trim()
    .min(1, { error: () => PROBLEM.measureName })
    .max(30),
  many: z.string().trim().min(1).max(30).optional(),
  litres: z
    .number({ error: () => PROBLEM.litres })
    .min(0.05, { error: () => PROBLEM.litres })
    .max(60_000, { error: () => PROBLEM.litres }),
});
export type OwnMeasure = z.output<typeof OwnMeasureSchema>;

const about = z.boolean().optional();
/** How much: in a measure of the site with the litres that it held then, in litres, in kg, or not known. Unknown stays unknown. */
export const AmountSchema = z
  .discriminatedUnion('in', [
    z.strictObject({
      in: z.literal('measure'),
      n: z
        .number({ error: () => PROBLEM.amount })
        .positive({ error: () => PROBLEM.amount })
        .max(MOST.measures, { error: () => PROBLEM.amountMany }),
      measure: id,
      name: z.string().max(30),
      litresEach: z.number().positive().max(60_000),
      about,
    }),
    z.strictObject({
      in: z.literal('litres'),
      n: z
        .number({ error: () => PROBLEM.amount })
        .positive({ error: () => PROBLEM.amount })
        .max(MOST.litres, { error: () => PROBLEM.litresMost }),
      about,
    }),
    z.strictObject({
      in: z.literal('kg'),
      n: z
        .number({ error: () => PROBLEM.amount })
        .positive({ error: () => PROBLEM.amount })
        .max(MOST.kg, { error: () => PROBLEM.kgMost }),
      /** What was typed, where it was typed in pounds. */
      typed: z.strictObject({ n: z.number(), unit: z.literal('lb') }).optional(),
      about,
    }),
    z.strictObject({ in: z.literal('unknown'), words: Words.optional() }),
  ])
  .refine((a) => a.in !== 'measure' || a.n * a.litresEach <= MOST.litres, {
    path: ['n'],
    error: () => PROBLEM.litresMost,
  });
export type Amount = z.output<typeof AmountSchema>;

/** One thing that went, or is to go, into a heap. */
export const PartSchema = z.looseObject({
  material: id,
  load: LoadIdSchema.optional(),
  /** The lot that it was taken from: overs, finished compost. */ lot: LotIdSchema.optional(),
  amount: AmountSchema,
});
export type Part = z.output<typeof PartSchema>;

export const ANSWERS = ['accept', 'ask', 'refuse'] as const;
export type AcceptanceAnswer = (typeof ANSWERS)[number];
/** What the site takes: one line for a material or for a risk, for all methods or some. The first that fits holds. */
export const AcceptLineSchema = z
  .strictObject({
    material: id.optional(),
    risk: z.enum(RISKS).optional(),
    kept: z.array(z.enum(METHODS)).min(1).optional(),
    /** A permission: from this supplier alone, or until this moment. */
    supplier: z.string().trim().min(1).max(80).optional(),
    until: Moment.optional(),
    answer: z.enum(ANSWERS),
    reason: z
      .string()
      .trim()
      .min(3, { error: () => PROBLEM.reason })
      .max(200),
  })
  .refine((l) => (l.material === undefined) !== (l.risk === undefined), {
    path: ['material'],
    error: () => PROBLEM.acceptWhat,
  });
export type AcceptLine = z.output<typeof AcceptLineSchema>;

/** Why something was accepted that the site asks about or refuses. */
export const ACCEPT_REASONS = ['agreed', 'papers', 'fits-method'] as const;
export type AcceptReason = (typeof ACCEPT_REASONS)[number];

/** A figure of one load that was measured instead of taken from the table. */
const LoadTestSchema = z.looseObject({
  how: z.enum(['bucket', 'drying', 'squeeze', 'laboratory']),
  density: z
    .number()
    .min(5, { error: () => PROBLEM.density })
    .max(3000, { error: () => PROBLEM.density })
    .optional(),
  airPct: z.number().min(0).max(100).optional(),
  moisturePct: z
    .number()
    .min(0, { error: () => PROBLEM.moisturePct })
    .max(99.5, { error: () => PROBLEM.moisturePct })
    .optional(),
  working: z.array(z.string().max(300)).max(12).optional(),
});
export type LoadTest = z.output<typeof LoadTestSchema>;

const LOAD_ENDS = ['discarded', 'spread', 'sold', 'returned', 'counted-out'] as const;
export const LoadSchema = z.looseObject({
  material: id,
  what: z.string().trim().max(80).optional(),
  supplier: z.string().trim().max(80).optional(),
  amount: AmountSchema,
  state: z.enum(LOAD_STATES),
  sprayed: z.enum(['no', 'yes', 'unknown']),
  /** Diseased plants of this family are in it. */ diseased: z.enum(CROP_FAMILIES).optional(),
  /** Live seeds or roots in it, as somebody said at the gate. Left out: nobody was asked. */
  seeds: z.union([z.boolean(), z.literal('unknown')]).optional(),
  certificate: z.string().trim().max(120).optional(),
  cost: z.number().min(-1_000_000).max(1_000_000).optional(),
  where: z.string().trim().max(60).optional(),
  answer: z.enum(ANSWERS),
  /** Why it was accepted all the same. */ because: z.enum(ACCEPT_REASONS).optional(),
  /** What was asked, or why it was refused. */ asked: Words.optional(),
  /** What was done with a refused load. */ done: Words.optional(),
  /** It would else have gone to waste. */
  waste: z.boolean(),
  readyFrom: Moment.optional(),
  /** What it will be by then. */ becomes: z.enum(LOAD_STATES).optional(),
  photos: Photos.optional(),
  words: Words.optional(),
});
export type Load = z.output<typeof LoadSchema>;

export const LoadChangeSchema = z.looseObject({
  load: LoadIdSchema,
  state: z.enum(LOAD_STATES).optional(),
  readyFrom: Moment.nullable().optional(),
  becomes: z.enum(LOAD_STATES).optional(),
  where: z.string().trim().max(60).optional(),
  answer: z.enum(ANSWERS).optional(),
  /** Why it was accepted all the same. */ because: z.enum(ACCEPT_REASONS).optional(),
  done: Words.optional(),
  /** Counted again: so much is left. */
  left: AmountSchema.optional(),
  gone: z.enum(LOAD_ENDS).optional(),
  test: LoadTestSchema.optional(),
  photos: Photos.optional(),
  words: Words.optional(),
});

export const RecipeSchema = z.looseObject({
  id: z.uuid(),
  name: z
    .string()
    .trim()
    .min(2, { error: () => PROBLEM.recipeName })
    .max(60),
  parts: z.array(PartSchema).max(60),
  waterL: z
    .number({ error: () => PROBLEM.litres })
    .min(0, { error: () => PROBLEM.litres })
    .max(100_000, { error: () => PROBLEM.litres })
    .optional(),
  shape: z.enum(SHAPES).optional(),
  measures: MeasuresSchema.optional(),
  words: Words.optional(),
  /** Of which it is a copy. */ copyOf: z.uuid().optional(),
  away: z.boolean().optional(),
});
export type Recipe = z.output<typeof RecipeSchema>;

/** What whoever puts something in was asked, and said to know. */
export const PutInKnowing = z.array(z.enum(PUT_IN_DOUBTS)).max(PUT_IN_DOUBTS.length).optional();

/** Something that went into a heap that is still building. */
export const ChargeSchema = z
  .looseObject({
    parts: z.array(PartSchema).max(60),
    waterL: z
      .number({ error: () => PROBLEM.litres })
      .min(0, { error: () => PROBLEM.litres })
      .max(100_000, { error: () => PROBLEM.litres })
      .optional(),
    /** Which layer of the lay-up this was, from 1 at the ground. */ layer: z
      .int()
      .min(1)
      .max(60)
      .optional(),
    way: z.enum(['layered', 'mixed']).optional(),
    activator: Words.optional(),
    base: Words.optional(),
    cover: Words.optional(),
    knowing: PutInKnowing,
    words: Words.optional(),
  })
  .refine(
    (c) =>
      c.parts.length > 0 ||
      [c.waterL, c.activator, c.base, c.cover, c.words].some((x) => x !== undefined),
    { path: ['parts'], error: () => PROBLEM.nothingIn },
  );
export type Charge = z.output<typeof ChargeSchema>;

/** A heap that was under way before its log began here. What is not known is left out. */
export const AdoptedSchema = z.looseObject({
  /** Before this nothing was recorded here. */ from: Moment,
  rawAt: z.enum(['known', 'about', 'unknown']),
  turnings: z.int().min(0).max(200).optional(),
  highestC: z.number().min(-30).max(110).optional(),
  words: Words.optional(),
});

export const SLOT_KINDS = ['bay', 'bin', 'tub', 'row', 'pad', 'store'] as const;
/** A bay, bin, tub, row or stock place on the site's map. Metres; x to the right and y down from the map's corner; a row runs along its length. */
const SlotSchema = z.looseObject({
  id,
  name: z
    .string()
    .trim()
    .min(1, { error: () => PROBLEM.slotName })
    .max(40),
  kind: z.enum(SLOT_KINDS),
  xM: z.number().min(0).max(2000),
  yM: z.number().min(0).max(2000),
  lengthM: z
    .number()
    .positive({ error: () => PROBLEM.metres })
    .max(1000, { error: () => PROBLEM.metres }),
  widthM: z
    .number()
    .positive({ error: () => PROBLEM.metres })
    .max(100, { error: () => PROBLEM.metres }),
  heightM: z
    .number()
    .positive({ error: () => PROBLEM.metres })
    .max(10, { error: () => PROBLEM.metres }),
  base: z.string().trim().max(80).optional(),
  air: z.string().trim().max(80).optional(),
  /** What this unit may hold. Absent: all that the site takes. */
  only: z.array(z.enum(RISKS)).optional(),
  words: Words.optional(),
});
export type Slot = z.output<typeof SlotSchema>;
export const SiteMapSchema = z.looseObject({
  widthM: z
    .number()
    .positive({ error: () => PROBLEM.metres })
    .max(2000, { error: () => PROBLEM.metres }),
  depthM: z
    .number()
    .positive({ error: () => PROBLEM.metres })
    .max(2000, { error: () => PROBLEM.metres }),
  slots: z.array(SlotSchema).max(200),
});
export type SiteMap = z.output<typeof SiteMapSchema>;
