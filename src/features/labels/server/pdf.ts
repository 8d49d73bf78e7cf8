import { say } from '@/messages/say';
import PDFDocument from 'pdfkit';
import { face, NO_FIRST_FONT, registerFonts, type Doc } from '@/platform/pdf-face';
import { drawCode } from '@/platform/qr-code';
import { placeOfLabel, type Label, type LabelSheet } from '../sheets';

const PT = 72 / 25.4;
const INK = '#1a1912';

/** The largest size at which a text is no wider than the room. */
function fitted(
  doc: Doc,
  text: string,
  which: 'text' | 'bold',
  most: number,
  room: number,
): number {
  const wide = face(doc, text, which, most).widthOfString(text);
  return wide <= room ? most : (most * room) / wide;
}
function line(
  doc: Doc,
  text: string,
  which: 'text' | 'bold',
  x: number,
  y: number,
  size: number,
): void {
  face(doc, text, which, size).fillColor(INK).text(text, x, y, { lineBreak: false });
}

function drawLabel(doc: Doc, label: Label, x: number, y: number, w: number, h: number): void {
  const pad = Math.min(w, h) * 0.07;
  const tall = h > w;
  // A card stands: letter above, code below. A label lies: letter left, code right.
  const code = tall ? Math.min(w - 2 * pad, h * 0.42) : Math.min(h - 2 * pad, w * 0.42);
  const textRoom = tall ? w - 2 * pad : w - code - 3 * pad;
  const [codeX, codeY] = tall
    ? [x + w - pad - code, y + h - pad - code]
    : [x + w - pad - code, y + (h - code) / 2];
  const letter = fitted(doc, label.code, 'bold', tall ? h * 0.3 : h * 0.46, textRoom);
  let at = y + pad * 0.6;
  line(doc, label.code, 'bold', x + pad, at, letter);
  at += letter * 1.14;
  const small = tall ? h * 0.045 : Math.min(h * 0.105, 15);
  const name = fitted(doc, label.name, 'bold', small * 1.5, textRoom);
  line(doc, label.name, 'bold', x + pad, at, name);
  at += name * 1.25;
  for (const text of [say('labels.since', { started: label.started }), label.place].filter(
    Boolean,
  )) {
    const size = fitted(doc, text, 'text', small, textRoom);
    line(doc, text, 'text', x + pad, at, size);
    at += size * 1.25;
  }
  drawCode(doc, label.url, codeX, codeY, code);
}

type LabelsToPrint = {
  readonly labels: readonly Label[];
  readonly sheet: LabelSheet;
  /** Labels of the first sheet that are used up. */ readonly skip: number;
};

/** Labels as pages of a sheet. */
export function labelsPdf({ labels, sheet, skip }: LabelsToPrint): Promise<Uint8Array> {
  const doc = new PDFDocument({
    size: sheet.paper,
    margin: 0,
    font: NO_FIRST_FONT,
    autoFirstPage: false,
    info: { Title: say('labels.labels') },
  });
  registerFonts(doc);
  const chunks: Buffer[] = [];
  let page = -1;
  labels.forEach((label, n) => {
    const place = placeOfLabel(sheet, n, skip);
    while (page < place.page) {
      doc.addPage();
      page += 1;
    }
    drawLabel(doc, label, place.x * PT, place.y * PT, sheet.width * PT, sheet.height * PT);
  });
  return new Promise((resolve, reject) => {
    doc.on('data', (c: Buffer) => chunks.push(c));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
    doc.end();
  });
}
