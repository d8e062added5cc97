import { afterEach, describe, expect, it, vi } from 'vitest';
import { fail, ok } from '@/core/result/result';
import { serve, type TaskMessage, type TaskRequest } from './task';

/** A worker’s own side, with what it sent. */
function worker() {
  const sent: { message: TaskMessage<number>; transfer: unknown[] }[] = [];
  const self = {
    onmessage: null as ((event: { data: TaskRequest<number> }) => Promise<void>) | null,
    postMessage: (message: TaskMessage<number>, options: { transfer: unknown[] }) =>
      sent.push({ message, transfer: options.transfer }),
  };
  vi.stubGlobal('self', self);
  const ask = async (id: number, asked: number) => {
    await self.onmessage!({ data: { id, question: asked } });
    return sent.splice(0);
  };
  return ask;
}
afterEach(() => vi.unstubAllGlobals());

describe('a long task in a worker', () => {
  it('says its stages and then its result under the question’s number, handing over what is large', async () => {
    const ask = worker();
    const large = new ArrayBuffer(8);
    serve<number, number>(
      (asked, report) => {
        report('halving', 0.5);
        return ok(asked / 2);
      },
      () => [large],
    );
    expect(await ask(7, 10)).toEqual([
      { message: { id: 7, stage: 'halving', share: 0.5 }, transfer: [] },
      { message: { id: 7, result: { ok: true, value: 5 } }, transfer: [large] },
    ]);
  });

  it('a refusal passes as it is; what is thrown becomes a sentence, memory one of its own', async () => {
    const ask = worker();
    serve<number, number>((asked) => {
      if (asked === 1) return fail('blank', 'Nothing there.');
      if (asked === 2) throw new RangeError('Array buffer allocation failed');
      throw new Error('unforeseen');
    });
    const said = async (asked: number) => {
      const [last] = await ask(asked, asked);
      const { result } = last!.message as Extract<TaskMessage<number>, { result: unknown }>;
      return result.ok ? '' : result.problem.message;
    };
    expect(await said(1)).toBe('Nothing there.');
    expect(await said(2)).toBe('There is not enough memory for this file.');
    expect(await said(3)).toContain('unforeseen');
  });
});
