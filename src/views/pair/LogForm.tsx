import { useState } from 'react';
import { z } from 'zod';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { pairLogSchema } from '@/contract/patients-schema';
import { parseDistance } from '@/core/units/distance';
import { parseNumber } from '@/core/units/quantity';
import type { Clock } from '@/core/wear/clocks';
import { RETIRED_BECAUSE, type RetiredBecause } from '@/core/wear/retired';
import { Field, FormProblem } from '@/ui/fields/Field';
import { FormDay } from '@/ui/fields/FormDay';
import { Select } from '@/ui/fields/Select';
import { clinicFormats } from '@/ui/formats';
import { typedNumber } from '../typed-number';
import { useApiForm } from '../use-api-form';

const formSchema = z.object({
  on: pairLogSchema.shape.on,
  distance: typedNumber((text) => parseDistance(text, clinicFormats().distance)),
  amount: typedNumber((text) => parseNumber(text, 'This is a number.')),
  comfort: typedNumber((text) => parseNumber(text, 'Comfort is a number from 0 to 100.')),
  note: z.string().max(600, 'Use at most 600 letters.'),
});

const AMOUNT_LABEL = { hours: 'Hours', 'hours-on-feet': 'Hours', 'days-worn': 'Days worn' } as const;

/** Use and comfort of a pair in its own clock, in whatever unit people type. */
export function LogForm({ pairId, today, clock }: { pairId: string; today: string; clock: Clock }) {
  const [because, setBecause] = useState<RetiredBecause>('worn-out');
  const { register, control, handleSubmit, setError, refuse, formState } = useApiForm(
    formSchema,
    { on: today, distance: '', amount: '', comfort: '', note: '' },
    { distanceKm: 'distance' },
  );
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async ({ on, distance, amount, comfort, note }) => {
    const answer = await call('logPair', {
      params: { id: pairId },
      body: { on, distanceKm: distance, amount, comfort, note },
    });
    if (answer.ok) location.reload();
    else refuse(answer);
  });
  const retire = async () => {
    const answer = await call('endPair', { params: { id: pairId }, body: { on: today, because } });
    if (answer.ok) location.reload();
    else setError('root', { message: failureInWords(answer) });
  };
  const text = (name: 'distance' | 'amount' | 'comfort' | 'note', label: string) => (
    <Field
      label={label}
      error={errors[name]?.message}
      className="grid-cols-[6.25rem_1fr] gap-x-2 items-baseline [&_.problem]:col-start-2"
    >
      {(control) => <input className="w-full" {...register(name)} {...control} />}
    </Field>
  );
  return (
    <form onSubmit={submit} noValidate className="grid gap-1.5 content-start" aria-label="Log use">
      <Field
        label="Day"
        error={errors.on?.message}
        className="grid-cols-[6.25rem_1fr] gap-x-2 items-baseline [&_.problem]:col-start-2"
      >
        {(attributes) => <FormDay control={control} name="on" {...attributes} />}
      </Field>
      {clock === 'km'
        ? text('distance', `Distance, ${clinicFormats().distance}`)
        : text('amount', AMOUNT_LABEL[clock])}
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
      <p>
        <Select<RetiredBecause>
          label="Retired because"
          options={RETIRED_BECAUSE}
          value={because}
          onChange={(chosen) => chosen && setBecause(chosen)}
        />
      </p>
    </form>
  );
}
