import { localInput } from '@/core/quantity/calendar';
import { say } from '@/messages/say';
import { parseBatchId } from '@/core/log/ids';
import Papa from 'papaparse';
import { batchFileOf } from '@/core/formats/batch-file-of';
import { sealText, type Seal } from '@/core/formats/seal';
import { trailOf } from '@/core/formats/trail';
import { sealLines } from '@/core/formats/verify-call';
import { GENESIS, isSiteSequence, type Entry } from '@/core/log/entry';
import { foldBatch, foldSite, type BatchState, type SiteState, type Terms } from '@/core/log/fold';
import { isoOf, parseInstant } from '@/core/quantity/instant';
import { requireSite, theDb, theWriter } from '@/db/context';
import { afterTurn } from '@/db/turns';
import { chainRepo } from '@/db/repositories/chain';
import { logRepo } from '@/db/repositories/log';
import type { Site } from '@/db/repositories/site';
import { now } from '@/platform/clock';
import { sha256 } from '@/platform/hash';
import { codePathOf } from '@/platform/qr-code';
import { siteKey } from '@/platform/site-key';
import { entryHash } from '@/db/repositories/log-rows';
import { faultTextsForRecord, firstLine } from '@/entry/server/trust';
import { faultText } from '@/core/words/log-fault';
import { fileNameOf, safeName, type LogEnd } from '../view';

/** A batch as the log knew it at a moment, with the chained entries that tell it. */
export type Logged = {
  readonly state: BatchState;
  readonly siteState: SiteState;
  readonly chained: readonly { readonly entry: Entry; readonly prev: string }[];
  /** What shows that nothing of it was left out. */ readonly seal: Seal;
  /** What does not fit in the log behind it. */ readonly faults: readonly string[];
};

/** Waits until whoever writes now is done and the moment is over: then what the log knew at that moment is settled. */
async function settled(site: Site, until: number): Promise<void> {
  await afterTurn(theWriter(), site.id);
  const left = until - now();
  if (left >= 0 && left < MAX_WAIT_MS)
    await new Promise((done) => {
      setTimeout(done, left + 2);
    });
}
const MAX_WAIT_MS = 50;

export async function loggedAt(site: Site, idText: string, until: number): Promise<Logged | null> {
  const id = parseBatchId(idText);
  if (id === null) return null;
  await settled(site, until);
  const chained = await logRepo(theDb()).chained(site.id, id, until);
  const own = chained.map((c) => c.entry).filter((e) => e.batch !== null);
  if (!own.some((e) => e.kind === 'opened')) return null;
  const state = foldBatch(own);
  const faults = [...changedIn(site, chained), ...(await faultTextsForRecord(site))];
  return {
    chained,
    faults,
    seal: await sealOf(site, state, chained, until, firstLine(faults)),
    state,
    siteState: foldSite(chained.map((c) => c.entry).filter((e) => e.batch === null)),
  };
}

/** Entries of a batch that are not what their hash was taken over: the whole log is checked once a day, these before they are sealed. */
function changedIn(site: Site, chained: Logged['chained']): string[] {
  return chained
    .filter(({ entry, prev }) => entryHash(prev, site.id, entry) !== entry.hash)
    .map(({ entry: { seq } }) => faultText({ code: 'CHANGED', seq }));
}

/** The seal of a batch's entries as the log knew them at a moment. @param notice what its first line says of the log behind it */
async function sealOf(
  site: Site,
  { id: batch, opened: { brought } }: BatchState,
  chained: Logged['chained'],
  until: number,
  notice: string | null,
): Promise<Seal> {
  const entries = chained.map((c) => c.entry);
  const endOf = (list: readonly Entry[]): Seal['own'] => ({
    n: list.length,
    hash: list.at(-1)?.hash ?? GENESIS,
  });
  const head = await chainRepo(theDb()).head(site.id, until);
  const sealed = {
    batch,
    // What was imported is called as its own site called it.
    site: {
      id: site.id,
      name: brought ? brought.siteName : site.name,
      timeZone: brought ? brought.timeZone : site.timeZone,
    },
    own: endOf(entries.filter((e) => e.batch === batch)),
    ofSite: endOf(entries.filter((e) => isSiteSequence(e))),
    log: {
      ...{ seq: head?.seq ?? 0, hash: head?.hash ?? GENESIS },
      at: isoOf(head?.recordedAt ?? until),
    },
    ...(notice === null ? {} : { notice }),
  };
  const key = siteKey();
  return {
    ...sealed,
    key: key?.publicKey ?? null,
    signature: key?.sign(sealText(sealed)) ?? null,
  };
}

