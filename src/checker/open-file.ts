import { say } from '@/messages/say';
import type { EntryId } from '@/core/log/ids';
import { latestTime } from '@/core/evidence/verdict';
import { evidenceOf, readBatchFile, type BatchFile } from '@/core/formats/batch-file';
import { rulesNamedIn } from '@/core/formats/bring';
import { rulesForMethod } from '@/core/rules/library';
import { entriesOfFile } from '@/core/formats/entries-of-file';
import { checkTrail, type Sha256, type BatchHistory } from '@/core/formats/trail';
import { originOf, originText, type Origin } from '@/core/formats/origin';
import { sealLines } from '@/core/formats/verify-call';
import { foldBatch, foldSite } from '@/core/log/fold';
import { parseInstant, type Instant } from '@/core/quantity/instant';
import { problemLine } from '@/core/words/problem';
import { readSiteFile } from '@/core/flow/site-file';
import { checkLots, type LotsCheck } from '@/features/record/lots-check';
import { recordDoc, type RecordDoc } from '@/features/record/view';

/** A batch file that was opened: what it says, and whether its chain of log entries held. */
export type OpenedBatch = {
  readonly ok: true;
  readonly lots: null;
  readonly file: BatchFile;
  readonly told: BatchHistory | null;
  /** Whether it holds all of its batch, and who signed that. */ readonly seal: readonly string[];
  readonly origin: Origin;
  readonly digest: string;
  readonly latest: Instant;
};
/** A site file that was opened: what its lots, tests and outflows come to. */
export type OpenedLots = { readonly ok: true; readonly lots: LotsCheck; readonly digest: string };
export type Opened =
  | {
      readonly ok: false;
      /** Read well, but its log entries do not fit. */ readonly tampered: boolean;
      readonly problems: readonly string[];
    }
  | OpenedBatch
  | OpenedLots;

/** What a file calls itself; null: it is no JSON, or does not say. */
function formatOf(text: string): unknown {
  try {
    return (JSON.parse(text.replace(/^\uFEFF/, '')) as { format?: unknown } | null)?.format;
  } catch {
    return null;
  }
}

function openLots(text: string, sha256: Sha256, now: Instant): Opened {
  const parsed = readSiteFile(text);
  return parsed.ok
    ? { ok: true, lots: checkLots(parsed, now), digest: sha256(text) }
    : { ok: false, tampered: false, problems: parsed.problems.map(problemLine) };
}

/** Opens a batch file or a site file. @param now the moment of judging, where a site file names none */
export function openFile(text: string, sha256: Sha256, now = Date.now()): Opened {
  if (formatOf(text) === 'zealous-heap/site') return openLots(text, sha256, now);
  const parsed = readBatchFile(text);
  if (!parsed.ok) return { ok: false, tampered: false, problems: parsed.problems.map(problemLine) };
  const trail = checkTrail(parsed.file, sha256);
  if (!trail.ok) return { ok: false, tampered: true, problems: trail.problems.map(problemLine) };
  return {
    ok: true,
    lots: null,
    file: parsed.file,
    told: trail.told,
    origin: originOf(trail.told),
    seal: [
      ...(trail.told?.seal.is === 'whole' && trail.told.seal.notice !== null
        ? [trail.told.seal.notice]
        : []),
      originText(originOf(trail.told), sha256),
      ...(trail.told ? sealLines(trail.told.seal, sha256) : []),
    ],
    digest: sha256(text),
    latest: latestOf(parsed.file, trail.told),
  };
}

/** The moment at which the file was taken out, as far as it tells. */
function latestOf(file: BatchFile, told: BatchHistory | null): Instant {
  const logged = told?.state.entries.reduce((latest, e) => Math.max(latest, e.recordedAt), 0) ?? 0;
  return Math.max(latestTime(evidenceOf(file)), logged);
}

/** Rules that the file names, else every rule of its method: whoever checks a file sees all that may be asked of it. */
function rulesShown(file: BatchFile): string[] {
  const named = rulesNamedIn(file);
  return named.length > 0 ? named : rulesForMethod(file.batch.method).map((r) => r.id);
}

/** A file without log entries, told to a log that lives in memory alone. */
function toldByFile(file: BatchFile): Pick<BatchHistory, 'state' | 'siteState'> {
  const entries = entriesOfFile(file, {
    openedId: 'batch' as EntryId,
    by: say('checker.theFile'),
    rules: rulesShown(file),
    // It is shown and not kept: any id that is none twice will do.
    idOf: (n) => `entry-${n}` as EntryId,
  }).map((e, i) => ({ ...e, seq: i + 1, recordedAt: e.at, hash: '' }));
  return { state: foldBatch(entries), siteState: foldSite([]) };
}

/** The record of an opened file at a moment. */
export function recordOf(opened: OpenedBatch, asOf: Instant, unit: 'C' | 'F'): RecordDoc {
  const { file, told, digest, seal } = opened;
  const { state, siteState } = told ?? toldByFile(file);
  return recordDoc({
    state,
    siteState,
    site: { name: file.site.name, timeZone: file.site.timeZone, unit: file.site.unit ?? 'C' },
    now: asOf,
    unit,
    file: { digest, head: told?.head ?? null, seal },
  });
}

/** The printed digest against the file's own; null while nothing usable was typed. */
export function sameDigest(typed: string, digest: string): boolean | null {
  const clean = typed.toLowerCase().replace(/[^0-9a-f]/g, '');
  return clean.length === 0 ? null : clean === digest;
}

export const momentTyped = (text: string): Instant | null => parseInstant(text.trim());
