// What the pages of a running server cost: bytes on the wire, time, JavaScript; twenty readers at once; a phone that fills its store; health beside them. Usage: node bench/pages.mjs http://127.0.0.1:4999
import http from 'node:http';
import { performance } from 'node:perf_hooks';
import zlib from 'node:zlib';
import { signIn } from './sign-in.mjs';

const base = process.argv[2];
const cookie = await signIn(base);
const agent = new http.Agent({ keepAlive: true, maxSockets: 64 });
/** A page as a browser asks for it. */
const get = (path) =>
  new Promise((resolve, reject) => {
    const began = performance.now();
    http
      .get(
        base + path,
        { agent, headers: { 'accept-encoding': 'gzip', accept: 'text/html', cookie } },
        (response) => {
          const parts = [];
          response.on('data', (part) => parts.push(part));
          response.on('end', () => {
            const sent = Buffer.concat(parts);
            const packed = response.headers['content-encoding'] === 'gzip';
            resolve({
              wire: sent.length,
              body: (packed ? zlib.gunzipSync(sent) : sent).toString(),
              ms: performance.now() - began,
            });
          });
        },
      )
      .on('error', reject);
  });
const kB = (bytes) => `${Math.round(bytes / 1000)} kB`;
const at = (times, share) =>
  Math.round(times.sort((a, b) => a - b)[Math.floor(times.length * share)]);

/** Scripts that a browser of today loads with a page. */
const scriptsOf = (body) => [
  ...new Set(
    [...body.matchAll(/<script[^>]*>/g)]
      .filter(([tag]) => !/noModule/i.test(tag))
      .flatMap(([tag]) => /src="([^"]+\.js)/.exec(tag)?.[1] ?? []),
  ),
];
const javaScript = async (body) => {
  let bytes = 0;
  for (const script of scriptsOf(body)) bytes += (await get(script)).wire;
  return bytes;
};

const yard = await get('/');
const [heap] = /\/batch\/[0-9a-f-]{36}/.exec(yard.body) ?? ['/'];
for (const [name, path] of [
  ['yard', '/'],
  ["a heap's page", heap],
  ['plan', '/plan'],
  ['compare', '/compare'],
  ['round', '/round'],
  ['map', '/map'],
  ['records', '/records'],
  ['bench', '/bench'],
]) {
  const first = await get(path);
  const times = [];
  for (let i = 0; i < 20; i += 1) times.push((await get(path)).ms);
  console.log(
    `${name}: ${kB(first.wire)} on the wire, ${at(times, 0.5)} ms (${at(times, 0.95)} ms), the first ${Math.round(first.ms)} ms; JavaScript ${kB(await javaScript(first.body))}`,
  );
}

const readers = await Promise.all(
  Array.from({ length: 20 }, async () => {
    const times = [];
    for (let i = 0; i < 3; i += 1) times.push((await get('/')).ms);
    return times;
  }),
);
console.log(`twenty readers of the yard at once: ${at(readers.flat(), 0.5)} ms at the median`);

const began = performance.now();
let filled = 0;
for (const path of [
  '/',
  '/round',
  '/store',
  '/store/take-in',
  '/instruments',
  '/fire',
  '/more',
  '/waiting',
  '/offline',
  '/api/offline',
])
  filled += (await get(path)).wire;
console.log(
  `a fresh phone fills its store: ${kB(filled)}, ${((performance.now() - began) / 1000).toFixed(1)} s`,
);

let busy = true;
const work = Promise.all([get('/plan'), get(`${heap}/record.pdf`), get(heap)]).then(() => {
  busy = false;
});
const health = [];
while (busy) {
  health.push((await get('/api/health')).ms);
  await new Promise((done) => {
    setTimeout(done, 10);
  });
}
await work;
console.log(
  `health beside a plan, a record and a heap's page: ${at(health, 0.5)} ms, at most ${at(health, 0.999)} ms`,
);
process.exit(0);
