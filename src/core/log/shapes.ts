import { z } from 'zod';
import {
  findRequirementSlip,
  getRequirementDescription,
  LEAF_KINDS,
} from '../evidence/requirements';
import type { FieldType, RequirementSlip } from '../evidence/requirements/description';
import type { Leaf, Requirement } from '../evidence/rule';
import { DEFAULT_MAX_GAP_HOURS } from '../evidence/policy';
import { METHODS, MOISTURE_STATES, POINT_ZONES } from '../evidence/types';
import { parseInstant, STAMP } from '../quantity/instant';
import { PROBLEM } from '../words/problem';
import { itemAt } from '../quantity/present';

/** Shapes that the log and the batch file share (contract, section 1). Loose: what is not named here is kept. */

export const Time = z
  .string()
  .refine((text) => parseInstant(text) !== null, { error: () => PROBLEM.noTime })
  .meta({ pattern: STAMP.source });
export const Unit = z.enum(['C', 'F']);
const Id = z.string();

export const PointSchema = z.looseObject({
  id: Id,
  label: z.string().optional(),
  depthM: z.number().optional(),
  zone: z.enum(POINT_ZONES).optional(),
});
/** Sides of a heap as its crew calls them. */
const SIDES = [
  'crown',
  'left',
  'right',
  'front',
  'back',
  'north',
  'east',
  'south',
  'west',
  'base',
] as const;
export type Side = (typeof SIDES)[number];
/** A place of a round with where it lies: on which side, and how far along a row from its start, m. */
export const PlanPointSchema = PointSchema.extend({
  zone: z.enum(POINT_ZONES),
  label: z.string().trim().min(1).max(60),
  depthM: z.number().min(0).max(20).optional(),
  side: z.enum(SIDES).optional(),
  alongM: z.number().min(0).max(5000).optional(),
});

export const PositionSchema = z.union([
  z.strictObject({ bay: z.string().trim().min(1).max(40) }),
  z
    .strictObject({
      row: z.string().trim().min(1).max(40),
      fromM: z.number().min(0).max(5000),
      toM: z.number().max(5000),
    })
    .refine((p) => p.toM > p.fromM, { path: ['toM'], error: () => PROBLEM.rowBackwards }),
]);
export type Position = z.output<typeof PositionSchema>;

/** What may move a crew to turn a heap (trade facts, section 2). One is the main trigger of a method, others may override it. */
export const TRIGGERS = ['calendar', 'peak', 'decline', 'low', 'hot', 'bay', 'never'] as const;
export type Trigger = (typeof TRIGGERS)[number];
/** From where a heap is too hot, °C: look at it, act, danger. Danger is never set above 80 °C. */
const LimitsSchema = z
  .strictObject({
    warnC: z.number().min(50).max(80),
    actC: z.number().min(50).max(80),
    dangerC: z.number().min(55).max(80),
  })
  .refine((l) => l.warnC < l.actC && l.actC < l.dangerC, {
    path: ['actC'],
    error: () => PROBLEM.limitsOrder,
  });
