// After `next build`: the service worker with the list of what was built, the page that it falls back to, and the icons of the installed application.
import fs from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';
import sharp from 'sharp';

const buildId = fs.readFileSync('.next/BUILD_ID', 'utf8').trim();
const files = fs
  .readdirSync('.next/static', { recursive: true, withFileTypes: true })
  .filter((d) => d.isFile())
  .map((d) =>
    path
      .relative('.next', path.join(d.parentPath ?? d.path, d.name))
      .split(path.sep)
      .join('/'),
  )
  // The worker of the bring-in reads its set-up from its own address and cannot be served from a cache; old font forms are never asked for.
  .filter(
    (f) =>
      /\.(js|css|woff2)$/.test(f) &&
      !/turbopack-worker-/.test(f) &&
      !/cyrillic|greek|vietnamese/.test(f),
  );

fs.mkdirSync('public', { recursive: true });
fs.writeFileSync(
  'public/no-signal.html',
  `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>No signal · Zealous Heap</title>
<style>:root{color-scheme:light dark}body{font:16px/1.45 system-ui,sans-serif;margin:0;padding:24px;background:light-dark(#f2f3ea,#16140e);color:light-dark(#1a1912,#f1ecdd)}a{color:inherit;display:inline-flex;min-height:56px;align-items:center;border:1.5px solid;border-radius:4px;padding:0 18px;margin:8px 8px 0 0;font-weight:600}</style>
<main lang="en"><h1>No signal</h1><p>This page was never opened on this device, so it is not saved here. What you logged is safe and is sent by itself.</p><a href="/">Batches</a><a href="/round">Temperatures</a><a href="/waiting">Waiting to send</a><a href="/fire">Fire plan</a></main>
<main lang="es" hidden><h1>Sin señal</h1><p>Esta página nunca se abrió en este aparato, así que no está guardada. Lo que registraste está a salvo y se envía solo.</p><a href="/">Lotes</a><a href="/round">Temperaturas</a><a href="/waiting">En espera de envío</a><a href="/fire">Plan contra incendios</a></main>
<script>if(/zh_language=es/.test(document.cookie)||(!/zh_language=/.test(document.cookie)&&/^es/.test(navigator.language)))for(const m of document.querySelectorAll('main')){m.hidden=m.lang!=='es';document.documentElement.lang='es'}</script></html>`,
);
const manifest = [
  ...files.map((f) => ({ url: `/_next/${f}`, revision: null })),
  { url: '/no-signal.html', revision: buildId },
];
await build({
  entryPoints: ['src/workers/sw.ts'],
  outfile: 'public/sw.js',
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  legalComments: 'none',
  logLevel: 'warning',
  alias: { '@': path.resolve('src') },
  define: {
    'self.__SW_MANIFEST': JSON.stringify(manifest),
    'process.env.NODE_ENV': '"production"',
  },
});

const icon = fs.readFileSync('src/app/icon.svg');
for (const size of [192, 512]) {
  const mark = await sharp(icon, { density: 72 * (size / 24) })
    .resize(Math.round(size * 0.62))
    .png()
    .toBuffer();
  await sharp({ create: { width: size, height: size, channels: 4, background: '#F2F3EA' } })
    .composite([{ input: mark, gravity: 'centre' }])
    .png()
    .toFile(`public/icon-${size}.png`);
}
