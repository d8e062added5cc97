import { z } from 'zod';
import { joinSchema } from '@/contract/people-schema';
import { Field, FormProblem } from '@/ui/fields/Field';
import { postJson } from '../post-json';
import { useApiForm } from '../use-api-form';
import { signIn } from './sign-in';

const chosenSchema = z
  .object({ password: joinSchema.shape.password, again: z.string() })
  .refine(({ password, again }) => password === again, {
    path: ['again'],
    message: 'The two do not match.',
  });
const knownSchema = z.object({ password: joinSchema.shape.password, again: z.string() });

interface Props {
  token: string;
  email: string;
  /** Somebody who signs in already, at another clinic, proves it and chooses no new password. */
  hasAccount?: boolean;
}

/** A password chosen through a link from a letter, or the one that somebody has already. */
export function JoinForm({ token, email, hasAccount = false }: Props) {
  const { register, handleSubmit, refuse, formState } = useApiForm(hasAccount ? knownSchema : chosenSchema, {
    password: '',
    again: '',
  });
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async ({ password }) => {
    const answer = await postJson('/api/join', { token, password });
    if (!answer.ok) return refuse(answer);
    const entered = await signIn(email, password);
    location.assign(entered.ok ? (hasAccount ? '/settings' : '/today') : '/sign-in');
  });
  return (
    <form onSubmit={submit} noValidate className="grid gap-3 max-w-80">
      <input type="hidden" name="username" autoComplete="username" value={email} readOnly />
      <Field
        label="Password"
        hint={hasAccount ? 'the one that you sign in with' : 'at least 12 characters; a few words in a row'}
        error={errors.password?.message}
      >
        {(control) => (
          <input
            type="password"
            autoComplete={hasAccount ? 'current-password' : 'new-password'}
            {...register('password')}
            {...control}
          />
        )}
      </Field>
      {!hasAccount && (
        <Field label="The same again" error={errors.again?.message}>
          {(control) => (
            <input type="password" autoComplete="new-password" {...register('again')} {...control} />
          )}
        </Field>
      )}
      <FormProblem message={errors.root?.message} />
      <button type="submit" className="press press-main justify-self-start" disabled={isSubmitting}>
        {hasAccount ? 'Join this clinic' : 'Set the password'}
      </button>
    </form>
  );
}
