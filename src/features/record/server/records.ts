import { currentUnits, say, type Speech } from '@/messages/say';
import fs from 'node:fs/promises';
import path from 'node:path';
import { PassThrough, Readable } from 'node:stream';
import yazl from 'yazl';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { foldStore } from '@/core/mix/store';
import { isoOf } from '@/core/quantity/instant';
import { requireSite, theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { speechOfSite, type Site } from '@/db/repositories/site';
import { sha256 } from '@/platform/hash';
import { now } from '@/platform/clock';
import { log } from '@/platform/log';
import {
  fileNameOf,
  lotsFileNameOf,
  recordDoc,
  safeName,
  type RecordDoc,
  type RecordQuestions,
} from '../view';
import {
  attachment,
  fileTextOf,
  logEndOf,
  sealLinesOf,
  loggedAt,
  momentOf,
  noSuchHeap,
  sorry,
} from './files';
import { PAPERS, recordPdf, type Paper } from './pdf';
import { whenText } from '@/core/quantity/format';
import { readSiteLots, type SiteLots } from '@/entry/server/lot-book';
import { isAbout } from '@/core/status/open-questions';
import type { Locale } from '@/core/words/note';
import { namesOf, questionLines } from '@/telling/status/questions';
import { firstLineOf } from '@/entry/server/trust';
import { lotsFileText } from '@/entry/server/lots-file';
import { afterHeatTable } from '../after-heat';
import { inSpeech } from '@/platform/request-speech';
import { inWorkerThread } from '@/platform/worker-threads';
import { lastOf } from '@/core/quantity/present';

/** A record with the batch file that it was made from. */
type Made = {
  readonly record: RecordDoc;
  readonly file: string | null;
  /** The site file of what became of it; null: nothing has left it. */ readonly lotsFile:
    string | null;
  /** The file of each earlier version of its rules and policy. */ readonly earlier: ReadonlyMap<
    number,
    string
  >;
};

/** What speaks against the evidence of a batch as of a moment, in sentences. */
function questionsFor(
  id: string,
  { state, questions }: SiteLots,
  board: readonly BatchSnapshot[],
  locale: Locale,
): RecordQuestions {
  const own = questions.filter((q) => isAbout(q, id) && q.since <= locale.now);
  const lines = questionLines(own, namesOf(board, state), locale);
  const isSettled = (i: number): boolean => (own[i]?.closed?.at ?? Infinity) <= locale.now;
  return {
    open: lines.filter((_, i) => !isSettled(i)).map((l) => l.text),
    settled: lines.filter((_, i) => isSettled(i)).map((l) => `${l.text} ${l.settled}`),
  };
}

async function make(site: Site, id: string, at: number, unit: 'C' | 'F'): Promise<Made | null> {
  const logged = await loggedAt(site, id, at);
  if (!logged) return null;
  const file = fileTextOf(site, logged);
  const earlier =
    file === null
      ? []
      : logged.state.terms
          .slice(0, -1)
          .map((terms) => ({ version: terms.version, text: fileTextOf(site, logged, terms)! }));
  const lots = await readSiteLots(theDb(), site, at);
  const digests = new Map(earlier.map(({ version, text }) => [version, sha256(text)]));
  const about =
    file === null
      ? {}
      : {
          file: {
            digest: sha256(file),
            head: lastOf(logged.chained).entry.hash,
            seal: sealLinesOf(logged),
            end: logEndOf(logged),
            earlier: digests,
          },
        };
  const after = afterHeatTable({ ...lots, when: (t) => whenText(site.timeZone, t) }, id);
  return {
    file,
    lotsFile: after && lotsFileText(lots, site, logged.seal.notice ?? null, id),
    earlier: new Map(earlier.map(({ version, text }) => [version, text])),
    record: recordDoc({
      state: logged.state,
      siteState: logged.siteState,
      site,
      now: at,
      unit,
      store: foldStore((await logRepo(theDb()).ofStore(site.id)).filter((e) => e.recordedAt <= at)),
      after,
      faults: logged.faults,
      questions: questionsFor(id, lots, await snapshotRepo(theDb()).board(site, at), {
        ...{ timeZone: site.timeZone, unit, now: at },
      }),
      ...about,
    }),
  };
}

/** The record as a page shows it. Null: there is no such batch. */
export const recordScreen = async (
  site: Site,
  id: string,
  at: number,
  unit: 'C' | 'F',
): Promise<RecordDoc | null> => (await make(site, id, at, unit))?.record ?? null;

const paperOf = (request: Request): Paper =>
  new URL(request.url).searchParams.get('paper') === 'letter' ? 'letter' : 'a4';
/** A record is in the site's language, whoever asks for it, and in the units of whoever does. */
const speechForRecord = (site: Site): Speech => ({
  language: speechOfSite(site).language,
  units: currentUnits(),
});

const printRecord = inWorkerThread('recordJob', recordPdf);

/** One batch's record as a PDF, A4 or Letter, in the language of the site whatever its reader speaks. */
export async function recordPdfResponse(request: Request, id: string): Promise<Response> {
  const site = await requireSite();
  return inSpeech(speechForRecord(site), () => recordPdfOf(site, request, id));
}

async function recordPdfOf(site: Site, request: Request, id: string): Promise<Response> {
  const at = momentOf(request);
  if (at === null) return sorry(say('record.asMustTimeSuchAs'), 400);
  const made = await make(site, id, at, currentUnits().temp);
  if (!made) return sorry(noSuchHeap(), 404);
  const paper = paperOf(request);
  const pdf = await printRecord({ record: made.record, paper, file: made.file });
  return attachment(
    new Uint8Array(pdf),
    'application/pdf',
    `${safeName(made.record.code)}-record-${PAPERS[paper].toLowerCase()}.pdf`,
  );
}

const CHECKER = 'check-a-record.html';
const checkerPath = (): string => path.join(process.cwd(), 'public', CHECKER);

const readme = (site: Site, at: number, later: readonly string[], notice: string | null): string =>
  [
    ...(notice === null ? [] : [notice, '']),
    ...(later.length > 0
      ? [say('record.notIncludedBecauseTheyWere', { later: later.join(', ') }), '']
      : []),
    say('record.heatTreatmentRecordsAs', { name: site.name, at: isoOf(at) }),
    '',
    say('record.forEachBatchRecordPdf'),
    say('record.openInBrowserGiveBatch', { checker: CHECKER }),
    say('record.digestsTxtContainsSha256'),
    '',
  ].join('\n');

/** The most batches of one ZIP. */
const MAX_BATCHES = 500;

/**
 * Records of many batches as one ZIP, each made when its turn to be sent has come: one record is in memory at
 * a time, and a slow reader holds back the making. The header x-records tells how many there will be.
 */
export async function recordsZipResponse(request: Request): Promise<Response> {
  const site = await requireSite();
  return inSpeech(speechForRecord(site), () => recordsZipOf(site, request));
}

async function recordsZipOf(site: Site, request: Request): Promise<Response> {
  const at = momentOf(request);
  if (at === null) return sorry(say('record.asMustTimeSuchAs'), 400);
  const asked = new Set(new URL(request.url).searchParams.getAll('batch'));
  if (asked.size === 0) return sorry(say('record.chooseAtLeastOneBatch'), 400);
  if (asked.size > MAX_BATCHES)
    return sorry(
      say('record.atMostBatchesAtTime', { maxbatches: MAX_BATCHES, size: asked.size }),
      400,
    );
  const batches = (await snapshotRepo(theDb()).board(site, now())).filter((d) => asked.has(d.id));
  if (batches.length < asked.size) return sorry(noSuchHeap(), 404);
  const there = await logRepo(theDb()).openedBy(site.id, at);
  const [known, later] = [
    batches.filter((d) => there.has(d.id)),
    batches.filter((d) => !there.has(d.id)),
  ];
  if (known.length === 0) return sorry(say('record.noneTheseBatchesWasIn', { at: isoOf(at) }), 404);
  const zip = new yazl.ZipFile();
  const out = new PassThrough();
  zip.on('error', (error) => {
    log.error(
      { error: error instanceof Error ? error.message : error },
      'a ZIP of records was broken off',
    );
    out.destroy(error instanceof Error ? error : new Error('broken off'));
  });
  zip.outputStream.pipe(out);
  plan(zip, known, {
    site,
    at,
    later: later.map((d) => d.code),
    moved: await movedBy(site, at),
    notice: await firstLineOf(site),
    unit: currentUnits().temp,
    paper: paperOf(request),
  });
  return new Response(Readable.toWeb(out) as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${safeName(site.name)}-records-${isoOf(at).slice(0, 10)}.zip"`,
      'cache-control': 'no-store',
      'x-records': String(known.length),
    },
  });
}

