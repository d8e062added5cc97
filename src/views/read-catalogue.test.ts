import { testShoe } from '@tests/fixtures/invented-shoe';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { columnsOf, learnedColumnsOf } from '@/core/catalogue/columns';
import { readCatalogue } from './read-catalogue';

const models = ['a', 'b', 'c', 'd'].map((id, at) => testShoe(id, {}, { name: `Shoe ${9 - at}` }));
const ids = models.map(({ id }) => id);
const list = {
  bits: 1,
  models: 4,
  parts: [0, 1].map((part) => ({ part, version: `v${part}` })),
  learned: 'l',
};
const answers = {
  '/catalogue/parts': () => list,
  '/catalogue/parts/1/0/v0': () => columnsOf(models.slice(0, 2)),
  '/catalogue/parts/1/1/v1': () => columnsOf(models.slice(2)),
  '/catalogue/learned/l': () => learnedColumnsOf(ids, new Map()),
};
const CHANGED = { title: 'The catalogue has changed meanwhile.', status: 409, code: 'conflict' };

/** A server that answers, each path with what it says the first, second … time. */
function serve(more: Partial<Record<keyof typeof answers, (time: number) => object>> = {}) {
  const asked: string[] = [];
  vi.stubGlobal('fetch', async (address: string) => {
    const path = address.replace('/api/v1', '') as keyof typeof answers;
    asked.push(path);
    const time = asked.filter((one) => one === path).length;
    const body: object & { status?: number } = (more[path] ?? answers[path])(time);
    return new Response(JSON.stringify(body), { status: body.status ?? 200 });
  });
  return asked;
}
afterEach(() => vi.unstubAllGlobals());
const read = () => readCatalogue(() => {});

describe('reading the catalogue', () => {
  it('puts its parts together and says which share has come', async () => {
    serve();
    const shares: number[] = [];
    const answer = await readCatalogue((share) => shares.push(share));
    expect(answer.ok && answer.value.models.map(({ name }) => name)).toEqual([
      'Shoe 6',
      'Shoe 7',
      'Shoe 8',
      'Shoe 9',
    ]);
    expect(shares).toEqual([0.5, 1]);
  });

  it('a part that has changed meanwhile begins it anew; one that always does is refused in words', async () => {
    const asked = serve({
      '/catalogue/parts/1/1/v1': (time) => (time === 1 ? CHANGED : answers['/catalogue/parts/1/1/v1']()),
    });
    expect((await read()).ok).toBe(true);
    expect(asked.filter((path) => path === '/catalogue/parts')).toHaveLength(2);
    serve({ '/catalogue/learned/l': () => CHANGED });
    expect(await read()).toMatchObject({ ok: false, problem: { status: 409 } });
  });

  it('what was learned of other models than these is never taken', async () => {
    const asked = serve({ '/catalogue/learned/l': () => learnedColumnsOf([...ids, 'e'], new Map()) });
    expect(await read()).toMatchObject({ ok: false, problem: { title: expect.stringContaining('changed') } });
    expect(asked.filter((path) => path === '/catalogue/parts')).toHaveLength(3);
  });

  it('signed out, or any other refusal, is said at once', async () => {
    const asked = serve({ '/catalogue/parts/1/0/v0': () => ({ title: 'Gone.', status: 401, code: 'x' }) });
    expect(await read()).toEqual({ ok: false, kind: 'signed-out' });
    expect(asked.filter((path) => path === '/catalogue/parts')).toHaveLength(1);
  });
});
