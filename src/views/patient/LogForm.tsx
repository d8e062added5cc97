import { useId } from 'react';
import { type FieldPath, useForm } from 'react-hook-form';
import { call, sayWhy } from '@/api/client';
import { parseDistance } from '@/core/units/distance';

interface Fields {
  on: string;
  distance: string;
  comfort: string;
  note: string;
}

/** Distance and comfort of a pair, in whatever unit people type. */
export function LogForm({ pairId, today }: { pairId: string; today: string }) {
  const id = useId();
  const { register, handleSubmit, setError, formState } = useForm<Fields>({
    defaultValues: { on: today, distance: '', comfort: '', note: '' },
  });
  const { errors, isSubmitting } = formState;
  const submit = handleSubmit(async ({ on, distance, comfort, note }) => {
    const km = distance.trim() === '' ? null : parseDistance(distance);
    if (km && !km.ok) return setError('distance', { message: km.problem.message }, { shouldFocus: true });
    const felt = comfort.trim() === '' ? null : Number(comfort.replace(',', '.'));
    if (felt !== null && !Number.isFinite(felt))
      return setError('comfort', { message: 'Comfort is a number from 0 to 100.' }, { shouldFocus: true });
    const answer = await call('POST', `/pairs/${pairId}/log`, {
      on,
      distanceKm: km?.value ?? null,
      comfort: felt,
      note,
    });
    if (answer.ok) return location.reload();
    const named = answer.kind === 'refused' ? (answer.problem.errors ?? []) : [];
    for (const { path, message } of named)
      setError(
        (path.at(-1) === 'distanceKm' ? 'distance' : String(path.at(-1))) as FieldPath<Fields>,
        { message },
        { shouldFocus: true },
      );
    if (named.length === 0) setError('root', { message: sayWhy(answer) });
  });
  const end = async () => {
    const answer = await call('POST', `/pairs/${pairId}/end`, { on: today });
    if (answer.ok) location.reload();
    else setError('root', { message: sayWhy(answer) });
  };
  const field = (name: keyof Fields, label: string, type = 'text') => (
    <label className="grid grid-cols-[5rem_1fr] gap-2 items-baseline" htmlFor={`${id}-${name}`}>
      <span className="text-faint">{label}</span>
      <span>
        <input
          id={`${id}-${name}`}
          type={type}
          className="w-full"
          {...register(name)}
          aria-invalid={errors[name] !== undefined}
          aria-describedby={errors[name] ? `${id}-${name}-error` : undefined}
        />
        {errors[name] && (
          <span id={`${id}-${name}-error`} className="problem block">
            {errors[name].message}
          </span>
        )}
      </span>
    </label>
  );
  return (
    <form onSubmit={submit} noValidate className="grid gap-1.5 content-start" aria-label="Log use">
      {field('on', 'Day', 'date')}
      {field('distance', 'Distance')}
      {field('comfort', 'Comfort')}
      {field('note', 'Note')}
      {errors.root && (
        <p role="alert" className="problem">
          {errors.root.message}
        </p>
      )}
      <p className="flex gap-2">
        <button type="submit" className="press press-main" disabled={isSubmitting}>
          Log
        </button>
        <button type="button" className="press" onClick={end}>
          Retire the pair
        </button>
      </p>
    </form>
  );
}
