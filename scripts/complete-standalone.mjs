// `next build` leaves static files out of the standalone folder; this puts them in, with the record that checks itself and the worker that keeps pages.
import fs from 'node:fs';
import './build-checker.mjs';
import './build-sw.mjs';

fs.cpSync('.next/static', '.next/standalone/.next/static', { recursive: true });
fs.cpSync('public', '.next/standalone/public', { recursive: true });
