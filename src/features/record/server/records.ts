import fs from 'node:fs/promises';
import path from 'node:path';
import { PassThrough, Readable } from 'node:stream';
import yazl from 'yazl';
import { isoOf } from '@/core/quantity/instant';
import { requireSite } from '@/db/context';
import type { Site } from '@/db/repositories/site';
import { sha256 } from '@/platform/hash';
import { log } from '@/platform/log';
import { readPrefs } from '@/platform/prefs';
import { recordDoc, safeName, type RecordDoc } from '../view';
import { attachment, fileTextOf, loggedAt, momentOf, NO_HEAP, sorry } from './files';
import { PAPERS, recordPdf, type Paper } from './pdf';

/** A record with the batch file that it was made from. */
type Made = { readonly record: RecordDoc; readonly file: string | null };

async function make(site: Site, id: string, at: number, unit: 'C' | 'F'): Promise<Made | null> {
  const logged = await loggedAt(site, id, at);
  if (!logged) return null;
  const file = fileTextOf(site, logged);
  const about = file === null ? {} : { file: { digest: sha256(file), head: logged.chained.at(-1)!.entry.hash } };
  return { file, record: recordDoc({ state: logged.state, siteState: logged.siteState, site, now: at, unit, ...about }) };
}

/** The record as a page shows it. Null: there is no such batch. */
export const recordScreen = async (site: Site, id: string, at: number, unit: 'C' | 'F'): Promise<RecordDoc | null> => (await make(site, id, at, unit))?.record ?? null;

const paperOf = (request: Request): Paper => (new URL(request.url).searchParams.get('paper') === 'letter' ? 'letter' : 'a4');
const unitFor = async (site: Site): Promise<'C' | 'F'> => (await readPrefs()).unit ?? site.unit;

/** One batch's record as a PDF, A4 or Letter. */
export async function recordPdfResponse(request: Request, id: string): Promise<Response> {
  const [site, at] = [await requireSite(), momentOf(request)];
  if (at === null) return sorry('as-of must be a time such as 2026-05-01T07:30:00Z.', 400);
  const made = await make(site, id, at, await unitFor(site));
  if (!made) return sorry(NO_HEAP, 404);
  const paper = paperOf(request);
  const pdf = await recordPdf(made.record, paper, made.file);
  return attachment(new Uint8Array(pdf), 'application/pdf', `${safeName(made.record.code)}-record-${PAPERS[paper].toLowerCase()}.pdf`);
}

const CHECKER = 'check-a-record.html';
const checkerPath = (): string => path.join(process.cwd(), 'public', CHECKER);

const readme = (site: Site, at: number): string => [
  `Heat-treatment records of ${site.name}, as of ${isoOf(at)}`, '',
  'For each batch: its record (PDF) and the batch file (open JSON) that it was made from.',
  `Open ${CHECKER} in a browser and give it a batch file: it checks the chain of log entries and reckons the verdicts anew, with no network.`,
  'digests.txt holds the SHA-256 of every batch file, as it is printed on the record: sha256sum -c digests.txt', '',
].join('\n');

/** The most batches of one ZIP. */
const MOST_BATCHES = 500;

/**
 * Records of many batches as one ZIP, written while it is sent: one record is in memory at a time.
 * The header x-records tells how many there will be, for the page's progress.
 */
export async function recordsZipResponse(request: Request): Promise<Response> {
  const [site, at] = [await requireSite(), momentOf(request)];
  if (at === null) return sorry('as-of must be a time such as 2026-05-01T07:30:00Z.', 400);
  const ids = [...new Set(new URL(request.url).searchParams.getAll('batch'))];
  if (ids.length === 0) return sorry('Choose one batch at least.', 400);
  if (ids.length > MOST_BATCHES) return sorry(`At most ${MOST_BATCHES} batches at a time; these are ${ids.length}.`, 400);
  const unit = await unitFor(site);
  const paper = paperOf(request);
  const zip = new yazl.ZipFile();
  const out = new PassThrough({ highWaterMark: 1 << 20 });
  zip.outputStream.pipe(out);
  void fill(zip, out, { site, ids, at, unit, paper, signal: request.signal }).catch((error: unknown) => {
    log.error({ error: error instanceof Error ? error.message : error }, 'a ZIP of records was broken off');
    out.destroy(error instanceof Error ? error : new Error('broken off'));
  });
  return new Response(Readable.toWeb(out) as ReadableStream, {
    headers: { 'content-type': 'application/zip', 'content-disposition': `attachment; filename="${safeName(site.name)}-records-${isoOf(at).slice(0, 10)}.zip"`, 'cache-control': 'no-store', 'x-records': String(ids.length) },
  });
}

type Filling = { readonly site: Site; readonly ids: readonly string[]; readonly at: number; readonly unit: 'C' | 'F'; readonly paper: Paper; readonly signal: AbortSignal };

async function fill(zip: yazl.ZipFile, out: PassThrough, { site, ids, at, unit, paper, signal }: Filling): Promise<void> {
  const mtime = new Date(at);
  const digests: string[] = [];
  const taken = new Set<string>();
  zip.addBuffer(Buffer.from(readme(site, at)), 'README.txt', { mtime });
  for (const id of ids) {
    if (signal.aborted) { zip.end(); return; }
    // Wait until what is made was sent, so that memory does not grow with the number of records.
    while (out.writableNeedDrain && !signal.aborted) await new Promise((resolve) => { setTimeout(resolve, 20); });
    const made = await make(site, id, at, unit);
    if (!made) continue;
    const stem = uniqueStem(safeName(made.record.code), taken);
    zip.addBuffer(await recordPdf(made.record, paper, null), `${stem}/${stem}-record.pdf`, { mtime, compress: false });
    if (made.file) {
      const name = `${stem}/${made.record.again!.fileName}`;
      zip.addBuffer(Buffer.from(made.file), name, { mtime });
      digests.push(`${made.record.again!.digest}  ${name}`);
    }
  }
  zip.addBuffer(Buffer.from(`${digests.join('\n')}\n`), 'digests.txt', { mtime });
  const checker = await fs.readFile(checkerPath()).catch(() => null);
  if (checker) zip.addBuffer(checker, CHECKER, { mtime });
  zip.end();
}

function uniqueStem(stem: string, taken: Set<string>): string {
  for (let n = 1; ; n += 1) {
    const name = n === 1 ? stem : `${stem}-${n}`;
    if (!taken.has(name)) { taken.add(name); return name; }
  }
}
