import { currentLanguage, say } from '@/messages/say';
import PDFDocument from 'pdfkit';
import { questionParts } from '../question-parts';
import type { LogEnd, RecordDoc, Table } from '../view';
import { chartHeight, drawChart } from './pdf-chart';
import { face, NO_FIRST_FONT, registerFonts, type Doc, type Face } from '@/platform/pdf-face';
import { itemAt } from '@/core/quantity/present';
import { drawCode } from '@/platform/qr-code';

export const PAPERS = { a4: 'A4', letter: 'LETTER' } as const;
export type Paper = keyof typeof PAPERS;

/** Margins in points: 15 mm at the sides, room for the page's number below. */
const MARGIN = { left: 42, right: 42, top: 46, bottom: 54 };
/** Larger batch files are not put inside the PDF, which would be slow to open. */
const MAX_ATTACHED = 4_000_000;

const INK = '#1a1912';
const DIM = '#434136';
const width = (doc: Doc): number => doc.page.width - MARGIN.left - MARGIN.right;
const bottom = (doc: Doc): number => doc.page.height - MARGIN.bottom;

type Role = 'H1' | 'H2' | 'H3' | 'P' | 'L' | 'LI' | 'Table' | 'TR' | 'TH' | 'TD' | 'Figure';
/** What a screen reader leaves out: the standard's own word, in every language (ISO 32000-1, 14.8.2.2). */
const ARTIFACT = 'Artifact';
type Element = ReturnType<Doc['struct']>;

/** A document that is being written, with the structure that a screen reader walks through. */
type Pen = { readonly doc: Doc; readonly into: Element };

/** Something of the document, told for what it is. */
const tagged = (
  { doc, into }: Pen,
  role: Role,
  draw: () => void,
  options: { alt?: string } = {},
): void => {
  into.add(doc.struct(role, options, draw));
};

/** A part that holds others: a table its rows, a list its items. */
function within({ doc, into }: Pen, role: Role, draw: (pen: Pen) => void): void {
  const element = doc.struct(role);
  into.add(element);
  draw({ doc, into: element });
  element.end();
}

/** A new page unless so much is left on this one. */
function room(doc: Doc, height: number): void {
  if (doc.y + height > bottom(doc)) doc.addPage();
}

function para(
  pen: Pen,
  text: string,
  {
    size = 9.5,
    which = 'text',
    color = INK,
    gap = 3,
    role = 'P',
  }: { size?: number; which?: Face; color?: string; gap?: number; role?: Role } = {},
): void {
  const { doc } = pen;
  room(doc, size * 1.4);
  tagged(pen, role, () =>
    face(doc, text, which, size)
      .fillColor(color)
      .text(text, MARGIN.left, doc.y, { width: width(doc), lineGap: 1.2 }),
  );
  doc.y += gap;
}

/** A line between parts: for the eye alone. */
function rule(
  doc: Doc,
  weight: number,
  color: string,
  toX = MARGIN.left + width(doc),
  fromX = MARGIN.left,
): void {
  doc.markContent(ARTIFACT, { type: 'Layout' });
  doc.moveTo(fromX, doc.y).lineTo(toX, doc.y).lineWidth(weight).strokeColor(color).stroke();
  doc.endMarkedContent();
}

/** What a heading takes, with a line of what stands under it. */
const HEADING = 60;
function heading(pen: Pen, text: string): void {
  const { doc } = pen;
  room(doc, HEADING);
  doc.y += 9;
  rule(doc, 1, INK);
  doc.y += 5;
  para(pen, text, { size: 12.5, which: 'bold', role: 'H2' });
}

function list(pen: Pen, items: readonly string[], size = 9): void {
  within(pen, 'L', (inner) => {
    const { doc } = inner;
    for (const item of items) {
      face(doc, item, 'text', size);
      room(doc, doc.heightOfString(item, { width: width(doc) - 12 }));
      const y = doc.y;
      tagged(inner, 'LI', () => {
        doc.fillColor(INK).text('·', MARGIN.left + 2, y, { width: 8 });
        face(doc, item, 'text', size).text(item, MARGIN.left + 12, y, {
          width: width(doc) - 12,
          lineGap: 1,
        });
      });
      doc.y += 1.5;
    }
  });
}

