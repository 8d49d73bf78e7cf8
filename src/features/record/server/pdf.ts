import PDFDocument from 'pdfkit';
import { MEMORY_TEXT } from '@/core/rules/text';
import type { RecordDoc, Table } from '../view';
import { drawChart } from './pdf-chart';
import { face, NO_FIRST_FONT, registerFonts, type Doc, type Face } from '@/platform/pdf-face';

export const PAPERS = { a4: 'A4', letter: 'LETTER' } as const;
export type Paper = keyof typeof PAPERS;

/** Margins in points: 15 mm at the sides, room for the page's number below. */
const MARGIN = { left: 42, right: 42, top: 46, bottom: 54 };
/** Larger batch files are not put inside the PDF, which would be slow to open. */
const MOST_ATTACHED = 4_000_000;

const INK = '#1a1912';
const DIM = '#434136';
const width = (doc: Doc): number => doc.page.width - MARGIN.left - MARGIN.right;
const bottom = (doc: Doc): number => doc.page.height - MARGIN.bottom;

/** A new page unless so much is left on this one. */
function room(doc: Doc, height: number): void {
  if (doc.y + height > bottom(doc)) doc.addPage();
}

function para(doc: Doc, text: string, { size = 9.5, which = 'text' as Face, color = INK, gap = 3 } = {}): void {
  face(doc, text, which, size).fillColor(color).text(text, MARGIN.left, doc.y, { width: width(doc), lineGap: 1.2 });
  doc.y += gap;
}

function heading(doc: Doc, text: string): void {
  room(doc, 60);
  doc.y += 9;
  doc.moveTo(MARGIN.left, doc.y).lineTo(MARGIN.left + width(doc), doc.y).lineWidth(1).strokeColor(INK).stroke();
  doc.y += 5;
  para(doc, text, { size: 12.5, which: 'bold' });
}

function list(doc: Doc, items: readonly string[], size = 9): void {
  for (const item of items) {
    face(doc, item, 'text', size);
    room(doc, doc.heightOfString(item, { width: width(doc) - 12 }));
    const y = doc.y;
    doc.fillColor(INK).text('·', MARGIN.left + 2, y, { width: 8 });
    face(doc, item, 'text', size).text(item, MARGIN.left + 12, y, { width: width(doc) - 12, lineGap: 1 });
    doc.y += 1.5;
  }
}

function tableOf(doc: Doc, { head, rows, none, more }: Table, shares: readonly number[]): void {
  if (rows.length === 0) { para(doc, none, { color: DIM }); return; }
  const total = shares.reduce((a, b) => a + b, 0);
  const widths = shares.map((s) => (width(doc) * s) / total);
  const line = (cells: readonly string[], which: Face): void => {
    const heights = cells.map((c, i) => face(doc, c, which, 8).heightOfString(c || ' ', { width: widths[i]! - 6 }));
    const height = Math.max(...heights) + 4;
    if (doc.y + height > bottom(doc)) { doc.addPage(); if (which === 'text') line(head, 'bold'); }
    const y = doc.y;
    let x = MARGIN.left;
    cells.forEach((c, i) => { face(doc, c, which, 8).fillColor(INK).text(c, x, y + 2, { width: widths[i]! - 6 }); x += widths[i]!; });
    doc.y = y + height;
    doc.moveTo(MARGIN.left, doc.y).lineTo(MARGIN.left + width(doc), doc.y).lineWidth(which === 'bold' ? 0.9 : 0.35).strokeColor(which === 'bold' ? INK : '#8b8a76').stroke();
  };
  room(doc, 40);
  line(head, 'bold');
  for (const row of rows) line(row, 'text');
  doc.y += 3;
  if (more) para(doc, more, { color: DIM });
}

function verdicts(doc: Doc, record: RecordDoc): void {
  heading(doc, 'Verdict');
  if (record.verdicts.length === 0) para(doc, 'The heap is still building. No clock has started, and nothing is proven.');
  for (const v of record.verdicts) {
    room(doc, 90);
    para(doc, `${v.title}: ${v.word.toLowerCase()}`, { size: 11, which: 'bold', gap: 1 });
    para(doc, v.sentence, { size: 10 });
    para(doc, `The rule asks: ${v.asks}. ${v.clock}`, { color: DIM, gap: 1 });
    para(doc, `${v.source}.${v.fromMemory ? ` ${MEMORY_TEXT}` : ''}`, { color: DIM, gap: 1 });
    para(doc, `Policy: ${v.policy} ${v.version}`, { color: DIM, gap: 1 });
    if (v.conditions.length > 0) para(doc, `Also asked for, and not judged here: ${v.conditions.join('; ')}.`, { color: DIM, gap: 1 });
    if (v.caution) para(doc, v.caution, { color: DIM, gap: 1 });
    if (v.notes.length > 0) list(doc, v.notes, 8.5);
    doc.y += 5;
  }
}

