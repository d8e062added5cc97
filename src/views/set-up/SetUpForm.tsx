import { setUpSchema } from '@/contract/people-schema';
import { Field, FormProblem } from '@/ui/fields/Field';
import { postJson } from '../post-json';
import { signIn } from '../sign-in/sign-in';
import { useApiForm } from '../use-api-form';

const EMPTY = { code: '', clinic: '', place: '', name: '', email: '', password: '' };

/** The first clinic and its first lead; afterwards one is signed in and at Today. */
export function SetUpForm() {
  const { register, handleSubmit, refuse, formState, setError } = useApiForm(setUpSchema, EMPTY);
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async (wanted) => {
    const answer = await postJson('/api/set-up', wanted);
    if (!answer.ok) return refuse(answer);
    const entered = await signIn(wanted.email, wanted.password);
    if (entered.ok) location.assign('/people');
    else setError('root', { message: 'The clinic is made. Sign in with what you typed here.' });
  });
  const field = (
    name: keyof typeof EMPTY,
    label: string,
    type = 'text',
    autoComplete = 'off',
    hint?: string,
  ) => (
    <Field label={label} hint={hint} error={errors[name]?.message}>
      {(control) => <input type={type} autoComplete={autoComplete} {...register(name)} {...control} />}
    </Field>
  );
  return (
    <form onSubmit={submit} noValidate className="grid gap-3 max-w-md">
      {field('code', 'Code from the console')}
      {field('clinic', 'Name of the clinic', 'text', 'organization')}
      {field('place', 'Place', 'text', 'address-level2')}
      {field('name', 'Your name', 'text', 'name')}
      {field('email', 'Your e-mail', 'email', 'username')}
      {field(
        'password',
        'Password',
        'password',
        'new-password',
        'at least 12 characters; a few words in a row',
      )}
      <FormProblem message={errors.root?.message} />
      <button type="submit" className="press press-main justify-self-start" disabled={isSubmitting}>
        Make the clinic
      </button>
    </form>
  );
}
