// Runs every check in turn and ends with a line `N passed, N failed`. Called by `./zealous test`, which sets up what is needed.
// `--only unit,database,journeys` runs some of the Jest projects and leaves the rest out; paths run the tests below them alone.
import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import { parseArgs } from 'node:util';

const { values, positionals: paths } = parseArgs({
  allowPositionals: true,
  options: { only: { type: 'string' } },
});
const only = values.only?.split(',') ?? null;
const RESULTS = '.data/jest.json';
let [passed, failed] = [0, 0];

const node = (args) => spawnSync(process.execPath, args, { stdio: 'inherit' }).status === 0;

/** One check that either holds or not. */
function check(name, args) {
  console.log(`\n== ${name}`);
  const start = Date.now();
  if (node(args)) {
    passed += 1;
    console.log(`ok: ${name}, ${Math.round((Date.now() - start) / 1000)} s`);
  } else {
    failed += 1;
    console.log(`FAILED: ${name}`);
  }
}

if (!only && paths.length === 0) {
  check('formatting', [
    'node_modules/prettier/bin/prettier.cjs',
    '--check',
    '--log-level=warn',
    '.',
  ]);
  check('nothing unused', ['node_modules/knip/bin/knip.js', '--no-config-hints']);
  check('types', ['node_modules/ts7/bin/tsc', '--noEmit']);
  check('types of the core, which knows no browser and no server', [
    'node_modules/ts7/bin/tsc',
    '--noEmit',
    '-p',
    'src/core/tsconfig.json',
  ]);
  check('lint', ['scripts/lint.mjs']);
}

fs.rmSync(RESULTS, { force: true });
console.log('\n== tests');
node([
  'node_modules/jest/bin/jest.js',
  '--json',
  `--outputFile=${RESULTS}`,
  '--forceExit',
  ...(paths.length > 0 ? [] : ['--silent']),
  ...(only ? ['--selectProjects', ...only] : []),
  ...(paths.length > 0 ? ['--testPathPatterns', ...paths] : []),
]);
if (fs.existsSync(RESULTS)) {
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    fs.readFileSync(RESULTS, 'utf8'),
  );
  passed += numPassedTests;
  failed += numFailedTests + numRuntimeErrorTestSuites;
} else failed += 1;

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
