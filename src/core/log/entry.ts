import { z } from 'zod';
import { METHODS } from '../evidence/types';
import { SMELL_WORDS, SQUEEZE_WORDS, type Smell, type Squeeze } from '../words/feel';
import { SKIP_WORDS, type SkipReason } from '../words/skip';
import { isTimeZone } from '../quantity/calendar';
import { isoOf, MS, type Instant } from '../quantity/instant';
import { PROBLEM } from '../words/problem';
import {
  AcceptLineSchema,
  AdoptedSchema,
  ChargeSchema,
  LoadChangeSchema,
  LoadSchema,
  MaterialSchema,
  OwnMeasureSchema,
  PartSchema,
  RecipeSchema,
  SiteMapSchema,
} from './store-shapes';
import {
  AmbientSchema,
  FireCardSchema,
  InstrumentSchema,
  MeasuresSchema,
  PlanPointSchema,
  PointSchema,
  PolicySchema,
  PositionSchema,
  ProbeSchema,
  ReadingSchema,
  RuleSchema,
  SiteRuleSchema,
  SoundPolicySchema,
  TemplateSchema,
  Unit,
  WorkSchema,
} from './shapes';

/** What happened to a heap or on a site, one typed record each. An entry is never changed: see `correction`. */

const Words = z.string().trim().max(2000);
const seeds = z.boolean().optional();
/** The id and fields that an entry had in the file it was brought in from. */
const origin = {
  fileId: z.string().optional(),
  extra: z.record(z.string(), z.unknown()).optional(),
};

export const SQUEEZES = Object.keys(SQUEEZE_WORDS) as [Squeeze, ...Squeeze[]];
export const SMELLS = Object.keys(SMELL_WORDS) as [Smell, ...Smell[]];
/** What is looked for at a heap beside its heat. `none` was looked for and not found: that is a finding. */
export const LOOKS = {
  growth: ['none', 'white', 'grey'],
  steam: ['none', 'some', 'much'],
  pests: ['none', 'flies', 'rats', 'other'],
  seepage: ['none', 'some', 'much'],
  cover: ['on', 'off'],
  colour: ['as-built', 'browning', 'dark', 'ashy'],
} as const;
/** Pests that were seen; several may be there at once. */
export const PESTS = ['flies', 'rats', 'other'] as const;
export type Pest = (typeof PESTS)[number];
/** The pests of an observation as a list; none: looked for and not found. */
export const pestsOf = (pests: (typeof LOOKS.pests)[number] | readonly Pest[]): readonly Pest[] =>
  typeof pests !== 'string' ? pests : pests === 'none' ? [] : [pests];
/** Why a heap or a place was left out of a round. */
export const SKIPS = Object.keys(SKIP_WORDS) as [SkipReason, ...SkipReason[]];
/** What goes into a heap, as far as it decides which rules are proposed. */
export const INPUTS = [
  'manure',
  'seeding-weeds',
  'food-waste',
  'biosolids',
  'diseased-plants',
  'garden',
] as const;
/** The walk over the site that it belongs to: two phones on one walk bear the same. */
const walk = { walk: z.string().max(80).optional() };

/** What leaves one heap and enters another, or leaves the site, and whether it is taken to carry germs and seeds unless somebody knows better: overs are lumps of the rim. */
export const TRANSFERS = {
  leachate: { raw: true, seeds: false },
  rinsings: { raw: true, seeds: true },
  overs: { raw: true, seeds: true },
  char: { raw: false, seeds: false },
  other: { raw: true, seeds: true },
} as const;
export type TransferKind = keyof typeof TRANSFERS;
export const TRANSFER_KINDS = Object.keys(TRANSFERS) as [TransferKind, ...TransferKind[]];
/** Why a heap is at its end. */
export const END_REASONS = ['matured', 'gave-up', 'merged', 'discarded', 'used-raw'] as const;
export type EndReason = (typeof END_REASONS)[number];
/** What a crew may change to mend a heap: one at a time, or nobody knows what helped. */
export const FIXES = [
  'enlarge',
  'water',
  'dry',
  'nitrogen',
  'carbon',
  'structure',
  'turn',
  'cover',
  'uncover',
  'shrink',
  'bury',
  'thermometer',
  'wait',
] as const;
export type Fix = (typeof FIXES)[number];
export const DEFER_REASONS = [
  'weather',
  'no-time',
  'no-hands',
  'no-machine',
  'no-water',
  'heap-fine',
  'other',
] as const;
export type DeferReason = (typeof DEFER_REASONS)[number];
/** A moment to come or gone by, ms: within this century and the next. */
const Moment = z
  .int()
  .min(Date.UTC(2000, 0, 1))
  .max(Date.UTC(2200, 0, 1));
