import { z } from 'zod';
import { joinSchema } from '@/contract/people-schema';
import { Field, FormProblem } from '@/ui/fields/Field';
import { postJson } from '../post-json';
import { useApiForm } from '../use-api-form';
import { signIn } from './sign-in';

const formSchema = z
  .object({ password: joinSchema.shape.password, again: z.string() })
  .refine(({ password, again }) => password === again, {
    path: ['again'],
    message: 'This is not the same as above.',
  });

/** A password that somebody chooses through a link from a letter. */
export function JoinForm({ token, email }: { token: string; email: string }) {
  const { register, handleSubmit, refuse, formState } = useApiForm(formSchema, { password: '', again: '' });
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async ({ password }) => {
    const answer = await postJson('/api/join', { token, password });
    if (!answer.ok) return refuse(answer);
    const entered = await signIn(email, password);
    location.assign(entered.ok ? '/today' : '/sign-in');
  });
  return (
    <form onSubmit={submit} noValidate className="grid gap-3 max-w-80">
      <input type="hidden" name="username" autoComplete="username" value={email} readOnly />
      <Field
        label="Password"
        hint="at least 12 characters; a few words in a row"
        error={errors.password?.message}
      >
        {(control) => (
          <input type="password" autoComplete="new-password" {...register('password')} {...control} />
        )}
      </Field>
      <Field label="The same again" error={errors.again?.message}>
        {(control) => (
          <input type="password" autoComplete="new-password" {...register('again')} {...control} />
        )}
      </Field>
      <FormProblem message={errors.root?.message} />
      <button type="submit" className="press press-main justify-self-start" disabled={isSubmitting}>
        Set the password
      </button>
    </form>
  );
}
