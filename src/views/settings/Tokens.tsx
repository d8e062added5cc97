import { type FormEvent, useState } from 'react';
import { call, sayWhy } from '@/api/client';
import type { TokenRecord } from '@/api/records';

/** Personal access tokens for machines: made here, shown once, revoked here. */
export function Tokens({ tokens }: { tokens: TokenRecord[] }) {
  const [list, setList] = useState(tokens);
  const [fresh, setFresh] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const refresh = async () => {
    const answer = await call<TokenRecord[]>('GET', '/tokens');
    if (answer.ok) setList(answer.value);
  };
  const add = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const data = new FormData(form);
    const answer = await call<{ token: string }>('POST', '/tokens', {
      name: String(data.get('name')),
      days: Number(data.get('days')),
    });
    setProblem(answer.ok ? null : sayWhy(answer));
    if (!answer.ok) return;
    setFresh(answer.value.token);
    form.reset();
    await refresh();
  };
  const remove = async (id: string) => {
    const answer = await call('DELETE', `/tokens/${id}`);
    setProblem(answer.ok ? null : sayWhy(answer));
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
      <form onSubmit={add} className="flex gap-3 items-end">
        <label>
          <span className="block text-faint">Name</span>
          <input name="name" required maxLength={120} />
        </label>
        <label>
          <span className="block text-faint">Days</span>
          <input name="days" type="number" min={1} max={365} defaultValue={90} required className="w-20" />
        </label>
        <button type="submit" className="press">
          Make a token
        </button>
      </form>
      {problem && (
        <p role="alert" className="problem">
          {problem}
        </p>
      )}
    </section>
  );
}
