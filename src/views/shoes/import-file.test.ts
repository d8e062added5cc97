import { afterEach, describe, expect, it, vi } from 'vitest';
import { importFile } from './import-file';

const answer = (body: BodyInit, status = 200) =>
  vi.stubGlobal('fetch', async () => new Response(body, { status }));
const send = async (name = 'shoes.csv', signal = new AbortController().signal) => {
  const rows: number[] = [];
  const result = await importFile(new File(['x'], name), signal, (count) => rows.push(count));
  return { rows, result };
};
const finished = {
  rows: 2,
  entries: 2,
  errors: [],
  errorCount: 0,
  notes: [],
  added: 2,
  changed: 0,
  imported: true,
};
afterEach(() => vi.unstubAllGlobals());

describe('following an import', () => {
  it('hands over progress and the end', async () => {
    answer(`{"rows":100}\n{"rows":200}\n${JSON.stringify({ finished })}\n`);
    expect(await send()).toEqual({ rows: [100, 200], result: { ok: true, value: finished } });
  });

  it('an answer that breaks off changed nothing, and says so', async () => {
    answer('{"rows":100}\n');
    const { result } = await send();
    expect(!result.ok && result.problem.message).toMatch(/Nothing was changed/);
  });

  it('a refusal keeps its words; no connection and cancelling are sentences', async () => {
    answer(JSON.stringify({ title: 'Only lead or practitioner may do this.', code: 'forbidden' }), 403);
    expect((await send()).result).toMatchObject({
      problem: { message: 'Only lead or practitioner may do this.' },
    });
    vi.stubGlobal('fetch', async () => {
      throw new TypeError('no network');
    });
    expect((await send()).result).toMatchObject({ problem: { code: 'offline' } });
    expect((await send('a.csv', AbortSignal.abort())).result).toMatchObject({
      problem: { code: 'cancelled' },
    });
  });

  it('says what kind of file it sends', async () => {
    const types: string[] = [];
    vi.stubGlobal('fetch', async (_: string, init: RequestInit) => {
      types.push((init.headers as Record<string, string>)['content-type']!);
      return new Response(`${JSON.stringify({ finished })}\n`);
    });
    await send('a.JSON');
    await send('a.csv');
    expect(types).toEqual(['application/json', 'text/csv']);
  });
});
