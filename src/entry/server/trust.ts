import { say } from '@/messages/say';
import { isSameFault, type ChainFault } from '@/core/log/chain';
import type { Entry } from '@/core/log/entry';
import type { SiteState } from '@/core/log/fold';
import { dayText } from '@/core/quantity/format';
import { faultText } from '@/core/words/log-fault';
import type { Db } from '@/db/client';
import { theDb } from '@/db/context';
import { recallFaults } from '@/db/known-faults';
import { layHead } from '@/db/lay-head';
import { chainRepo } from '@/db/repositories/chain';
import { chainCheckRepo, type ChainCheck } from '@/db/repositories/chain-checks';
import type { Site } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { now } from '@/platform/clock';
import { onceForRequest } from '@/platform/current-request';

/** What of the log does not fit, as pages and records say it. */

/** Who took note of a fault, when, and why it is so. */
type FaultNoted = { readonly by: string; readonly at: number; readonly words: string };
/** Something that does not fit; `noted` null: nobody has taken note of it. */
export type KnownFault = {
  /** Null: a device saw it. */ readonly fault: ChainFault | null;
  readonly text: string;
  readonly noted: FaultNoted | null;
};

/** So many are named; the others are counted. */
const NAMED = 5;
/** The last check is read anew at most so often: it is made once a day. */
const READ_EVERY_MS = 30_000;
const checks = new Map<string, { readonly readAt: number; readonly check: ChainCheck | null }>();

async function lastCheck(db: Db, site: string): Promise<ChainCheck | null> {
  const known = checks.get(site);
  if (known && Date.now() - known.readAt < READ_EVERY_MS) return known.check;
  const check = await chainCheckRepo(db).last(site);
  checks.set(site, { readAt: Date.now(), check });
  return check;
}

const withoutRepeats = (faults: readonly ChainFault[]): ChainFault[] =>
  faults.filter((f, i) => faults.findIndex((g) => isSameFault(f, g)) === i);

type Note = Extract<Entry, { kind: 'fault-noted' }>;
const faultsOf = ({ data }: Note): readonly ChainFault[] => data.faults as readonly ChainFault[];

/** Who took note of a fault first; null: nobody has. */
function notedIn(notes: readonly Note[], fault: ChainFault): FaultNoted | null {
  const note = notes.find((n) => faultsOf(n).some((f) => isSameFault(f, fault)));
  return note ? { by: note.by, at: note.recordedAt, words: note.data.words } : null;
}

/**
 * Everything that is known not to fit in the log of a site: found by the server's own checks, seen by a device, or noted once.
 * @param more what was found just now
 */
export async function knownFaults(
  site: Site,
  siteState: SiteState,
  more: readonly ChainFault[] = [],
  db: Db = theDb(),
): Promise<KnownFault[]> {
  // A note that somebody put into the table beside the server hides nothing.
  const notes = siteState.hasFaultNotes
    ? await chainRepo(db).signedOfKind(site.id, 'fault-noted')
    : [];
  const found = withoutRepeats([
    ...more,
    ...recallFaults(site.id),
    ...((await lastCheck(db, site.id))?.faults ?? []),
    // What a note names may be no fault any more, such as a memory that was begun anew: it stays readable.
    ...notes.flatMap(faultsOf),
  ]);
  const seen = siteState.witnesses.map(({ by, seq, at }) => ({
    fault: null,
    text: say('trust.witness', { by, seq: String(seq), at: dayText(site.timeZone, at) }),
    noted: null,
  }));
  return [
    ...seen,
    ...found.map((fault) => ({
      ...{ fault, text: faultText(fault), noted: notedIn(notes, fault) },
    })),
  ];
}

/** Whether faults that somebody takes note of are all known, and nobody has taken note of them yet. */
export async function isOpenNote(
  db: Db,
  site: Site,
  faults: Note['data']['faults'],
): Promise<boolean> {
  const siteState = await snapshotRepo(db).siteState(site);
  const open = (await knownFaults(site, siteState, [], db)).filter((f) => f.noted === null);
  return faults.every((f) =>
    open.some(({ fault }) => fault !== null && isSameFault(fault, f as ChainFault)),
  );
}

/** At most a few different ones, and how many more there are. */
function shorten(all: readonly string[]): string[] {
  const texts = [...new Set(all)];
  return texts.length <= NAMED
    ? texts
    : [...texts.slice(0, NAMED), say('trust.andMore', { n: texts.length - NAMED })];
}

/** Sentences for every page: what does not fit and nobody has taken note of. Empty: nothing is known. */
export const openFaultTexts = async (site: Site, siteState: SiteState): Promise<string[]> =>
  shorten((await knownFaults(site, siteState)).filter((f) => f.noted === null).map((f) => f.text));

/**
 * Sentences for what is printed, sealed or exported: the end of the log is looked at, and remembered where it fits. Also what somebody
 * has taken note of, with the reason: it does not fit all the same.
 */
export const faultTextsForRecord = (site: Site): Promise<string[]> =>
  // A ZIP holds hundreds of records.
  onceForRequest(`log-faults ${site.id}`, () => checkedFaultTexts(site));

async function checkedFaultTexts(site: Site): Promise<string[]> {
  const more = await layHead(theDb(), site, now());
  const siteState = await snapshotRepo(theDb()).siteState(site);
  return recordTexts(site, await knownFaults(site, siteState, more));
}

const recordTexts = (site: Site, faults: readonly KnownFault[]): string[] =>
  shorten(
    faults.map(({ text, noted }) =>
      noted
        ? `${text} ${say('trust.noted', { by: noted.by, when: dayText(site.timeZone, noted.at), words: noted.words })}`
        : text,
    ),
  );

/** The first line of what leaves the site, where the log behind it does not fit; null: nothing is known. */
export const firstLineOf = async (site: Site): Promise<string | null> =>
  firstLine(await faultTextsForRecord(site));

/** The same for what a page hands to its reader as a file, from what is known already. */
export const firstLineOfPage = async (site: Site, siteState: SiteState): Promise<string | null> =>
  firstLine(recordTexts(site, await knownFaults(site, siteState)));

export function firstLine(texts: readonly string[]): string | null {
  const [first] = texts;
  return first === undefined ? null : say('trust.firstLine', { n: texts.length, first });
}
