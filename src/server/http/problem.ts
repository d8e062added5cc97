import type { z } from 'zod';
import type { ProblemDetails } from '@/api/operation';
import type { Result } from '@/core/result';

/** An expected refusal on its way to the edge, where it becomes RFC 9457 problem details. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    title: string,
    readonly extra: Pick<ProblemDetails, 'detail' | 'errors' | 'current'> = {},
  ) {
    super(title);
  }
}

export const notFound = (what: string): Refusal => new Refusal(404, `${what} was not found.`);

export function problemResponse(status: number, title: string, extra: Refusal['extra'] = {}): Response {
  const body: ProblemDetails = { type: `urn:sovet:problem:${status}`, title, status, ...extra };
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/problem+json; charset=utf-8', 'cache-control': 'no-store' },
  });
}

/** Zod's issues as one entry a field. */
export const fieldErrors = (
  error: z.ZodError,
  under: (string | number)[] = [],
): { path: (string | number)[]; message: string }[] =>
  error.issues.map((issue) => ({
    path: [...under, ...(issue.path as (string | number)[])],
    message: issue.code === 'unrecognized_keys' ? `Unknown: ${issue.keys.join(', ')}.` : issue.message,
  }));

/** A core result as the answer, or its problem as a refusal. */
export function valueOrRefusal<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  const { path, message } = result.problem;
  throw new Refusal(422, 'Some values cannot be accepted.', { errors: [{ path, message }] });
}

/** What a page reads by an identifier from its address; null where there is no such thing. */
export async function orNotFound<T>(id: string, read: () => Promise<T>): Promise<T | null> {
  if (!/^[0-9a-f-]{36}$/i.test(id)) return null;
  return read().catch((error) => {
    if (error instanceof Refusal && error.status === 404) return null;
    throw error;
  });
}
