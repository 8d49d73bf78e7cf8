import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import jsqr from 'jsqr';
import sharp from 'sharp';
import { labelsPdf } from '@/features/labels/server/pdf';
import { baseAddress, LABEL_SHEETS, placeOfLabel, type Label } from '@/features/labels/sheets';

/** Flags as a printer makes them: drawn by poppler, and their codes read by another program's reader (jsqr). */
const labels: Label[] = ['A', 'B', 'EGRET-2026', 'Ø9'].map((code, i) => ({
  code,
  name: ['Avocet', 'Bittern', 'Egret of the far south bay by the gate', 'Øresund'][i]!,
  started: `${i + 1} Nov 2026`,
  place: 'row South, 6.5–10 m',
  url: `https://heap.example/batch/01a1ac66-2de0-7129-ab24-67b43804094${i}`,
}));
const DPI = 200;
const MM = DPI / 25.4;
let dir: string;
beforeAll(() => {
  dir = fs.mkdtempSync(path.join(os.tmpdir(), 'flags-'));
});
afterAll(() => fs.rmSync(dir, { recursive: true, force: true }));

test.each(LABEL_SHEETS.map((s) => [s.id, s] as const))(
  '%s: each label has its letter, name, date and a code that opens its heap, within its own edges',
  async (id, sheet) => {
    const file = path.join(dir, `${id}.pdf`);
    const skip = 1;
    fs.writeFileSync(file, await labelsPdf({ labels, sheet, skip }));
    execFileSync('pdftoppm', ['-r', String(DPI), '-png', file, path.join(dir, id)]);
    const pages = fs
      .readdirSync(dir)
      .filter((f) => f.startsWith(`${id}-`) && f.endsWith('.png'))
      .sort();
    for (const [n, label] of labels.entries()) {
      const at = placeOfLabel(sheet, n, skip);
      const box = {
        left: Math.round(at.x * MM),
        top: Math.round(at.y * MM),
        width: Math.floor(sheet.width * MM) - 1,
        height: Math.floor(sheet.height * MM) - 1,
      };
      const { data, info } = await sharp(path.join(dir, pages[at.page]!))
        .extract(box)
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true });
      expect(jsqr(new Uint8ClampedArray(data), info.width, info.height)?.data).toBe(label.url);
      const text = execFileSync(
        'pdftotext',
        [
          '-f',
          String(at.page + 1),
          '-l',
          String(at.page + 1),
          '-x',
          String(Math.round((at.x / 25.4) * 72)),
          '-y',
          String(Math.round((at.y / 25.4) * 72)),
          '-W',
          String(Math.floor((sheet.width / 25.4) * 72)),
          '-H',
          String(Math.floor((sheet.height / 25.4) * 72)),
          file,
          '-',
        ],
        { encoding: 'utf8' },
      );
      for (const part of [label.code, label.name, `since ${label.started}`, label.place])
        expect(text).toContain(part);
      // Ink keeps off the cutting edge, so that a shifted sheet cuts no code.
      const edge = await sharp(
        await sharp(path.join(dir, pages[at.page]!))
          .extract({ ...box, width: Math.round(1 * MM) })
          .png()
          .toBuffer(),
      )
        .greyscale()
        .stats();
      expect(edge.channels[0]!.min).toBeGreaterThan(200);
    }
  },
  60_000,
);

test('sheets fit their paper', () => {
  for (const s of LABEL_SHEETS) {
    const [w, h] = s.paper === 'A4' ? [210, 297] : [215.9, 279.4];
    expect([
      s.id,
      s.left + s.columns * s.width + (s.columns - 1) * s.gapX <= w + 0.01,
      s.top + s.rows * s.height + (s.rows - 1) * s.gapY <= h + 0.01,
    ]).toEqual([s.id, true, true]);
  }
});
test('an address that no phone reaches is told of; one that is none is refused', () => {
  expect(baseAddress('http://127.0.0.1:4173')).toMatchObject({
    ok: true,
    warning: expect.stringMatching(/phone cannot reach it/),
  });
  expect(baseAddress('http://heap.local')).toMatchObject({
    ok: true,
    warning: expect.stringMatching(/Without https/),
  });
  expect(baseAddress('https://heap.example/x')).toEqual({
    ok: true,
    base: 'https://heap.example',
    warning: null,
  });
  expect(baseAddress('heap')).toMatchObject({ ok: false });
  expect(baseAddress('file:///etc')).toMatchObject({ ok: false });
});
