import { useCallback, useEffect, useState } from 'react';
import type { Problem } from '@/core/result/result';
import { TaskClient } from '@/workers/task-client';

export type TaskState =
  | { is: 'idle' }
  | { is: 'working'; stage: string; share: number }
  | { is: 'failed'; problem: Problem }
  | { is: 'cancelled' };

/** One long task at a time in a worker of its own: shows its stage, can be cancelled, ends with the page. */
export function useTask<Question, Answer>(start: () => Worker) {
  const [client] = useState(() => new TaskClient<Question, Answer>(start));
  const [state, setState] = useState<TaskState>({ is: 'idle' });
  useEffect(() => () => client.end(), [client]);

  /** The answer; null when it was cancelled, failed (the state says why) or overtaken by a later question. */
  const ask = useCallback(
    async (question: Question, transfer: Transferable[] = []): Promise<Answer | null> => {
      setState({ is: 'working', stage: 'starting', share: 0 });
      const result = await client.ask(
        question,
        (stage, share) => setState({ is: 'working', stage, share }),
        transfer,
      );
      if (result === null) return null;
      setState(result.ok ? { is: 'idle' } : { is: 'failed', problem: result.problem });
      return result.ok ? result.value : null;
    },
    [client],
  );

  const cancel = useCallback(() => {
    client.end();
    setState({ is: 'cancelled' });
  }, [client]);

  const fail = useCallback((problem: Problem) => setState({ is: 'failed', problem }), []);
  return { client, state, ask, cancel, fail };
}

/** An answer that follows its question: the last one stays until the next has come. */
export interface Following<Answer> {
  answer: Answer | null;
  /** What went wrong with the last question. */
  problem: string | null;
  retry: () => void;
}

/**
 * Asks a worker again whenever the question changes, a moment after the last change.
 *
 * @param question gets whether the worker is new and knows nothing yet; null: nothing to ask
 */
export function useFollowing<Question, Answer>(
  start: () => Worker,
  question: ((isFresh: boolean) => Question) | null,
  afterMs = 0,
): Following<Answer> {
  const { client, ask, state } = useTask<Question, Answer>(start);
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [attempt, setAttempt] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another attempt asks the same once more
  useEffect(() => {
    if (!question) return;
    const timer = setTimeout(async () => {
      const next = await ask(question(client.isFresh));
      if (next !== null) setAnswer(next);
    }, afterMs);
    return () => clearTimeout(timer);
  }, [client, ask, question, afterMs, attempt]);
  return {
    answer,
    problem: state.is === 'failed' ? state.problem.message : null,
    retry: () => setAttempt((count) => count + 1),
  };
}
