import { useState } from 'react';
import { z } from 'zod';
import { passwordChangeSchema } from '@/contract/people-schema';
import { Field, FormProblem } from '@/ui/fields/Field';
import { postJson } from '../post-json';
import { useApiForm } from '../use-api-form';

const { current, password } = passwordChangeSchema.shape;
const formSchema = z
  .object({ current, password, again: z.string() })
  .refine((typed) => typed.password === typed.again, {
    path: ['again'],
    message: 'The two do not match.',
  });
const EMPTY = { current: '', password: '', again: '' };

/** One’s own password; changing it signs every other browser out. */
export function Password() {
  const { register, handleSubmit, refuse, reset, formState } = useApiForm(formSchema, EMPTY);
  const { errors, isSubmitting } = formState;
  const [said, setSaid] = useState('');
  const submit = handleSubmit(async (typed) => {
    const answer = await postJson('/api/password', { current: typed.current, password: typed.password });
    if (!answer.ok) return refuse(answer);
    reset();
    setSaid('Changed. Every other browser of yours is signed out.');
  });
  const field = (name: keyof typeof EMPTY, label: string, autoComplete: string) => (
    <Field label={label} error={errors[name]?.message}>
      {(control) => <input type="password" autoComplete={autoComplete} {...register(name)} {...control} />}
    </Field>
  );
  return (
    <section aria-labelledby="password" className="border-t border-rule pt-2 mt-5">
      <h2 id="password">Password</h2>
      <form onSubmit={submit} noValidate className="flex flex-wrap gap-3 items-start mt-1">
        {field('current', 'Current password', 'current-password')}
        {field('password', 'New password, at least 12 characters', 'new-password')}
        {field('again', 'New password again', 'new-password')}
        <button type="submit" className="press self-end" disabled={isSubmitting}>
          Change it
        </button>
      </form>
      <FormProblem message={errors.root?.message} />
      <p role="status">{said}</p>
    </section>
  );
}
