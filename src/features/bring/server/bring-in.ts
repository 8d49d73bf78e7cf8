import { say } from '@/messages/say';
import { revalidatePath } from 'next/cache';
import { canonicalJson, type NewEntry } from '@/core/log/entry';
import { DOOR_PROBLEM } from '@/core/words/door-problem';
import type { Problem } from '@/core/words/problem';
import type { Db } from '@/db/client';
import { currentAccess, theSite, theWriter } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import { ClockSetBack, withSiteLock, isImpossible, appendUnderLock } from '@/db/write';
import { withEnteredBy, withoutEnteredBy } from '@/entry/server/identify';
import { readBody, refusedBody } from '@/platform/body';
import { BODY_LIMITS } from '@/platform/body-limits';
import { now } from '@/platform/clock';
import { log } from '@/platform/log';
import { inWorkerThread } from '@/platform/worker-threads';
import { readImport } from './read-import';
import { firstOf } from '@/core/quantity/present';

const refuse = (problems: readonly Problem[], status = 422): Response =>
  Response.json({ ok: false, problems }, { status });
const refuseFile = (message: string, status = 422): Response =>
  refuse([{ path: '(file)', message }], status);
const MAX_BYTES = BODY_LIMITS['/api/bring'];

type Kept = { readonly ok: true } | { readonly ok: false; readonly message: string };
const content = ({ batch, at, by, kind, data }: NewEntry): string =>
  canonicalJson({ batch, at, by, kind, data: withoutEnteredBy(data) });

/** What the log holds of an import: nothing yet, all of it, or something else under its ids. */
async function heldOf(db: Db, entries: readonly NewEntry[]): Promise<'nothing' | 'all' | 'other'> {
  const held = await logRepo(db).ofIds(entries.map((e) => e.id));
  if (held.length === 0)
    return (await logRepo(db).ofBatch(firstOf(entries).batch!)).length === 0 ? 'nothing' : 'other';
  if (held.length < entries.length) return 'other';
  const byId = new Map(held.map((e) => [e.id, content(e)]));
  // What the log holds went through JSON: fields left undefined are not there.
  return entries.every((e) => byId.get(e.id) === content(JSON.parse(JSON.stringify(e)) as NewEntry))
    ? 'all'
    : 'other';
}

/** Entries with whose sign-in brings them. */
async function bySignIn(entries: readonly NewEntry[]): Promise<readonly NewEntry[]> {
  const { person } = await currentAccess();
  if (!person?.role) return entries;
  const enteredBy = { person: person.id, name: person.name, role: person.role };
  return entries.map((e) => withEnteredBy(e, enteredBy));
}

const readInThread = inWorkerThread('importJob', readImport);

/** Brings a batch in whole or not at all, and once: the same import sent again is answered as done. */
export async function bringIn(request: Request): Promise<Response> {
  const body = await readBody(request, MAX_BYTES);
  if (!body.ok) {
    const large = say('bring.theFileMbAtMost', {
      size: Math.round(body.size / 1e6),
      maxbytes: MAX_BYTES / 1e6,
    });
    const { status, message } = refusedBody(body, large);
    return refuseFile(message, status);
  }
  const site = await theSite('import');
  if (!site) return refuseFile(say('bring.thisServerHasNoSite'), 409);
  // Half a minute of work for the largest: nobody else waits for it.
  const read = await readInThread(new Uint8Array(body.bytes));
  if (!read.ok) return refuse(read.problems, read.status);
  const { entries, digest } = read;
  try {
    const kept = await withSiteLock(theWriter(), site, async (trx): Promise<Kept> => {
      const held = await heldOf(trx, entries);
      if (held === 'other')
        return {
          ok: false,
          message: say('bring.aBatchAlreadyInLog', { digest: digest.slice(0, 16) }),
        };
      if (held === 'nothing') await appendUnderLock(trx, site, await bySignIn(entries), now());
      return { ok: true };
    });
    if (!kept.ok) return refuseFile(kept.message, 409);
  } catch (error) {
    if (error instanceof ClockSetBack) return refuseFile(error.message, 503);
    log.error(
      { error: error instanceof Error ? error.message : error },
      'a batch was not brought in',
    );
    return isImpossible(error)
      ? refuseFile(DOOR_PROBLEM.neverWritten)
      : refuseFile(say('bring.itCouldNotSavedJust'), 503);
  }
  revalidatePath('/', 'layout');
  return Response.json({ ok: true, batch: firstOf(entries).id, digest });
}
