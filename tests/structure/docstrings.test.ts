import fs from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

/** Every public function of the core says what it means. */
const CORE = path.resolve(__dirname, '../../src/core');

const files = (fs.readdirSync(CORE, { recursive: true }) as string[]).filter(
  (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
);
const isExported = (node: ts.Statement): boolean =>
  ts.canHaveModifiers(node) &&
  (ts.getModifiers(node) ?? []).some((m) => m.kind === ts.SyntaxKind.ExportKeyword);

/** Names of functions that a statement exports. */
function functionNames(node: ts.Statement): string[] {
  if (ts.isFunctionDeclaration(node)) return [node.name!.text];
  if (!ts.isVariableStatement(node)) return [];
  return node.declarationList.declarations
    .filter((d) => d.initializer && ts.isArrowFunction(d.initializer))
    .map((d) => d.name.getText());
}

test('every exported function of the core has a docstring', () => {
  const bare = files.flatMap((file) => {
    const source = ts.createSourceFile(
      file,
      fs.readFileSync(path.join(CORE, file), 'utf8'),
      ts.ScriptTarget.Latest,
      true,
    );
    return source.statements
      .filter((node) => isExported(node) && ts.getJSDocCommentsAndTags(node).length === 0)
      .flatMap(functionNames)
      .map((name) => `${file}: ${name}`);
  });
  expect(bare).toEqual([]);
});
