import { z } from 'zod';
import { Field, FormProblem } from '@/ui/fields/Field';
import { useApiForm } from '../use-api-form';
import { signIn } from './sign-in';

const formSchema = z.object({
  email: z.email('An e-mail address, such as name@clinic.example.'),
  password: z.string().min(1, 'Type your password.'),
});

/** E-mail and password; what was typed stays when it is refused. */
export function SignInForm({ to }: { to: string }) {
  const { register, handleSubmit, setError, formState } = useApiForm(formSchema, { email: '', password: '' });
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async ({ email, password }) => {
    const refused = await signIn(email, password);
    if (refused === null) location.assign(to);
    else setError('root', { message: refused });
  });
  return (
    <form onSubmit={submit} noValidate className="grid gap-3 max-w-80">
      <Field label="E-mail" error={errors.email?.message}>
        {(control) => <input type="email" autoComplete="username" {...register('email')} {...control} />}
      </Field>
      <Field label="Password" error={errors.password?.message}>
        {(control) => (
          <input type="password" autoComplete="current-password" {...register('password')} {...control} />
        )}
      </Field>
      <FormProblem message={errors.root?.message} />
      <button type="submit" className="press press-main justify-self-start" disabled={isSubmitting}>
        Sign in
      </button>
    </form>
  );
}