export type Limits = z.output<typeof LimitsSchema>;
/** A way to keep a heap: when it is turned, what heat is expected of it by age, from where it is too hot, how moist it is kept. */
export const TemplateSchema = z.looseObject({
  id: z.string().regex(/^[a-z0-9-]{1,40}$/, { error: () => PROBLEM.templateId }),
  name: z
    .string()
    .trim()
    .min(3, { error: () => PROBLEM.templateName })
    .max(60),
  kept: z.enum(METHODS),
  /** Air is blown or drawn through it. */
  aerated: z.boolean().optional(),
  /** It makes no claim of any kill: no rule is asked of it. */
  noClaim: z.boolean().optional(),
  trigger: z.enum(TRIGGERS),
  overrides: z.array(z.enum(TRIGGERS)).default([]),
  /** The calendar: first turning so many days after the last raw load, then one every so many. */
  firstDay: z.number().min(0.5).max(120),
  everyDays: z.number().min(1).max(120),
  /** Turned again once the core is down to this, °C. */
  lowC: z.number().min(15).max(60),
  limits: LimitsSchema,
  /** % of wet weight. */
  moisture: z
    .strictObject({
      lowPct: z.number().min(20).max(80),
      targetPct: z.number().min(20).max(80),
      highPct: z.number().min(20).max(80),
    })
    .refine((m) => m.lowPct < m.targetPct && m.targetPct < m.highPct, {
      path: ['targetPct'],
      error: () => PROBLEM.moistureOrder,
    }),
  /** How long it works before it is expected to run down, days. */
  activeDays: z.number().min(5).max(730),
  /** Heat of the core that is expected by age, °C; straight lines between the days. */
  expect: z
    .array(
      z
        .strictObject({
          day: z.number().min(0).max(730),
          lowC: z.number().min(-5).max(80),
          highC: z.number().min(0).max(85),
        })
        .refine((e) => e.lowC < e.highC, { path: ['highC'], error: () => PROBLEM.expectBand }),
    )
    .min(2)
    .max(20)
    .refine((list) => list.every((e, i) => i === 0 || e.day > itemAt(list, i - 1).day), {
      error: () => PROBLEM.expectOrder,
    }),
  /** Work of one turning: a person's minutes for each cubic metre, and whether it takes the machine. */
  minutesPerM3: z.number().min(0).max(240),
  machine: z.boolean(),
  words: z.string().trim().max(300).optional(),
});
export type MethodTemplate = z.output<typeof TemplateSchema>;

/** Outer measures of a heap, m. */
export const MeasuresSchema = z.strictObject({
  lengthM: z.number().positive().max(1000),
  widthM: z.number().positive().max(100),
  heightM: z.number().positive().max(20),
  topWidthM: z.number().positive().max(100).optional(),
});
export type Measures = z.output<typeof MeasuresSchema>;

const clockTime = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/);
export const CHORES = ['leachate', 'covers', 'vents', 'tools', 'other'] as const;
/** Who works when, with what, and what comes round on its own. */
export const WorkSchema = z
  .looseObject({
    from: clockTime,
    to: clockTime,
    /** 1 Monday to 7 Sunday. */
    days: z.array(z.int().min(1).max(7)).min(1).max(7),
    crew: z
      .array(
        z.strictObject({
          name: z.string().trim().min(1).max(60),
          hoursPerDay: z.number().min(0).max(16),
          drives: z.boolean(),
        }),
      )
      .max(40),
    /** The loader or turner: so many hours on these days. Null: there is none. */
    machine: z
      .strictObject({
        name: z.string().trim().min(1).max(40),
        hoursPerDay: z.number().min(0).max(16),
        days: z.array(z.int().min(1).max(7)).max(7),
      })
      .nullable(),
    /** What comes out of the hose, L each minute; what a bucket holds, L. */
    flowLPerMin: z.number().min(1).max(2000),
    bucketL: z.number().min(1).max(200),
    /** Under this a free-standing heap is held to be too small, m³; absent: about one. */
    leastM3: z.number().min(0.1).max(20).optional(),
    /** The site's own limits, where it does not go by those of each method. */
    limits: LimitsSchema.nullable(),
    chores: z
      .array(
        z.strictObject({
          id: z.string().min(1).max(40),
          what: z.enum(CHORES),
          words: z.string().trim().max(120).optional(),
          everyDays: z.number().min(1).max(365),
          minutes: z.number().min(1).max(480),
        }),
      )
      .max(30),
  })
  .refine((w) => w.from < w.to, { path: ['to'], error: () => PROBLEM.dayBackwards });
export type Work = z.output<typeof WorkSchema>;
/** What a person needs in their hand when a heap smokes. */
export const FireCardSchema = z.looseObject({
  contacts: z
    .array(
      z.strictObject({
        who: z.string().trim().min(1).max(60),
        phone: z.string().trim().min(2).max(40),
      }),
    )
    .max(8),
  address: z.string().trim().max(200),
  water: z.string().trim().max(200),
  words: z.string().trim().max(300),
});
export type FireCard = z.output<typeof FireCardSchema>;

