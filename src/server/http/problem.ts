import { z } from 'zod';
import { CODE_OF_STATUS, type FieldError, type ProblemDetails } from '@/contract/operation';
import type { Result } from '@/core/result/result';

interface RefusalExtra {
  detail?: string;
  errors?: FieldError[];
  /** What stands on the server, where somebody else came first. */
  current?: unknown;
}

/** An expected refusal on its way to the edge, where it becomes RFC 9457 problem details. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    title: string,
    readonly extra: RefusalExtra = {},
  ) {
    super(title);
  }
}

/** A refusal at one field. */
export const refusedAt = (field: string, message: string): Refusal =>
  new Refusal(422, 'Some values cannot be accepted.', { errors: [{ path: [field], message }] });

export const notFound = (what: string): Refusal => new Refusal(404, `${what} was not found.`);

function problemDetails(status: number, title: string, extra: RefusalExtra): ProblemDetails {
  const code = CODE_OF_STATUS[status] ?? 'failed';
  const base = {
    type: `urn:sovet:problem:${code}`,
    title,
    status,
    ...(extra.detail === undefined ? {} : { detail: extra.detail }),
  };
  if (code === 'invalid') return { ...base, code, errors: extra.errors ?? [] };
  if (code === 'conflict') return { ...base, code, ...(extra.current ? { current: extra.current } : {}) };
  return { ...base, code };
}

export const problemResponse = (status: number, title: string, extra: RefusalExtra = {}): Response =>
  new Response(JSON.stringify(problemDetails(status, title, extra)), {
    status,
    headers: { 'content-type': 'application/problem+json; charset=utf-8', 'cache-control': 'no-store' },
  });

/** What is said while the database is away. */
export const AWAY =
  'The records cannot be reached just now. What you entered is kept; try again in a moment.';
export const RETRY_SECONDS = 2;

export function unavailable(): Response {
  const response = problemResponse(503, AWAY);
  response.headers.set('retry-after', String(RETRY_SECONDS));
  return response;
}

/** Zod's issues as one entry a field. */
export const fieldErrors = (error: z.ZodError, under: (string | number)[] = []): FieldError[] =>
  error.issues.map((issue) => ({
    path: [...under, ...issue.path.map((part) => (typeof part === 'symbol' ? String(part) : part))],
    message: issue.code === 'unrecognized_keys' ? `Unknown: ${issue.keys.join(', ')}.` : issue.message,
  }));

/** A core result as the answer, or its problem as a refusal. */
export function valueOrRefusal<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  const { path, message } = result.problem;
  throw new Refusal(422, 'Some values cannot be accepted.', { errors: [{ path, message }] });
}

/** Whether a text is an identifier of a record. */
export const isId = (text: string): boolean => z.uuid().safeParse(text).success;

/** What a page reads by an identifier from its address; null where there is no such thing. */
export async function orNotFound<T>(id: string, read: () => Promise<T>): Promise<T | null> {
  if (!isId(id)) return null;
  return read().catch((error) => {
    if (error instanceof Refusal && error.status === 404) return null;
    throw error;
  });
}
