// npm run measures: casts, non-null marks, long functions and the share of tests, counted on the syntax tree.
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

const root = process.argv.slice(2).find((argument) => !argument.startsWith('--')) ?? process.cwd();
const tracked = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], {
  cwd: root,
  encoding: 'utf8',
})
  .split('\n')
  .filter((file) => /\.(ts|tsx|mts|mjs|cjs|astro|css)$/.test(file) && existsSync(join(root, file)));
const isTest = (file) => /\.(test|spec)\.tsx?$/.test(file) || file.startsWith('tests/');
const LONG = 60;

const counts = {
  casts: 0,
  nonNull: 0,
  nonNullIndexed: 0,
  longFunctions: [],
  lines: { product: 0, tests: 0 },
};

const isConst = (node) => ts.isTypeReferenceNode(node.type) && node.type.getText() === 'const';
const isFunction = (node) =>
  ts.isFunctionDeclaration(node) ||
  ts.isFunctionExpression(node) ||
  ts.isArrowFunction(node) ||
  ts.isMethodDeclaration(node) ||
  ts.isConstructorDeclaration(node);

function visit(node, source, file) {
  if (ts.isAsExpression(node) && !isConst(node)) counts.casts += 1;
  if (ts.isNonNullExpression(node)) {
    counts.nonNull += 1;
    // `row[at]!` inside arithmetic over arrays: what noUncheckedIndexedAccess asks for in numerical loops.
    if (ts.isElementAccessExpression(node.expression)) counts.nonNullIndexed += 1;
  }
  if (isFunction(node) && node.body) {
    const from = source.getLineAndCharacterOfPosition(node.getStart()).line;
    const to = source.getLineAndCharacterOfPosition(node.end).line;
    if (to - from + 1 > LONG) counts.longFunctions.push(`${file}:${from + 1} (${to - from + 1})`);
  }
  ts.forEachChild(node, (child) => visit(child, source, file));
}

for (const file of tracked) {
  const text = readFileSync(join(root, file), 'utf8');
  if (/^(src|scripts|migrations|tests)\//.test(file))
    counts.lines[isTest(file) ? 'tests' : 'product'] += text.split('\n').length - 1;
  if (!/^src\/.*\.tsx?$/.test(file) || isTest(file)) continue;
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  visit(source, source, file);
}

const { product, tests } = counts.lines;
console.log(`casts other than \`as const\`        ${counts.casts}`);
console.log(
  `non-null marks                     ${counts.nonNull} (${counts.nonNull - counts.nonNullIndexed} not on an index)`,
);
console.log(`functions over ${LONG} lines            ${counts.longFunctions.length}`);
console.log(
  `lines of product, of tests         ${product}, ${tests} (${((100 * tests) / (product + tests)).toFixed(1)} % tests)`,
);
if (process.argv.includes('--list')) console.log(counts.longFunctions.join('\n'));
