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

describe('trace', () => {
  const trace = (...args: string[]) =>
    spawnSync(path.join(ROOT, 'zealous'), ['trace', ...args], { encoding: 'utf8' });
  const SITE = {
    format: 'zealous-heap/site',
    version: 1,
    lots: [
      { id: 'hay', kind: 'load' },
      { id: 'A', kind: 'batch' },
    ],
    flows: [
      { id: 'f1', at: '2026-05-01T08:00Z', to: 'hay', litres: 100 },
      { id: 'f2', at: '2026-05-02T08:00Z', from: 'hay', to: 'A', all: true },
      { id: 'f3', at: '2026-05-20T08:00Z', from: 'A', litres: 40 },
    ],
    proofs: [{ lot: 'A', at: '2026-05-18T08:00Z', rule: 'x' }],
  };

  test('one question is answered, as lines or as one object', () => {
    const at = file(JSON.stringify(SITE));
    expect(trace(at, '--from', 'hay')).toMatchObject({ status: 0, stderr: '' });
    expect(JSON.parse(trace(at, '--from', 'hay', '--json').stdout)).toEqual({
      lots: [{ lot: 'A', litres: 60, any: [1, 1], raw: [0, 0] }],
      out: [
        {
          ...{ flow: 'f3', at: '2026-05-20T08:00:00.000Z', litres: 40 },
          ...{ any: [1, 1], raw: [0, 0], tagged: [40, 40] },
        },
      ],
      sources: [],
      notes: [],
    });
    expect(
      JSON.parse(trace(at, '--unheated', '--at', '2026-05-10T00:00Z', '--json').stdout),
    ).toMatchObject({
      lots: [
        { lot: 'A', litres: 100, raw: [1, 1] },
        { lot: 'hay', litres: 0, any: [0, 0] },
      ],
    });
  });

  test('what cannot be answered is said in one line, and ends with 2', () => {
    const at = file(JSON.stringify(SITE));
    for (const args of [[], [at], [at, '--unheated', '--of', 'A'], ['/nowhere', '--unheated']]) {
      const { status, stdout, stderr } = trace(...args);
      expect([status, stdout]).toEqual([2, '']);
      expect(stderr.trim().split('\n')).toHaveLength(1);
    }
    expect(trace(file('{'), '--unheated').stderr).toMatch(/^\(file\): /);
  });
});
