import { lazy, Suspense } from 'react';
import { SAVED_STEPS, STEP_NAME } from '@/core/visit/steps';
import { useExamined } from './visit-context';

// Asked for when the server has answered that nobody is signed in.
const SignInAgain = lazy(() => import('./SignInAgain').then((part) => ({ default: part.SignInAgain })));

/** The quiet state of saving; when sign-in has expired, a way back in that leaves everything where it is. */
export function SavingLine({ onUndo }: { onUndo: () => void }) {
  const { state, readOnly } = useExamined();
  if (readOnly) return <p className="ml-auto text-faint">handed over, kept as it was</p>;
  const entries = SAVED_STEPS.map((step) => state.steps[step]);
  const any = (saving: string) => entries.some((entry) => entry.saving === saving);
  const refused = entries.find((entry) => entry.saving === 'refused');
  if (any('signed-out'))
    return (
      <Suspense
        fallback={<p className="ml-auto problem">Your sign-in has expired. What you entered is kept here.</p>}
      >
        <SignInAgain />
      </Suspense>
    );
  return (
    <div className="ml-auto flex items-baseline gap-3">
      {state.undoable && (
        <button
          type="button"
          className="press press-quiet"
          title={`The latest entry, under ${STEP_NAME[state.undoable]}: Alt + Z`}
          onClick={onUndo}
        >
          Undo
        </button>
      )}
      <p
        role="status"
        aria-live="polite"
        className="text-right"
        data-saving={any('saving') || any('waiting') ? 'busy' : any('offline') ? 'offline' : 'saved'}
      >
        {any('conflict') && <span className="problem">two versions of one step </span>}
        {refused && (
          <span className="problem">not saved: {refused.errors[0]?.message ?? refused.message} </span>
        )}
        {any('offline') ? (
          <span className="text-hold">No connection. Kept in this browser; saved when it is back.</span>
        ) : any('saving') || any('waiting') ? (
          <span className="text-faint">saving …</span>
        ) : (
          !refused && <span className="text-faint">saved</span>
        )}
      </p>
    </div>
  );
}
