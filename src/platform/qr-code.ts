import qrcode from 'qrcode';
import type { Doc } from './pdf-face';

/** Free modules that a reader wants around a code (ISO/IEC 18004). */
const QUIET = 4;

/** The dark modules of a code, and how many there are along a side with the free ones. Mud and scratches take a quarter of it. */
function modulesOf(text: string): { readonly side: number; readonly dark: [number, number][] } {
  const { modules } = qrcode.create(text, { errorCorrectionLevel: 'Q' });
  const dark: [number, number][] = [];
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column)) dark.push([column + QUIET, row + QUIET]);
  return { side: modules.size + 2 * QUIET, dark };
}

/** Draws a code on a page of a PDF: dark modules on the paper. @param size its side with the free modules, pt */
export function drawCode(doc: Doc, text: string, x: number, y: number, size: number): void {
  const { side, dark } = modulesOf(text);
  const square = size / side;
  for (const [column, row] of dark)
    doc.rect(x + column * square, y + row * square, square + 0.05, square + 0.05);
  doc.fill('#000');
}

/** A code as a page draws it: the dark modules as a path, in a square of so many units. */
export type CodePath = { readonly side: number; readonly path: string };
export function codePathOf(text: string): CodePath {
  const { side, dark } = modulesOf(text);
  return { side, path: dark.map(([x, y]) => `M${x} ${y}h1v1h-1z`).join('') };
}
