import type { TaskState } from '../../use-task';

/** Progress of a long task with its stage, a way to stop it, and plain words when it failed. */
export function TaskLine({ state, onCancel }: { state: TaskState; onCancel: () => void }) {
  if (state.is === 'working')
    return (
      <p role="status" className="flex items-center gap-2">
        <progress max={1} value={state.share} aria-label={state.stage} className="w-32" />
        {state.stage} …
        <button type="button" className="press press-quiet" onClick={onCancel}>
          Cancel
        </button>
      </p>
    );
  if (state.is === 'failed')
    return (
      <p role="alert" className="problem">
        {state.problem.message}
        <span className="block font-normal text-faint">Nothing in the visit has changed.</span>
      </p>
    );
  if (state.is === 'cancelled')
    return (
      <p role="status" className="text-faint">
        Cancelled. Nothing in the visit has changed.
      </p>
    );
  return null;
}
