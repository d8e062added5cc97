import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { AREAS, type Area, newTokenSchema, TOKEN_ACCESS } from '@/contract/people-schema';
import type { TokenRecord } from '@/contract/records';
import { keysOf } from '@/core/tables/keys-of';
import { Field, FormProblem } from '@/ui/fields/Field';
import { writtenDay } from '@/ui/formats';
import { useApiForm } from '../use-api-form';

/** Personal access tokens for machines: made here, shown once, revoked here. */
export function Tokens({ tokens }: { tokens: TokenRecord[] }) {
  const [list, setList] = useState(tokens);
  const [fresh, setFresh] = useState<{ token: string; isCalendar: boolean } | null>(null);
  const [problem, setProblem] = useState<string>();
  const refresh = async () => {
    const answer = await call('tokens', {});
    if (answer.ok) setList(answer.value);
  };
  const { register, handleSubmit, reset, refuse, formState } = useApiForm(newTokenSchema, {
    name: '',
    days: 90,
    access: 'read' as const,
  });
  const [areas, setAreas] = useState<ReadonlySet<Area> | null>(null);
  const { errors, isSubmitting } = formState;
  const add = handleSubmit(async (token) => {
    if (areas?.size === 0) return setProblem('Choose at least one area.');
    setProblem(undefined);
    const answer = await call('addToken', { body: { ...token, ...(areas ? { areas: [...areas] } : {}) } });
    if (!answer.ok) return refuse(answer);
    setFresh({ token: answer.value.token, isCalendar: areas?.size === 1 && areas.has('calendar') });
    reset();
    setAreas(null);
    await refresh();
  });
  const remove = async (id: string) => {
    const answer = await call('removeToken', { params: { id } });
    setProblem(answer.ok ? undefined : failureInWords(answer));
    await refresh();
  };
  return (
    <section aria-labelledby="tokens" className="border-t border-rule pt-2 mt-5">
      <h2 id="tokens">Access tokens</h2>
      <p className="text-faint">
        For programs that speak to the API as you. Send one as “Authorization: Bearer …”.
      </p>
      {fresh && (
        <p role="status" className="my-2">
          Copy it now, it is not shown again:{' '}
          <code className="bg-desk px-2 py-1 break-all">{fresh.token}</code>
          {fresh.isCalendar && (
            <>
              {' '}
              A calendar program subscribes to{' '}
              <code className="bg-desk px-2 py-1 break-all">{`${location.origin}/calendar/${fresh.token}.ics`}</code>
            </>
          )}
        </p>
      )}
      <ul className="my-2">
        {list.map((token) => (
          <li
            key={token.id}
            className="grid md:grid-cols-[1fr_16rem_10rem_10rem_auto] gap-3 items-baseline border-b border-line py-1"
          >
            <strong>{token.name}</strong>
            <span>
              {TOKEN_ACCESS[token.access]}:{' '}
              {token.areas?.map((area) => AREAS[area]).join(', ') ?? 'every area'}
            </span>
            <span className="text-faint">until {writtenDay(token.expiresAt)}</span>
            <span className="text-faint">
              {token.lastUsedAt ? `used ${writtenDay(token.lastUsedAt)}` : 'not used yet'}
            </span>
            <button type="button" className="press" onClick={() => remove(token.id)}>
              Revoke
            </button>
          </li>
        ))}
      </ul>
      <form onSubmit={add} noValidate className="flex gap-3 items-end">
        <Field label="Name" error={errors.name?.message}>
          {(control) => <input {...register('name')} {...control} />}
        </Field>
        <Field label="Days" error={errors.days?.message}>
          {(control) => (
            <input
              type="number"
              className="w-20"
              {...register('days', { valueAsNumber: true })}
              {...control}
            />
          )}
        </Field>
        <Field label="May" error={errors.access?.message}>
          {(control) => (
            <select {...register('access')} {...control}>
              <option value="read">read only</option>
              <option value="write">read and change</option>
            </select>
          )}
        </Field>
        <button type="submit" className="press" disabled={isSubmitting}>
          Make a token
        </button>
      </form>
      <fieldset className="mt-2">
        <legend className="text-faint">Areas</legend>
        <label className="mr-4">
          <input
            type="checkbox"
            checked={areas === null}
            onChange={() => setAreas(areas ? null : new Set())}
          />{' '}
          every area
        </label>
        {areas !== null &&
          keysOf(AREAS).map((area) => (
            <label key={area} className="mr-4">
              <input
                type="checkbox"
                checked={areas.has(area)}
                onChange={() => {
                  const next = new Set(areas);
                  if (!next.delete(area)) next.add(area);
                  setAreas(next);
                }}
              />{' '}
              {AREAS[area]}
            </label>
          ))}
      </fieldset>
      <FormProblem message={errors.root?.message} />
      <FormProblem message={problem} />
    </section>
  );
}
