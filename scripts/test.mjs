// Runs every check and ends with a line `N passed, N failed`. Called by `./zealous test`, which sets up what is needed.
// `--only unit,database,journeys` runs some of the Jest projects and leaves the rest out; paths run the tests below them alone.
import { spawn, spawnSync } from 'node:child_process';
import fs from 'node:fs';
import { parseArgs } from 'node:util';

const { values, positionals: paths } = parseArgs({
  allowPositionals: true,
  options: { only: { type: 'string' } },
});
const only = values.only?.split(',') ?? null;
const RESULTS = '.data/jest.json';
let [passed, failed] = [0, 0];

/** Counts one check that either holds or not, with the time it took. */
function count(name, holds, start) {
  if (holds) passed += 1;
  else failed += 1;
  const seconds = Math.round((Date.now() - start) / 1000);
  console.log(`${holds ? 'ok' : 'FAILED'}: ${name}, ${seconds} s`);
}

function check(name, args) {
  console.log(`\n== ${name}`);
  const start = Date.now();
  count(name, spawnSync(process.execPath, args, { stdio: 'inherit' }).status === 0, start);
}

/** The same beside what follows: what it prints comes when it has ended. */
function checkBeside(name, args) {
  const start = Date.now();
  const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'pipe'] });
  const chunks = [];
  child.stdout.on('data', (chunk) => chunks.push(chunk));
  child.stderr.on('data', (chunk) => chunks.push(chunk));
  return new Promise((resolve) => {
    child.on('close', (status) => {
      console.log(`\n== ${name}\n${Buffer.concat(chunks).toString().trimEnd()}`);
      count(name, status === 0, start);
      resolve();
    });
  });
}

/** Runs Jest beside whatever else runs, and counts its tests. */
function runJest(name, args) {
  console.log(`\n== ${name}`);
  fs.rmSync(RESULTS, { force: true });
  const jest = [
    'node_modules/jest/bin/jest.js',
    '--json',
    `--outputFile=${RESULTS}`,
    '--forceExit',
  ];
  const child = spawn(process.execPath, [...jest, ...args], { stdio: 'inherit' });
  return new Promise((resolve) => {
    child.on('close', () => {
      const results = fs.existsSync(RESULTS) ? JSON.parse(fs.readFileSync(RESULTS, 'utf8')) : null;
      passed += results?.numPassedTests ?? 0;
      failed += results ? results.numFailedTests + results.numRuntimeErrorTestSuites : 1;
      resolve();
    });
  });
}

if (paths.length > 0) await runJest('tests', ['--testPathPatterns', ...paths]);
else if (only) await runJest('tests', ['--silent', '--selectProjects', ...only]);
else {
  // The linter takes minutes, and what comes before the journeys leaves a core to it; those want both.
  const lint = checkBeside('lint', ['scripts/lint.mjs']);
  check('formatting', [
    'node_modules/prettier/bin/prettier.cjs',
    '--check',
    '--log-level=warn',
    '.',
  ]);
  check('licences', ['scripts/list-licenses.mjs', '--check']);
  check('nothing unused', ['node_modules/knip/bin/knip.js', '--no-config-hints']);
  check('types', ['node_modules/ts7/bin/tsc', '--noEmit']);
  check('types of the core, which knows no browser and no server', [
    'node_modules/ts7/bin/tsc',
    '--noEmit',
    '-p',
    'src/core/tsconfig.json',
  ]);
  await runJest('unit and database tests', ['--silent', '--selectProjects', 'unit', 'database']);
  await lint;
  // Two browsers side by side: half of the time a journey waits for its page.
  await runJest('journeys', ['--silent', '--maxWorkers=2', '--selectProjects', 'journeys']);
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