/** The single act that an entry is one end of: the id of the entry that a person made. */
const act = { act: z.uuid().optional() };

/** Why a heap should not go out yet. */
export const RELEASE_DOUBTS = ['unproven', 'warm', 'unread'] as const;
export type ReleaseDoubt = (typeof RELEASE_DOUBTS)[number];
/** What whoever lets it go was told and said to know: unproven, warm, unread. */
const knowing = { knowing: z.array(z.enum(RELEASE_DOUBTS)).max(RELEASE_DOUBTS.length).optional() };

export const RIMS = ['all', 'most', 'partly', 'unsure'] as const;

/** Which version of the site's rules and policy stands behind a batch's own. */
const siteVersion = z.int().min(1).optional();

/** The one list of kinds, each with the shape of its data. */
export const ENTRY_DATA = {
  /** A batch gets its name and place; it may still be building. */
  opened: z.looseObject({
    code: z.string().trim().min(1).max(24),
    name: z.string().trim().max(60).optional(),
    method: z.enum(METHODS),
    bay: z.string().trim().max(40).optional(),
    volumeM3: z.number().positive().max(100_000).optional(),
    shape: z.string().optional(),
    coreDepthM: z.number().positive().optional(),
    points: z.array(PointSchema).min(1),
    policy: PolicySchema.default({}),
    rules: z.array(z.string()).default([]),
    ownRules: z.array(RuleSchema).default([]),
    inputs: z.array(z.enum(INPUTS)).optional(),
    siteVersion,
    /** How it is kept; without one, the usual way of its kind. */
    template: TemplateSchema.optional(),
    measures: MeasuresSchema.optional(),
    /** Carried off from another heap: it has that heap's past up to this moment, and not its future. */
    splitFrom: z
      .looseObject({
        batch: z.uuid(),
        at: Moment,
        /** Of what stood there, 0 to 1; left out: its volume was not known. */ share: z
          .number()
          .gt(0)
          .lt(1)
          .optional(),
      })
      .optional(),
    ...act,
    /** Taken over while it was under way. */
    adopted: AdoptedSchema.optional(),
    /** Of a batch kept elsewhere: its thermometers, air temperatures and whatever else its file held. */
    brought: z
      .looseObject({
        probes: z.array(ProbeSchema),
        ambient: z.array(AmbientSchema).optional(),
        extra: z.record(z.string(), z.unknown()),
        siteName: z.string(),
        timeZone: z.string().refine(isTimeZone, PROBLEM.noZone),
        unit: Unit.optional(),
      })
      .optional(),
  }),
  /** What it is to be built by: a recipe as it was when it was chosen. */
  'lay-up': z.looseObject({
    recipe: RecipeSchema,
    /** The entry that kept that version. */ from: z.uuid().optional(),
  }),
  /** Something went in while it is still building. */
  charge: ChargeSchema,
  /** The last raw load went in: the clock starts at the entry's time. */
  built: z.looseObject({ /** The time as a file wrote it. */ as: z.string().optional() }),
  /** Readings of one walk round the heap, or a block of them brought in from a file. */
  round: z.looseObject({
    source: z.enum(['hand', 'file']),
    readings: z.array(ReadingSchema).min(1),
    words: Words.optional(),
    ...walk,
    /** Places that were left out, and why. */
    left: z.array(z.looseObject({ point: z.string(), reason: z.enum(SKIPS) })).optional(),
  }),
  /** A heap was left out of a walk over the site. */
  skip: z.looseObject({ reason: z.enum(SKIPS), words: Words.optional(), ...walk }),
  /** A picture; its bytes lie beside the log under their SHA-256. */
  photo: z.looseObject({
    sha256: z.string().regex(/^[0-9a-f]{64}$/),
    width: z.int().positive(),
    height: z.int().positive(),
    words: Words.optional(),
    ...walk,
  }),
  /** Where a round reads this heap, from now on. Places that are no longer named stay with their readings. */
  plan: z.looseObject({ points: z.array(PlanPointSchema).min(1).max(60) }),
  /** A bay, or from where to where along a shared row. */
  position: z.looseObject({ position: PositionSchema, words: Words.optional() }),
  turn: z.looseObject({
    full: z.boolean(),
    rim: z.enum(RIMS).optional(),
    words: Words.optional(),
    /** A person's minutes, how many people, and whether the machine did it. */
    minutes: z.number().min(0).max(1440).optional(),
    people: z.int().min(1).max(60).optional(),
    machine: z.boolean().optional(),
    /** Whether a round was read before it was opened. */
    readFirst: z.boolean().optional(),
    ...act,
    ...origin,
  }),
  water: z.looseObject({
    litres: z.number().min(0).max(1_000_000).optional(),
    clean: z.boolean(),
    seeds,
    words: Words.optional(),
    ...origin,
  }),
  addition: z.looseObject({
    raw: z.boolean(),
    seeds,
    what: Words.optional(),
    litres: z.number().positive().max(1_000_000).optional(),
    /** Out of the store. */ parts: z.array(PartSchema).max(60).optional(),
    /** The heap that it came out of, and as what. */ from: z.uuid().optional(),
    stuff: z.enum(TRANSFER_KINDS).optional(),
    ...act,
    ...origin,
  }),
  merge: z.looseObject({
    withProven: z.boolean(),
    seeds,
    what: z.string().optional(),
    /** The heap that was joined to this one. */ from: z.uuid().optional(),
    volumeM3: z.number().positive().max(100_000).optional(),
    ...act,
    ...origin,
  }),
  moisture: z.looseObject({ state: z.enum(['dry', 'moist', 'wet']), ...origin }),
  observation: z.looseObject({
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
  }),
  note: z.looseObject({ words: Words, ...origin }),
  move: z.looseObject({ words: Words.optional(), ...act, ...origin }),
  /** Something left this heap: for another one, or for good. */
  transfer: z.looseObject({
    what: z.enum(TRANSFER_KINDS),
    to: z.uuid().optional(),
    /** Whether it carries germs, and seeds, with it. */ raw: z.boolean(),
    seeds: z.boolean(),
    litres: z.number().positive().max(1_000_000).optional(),
    words: Words.optional(),
    ...act,
  }),
  /** A part of this heap was carried off and is a heap of its own from now on. */
  split: z.looseObject({
    to: z.uuid(),
    volumeM3: z.number().positive().max(100_000),
    /** What the part is called from now on, and where it stands. */ code: z
      .string()
      .trim()
      .min(1)
      .max(24),
    name: z.string().trim().max(60).optional(),
    bay: z.string().trim().max(40).optional(),
    ...act,
  }),
  /** One stands on top of the other in the same bay, something between them. */
  stack: z.looseObject({ with: z.uuid(), layer: z.enum(['upper', 'lower']), ...act }),
  /** Its size, measured again: by outer measures, or as somebody judges it. */
  size: z
    .looseObject({
      measures: MeasuresSchema.optional(),
      volumeM3: z.number().positive().max(100_000).optional(),
      words: Words.optional(),
      ...act,
    })
    .refine((s) => s.measures !== undefined || s.volumeM3 !== undefined, {
      path: ['volumeM3'],
      message: 'Give measures or a volume.',
    }),
  /** The method that it is kept by, from now on. */
  method: z.looseObject({ template: TemplateSchema, words: Words.optional() }),
  /** One thing that was changed to mend it. */
  fix: z.looseObject({
    fix: z.enum(FIXES),
    against: z.string().max(40).optional(),
    words: Words.optional(),
  }),
  /** An advised act is put off: until when it is looked at again, and why. */
  defer: z.looseObject({
    task: z.string().min(1).max(120),
    until: Moment,
    reason: z.enum(DEFER_REASONS),
    words: Words.optional(),
    /** It cannot be done at all, for now. */ impossible: z.boolean().optional(),
  }),
  /** A task is given to somebody, or to a day. */
  assign: z.looseObject({
    task: z.string().min(1).max(120),
    who: z.string().trim().max(60).optional(),
    /** The day it is moved to, its noon. */ day: Moment.optional(),
  }),
  /** Its bay is wanted for another heap by then; null: no longer. */
  'bay-wanted': z.looseObject({ by: Moment.nullable(), words: Words.optional() }),
  /** A chore was done. */
  chore: z.looseObject({
    chore: z.string().min(1).max(40),
    litres: z.number().min(0).max(1_000_000).optional(),
    words: Words.optional(),
  }),
  /** Put on hold, or taken up again. */
  hold: z.looseObject({ on: z.boolean(), reason: Words.optional() }),
  /** Held to be ready by somebody who says so. */
  ready: z.looseObject({ words: Words.optional(), ...knowing }),
  /** It is at its end, by decision. */
  ended: z.looseObject({
    reason: z.enum(END_REASONS),
    into: z.uuid().optional(),
    words: Words.optional(),
    ...knowing,
    ...act,
  }),
  cover: z.looseObject({ ...origin }),
  screen: z.looseObject({ ...origin }),
  cure: z.looseObject({ ...origin }),
  /** Other rules or another policy for this batch, from when the log took it. What was proven before stays proven under what held then. */
  terms: z.looseObject({
    policy: SoundPolicySchema,
    rules: z.array(z.string()),
    ownRules: z.array(RuleSchema).default([]),
    siteVersion,
    words: Words.optional(),
  }),
  /** A named person let it go out. */
  release: z.looseObject({ ...origin }),
  /** Strikes an entry or one reading of it, and may put another value in the reading's place. */
  correction: z.looseObject({
    target: z.uuid(),
    reading: z.string().optional(),
    value: z.number().optional(),
    unit: Unit.optional(),
    reason: z.string().trim().min(3).max(500),
    /** What is right instead of the whole entry: its time, what it says. The corrected entry is written beside this one. */
    instead: z
      .looseObject({ at: z.string().max(40).optional(), data: z.record(z.string(), z.unknown()) })
      .optional(),
  }),
  /** A thermometer held against a reference, for the whole site. */
  'probe-check': z.looseObject({
    probe: z.string().trim().min(1).max(40),
    referenceC: z.number(),
    readC: z.number(),
    how: z.enum(['ice', 'boil', 'reference']).optional(),
    altitudeM: z.number().optional(),
  }),
  /** A thermometer of the site as it is now: each entry of a name is a version. */
  instrument: z.looseObject({ instrument: InstrumentSchema }),
  /** The order of the walk over the site, set by hand. Empty: the hygienic order again. */
  'walk-order': z.looseObject({ batches: z.array(z.uuid()) }),
  /** Distances and heights that the rounds of the site go by. */
  'round-settings': z.looseObject({
    stretchM: z.number().min(1).max(100),
    borderM: z.number().min(0).max(10),
    altitudeM: z.number().min(-430).max(6000),
  }),
  /** The rules and the evidence policy that the site works to: each entry is a version. */
  'site-terms': z.looseObject({
    policy: SoundPolicySchema,
    rules: z.array(z.string()),
    words: Words.optional(),
  }),
  /** A rule that the site wrote itself: each entry of an id is a version of it. */
  rule: z.looseObject({ rule: SiteRuleSchema }),
  /** A method template of the site: each entry of an id is a version of it. */
  template: z.looseObject({ template: TemplateSchema }),
  /** Crew, machine, hours, hose, limits, chores. */
  work: z.looseObject({ work: WorkSchema }),
  'fire-card': z.looseObject({ card: FireCardSchema }),
  /** A material of the site's library: each entry of an id is a version. */
  material: z.looseObject({ material: MaterialSchema }),
  /** The site's own measures. */
  measures: z.looseObject({ measures: z.array(OwnMeasureSchema).max(40) }),
  /** What the site takes, asks about and refuses. */
  acceptance: z.looseObject({ lines: z.array(AcceptLineSchema).max(200) }),
  /** Something was brought to the gate; the entry's id is the load's. */
  load: LoadSchema,
  /** What became of a load: ripened, moved, counted, tested, gone. */
  'load-change': LoadChangeSchema,
  /** Temperature of a stock heap. */
  'load-heat': z.looseObject({
    load: z.uuid(),
    value: z.number().min(-60).max(400),
    unit: Unit,
    words: Words.optional(),
  }),
  /** A recipe: each entry of an id is a version. `from`: the version that it was changed from. */
  recipe: z.looseObject({ recipe: RecipeSchema, from: z.uuid().nullable() }),
  /** Where bays, bins and rows lie. */
  'site-map': z.looseObject({ map: SiteMapSchema, from: z.uuid().nullable() }),
  /** Air temperature of the site. */
  ambient: z.looseObject({ value: z.number(), unit: Unit, ...walk }),
} as const;

