import { fail, ok, type Result } from '../result/result';

/** Longest sentence that a page has room for. */
export const LONGEST = 400;

const blanks = (text: string): string[] =>
  [...new Set([...text.matchAll(/\{\{\s*(\w+)\s*\}\}/g)].map(([, name]) => name ?? ''))].toSorted();

/** A sentence of a clinic's own, held against the one whose place it takes; empty takes the standard again. */
export function checkText(standard: string, text: string): Result<string> {
  const written = text.trim();
  if (written === '') return ok('');
  if (written.length > LONGEST) return fail('too-long', `Use at most ${LONGEST} letters.`);
  const wanted = blanks(standard);
  const has = blanks(written);
  const missing = wanted.filter((name) => !has.includes(name));
  const strange = has.filter((name) => !wanted.includes(name));
  if (missing.length > 0)
    return fail('blank-missing', `Keep ${missing.map((name) => `{{${name}}}`).join(', ')} in it.`);
  if (strange.length > 0)
    return fail('blank-strange', `Nothing fills ${strange.map((name) => `{{${name}}}`).join(', ')} here.`);
  return ok(written);
}