function checkAgain(doc: Doc, record: RecordDoc): void {
  if (!record.again) return;
  const { digest, head, fileName, command, earlier } = record.again;
  heading(doc, 'To check it again');
  para(doc, `This record was made from the batch file ${fileName}.${command ? ' Whoever has that file gets the same verdicts, with no network and no account:' : ''}`);
  if (command) para(doc, command, { size: 8.5, which: 'bold' });
  para(doc, `SHA-256 of the file: ${digest}`, { size: 8.5 });
  if (head) para(doc, `The chain of log entries in it ends with: ${head}`, { size: 8.5 });
  for (const e of earlier) {
    para(doc, `A proof was kept from version ${e.version} of this heap’s rules and policy. It is in the batch file of that version, ${e.fileName}:`);
    para(doc, e.command, { size: 8.5, which: 'bold' });
    para(doc, `SHA-256 of that file: ${e.digest}`, { size: 8.5 });
  }
  para(doc, 'The self-checking record (one HTML file, from the same site) opens the batch file in any browser, checks the chain, and reckons the verdicts anew.', { color: DIM });
}

/** The record as a PDF. @param file the batch file's text, put inside as an attachment where it is not too large */
export function recordPdf(record: RecordDoc, paper: Paper, file: string | null): Promise<Buffer> {
  const doc = new PDFDocument({
    size: PAPERS[paper], margins: { top: MARGIN.top, bottom: MARGIN.bottom, left: MARGIN.left, right: MARGIN.right }, bufferPages: true, lang: 'en', displayTitle: true, pdfVersion: '1.7', font: NO_FIRST_FONT,
    info: { Title: `${record.title}, ${record.code}, ${record.site}`, Author: record.site, Creator: 'Zealous Heap', CreationDate: new Date(record.asOf) },
  });
  registerFonts(doc);
  const chunks: Buffer[] = [];
  doc.on('data', (chunk: Buffer) => chunks.push(chunk));
  const done = new Promise<Buffer>((resolve, reject) => { doc.on('end', () => resolve(Buffer.concat(chunks))); doc.on('error', reject); });

  para(doc, record.title, { size: 19, which: 'bold', gap: 1 });
  para(doc, `${record.site}. Made ${record.made}, from what was logged by then.`, { color: DIM, gap: 6 });
  tableOf(doc, { head: ['Batch', record.identity[0]?.[1] ?? record.code], rows: record.identity.slice(1), none: '' }, [1, 4.4]);
  verdicts(doc, record);
  if (record.chart) { heading(doc, 'Heat, every round since it was built'); room(doc, 230); drawChart(doc, record.chart, { x: MARGIN.left, y: doc.y, w: width(doc) }); }
  heading(doc, 'Rounds, point by point');
  tableOf(doc, record.rounds, roundShares(record.rounds.head.length));
  heading(doc, 'Works on the heap');
  tableOf(doc, record.works, [1.5, 5, 0.8]);
  heading(doc, 'Corrections');
  tableOf(doc, record.corrections, [1.5, 1.7, 0.9, 2.6, 0.7]);
  heading(doc, 'Thermometers');
  tableOf(doc, record.checks, [1, 1.6, 1, 1, 1]);
  heading(doc, 'Not covered by this record');
  list(doc, record.notCovered);
  heading(doc, 'Cautions');
  list(doc, record.cautions);
  checkAgain(doc, record);
  if (file && file.length <= MOST_ATTACHED) doc.file(Buffer.from(file), { name: record.again?.fileName ?? 'batch.zealous-heap.json', type: 'application/json', description: 'The batch file that this record was made from' });
  numberPages(doc, record);
  doc.end();
  return done;
}

/** Column shares of the rounds: when, the values in one column or several, thermometer, what it counts as, the judgement. */
const roundShares = (columns: number): number[] => (columns === 5 ? [1.7, 4, 0.6, 0.9, 1.4] : [1.7, ...Array.from({ length: columns - 4 }, () => 0.95), 0.6, 0.9, 1.35]);

function numberPages(doc: Doc, record: RecordDoc): void {
  const { count } = doc.bufferedPageRange();
  for (let i = 0; i < count; i += 1) {
    doc.switchToPage(i);
    doc.page.margins.bottom = 0; // else a line in the margin opens a page of its own
    const y = doc.page.height - 34;
    const left = `${record.title}, batch ${record.code}, ${record.site}`;
    face(doc, left, 'text', 8).fillColor(DIM).text(left, MARGIN.left, y, { width: width(doc) * 0.75, height: 10, ellipsis: true, lineBreak: false });
    doc.font('text').fontSize(8).text(`page ${i + 1} of ${count}`, MARGIN.left + width(doc) * 0.75, y, { width: width(doc) * 0.25, align: 'right', lineBreak: false });
  }
}