/** Batches and lots of which something had left by a moment. */
async function movedBy(site: Site, at: number): Promise<ReadonlySet<string | null>> {
  const { book } = await readSiteLots(theDb(), site, at);
  return new Set(book.site.flows.map((f) => f.from));
}

type Plan = {
  /** Of which something has left: a file of its lots goes along. */ readonly moved: ReadonlySet<
    string | null
  >;
  readonly site: Site;
  /** Codes of batches that were not in the log yet. */ readonly later: readonly string[];
  readonly at: number;
  /** What its first line says of the log behind it; null: nothing. */ readonly notice:
    string | null;
  readonly unit: 'C' | 'F';
  readonly paper: Paper;
};

/** Lays out the ZIP's entries; nothing is made before it is its turn. */
function plan(
  zip: yazl.ZipFile,
  batches: readonly BatchSnapshot[],
  { site, at, notice, unit, paper, later, moved }: Plan,
): void {
  const mtime = new Date(at);
  const taken = new Set<string>();
  const digests: string[] = [];
  // A batch's PDF and its file follow each other, so the one that was made last is the one at hand.
  let held: { readonly id: string; readonly made: Made } | null = null;
  const madeOf = async (id: string): Promise<Made> => {
    if (held?.id === id) return held.made;
    const made = await make(site, id, at, unit);
    if (!made) throw new Error(`batch ${id} is gone`);
    held = { id, made };
    return made;
  };
  const lazy = (name: string, compress: boolean, body: () => Promise<Buffer>): void => {
    zip.addReadStreamLazy(name, { mtime, compress }, (done) => {
      body().then(
        (bytes) => done(null, Readable.from([bytes])),
        (error: unknown) => done(error, Readable.from([])),
      );
    });
  };
  zip.addBuffer(Buffer.from(readme(site, at, later, notice)), 'README.txt', { mtime });
  for (const { id, code, builtAt, rules } of batches) {
    const stem = uniqueStem(safeName(code), taken);
    lazy(`${stem}/${stem}-record.pdf`, false, async () =>
      Buffer.from(await printRecord({ record: (await madeOf(id)).record, paper, file: null })),
    );
    if (builtAt === null) continue;
    const name = `${stem}/${fileNameOf(code)}`;
    lazy(name, true, async () => {
      const { file, record } = await madeOf(id);
      digests.push(`${record.again?.digest ?? ''}  ${name}\n`);
      return Buffer.from(file ?? '');
    });
    if (moved.has(id)) {
      const own = `${stem}/${lotsFileNameOf(code)}`;
      lazy(own, true, async () => {
        const text = (await madeOf(id)).lotsFile ?? '';
        digests.push(`${sha256(text)}  ${own}\n`);
        return Buffer.from(text);
      });
    }
    // Where a proof was kept from an earlier version, the file of that version goes along.
    for (const version of [
      ...new Set(rules.flatMap((r) => (r.keptFrom === null ? [] : [r.keptFrom]))),
    ]) {
      const own = `${stem}/${fileNameOf(code, version)}`;
      lazy(own, true, async () => {
        const text = (await madeOf(id)).earlier.get(version) ?? '';
        digests.push(`${sha256(text)}  ${own}\n`);
        return Buffer.from(text);
      });
    }
  }
  lazy('digests.txt', true, () => Promise.resolve(Buffer.from(digests.join(''))));
  lazy(CHECKER, true, () => fs.readFile(checkerPath()));
  zip.end();
}

function uniqueStem(stem: string, taken: Set<string>): string {
  for (let n = 1; ; n += 1) {
    const name = n === 1 ? stem : `${stem}-${n}`;
    if (!taken.has(name)) {
      taken.add(name);
      return name;
    }
  }
}
