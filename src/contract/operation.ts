import type { z } from 'zod';
import type { Area } from './people-schema';
import type { Route } from './routes';

/** What is said of one call of the HTTP API beside its route: endpoint, client and OpenAPI document all read it. */
export interface Description {
  id: string;
  summary: string;
  /** The area that a token may be limited to. */
  tag: Area;
  params?: z.ZodObject;
  query?: z.ZodObject;
  body?: z.ZodType;
  /** What it answers as JSON; absent where it answers a file, a stream or nothing. */
  answer?: z.ZodType;
  /** What stands on the server instead, where a 409 says that somebody came first. */
  conflict?: z.ZodType;
  status?: 200 | 201 | 204;
  /** Asks by POST and changes nothing: a token that only reads may call it. */
  changesNothing?: true;
  /** Under this address the answer never changes: a browser keeps it, and asks no more. */
  staysAsItIs?: true;
  /** Media type of an answer that is a file or a stream and no single JSON value. */
  produces?: string;
  /** Body limit in bytes where it differs from the general one. */
  bodyLimit?: number;
}

export type Operation = Description & Route;

/** An operation under the exact type of its own schemas. */
export const operation = <const R extends Route, const D extends Description>(
  route: R,
  description: D,
): D & R => ({
  ...route,
  ...description,
});

type Part<O, K extends 'params' | 'query' | 'body'> = O extends { [P in K]: infer S extends z.ZodType }
  ? S
  : never;

/** What a use case gets of one part of a call, once it has been checked. */
export type Checked<O, K extends 'params' | 'query' | 'body'> = [Part<O, K>] extends [never]
  ? undefined
  : z.output<Part<O, K>>;

type Sent<O, K extends 'params' | 'query' | 'body'> = [Part<O, K>] extends [never]
  ? { [P in K]?: undefined }
  : { [P in K]: z.input<Part<O, K>> };

/** What a caller hands over, part by part. */
export type CallInput<O> = Sent<O, 'params'> & Partial<Sent<O, 'query'>> & Sent<O, 'body'>;

/** What an operation answers. */
export type AnswerOf<O> = O extends { answer: infer S extends z.ZodType } ? z.output<S> : null;

/** What a conflict carries. */
export type ConflictOf<O> = O extends { conflict: infer S extends z.ZodType } ? z.output<S> : undefined;

/** One message at one field. */
export interface FieldError {
  path: (string | number)[];
  message: string;
}

interface ProblemBase {
  type: string;
  title: string;
  status: number;
  detail?: string;
}

/** RFC 9457 problem details; `code` says which kind, and with it what else there is. */
export type ProblemDetails<Conflict = unknown> = ProblemBase &
  (
    | { code: 'invalid'; errors: FieldError[] }
    /** Somebody else came first; `current` is what stands on the server. */
    | { code: 'conflict'; current?: Conflict }
    | {
        code:
          | 'malformed'
          | 'signed-out'
          | 'forbidden'
          | 'not-found'
          | 'too-late'
          | 'too-large'
          | 'too-many'
          | 'unavailable'
          | 'failed';
      }
  );
export type ProblemCode = ProblemDetails['code'];

/** The code of each status that the server answers; any other is `failed`. */
export const CODE_OF_STATUS: Readonly<Record<number, ProblemCode>> = {
  400: 'malformed',
  401: 'signed-out',
  403: 'forbidden',
  404: 'not-found',
  408: 'too-late',
  409: 'conflict',
  413: 'too-large',
  422: 'invalid',
  429: 'too-many',
  503: 'unavailable',
};
