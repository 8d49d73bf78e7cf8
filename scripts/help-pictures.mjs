// Pictures of the help pages, made from the screenshots of the docs: run it when those are renewed.
import fs from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';

const OF = {
  yard: 'yard',
  round: 'round',
  bench: 'bench',
  plan: 'plan',
  store: 'store',
  lots: 'lot',
  map: 'map',
  records: 'records',
  instruments: 'instruments',
  rules: 'rules',
};
const TO = 'public/help';
fs.mkdirSync(TO, { recursive: true });
for (const [place, picture] of Object.entries(OF))
  await sharp(path.join('docs/screenshots', `${picture}.png`))
    .resize({ width: 960 })
    .webp({ quality: 72 })
    .toFile(path.join(TO, `${place}.webp`));