/** Where the log ended, for whoever keeps a record and compares later. */
export function logEndOf({ seal: { log } }: Logged): LogEnd {
  const text = `${log.seq}:${log.hash}`;
  const said = { use: say('record.logEnd'), codeName: say('record.logEndCode') };
  return { text, ...said, ...codePathOf(text) };
}

/** What a record says of its file's seal. */
export const sealLinesOf = ({ seal: { own, ofSite, key, log } }: Logged): string[] =>
  sealLines({ is: 'whole', entries: own.n + ofSite.n, key, log, notice: null }, sha256);

const noticeOf = ({ notice }: Seal): { readonly notice?: string } =>
  notice === undefined ? {} : { notice };

/**
 * The batch file's text with its trail: always the same bytes for one moment. Null while it is building.
 * @param terms the version of its rules and policy; those in force, unless another is asked for
 */
export function fileTextOf(
  site: Site,
  { state, siteState, chained, seal }: Logged,
  terms?: Terms,
): string | null {
  const file = batchFileOf(state, site, siteState, terms);
  return (
    file &&
    `${JSON.stringify({ ...noticeOf(seal), ...file, trail: trailOf(site.id, chained, seal) }, null, 1)}\n`
  );
}

export const attachment = (body: BodyInit, type: string, name: string): Response =>
  new Response(body, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });
export const sorry = (message: string, status: number): Response =>
  new Response(`${message}\n`, {
    status,
    headers: { 'content-type': 'text/plain; charset=utf-8' },
  });
export const noSuchHeap = () => say('record.thereNoSuchBatchOn');

/** The moment that a link names, else this one. Null: what it names is not a time. */
export function momentOf(request: Request): number | null {
  const text = new URL(request.url).searchParams.get('as-of');
  return text === null ? now() : parseInstant(text);
}

/**
 * The open batch file, as the log knew the batch at a moment.
 * @param of the site, where it is not that of whoever has signed in
 */
export async function batchFileResponse(
  request: Request,
  id: string,
  of?: Site,
): Promise<Response> {
  const [site, until] = [of ?? (await requireSite('export')), momentOf(request)];
  if (until === null) return sorry(say('record.asMustTimeSuchAs'), 400);
  const logged = await loggedAt(site, id, until);
  if (!logged) return sorry(noSuchHeap(), 404);
  const version = new URL(request.url).searchParams.get('version');
  const { terms, opened } = logged.state;
  const asked = version === null ? undefined : terms.find((t) => String(t.version) === version);
  if (version !== null && !asked)
    return sorry(say('record.thisBatchHasNoVersion', { version, terms: terms.length }), 404);
  const text = fileTextOf(site, logged, asked);
  if (!text) return sorry(say('record.thisBatchStillBeingBuilt'), 409);
  return attachment(
    text,
    'application/json; charset=utf-8',
    fileNameOf(opened.code, asked?.version),
  );
}

/** What a person reads first comes first, what only programs need last. */
const READING_COLUMNS = [
  ...(['local time', 'time', 'point', 'value', 'unit', 'high', 'marks'] as const),
  ...(['probe', 'flag', 'reason', 'round', 'id'] as const),
];

/** Every reading as a row, by the site's clock and in UTC, in the long form that can be brought in again; struck ones keep their flag. */
export async function readingsResponse(id: string): Promise<Response> {
  const site = await requireSite('export');
  const logged = await loggedAt(site, id, now());
  if (!logged) return sorry(noSuchHeap(), 404);
  const { state } = logged;
  const rows = [...state.readings]
    .sort((a, b) => (a.at < b.at ? -1 : 1))
    .map((r) => ({
      'local time': localInput(site.timeZone, r.time).replace('T', ' '),
      time: r.at,
      point: r.point,
      value: r.value,
      unit: r.unit,
      probe: r.probe ?? '',
      round: r.round ?? '',
      flag: r.flag ?? '',
      reason: r.flagReason ?? '',
      id: r.id,
      high: typeof r.high === 'number' ? r.high : '',
      marks: Array.isArray(r.marks) ? r.marks.join(' ') : '',
    }));
  return attachment(
    `${logged.seal.notice === undefined ? '' : `${Papa.unparse([[logged.seal.notice]])}\n`}${Papa.unparse(rows, { newline: '\n', escapeFormulae: true, columns: [...READING_COLUMNS] })}\n`,
    'text/csv; charset=utf-8',
    `${safeName(state.opened.code)}-readings.csv`,
  );
}