const INSTRUMENT_KINDS = ['dial', 'digital', 'wireless', 'glass'] as const;
export const InstrumentSchema = z
  .looseObject({
    name: z
      .string()
      .trim()
      .min(1, { error: () => PROBLEM.instrumentName })
      .max(40),
    kind: z.enum(INSTRUMENT_KINDS),
    /** What it shows: every value read off it is typed in this unit. */
    unit: z.enum(['C', 'F']),
    /** Length of its stem, m. */
    stemM: z.number().min(0.05).max(5).optional(),
    /** Its scale, °C. */
    minC: z.number().min(-100).max(500).optional(),
    maxC: z.number().min(-100).max(500).optional(),
    /** As its maker says, ± K. */
    accuracyK: z.number().min(0).max(20).optional(),
    /** How long it takes until it stands still, s. */
    settleS: z.int().min(1).max(900).optional(),
    /** A check is due so many days after the last. */
    checkDays: z.int().min(1).max(3660).optional(),
    /** Why it is out of service; absent while it serves. */
    out: z.string().trim().min(1).max(200).optional(),
  })
  .refine((i) => i.minC === undefined || i.maxC === undefined || i.maxC > i.minC, {
    path: ['maxC'],
    error: () => PROBLEM.scaleBackwards,
  });
export type Instrument = z.output<typeof InstrumentSchema>;

const CheckSchema = z.looseObject({ at: Time, referenceC: z.number(), readC: z.number() });
export const ProbeSchema = z.looseObject({
  id: Id,
  kind: z.string().optional(),
  checks: z.array(CheckSchema).default([]),
});
export const ReadingSchema = z.looseObject({
  id: Id,
  at: Time,
  point: z.string(),
  probe: z.string().optional(),
  value: z.number(),
  unit: Unit,
  round: z.string().optional(),
  flag: z.enum(['superseded', 'rejected']).optional(),
  flagReason: z.string().optional(),
  recordedAt: Time.optional(),
  /** A trainee read it, and nobody else has checked it yet: it may hurt and cannot help. */
  toCheck: z.literal(true).optional(),
});
/** How sure a value is: the needle was still rising, it is at least that, it is about that. */
const READING_MARKS = ['rising', 'atLeast', 'about'] as const;
export type ReadingMark = (typeof READING_MARKS)[number];
/** What a reading by hand may say beside its value. A range counts with its lower end, `value`; `high` is the upper. */
export const HandReadingSchema = ReadingSchema.extend({
  marks: z.array(z.enum(READING_MARKS)).optional(),
  high: z.number().optional(),
  /** What was typed at first, where an answer to a question changed it. */
  typed: z.looseObject({ value: z.number(), unit: Unit }).optional(),
  doubts: z.array(z.looseObject({ code: z.string(), answer: z.string() })).optional(),
  /** How long the probe had been at this place by the phone's timer, s. */
  settledS: z.number().min(0).optional(),
}).refine((r) => r.high === undefined || r.high >= r.value, {
  path: ['high'],
  error: () => PROBLEM.rangeBackwards,
});
export const AmbientSchema = z.looseObject({ at: Time, value: z.number(), unit: Unit });

const seeds = z.boolean().optional();
const plainEvent = <T extends string>(type: T) =>
  z.looseObject({ id: Id, at: Time, type: z.literal(type) });
