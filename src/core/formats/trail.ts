import { issueText } from '../words/issue-text';
import { z } from 'zod';
import {
  canonicalJson,
  chainText,
  getKindDescription,
  ENTRY_KINDS,
  SITE_KINDS,
  type Entry,
} from '../log/entry';
import { foldBatch, foldSite, type BatchState, type SiteState } from '../log/fold';
import { isoOf, instantOf } from '../quantity/instant';
import { Time } from '../log/shapes';
import { FILE_PROBLEM } from '../words/file-problem';
import { pathText, type Problem } from '../words/problem';
import { batchFileOf, type SiteHead } from './batch-file-of';
import { parseBatchFile, termsOf, type BatchFile } from './batch-file';
import { firstOf, lastOf } from '../quantity/present';
import { checkSeal, SealSchema, type Seal, type SealCheck } from './seal';

/**
 * The log entries that a batch file was folded from, chained: each with its hash and the hash of the entry
 * before it on the site. Whoever has the file can see that no entry was changed, and that the readings and
 * works in the file are what the entries say.
 */
const Hash = z.string().regex(/^[0-9a-f]{64}$/, { error: () => FILE_PROBLEM.noHash });
const LinkSchema = z.looseObject({
  seq: z.int().min(1),
  prev: Hash,
  hash: Hash,
  id: z.string(),
  batch: z.string().nullable(),
  at: Time,
  recordedAt: Time,
  by: z.string(),
  kind: z.enum(ENTRY_KINDS),
  data: z.record(z.string(), z.unknown()),
  /** Its number in the sequence of its own, and the hash before it there; absent: it is older than those. */
  own: z.strictObject({ n: z.int().min(1), prev: Hash }).optional(),
});
const TrailSchema = z.looseObject({
  site: z.string(),
  entries: z.array(LinkSchema).min(1),
  seal: SealSchema.optional(),
});
export type Trail = z.output<typeof TrailSchema>;

export type Sha256 = (text: string) => string;
const NO_SEAL: SealCheck = { is: 'none' };

/** The trail of a batch, from its entries and the site's own in the order of the log. @param seal absent: nothing shows that none is left out */
export const trailOf = (
  site: string,
  chained: readonly { readonly entry: Entry; readonly prev: string }[],
  seal?: Seal,
): Trail => ({
  site,
  ...(seal === undefined ? {} : { seal }),
  entries: chained.map(
    ({ entry: { seq, id, batch, at, recordedAt, by, kind, data, hash, own }, prev }) => ({
      seq,
      prev,
      hash,
      id,
      batch,
      at: isoOf(at),
      recordedAt: isoOf(recordedAt),
      by,
      kind,
      data: data,
      ...(own === undefined ? {} : { own }),
    }),
  ),
});

/** What a file's trail tells. */
export type BatchHistory = {
  readonly state: BatchState;
  readonly siteState: SiteState;
  readonly head: string;
  readonly entries: number;
  /** Whether it holds all of its batch, and who signed that. */ readonly seal: SealCheck;
};
export type CheckedTrail =
  | { readonly ok: true; readonly told: BatchHistory | null }
  | { readonly ok: false; readonly problems: readonly Problem[] };

const at = (path: readonly PropertyKey[], message: string): Problem => ({
  path: pathText(['trail', ...path]),
  message,
});

function linkProblems(trail: Trail, sha256: Sha256): Problem[] {
  return trail.entries.flatMap((link, i) => {
    const before = trail.entries[i - 1];
    const entry = {
      ...link,
      at: instantOf(link.at),
      recordedAt: instantOf(link.recordedAt),
    } as unknown as Entry;
    if (sha256(link.prev + chainText(trail.site, entry)) !== link.hash)
      return [at(['entries', i], FILE_PROBLEM.changedEntry(link.kind, link.at))];
    if (before && link.seq <= before.seq)
      return [at(['entries', i, 'seq'], FILE_PROBLEM.outOfOrder)];
    if (before && link.seq === before.seq + 1 && link.prev !== before.hash)
      return [at(['entries', i, 'prev'], FILE_PROBLEM.brokenChain(link.kind, link.at))];
    return [];
  });
}

