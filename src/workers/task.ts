import type { Result } from '@/core/result/result';

/** What a worker is question, and what it says back while it works and at the end. */
export interface TaskRequest<Question> {
  id: number;
  question: Question;
}
export type TaskMessage<Answer> =
  | { id: number; stage: string; share: number }
  | { id: number; result: Result<Answer> };

export type Report = (stage: string, share: number) => void;

/**
 * Serves one kind of long task: answers are results, never exceptions; whatever is thrown becomes a sentence.
 * Cancelling is ending the worker.
 */
export function serve<Question, Answer>(
  work: (question: Question, report: Report) => Result<Answer> | Promise<Result<Answer>>,
  transferred: (answer: Answer) => Transferable[] = () => [],
): void {
  self.onmessage = async ({ data }: MessageEvent<TaskRequest<Question>>) => {
    const { id, question } = data;
    const send = (message: TaskMessage<Answer>, transfer: Transferable[] = []) =>
      self.postMessage(message, { transfer });
    try {
      const result = await work(question, (stage, share) => send({ id, stage, share }));
      send({ id, result }, result.ok ? transferred(result.value) : []);
    } catch (error) {
      const message =
        error instanceof RangeError
          ? 'There is not enough memory for this file.'
          : `This could not be worked out (${String(error)}).`;
      send({ id, result: { ok: false, problem: { code: 'failed', path: [], message } } });
    }
  };
}