export const EventSchema = z.discriminatedUnion('type', [
  z.looseObject({ id: Id, at: Time, type: z.literal('turn'), full: z.boolean() }),
  z.looseObject({
    id: Id,
    at: Time,
    type: z.literal('add'),
    raw: z.boolean(),
    seeds,
    what: z.string().optional(),
  }),
  z.looseObject({
    id: Id,
    at: Time,
    type: z.literal('water'),
    litres: z.number().optional(),
    clean: z.boolean(),
    seeds,
  }),
  z.looseObject({
    id: Id,
    at: Time,
    type: z.literal('merge'),
    withProven: z.boolean(),
    seeds,
    what: z.string().optional(),
  }),
  z.looseObject({ id: Id, at: Time, type: z.literal('moisture'), state: z.enum(MOISTURE_STATES) }),
  plainEvent('note'),
  plainEvent('move'),
  plainEvent('cover'),
  plainEvent('screen'),
  plainEvent('cure'),
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
export const SoundPolicySchema = PolicySchema.refine(
  (p) => (p.turnGraceHours ?? 0) <= (p.maxGapHours ?? DEFAULT_MAX_GAP_HOURS),
  { path: ['turnGraceHours'], error: () => PROBLEM.graceTooLong },
);

/** A shape of each type of field. */
const FIELD_SHAPES: Readonly<Record<FieldType, () => z.ZodType>> = {
  celsius: () => z.number(),
  'optional-celsius': () => z.number().optional(),
  'positive-hours': () => z.number().positive(),
  'yes-no': () => z.boolean(),
  'optional-yes-no': () => z.boolean().optional(),
  count: () => z.int().min(0),
  'count-from-1': () => z.int().min(1),
  'plain-hold': () => leafSchema('hold').extend({ turnings: z.literal(0) }),
};
const leafSchema = (kind: Leaf['kind']) =>
  z.looseObject({
    kind: z.literal(kind),
    ...Object.fromEntries(
      Object.entries<FieldType>(getRequirementDescription(kind).fields).map(([name, type]) => [
        name,
        FIELD_SHAPES[type](),
      ]),
    ),
  });
const RequirementSchema: z.ZodType<Requirement> = z.lazy(() => {
  const [hold, staged, ...others] = LEAF_KINDS.map(leafSchema);
  const group = z.looseObject({
    kind: z.enum(['anyOf', 'allOf']),
    of: z.array(RequirementSchema).min(1),
  });
  // The published schema lists them in this order.
  return z.discriminatedUnion('kind', [
    hold!,
    staged!,
    group,
    ...others,
  ]) as unknown as z.ZodType<Requirement>;
});
export const RuleSchema = z.looseObject({
  id: z.string().min(1),
  title: z.string().optional(),
  jurisdiction: z.string().optional(),
  document: z.string().optional(),
  section: z.string().optional(),
  year: z.number().optional(),
  fromMemory: z.boolean().optional(),
  methods: z.array(z.enum(METHODS)).optional(),
  clock: z.enum(['germs', 'seeds']).optional(),
  requirement: RequirementSchema,
  conditions: z.array(z.string()).optional(),
  caution: z.string().optional(),
});

const SLIP_TEXT: {
  readonly [C in RequirementSlip['code']]: (slip: Extract<RequirementSlip, { code: C }>) => string;
} = {
  'floor-out': (s) => PROBLEM.floorOut(s.floorC),
  'ceiling-low': (s) => PROBLEM.ceilingLow(s.ceilingC, s.floorC),
  'inner-longer': () => PROBLEM.innerLonger,
  'mean-low': () => PROBLEM.meanLow,
};

/** A rule that the site wrote itself. */
export const SiteRuleSchema = RuleSchema.extend({
  id: z.string().regex(/^site-[a-z0-9-]{1,40}$/, { error: () => PROBLEM.siteRuleId }),
  title: z
    .string()
    .trim()
    .min(3, { error: () => PROBLEM.ruleTitle })
    .max(120),
}).superRefine((rule, ctx) => {
  const slip = findRequirementSlip(rule.requirement);
  // Each code's text takes the slip of its own code.
  const text = slip && (SLIP_TEXT[slip.code] as (s: RequirementSlip) => string)(slip);
  if (text) ctx.addIssue({ code: 'custom', path: ['requirement'], message: text });
});

export type FileReading = z.output<typeof ReadingSchema>;
export type FileEvent = z.output<typeof EventSchema>;
