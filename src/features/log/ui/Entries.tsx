'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { Printer } from 'lucide-react';
import { FiguresTable } from '@/ui/FiguresTable';
import { ExportButton } from '@/ui/ExportButton';
import { SortTable, type SortColumn } from '@/ui/SortTable';
import type { EntryRow, PatternView } from '../view';

const columns = (): readonly SortColumn<EntryRow>[] => [
  { id: 'at', title: say('log.when'), text: (e) => e.when, order: (e) => e.at },
  {
    id: 'batch',
    title: say('log.batch'),
    text: (e) => e.batch,
    choice: true,
    cell: (e) =>
      e.batchId === null ? (
        <span className="q">{say('log.wholeSite')}</span>
      ) : (
        <Link
          prefetch={false}
          className="link min-h-target inline-flex items-center"
          href={`/batch/${e.batchId}#log`}
        >
          {e.batch}
        </Link>
      ),
  },
  {
    id: 'title',
    title: say('log.whatHappened'),
    text: (e) => e.title,
    cell: (e) => (
      <>
        <b className="font-[650]">{e.title}</b>
        {e.voided && <span className="q"> {say('log.correctedSince')}</span>}
      </>
    ),
  },
  { id: 'detail', title: say('log.details'), text: (e) => e.detail },
  { id: 'by', title: say('log.who'), text: (e) => e.by, choice: true },
  {
    id: 'logged',
    title: say('log.loggedAt'),
    text: (e) => [e.logged, e.device].filter(Boolean).join('; '),
    order: (e) => e.loggedAt,
  },
  { id: 'seq', title: '#', text: (e) => String(e.seq), order: (e) => e.seq },
];

/** Late entries, corrections, questioned readings: counted, for somebody to ask about. */
const Patterns = ({ view }: { view: PatternView }) => (
  <details data-testid="patterns">
    <summary className="link min-h-target">{view.title}</summary>
    <p className="hint max-w-[720px]">{view.note}</p>
    <div className="grid md:grid-cols-2 gap-x-10 gap-y-4 mt-2">
      {view.tables.map((t) => (
        <FiguresTable key={t.title} title={t.title} table={t} />
      ))}
    </div>
  </details>
);

/** Every entry of the site as a table: filtered, ordered, ticked, printed, exported. */
export function Entries({
  rows,
  inAll,
  patterns,
  to,
}: {
  rows: readonly EntryRow[];
  /** What stands out in them, by person and by batch. */ patterns: PatternView;
  /** How many entries there are up to that day. */ inAll: number;
  /** The day that was asked for; '': none. */ to: string;
}) {
  const router = useRouter();
  const own = columns();
  return (
    <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-4">
      <div className="flex flex-wrap items-baseline gap-x-5">
        <h1>{say('log.log')}</h1>
        <Link prefetch={false} className="link print:hidden" href="/log-check">
          {say('trust.openCheck')}
        </Link>
      </div>
      <label className="label print:hidden">
        {say('log.upToAndIncluding')}
        <input
          type="date"
          className="field !w-auto"
          value={to}
          onChange={(e) =>
            router.push(e.target.value ? `/entries?to=${e.target.value}` : '/entries')
          }
        />
      </label>
      <SortTable
        name={say('log.log')}
        rows={rows}
        columns={own}
        first={{ id: 'at', desc: true }}
        canTick={() => true}
        inAll={inAll}
        act={(ticked, all) => (
          <p className="flex flex-wrap gap-3 print:hidden">
            <button type="button" className="btn" onClick={() => window.print()}>
              <Printer size={18} aria-hidden="true" />
              {say('log.printThisTable')}
            </button>
            <ExportButton ticked={ticked} all={all} columns={own} file="entries.csv" />
            <a className="btn" href="/api/trail">
              {say('log.asJson')}
            </a>
          </p>
        )}
      />
      {inAll > rows.length && <p className="hint print:hidden">{say('log.olderEntriesByDay')}</p>}
      <Patterns view={patterns} />
    </div>
  );
}
