import { type SubmitEvent, useState } from 'react';
import { Field, FormProblem } from '@/ui/fields/Field';
import { signInSecond } from './sign-in';

/** What is asked after the password of who has a second factor. */
export function SecondStep({ onDone }: { onDone: (person: string) => void }) {
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const submit = async (event: SubmitEvent<HTMLFormElement>) => {
    event.preventDefault();
    const code = String(new FormData(event.currentTarget).get('code'));
    setBusy(true);
    const answer = await signInSecond(code);
    setBusy(false);
    if (answer.ok) onDone(answer.person);
    else setProblem(answer.message);
  };
  return (
    <form onSubmit={submit} noValidate className="grid gap-3 max-w-80">
      <Field label="Code" hint="six digits from your device, or one of your recovery codes">
        {(control) => (
          // biome-ignore lint/a11y/noAutofocus: nothing else is asked for at this moment
          <input name="code" autoComplete="one-time-code" autoFocus {...control} />
        )}
      </Field>
      <FormProblem message={problem} />
      <button type="submit" className="press press-main justify-self-start" disabled={busy}>
        Go on
      </button>
    </form>
  );
}
