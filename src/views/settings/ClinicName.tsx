import { useState } from 'react';
import { z } from 'zod';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { named } from '@/contract/common';
import type { ClinicRecord } from '@/contract/records';
import { Field, FormProblem } from '@/ui/fields/Field';
import { useApiForm } from '../use-api-form';

const formSchema = z.object({ name: named('name of the clinic'), place: named('place') });

/** Name and place as sheets carry them, and whether everybody needs a second factor. */
export function ClinicName({ clinic, mine }: { clinic: ClinicRecord; mine: boolean }) {
  const { register, handleSubmit, refuse, formState } = useApiForm(formSchema, {
    name: clinic.name,
    place: clinic.place,
  });
  const { errors, isSubmitting } = formState;
  const [required, setRequired] = useState(clinic.secondFactorRequired);
  const [said, setSaid] = useState('');
  const submit = handleSubmit(async (body) => {
    const answer = await call('changeClinic', { body });
    if (answer.ok) setSaid('Saved. Sheets already handed over keep the old name.');
    else refuse(answer);
  });
  const ask = async (secondFactorRequired: boolean) => {
    setRequired(secondFactorRequired);
    const answer = await call('changeClinic', { body: { secondFactorRequired } });
    if (!answer.ok) setRequired(!secondFactorRequired);
    setSaid(
      !answer.ok
        ? failureInWords(answer)
        : secondFactorRequired
          ? 'From now on anyone without one must set it up before anything else.'
          : 'A second factor is each person’s own choice.',
    );
  };
  return (
    <section aria-labelledby="name-and-place">
      <h2 id="name-and-place">Name and place</h2>
      <form onSubmit={submit} noValidate className="flex gap-3 items-end mt-2">
        <Field label="Name" error={errors.name?.message}>
          {(control) => <input className="w-64" {...register('name')} {...control} />}
        </Field>
        <Field label="Place" error={errors.place?.message}>
          {(control) => <input {...register('place')} {...control} />}
        </Field>
        <button type="submit" className="press" disabled={isSubmitting}>
          Save
        </button>
      </form>
      <FormProblem message={errors.root?.message} />
      <label className="flex gap-2 items-baseline mt-3">
        <input
          type="checkbox"
          checked={required}
          disabled={!mine && !required}
          onChange={({ target }) => void ask(target.checked)}
        />
        <span>
          Everybody needs a second factor
          {!mine && !required && (
            <span className="text-faint">
              {' '}
              (set up your own first, in Settings: you would lock yourself out)
            </span>
          )}
        </span>
      </label>
      <p role="status">{said}</p>
    </section>
  );
}
