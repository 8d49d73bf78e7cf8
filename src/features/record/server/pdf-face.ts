import fs from 'node:fs';
import path from 'node:path';

const FONT_DIR = path.join(process.cwd(), 'node_modules');
const FONTS = {
  text: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  bold: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
  // For names in letters that the first face has not.
  'text-wide': 'dejavu-fonts-ttf/ttf/DejaVuSans.ttf',
  'bold-wide': 'dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf',
} as const;
export type Face = 'text' | 'bold';

const held = new Map<string, Buffer>();
const fontFile = (name: keyof typeof FONTS): Buffer => {
  let bytes = held.get(name);
  if (!bytes) { bytes = fs.readFileSync(path.join(FONT_DIR, FONTS[name])); held.set(name, bytes); }
  return bytes;
};

export type Doc = PDFKit.PDFDocument;
type FontkitHolder = { _font: { font: { hasGlyphForCodePoint(code: number): boolean } } };

/** Sets the face and size for a text: the first one that has all of its letters. */
export function face(doc: Doc, text: string, which: Face, size: number): Doc {
  doc.font(which).fontSize(size);
  const { font } = (doc as unknown as FontkitHolder)._font;
  return [...text].every((c) => c < ' ' || font.hasGlyphForCodePoint(c.codePointAt(0)!)) ? doc : doc.font(`${which}-wide`).fontSize(size * 0.92);
}

/** pdfkit takes bytes here too, which its types do not say. */
export const firstFont = (): string => fontFile('text') as unknown as string;

export function registerFonts(doc: Doc): void {
  for (const name of Object.keys(FONTS) as (keyof typeof FONTS)[]) doc.registerFont(name, fontFile(name));
}
