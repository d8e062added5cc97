import { z } from 'zod';
import type { OutcomeRecord } from '@/contract/answers/outcomes';
import { call } from '@/contract/client';
import { pairLogSchema } from '@/contract/patients-schema';
import { SKIN_SIGNS, type SkinSign } from '@/core/outcomes/outcome';
import { MOST_ACTIVITIES } from '@/core/outcomes/schema';
import { isKeyOf, keysOf } from '@/core/tables/keys-of';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { parseNumber } from '@/core/units/quantity';
import { Field, FormProblem } from '@/ui/fields/Field';
import { typedNumber } from '../typed-number';
import { useApiForm } from '../use-api-form';

const figure = (says: string) => typedNumber((text) => parseNumber(text, says));
const formSchema = z.object({
  on: pairLogSchema.shape.on,
  comfort: figure('Comfort is a number from 0 to 100.'),
  pain: figure('Pain is a number from 0 to 10.'),
  hoursADay: figure('Hours a day are a number.'),
  daysAWeek: figure('Days a week are a number.'),
  falls: figure('Falls are a whole number.'),
  skin: z.array(z.string()),
  activities: z.array(
    z.object({ name: z.string().max(60, 'Use at most 60 letters.'), score: figure('From 0 to 10.') }),
  ),
  questionnaire: z.string().max(60, 'Use at most 60 letters.'),
  total: figure('A total is a number.'),
  moreIsBetter: z.boolean(),
  realChange: figure('This is a number.'),
});

const isSign = (sign: string): sign is SkinSign => isKeyOf(SKIN_SIGNS, sign);

interface Props {
  pairId: string;
  today: string;
  /** Named the last time; they are asked again by the same names. */
  activities: readonly string[];
  onKept: (record: OutcomeRecord) => void;
}

/** The measures of one day; what is left empty was not asked. */
export function OutcomeForm({ pairId, today, activities, onKept }: Props) {
  const { register, handleSubmit, refuse, formState } = useApiForm(
    formSchema,
    {
      on: today,
      comfort: '',
      pain: '',
      hoursADay: '',
      daysAWeek: '',
      falls: '',
      skin: [],
      activities: Array.from({ length: MOST_ACTIVITIES }, (_, at) => ({
        name: activities[at] ?? '',
        score: '',
      })),
      questionnaire: '',
      total: '',
      moreIsBetter: true,
      realChange: '',
    },
    { name: 'questionnaire' },
  );
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async (typed) => {
    const own = typed.activities.flatMap(({ name, score }) =>
      name.trim() !== '' && score !== null ? [{ name: name.trim(), score }] : [],
    );
    const { questionnaire, total, moreIsBetter, realChange } = typed;
    const answer = await call('keepOutcome', {
      params: { id: pairId },
      body: {
        on: typed.on,
        ...omitUndefined({
          comfort: typed.comfort ?? undefined,
          pain: typed.pain ?? undefined,
          hoursADay: typed.hoursADay ?? undefined,
          daysAWeek: typed.daysAWeek ?? undefined,
          falls: typed.falls ?? undefined,
          skin: typed.skin.length > 0 ? typed.skin.filter(isSign) : undefined,
          activities: own.length > 0 ? own : undefined,
          questionnaires:
            questionnaire.trim() !== '' && total !== null
              ? [
                  omitUndefined({
                    name: questionnaire.trim(),
                    total,
                    moreIsBetter,
                    realChange: realChange ?? undefined,
                  }),
                ]
              : undefined,
        }),
      },
    });
    if (answer.ok) onKept(answer.value);
    else refuse(answer);
  });
  const number = (name: 'comfort' | 'pain' | 'hoursADay' | 'daysAWeek' | 'falls', label: string) => (
    <Field
      label={label}
      error={errors[name]?.message}
      className="grid-cols-[11rem_5rem] gap-x-2 items-baseline [&_.problem]:col-span-2"
    >
      {(control) => (
        <input className="figure text-right" inputMode="decimal" {...register(name)} {...control} />
      )}
    </Field>
  );
  return (
    <form onSubmit={submit} noValidate className="grid gap-1.5 content-start" aria-label="Measures of a day">
      <h3>Measures of a day</h3>
      <Field label="Day" error={errors.on?.message} className="grid-cols-[11rem_auto] gap-x-2 items-baseline">
        {(control) => <input type="date" max={today} {...register('on')} {...control} />}
      </Field>
      {number('comfort', 'Comfort, 0–100')}
      {number('pain', 'Pain at its site, 0–10')}
      <fieldset className="grid gap-1">
        <legend className="text-faint">What they want to do, 0 not at all, 10 as before</legend>
        {Array.from({ length: MOST_ACTIVITIES }, (_, at) => (
          <div key={at} className="grid grid-cols-[11rem_5rem] gap-2">
            <input
              aria-label={`Activity ${at + 1}`}
              placeholder="stairs, market …"
              {...register(`activities.${at}.name`)}
            />
            <input
              aria-label={`Activity ${at + 1}, 0–10`}
              className="figure text-right"
              inputMode="decimal"
              aria-invalid={errors.activities?.[at]?.score ? true : undefined}
              {...register(`activities.${at}.score`)}
            />
          </div>
        ))}
        {errors.activities && <span className="problem">From 0 to 10.</span>}
      </fieldset>
      {number('hoursADay', 'Worn, hours a day')}
      {number('daysAWeek', 'Worn, days a week')}
      {number('falls', 'Falls and near-falls')}
      <fieldset>
        <legend className="text-faint">Skin where it is worn</legend>
        <div className="flex flex-wrap gap-x-4">
          {keysOf(SKIN_SIGNS).map((sign) => (
            <label key={sign}>
              <input type="checkbox" value={sign} {...register('skin')} /> {SKIN_SIGNS[sign]}
            </label>
          ))}
        </div>
      </fieldset>
      <details>
        <summary className="cursor-pointer text-faint">A questionnaire’s total</summary>
        <div className="grid gap-1 mt-1">
          <Field label="Which" error={errors.questionnaire?.message}>
            {(control) => <input {...register('questionnaire')} {...control} />}
          </Field>
          <Field label="Total" error={errors.total?.message}>
            {(control) => <input inputMode="decimal" {...register('total')} {...control} />}
          </Field>
          <label>
            <input type="checkbox" {...register('moreIsBetter')} /> more is better
          </label>
          <Field label="Smallest real change, as published" error={errors.realChange?.message}>
            {(control) => <input inputMode="decimal" {...register('realChange')} {...control} />}
          </Field>
          <p className="text-faint text-xs">
            Only the total: the items of a licensed questionnaire stay with it.
          </p>
        </div>
      </details>
      <FormProblem message={errors.root?.message} />
      <p>
        <button type="submit" className="press press-main" disabled={isSubmitting}>
          Keep the measures
        </button>
      </p>
    </form>
  );
}
