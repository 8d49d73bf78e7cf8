// `next build` leaves static files out of the standalone folder; this puts them in.
import fs from 'node:fs';

fs.cpSync('.next/static', '.next/standalone/.next/static', { recursive: true });
