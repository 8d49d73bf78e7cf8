import { say } from '@/messages/say';
import Papa from 'papaparse';

export type Dropped = { readonly name: string } & (
  | { readonly kind: 'file'; readonly text: string }
  | { readonly kind: 'csv'; readonly rows: string[][] }
);

/** Cells of a spreadsheet as texts; a date as the clock that it was typed by showed it. */
const cellText = (cell: unknown): string => {
  if (cell === null || cell === undefined) return '';
  if (cell instanceof Date) return cell.toISOString().slice(0, 19).replace('T', ' ');
  return typeof cell === 'number' || typeof cell === 'boolean' || typeof cell === 'string'
    ? String(cell)
    : '';
};

/** More than this is no table that somebody typed: unpacked it would take the device's memory, bytes. */
const MOST_UNPACKED_BYTES = 100_000_000;

/** How large a workbook's parts are unpacked, as its own directory says; nothing is unpacked for it. */
async function unpackedSize(file: File): Promise<number> {
  const { unzipSync } = await import('fflate');
  let bytes = 0;
  const add = ({ originalSize }: { readonly originalSize: number }): boolean => {
    bytes += originalSize;
    return false;
  };
  unzipSync(new Uint8Array(await file.arrayBuffer()), { filter: add });
  return bytes;
}

/** The first sheet of an Office Open XML workbook (ISO/IEC 29500) as a table. */
async function readWorkbook(file: File): Promise<Dropped | string> {
  try {
    if ((await unpackedSize(file)) > MOST_UNPACKED_BYTES)
      return say('bring.workbookTooLarge', { name: file.name });
    // Brought in with the first workbook: few pages see one.
    const { readSheet } = await import('read-excel-file/browser');
    const rows = (await readSheet(file)).map((row) => row.map(cellText));
    return rows.length < 2
      ? say('bring.isNeitherBatchFileNor', { name: file.name })
      : { kind: 'csv', name: file.name, rows };
  } catch {
    return say('bring.isNoWorkbook', { name: file.name });
  }
}

/** Reads a file as a batch file or as a table; a text: what is wrong with it. */
export async function readDropped(file: File): Promise<Dropped | string> {
  if (/\.xlsx$/i.test(file.name)) return readWorkbook(file);
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer());
  } catch {
    return say('bring.isNotUtf8Text', { name: file.name });
  }
  if (/^\s*[{[]/.test(text.replace(/^\uFEFF/, ''))) return { kind: 'file', name: file.name, text };
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: false });
  if (data.length < 2 || (data[0]?.length ?? 0) < 2)
    return say('bring.isNeitherBatchFileNor', { name: file.name });
  return { kind: 'csv', name: file.name, rows: data };
}
