import PDFDocument from 'pdfkit';
import qrcode from 'qrcode';
import { byBay } from '@/core/snapshot/picture';
import { positionText } from '@/core/words/position';
import { localParts } from '@/core/quantity/calendar';
import { theDb, theSite } from '@/db/context';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { now } from '@/platform/clock';
import { face, NO_FIRST_FONT, registerFonts, type Doc } from '@/platform/pdf-face';
import { baseAddress, LABEL_SHEETS, placeOfLabel, type Label, type LabelSheet } from '../sheets';

const PT = 72 / 25.4;
const INK = '#1a1912';

/** The code as squares: dark modules on the paper, four free ones around (ISO/IEC 18004). */
function drawCode(doc: Doc, url: string, x: number, y: number, size: number): void {
  const { modules } = qrcode.create(url, { errorCorrectionLevel: 'Q' }); // mud and scratches take a quarter
  const square = size / (modules.size + 8);
  for (let row = 0; row < modules.size; row += 1) {
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column))
        doc.rect(x + (column + 4) * square, y + (row + 4) * square, square + 0.05, square + 0.05);
  }
  doc.fill('#000');
}

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
  for (const text of [`since ${label.started}`, label.place].filter(Boolean)) {
    const size = fitted(doc, text, 'text', small, textRoom);
    line(doc, text, 'text', x + pad, at, size);
    at += size * 1.25;
  }
  drawCode(doc, label.url, codeX, codeY, code);
}

/** Labels as pages of a sheet. */
export function labelsPdf(
  labels: readonly Label[],
  sheet: LabelSheet,
  skip: number,
): Promise<Buffer> {
  const doc = new PDFDocument({
    size: sheet.paper,
    margin: 0,
    font: NO_FIRST_FONT,
    autoFirstPage: false,
    info: { Title: 'Flags' },
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

const bad = (message: string): Response =>
  new Response(message, { status: 400, headers: { 'content-type': 'text/plain; charset=utf-8' } });

/** `?sheet=a4-8&base=https://…&heaps=id,id&skip=3`: flags for these heaps, or for all that stand. */
export async function serveLabels(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const site = await theSite();
  if (!site) return bad('No site has been named yet.');
  const sheet = LABEL_SHEETS.find((s) => s.id === query.get('sheet'));
  if (!sheet)
    return bad(
      `There is no sheet '${query.get('sheet') ?? ''}'. Choose one of ${LABEL_SHEETS.map((s) => s.id).join(', ')}.`,
    );
  const base = baseAddress(query.get('base') ?? '');
  if (!base.ok) return bad(base.problem);
  const skip = Number(query.get('skip') ?? '0');
  if (!Number.isInteger(skip) || skip < 0 || skip >= sheet.columns * sheet.rows)
    return bad('The number of used labels must be a whole number smaller than the sheet.');
  const board = [...(await snapshotRepo(theDb()).board(site, now()))].sort(byBay);
  const wanted = query.get('heaps')?.split(',').filter(Boolean) ?? [];
  const heaps =
    wanted.length > 0
      ? wanted.flatMap((id) => board.find((d) => d.id === id) ?? [])
      : board.filter((d) => d.state !== 'released');
  if (heaps.length === 0) return bad('None of these heaps stands on this site.');
  const labels = heaps.map((d): Label => {
    const p = localParts(site.timeZone, d.builtAt ?? d.openedAt);
    return {
      code: d.code,
      name: d.name ?? d.code,
      started: `${p.day} ${p.month} ${p.year}`,
      place: positionText(d.position),
      url: `${base.base}/batch/${d.id}`,
    };
  });
  return new Response(new Uint8Array(await labelsPdf(labels, sheet, skip)), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'inline; filename="flags.pdf"',
      'cache-control': 'no-store',
    },
  });
}
