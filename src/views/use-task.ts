import { useCallback, useEffect, useRef, useState } from 'react';
import type { Problem, Result } from '@/core/result';
import type { TaskMessage, TaskRequest } from '@/workers/task';

export type TaskState =
  | { is: 'idle' }
  | { is: 'working'; stage: string; share: number }
  | { is: 'failed'; problem: Problem }
  | { is: 'cancelled' };

/**
 * One long task at a time in a worker of its own: begins when first asked, shows its stage, ends with the page.
 * Cancelling ends the worker; the next question starts a new one.
 */
export function useTask<Asked, Answer>(start: () => Worker) {
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const waiting = useRef<((result: Result<Answer> | null) => void) | null>(null);
  const [state, setState] = useState<TaskState>({ is: 'idle' });

  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    waiting.current?.(null);
    waiting.current = null;
  }, []);
  useEffect(() => end, [end]);

  /** The answer; null when it was cancelled, failed (the state says why) or overtaken by a later question. */
  const ask = useCallback(
    async (question: Asked, transfer: Transferable[] = []): Promise<Answer | null> => {
      waiting.current?.(null);
      if (!worker.current) worker.current = start();
      asked.current += 1;
      const id = asked.current;
      setState({ is: 'working', stage: 'starting', share: 0 });
      const result = await new Promise<Result<Answer> | null>((resolve) => {
        waiting.current = resolve;
        worker.current!.onmessage = ({ data }: MessageEvent<TaskMessage<Answer>>) => {
          if (data.id !== asked.current) return;
          if ('stage' in data) setState({ is: 'working', stage: data.stage, share: data.share });
          else resolve(data.result);
        };
        worker.current!.onerror = () =>
          resolve({
            ok: false,
            problem: { code: 'failed', path: [], message: 'The background work could not be started.' },
          });
        worker.current!.postMessage({ id, asked: question } satisfies TaskRequest<Asked>, transfer);
      });
      if (id !== asked.current) return null;
      waiting.current = null;
      if (result === null) return null;
      setState(result.ok ? { is: 'idle' } : { is: 'failed', problem: result.problem });
      return result.ok ? result.value : null;
    },
    [start],
  );

  const cancel = useCallback(() => {
    end();
    asked.current += 1;
    setState({ is: 'cancelled' });
  }, [end]);

  const fail = useCallback((problem: Problem) => setState({ is: 'failed', problem }), []);
  return { state, ask, cancel, fail };
}
