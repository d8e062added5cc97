import type { ProblemDetails } from './operation';

/** An answer, or what went wrong: refused by the server, signed out, or not reached at all. */
export type Answer<T> =
  | { ok: true; value: T }
  | { ok: false; kind: 'refused'; problem: ProblemDetails }
  | { ok: false; kind: 'signed-out' }
  | { ok: false; kind: 'offline' };

/** One call below /api/v1; `keepalive` lets it outlive the page. Never throws: a lost connection is a value like any other. */
export async function call<T>(
  method: string,
  path: string,
  body?: unknown,
  keepalive = false,
): Promise<Answer<T>> {
  let response: Response;
  try {
    response = await fetch(`/api/v1${path}`, {
      method,
      keepalive,
      headers: body === undefined ? {} : { 'content-type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
  } catch {
    return { ok: false, kind: 'offline' };
  }
  if (response.status === 401) return { ok: false, kind: 'signed-out' };
  if (response.status >= 502 && response.status <= 504) return { ok: false, kind: 'offline' };
  const answer = response.status === 204 ? null : await response.json().catch(() => null);
  if (response.ok) return { ok: true, value: answer as T };
  const problem = (answer as ProblemDetails | null) ?? {
    type: 'about:blank',
    title: 'The server did not answer properly.',
    status: response.status,
  };
  return { ok: false, kind: 'refused', problem };
}

/** One sentence for a failed call. */
export function sayWhy(answer: Exclude<Answer<unknown>, { ok: true }>): string {
  if (answer.kind === 'offline') return 'The server cannot be reached. Nothing is lost; try again.';
  if (answer.kind === 'signed-out') return 'You are signed out. Sign in again to go on.';
  const { title, errors } = answer.problem;
  return errors?.length ? `${title} ${errors.map((error) => error.message).join(' ')}` : title;
}

/** Message of the first error whose path ends in this field. */
export function errorAt(answer: Answer<unknown> | null, field: string): string | undefined {
  if (!answer || answer.ok || answer.kind !== 'refused') return undefined;
  return answer.problem.errors?.find((error) => error.path.at(-1) === field)?.message;
}
