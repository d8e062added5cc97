import { useState } from 'react';
import { call } from '@/contract/client';
import { erasureSchema } from '@/contract/patients-schema';
import { Field, FormProblem } from '@/ui/fields/Field';
import { useApiForm } from '../use-api-form';

/** What a person may ask for: a copy of everything, or that it is erased. */
export function OnePersonsData({ patientId, mayErase }: { patientId: string; mayErase: boolean }) {
  const [asked, setAsked] = useState(false);
  const [closed, setClosed] = useState<string | null>(null);
  const { register, handleSubmit, refuse, formState } = useApiForm(erasureSchema, {
    familyName: '',
    reason: '',
  });
  const { errors, isSubmitting } = formState;
  const erase = handleSubmit(async (body) => {
    const answer = await call('erasePatient', { params: { id: patientId }, body });
    if (!answer.ok) return refuse(answer);
    if (answer.value.because) setClosed(answer.value.because);
    else location.assign('/patients');
  });
  if (closed)
    return (
      <p role="status" className="mt-6 bg-desk p-4">
        The record is closed from view. {closed} Then it is erased automatically.{' '}
        <a href="/patients">Patients</a>
      </p>
    );
  return (
    <section aria-labelledby="data" className="mt-6 border-t border-rule pt-2">
      <h2 id="data">This person’s data</h2>
      <p className="flex gap-3 items-baseline">
        <a className="press" href={`/api/v1/patients/${patientId}/export`} download>
          Everything as an archive
        </a>
        <span className="text-faint">JSON and PDF, to hand over on request; each export is noted.</span>
      </p>
      {mayErase && !asked && (
        <p className="mt-2">
          <button type="button" className="press" onClick={() => setAsked(true)}>
            Erase …
          </button>
        </p>
      )}
      {asked && (
        <form onSubmit={erase} noValidate className="grid gap-3 max-w-md mt-3 bg-desk p-4">
          <p>
            Name, findings, prescriptions, sheets and notes go for good, here and in every backup that is
            restored later. That a visit took place, and how long a pair lasted, stays without a name. Ask
            first whether the law of your country obliges you to keep the record: where the clinic has a rule
            for that, the record is closed from view until its time is up.
          </p>
          <Field label="Family name, to be sure" error={errors.familyName?.message}>
            {(control) => <input autoComplete="off" {...register('familyName')} {...control} />}
          </Field>
          <Field label="Why" error={errors.reason?.message}>
            {(control) => <input {...register('reason')} {...control} />}
          </Field>
          <FormProblem message={errors.root?.message} />
          <div className="flex gap-3">
            <button type="button" className="press press-main" onClick={() => setAsked(false)}>
              Keep the record
            </button>
            <button type="submit" className="press" disabled={isSubmitting}>
              Erase for good
            </button>
          </div>
        </form>
      )}
    </section>
  );
}