function entriesIn(trail: Trail): Entry[] | Problem {
  const entries: Entry[] = [];
  for (const [i, { prev: _prev, ...link }] of trail.entries.entries()) {
    const data = getKindDescription(link.kind).schema.safeParse(link.data, { error: issueText });
    if (!data.success)
      return at(
        ['entries', i, 'data', ...firstOf(data.error.issues).path],
        firstOf(data.error.issues).message,
      );
    entries.push({
      ...link,
      at: instantOf(link.at),
      recordedAt: instantOf(link.recordedAt),
      data: data.data,
    } as unknown as Entry);
  }
  return entries;
}

/** The first place at which two JSON values differ; null: nowhere. */
function difference(
  a: unknown,
  b: unknown,
  path: readonly PropertyKey[] = [],
): readonly PropertyKey[] | null {
  if (canonicalJson(a) === canonicalJson(b)) return null;
  if (
    typeof a !== 'object' ||
    typeof b !== 'object' ||
    a === null ||
    b === null ||
    Array.isArray(a) !== Array.isArray(b)
  )
    return path;
  const keys = Array.isArray(a)
    ? Array.from({ length: Math.max(a.length, (b as unknown[]).length) }, (_, i) => i)
    : [...new Set([...Object.keys(a), ...Object.keys(b)])];
  for (const key of keys) {
    const [x, y] = [
      (a as Record<PropertyKey, unknown>)[key],
      (b as Record<PropertyKey, unknown>)[key],
    ];
    const found = canonicalJson(x) === canonicalJson(y) ? null : difference(x, y, [...path, key]);
    if (found) return found;
  }
  return path;
}

/**
 * Checks the hash chain of a file that carries one, and that the file says what its entries say. A file
 * without a trail is told so with null: it can be reckoned, but nothing shows that it was not changed.
 */
export function checkTrail(file: BatchFile, sha256: Sha256): CheckedTrail {
  // The notice is a copy of the one that is sealed, for whoever opens the file and reads its first line.
  const {
    trail: carried,
    notice: _sealed,
    ...rest
  } = file as BatchFile & { trail?: unknown; notice?: unknown };
  // Another program may use the name for something else: without a list of entries it is none of ours.
  if (!Array.isArray((carried as { entries?: unknown } | null | undefined)?.entries))
    return { ok: true, told: null };
  const parsed = TrailSchema.safeParse(carried, { error: issueText });
  if (!parsed.success)
    return { ok: false, problems: parsed.error.issues.map((i) => at(i.path, i.message)) };
  const problems = linkProblems(parsed.data, sha256);
  if (problems.length > 0) return { ok: false, problems };
  const entries = entriesIn(parsed.data);
  if (!Array.isArray(entries)) return { ok: false, problems: [entries] };
  const own = entries.filter((e) => e.batch !== null);
  if (!own.some((e) => e.kind === 'opened'))
    return { ok: false, problems: [at([], FILE_PROBLEM.noOpening)] };
  const [state, siteState] = [
    foldBatch(own),
    foldSite(entries.filter((e) => e.batch === null || SITE_KINDS.includes(e.kind))),
  ];
  const terms = state.terms.find((t) => t.version === (termsOf(rest)?.version ?? 1));
  const head: SiteHead = {
    name: rest.site.name,
    timeZone: rest.site.timeZone,
    unit: rest.site.unit ?? 'C',
  };
  const folded = terms && batchFileOf(state, head, siteState, terms);
  const again = folded && parseBatchFile(JSON.parse(JSON.stringify(folded)));
  if (!again?.ok) return { ok: false, problems: [at([], FILE_PROBLEM.noOpening)] };
  const differs = difference(rest, again.file);
  if (differs)
    return {
      ok: false,
      problems: [{ path: pathText(differs), message: FILE_PROBLEM.notAsLogged }],
    };
  const { seal } = parsed.data;
  const facts = { id: parsed.data.site, name: rest.site.name, timeZone: rest.site.timeZone };
  const sealed = seal ? checkSeal(seal, parsed.data.entries, facts) : { check: NO_SEAL };
  if ('problems' in sealed) return { ok: false, problems: sealed.problems };
  return {
    ok: true,
    told: {
      ...{ state, siteState, head: lastOf(entries).hash, entries: entries.length },
      seal: sealed.check,
    },
  };
}
