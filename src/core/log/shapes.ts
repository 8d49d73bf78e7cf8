import { z } from 'zod';
import { leavesOf, type Requirement } from '../evidence/rule';
import { DEFAULT_MAX_GAP_HOURS } from '../evidence/policy';
import { METHODS, MOISTURE_STATES, POINT_ZONES } from '../evidence/types';
import { parseInstant, STAMP } from '../quantity/instant';
import { PROBLEM } from '../words/problem';

/** Shapes that the log and the batch file share (contract, section 1). Loose: what is not named here is kept. */

export const Time = z.string().refine((text) => parseInstant(text) !== null, PROBLEM.noTime).meta({ pattern: STAMP.source });
export const Unit = z.enum(['C', 'F']);
const Id = z.string();

export const PointSchema = z.looseObject({ id: Id, label: z.string().optional(), depthM: z.number().optional(), zone: z.enum(POINT_ZONES).optional() });
/** Sides of a heap as its crew calls them. */
export const SIDES = ['crown', 'left', 'right', 'front', 'back', 'north', 'east', 'south', 'west', 'base'] as const;
export type Side = (typeof SIDES)[number];
/** A place of a round with where it lies: on which side, and how far along a row from its start, m. */
export const PlanPointSchema = PointSchema.extend({ zone: z.enum(POINT_ZONES), label: z.string().trim().min(1).max(60), depthM: z.number().min(0).max(20).optional(), side: z.enum(SIDES).optional(), alongM: z.number().min(0).max(5000).optional() });
export type PlanPoint = z.output<typeof PlanPointSchema>;

export const PositionSchema = z.union([
  z.strictObject({ bay: z.string().trim().min(1).max(40) }),
  z.strictObject({ row: z.string().trim().min(1).max(40), fromM: z.number().min(0).max(5000), toM: z.number().max(5000) }).refine((p) => p.toM > p.fromM, { path: ['toM'], message: PROBLEM.rowBackwards }),
]);
export type Position = z.output<typeof PositionSchema>;

export const INSTRUMENT_KINDS = ['dial', 'digital', 'wireless', 'glass'] as const;
export const InstrumentSchema = z.looseObject({
  name: z.string().trim().min(1, PROBLEM.instrumentName).max(40), kind: z.enum(INSTRUMENT_KINDS),
  /** What it shows: every value read off it is typed in this unit. */
  unit: z.enum(['C', 'F']),
  /** Length of its stem, m. */
  stemM: z.number().min(0.05).max(5).optional(),
  /** Its scale, °C. */
  minC: z.number().min(-100).max(500).optional(), maxC: z.number().min(-100).max(500).optional(),
  /** As its maker says, ± K. */
  accuracyK: z.number().min(0).max(20).optional(),
  /** How long it takes until it stands still, s. */
  settleS: z.int().min(1).max(900).optional(),
  /** A check is due so many days after the last. */
  checkDays: z.int().min(1).max(3660).optional(),
  /** Why it is out of service; absent while it serves. */
  out: z.string().trim().min(1).max(200).optional(),
}).refine((i) => i.minC === undefined || i.maxC === undefined || i.maxC > i.minC, { path: ['maxC'], message: PROBLEM.scaleBackwards });
export type Instrument = z.output<typeof InstrumentSchema>;

const CheckSchema = z.looseObject({ at: Time, referenceC: z.number(), readC: z.number() });
export const ProbeSchema = z.looseObject({ id: Id, kind: z.string().optional(), checks: z.array(CheckSchema).default([]) });
export const ReadingSchema = z.looseObject({
  id: Id, at: Time, point: z.string(), probe: z.string().optional(), value: z.number(), unit: Unit, round: z.string().optional(),
  flag: z.enum(['superseded', 'rejected']).optional(), flagReason: z.string().optional(), recordedAt: Time.optional(),
});
/** How sure a value is: the needle was still rising, it is at least that, it is about that. */
export const READING_MARKS = ['rising', 'atLeast', 'about'] as const;
export type ReadingMark = (typeof READING_MARKS)[number];
/** What a reading by hand may say beside its value. A range counts with its lower end, `value`; `high` is the upper. */
export const HandReadingSchema = ReadingSchema.extend({
  marks: z.array(z.enum(READING_MARKS)).optional(), high: z.number().optional(),
  /** What was typed at first, where an answer to a question changed it. */
  typed: z.looseObject({ value: z.number(), unit: Unit }).optional(),
  doubts: z.array(z.looseObject({ code: z.string(), answer: z.string() })).optional(),
  /** How long the probe had been at this place by the phone's timer, s. */
  settledS: z.number().min(0).optional(),
}).refine((r) => r.high === undefined || r.high >= r.value, { path: ['high'], message: PROBLEM.rangeBackwards });
export const AmbientSchema = z.looseObject({ at: Time, value: z.number(), unit: Unit });

