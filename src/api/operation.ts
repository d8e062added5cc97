import type { z } from 'zod';

export type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

/** One call of the HTTP API: the endpoint, the typed client and the OpenAPI document all read it. */
export interface Operation<
  Params extends z.ZodObject = z.ZodObject,
  Query extends z.ZodObject = z.ZodObject,
  Body extends z.ZodType = z.ZodType,
  Answer = unknown,
> {
  id: string;
  method: Method;
  /** Below /api/v1, with {names} of path parameters. */
  path: string;
  summary: string;
  tag: string;
  params?: Params;
  query?: Query;
  body?: Body;
  /** JSON Schema of the answer for the document, where it is worth stating. */
  answer?: z.ZodType<Answer>;
  status?: 200 | 201 | 204;
  /** Media type of an answer that is a file and no JSON. */
  produces?: string;
  /** Roles that may call it; absent means everyone signed in. */
  roles?: readonly ('lead' | 'practitioner' | 'assistant')[];
  /** Body limit in bytes where it differs from the general one. */
  bodyLimit?: number;
}

export const operation = <
  P extends z.ZodObject = z.ZodObject,
  Q extends z.ZodObject = z.ZodObject,
  B extends z.ZodType = z.ZodType,
  A = unknown,
>(
  definition: Operation<P, Q, B, A>,
): Operation<P, Q, B, A> => definition;

/** RFC 9457 problem details, with one entry a field. */
export interface ProblemDetails {
  type: string;
  title: string;
  status: number;
  detail?: string;
  errors?: { path: (string | number)[]; message: string }[];
  /** What stands on the server, where somebody else saved first. */
  current?: unknown;
}
