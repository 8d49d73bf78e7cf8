import { say } from '@/messages/say';
import { requireEntryId } from '@/core/log/ids';
import { revalidatePath } from 'next/cache';
import { entriesOfFile } from '@/core/formats/entries-of-file';
import { fileOfBrought, rulesOfBrought } from '@/core/formats/bring';
import { canonicalJson, type NewEntry } from '@/core/log/entry';
import { textFault } from '@/core/log/sound-text';
import { pathText, PROBLEM, type Problem } from '@/core/words/problem';
import type { Db } from '@/db/client';
import { currentAccess, theDb, theSite } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import { ClockSetBack, withSiteLock, isImpossible, appendUnderLock } from '@/db/write';
import { withEnteredBy, withoutEnteredBy } from '@/entry/server/identify';
import { readBody } from '@/platform/body';
import { now } from '@/platform/clock';
import { parseJson } from '@/platform/json';
import { sha256 } from '@/platform/hash';
import { idFrom } from '@/platform/ids';
import { log } from '@/platform/log';
import { BringInput } from '../input';
import { firstOf } from '@/core/quantity/present';

const refuse = (problems: readonly Problem[], status = 422): Response =>
  Response.json({ ok: false, problems }, { status });
const refuseFile = (message: string, status = 422): Response =>
  refuse([{ path: '(file)', message }], status);
/** Half a million readings are about this large. */
const MAX_BYTES = 80_000_000;

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

/** Brings a batch in whole or not at all, and once: the same import sent again is answered as done. */
export async function bringIn(request: Request): Promise<Response> {
  const body = await readBody(request, MAX_BYTES);
  if (!body.ok)
    return refuseFile(
      say('bring.theFileMbAtMost', {
        size: Math.round(body.size / 1e6),
        maxbytes: MAX_BYTES / 1e6,
      }),
      413,
    );
  const json = parseJson(body.bytes.toString('utf8'));
  if (!json.ok && json.why === 'deep') return refuseFile(say('app.tooDeep'));
  const parsed = BringInput.safeParse(json.ok ? json.value : null);
  if (!parsed.success)
    return refuse(
      parsed.error.issues.map((i) => ({ path: pathText(i.path), message: i.message })),
      400,
    );
  const { openedId, by, bay, brought, rules } = parsed.data;
  const site = await theSite('import');
  if (!site) return refuseFile(say('bring.thisServerHasNoSite'), 409);
  const file = fileOfBrought(brought, sha256);
  if (!file.ok) return refuse(file.problems);
  const fault = textFault(file.file) ?? textFault({ by, bay });
  if (fault)
    return refuse([{ path: pathText(fault.path), message: PROBLEM.unsoundText(fault.fault) }]);
  const chosen = rulesOfBrought(file.file, rules);
  if (!chosen.ok) return refuse([{ path: 'rules', message: PROBLEM.unknownRule(chosen.unknown) }]);
  const entries = entriesOfFile(file.file, {
    openedId,
    by,
    bay,
    rules: chosen.rules,
    idOf: (n) => requireEntryId(idFrom(openedId, say('bring.entry', { n }))),
  });
  try {
    const kept = await withSiteLock(theDb(), site, async (trx): Promise<Kept> => {
      const held = await heldOf(trx, entries);
      if (held === 'other')
        return {
          ok: false,
          message: say('bring.aBatchAlreadyInLog'),
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
      ? refuseFile(PROBLEM.neverWritten)
      : refuseFile(say('bring.itCouldNotSavedJust'), 503);
  }
  revalidatePath('/', 'layout');
  return Response.json({ ok: true, batch: openedId });
}
