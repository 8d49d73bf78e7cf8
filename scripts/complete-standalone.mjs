// `next build` leaves static files out of the standalone folder; this puts them in.
import fs from 'node:fs';

if (fs.existsSync('public')) fs.cpSync('public', '.next/standalone/public', { recursive: true });
fs.cpSync('.next/static', '.next/standalone/.next/static', { recursive: true });
