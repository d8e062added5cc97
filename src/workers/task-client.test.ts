import { describe, expect, it } from 'vitest';
import { ok } from '@/core/result/result';
import type { TaskMessage, TaskRequest } from './task';
import { TaskClient } from './task-client';

/** A worker of a test: what it was asked, and how it answers or breaks down. */
class FakeWorker {
  static made: FakeWorker[] = [];
  asked: TaskRequest<number>[] = [];
  isEnded = false;
  onmessage: ((event: { data: TaskMessage<number> }) => void) | null = null;
  onerror: (() => void) | null = null;
  onmessageerror: (() => void) | null = null;
  constructor() {
    FakeWorker.made.push(this);
  }
  postMessage(request: TaskRequest<number>) {
    this.asked.push(request);
  }
  terminate() {
    this.isEnded = true;
  }
  answer(value: number, id = this.asked.at(-1)!.id) {
    this.onmessage?.({ data: { id, result: ok(value) } });
  }
}

const client = () => {
  FakeWorker.made = [];
  return new TaskClient<number, number>(() => new FakeWorker() as unknown as Worker);
};
const latest = () => FakeWorker.made.at(-1)!;

describe('asking a worker', () => {
  it('starts one with the first question and keeps it for the next', async () => {
    const task = client();
    expect(task.isFresh).toBe(true);
    const first = task.ask(1);
    latest().answer(10);
    expect(await first).toEqual({ ok: true, value: 10 });
    expect(task.isFresh).toBe(false);
    const second = task.ask(2);
    latest().answer(20);
    expect(await second).toEqual({ ok: true, value: 20 });
    expect(FakeWorker.made).toHaveLength(1);
  });

  it('hands on the stages of its own question only', async () => {
    const task = client();
    const stages: string[] = [];
    const old = task.ask(1, (stage) => stages.push(`old ${stage}`));
    const answer = task.ask(2, (stage) => stages.push(`new ${stage}`));
    const [before, now] = latest().asked;
    latest().onmessage?.({ data: { id: before!.id, stage: 'late', share: 1 } });
    latest().onmessage?.({ data: { id: now!.id, stage: 'reading', share: 0.5 } });
    latest().answer(20);
    expect(await old).toBeNull();
    expect(await answer).toEqual({ ok: true, value: 20 });
    expect(stages).toEqual(['new reading']);
  });

  it('a worker that breaks down is a sentence, and the next question gets a new one', async () => {
    const task = client();
    const answer = task.ask(1);
    latest().onerror?.();
    const result = await answer;
    expect(result?.ok ? '' : result?.problem.message).toMatch(/could not be started. Try again/);
    expect(FakeWorker.made[0]?.isEnded).toBe(true);
    expect(task.isFresh).toBe(true);
    const again = task.ask(1);
    latest().answer(10);
    expect(await again).toEqual({ ok: true, value: 10 });
    expect(FakeWorker.made).toHaveLength(2);
  });

  it('a browser that refuses workers, and a message that cannot be read, are the same sentence', async () => {
    const refused = new TaskClient<number, number>(() => {
      throw new DOMException('blocked', 'SecurityError');
    });
    expect(await refused.ask(1)).toMatchObject({ ok: false });
    const task = client();
    const answer = task.ask(1);
    latest().onmessageerror?.();
    expect(await answer).toMatchObject({ ok: false });
  });

  it('cancelling answers nothing and ends the work; a late answer is not heard', async () => {
    const task = client();
    const answer = task.ask(1);
    const worker = latest();
    task.end();
    expect(await answer).toBeNull();
    expect(worker.isEnded).toBe(true);
    worker.answer(10);
    const next = task.ask(2);
    latest().answer(20);
    expect(await next).toEqual({ ok: true, value: 20 });
  });
});
