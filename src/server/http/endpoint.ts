import { randomUUID } from 'node:crypto';
import type { APIContext, APIRoute } from 'astro';
import type { z } from 'zod';
import type { AnswerOf, Checked, FieldError, Operation } from '@/contract/operation';
import type { Area } from '@/contract/people-schema';
import { isWithin, type SignedIn, signedIn } from '../auth/actor';
import { forgetEverybody } from '../auth/remembered';
import { isOutage, isUniqueViolation } from '../database/outage';
import { type Actor, asReader, asTenant, audit, type Tenant } from '../database/tenant';
import { forgetRecallOf } from '../services/recall/remembered';
import { readJson } from './body';
import { log } from './log';
import { fieldErrors, problemResponse, Refusal, unavailable } from './problem';
import { unkeepableText } from './text';

/** One call, every part of it checked. */
export interface Call<O> {
  params: Checked<O, 'params'>;
  query: Checked<O, 'query'>;
  body: Checked<O, 'body'>;
  /** For a use case that reads its body as it comes: a file of any size. */
  request: Request;
  /** The browser's session; null where a token asks. */
  sessionId: string | null;
}

/** What the contract says, or a response of its own where that is a file or a stream. */
type UseCaseAnswer<O> = O extends { produces: string } ? Response : AnswerOf<O>;

/** The origin a browser must send with a change, when it proves itself by cookie. */
export const expectedOrigin = (url: URL): string => process.env.SOVET_ORIGIN ?? url.origin;

/**
 * Turns one operation of the contract and its use case into an endpoint: sign-in, origin, role, body limit and
 * validation happen here, once; the use case runs inside the clinic's transaction.
 */
export function endpoint<const O extends Operation>(
  operation: O,
  useCase: (tenant: Tenant, call: Call<O>) => Promise<UseCaseAnswer<O>>,
): APIRoute {
  return answering(operation, (actor, call) => asTenant(actor, (tenant) => useCase(tenant, call)));
}

/** The same for what only reads, and may be a moment behind. */
export function readingEndpoint<const O extends Operation>(
  operation: O,
  useCase: (tenant: Tenant, call: Call<O>) => Promise<UseCaseAnswer<O>>,
): APIRoute {
  return answering(operation, (actor, call) => asReader(actor, (tenant) => useCase(tenant, call)));
}

/** The same for what may be remembered: the use case opens the records itself, where it does not know the answer. */
export function rememberingEndpoint<const O extends Operation>(
  operation: O,
  useCase: (actor: Actor, call: Call<O>) => Promise<UseCaseAnswer<O>>,
): APIRoute {
  return answering(operation, useCase);
}

/** The same for what reads no records: no connection to the database is held while it works. */
export function endpointWithoutRecords<const O extends Operation>(
  operation: O,
  useCase: (call: Call<O>) => Promise<UseCaseAnswer<O>>,
): APIRoute {
  return answering(operation, (_, call) => useCase(call));
}

/** What is changed here decides who may do what: it holds for the very next request. */
const DECIDES_WHO: ReadonlySet<Area> = new Set(['clinic', 'people']);

function answering<const O extends Operation>(
  operation: O,
  work: (actor: Actor, call: Call<O>) => Promise<unknown>,
): APIRoute {
  return async (context) => {
    let who: SignedIn | null = null;
    try {
      who = await signedIn(context.request.headers);
      if (!who) return problemResponse(401, 'Sign in to go on.');
      const changes = operation.method !== 'GET';
      if (
        changes &&
        who.by === 'cookie' &&
        context.request.headers.get('origin') !== expectedOrigin(context.url)
      )
        return problemResponse(403, 'This request came from another site.');
      if (who.by === 'token' && !isWithin(who.scope, changes && !asksOnly(operation), operation.tag))
        throw new Refusal(403, 'This token does not cover this.');
      if (who.by === 'cookie' && who.lacksSecondFactor)
        return problemResponse(403, 'This clinic asks for a second factor. Set it up first.');
      if (!operation.roles.includes(who.actor.role))
        throw new Refusal(403, `Only ${operation.roles.join(' or ')} may do this.`);
      const call = await readCall(operation, context, who.by === 'cookie' ? who.sessionId : null);
      const answer = await work(who.actor, call);
      if (changes) forgetRecallOf(who.actor.clinicId);
      if (changes && DECIDES_WHO.has(operation.tag)) forgetEverybody();
      // A use case that answers with a file brings its own response.
      if (answer instanceof Response) return answer;
      const status = operation.status ?? 200;
      return new Response(status === 204 ? null : JSON.stringify(answer ?? null), {
        status,
        headers: {
          'content-type': 'application/json; charset=utf-8',
          'cache-control': operation.staysAsItIs ? 'private, max-age=31536000, immutable' : 'no-store',
        },
      });
    } catch (error) {
      if (who && error instanceof Refusal && error.status === 403) await noteRefusal(who.actor, operation);
      return failed(error);
    }
  };
}

/** What somebody was not allowed to do stands in the trail; the refusal goes out whether or not it could be written. */
async function noteRefusal(actor: Actor, { id }: Operation): Promise<void> {
  await asTenant(actor, (tenant) => audit(tenant, 'refused', id, null)).catch((error) =>
    log.warn({ err: error }, 'a refusal could not be noted'),
  );
}

const asksOnly = ({ tag, changesNothing }: Operation): boolean =>
  changesNothing === true || tag === 'calculations';

async function readCall<O extends Operation>(
  operation: O,
  { params, url, request }: APIContext,
  sessionId: string | null,
): Promise<Call<O>> {
  const errors: FieldError[] = [];
  const check = (schema: z.ZodType | undefined, value: unknown, under: string[]): unknown => {
    if (!schema) return undefined;
    const bad = unkeepableText(value, under);
    if (bad.length > 0) {
      errors.push(...bad);
      return undefined;
    }
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
    sessionId,
  };
  if (errors.length > 0) throw new Refusal(422, 'Some values cannot be accepted.', { errors });
  // Each part has just passed its schema.
  return call as Call<O>;
}

/** The last stop of every failure: expected ones keep their words, others become a number to look up in the log. */
export function failed(error: unknown): Response {
  if (error instanceof Refusal) return problemResponse(error.status, error.message, error.extra);
  if (isOutage(error)) {
    log.warn({ err: error }, 'the database does not answer');
    return unavailable();
  }
  if (isUniqueViolation(error))
    return problemResponse(409, 'Somebody did the same at the same moment. Look again before you repeat it.');
  const reference = randomUUID().slice(0, 8);
  log.error({ err: error, reference }, 'unexpected failure');
  return problemResponse(500, 'Something went wrong here. Nothing you entered is lost.', {
    detail: `Reference ${reference}.`,
  });
}
