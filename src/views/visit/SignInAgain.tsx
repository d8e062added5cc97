import { type SubmitEvent, useState } from 'react';
import { SecondStep } from '../sign-in/SecondStep';
import { signIn } from '../sign-in/sign-in';
import { useExamined } from './visit-context';

/** A way back in that leaves everything where it is. */
export function SignInAgain() {
  const { store } = useExamined();
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
