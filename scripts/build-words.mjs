// Texts for the browser, a file for each language under .next/static: only those that the built scripts name. Pages ask for theirs before anything else runs.
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';

const STATIC = '.next/static';
const bundled = await build({
  entryPoints: ['src/messages/catalogues.ts'],
  bundle: true,
  write: false,
  format: 'esm',
  platform: 'node',
  logLevel: 'warning',
});
const code = Buffer.from(bundled.outputFiles[0].contents).toString('base64');
const { CATALOGUES, METHOD_TEXTS } = await import(`data:text/javascript;base64,${code}`);

/** Files under a folder, by their path from .next on. */
const filesUnder = (folder) =>
  fs
    .readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => path.join(entry.parentPath, entry.name));

/** What the pages load, as their manifests list it. */
const loadedByPages = [
  '.next/build-manifest.json',
  ...filesUnder('.next/server').filter((file) => file.endsWith('client-reference-manifest.js')),
]
  .map((file) => fs.readFileSync(file, 'utf8'))
  .join('\n');
const scripts = filesUnder(STATIC).filter((file) => file.endsWith('.js'));
/** Scripts that a worker lists. A worker has every text of its own: what it alone loads names none for the pages. */
const loadedByWorkers = new Set(
  scripts
    .filter((file) => path.basename(file).startsWith('turbopack-'))
    .flatMap((file) => [
      ...fs.readFileSync(file, 'utf8').matchAll(/"(static\/chunks\/[^"]+\.js)"/g),
    ])
    .map(([, chunk]) => chunk),
);
const isOfWorkersAlone = (file) => {
  const chunk = path.relative('.next', file);
  return loadedByWorkers.has(chunk) && !loadedByPages.includes(chunk);
};

const named = new Set();
for (const file of scripts)
  if (!isOfWorkersAlone(file)) {
    const script = fs.readFileSync(file, 'utf8');
    for (const [, key] of script.matchAll(/["'`]([a-z]+\.[a-zA-Z0-9]+)["'`]/g)) named.add(key);
  }

/** The texts of a catalogue that are named, by topic. */
const pick = (catalogue) =>
  Object.fromEntries(
    Object.entries(catalogue).flatMap(([topic, texts]) => {
      const some = Object.entries(texts).filter(([key]) => named.has(`${topic}.${key}`));
      return some.length > 0 ? [[topic, Object.fromEntries(some)]] : [];
    }),
  );

/** A script that gives the texts of a language to src/messages/say.ts, whichever of them runs first. */
const scriptOf = (locale, texts, methods) => `(()=>{
const at=Symbol.for('zealous-heap.messages');
const shared=(globalThis[at]??={catalogues:new Map(),translators:new Map(),asked:()=>${JSON.stringify(locale)}});
shared.catalogues.set(${JSON.stringify(locale)},${JSON.stringify(texts)});
shared.asked=()=>${JSON.stringify(locale)};
(globalThis[Symbol.for('zealous-heap.library-texts')]??=new Map()).set(${JSON.stringify(locale)},${JSON.stringify(methods)});
})();
`;

fs.rmSync(path.join(STATIC, 'words'), { recursive: true, force: true });
fs.mkdirSync(path.join(STATIC, 'words'));
const files = {};
for (const [locale, catalogue] of Object.entries(CATALOGUES)) {
  const script = scriptOf(locale, pick(catalogue), METHOD_TEXTS[locale]);
  const hash = createHash('sha256').update(script).digest('hex').slice(0, 16);
  files[locale] = `${locale}.${hash}.js`;
  fs.writeFileSync(path.join(STATIC, 'words', files[locale]), script);
}
fs.writeFileSync('.next/standalone/words.json', JSON.stringify(files));
