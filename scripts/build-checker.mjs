// Builds the record that checks itself: one HTML file with the core, the chart, styles and fonts inside, and no network.
import fs from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';
import postcss from 'postcss';
import tailwind from '@tailwindcss/postcss';

const root = path.resolve(import.meta.dirname, '..');
const out = path.resolve(root, process.argv[2] ?? 'public/check-a-record.html');

const {
  outputFiles: [script],
} = await build({
  entryPoints: [path.join(root, 'src/checker/main.tsx')],
  bundle: true,
  minify: true,
  write: false,
  format: 'iife',
  target: 'es2022',
  jsx: 'automatic',
  platform: 'browser',
  alias: { '@': path.join(root, 'src') },
  define: { 'process.env.NODE_ENV': '"production"' },
  charset: 'utf8',
  legalComments: 'none',
  logLevel: 'warning',
});
const source = path.join(root, 'src/app/globals.css');
const { css } = await postcss([tailwind({ base: root })]).process(fs.readFileSync(source, 'utf8'), {
  from: source,
});

const font = (family, file, range) =>
  `@font-face{font-family:'${family}';font-weight:200 800;src:url(data:font/woff2;base64,${fs.readFileSync(path.join(root, 'node_modules/@fontsource-variable', file)).toString('base64')}) format('woff2');unicode-range:${range}}`;
const LATIN =
  'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+2000-206F,U+20AC,U+2122,U+2212';
const EXTENDED = 'U+0100-02BA,U+1E00-1E9F,U+1EF2-1EFF';
const fonts = [
  font(
    'Atkinson Hyperlegible Next Variable',
    'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2',
    LATIN,
  ),
  font(
    'Atkinson Hyperlegible Next Variable',
    'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-wght-normal.woff2',
    EXTENDED,
  ),
  font(
    'Bricolage Grotesque Variable',
    'bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2',
    LATIN,
  ),
].join('');
// A closing tag inside the script would end it; the split keeps its meaning.
const js = script.text.replaceAll('</script', '<\\/script');
const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><meta http-equiv="Content-Security-Policy" content="default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; font-src data:; img-src data:"><title>Check a heat-treatment record</title><style>${fonts}${css}</style></head><body><div id="root"></div><script>${js}</script></body></html>\n`;
fs.mkdirSync(path.dirname(out), { recursive: true });
fs.writeFileSync(out, html);
console.log(`${path.relative(root, out)}: ${Math.round(html.length / 1024)} KiB`);
