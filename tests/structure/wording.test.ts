import { execFileSync } from 'node:child_process';
import path from 'node:path';

/** What the linter takes for deciding by wording, seen on texts of code that are linted by that rule alone. */
const ROOT = path.resolve(__dirname, '../..');
const LINT = `
import { Linter } from 'eslint';
import ts from 'typescript-eslint';
import { WORDING } from './eslint.config.mjs';
const config = {
  files: ['**/*.ts'],
  languageOptions: { parser: ts.parser },
  rules: { 'no-restricted-syntax': ['error', ...WORDING] },
};
const codes = JSON.parse(process.argv[1]);
const lint = (code) => new Linter().verify(code, config, { filename: 'made-up.ts' }).map((m) => m.message);
console.log(JSON.stringify(codes.map(lint)));
`;
const lint = (...codes: string[]): string[][] =>
  JSON.parse(
    execFileSync(process.execPath, ['--input-type=module', '-e', LINT, JSON.stringify(codes)], {
      cwd: ROOT,
      encoding: 'utf8',
    }),
  ) as string[][];

/** A text as it should be: a code decides, and the words follow from it. */
const BY_CODE = `
const TEXT = { dry: 'It is too dry: water it.', right: 'It is as it should be.' };
export const isDry = (s: { code: 'dry' | 'right' }): boolean => s.code === 'dry';
export const say = (s: { code: 'dry' | 'right' }): string => TEXT[s.code];
`;
const BY_WORDS = [
  `export const isDry = (s: { text: string }): boolean => s.text === 'It is too dry: water it.';`,
  `export const isDry = (s: string): boolean => s.startsWith('It is too dry');`,
  `export const first = (s: { heading: string }): string => s.heading.slice(0, 5);`,
];

test('a code that decides is let through, a sentence that decides is refused', () => {
  const [byCode, ...byWords] = lint(BY_CODE, ...BY_WORDS);
  expect(byCode).toEqual([]);
  expect(byWords).toHaveLength(BY_WORDS.length);
  for (const [message] of byWords) expect(message).toMatch(/^Never decide by wording/);
}, 60_000);
