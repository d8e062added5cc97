import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { expect, it } from 'vitest';

/** Words that somebody would have to read twice, or a second name for something that has one, and what is said instead. */
const SAY_INSTEAD: Readonly<Record<string, string>> = {
  'lies ahead': 'is in the future',
  'lie ahead': 'be in the future',
  'speaks against': 'against it',
  foretold: 'forecast',
  'hangs on': 'depends on',
  'past their life': 'overdue for replacement',
  'in the room': 'open visits',
  'what lies in the box': 'what is in the box',
  'depth freed by': 'extra depth, insole out',
  'of full firmness': 'of full strength',
  'drawn as in a usual shoe': 'drawn as on a typical shoe',
  'in the way': 'blocks the hand-over',
  'none of this patient': 'not this patient’s',
  'opens anything': 'works',
  'nobody said': 'is not stated',
  'nobody has said': 'is not stated',
  'is no picture': 'is not a picture',
  'is no girth': 'is not a girth',
  recommendation: 'specification',
  followup: 'review',
  'follow-up': 'review',
  orthotic: 'orthosis, insert',
  'running shoe wear': 'wear',
  sneaker: 'shoe',
};

const PHRASES = Object.entries(SAY_INSTEAD).map(([phrase, instead]) => ({
  pattern: new RegExp(`\\b${phrase}\\b`, 'i'),
  instead,
}));

const ROOMS = ['views', 'ui', 'core', 'contract', 'server', 'pages'];
const files = ROOMS.flatMap((room) =>
  readdirSync(join(import.meta.dirname, '..', room), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(tsx?|astro)$/.test(name) && !/\.test\.tsx?$/.test(name))
    .map((name) => join(import.meta.dirname, '..', room, name)),
);

/** What a file says: text between tags, and strings with a gap in them. */
function saidIn(path: string): string[] {
  const text = readFileSync(path, 'utf8');
  if (!path.endsWith('.astro')) return saidBy(text, path);
  // A page: what it computes is between its fences, its text between its tags.
  const [, code = '', page = ''] = /^---\n([\s\S]*?)\n---\n([\s\S]*)$/.exec(text) ?? ['', '', text];
  return [...saidBy(code, `${path}.ts`), ...page.split(/[<>{}]/)];
}

function saidBy(code: string, path: string): string[] {
  const source = ts.createSourceFile(path, code, ts.ScriptTarget.Latest, false);
  const said: string[] = [];
  const look = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isJsxText(node) || ts.isStringLiteralLike(node)) said.push(node.text);
    else if (ts.isTemplateExpression(node))
      said.push([node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join(' … '));
    ts.forEachChild(node, look);
  };
  look(source);
  return said.map((words) => words.replace(/\s+/g, ' ').trim()).filter((words) => words.includes(' '));
}

it('the interface says things as the field does: none of the words that were put right comes back', () => {
  const wrong: string[] = [];
  let sentences = 0;
  for (const file of files)
    for (const words of saidIn(file)) {
      sentences += 1;
      for (const { pattern, instead } of PHRASES)
        if (pattern.test(words))
          wrong.push(`${file.split('/src/')[1]}: “${words.slice(0, 90)}”: say “${instead}”`);
    }
  expect(wrong).toEqual([]);
  // What reads nothing finds nothing.
  expect(sentences).toBeGreaterThan(4000);
}, 120_000);
