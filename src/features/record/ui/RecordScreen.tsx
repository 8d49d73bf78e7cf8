'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { isoOf } from '@/core/quantity/instant';
import type { RecordDoc } from '../view';
import { HeatRecord } from './Record';

/** The record with what can be taken along: PDF, print, batch file, and the page that checks them. */
export function RecordScreen({
  record,
  id,
  paper,
}: {
  record: RecordDoc;
  id: string;
  paper: 'a4' | 'letter';
}) {
  const asOf = `as-of=${isoOf(record.asOf)}`;
  const papers = paper === 'a4' ? (['a4', 'letter'] as const) : (['letter', 'a4'] as const);
  return (
    <div className="px-5 py-5 max-w-[980px] print:p-0 print:max-w-none">
      <div className="print:hidden flex flex-wrap gap-2.5 items-center mb-5 border-b-[1.6px] border-ink pb-4">
        {papers.map((p, i) => (
          <a
            key={p}
            className={`btn ${i === 0 ? 'key' : ''}`}
            href={`/batch/${id}/record.pdf?paper=${p}&${asOf}`}
          >
            {say('record.pdfA4Other', { p: p === 'a4' ? 'a4' : 'other' })}
          </a>
        ))}
        <button type="button" className="btn" onClick={() => window.print()}>
          {say('record.printThisPage')}
        </button>
        {record.again && (
          <a className="btn" href={`/batch/${id}/file?${asOf}`}>
            {say('record.batchFileJson')}
          </a>
        )}
        {record.again?.earlier.map((e) => (
          <a
            key={e.version}
            className="btn"
            href={`/batch/${id}/file?version=${e.version}&${asOf}`}
          >
            {say('record.batchFileVersion', { version: e.version })}
          </a>
        ))}
        {record.after && (
          <a className="btn" href={`/api/lots/site-file?batch=${id}`}>
            {say('checker.lotsFile')}
          </a>
        )}
        <a className="btn" href="/check-a-record.html" download>
          {say('record.selfCheckingPageHtml')}
        </a>
        <Link prefetch={false} className="link" href={`/batch/${id}`}>
          {say('record.backToTheBatch')}
        </Link>
      </div>
      <HeatRecord record={record} />
    </div>
  );
}
