import { type SubmitEvent, useState } from 'react';
import { SAVED_STEPS } from '@/core/visit/steps';
import { SecondStep } from '../sign-in/SecondStep';
import { signIn } from '../sign-in/sign-in';
import { useVisit } from './visit-context';

/** The quiet state of saving; when sign-in has expired, a way back in that leaves everything where it is. */
export function SavingLine() {
  const { state, readOnly } = useVisit();
  if (readOnly) return <p className="ml-auto text-faint">handed over, kept as it was</p>;
  const entries = SAVED_STEPS.map((step) => state.steps[step]);
  const any = (saving: string) => entries.some((entry) => entry.saving === saving);
  const refused = entries.find((entry) => entry.saving === 'refused');
  if (any('signed-out')) return <SignInAgain />;
  return (
    <p
      role="status"
      aria-live="polite"
      className="ml-auto text-right"
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
  );
}

function SignInAgain() {
  const { store } = useVisit();
  const [problem, setProblem] = useState<string | null>(null);
  const [second, setSecond] = useState(false);
  const submit = async (event: SubmitEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const answer = await signIn(String(form.get('email')), String(form.get('password')));
    if (!answer.ok && answer.second) return setSecond(true);
    if (!answer.ok) return setProblem(answer.message);
    goOn(answer.person);
  };
  const goOn = (person: string) => {
    setProblem(null);
    // A colleague sees what the server has; what was typed here waits for whoever typed it.
    if (person !== document.documentElement.dataset.person) location.reload();
    else store.retry();
  };
  if (second) return <SecondStep onDone={goOn} />;
  return (
    <form onSubmit={submit} className="ml-auto flex flex-wrap gap-2 items-baseline justify-end">
      <span role="alert" className="problem">
        Your sign-in has expired. What you entered is kept here.
      </span>
      <input
        name="email"
        type="email"
        required
        aria-label="E-mail"
        placeholder="e-mail"
        className="w-44"
        autoComplete="username"
      />
      <input
        name="password"
        type="password"
        required
        aria-label="Password"
        placeholder="password"
        className="w-36"
        autoComplete="current-password"
      />
      <button className="press press-main" type="submit">
        Sign in
      </button>
      {problem && <span className="problem">{problem}</span>}
    </form>
  );
}
