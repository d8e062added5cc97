import { z } from 'zod';
import { call } from '@/contract/client';
import { patientSchema } from '@/contract/patients-schema';
import type { PatientRecord } from '@/contract/records';
import { CONTACT_WAYS } from '@/core/contact/reach';
import { FINDINGS } from '@/core/findings/findings';
import { keysOf } from '@/core/tables/keys-of';
import { parseLength } from '@/core/units/length';
import { Field, FormProblem } from '@/ui/fields/Field';
import { FormDay } from '@/ui/fields/FormDay';
import { useApiForm } from '../use-api-form';

/** A height as people type it, `172`, `172 cm` or `5 ft 8 in`, in whole millimetres. */
const typedHeight = z.string().transform((typed, context) => {
  if (typed.trim() === '') return undefined;
  const read = parseLength(typed, 'cm');
  if (read.ok) return Math.round(read.value);
  context.addIssue({ code: 'custom', message: read.problem.message });
  return z.NEVER;
});

const { givenName, familyName, bornOn, sizingGroup } = patientSchema.shape;
const formSchema = z.object({
  givenName,
  familyName,
  bornOn,
  sizingGroup,
  height: typedHeight,
  occupation: z.string().max(200, 'Use at most 200 letters.'),
  phone: patientSchema.shape.phone.unwrap(),
  email: patientSchema.shape.email.unwrap(),
  address: patientSchema.shape.address.unwrap(),
  contactBy: patientSchema.shape.contactBy.unwrap(),
  language: patientSchema.shape.language.unwrap(),
});

const SIZES = FINDINGS.sizingGroup.options;

/** What a record says of the person: nothing of visits and pairs. */
export type PersonRecord = Pick<
  PatientRecord,
  | 'id'
  | 'givenName'
  | 'familyName'
  | 'bornOn'
  | 'sizingGroup'
  | 'heightMm'
  | 'occupation'
  | 'phone'
  | 'email'
  | 'address'
  | 'contactBy'
  | 'language'
>;

/** A new patient, or one whose record is put right; the server's word on each field appears at the field. */
export function PatientForm({
  patient,
  languages,
}: {
  patient?: PersonRecord;
  /** Languages that a sheet can be written in. */
  languages: readonly { language: string; name: string }[];
}) {
  const { register, control, handleSubmit, refuse, formState } = useApiForm(
    formSchema,
    {
      givenName: patient?.givenName ?? '',
      familyName: patient?.familyName ?? '',
      bornOn: patient?.bornOn ?? '',
      sizingGroup: patient?.sizingGroup ?? 'women',
      height: patient?.heightMm ? `${patient.heightMm / 10} cm` : '',
      occupation: patient?.occupation ?? '',
      phone: patient?.phone ?? '',
      email: patient?.email ?? '',
      address: patient?.address ?? '',
      contactBy: patient?.contactBy ?? 'phone',
      language: patient?.language ?? 'en',
    },
    { heightMm: 'height' },
  );
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async ({ height, ...typed }) => {
    const answer = patient
      ? await call('changePatient', {
          params: { id: patient.id },
          body: { ...typed, heightMm: height ?? null },
        })
      : await call('addPatient', {
          body: { ...typed, ...(height === undefined ? {} : { heightMm: height }) },
        });
    if (answer.ok) location.assign(`/patients/${answer.value.id}`);
    else refuse(answer);
  });
  const text = (
    name: 'givenName' | 'familyName' | 'height' | 'occupation' | 'phone' | 'email' | 'address',
    label: string,
    type = 'text',
    hint?: string,
  ) => (
    <Field label={label} hint={hint} error={errors[name]?.message}>
      {(control) => <input type={type} {...register(name)} {...control} />}
    </Field>
  );
  return (
    <form
      onSubmit={submit}
      noValidate
      className="grid md:grid-cols-2 gap-x-6 gap-y-3 max-w-3xl items-start content-start"
    >
      {text('givenName', 'Given name')}
      {text('familyName', 'Family name')}
      <Field label="Date of birth" error={errors.bornOn?.message}>
        {(attributes) => <FormDay control={control} name="bornOn" {...attributes} />}
      </Field>
      <Field label="Shoe sizing" error={errors.sizingGroup?.message}>
        {(control) => (
          <select {...register('sizingGroup')} {...control}>
            {keysOf(SIZES).map((group) => (
              <option key={group} value={group}>
                {SIZES[group]}
              </option>
            ))}
          </select>
        )}
      </Field>
      {text('height', 'Height', 'text', '172 cm, 5 ft 8 in')}
      {text('occupation', 'Occupation')}
      {text('phone', 'Phone', 'tel')}
      {text('email', 'E-mail', 'email')}
      {text('address', 'Address')}
      <Field label="Reached by" error={errors.contactBy?.message}>
        {(control) => (
          <select {...register('contactBy')} {...control}>
            {keysOf(CONTACT_WAYS).map((way) => (
              <option key={way} value={way}>
                {CONTACT_WAYS[way]}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Language of their sheets" error={errors.language?.message}>
        {(control) => (
          <select {...register('language')} {...control}>
            {languages.map(({ language, name }) => (
              <option key={language} value={language}>
                {name}
              </option>
            ))}
          </select>
        )}
      </Field>
      <div className="md:col-span-2">
        <FormProblem message={errors.root?.message} />
      </div>
      <button type="submit" className="press press-main justify-self-start" disabled={isSubmitting}>
        {patient ? 'Save' : 'Add'}
      </button>
    </form>
  );
}
