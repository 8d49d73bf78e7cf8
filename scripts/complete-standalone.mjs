// `next build` leaves static files out of the standalone folder; this puts them in, with the record that checks itself.
import fs from 'node:fs';
import './build-checker.mjs';

fs.cpSync('.next/static', '.next/standalone/.next/static', { recursive: true });
fs.cpSync('public', '.next/standalone/public', { recursive: true });
