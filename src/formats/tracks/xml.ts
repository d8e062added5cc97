import { SaxesParser } from 'saxes';
import { fail, ok, type Result } from '@/core/result/result';

/** What is done with the tags of a file, one after the other; names are without their prefix. */
export interface TagReader {
  open: (name: string, attributes: Readonly<Record<string, string>>) => void;
  /** At the end of a tag, with the text in it. */
  close: (name: string, text: string) => void;
}

const local = (name: string): string => name.slice(name.indexOf(':') + 1);

/**
 * Reads a file of tags from begin to end without keeping it. Entities that a file defines itself are none: it does not grow. A file
 * that breaks off or is wrong is an error that names its line.
 */
export function readTags(text: string, name: string, reader: TagReader): Result<null> {
  const parser = new SaxesParser();
  let held = '';
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('opentag', ({ name: tag, attributes }) => {
    held = '';
    reader.open(local(tag), attributes);
  });
  parser.on('text', (part) => {
    held += part;
  });
  parser.on('closetag', ({ name: tag }) => {
    reader.close(local(tag), held);
    held = '';
  });
  try {
    parser.write(text.trimStart()).close();
    return ok(null);
  } catch (error) {
    const why = error instanceof Error ? error.message.replace(/^\d+:\d+: /, '') : 'broken';
    return fail('broken', `${name}, line ${parser.line}: this is no complete file (${why}).`);
  }
}

/** A number as it is written; null where there is none. */
export function numberIn(text: string | undefined): number | null {
  const value = text === undefined || text.trim() === '' ? Number.NaN : Number(text);
  return Number.isFinite(value) ? value : null;
}

/** A moment as it is written, seconds since 1970; null where there is none. */
export function secondsIn(text: string): number | null {
  const value = Date.parse(text.trim());
  return Number.isFinite(value) ? value / 1000 : null;
}
