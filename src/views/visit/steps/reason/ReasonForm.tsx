import { type SubmitEvent, useState } from 'react';
import { Field } from '@/ui/fields/Field';

/** The shortest reason that says something. */
const LEAST_LETTERS = 3;

/** Asks why a rule is set aside; without a reason nothing is. */
export function ReasonForm({ onReason }: { onReason: (reason: string) => void }) {
  const [reason, setReason] = useState('');
  const [error, setError] = useState<string | undefined>();
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    if (reason.trim().length < LEAST_LETTERS) setError('Say why, in a few words.');
    else onReason(reason.trim());
  };
  return (
    <form className="flex gap-2 items-end" onSubmit={submit} noValidate>
      <Field label="Reason (kept with the specification)" className="grow" error={error}>
        {(control) => (
          <input
            className="w-full"
            maxLength={600}
            value={reason}
            onChange={({ target }) => setReason(target.value)}
            {...control}
          />
        )}
      </Field>
      <button type="submit" className="press">
        Set aside
      </button>
    </form>
  );
}
