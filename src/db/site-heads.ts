import {
  headText,
  markText,
  parseHeadText,
  parseMarkText,
  type Head,
  type LogMemory,
  type SigningMark,
} from '@/core/log/heads';
import {
  besideKey,
  keepVersion,
  readVersion,
  signedFile,
  signedLines,
} from '@/platform/signed-lines';

/**
 * What an installation remembers of its logs beside its key, outside the database: signed heads, and from which entry on all are
 * signed. Whoever owns the database and writes a new history there cannot write one here.
 *
 * Beside `site-key.pem` lie `site-key.heads`, to which lines are added; `site-key.end-SITE`, the last end alone, replaced after each
 * commit, so that it may lie behind the log and never before it; and `site-key.version`, which tells an installation that has its
 * memory from one that comes from before there was any.
 */
const FIRST_LINE = JSON.stringify({ format: 'zealous-heap/site-heads', version: 1 });
/** What an installation has done once, by the number in its version file: 1: begun its memory; 2: sealed rows beside the log. */
const [WITH_MEMORY, WITH_SEALED_ROWS] = [1, 2];
const heads = () => signedLines('heads');
const endOf = (site: string) => signedFile(`end-${site}`);

/** Whether this installation signs, and so remembers. */
export const hasMemory = (): boolean => besideKey('heads') !== null;
/** Whether the memory is there; it is not where it was taken away. */
export const isMemoryThere = (): boolean => heads().isThere();
/** Begins the memory beside a key, unless it is there. */
export const beginMemory = (): void => heads().begin(FIRST_LINE);

/** Whether the installation comes from before there was a memory: nothing beside its key says that it ever had one. */
export const isBeforeMemory = (): boolean => hasMemory() && readVersion('version') < WITH_MEMORY;
/** Whether it comes from before people's places, visits, what happened at the door and the site's language were sealed. */
export const isBeforeSealedRows = (): boolean =>
  hasMemory() && readVersion('version') < WITH_SEALED_ROWS;
/** Says that all of it is there from now on: what is gone later was taken away. */
export const keepMemoryVersion = (): void => keepVersion('version', WITH_SEALED_ROWS);

/** What is remembered of a site's log. */
export function readMemory(site: string): LogMemory {
  const texts = heads().texts();
  const marks = texts.flatMap((t) => parseMarkText(t) ?? []).filter((m) => m.site === site);
  const laid = texts.flatMap((t) => parseHeadText(t) ?? []).filter((h) => h.site === site);
  return {
    // One that is laid later vouches for less: the first one stands.
    signedFrom: marks.length === 0 ? null : Math.min(...marks.map((m) => m.from)),
    heads: laid.sort((a, b) => a.seq - b.seq),
    end: readLastEnd(site),
  };
}

/** The last end of a log as it was after the last commit; null: this machine knows none. */
export function readLastEnd(site: string): Head | null {
  const text = endOf(site).read();
  return text === null ? null : parseHeadText(text);
}
/** Whether any log has begun to be remembered. */
export const hasSignedLogs = (): boolean =>
  heads()
    .texts()
    .some((t) => parseMarkText(t) !== null);

export const keepMark = (mark: SigningMark): void => heads().add(markText(mark));
export const keepHead = (head: Head): void => heads().add(headText(head));
/** Replaces what is known of the last end of a log: after a commit, never before. */
export function keepEnd(head: Head): void {
  // Of two who have written, the one that is done later may be the one that wrote first.
  if ((readLastEnd(head.site)?.seq ?? 0) > head.seq) return;
  endOf(head.site).replace(headText(head));
}

/** The memory as a text, for a backup or another machine; empty where the file is missing. */
export const copyMemory = (): string => heads().copy();
/** Adds what another copy remembers and this one does not: memories are joined, none replaces another. */
export function joinMemory(copy: string): void {
  beginMemory();
  heads().join(copy);
}