/** Between two columns, points. */
const GUTTER = 6;
const TABLE_SIZE = 8;
/** The widest word of a column: a figure or a name is not broken in two. */
const widestWord = (doc: Doc, cells: readonly string[], which: Face): number =>
  Math.max(
    0,
    ...cells.flatMap((cell) =>
      cell.split(/\s+/).map((word) => face(doc, word, which, TABLE_SIZE).widthOfString(word)),
    ),
  ) + GUTTER;

/** Widths of columns by their shares, none narrower than its widest word; what that takes, the wider ones give. */
function columnWidths(
  doc: Doc,
  [head = [], ...rows]: readonly (readonly string[])[],
  shares: readonly number[],
): number[] {
  // A hash or an address is wider than any column: it is broken.
  const most = width(doc) / 3;
  const least = shares.map((_, i) =>
    Math.min(
      most,
      Math.max(
        widestWord(doc, [head[i] ?? ''], 'bold'),
        widestWord(doc, [...new Set(rows.map((r) => r[i] ?? ''))], 'text'),
      ),
    ),
  );
  const total = shares.reduce((a, b) => a + b, 0);
  const wanted = shares.map((s, i) => Math.max(itemAt(least, i), (width(doc) * s) / total));
  const over = wanted.reduce((a, b) => a + b, 0) - width(doc);
  const spare = wanted.map((w, i) => Math.max(0, w - itemAt(least, i)));
  const inAll = spare.reduce((a, b) => a + b, 0);
  const given = inAll > 0 ? Math.min(1, Math.max(0, over) / inAll) : 0;
  return wanted.map((w, i) => w - itemAt(spare, i) * given);
}

function tableOf(pen: Pen, { head, rows, none, more }: Table, shares: readonly number[]): void {
  if (rows.length === 0) {
    para(pen, none, { color: DIM });
    return;
  }
  const { doc } = pen;
  const widths = columnWidths(doc, [head, ...rows], shares);
  const line = (table: Pen, cells: readonly string[], which: Face): void => {
    const heights = cells.map((c, i) =>
      face(doc, c, which, TABLE_SIZE).heightOfString(c || ' ', {
        width: itemAt(widths, i) - GUTTER,
      }),
    );
    const height = Math.max(...heights) + 4;
    if (doc.y + height > bottom(doc)) {
      doc.addPage();
      if (which === 'text') line(table, head, 'bold');
    }
    const y = doc.y;
    within(table, 'TR', (row) => {
      let x = MARGIN.left;
      cells.forEach((c, i) => {
        tagged(row, which === 'bold' ? 'TH' : 'TD', () =>
          face(doc, c, which, TABLE_SIZE)
            .fillColor(INK)
            .text(c, x, y + 2, { width: itemAt(widths, i) - GUTTER }),
        );
        x += itemAt(widths, i);
      });
    });
    doc.y = y + height;
    rule(doc, which === 'bold' ? 0.9 : 0.35, which === 'bold' ? INK : '#8b8a76');
  };
  room(doc, 40);
  within(pen, 'Table', (table) => {
    line(table, head, 'bold');
    for (const row of rows) line(table, row, 'text');
  });
  doc.y += 3;
  if (more) para(pen, more, { color: DIM });
}

/** Each standard by its name, met or not, before anything else. */
function outcome(pen: Pen, record: RecordDoc): void {
  if (record.outcome.length === 0) return;
  heading(pen, say('record.metOrNotMet'));
  for (const o of record.outcome)
    para(pen, `${o.text}: ${o.rule}`, { size: 10.5, which: o.met ? 'bold' : 'text', gap: 1.5 });
  para(pen, record.held, { color: DIM });
}

/** A place for a name, a signature and a date. */
function signature(pen: Pen, record: RecordDoc): void {
  const { doc } = pen;
  heading(pen, say('record.signedForTheSite'));
  for (const label of record.sign) {
    room(doc, 26);
    doc.y += 8;
    para(pen, label, { gap: 0 });
    rule(doc, 0.6, INK, MARGIN.left + 300, MARGIN.left + 80);
  }
  doc.y += 4;
}

