import { z } from 'zod';
import { call, failureInWords } from '@/contract/client';
import { pairLogSchema } from '@/contract/patients-schema';
import { parseDistance } from '@/core/units/distance';
import { parseNumber } from '@/core/units/quantity';
import { Field, FormProblem } from '@/ui/fields/Field';
import { clinicFormats } from '@/ui/formats';
import { typedNumber } from '../typed-number';
import { useApiForm } from '../use-api-form';

const formSchema = z.object({
  on: pairLogSchema.shape.on,
  distance: typedNumber((text) => parseDistance(text, clinicFormats().distance)),
  comfort: typedNumber((text) => parseNumber(text, 'Comfort is a number from 0 to 100.')),
  note: z.string().max(600, 'Use at most 600 letters.'),
});

/** Distance and comfort of a pair, in whatever unit people type. */
export function LogForm({ pairId, today }: { pairId: string; today: string }) {
  const { register, handleSubmit, setError, refuse, formState } = useApiForm(
    formSchema,
    { on: today, distance: '', comfort: '', note: '' },
    { distanceKm: 'distance' },
  );
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async ({ on, distance, comfort, note }) => {
    const answer = await call('logPair', {
      params: { id: pairId },
      body: { on, distanceKm: distance, comfort, note },
    });
    if (answer.ok) location.reload();
    else refuse(answer);
  });
  const retire = async () => {
    const answer = await call('endPair', { params: { id: pairId }, body: { on: today } });
    if (answer.ok) location.reload();
    else setError('root', { message: failureInWords(answer) });
  };
  const text = (name: 'on' | 'distance' | 'comfort' | 'note', label: string, type = 'text') => (
    <Field
      label={label}
      error={errors[name]?.message}
      className="grid-cols-[5rem_1fr] gap-x-2 items-baseline [&_.problem]:col-start-2"
    >
      {(control) => <input type={type} className="w-full" {...register(name)} {...control} />}
    </Field>
  );
  return (
    <form onSubmit={submit} noValidate className="grid gap-1.5 content-start" aria-label="Log use">
      {text('on', 'Day', 'date')}
      {text('distance', `Distance, ${clinicFormats().distance}`)}
      {text('comfort', 'Comfort')}
      {text('note', 'Note')}
      <FormProblem message={errors.root?.message} />
      <p className="flex gap-2">
        <button type="submit" className="press press-main" disabled={isSubmitting}>
          Log
        </button>
        <button type="button" className="press" onClick={retire}>
          Retire the pair
        </button>
      </p>
    </form>
  );
}