const seeds = z.boolean().optional();
const plainEvent = <T extends string>(type: T) => z.looseObject({ id: Id, at: Time, type: z.literal(type) });
export const EventSchema = z.discriminatedUnion('type', [
  z.looseObject({ id: Id, at: Time, type: z.literal('turn'), full: z.boolean() }),
  z.looseObject({ id: Id, at: Time, type: z.literal('add'), raw: z.boolean(), seeds, what: z.string().optional() }),
  z.looseObject({ id: Id, at: Time, type: z.literal('water'), litres: z.number().optional(), clean: z.boolean(), seeds }),
  z.looseObject({ id: Id, at: Time, type: z.literal('merge'), withProven: z.boolean(), seeds, what: z.string().optional() }),
  z.looseObject({ id: Id, at: Time, type: z.literal('moisture'), state: z.enum(MOISTURE_STATES) }),
  plainEvent('note'), plainEvent('move'), plainEvent('cover'), plainEvent('screen'), plainEvent('cure'),
]);
export const EVENT_TYPES = EventSchema.options.map((option) => option.shape.type.value);

export const PolicySchema = z.looseObject({
  combine: z.enum(['coldest', 'mean', 'median']).optional(),
  minPoints: z.int().min(1).optional(),
  roundMinutes: z.number().min(0).optional(),
  maxGapHours: z.number().positive().optional(),
  turnGraceHours: z.number().min(0).optional(),
  guardBandC: z.number().min(0).optional(),
  counting: z.enum(['hours', 'days']).optional(),
  maxBlankDays: z.int().min(0).optional(),
  calibrationDays: z.number().positive().nullable().optional(),
  zones: z.array(z.enum(POINT_ZONES)).optional(),
});

/** As a site or a batch may put it in force: it does not contradict itself. */
export const SoundPolicySchema = PolicySchema.refine((p) => (p.turnGraceHours ?? 0) <= (p.maxGapHours ?? DEFAULT_MAX_GAP_HOURS), { path: ['turnGraceHours'], message: PROBLEM.graceTooLong });

const HoldSchema = z.looseObject({
  kind: z.literal('hold'), floorC: z.number(), ceilingC: z.number().optional(), hours: z.number().positive(), consecutive: z.boolean(), turnings: z.int().min(0),
});
/** Neither half of a time within a time asks for turnings. */
const PlainHoldSchema = HoldSchema.extend({ turnings: z.literal(0) });
const RequirementSchema: z.ZodType<Requirement> = z.lazy(() => z.discriminatedUnion('kind', [
  HoldSchema,
  z.looseObject({ kind: z.literal('staged'), floorC: z.number(), ceilingC: z.number().optional(), holdHours: z.number().positive(), stages: z.int().min(1) }),
  z.looseObject({ kind: z.enum(['anyOf', 'allOf']), of: z.array(RequirementSchema).min(1) }),
  z.looseObject({ kind: z.literal('within'), outer: PlainHoldSchema, inner: PlainHoldSchema }),
  z.looseObject({ kind: z.literal('meanAbove'), floorC: z.number(), hours: z.number().positive(), meanC: z.number() }),
]));
export const RuleSchema = z.looseObject({
  id: z.string().min(1), title: z.string().optional(), jurisdiction: z.string().optional(), document: z.string().optional(), section: z.string().optional(),
  year: z.number().optional(), fromMemory: z.boolean().optional(), methods: z.array(z.enum(METHODS)).optional(), clock: z.enum(['germs', 'seeds']).optional(),
  requirement: RequirementSchema, conditions: z.array(z.string()).optional(), caution: z.string().optional(),
});

/** Temperatures of a rule that a person may write, °C: a typing slip lies outside. */
const FLOORS_C = [20, 90] as const;

function slipOf(requirement: Requirement): string | null {
  for (const leaf of leavesOf(requirement)) {
    const holds = leaf.kind === 'within' ? [leaf.outer, leaf.inner] : [leaf];
    for (const h of holds) {
      if (h.floorC < FLOORS_C[0] || h.floorC > FLOORS_C[1]) return PROBLEM.floorOut(h.floorC);
      if ('ceilingC' in h && h.ceilingC !== undefined && h.ceilingC <= h.floorC) return PROBLEM.ceilingLow(h.ceilingC, h.floorC);
    }
    if (leaf.kind === 'within' && leaf.inner.hours > leaf.outer.hours) return PROBLEM.innerLonger;
    if (leaf.kind === 'meanAbove' && leaf.meanC < leaf.floorC) return PROBLEM.meanLow;
  }
  return null;
}

/** A rule that the site wrote itself. */
export const SiteRuleSchema = RuleSchema.extend({ id: z.string().regex(/^site-[a-z0-9-]{1,40}$/, PROBLEM.siteRuleId), title: z.string().trim().min(3, PROBLEM.ruleTitle).max(120) })
  .superRefine((rule, ctx) => { const slip = slipOf(rule.requirement); if (slip) ctx.addIssue({ code: 'custom', path: ['requirement'], message: slip }); });

export type FileReading = z.output<typeof ReadingSchema>;
export type FileEvent = z.output<typeof EventSchema>;
