import { say } from '../../messages/say';
import { z } from 'zod';
import { isTimeZone } from '../quantity/calendar';
import { instantOf } from '../quantity/instant';
import { resolvePolicy, type PolicyInput } from '../evidence/policy';
import type { Rule } from '../evidence/rule';
import { METHODS, type Evidence, type Policy } from '../evidence/types';
import {
  AmbientSchema,
  EVENT_TYPES,
  EventSchema,
  PointSchema,
  PolicySchema,
  ProbeSchema,
  ReadingSchema,
  RuleSchema,
  Time,
  Unit,
} from '../log/shapes';
import { LIBRARY_EDITION, RULE_LIBRARY } from '../rules/library';
import { FILE_PROBLEM } from '../words/file-problem';
import { issueText, type InputIssue } from '../words/issue-text';
import { FILE_PATH, PROBLEM, pathText, type Problem } from '../words/problem';

/** The open batch file (contract, section 1). Unknown fields are kept: every object is loose. */

const BatchFileShape = z.looseObject({
  format: z.literal('zealous-heap/batch'),
  version: z.literal(1),
  site: z.looseObject({
    name: z.string(),
    timeZone: z.string().refine(isTimeZone, { error: () => PROBLEM.noZone }),
    unit: Unit.optional(),
  }),
  batch: z.looseObject({
    code: z.string(),
    name: z.string().optional(),
    method: z.enum(METHODS),
    builtAt: Time,
    shape: z.string().optional(),
    coreDepthM: z.number().optional(),
  }),
  policy: PolicySchema.default({}),
  points: z.array(PointSchema),
  probes: z.array(ProbeSchema).default([]),
  readings: z.array(ReadingSchema),
  ambient: z.array(AmbientSchema).optional(),
  rules: z.array(RuleSchema).optional(),
  events: z.array(EventSchema).default([]),
});
export type BatchFile = z.output<typeof BatchFileShape>;

const BatchFileSchema = BatchFileShape.superRefine((file, ctx) => {
  for (const { path, message } of crossProblems(file))
    ctx.addIssue({ code: 'custom', path: [...path], message });
});
type Located = { path: readonly PropertyKey[]; message: string };

/** What no single field can tell: ids, references, and limits that depend on each other. */
function crossProblems(file: BatchFile): Located[] {
  const problems: Located[] = [];
  const unique = (list: string, ids: readonly string[]): Set<string> => {
    const seen = new Set<string>();
    ids.forEach((id, i) => {
      if (seen.has(id)) problems.push({ path: [list, i, 'id'], message: FILE_PROBLEM.twice(id) });
      else seen.add(id);
    });
    return seen;
  };
  const points = unique(
    'points',
    file.points.map((p) => p.id),
  );
  const probes = unique(
    'probes',
    file.probes.map((p) => p.id),
  );
  unique(
    'readings',
    file.readings.map((r) => r.id),
  );
  unique(
    'events',
    file.events.map((e) => e.id),
  );
  unique(
    'rules',
    (file.rules ?? []).map((r) => r.id),
  );
  file.readings.forEach((r, i) => {
    if (!points.has(r.point))
      problems.push({
        path: ['readings', i, 'point'],
        message: FILE_PROBLEM.unlisted('point', r.point),
      });
    if (r.probe !== undefined && !probes.has(r.probe))
      problems.push({
        path: ['readings', i, 'probe'],
        message: FILE_PROBLEM.unlisted('probe', r.probe),
      });
  });
  (file.rules ?? []).forEach((r, i) => {
    if (RULE_LIBRARY.some((own) => own.id === r.id))
      problems.push({ path: ['rules', i, 'id'], message: FILE_PROBLEM.libraryId(r.id) });
  });
  const edition = termsOf(file)?.library;
  if (edition !== undefined && edition > LIBRARY_EDITION)
    problems.push({
      path: ['terms', 'library'],
      message: FILE_PROBLEM.newerLibrary(edition, LIBRARY_EDITION),
    });
  const policy = resolvePolicy(file.policy);
  if (policy.turnGraceHours > policy.maxGapHours)
    problems.push({ path: ['policy', 'turnGraceHours'], message: PROBLEM.graceTooLong });
  return problems;
}

export type ParsedFile =
  | { readonly ok: true; readonly file: BatchFile }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** Checks a JSON value against the contract; every problem is named, none is repaired. */
