'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useState } from 'react';
import { Problems } from '@/ui/Field';
import type { RecordRow } from '../view';

type Progress = { readonly bytes: number; readonly of: number } | null;

/** Fetches the ZIP piece by piece, so that the page can tell how far it is, and hands it to the browser to keep. */
async function fetchZip(
  ids: readonly string[],
  paper: string,
  onProgress: (p: Progress) => void,
): Promise<void> {
  const response = await fetch(
    `/records/zip?paper=${paper}&${ids.map((id) => `batch=${id}`).join('&')}`,
  );
  if (!response.ok || !response.body)
    throw new Error((await response.text()).trim() || 'The hub did not answer.');
  const of = Number(response.headers.get('x-records') ?? ids.length);
  const name =
    /filename="([^"]+)"/.exec(response.headers.get('content-disposition') ?? '')?.[1] ??
    'records.zip';
  const parts: BlobPart[] = [];
  let bytes = 0;
  for (const reader = response.body.getReader(); ;) {
    const { done, value } = await reader.read();
    if (done) break;
    parts.push(value);
    bytes += value.length;
    onProgress({ bytes, of });
  }
  const url = URL.createObjectURL(new Blob(parts, { type: 'application/zip' }));
  const link = Object.assign(document.createElement('a'), { href: url, download: name });
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}

/** Every batch of the site with its record; any number of them as one ZIP for an inspection. */
export function Records({ rows, paper }: { rows: readonly RecordRow[]; paper: 'a4' | 'letter' }) {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [progress, setProgress] = useState<Progress>(null);
  const [busy, setBusy] = useState(false);
  const [done, setDone] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const can = rows.filter((r) => !r.building);
  const [standing, finished] = [rows.filter((r) => !r.gone), rows.filter((r) => r.gone)];
  const tick = (id: string, on: boolean): void => {
    setDone(false);
    setTicked((t) => {
      const n = new Set(t);
      if (on) n.add(id);
      else n.delete(id);
      return n;
    });
  };
  const take = async (): Promise<void> => {
    setBusy(true);
    setProblem(null);
    setDone(false);
    setProgress(null);
    try {
      await fetchZip([...ticked], paper, setProgress);
      setDone(true);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : say('record.itCouldNotMade'));
    } finally {
      setBusy(false);
    }
  };
  const line = (r: RecordRow) => (
    <li key={r.id} className="border-b border-rule flex items-center gap-3 min-h-key">
      <label className="flex gap-3 items-center flex-1 min-h-key min-w-0">
        <input
          type="checkbox"
          className="size-5 flex-none"
          disabled={r.building}
          checked={ticked.has(r.id)}
          onChange={(e) => tick(r.id, e.target.checked)}
        />
        <span className="min-w-0">
          <b className="font-[650]">
            {r.code} {r.name}
          </b>{' '}
          <span className="hint">
            {r.building
              ? say('record.stillBeingBuiltNoRecord')
              : say('record.built', { built: r.built })}
          </span>
          {!r.building && (
            <span className="block text-small">
              <b className={`font-semibold ${r.proven ? 'text-stamp' : ''}`}>{r.says}</b>{' '}
              <span className="q">{r.rule}</span>
            </span>
          )}
        </span>
      </label>
      {!r.building && (
        <Link
          prefetch={false}
          className="link min-h-target flex items-center"
          href={`/batch/${r.id}/record`}
        >
          {say('record.record')}
        </Link>
      )}
    </li>
  );
  return (
    <div className="px-5 py-5 max-w-[980px] flex flex-col gap-4">
      <div>
        <h1>{say('record.records')}</h1>
        <p className="mt-2 max-w-[65ch]">{say('record.aRecordSaysWhichRule')}</p>
      </div>
      {rows.length === 0 && (
        <p>
          {say('record.noBatchYet')}{' '}
          <Link prefetch={false} className="link" href="/open">
            {say('record.startOne')}
          </Link>
          {say('record.andItsRecordBegins')}
        </p>
      )}
      {can.length > 1 && (
        <div className="flex gap-5">
          <button
            type="button"
            className="link min-h-target"
            onClick={() => setTicked(new Set(can.map((r) => r.id)))}
          >
            {say('record.tickAll')}
          </button>
          <button
            type="button"
            className="link min-h-target"
            onClick={() => setTicked(new Set(can.filter((r) => r.proven).map((r) => r.id)))}
          >
            {say('record.tickThoseMetTheirRule')}
          </button>
          <button type="button" className="link min-h-target" onClick={() => setTicked(new Set())}>
            {say('record.tickNone')}
          </button>
        </div>
      )}
      {standing.length > 0 && (
        <section aria-labelledby="standing">
          <h2 id="standing" className="!text-says pb-1">
            {say('record.activeBatches')}
          </h2>
          <ul className="ruled">{standing.map(line)}</ul>
        </section>
      )}
      {finished.length > 0 && (
        <section aria-labelledby="finished">
          <h2 id="finished" className="!text-says pb-1">
            {say('record.finishedBatches')}
          </h2>
          <ul className="ruled">{finished.map(line)}</ul>
        </section>
      )}
      <Problems
        list={
          problem === null
            ? []
            : [{ path: '(zip)', message: say('record.yourTicksStillHereTry', { problem }) }]
        }
      />
      <div className="flex flex-wrap gap-4 items-center sticky bottom-0 max-sm:bottom-[54px] bg-paper ruled py-3 -mt-4">
        <button
          type="button"
          className="btn key !min-h-glove"
          disabled={ticked.size === 0 || busy}
          onClick={() => void take()}
        >
          {busy
            ? say('record.makingTheRecords')
            : ticked.size === 0
              ? say('record.tickABatchFirst')
              : say('record.downloadOneRecordRecordsAs', { size: ticked.size })}
        </button>
        <p aria-live="polite" className="hint">
          {busy && progress
            ? say('record.mbSoFarRecordsIn', {
                bytes: (progress.bytes / 1e6).toFixed(1),
                of: progress.of,
              })
            : done
              ? say('record.doneSavedByBrowser')
              : ''}
        </p>
      </div>
    </div>
  );
}
