import fs from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

/** One word for one thing: no two exported things share a name, and the glossary names what it explains as the code does. */
const ROOT = path.resolve(__dirname, '../..');
/** Names that the framework asks for, in every route and migration. */
const FRAMEWORK = new Set([
  'GET',
  'POST',
  'dynamic',
  'metadata',
  'generateMetadata',
  'viewport',
  'default',
  'up',
  'config',
]);

function sourceFiles(dir: string): string[] {
  return fs.readdirSync(dir, { withFileTypes: true }).flatMap((entry) => {
    const file = path.join(dir, entry.name);
    if (entry.isDirectory()) return sourceFiles(file);
    return /\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name) ? [file] : [];
  });
}

const hasModifier = (node: ts.Statement, kind: ts.SyntaxKind): boolean =>
  ts.canHaveModifiers(node) && (ts.getModifiers(node) ?? []).some((m) => m.kind === kind);
/** A page is known by its address, not by its name. */
const isExported = (node: ts.Statement): boolean =>
  hasModifier(node, ts.SyntaxKind.ExportKeyword) &&
  !hasModifier(node, ts.SyntaxKind.DefaultKeyword);

/** Names that a file exports of its own, each once. */
function exportedNames(file: string): string[] {
  const source = ts.createSourceFile(file, fs.readFileSync(file, 'utf8'), ts.ScriptTarget.Latest);
  const names = source.statements.filter(isExported).flatMap((node): string[] => {
    if (ts.isVariableStatement(node))
      return node.declarationList.declarations.map((d) => d.name.getText(source));
    const { name } = node as ts.DeclarationStatement;
    return name ? [name.getText(source)] : [];
  });
  return [...new Set(names)];
}

const exported = new Map<string, string[]>();
for (const file of sourceFiles(path.join(ROOT, 'src')))
  for (const name of exportedNames(file))
    exported.set(name, [...(exported.get(name) ?? []), path.relative(ROOT, file)]);

test('no two exported things share a name', () =>
  expect([...exported].filter(([name, files]) => files.length > 1 && !FRAMEWORK.has(name))).toEqual(
    [],
  ));

test('what the glossary calls a name of the code is one', () => {
  const glossary = fs.readFileSync(path.join(ROOT, 'docs/glossary.md'), 'utf8');
  const rows = glossary.split('\n').filter((line) => line.startsWith('| '));
  const names = rows.flatMap((row) =>
    [...(row.split('|')[3] ?? '').matchAll(/`(\w+)`/g)].map((m) => m[1]!),
  );
  expect(names.length).toBeGreaterThan(60);
  expect(names.filter((name) => !exported.has(name))).toEqual([]);
});