export function parseBatchFile(value: unknown): ParsedFile {
  const result = BatchFileSchema.safeParse(value, { error: fileIssueText });
  if (result.success) return { ok: true, file: result.data };
  return {
    ok: false,
    problems: result.error.issues.map((issue) => ({
      path: pathText(issue.path),
      message: issue.message,
    })),
  };
}

/** Of an event that no type fits, the types that there are; else what any input is told. */
const fileIssueText = (issue: InputIssue): string | undefined =>
  issue.code === 'invalid_union' && issue.input !== undefined
    ? say('formats.mustBeOneOf', { eventtypes: EVENT_TYPES.join(', ') })
    : issueText(issue);

/** Reads the text of a batch file. */
export function readBatchFile(text: string): ParsedFile {
  try {
    return parseBatchFile(JSON.parse(text.replace(/^\uFEFF/, '')));
  } catch (error) {
    const why = error instanceof Error ? error.message : 'unreadable';
    return { ok: false, problems: [{ path: FILE_PATH, message: FILE_PROBLEM.notJson(why) }] };
  }
}

/** The file's contents as evidence, with every default filled and times as instants. */
export function evidenceOf(file: BatchFile): Evidence {
  const at = (text: string): number => instantOf(text);
  return {
    timeZone: file.site.timeZone,
    unit: file.site.unit ?? 'C',
    method: file.batch.method,
    builtAt: at(file.batch.builtAt),
    shape: file.batch.shape,
    coreDepthM: file.batch.coreDepthM,
    policy: resolveFilePolicy(file.policy),
    points: file.points,
    probes: file.probes.map((p) => ({
      id: p.id,
      checks: p.checks.map((c) => ({ at: at(c.at), referenceC: c.referenceC, readC: c.readC })),
    })),
    readings: file.readings.map((r) => ({
      id: r.id,
      at: at(r.at),
      point: r.point,
      probe: r.probe,
      value: r.value,
      unit: r.unit,
      round: r.round,
      flag: r.flag,
      recordedAt: r.recordedAt === undefined ? undefined : at(r.recordedAt),
      ...(r.toCheck ? { toCheck: r.toCheck } : {}),
    })),
    events: file.events.map((e) => ({ ...e, at: at(e.at) })),
    ambient: (file.ambient ?? []).map((a) => ({ at: at(a.at), value: a.value, unit: a.unit })),
  };
}

/** A policy with its defaults filled in, and without what a file may carry beside its fields. */
export function resolveFilePolicy(policy: z.output<typeof PolicySchema>): Policy {
  const known = Object.keys(PolicySchema.shape) as (keyof PolicyInput)[];
  return resolvePolicy(Object.fromEntries(known.map((key) => [key, policy[key]])));
}

const TermsSchema = z.looseObject({
  version: z.int().min(1),
  library: z.int().min(1),
  rules: z.array(z.string()),
});
/** What a file that was taken out here says of the rules it was kept under; undefined in others. */
export function termsOf(
  file: Readonly<Record<string, unknown>>,
): z.output<typeof TermsSchema> | undefined {
  const parsed = TermsSchema.safeParse(file.terms);
  return parsed.success ? parsed.data : undefined;
}

/** A rule that the site wrote carries its version, which is named wherever its source is. */
const documentOf = (r: {
  readonly document?: string | undefined;
  readonly version?: unknown;
}): string =>
  `${r.document ?? say('formats.theSitesOwnRule')}${typeof r.version === 'number' ? say('formats.version', { version: r.version }) : ''}`;

/** A file's own rules, in the form of the library. */
export const ownRulesOf = (rules: BatchFile['rules'] = []): Rule[] =>
  rules.map((r) => ({
    id: r.id,
    title: r.title ?? r.id,
    jurisdiction: r.jurisdiction ?? say('formats.thisSite'),
    document: documentOf(r),
    section: r.section,
    year: r.year,
    fromMemory: r.fromMemory ?? false,
    methods: r.methods ?? METHODS,
    clock: r.clock ?? 'germs',
    requirement: r.requirement,
    conditions: r.conditions ?? [],
    caution: r.caution,
  }));

/** JSON Schema of the file, draft 2020-12; references between fields are checked by {@link parseBatchFile} alone. */
export const batchFileJsonSchema = (): object =>
  z.toJSONSchema(BatchFileSchema, { io: 'input', unrepresentable: 'any' });
