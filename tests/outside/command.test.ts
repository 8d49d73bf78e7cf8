import { sha256 } from '../support/sha256';
import { spawnSync } from 'node:child_process';
import fc from 'fast-check';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';

/** The command as a program: exit status, streams, and never a stack trace, whatever it is given. */
const ROOT = path.resolve(__dirname, '../..');
const EXAMPLE = path.join(ROOT, 'docs/example.zealous-heap.json');
let dir: string;
beforeAll(() => {
  dir = fs.mkdtempSync(path.join(os.tmpdir(), 'verify-'));
});
afterAll(() => fs.rmSync(dir, { recursive: true, force: true }));

const zealous = (...args: string[]) =>
  spawnSync(path.join(ROOT, 'zealous'), ['verify', ...args], { encoding: 'utf8' });
const file = (content: string | Buffer): string => {
  const at = path.join(dir, `${Math.random()}.json`);
  fs.writeFileSync(at, content);
  return at;
};

test('proven, rule not met, unusable', () => {
  expect(zealous(EXAMPLE, '--rule', 'us-503-pfrp-static')).toMatchObject({ status: 0, stderr: '' });
  expect(
    zealous(EXAMPLE, '--rule', 'us-503-pfrp-static', '--rule', 'uk-pas100-default').status,
  ).toBe(1);
  expect(zealous(EXAMPLE, '--rule', 'au-4454-turnt')).toMatchObject({
    status: 2,
    stdout: '',
    stderr: "--rule: no rule 'au-4454-turnt' in the library or in the file\n",
  });
});

test('--json is one object on standard output', () => {
  const { stdout } = zealous(EXAMPLE, '--json');
  const answer = JSON.parse(stdout) as { verdicts: { rule: string }[] };
  expect(Object.keys(answer)).toEqual(['verdicts', 'doses', 'hotShare']);
  expect(Object.keys(answer.verdicts[0]!)).toEqual([
    'rule',
    'status',
    'asOf',
    'policy',
    'segmentFrom',
    'segments',
    'creditedHours',
    'requiredHours',
    'turningsCounted',
    'turningsRequired',
    'run',
    'provenAt',
    'earliestProofAt',
    'notes',
  ]);
});

test.each<[string, string[] | (() => string[]), RegExp]>([
  ['no file', [], /^FILE: no file was named/],
  ['two files', [EXAMPLE, EXAMPLE], /^FILE: one file at a time/],
  ['a file that is not there', ['/nowhere/x.json'], /^\(file\): .*there is no such file/],
  ['a folder', ['/'], /^\(file\): /],
  ['an unknown option', [EXAMPLE, '--loud'], /^--loud: /],
  ['an option without its value', [EXAMPLE, '--as-of'], /^--as-of: /],
  ['a time that is none', [EXAMPLE, '--as-of', 'noon'], /^--as-of: must be a time/],
  [
    'bytes that are no UTF-8',
    () => [file(Buffer.from([0x7b, 0xff, 0xfe]))],
    /^\(file\): not UTF-8/,
  ],
  ['half a file', () => [file('{"format":')], /^\(file\): not JSON text/],
  ['a list', () => [file('[]')], /^\(file\): must be an object/],
  ['a very deep file', () => [file('['.repeat(200_000))], /^\(file\): /],
])('%s is refused in one line that names it', (_, args, message) => {
  const { status, stdout, stderr } = zealous(...(typeof args === 'function' ? args() : args));
  expect([status, stdout]).toEqual([2, '']);
  expect(stderr).toMatch(message);
  expect(stderr.trim().split('\n')).toHaveLength(1);
});

test('a file with any one part replaced is read or refused by name, never with a stack trace', async () => {
  const { answerVerify } = await import('@/core/formats/verify-call');
  const good = JSON.parse(fs.readFileSync(EXAMPLE, 'utf8')) as object;
  const paths: (string | number)[][] = [];
  const walk = (value: unknown, at: (string | number)[]): void => {
    if (at.length > 0) paths.push(at);
    if (Array.isArray(value)) value.forEach((v, i) => walk(v, [...at, i]));
    else if (value !== null && typeof value === 'object')
      for (const [k, v] of Object.entries(value)) walk(v, [...at, k]);
  };
  walk(good, []);
  fc.assert(
    fc.property(
      fc.constantFrom(...paths),
      fc.oneof(fc.jsonValue(), fc.constantFrom(-1, 0, 1e308, '', '2026-05-02T08:00Z', 'P1', true)),
      (at, value) => {
        const copy = structuredClone(good) as Record<string | number, unknown>;
        const parent = at
          .slice(0, -1)
          .reduce<Record<string | number, unknown>>(
            (node, key) => node[key] as Record<string | number, unknown>,
            copy,
          );
        parent[at.at(-1)!] = value;
        const answer = answerVerify(
          JSON.stringify(copy),
          { rules: ['us-503-pfrp-static'], json: true },
          sha256,
        );
        if (answer.status === 2) {
          expect(answer.out).toBe('');
          for (const line of answer.errors) expect(line).toMatch(/^[^\n]+: [^\n]+$/);
        } else expect(JSON.parse(answer.out)).toHaveProperty('verdicts');
      },
    ),
    { numRuns: 600, seed: 11 },
  );
});
