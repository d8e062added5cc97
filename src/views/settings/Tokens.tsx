import { useState } from 'react';
import { call, failureInWords } from '@/contract/client';
import { newTokenSchema } from '@/contract/people-schema';
import type { TokenRecord } from '@/contract/records';

import { Field, FormProblem } from '@/ui/fields/Field';
import { useApiForm } from '../use-api-form';

/** Personal access tokens for machines: made here, shown once, revoked here. */
export function Tokens({ tokens }: { tokens: TokenRecord[] }) {
  const [list, setList] = useState(tokens);
  const [fresh, setFresh] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const refresh = async () => {
    const answer = await call('tokens', {});
    if (answer.ok) setList(answer.value);
  };
  const { register, handleSubmit, reset, refuse, formState } = useApiForm(newTokenSchema, {
    name: '',
    days: 90,
  });
  const { errors, isSubmitting } = formState;
  const add = handleSubmit(async (token) => {
    const answer = await call('addToken', { body: token });
    if (!answer.ok) return refuse(answer);
    setFresh(answer.value.token);
    reset();
    await refresh();
  });
  const remove = async (id: string) => {
    const answer = await call('removeToken', { params: { id } });
    setProblem(answer.ok ? null : failureInWords(answer));
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
          Copy it now, it is not shown again: <code className="bg-desk px-2 py-1 break-all">{fresh}</code>
        </p>
      )}
      <ul className="my-2">
        {list.map((token) => (
          <li
            key={token.id}
            className="grid grid-cols-[1fr_12rem_12rem_auto] gap-3 items-baseline border-b border-line py-1"
          >
            <strong>{token.name}</strong>
            <span className="text-faint">until {token.expiresAt.slice(0, 10)}</span>
            <span className="text-faint">
              {token.lastUsedAt ? `used ${token.lastUsedAt.slice(0, 10)}` : 'not used yet'}
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
        <button type="submit" className="press" disabled={isSubmitting}>
          Make a token
        </button>
      </form>
      <FormProblem message={errors.root?.message} />
      {problem && (
        <p role="alert" className="problem">
          {problem}
        </p>
      )}
    </section>
  );
}