function verdicts(pen: Pen, record: RecordDoc): void {
  const { doc } = pen;
  heading(pen, say('record.verdict'));
  if (record.verdicts.length === 0)
    para(
      pen,
      record.outcome.length === 0 && record.chart
        ? say('record.thisBatchHasNoRule')
        : say('record.theBatchStillBeingBuilt'),
    );
  for (const v of record.verdicts) {
    room(doc, 90);
    para(pen, `${v.full}: ${v.word.toLowerCase()}`, {
      size: 11,
      which: 'bold',
      gap: 1,
      role: 'H3',
    });
    para(pen, v.sentence, { size: 10 });
    para(pen, say('record.theRuleAsksFor', { asks: v.asks, clock: v.clock }), {
      color: DIM,
      gap: 1,
    });
    para(pen, `${v.source}.`, { color: DIM, gap: 1 });
    if (v.cn) para(pen, v.cn, { gap: 1 });
    para(pen, say('record.policy', { policy: v.policy, version: v.version }), {
      color: DIM,
      gap: 1,
    });
    if (v.conditions.length > 0)
      para(pen, say('record.alsoAskedForNotJudged', { conditions: v.conditions.join('; ') }), {
        color: DIM,
        gap: 1,
      });
    if (v.caution) para(pen, v.caution, { color: DIM, gap: 1 });
    if (v.notes.length > 0) list(pen, v.notes, 8.5);
    doc.y += 5;
  }
}

const CODE = 96;
/** Where the log ended, in words and as a code: kept with the record, it shows later whether the log was cut or changed. */
function logEnd(pen: Pen, { text, use, codeName }: LogEnd): void {
  const { doc } = pen;
  para(pen, use, { size: 8.5 });
  para(pen, text, { size: 8.5, which: 'bold' });
  room(doc, CODE);
  tagged(pen, 'Figure', () => drawCode(doc, text, MARGIN.left, doc.y, CODE), {
    alt: codeName,
  });
  doc.y += CODE + 4;
}

function checkAgain(pen: Pen, record: RecordDoc): void {
  if (!record.again) return;
  const { digest, head, seal, end, fileName, command, earlier } = record.again;
  heading(pen, say('record.toCheckItAgain'));
  para(
    pen,
    say('record.thisRecordWasMadeFrom', {
      fileName,
      command: command ? 'whoeverHas' : 'other',
    }),
  );
  if (command) para(pen, command, { size: 8.5, which: 'bold' });
  para(pen, say('record.sha256File', { digest }), { size: 8.5 });
  if (head) para(pen, say('record.theChainLogEntriesIn', { head }), { size: 8.5 });
  for (const line of seal) para(pen, line, { size: 8.5 });
  if (end) logEnd(pen, end);
  for (const e of earlier) {
    para(pen, say('record.aRuleWasMetUnder', { version: e.version, fileName: e.fileName }));
    para(pen, e.command, { size: 8.5, which: 'bold' });
    para(pen, say('record.sha256File2', { digest: e.digest }), { size: 8.5 });
  }
  para(pen, say('record.theSelfCheckingRecordOne'), { color: DIM });
}

type RecordToPrint = {
  readonly record: RecordDoc;
  readonly paper: Paper;
  /** The batch file's text, put inside as an attachment where it is not too large. */
  readonly file: string | null;
};

