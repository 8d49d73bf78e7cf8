import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import LAW from '../../import-law.json';

/** The import law holds, each of its lines catches what is planted against it, and the documentation shows it as it is. */
const ROOT = path.resolve(__dirname, '../..');
const CRUISE = path.join(ROOT, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs');
const CONFIG = path.join(ROOT, '.dependency-cruiser.cjs');

type Violation = { rule: { name: string }; from: string; to: string };
function cruise(cwd: string): Violation[] {
  const args = [CRUISE, 'src', '--config', CONFIG, '--output-type', 'json'];
  let out: string;
  try {
    out = execFileSync(process.execPath, args, { cwd, encoding: 'utf8', maxBuffer: 1e8 });
  } catch (error) {
    out = (error as { stdout: string }).stdout;
  }
  return (JSON.parse(out) as { summary: { violations: Violation[] } }).summary.violations;
}

test(
  'the tree keeps the law',
  () => expect(cruise(ROOT).map((v) => `${v.rule.name}: ${v.from} → ${v.to}`)).toEqual([]),
  120_000,
);

/** A line of the law for one file: there is no other like it. */
const isFile = (folder: string): boolean => folder.endsWith('.ts');
/** Where a file of a folder stands, of the feature named. */
const fileIn = (folder: string, name: string, feature = 'yard'): string => {
  if (isFile(folder)) return `src/${folder}`;
  const dir = folder.replace('features/*', `features/${feature}`);
  return `src/${dir}/${name}.ts`;
};
const FOLDERS = LAW.map(({ folder }) => folder);
const allows = (may: readonly string[], folder: string): boolean =>
  may.includes(folder) || (folder.startsWith('core/') && may.includes('core'));
/** A package that the line does not name, and that is installed. */
const strangeTo = (packages: readonly string[]): string =>
  ['kysely', 'zod', 'qrcode'].find((name) => !packages.includes(name))!;

/** Every import that the law forbids, one file each: `[file, imports, rule]`. */
function plantBreaches(): [string, string, string][] {
  return LAW.flatMap(({ folder, may, packages }, i) => {
    const forbidden = FOLDERS.filter((f) => f !== folder && !isFile(f) && !allows(may, f));
    const plain = forbidden
      // One's own feature may be named where another's may not.
      .filter((f) => !may.includes(`${f} (own)`))
      .map((f, n): [string, string, string] => [
        fileIn(folder, `breach-${i}-${n}`),
        fileIn(f, 'leaf'),
        folder,
      ]);
    const others = folder.startsWith('features/')
      ? FOLDERS.filter((f) => f.startsWith('features/') && !may.includes(f)).map(
          (f, n): [string, string, string] => [
            fileIn(folder, `other-${i}-${n}`),
            fileIn(f, 'leaf', 'batch'),
            folder,
          ],
        )
      : [];
    const packaged: [string, string, string] = [
      fileIn(folder, `package-${i}`),
      strangeTo(packages),
      `${folder} packages`,
    ];
    return isFile(folder) ? [] : [...plain, ...others, packaged];
  });
}

test('what each line forbids is caught, for every folder and for another feature', () => {
  const dir = fs.mkdtempSync(path.join(os.tmpdir(), 'law-'));
  try {
    const write = (file: string, text: string): void => {
      fs.mkdirSync(path.dirname(path.join(dir, file)), { recursive: true });
      fs.writeFileSync(path.join(dir, file), text);
    };
    const paths = { '@/*': ['./src/*'] };
    write(
      'tsconfig.json',
      JSON.stringify({ compilerOptions: { paths, moduleResolution: 'bundler', module: 'esnext' } }),
    );
    fs.symlinkSync(path.join(ROOT, 'node_modules'), path.join(dir, 'node_modules'));
    fs.copyFileSync(path.join(ROOT, 'package.json'), path.join(dir, 'package.json'));
    for (const folder of FOLDERS)
      for (const feature of ['yard', 'batch'])
        if (!isFile(folder)) write(fileIn(folder, 'leaf', feature), 'export const leaf = 1;');
    write('src/core/heap/a.ts', "import './b'; export const a = 1;");
    write('src/core/heap/b.ts', "import './a'; export const b = 1;");
    write('src/core/advice/next.ts', 'export const next = 1; export type Next = 1;');
    write('src/features/yard/behind.ts', "export { next } from '@/core/advice/next';");
    write('src/features/yard/typed.ts', "export type { Next } from '@/core/advice/next';");
    write('src/proxy.ts', "import '@/db/leaf'; import 'kysely';");
    const breaches = plantBreaches();
    for (const [file, target] of breaches)
      write(
        file,
        target.startsWith('src/')
          ? `import '@/${target.slice('src/'.length).replace(/\.ts$/, '')}';`
          : `import '${target}';`,
      );
    const caught = new Set(cruise(dir).map((v) => `${v.rule.name} ${v.from}`));
    const missed = breaches.filter(([file, , rule]) => !caught.has(`${rule} ${file}`));
    expect(missed).toEqual([]);
    for (const name of ['no cycles src/core/heap/a.ts', 'proxy.ts src/proxy.ts'])
      expect([name, caught.has(name)]).toEqual([name, true]);
    expect(caught.has('proxy.ts packages src/proxy.ts')).toBe(true);
    // What is said of a batch is a field of its status; only types of what is behind it pass.
    expect(caught.has('status src/features/yard/behind.ts')).toBe(true);
    expect(caught.has('status src/features/yard/typed.ts')).toBe(false);
    expect(breaches.length).toBeGreaterThan(200);
  } finally {
    fs.rmSync(dir, { recursive: true, force: true });
  }
}, 120_000);

test('docs/architecture.md shows the law as it is', () => {
  const cell = (names: readonly string[]): string =>
    names
      .map((n) => `\`${n.replace(' (own)', '')}\`${n.endsWith(' (own)') ? ' (own)' : ''}`)
      .join(', ') || 'nothing';
  const text = fs.readFileSync(path.join(ROOT, 'docs/architecture.md'), 'utf8');
  const rows = text
    .split('\n')
    .filter((line) => line.startsWith('| `'))
    .map((line) =>
      line
        .split('|')
        .slice(1, -1)
        .map((c) => c.trim()),
    );
  const shown = new Map(rows.map((row) => [row[0], row.slice(1)]));
  for (const { folder, holds, may, packages } of LAW)
    expect([folder, shown.get(`\`${folder}\``)]).toEqual([
      folder,
      [holds, cell(may), cell(packages)],
    ]);
});
