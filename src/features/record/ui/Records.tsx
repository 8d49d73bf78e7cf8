'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { ExportButton } from '@/ui/ExportButton';
import { Problems } from '@/ui/Field';
import { SortTable, type SortColumn } from '@/ui/SortTable';
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

/** Texts that other pages do not need. */
type RecordLabels = {
  /** What leads to an inspector's link. */ readonly link: string;
  /** From which day to which they were built. */ readonly builtDays: readonly [string, string];
};

const columns = ({ builtDays }: RecordLabels): readonly SortColumn<RecordRow>[] => [
  {
    id: 'batch',
    title: say('record.batch'),
    text: (r) => `${r.code} ${r.name}`,
    cell: (r) => (
      <Link
        prefetch={false}
        className="link font-[650] min-h-target inline-flex items-center"
        href={r.building ? `/batch/${r.id}` : `/batch/${r.id}/record`}
      >
        {r.code} {r.name}
      </Link>
    ),
  },
  { id: 'season', title: say('record.season'), text: (r) => r.season, choice: true },
  {
    id: 'built',
    title: say('record.builtOn'),
    text: (r) => r.built,
    order: (r) => r.builtAt,
    days: { of: (r) => r.builtDay, labels: builtDays },
  },
  {
    id: 'standing',
    title: say('record.standing'),
    text: (r) => r.standing,
    order: (r) => (r.proven ? 0 : r.building ? 2 : 1),
    cell: (r) => (
      <b className={`font-semibold ${r.proven ? 'text-stamp' : ''}`} data-says={r.says}>
        {r.standing}
      </b>
    ),
  },
  { id: 'rule', title: say('record.ruleFirst'), text: (r) => r.rule, choice: true },
  { id: 'place', title: say('record.place'), text: (r) => r.place },
  {
    id: 'state',
    title: say('record.onSite'),
    text: (r) => (r.gone ? say('record.finished') : say('record.active')),
    choice: true,
  },
];

/** Every batch of the site with its record; any number of them as one ZIP for an inspection. */
export function Records({
  rows,
  paper,
  labels,
}: {
  rows: readonly RecordRow[];
  paper: 'a4' | 'letter';
  labels: RecordLabels;
}) {
  const own = useMemo(() => columns(labels), [labels]);
  return (
    <div className="px-5 py-5 flex flex-col gap-4">
      <div>
        <h1>{say('record.records')}</h1>
        <p className="mt-2 max-w-[65ch]">{say('record.aRecordSaysWhichRule')}</p>
      </div>
      {rows.length === 0 ? (
        <p>
          {say('record.noBatchYet')}{' '}
          <Link prefetch={false} className="link" href="/open">
            {say('record.startOne')}
          </Link>
          {say('record.andItsRecordBegins')}
        </p>
      ) : (
        <SortTable
          name={say('record.records')}
          rows={rows}
          columns={own}
          first={{ id: 'built', desc: true }}
          canTick={(r) => !r.building}
          act={(ticked, all) => (
            <RecordActs {...{ ticked, all, paper }} linkLabel={labels.link} columns={own} />
          )}
        />
      )}
    </div>
  );
}

/** The records of some batches as one ZIP, and how far it is. */
function useZip(ids: readonly string[], paper: 'a4' | 'letter') {
  const [progress, setProgress] = useState<Progress>(null);
  const [busy, setBusy] = useState(false);
  const [done, setDone] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (): Promise<void> => {
    setBusy(true);
    setProblem(null);
    setDone(false);
    setProgress(null);
    try {
      await fetchZip(ids, paper, setProgress);
      setDone(true);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : say('record.itCouldNotMade'));
    } finally {
      setBusy(false);
    }
  };
  return { progress, busy, done, problem, take };
}

/** Where the ticked batches can be taken: their labels, a link for an inspector. */
const TickedLinks = ({ ids, linkLabel }: { ids: readonly string[]; linkLabel: string }) => (
  <>
    <Link prefetch={false} className="btn" href={`/labels?heaps=${ids.join(',')}`}>
      {say('record.labelsForThese', { size: ids.length })}
    </Link>
    <Link prefetch={false} className="btn" href={`/records/inspect/${ids.join(',')}`}>
      {linkLabel}
    </Link>
  </>
);

/** What is done with the batches that are ticked: their records as one ZIP, their labels, a table. */
function RecordActs({
  ticked,
  all,
  columns: own,
  paper,
  linkLabel,
}: {
  ticked: readonly RecordRow[];
  all: readonly RecordRow[];
  columns: readonly SortColumn<RecordRow>[];
  paper: 'a4' | 'letter';
  linkLabel: string;
}) {
  const ids = ticked.map((r) => r.id);
  const { progress, busy, done, problem, take } = useZip(ids, paper);
  return (
    <>
      <Problems
        list={
          problem === null
            ? []
            : [{ path: '(zip)', message: say('record.yourTicksStillHereTry', { problem }) }]
        }
      />
      <div className="flex flex-wrap gap-4 items-center sticky bottom-0 max-sm:bottom-[54px] bg-paper ruled py-3 print:hidden">
        <button
          type="button"
          className="btn key !min-h-glove"
          disabled={ids.length === 0 || busy}
          onClick={() => void take()}
        >
          {busy
            ? say('record.makingTheRecords')
            : ids.length === 0
              ? say('record.tickABatchFirst')
              : say('record.downloadOneRecordRecordsAs', { size: ids.length })}
        </button>
        <ExportButton ticked={ticked} all={all} columns={own} file="batches.csv" />
        {ids.length > 0 && <TickedLinks ids={ids} linkLabel={linkLabel} />}
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
    </>
  );
}
