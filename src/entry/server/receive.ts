import { say } from '@/messages/say';
import { theSite } from '@/db/context';
import { readBody, refusedBody } from '@/platform/body';
import { BODY_LIMITS } from '@/platform/body-limits';
import { now } from '@/platform/clock';
import { parseJson } from '@/platform/json';
import { readPrefs } from '@/platform/prefs';
import type { EntryForm } from '../input';
import { ingestEntry, type IngestResult } from './ingest-entry';

/** Entries as a device's outbox sends them; `sentAt` is that device's clock. */
export type Sending = { readonly sentAt: number; readonly entries: readonly EntryForm[] };
export type Received = { readonly now: number; readonly answers: readonly IngestResult[] };

const MAX_BYTES = BODY_LIMITS['/api/log'];
const MAX_ENTRIES = 100;
const no = (status: number, message: string): Response =>
  Response.json({ now: now(), answers: [], problem: message }, { status });

/** What arrives may be anything. */
const isWitness = (form: EntryForm | null | undefined): form is EntryForm =>
  form?.kind === 'witness';
/** A device that saw another log asks nobody for a name: whoever was named on it last is taken. */
const named = async (form: EntryForm): Promise<EntryForm> => ({
  ...form,
  by: (await readPrefs()).by || say('entry.somebody'),
});

/**
 * Takes entries in the order in which they were made; each is answered for itself, so that one that is refused holds up
 * none behind it. The answer bears the hub's time, by which a phone knows how far its own clock is off.
 */
export async function receive(request: Request): Promise<Response> {
  const body = await readBody(request, MAX_BYTES);
  if (!body.ok) {
    const { status, message } = refusedBody(body, say('entry.tooManyEntriesAtOnce'));
    return no(status, message);
  }
  if (!(await theSite())) return no(409, say('entry.thisServerHasNoSite'));
  const text = body.bytes.toString('utf8');
  const parsed = parseJson(text);
  if (!parsed.ok)
    return parsed.why === 'deep'
      ? no(422, say('app.tooDeep'))
      : no(400, say('entry.whatArrivedNotJsonReload'));
  const sending = parsed.value as Partial<Sending> | null;
  const entries = sending?.entries;
  if (!Array.isArray(entries) || entries.length > MAX_ENTRIES)
    return no(400, say('entry.aListAtMostEntries', { maxentries: MAX_ENTRIES }));
  const answers: IngestResult[] = [];
  for (const form of entries as readonly EntryForm[]) {
    const sentAt = sending?.sentAt;
    const aheadMs = sentAt !== undefined && Number.isFinite(sentAt) ? sentAt - now() : null;
    answers.push(await ingestEntry(isWitness(form) ? await named(form) : form, aheadMs));
  }
  return Response.json({ now: now(), answers } satisfies Received);
}
