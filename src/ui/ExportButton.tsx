'use client';
import { say } from '@/messages/say';
import type { SortColumn } from './SortTable';

/** What the page says must be the first line of what leaves it; null: nothing. */
const noticeOfPage = (): string | null =>
  document.querySelector('meta[name=log-notice]')?.getAttribute('content') ?? null;

/** Hands rows to the browser as a CSV file (RFC 4180), with the titles of their columns. */
async function exportCsv<T>(
  rows: readonly T[],
  columns: readonly SortColumn<T>[],
  file: string,
): Promise<void> {
  // Brought in when it is asked for: no page waits for it.
  const { unparse } = await import('papaparse');
  const text = unparse(
    { fields: columns.map((c) => c.title), data: rows.map((r) => columns.map((c) => c.text(r))) },
    { escapeFormulae: true, newline: '\r\n' },
  );
  const notice = noticeOfPage();
  const head = notice === null ? '' : `${unparse([[notice]])}\r\n`;
  const url = URL.createObjectURL(new Blob([`\ufeff${head}${text}`], { type: 'text/csv' }));
  Object.assign(document.createElement('a'), { href: url, download: file }).click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}

/** Exports what is ticked, or everything that is shown. */
export function ExportButton<T>({
  ticked,
  all,
  columns,
  file,
}: {
  ticked: readonly T[];
  all: readonly T[];
  columns: readonly SortColumn<T>[];
  file: string;
}) {
  const rows = ticked.length > 0 ? ticked : all;
  return (
    <button
      type="button"
      className="btn"
      disabled={rows.length === 0}
      onClick={() => void exportCsv(rows, columns, file)}
    >
      {say('controls.exportRows', { rows: rows.length })}
    </button>
  );
}
