import { issueText } from '../words/issue-text';
import { z } from 'zod';
import { Time } from '../log/shapes';
import { testValuesSchema } from '../log/test-shapes';
import { isTimeZone } from '../quantity/calendar';
import { instantOf, type Instant } from '../quantity/instant';
import { FILE_PROBLEM } from '../words/file-problem';
import { FILE_PATH, pathText, PROBLEM, type Problem } from '../words/problem';
import { FLOW_PROBLEM } from './words';

/** The open site file: lots and the flows between them (contract of the second half of the job, sections 1, 2 and 7). */

const LOT_KINDS = ['load', 'batch', 'curing', 'fines', 'overs', 'product'] as const;
export type LotKind = (typeof LOT_KINDS)[number];

const Id = z.string().min(1);
/** An amount; null is as absent: it is not known. */
const Litres = z
  .number()
  .nullish()
  .transform((litres) => litres ?? null)
  .refine((litres) => litres === null || litres >= 0, { error: () => FLOW_PROBLEM.negative() });
const Flag = z
  .boolean()
  .nullish()
  .transform((flag) => flag === true);
const End = Id.nullish().transform((end) => end ?? null);

const LotSchema = z.looseObject({ id: Id, kind: z.enum(LOT_KINDS), name: z.string().optional() });
const FlowSchema = z.looseObject({
  id: Id,
  /** How it left, and to whom or onto which bed. */
  what: z.string().nullish().catch(null),
  party: z.string().nullish().catch(null),
  at: Time,
  from: End,
  to: End,
  litres: Litres,
  all: Flag,
  clean: Flag,
});
const LevelSchema = z.looseObject({
  lot: Id,
  at: Time,
  litres: z.number().refine((litres) => litres >= 0, { error: () => FLOW_PROBLEM.negative() }),
});
const ProofSchema = z.looseObject({ lot: Id, at: Time, rule: z.string() });
/** A test of maturity: raw values alone. */
const TestSchema = z.looseObject({
  id: Id,
  lot: Id,
  startedAt: Time,
  /** Null or absent: it goes on. */ endedAt: Time.nullish(),
  values: testValuesSchema(Time),
});
/** A figure, alone or behind `<` or `>`; or whether something was found. */
const LAB_VALUE = /^(?:[<>]\s*\d+(?:\.\d+)?|absent|present)$/;
/** One result of a laboratory. */
const ResultSchema = z.looseObject({
  lot: Id,
  sample: Id,
  at: Time,
  analyte: Id,
  value: z.union([z.number(), z.string().regex(LAB_VALUE)]),
  unit: z.string(),
  basis: z.enum(['dry', 'fresh']).nullish(),
  /** % of the fresh sample that is solid. */ solidsPct: z.number().gt(0).max(100).nullish(),
  method: z.string().nullish(),
});
const list = <T extends z.ZodType>(of: T) =>
  z
    .array(of)
    .nullish()
    .transform((items) => items ?? []);

const SiteFileSchema = z.looseObject({
  format: z.literal('zealous-heap/site'),
  version: z.literal(1),
  /** Whose it is, told and never asked for: what cannot be read of it is left aside; `leastHotM3`: volume that stays hot there, which the reheat test asks for. */
  site: z
    .looseObject({
      name: z.string().optional(),
      timeZone: z
        .string()
        .refine(isTimeZone, { error: () => PROBLEM.noZone })
        .optional(),
      leastHotM3: z.number().positive().optional(),
    })
    .nullish()
    .catch(null),
  /** When it was made: tests that go on are judged at this moment. */
  madeAt: Time.nullish().catch(null),
  /** The batch whose matter is followed in a part of a site; absent: the whole site. */
  batch: Id.nullish().catch(null),
  lots: z.array(LotSchema),
  flows: z.array(FlowSchema),
  levels: list(LevelSchema),
  proofs: list(ProofSchema),
  tests: list(TestSchema),
  results: list(ResultSchema),
});

/** The site file as a JSON Schema (draft 2020-12), made from what reads it. */
export const siteFileJsonSchema = (): object =>
  z.toJSONSchema(SiteFileSchema, { io: 'input', unrepresentable: 'any' });
/** A site file as it was read. */
export type SiteFile = z.output<typeof SiteFileSchema>;