/** The record as a tagged PDF. */
export function recordPdf({ record, paper, file }: RecordToPrint): Promise<Uint8Array> {
  const doc = new PDFDocument({
    size: PAPERS[paper],
    margins: { top: MARGIN.top, bottom: MARGIN.bottom, left: MARGIN.left, right: MARGIN.right },
    bufferPages: true,
    lang: currentLanguage(),
    displayTitle: true,
    pdfVersion: '1.7',
    tagged: true,
    font: NO_FIRST_FONT,
    info: {
      Title: `${record.title}, ${record.code}, ${record.site}`,
      Author: record.site,
      Creator: say('record.zealousHeap'),
      CreationDate: new Date(record.asOf),
    },
  });
  registerFonts(doc);
  const chunks: Buffer[] = [];
  doc.on('data', (chunk: Buffer) => chunks.push(chunk));
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  const root = doc.struct('Document');
  doc.addStructure(root);
  const pen: Pen = { doc, into: root };

  if (record.faults.length > 0) {
    para(pen, say('trust.doesNotFit'), { which: 'bold' });
    list(pen, record.faults, 8.5);
  }
  for (const [title, lines] of questionParts(record)) {
    para(pen, title, { which: 'bold' });
    list(pen, lines, 8.5);
  }
  para(pen, record.title, { size: 19, which: 'bold', gap: 1, role: 'H1' });
  para(pen, say('record.madeFromLogAtTime', { site: record.site, made: record.made }), {
    color: DIM,
    gap: 6,
  });
  tableOf(
    pen,
    {
      head: [say('record.batch'), record.identity[0]?.[1] ?? record.code],
      rows: record.identity.slice(1),
      none: '',
    },
    [1, 4.4],
  );
  outcome(pen, record);
  signature(pen, record);
  verdicts(pen, record);
  heading(pen, say('record.dataQuality'));
  list(pen, record.quality);
  if (record.chart) {
    room(doc, HEADING + chartHeight(record.chart));
    heading(pen, say('record.temperaturesEveryCheckSinceWas'));
    tagged(
      pen,
      'Figure',
      () => drawChart(doc, record.chart!, { x: MARGIN.left, y: doc.y, w: width(doc) }),
      {
        alt: say('record.temperaturesEveryCheckOverTime'),
      },
    );
  }
  heading(pen, say('record.temperatureChecksPointByPoint'));
  tableOf(pen, record.rounds, roundShares(record.rounds.head.length));
  heading(pen, say('record.workOnTheBatch'));
  tableOf(pen, record.works, [1.5, 5, 0.8]);
  if (record.after) {
    heading(pen, say('record.afterTheHeat'));
    tableOf(pen, record.after, [1.4, 4, 1.5, 0.8]);
  }
  heading(pen, say('record.corrections'));
  tableOf(pen, record.corrections, [1.5, 1.7, 0.9, 2.6, 0.7]);
  heading(pen, say('terms.thermometers'));
  tableOf(pen, record.checks, [1, 1.6, 1, 1, 1]);
  heading(pen, say('record.notCoveredByThisRecord'));
  list(pen, record.notCovered);
  heading(pen, say('record.cautions'));
  list(pen, record.cautions);
  checkAgain(pen, record);
  root.end();
  if (file && file.length <= MAX_ATTACHED)
    doc.file(Buffer.from(file), {
      name: record.again?.fileName ?? 'batch.zealous-heap.json',
      type: 'application/json',
      description: say('record.theBatchFileThisRecord'),
    });
  numberPages(doc, record);
  doc.end();
  return done;
}

/** Column shares of the rounds: when, the values in one column or several, thermometer, who read, what it counts as, the judgement. */
const roundShares = (columns: number): number[] =>
  columns === 6
    ? [1.7, 3.6, 0.9, 0.7, 0.9, 1.3]
    : [1.6, ...Array.from({ length: columns - 5 }, () => 0.9), 1.05, 0.7, 0.85, 1.25];

function numberPages(doc: Doc, record: RecordDoc): void {
  const { count } = doc.bufferedPageRange();
  for (let i = 0; i < count; i += 1) {
    doc.switchToPage(i);
    doc.markContent(ARTIFACT, { type: 'Pagination' });
    doc.page.margins.bottom = 0; // else a line in the margin opens a page of its own
    const y = doc.page.height - 34;
    const left = say('record.batch2', {
      title: record.title,
      code: record.code,
      site: record.site,
    });
    face(doc, left, 'text', 8)
      .fillColor(DIM)
      .text(left, MARGIN.left, y, {
        width: width(doc) * 0.75,
        height: 10,
        ellipsis: true,
        lineBreak: false,
      });
    doc
      .font('text')
      .fontSize(8)
      .text(say('record.pageOf', { i: i + 1, count }), MARGIN.left + width(doc) * 0.75, y, {
        width: width(doc) * 0.25,
        align: 'right',
        lineBreak: false,
      });
    doc.endMarkedContent();
  }
}
