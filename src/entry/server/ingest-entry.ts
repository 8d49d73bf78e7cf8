import { say } from '@/messages/say';
import { readBatchState } from '@/db/repositories/states';
import { batchIdOf, parseEntryId } from '@/core/log/ids';
import {
  canonicalJson,
  CLOCK_TOLERANCE_MS,
  deviceOf,
  type Entry,
  type NewEntry,
} from '@/core/log/entry';
import { hasReading, type BatchState } from '@/core/log/fold';
import { statusOfBatch, type BatchStatus } from '@/core/status/batch-status';
import { cureDoubtsOf } from '@/core/status/cure-doubts';
import { readingDoubtText } from '@/telling/status/claim';
import { cureDoubtText } from '@/telling/status/cure';
import { createBatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { ownRulesOf } from '@/core/formats/batch-file';
import { findRule } from '@/core/rules/library';
import { isImplausibleCheck } from '@/core/evidence/drift';
import { implausibleCheckText } from '@/telling/status/thermometer';
import type { MemberRole } from '@/core/log/entered-by';
import { normalizeTexts, textFault } from '@/core/log/sound-text';
import { FILE_PROBLEM } from '@/core/words/file-problem';
import { DOOR_PROBLEM } from '@/core/words/door-problem';
import { pathText, type Problem } from '@/core/words/problem';
import type { Db } from '@/db/client';
import { requireSite, theDb, theWriter } from '@/db/context';
import { beginToRemember } from '@/db/begin-memory';
import { readMemory } from '@/db/site-heads';
import { logRepo } from '@/db/repositories/log';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { photoRepo } from '@/db/repositories/photos';
import type { Site } from '@/db/repositories/site';
import { ClockSetBack, withSiteLock, isImpossible, appendUnderLock } from '@/db/write';
import { now } from '@/platform/clock';
import { log } from '@/platform/log';
import { boundsProblem } from '../bounds-problem';
import { parseEntryForm, type EntryForm } from '../input';
import { identify, withEnteredBy, withoutEnteredBy } from './identify';
import { createLinkedEntries } from './linked-entries';
import { isOpenQuestion } from './site-questions';
import { isOpenNote } from './trust';
import { validateLots } from './validate-lots';
import { validateStoreReferences } from './validate-store';
import { itemAt } from '@/core/quantity/present';

/** `again`: nothing is wrong with it, it may be sent again later. */
export type IngestResult =
  | { readonly ok: true; readonly already: boolean }
  | { readonly ok: false; readonly problems: readonly Problem[]; readonly again?: boolean };
const refused = (path: string, message: string, again = false): IngestResult => ({
  ok: false,
  problems: [{ path, message }],
  ...(again ? { again } : {}),
});

/**
 * The one door for what a person logs. The same entry twice is answered as done, once; another entry under an id that the
 * log holds is refused, and what the log holds stays.
 * @param aheadMs how far the sender's clock is ahead of the hub's now; null: not known
 */
export async function ingestEntry(
  form: EntryForm,
  aheadMs: number | null = null,
): Promise<IngestResult> {
  const site = await requireSite();
  const fault = textFault(form);
  if (fault) return refused(pathText(fault.path), DOOR_PROBLEM.unsoundText(fault.fault));
  const typed = asSent(normalizeTexts(form));
  try {
    // What an entry is checked against must still be so when it is written: of two who change a thing in the same instant, the second is told.
    const result = await withSiteLock(theWriter(), site, async (trx): Promise<IngestResult> => {
      // Asked for within the turn, so that the log's times run in its order.
      const at = now();
      const parsed = parseEntryForm(typed, site.timeZone, at);
      const known = await heldAs(trx, typed, site.timeZone);
      if (known) return known;
      if (clockMoved(typed, aheadMs))
        return refused('clock', say('entry.thisPhonesClockDiffersFrom'), true);
      if (!parsed.ok) return parsed;
      return await checkAndAppend(trx, site, parsed.entry, at);
    });
    if (result.ok && form.kind === 'fault-noted' && readMemory(site.id).signedFrom === null)
      await beginToRemember(theDb(), site, now());
    return result;
  } catch (error) {
    if (error instanceof ClockSetBack) return refused('clock', error.message, true);
    log.error(
      {
        error: error instanceof Error ? error.message : error,
        entry: (form as { id?: unknown } | null)?.id,
      },
      'an entry was not written',
    );
    // What the database can never take is not sent again and again.
    if (isImpossible(error)) return refused('(form)', DOOR_PROBLEM.neverWritten);
    return refused('(form)', say('entry.itCouldNotSavedJust'), true);
  }
}

/** A form as its device filled it in: whose sign-in brings it is for the server to say. */
const asSent = (form: EntryForm): EntryForm => {
  const { data } = (form as { data?: unknown } | null) ?? {};
  return data !== null && typeof data === 'object'
    ? { ...form, data: withoutEnteredBy(data as Record<string, unknown>) }
    : form;
};

/** Takes an entry that can be taken: by whom it comes, and with what it speaks of. */
async function checkAndAppend(
  trx: Db,
  site: Site,
  entry: NewEntry,
  at: number,
): Promise<IngestResult> {
  const outOfBounds = boundsProblem(entry);
  if (outOfBounds) return { ok: false, problems: [outOfBounds] };
  const typedAt = deviceOf(entry.data)?.site;
  if (typedAt !== undefined && typedAt !== site.id)
    return refused('site', say('people.otherSite', { site: site.name }), true);
  if (entry.kind === 'fault-noted' && !(await isOpenNote(trx, site, entry.data.faults)))
    return refused('data.faults', say('trust.nothingOpen'));
  if (entry.kind === 'question-closed' && !(await isOpenQuestion(trx, site, entry.data.question)))
    return refused('data.question', say('status.questionNotOpen'));
  const who = await identify(trx, site, entry);
  if (!who.ok) return refused(who.problem.path, who.problem.message, who.again);
  const wrong = await validateReferences(trx, site, entry, who.enteredBy.role);
  if (wrong) return wrong;
  const ends = await createLinkedEntries(trx, entry, site);
  if (!ends.ok) return ends;
  const entries = [entry, ...ends.others].map((e) => withEnteredBy(e, who.enteredBy));
  await appendUnderLock(trx, site, entries, at);
  return { ok: true, already: false };
}

/** Whether a phone stamped an entry by another error of its clock than it shows now: the entry goes back to be stamped anew. */
function clockMoved(form: unknown, aheadMs: number | null): boolean {
  const { data } = (form ?? {}) as { data?: { device?: { clockAheadMs?: unknown } } | null };
  const reckoned = data?.device?.clockAheadMs;
  return (
    typeof reckoned === 'number' &&
    aheadMs !== null &&
    Math.abs(aheadMs - reckoned) > CLOCK_TOLERANCE_MS
  );
}

const content = ({ batch, at, by, kind, data }: NewEntry): string =>
  canonicalJson({ batch, at, by, kind, data: withoutEnteredBy(data) });

/** What the log holds under the form's id: done already, or something else; null: nothing. Read as of when the log took it, the same form gives the same entry. */
async function heldAs(db: Db, form: EntryForm, timeZone: string): Promise<IngestResult | null> {
  const sent: unknown = (form as { id?: unknown } | null)?.id;
  const id = typeof sent === 'string' ? parseEntryId(sent) : null;
  if (id === null) return null;
  const held = await logRepo(db).byId(id);
  if (!held) return null;
  const then = parseEntryForm(form, timeZone, held.recordedAt);
  if (then.ok && content(then.entry) === content(held)) return { ok: true, already: true };
  return refused('id', DOOR_PROBLEM.idTaken(whatIs(held)));
}

const whatIs = (e: Entry): string =>
  e.kind === 'round'
    ? say('entry.temperatureCheckOfBy', { readings: e.data.readings.length, by: e.by })
    : say('entry.by', { kind: e.kind, by: e.by });

const picturesOf = (e: NewEntry): readonly string[] =>
  e.kind === 'photo'
    ? [e.data.sha256]
    : 'photos' in e.data
      ? ((e.data.photos as readonly string[] | undefined) ?? [])
      : [];
const asRefusal = (problem: Problem | null): IngestResult | null =>
  problem ? { ok: false, problems: [problem] } : null;

type GoingOut = Extract<NewEntry, { kind: 'ready' | 'ended' }>;
/** Whether an entry lets a heap go out, by somebody's word. */
const goesOut = (entry: NewEntry): entry is GoingOut =>
  entry.kind === 'ready' ||
  (entry.kind === 'ended' && (entry.data.reason === 'matured' || entry.data.reason === 'used-raw'));

/** What can be said of a batch at a moment, as the door sees it. */
async function statusAt(db: Db, site: Site, state: BatchState, at: number): Promise<BatchStatus> {
  const siteState = await snapshotRepo(db).siteState(site);
  return statusOfBatch(createBatchSnapshot(state, site, siteState, at), at);
}

/** Nobody moves a batch to cure that is in danger without saying that it is known. */
async function unknowingCure(
  db: Db,
  site: Site,
  state: BatchState,
  { at, data }: Extract<NewEntry, { kind: 'cure' }>,
): Promise<IngestResult | null> {
  const status = await statusAt(db, site, state, at);
  if (!cureDoubtsOf(status).includes('danger') || data.knowing?.includes('danger')) return null;
  const locale = { timeZone: site.timeZone, unit: site.unit, now: at };
  return refused(
    'data.knowing',
    say('status.confirmCure', { open: cureDoubtText('danger', status, locale) }),
  );
}

/** Nobody lets an unproven, warm or unread heap go without saying that it is known. */
async function unknowingOf(
  db: Db,
  site: Site,
  state: BatchState,
  entry: GoingOut,
): Promise<IngestResult | null> {
  const { claim } = await statusAt(db, site, state, entry.at);
  const open = claim.doubts.filter((d) => !entry.data.knowing?.includes(d));
  if (open.length === 0) return null;
  const locale = { timeZone: site.timeZone, unit: site.unit, now: entry.at };
  return refused(
    'data.knowing',
    say('entry.confirmOnPageYouKnow', {
      open: open.map((d) => readingDoubtText(d, claim, locale)).join(' '),
    }),
  );
}

/** A link shows nobody what it does not name by the site's own batches. */
async function areOfSite(db: Db, site: Site, batches: readonly string[]): Promise<boolean> {
  const own = new Set<string>(await logRepo(db).batchIds(site.id));
  return batches.every((batch) => own.has(batch));
}

/** What no single form can tell: whether the batch, the place or the entry it speaks of is there. */
async function validateReferences(
  db: Db,
  site: Site,
  entry: NewEntry,
  role: MemberRole,
): Promise<IngestResult | null> {
  if (entry.kind === 'opened' && entry.data.splitFrom !== undefined)
    return refused('data.splitFrom', say('entry.aPartWasSplitOff'));
  if (entry.kind === 'opened')
    return entry.batch === batchIdOf(entry)
      ? null
      : refused('batch', say('entry.aNewBatchTakesId'));
  for (const sha256 of picturesOf(entry))
    if (!(await photoRepo(db).has(sha256)))
      return refused(
        entry.kind === 'photo' ? 'data.sha256' : 'data.photos',
        DOOR_PROBLEM.noPhoto,
        true,
      );
  if (entry.kind === 'inspection' && !(await areOfSite(db, site, entry.data.batches)))
    return refused('data.batches', say('entry.thereNoSuchBatchOn'));
  if (entry.kind === 'probe-check' && isImplausibleCheck(entry.data) && entry.data.certain !== true)
    return refused('data.readC', implausibleCheckText(entry.data, site.unit));
  if (entry.batch === null)
    return asRefusal(
      (await validateLots(db, site, entry)) ??
        (await validateStoreReferences(db, site, entry, { heap: null, role })),
    );
  const state = await readBatchState(db, entry.batch);
  if (!state) return refused('batch', say('entry.thereNoSuchBatchOn'));
  // A place that was given up meanwhile is still one where it was read.
  const places = new Map(state.points.map((p) => [p.id, p]));
  if (entry.kind === 'round') {
    const i = entry.data.readings.findIndex((r) => !places.has(r.point));
    if (i >= 0)
      return refused(
        `data.readings[${i}].point`,
        DOOR_PROBLEM.noPlace(itemAt(entry.data.readings, i).point),
      );
    const twice = entry.data.readings.find((r) => hasReading(state, r.id));
    if (twice)
      return refused('data.readings', DOOR_PROBLEM.idTaken(say('entry.reading', { id: twice.id })));
  }
  if (entry.kind === 'plan') {
    const ids = entry.data.points.map((p) => p.id);
    const again = ids.find((id, i) => ids.indexOf(id) !== i);
    if (again !== undefined) return refused('data.points', FILE_PROBLEM.twice(again));
    const moved = entry.data.points.find((p) => {
      const was = places.get(p.id);
      return (
        was !== undefined &&
        ((was.zone !== undefined && was.zone !== p.zone) ||
          (was.depthM !== undefined && was.depthM !== p.depthM))
      );
    });
    if (moved && state.readings.some((r) => r.point === moved.id))
      return refused('data.points', DOOR_PROBLEM.movedPlace(moved.label));
  }
  if (goesOut(entry)) {
    const unknowing = await unknowingOf(db, site, state, entry);
    if (unknowing) return unknowing;
  }
  if (entry.kind === 'cure') {
    const unknowing = await unknowingCure(db, site, state, entry);
    if (unknowing) return unknowing;
  }
  if (entry.kind === 'terms') {
    const own = ownRulesOf(entry.data.ownRules);
    const unknown = entry.data.rules.find((id) => !findRule(id, own));
    if (unknown !== undefined) return refused('data.rules', FILE_PROBLEM.unknownRule(unknown));
  }
  const wrongStuff = asRefusal(
    (await validateLots(db, site, entry)) ??
      (await validateStoreReferences(db, site, entry, { heap: state, role })),
  );
  if (wrongStuff) return wrongStuff;
  if (entry.kind === 'correction') {
    const { target, reading } = entry.data;
    const wrong = state.entries.find((e) => e.id === target);
    if (!wrong) return refused('data.target', say('entry.theEntryCorrectNotIn'));
    if (wrong.batch !== entry.batch)
      return refused('data.target', say('entry.thatHappenedBeforeThisBatch'));
    if (
      reading !== undefined &&
      !state.readings.some((r) => r.id === reading && r.flag === undefined)
    )
      return refused('data.reading', say('entry.thatReadingNotThereOr'));
  }
  return null;
}