type Lot = { readonly id: string; readonly kind: LotKind };
export type Flow = {
  readonly id: string;
  readonly at: Instant;
  readonly from: string | null;
  readonly to: string | null;
  /** Null: not known. */ readonly litres: number | null;
  /** The lot it comes from is empty afterwards. */ readonly all: boolean;
  /** From nothing, and not raw. */ readonly clean: boolean;
};
export type Level = { readonly lot: string; readonly at: Instant; readonly litres: number };
export type Proof = { readonly lot: string; readonly at: Instant };
/** What a trace looks at. */
export type FlowSite = {
  readonly lots: readonly Lot[];
  readonly flows: readonly Flow[];
  readonly levels: readonly Level[];
  readonly proofs: readonly Proof[];
};
export type ParsedSite =
  | { readonly ok: true; readonly site: FlowSite; readonly file: SiteFile }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** What no field tells alone: ids that appear twice, lots that are not listed, flows that go nowhere. */
function crossProblems({ lots, flows, levels, proofs, tests, results }: SiteFile): Problem[] {
  const problems: Problem[] = [];
  const wrong = (path: string, message: string): void => {
    problems.push({ path, message });
  };
  const ids = new Set<string>();
  const known = new Set(lots.map((l) => l.id));
  const claim = (id: string, path: string): void => {
    if (ids.has(id)) wrong(`${path}.id`, FILE_PROBLEM.twice(id));
    ids.add(id);
  };
  const isKnown = (lot: string, path: string): void => {
    if (!known.has(lot)) wrong(path, FLOW_PROBLEM.noLot(lot));
  };
  lots.forEach((l, i) => claim(l.id, `lots[${i}]`));
  flows.forEach((f, i) => {
    const path = `flows[${i}]`;
    claim(f.id, path);
    if (f.from === null && f.to === null) wrong(path, FLOW_PROBLEM.noEnds());
    if (f.from !== null) isKnown(f.from, `${path}.from`);
    if (f.to !== null) isKnown(f.to, `${path}.to`);
    if (f.to !== null && f.to === f.from) wrong(`${path}.to`, FLOW_PROBLEM.toItself());
  });
  const measured = new Map<string, number>();
  levels.forEach((l, i) => {
    isKnown(l.lot, `levels[${i}].lot`);
    const key = `${l.lot} ${instantOf(l.at)}`;
    const before = measured.get(key);
    if (before !== undefined && before !== l.litres)
      wrong(`levels[${i}].litres`, FLOW_PROBLEM.twoLevels(l.lot));
    measured.set(key, l.litres);
  });
  proofs.forEach((p, i) => isKnown(p.lot, `proofs[${i}].lot`));
  tests.forEach((t, i) => isKnown(t.lot, `tests[${i}].lot`));
  results.forEach((r, i) => isKnown(r.lot, `results[${i}].lot`));
  return problems;
}

const siteOf = ({ lots, flows, levels, proofs }: SiteFile): FlowSite => ({
  lots: lots.map(({ id, kind }) => ({ id, kind })),
  flows: flows.map(({ id, at, from, to, litres, all, clean }) => ({
    ...{ id, from, to, litres, all, clean },
    at: instantOf(at),
  })),
  levels: levels.map(({ lot, at, litres }) => ({ lot, at: instantOf(at), litres })),
  proofs: proofs.map(({ lot, at }) => ({ lot, at: instantOf(at) })),
});

/** Reads a site file; what is wrong is named by its path, and nothing is repaired. */
export function readSiteFile(text: string): ParsedSite {
  let json: unknown;
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    const why = error instanceof Error ? error.message : 'unreadable';
    return { ok: false, problems: [{ path: FILE_PATH, message: FILE_PROBLEM.notJson(why) }] };
  }
  const parsed = SiteFileSchema.safeParse(json, { error: issueText });
  if (!parsed.success)
    return {
      ok: false,
      problems: parsed.error.issues.map((i) => ({ path: pathText(i.path), message: i.message })),
    };
  const problems = crossProblems(parsed.data);
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, site: siteOf(parsed.data), file: parsed.data };
}

/**
 * What bears on the matter of one batch: where it went, and all that was mixed with it there, back to where that came from. Shares
 * worked out from this part are those of the whole site.
 */
export function partOfSite(site: FlowSite, batch: string): FlowSite {
  const within = new Set([batch]);
  for (const lot of within)
    for (const { from, to } of site.flows) if (from === lot && to !== null) within.add(to);
  for (const lot of within)
    for (const { from, to } of site.flows) if (to === lot && from !== null) within.add(from);
  const isWithin = (lot: string | null): boolean => lot !== null && within.has(lot);
  return {
    lots: site.lots.filter((l) => within.has(l.id)),
    // What leaves towards lots that do not matter here leaves still.
    flows: site.flows
      .filter((f) => isWithin(f.from) || isWithin(f.to))
      .map((f) => (f.to === null || within.has(f.to) ? f : { ...f, to: null })),
    levels: site.levels.filter((l) => within.has(l.lot)),
    proofs: site.proofs.filter((p) => within.has(p.lot)),
  };
}