/** Kinds whose time, amount and kind can be put right; the others are struck and logged anew. */
export const CORRECTED_KINDS = ['turn', 'water', 'addition', 'built'] as const;

export type EntryKind = keyof typeof ENTRY_DATA;
export const ENTRY_KINDS = Object.keys(ENTRY_DATA) as EntryKind[];
export type DataOf<K extends EntryKind> = z.output<(typeof ENTRY_DATA)[K]>;

/** Kinds that speak of the whole site, not of one batch. */
export const SITE_KINDS: readonly EntryKind[] = [
  'probe-check',
  'ambient',
  'site-terms',
  'rule',
  'instrument',
  'walk-order',
  'round-settings',
  'template',
  'work',
  'fire-card',
  'chore',
  'material',
  'measures',
  'acceptance',
  'load',
  'load-change',
  'load-heat',
  'recipe',
  'site-map',
];
/** Those of the site's kinds that no verdict and no advice about a heap looks at. */
export const STORE_KINDS: readonly EntryKind[] = [
  'material',
  'measures',
  'acceptance',
  'load',
  'load-change',
  'load-heat',
  'recipe',
  'site-map',
];
/** What the store is folded from: its own kinds, and what went out of it into heaps. */
export const STORE_LOG: readonly EntryKind[] = [
  ...STORE_KINDS,
  'charge',
  'addition',
  'lay-up',
  'opened',
  'built',
  'merge',
];

