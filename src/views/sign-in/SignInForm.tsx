import { type SubmitEvent, useState } from 'react';
import { Field, FormProblem } from '@/ui/fields/Field';
import { SecondStep } from './SecondStep';
import { signIn } from './sign-in';

interface Problems {
  email?: string;
  password?: string;
  form?: string;
}

const problemsOf = (email: string, password: string): Problems => ({
  ...(/^\S+@\S+$/.test(email) ? {} : { email: 'An e-mail address, such as name@clinic.example.' }),
  ...(password === '' ? { password: 'Type your password.' } : {}),
});

/** E-mail and password; what was typed stays when it is refused. Two fields carry no form library to the first page. */
export function SignInForm({ to }: { to: string }) {
  const [problems, setProblems] = useState<Problems>({});
  const [busy, setBusy] = useState(false);
  const [second, setSecond] = useState(false);
  const submit = async (event: SubmitEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const [email, password] = [String(form.get('email')).trim(), String(form.get('password'))];
    const wrong = problemsOf(email, password);
    setProblems(wrong);
    if (Object.keys(wrong).length > 0) return;
    setBusy(true);
    const answer = await signIn(email, password);
    setBusy(false);
    if (answer.ok) location.assign(to);
    else if (answer.second) setSecond(true);
    else setProblems({ form: answer.message });
  };
  if (second) return <SecondStep onDone={() => location.assign(to)} />;
  return (
    <form onSubmit={submit} noValidate className="grid gap-3 max-w-80">
      <Field label="E-mail" error={problems.email}>
        {(control) => <input name="email" type="email" autoComplete="username" {...control} />}
      </Field>
      <Field label="Password" error={problems.password}>
        {(control) => <input name="password" type="password" autoComplete="current-password" {...control} />}
      </Field>
      <FormProblem message={problems.form} />
      <button type="submit" className="press press-main justify-self-start" disabled={busy}>
        Sign in
      </button>
    </form>
  );
}
