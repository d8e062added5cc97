import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { fail, ok, type Result } from '@/core/result/result';

const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '',
  removeNSPrefix: true,
  // Nothing in a track is an entity, and a file that expands into millions of them is no track.
  processEntities: false,
  parseTagValue: false,
  parseAttributeValue: false,
});

/** A file of tags as a tree; where it breaks off the error names the line. */
export function readXml(text: string, name: string): Result<unknown> {
  const valid = XMLValidator.validate(text);
  if (valid !== true)
    return fail('broken', `${name}, line ${valid.err.line}: this is no complete file (${valid.err.msg}).`);
  try {
    return ok(parser.parse(text));
  } catch (error) {
    return fail('broken', `${name} cannot be read (${error instanceof Error ? error.message : 'broken'}).`);
  }
}

const isTree = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What stands under a name, always as a list. */
export function under(node: unknown, name: string): unknown[] {
  if (!isTree(node)) return [];
  const value = node[name];
  return value === undefined ? [] : Array.isArray(value) ? value : [value];
}

/** What stands under a path of names, the first of each. */
export const first = (node: unknown, ...path: string[]): unknown =>
  path.reduce<unknown>((at, name) => under(at, name)[0], node);

/** A text under a path; null where there is none. */
export function textAt(node: unknown, ...path: string[]): string | null {
  const value = first(node, ...path);
  const text = isTree(value) ? value['#text'] : value;
  return typeof text === 'string' ? text.trim() : null;
}

/** A number under a path; null where there is none or it is none. */
export function numberAt(node: unknown, ...path: string[]): number | null {
  const text = textAt(node, ...path);
  const value = text === null || text === '' ? Number.NaN : Number(text);
  return Number.isFinite(value) ? value : null;
}

/** A moment under a path, seconds since 1970; null where there is none. */
export function secondsAt(node: unknown, ...path: string[]): number | null {
  const value = Date.parse(textAt(node, ...path) ?? '');
  return Number.isFinite(value) ? value / 1000 : null;
}
