import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';

/** Sizes of type and heights of what is pressed have their names in globals.css; nobody writes the figure again. */
const ROOT = path.resolve(__dirname, '../..');
const css = fs.readFileSync(path.join(ROOT, 'src/app/globals.css'), 'utf8');
const tokens = (prefix: string): ReadonlyMap<string, string> =>
  new Map(
    [...css.matchAll(new RegExp(`--${prefix}-([a-z]+): ([\\d.]+px);`, 'g'))].map((m) => [
      m[2]!,
      m[1]!,
    ]),
  );
const SIZES = tokens('text');
const HEIGHTS = tokens('spacing');

const screens = execFileSync('git', ['ls-files', '-co', '--exclude-standard', 'src'], {
  cwd: ROOT,
  encoding: 'utf8',
})
  .split('\n')
  .filter((file) => file.endsWith('.tsx') && fs.existsSync(path.join(ROOT, file)));
const found = (pattern: RegExp): { file: string; figure: string }[] =>
  screens.flatMap((file) =>
    [...fs.readFileSync(path.join(ROOT, file), 'utf8').matchAll(pattern)].map((m) => ({
      file,
      figure: m[1]!,
    })),
  );

test('there are names for both, each for a figure of its own', () => {
  expect(SIZES.size).toBeGreaterThan(8);
  expect(HEIGHTS.size).toBeGreaterThan(3);
});
test('a size that has a name is called by it', () =>
  expect(found(/text-\[([\d.]+px)\]/g).filter((f) => SIZES.has(f.figure))).toEqual([]));
test('a height that has a name is called by it', () =>
  expect(found(/min-h-\[([\d.]+px)\]/g).filter((f) => HEIGHTS.has(f.figure))).toEqual([]));
test('what is written as a figure is the exception: a title page, a drawing', () =>
  expect(found(/text-\[([\d.]+px)\]/g).length).toBeLessThan(10));
