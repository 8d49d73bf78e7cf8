// `next build` leaves static files out of the standalone folder; this puts them in, with the texts of pages, the record that checks itself, the worker that keeps pages, and the threads of the server.
import fs from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';
import './build-words.mjs';
import './build-checker.mjs';
import './build-sw.mjs';

fs.cpSync('.next/static', '.next/standalone/.next/static', { recursive: true });
fs.cpSync('public', '.next/standalone/public', { recursive: true });

await build({
  entryPoints: ['src/workers/server/jobs.ts'],
  outfile: '.next/standalone/server-worker.mjs',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  // What reads files of its own beside itself stays where the build has put it.
  external: ['pdfkit', 'highs', 'tinypool', 'pg'],
  alias: { '@': path.resolve('src') },
  // Packages of the older kind ask for others at run time.
  banner: {
    js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
  },
  logLevel: 'warning',
});
fs.cpSync('node_modules/tinypool', '.next/standalone/node_modules/tinypool', { recursive: true });
