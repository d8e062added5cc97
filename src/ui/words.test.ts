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
/** Any of them, on one line or over several: a file without is not taken apart. */
const ANY = new RegExp(`\\b(?:${Object.keys(SAY_INSTEAD).join('|').replaceAll(' ', '\\s+')})\\b`, 'i');

const ROOMS = ['views', 'ui', 'core', 'contract', 'server', 'pages'];
const files = ROOMS.flatMap((room) =>
  readdirSync(join(import.meta.dirname, '..', room), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(tsx?|astro)$/.test(name) && !/\.test\.tsx?$/.test(name))
    .map((name) => join(import.meta.dirname, '..', room, name)),
);

/** What a file says: text between tags, and strings with a gap in them. */
function saidIn(path: string, text: string): string[] {
  if (!path.endsWith('.astro')) return saidBy(text, path);
  // A page: what it computes is between its fences, its text between its tags.
  const [, code = '', page = ''] = /^---\n([\s\S]*?)\n---\n([\s\S]*)$/.exec(text) ?? ['', '', text];
  return [...saidBy(code, `${path}.ts`), ...sentences(page.split(/[<>{}]/))];
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
  return sentences(said);
}

const sentences = (said: string[]): string[] =>
  said.map((words) => words.replace(/\s+/g, ' ').trim()).filter((words) => words.includes(' '));

it('the interface says things as the field does: none of the words that were put right comes back', () => {
  const wrong: string[] = [];
  let read = 0;
  for (const file of files) {
    const text = readFileSync(file, 'utf8');
    read += text.length;
    if (!ANY.test(text)) continue;
    for (const words of saidIn(file, text))
      for (const { pattern, instead } of PHRASES)
        if (pattern.test(words))
          wrong.push(`${file.split('/src/')[1]}: “${words.slice(0, 90)}”: say “${instead}”`);
  }
  expect(wrong).toEqual([]);
  // What reads nothing finds nothing.
  expect(read).toBeGreaterThan(2_000_000);
}, 120_000);

it('finds them in text between tags, over two lines, and in a string with a gap', () => {
  const tag = '<p>Nothing lies\n  ahead</p>';
  const gap = ['const said = `It hangs on $', '{thing} and more`;'].join('');
  expect(ANY.test(tag)).toBe(true);
  expect(saidIn('a.astro', `---\n${gap}\n---\n${tag}`)).toEqual(
    expect.arrayContaining(['It hangs on … and more', 'Nothing lies ahead']),
  );
  expect(saidIn('a.tsx', `const a = ${tag}; // foretold here`)).toEqual(['Nothing lies ahead']);
});
