import type { FieldError, ProblemDetails } from './operation';

/** An answer, or what went wrong: refused by the server, signed out, or not reached at all. */
export type Answer<T, Conflict = unknown> =
  | { ok: true; value: T }
  | { ok: false; kind: 'refused'; problem: ProblemDetails<Conflict> }
  | { ok: false; kind: 'signed-out' }
  | { ok: false; kind: 'offline' }
  | { ok: false; kind: 'cancelled' };

export type Failure = Exclude<Answer<unknown>, { ok: true }>;

/** Messages at fields of a refused call; empty for any other failure. */
export const fieldErrorsOf = (answer: Failure): FieldError[] =>
  answer.kind === 'refused' && answer.problem.code === 'invalid' ? answer.problem.errors : [];

/** One sentence for a failed call. */
export function failureInWords(answer: Failure): string {
  switch (answer.kind) {
    case 'offline':
      return 'The server cannot be reached. Nothing is lost; try again.';
    case 'signed-out':
      return 'You are signed out. Sign in again to go on.';
    case 'cancelled':
      return 'Cancelled.';
    case 'refused':
      return [answer.problem.title, ...fieldErrorsOf(answer).map(({ message }) => message)].join(' ');
  }
}

/** Message of the first error whose path ends in this field. */
export const errorAt = (answer: Answer<unknown> | null, field: string): string | undefined =>
  !answer || answer.ok
    ? undefined
    : fieldErrorsOf(answer).find((error) => error.path.at(-1) === field)?.message;
