import fs from 'node:fs';
import path from 'node:path';
import zlib from 'node:zlib';

const FONT_DIR = path.join(process.cwd(), 'node_modules');
const FONTS = {
  text: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  bold: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
  // For names in letters that the first face has not.
  'text-wide': 'dejavu-fonts-ttf/ttf/DejaVuSans.ttf',
  'bold-wide': 'dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf',
} as const;
export type Face = 'text' | 'bold';

const WOFF = 0x774f4646;
const [WOFF_HEAD, WOFF_ENTRY, SFNT_HEAD, SFNT_ENTRY] = [44, 20, 12, 16];

/**
 * A WOFF file with its tables unpacked (W3C, WOFF File Format 1.0, 2012); others as they are. The font reader
 * would unpack a table again at each look, which took nine tenths of the time of a record.
 */
function unpacked(file: Buffer): Buffer {
  if (file.readUInt32BE(0) !== WOFF) return file;
  const count = file.readUInt16BE(12);
  const entries = Array.from({ length: count }, (_, i) => {
    const at = WOFF_HEAD + i * WOFF_ENTRY;
    const [offset, packed, length] = [
      file.readUInt32BE(at + 4),
      file.readUInt32BE(at + 8),
      file.readUInt32BE(at + 12),
    ];
    const raw = file.subarray(offset, offset + packed);
    return {
      tag: file.subarray(at, at + 4),
      checksum: file.readUInt32BE(at + 16),
      data: packed < length ? zlib.inflateSync(raw) : raw,
    };
  });
  const power = 2 ** Math.floor(Math.log2(count));
  const head = Buffer.alloc(SFNT_HEAD + count * SFNT_ENTRY);
  file.copy(head, 0, 4, 8);
  [count, power * 16, Math.log2(power), (count - power) * 16].forEach((n, i) =>
    head.writeUInt16BE(n, 4 + i * 2),
  );
  const parts: Buffer[] = [head];
  let offset = head.length;
  entries.forEach(({ tag, checksum, data }, i) => {
    const at = SFNT_HEAD + i * SFNT_ENTRY;
    tag.copy(head, at);
    [checksum, offset, data.length].forEach((n, j) => head.writeUInt32BE(n, at + 4 + j * 4));
    const padded = Buffer.alloc(Math.ceil(data.length / 4) * 4);
    data.copy(padded);
    parts.push(padded);
    offset += padded.length;
  });
  return Buffer.concat(parts);
}

const held = new Map<string, Buffer>();
const fontFile = (name: keyof typeof FONTS): Buffer => {
  let bytes = held.get(name);
  if (!bytes) {
    bytes = unpacked(fs.readFileSync(path.join(FONT_DIR, FONTS[name])));
    held.set(name, bytes);
  }
  return bytes;
};

export type Doc = PDFKit.PDFDocument;
type FontkitHolder = { _font: { font: { hasGlyphForCodePoint(code: number): boolean } } };

/** Sets the face and size for a text: the first one that has all of its letters. */
export function face(doc: Doc, text: string, which: Face, size: number): Doc {
  doc.font(which).fontSize(size);
  const { font } = (doc as unknown as FontkitHolder)._font;
  return Array.from(text).every((c) => c < ' ' || font.hasGlyphForCodePoint(c.codePointAt(0)!))
    ? doc
    : doc.font(`${which}-wide`).fontSize(size * 0.92);
}

/** pdfkit would begin with Helvetica, and open a face given here anew at each change back to it. */
export const NO_FIRST_FONT = '';

export function registerFonts(doc: Doc): void {
  for (const name of Object.keys(FONTS) as (keyof typeof FONTS)[])
    doc.registerFont(name, fontFile(name));
}
