import { join, relative } from 'node:path';
import ts from 'typescript';
import { expect, test } from 'vitest';

const root = join(import.meta.dirname, '..');

/**
 * Files that read a property by a name from outside for speed, and see to it themselves that names
 * which every object inherits (`__proto__`, `constructor` …) are read as own keys.
 */
const readsAreGuarded = new Set([
  'src/core/base/json/json.ts',
  'src/core/values/compile/load.ts',
  'src/core/values/compile/fused.ts',
  'src/core/items/readers/csv.ts',
]);

function programOf(files: readonly string[]): ts.Program {
  const config = ts.readConfigFile(join(root, 'tsconfig.json'), ts.sys.readFile);
  const { options, fileNames } = ts.parseJsonConfigFileContent(config.config, ts.sys, root);
  return ts.createProgram(files.length > 0 ? [...files] : fileNames, options);
}

/** Where an object is asked by a text that is known only when it runs: `table[name]`. */
function unguarded(program: ts.Program, isWanted: (file: string) => boolean): string[] {
  const checker = program.getTypeChecker();
  const found: string[] = [];
  for (const source of program.getSourceFiles()) {
    const file = relative(root, source.fileName);
    if (source.isDeclarationFile || !isWanted(file)) continue;
    const visit = (node: ts.Node): void => {
      if (ts.isElementAccessExpression(node) && isByAnyText(checker, node)) {
        const { line } = source.getLineAndCharacterOfPosition(node.getStart());
        found.push(`${file}:${line + 1} ${node.getText()}`);
      }
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
  return found;
}

function isByAnyText(checker: ts.TypeChecker, node: ts.ElementAccessExpression): boolean {
  if (isOwnKeyOf(checker, node)) return false;
  const index = checker.getTypeAtLocation(node.argumentExpression);
  const parts = index.isUnion() ? index.types : [index];
  return parts.some((type) => (type.flags & ts.TypeFlags.String) !== 0);
}

/** `for (const name in record)` and `for (const name of Object.keys(record))` give own keys of it. */
function isOwnKeyOf(checker: ts.TypeChecker, node: ts.ElementAccessExpression): boolean {
  const declared = checker.getSymbolAtLocation(node.argumentExpression)?.valueDeclaration;
  const loop = declared?.parent.parent;
  if (loop === undefined || !(ts.isForInStatement(loop) || ts.isForOfStatement(loop))) return false;
  const record = node.expression.getText();
  return (
    loop.expression.getText() === (ts.isForInStatement(loop) ? record : `Object.keys(${record})`)
  );
}

test('no object is asked by a name from outside but for its own keys', () => {
  const program = programOf([]);
  const isWanted = (file: string) =>
    /^(src|cli)\//.test(file) && !/\.test\.tsx?$/.test(file) && !readsAreGuarded.has(file);
  expect(unguarded(program, isWanted)).toEqual([]);
});

test('the check finds what asks so, and lets own keys pass', () => {
  const fixture = 'tests/fixtures/asks-by-name.ts';
  const found = unguarded(programOf([join(root, fixture)]), (file) => file === fixture);
  expect(found.map((each) => each.replace(/^.*:/, ''))).toEqual(['7 table[name]', '10 table[key]']);
});
