import { setUpSchema } from '@/contract/people-schema';
import { USUAL_FORMATS } from '@/core/formats/formats';
import { SCHOOL_CHOICES } from '@/core/knowledge/schools';
import { mapTable } from '@/core/tables/keys-of';
import { LIFE_SCHOOLS } from '@/core/wear/life-schools';
import { Field, FormProblem } from '@/ui/fields/Field';
import { Select } from '@/ui/fields/Select';
import { postJson } from '../post-json';
import { FormatChoices } from '../settings/ClinicFormats';
import { signIn } from '../sign-in/sign-in';
import { useApiForm } from '../use-api-form';

const EMPTY = { code: '', clinic: '', place: '', name: '', email: '', password: '' };
const PRESCRIBING = mapTable(SCHOOL_CHOICES, ({ label }) => label);
const REPLACING = mapTable(LIFE_SCHOOLS, ({ label }) => label);

/** The first clinic and its first lead; afterwards one is signed in and at Today. */
export function SetUpForm() {
  const { register, handleSubmit, refuse, formState, setError, setValue, watch } = useApiForm(setUpSchema, {
    ...EMPTY,
    formats: USUAL_FORMATS,
    school: 'balanced',
    lifeSchool: 'median',
  });
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async (wanted) => {
    const answer = await postJson('/api/set-up', wanted);
    if (!answer.ok) return refuse(answer);
    const entered = await signIn(wanted.email, wanted.password);
    if (entered.ok) location.assign('/people');
    else setError('root', { message: 'The clinic is set up. Sign in with what you typed here.' });
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
    <form onSubmit={submit} noValidate className="grid gap-3 [&>label]:max-w-md">
      {field('code', 'Code from the console')}
      {field('clinic', 'Name of the clinic', 'text', 'organization')}
      {field('place', 'Place', 'text', 'address-level2')}
      <fieldset className="my-2 max-w-2xl">
        <legend className="font-display text-lg">Formats and schools</legend>
        <p className="text-faint mb-2">All of this can be changed later.</p>
        <FormatChoices value={watch('formats')} onChange={(formats) => setValue('formats', formats)} />
        <div className="grid grid-cols-2 gap-x-8 mt-2">
          <Select
            label="School of prescribing"
            options={PRESCRIBING}
            value={watch('school')}
            onChange={(school) => school && setValue('school', school)}
          />
          <Select
            label="School of replacing"
            options={REPLACING}
            value={watch('lifeSchool')}
            onChange={(life) => life && setValue('lifeSchool', life)}
          />
        </div>
      </fieldset>
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
        Set up the clinic
      </button>
    </form>
  );
}