/** What the phone that wrote an entry says of itself; it rides in the entry's data. */
export const DeviceSchema = z.looseObject({
  /** When it was typed in, by the phone's clock put right. */
  enteredAt: z.string(),
  /** How far that clock was ahead of the hub's when last compared, ms; the entry's times have it taken off. */
  clockAheadMs: z.number().optional(),
});
/** Clocks that differ by less are the same clock. */
export const CLOCK_TOLERANCE_MS = 2 * MS.minute;
export const deviceOf = (data: object): z.output<typeof DeviceSchema> | null =>
  DeviceSchema.safeParse((data as { device?: unknown }).device).data ?? null;

type EntryOf<K extends EntryKind> = {
  /** UUID v7, made by the writer: writing it twice is answered as done, once. */
  readonly id: string;
  readonly batch: string | null;
  /** When it happened. */
  readonly at: Instant;
  readonly by: string;
  readonly kind: K;
  readonly data: DataOf<K>;
};
export type NewEntry = { [K in EntryKind]: EntryOf<K> }[EntryKind];
/** An entry as the log holds it. */
export type Entry = NewEntry & {
  readonly seq: number;
  readonly recordedAt: Instant;
  readonly hash: string;
};

/** The canonical text of a JSON value: keys sorted by code unit at every level, no white space. What the log's hash is taken over. */
export function canonicalJson(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonicalJson).join(',')}]`;
  if (value !== null && typeof value === 'object') {
    const fields = Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1));
    return `{${fields.map(([k, v]) => `${JSON.stringify(k)}:${canonicalJson(v)}`).join(',')}}`;
  }
  return JSON.stringify(value ?? null);
}

/** What the chain's first entry is hashed with. */
export const GENESIS = '0'.repeat(64);

/** The text that an entry's hash is taken over, behind the hash of the entry before it. */
export const chainText = (
  site: string,
  {
    id,
    batch,
    at,
    recordedAt,
    by,
    kind,
    data,
  }: Pick<Entry, 'id' | 'batch' | 'at' | 'recordedAt' | 'by' | 'kind' | 'data'>,
): string =>
  canonicalJson({ id, site, batch, at: isoOf(at), recordedAt: isoOf(recordedAt), by, kind, data });
