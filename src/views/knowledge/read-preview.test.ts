import { afterEach, describe, expect, it, vi } from 'vitest';
import { lineSplitter } from '@/contract/json-lines';
import type { PreviewLine } from '@/contract/records';
import { readPreview } from './read-preview';

const nothing = { changes: [], settings: {} };
const answer = (body: BodyInit, status = 200) =>
  vi.stubGlobal('fetch', async () => new Response(body, { status }));
const read = async () => {
  const lines: PreviewLine[] = [];
  const failed = await readPreview(nothing, new AbortController().signal, (line) => lines.push(line));
  return { lines, failed };
};
afterEach(() => vi.unstubAllGlobals());

describe('reading a preview', () => {
  it('lines come whole however the text is cut', () => {
    const split = lineSplitter();
    expect([...split('{"a"'), ...split(':1}\n{"b":2}'), ...split('\n\n'), ...split('{"c"')]).toEqual([
      '{"a":1}',
      '{"b":2}',
    ]);
  });

  it('hands over progress and the end', async () => {
    answer('{"done":1,"of":1}\n{"finished":{"looked":1,"changed":0}}\n');
    expect(await read()).toEqual({
      lines: [{ done: 1, of: 1 }, { finished: { looked: 1, changed: 0 } }],
      failed: null,
    });
  });

  it('an answer that breaks off is no result', async () => {
    answer('{"done":1,"of":3}\n');
    expect((await read()).failed).toMatch(/ended early/);
  });

  it('a refusal says why, with every sentence', async () => {
    answer(
      JSON.stringify({
        type: 'about:blank',
        title: 'Refused.',
        code: 'invalid',
        status: 422,
        errors: [{ path: [], message: 'There is no rule.' }],
      }),
      422,
    );
    expect((await read()).failed).toBe('Refused. There is no rule.');
  });

  it('no connection is a sentence', async () => {
    vi.stubGlobal('fetch', async () => {
      throw new TypeError('no network');
    });
    expect((await read()).failed).toMatch(/cannot be reached/);
  });
});
