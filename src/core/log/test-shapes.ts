import { z } from 'zod';
import { PROBLEM } from '../words/problem';
import { Moment } from './kinds/shared';
import { SMELLS, SQUEEZES } from './kinds/vocabulary';

/** What is written down of a test of maturity: raw values only. Whether it passed is worked out from them (contract, section 5). */

const celsius = z.number().min(-40).max(110);
const count = z
  .int({ error: () => PROBLEM.wholeCount })
  .min(0, { error: () => PROBLEM.wholeCount })
  .max(100_000);

/** In the heap: turned, then read in the core and in the air for days. @param time how a moment is written */
const reheatSchema = <T extends z.ZodType>(time: T) => {
  const readings = z.array(z.strictObject({ at: time, c: celsius })).max(500);
  return z.looseObject({
    kind: z.literal('reheat'),
    /** The full turning at the start; null: it was not turned. */ turnedAt: time.nullable(),
    squeezes: z.array(z.strictObject({ at: time, squeeze: z.enum(SQUEEZES) })).max(20),
    moistures: z.array(z.strictObject({ at: time, pct: z.number().min(0).max(100) })).max(20),
    /** Null: not known. */ volumeM3: z.number().positive().max(100_000).nullable(),
    core: readings,
    air: readings,
  });
};
/** In an insulated flask. */
const FlaskSchema = z.looseObject({
  kind: z.literal('flask'),
  highestC: celsius.nullable(),
  roomC: celsius.nullable(),
  /** Moistened or dried until a handful gave a drop or two. */ adjusted: z.boolean().nullable(),
});
const Sown = z.strictObject({
  seeds: count,
  germinated: count,
  /** Mean length of the roots, mm. */ rootMm: z.number().min(0).max(1000),
});
/** Seeds on paper wet with an extract of the compost, and with water. */
const GerminationSchema = z.looseObject({
  kind: z.literal('germination'),
  extract: Sown.nullable(),
  control: Sown.nullable(),
});
const Pots = z.strictObject({
  pots: count,
  /** Seeds sown in all of them. */ sown: count,
  /** How many came up. */ up: count,
  clear: count,
  slight: count,
});
/** Beans, peas, clover or tomato in pots with the compost and without, against residues of weedkiller. */
const SeedlingsSchema = z.looseObject({
  kind: z.literal('seedlings'),
  compost: Pots.nullable(),
  control: Pots.nullable(),
});
/** Compost kept moist and warm, to see which weeds come up. */
const SproutSchema = z.looseObject({
  kind: z.literal('sprout'),
  litres: z.number().positive().max(1000).nullable(),
  seedlings: count.nullable(),
  /** Kept moist and warm all the time. */ kept: z.boolean().nullable(),
});
/** Moist compost shut in a bag. */
const BagSchema = z.looseObject({
  kind: z.literal('bag'),
  moist: z.boolean().nullable(),
  smell: z.enum(SMELLS).nullable(),
  puffed: z.boolean().nullable(),
});
export const RECOGNISABLE = ['nothing', 'woody', 'soft'] as const;
/** What can still be made out in it. */
const LooksSchema = z.looseObject({
  kind: z.literal('looks'),
  recognisable: z.enum(RECOGNISABLE).nullable(),
  smell: z.enum(SMELLS).nullable(),
  colour: z.enum(['as-built', 'browning', 'dark', 'ashy']).optional(),
});
const RESPIRATION_UNITS = ['mg CO2-C/g OM/d', 'mg CO2/g OM/d', 'mmol O2/kg OM/h'] as const;
/** Breath, as a laboratory measured it. */
const RespirationSchema = z.looseObject({
  kind: z.literal('respiration'),
  value: z.number().min(0).max(100_000).nullable(),
  unit: z.enum(RESPIRATION_UNITS),
});

/** The raw values of any test. @param time how a moment is written: in the log as a number, in a file as text */
export const testValuesSchema = <T extends z.ZodType>(time: T) =>
  z.discriminatedUnion('kind', [
    reheatSchema(time),
    FlaskSchema,
    GerminationSchema,
    SeedlingsSchema,
    SproutSchema,
    BagSchema,
    LooksSchema,
    RespirationSchema,
  ]);
export const TestValuesSchema = testValuesSchema(Moment);
export type TestValues = z.output<typeof TestValuesSchema>;
export type TestKind = TestValues['kind'];
export const TEST_KINDS = TestValuesSchema.options.map((o) => o.shape.kind.value);
export type ValuesOf<K extends TestKind> = Extract<TestValues, { kind: K }>;
