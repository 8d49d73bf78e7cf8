import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';

/** What the code cites by section stands in docs/, under a heading of that number. */
const ROOT = path.resolve(__dirname, '../..');
const DOCUMENTS = { contract: 'contract.md', 'trade facts': 'trade-facts.md' } as const;
const CITATION = /\b(contract|trade facts), sections? ([\d ,and/to]*\d)/g;

const tracked = execFileSync(
  'git',
  [
    'ls-files',
    '-co',
    '--exclude-standard',
    ...'src tests demo bench scripts docs README.md CONTRIBUTING.md'.split(' '),
  ],
  { cwd: ROOT, encoding: 'utf8' },
)
  .split('\n')
  .filter((file) => /\.(tsx?|mjs|md)$/.test(file) && fs.existsSync(path.join(ROOT, file)));
const textOf = (file: string): string => fs.readFileSync(path.join(ROOT, file), 'utf8');

const sections = Object.fromEntries(
  Object.entries(DOCUMENTS).map(([name, file]) => [
    name,
    new Set([...textOf(`docs/${file}`).matchAll(/^## (\d+)\. /gm)].map((m) => m[1])),
  ]),
);

type Citation = { file: string; document: string; section: string };
/** `sections 6 to 10` names each between. */
function sectionsOf(list: string): string[] {
  const range = /^(\d+) to (\d+)$/.exec(list);
  if (!range) return list.match(/\d+/g) ?? [];
  const [from, to] = [Number(range[1]), Number(range[2])];
  return Array.from({ length: to - from + 1 }, (_, i) => String(from + i));
}
const citations = tracked.flatMap((file): Citation[] =>
  [...textOf(file).matchAll(CITATION)].flatMap((m) =>
    sectionsOf(m[2]!.trim()).map((section) => ({ file, document: m[1]!, section })),
  ),
);

test('every citation leads to a heading', () => {
  expect(citations.length).toBeGreaterThan(30);
  expect(citations.filter((c) => !sections[c.document]!.has(c.section))).toEqual([]);
});

test('nothing is cited that the repository does not hold', () => {
  // Written so that this file does not find itself.
  const outside = new RegExp(
    ['hand' + 'book, section', 'verification' + '\\.md', 'DESIGN' + '\\.md'].join('|'),
  );
  expect(tracked.filter((file) => outside.test(textOf(file)))).toEqual([]);
});

test('links between the documents lead somewhere', () => {
  const broken = tracked
    .filter((file) => file.endsWith('.md'))
    .flatMap((file) =>
      [...textOf(file).matchAll(/\]\((?!https?:|#)([^)#\s]+)(?:#[^)]*)?\)/g)]
        .map((m) => path.join(path.dirname(file), m[1]!))
        .filter((target) => !fs.existsSync(path.join(ROOT, target)))
        .map((target) => `${file} → ${target}`),
    );
  expect(broken).toEqual([]);
});

test('every file that CONTRIBUTING.md and docs/architecture.md name is there', () => {
  const named = ['CONTRIBUTING.md', 'docs/architecture.md'].flatMap((file) =>
    [...textOf(file).matchAll(/`((?:src|tests|scripts|docs)\/[\w./[\]-]+)`/g)].map((m) => m[1]!),
  );
  expect(named.length).toBeGreaterThan(30);
  expect(named.filter((file) => !fs.existsSync(path.join(ROOT, file)))).toEqual([]);
});
