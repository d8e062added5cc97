import { randomUUID } from 'node:crypto';
import type { APIContext, APIRoute } from 'astro';
import type { z } from 'zod';
import type { Operation } from '@/api/operation';
import { signedIn } from '../auth/actor';
import { asTenant, type Tenant } from '../database/tenant';
import { readJson } from './body';
import { log } from './log';
import { fieldErrors, problemResponse, Refusal } from './problem';

type Parsed<T> = T extends z.ZodType ? z.infer<T> : undefined;

export interface Call<P, Q, B> {
  params: P;
  query: Q;
  body: B;
  /** For a use case that reads its body as it comes: a file of any size. */
  request: Request;
}

/** The origin a browser must send with a change, when it proves itself by cookie. */
export const expectedOrigin = (url: URL): string => process.env.SOVET_ORIGIN ?? url.origin;

/**
 * Turns one operation of the contract and its use case into an endpoint: sign-in, origin, role, body limit and
 * validation happen here, once; the use case runs inside the clinic's transaction.
 */
export function endpoint<P extends z.ZodObject, Q extends z.ZodObject, B extends z.ZodType, A>(
  operation: Operation<P, Q, B, A>,
  useCase: (tenant: Tenant, call: Call<Parsed<P>, Parsed<Q>, Parsed<B>>) => Promise<unknown>,
): APIRoute {
  return async (context) => {
    try {
      const who = await signedIn(context.request.headers);
      if (!who) return problemResponse(401, 'Sign in to go on.');
      const changes = operation.method !== 'GET';
      if (
        changes &&
        who.by === 'cookie' &&
        context.request.headers.get('origin') !== expectedOrigin(context.url)
      )
        return problemResponse(403, 'This request came from another site.');
      if (operation.roles && !operation.roles.includes(who.actor.role))
        return problemResponse(403, `Only ${operation.roles.join(' or ')} may do this.`);
      const call = await readCall(operation, context);
      const answer = await asTenant(who.actor, (tenant) => useCase(tenant, call));
      // A use case that answers with a file brings its own response.
      if (answer instanceof Response) return answer;
      const status = operation.status ?? 200;
      return new Response(status === 204 ? null : JSON.stringify(answer ?? null), {
        status,
        headers: { 'content-type': 'application/json; charset=utf-8', 'cache-control': 'no-store' },
      });
    } catch (error) {
      return failed(error);
    }
  };
}

async function readCall<P extends z.ZodObject, Q extends z.ZodObject, B extends z.ZodType, A>(
  operation: Operation<P, Q, B, A>,
  { params, url, request }: APIContext,
): Promise<Call<Parsed<P>, Parsed<Q>, Parsed<B>>> {
  const errors: { path: (string | number)[]; message: string }[] = [];
  const check = (schema: z.ZodType | undefined, value: unknown, under: string[]): unknown => {
    if (!schema) return undefined;
    const result = schema.safeParse(value);
    if (!result.success) errors.push(...fieldErrors(result.error, under));
    return result.data;
  };
  const call = {
    params: check(operation.params, params, ['path']),
    query: check(operation.query, Object.fromEntries(url.searchParams), ['query']),
    body: operation.body
      ? check(operation.body, (await readJson(request, operation.bodyLimit)) ?? {}, [])
      : undefined,
    request,
  };
  if (errors.length > 0) throw new Refusal(422, 'Some values cannot be accepted.', { errors });
  return call as Call<Parsed<P>, Parsed<Q>, Parsed<B>>;
}

/** The last stop of every failure: expected ones keep their words, others become a number to look up in the log. */
export function failed(error: unknown): Response {
  if (error instanceof Refusal) return problemResponse(error.status, error.message, error.extra);
  const reference = randomUUID().slice(0, 8);
  log.error({ err: error, reference }, 'unexpected failure');
  return problemResponse(500, 'Something went wrong here. Nothing you entered is lost.', {
    detail: `Reference ${reference}.`,
  });
}
