import { type FormEvent, useState } from 'react';
import { signIn } from './sign-in';

/** E-mail and password; what was typed stays when it is refused. */
export function SignInForm({ to }: { to: string }) {
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    setBusy(true);
    const refused = await signIn(String(form.get('email')), String(form.get('password')));
    setBusy(false);
    setProblem(refused);
    if (refused === null) location.assign(to);
  };
  return (
    <form onSubmit={submit} className="grid gap-3 max-w-80">
      <label className="grid gap-1">
        E-mail
        <input name="email" type="email" autoComplete="username" required />
      </label>
      <label className="grid gap-1">
        Password
        <input name="password" type="password" autoComplete="current-password" required />
      </label>
      {problem && (
        <p role="alert" className="problem">
          {problem}
        </p>
      )}
      <button type="submit" className="press press-main justify-self-start" disabled={busy}>
        Sign in
      </button>
    </form>
  );
}
