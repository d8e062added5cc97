import { fail, type Result } from '@/core/result/result';
import type { TaskMessage, TaskRequest } from './task';

type Start = () => Worker;
type OnStage = (stage: string, share: number) => void;

const NOT_STARTED = fail('failed', 'The background work could not be started. Try again.');

/**
 * The page's side of a worker, one question at a time. The worker starts with the first question; one that broke down is
 * ended, so that the next question gets a new one. Whatever goes wrong comes back as a result with a sentence.
 */
export class TaskClient<Question, Answer> {
  private worker: Worker | null = null;
  private lastId = 0;
  private settle: ((result: Result<Answer> | null) => void) | null = null;

  constructor(private readonly start: Start) {}

  /** Whether the next question goes to a worker that has not been asked anything yet. */
  get isFresh(): boolean {
    return this.worker === null;
  }

  /** The answer as a result; null when it was cancelled or overtaken by a later question. */
  async ask(
    question: Question,
    onStage: OnStage = () => {},
    transfer: Transferable[] = [],
  ): Promise<Result<Answer> | null> {
    this.settle?.(null);
    this.lastId += 1;
    const id = this.lastId;
    return new Promise((resolve) => {
      this.settle = (result) => {
        this.settle = null;
        resolve(result);
      };
      try {
        this.worker ??= this.start();
      } catch {
        this.settle(NOT_STARTED);
        return;
      }
      this.worker.onmessage = ({ data }: MessageEvent<TaskMessage<Answer>>) => {
        if (data.id !== this.lastId) return;
        if ('stage' in data) onStage(data.stage, data.share);
        else this.settle?.(data.result);
      };
      this.worker.onerror = () => this.brokeDown();
      this.worker.onmessageerror = () => this.brokeDown();
      this.worker.postMessage({ id, question: question } satisfies TaskRequest<Question>, transfer);
    });
  }

  private brokeDown(): void {
    const { settle } = this;
    this.settle = null;
    this.end();
    settle?.(NOT_STARTED);
  }

  /** Ends the worker and whatever it was working on. */
  end(): void {
    this.worker?.terminate();
    this.worker = null;
    this.lastId += 1;
    this.settle?.(null);
  }
}
