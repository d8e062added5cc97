import pino from 'pino';

/** Failures whose own words can repeat what somebody entered. */
const TELLING = new Set(['SyntaxError', 'ZodError', 'DatabaseError', '$ZodError', 'error']);

interface Failure {
  name?: string;
  code?: unknown;
  message?: string;
  stack?: string;
  constraint?: unknown;
  table?: unknown;
  column?: unknown;
  routine?: unknown;
  cause?: unknown;
}

/**
 * A failure as the log may hold it: kind, code and place. The database repeats values in its messages, details and
 * hints, and so do parsers; those words stay out.
 */
export function failureForLog(error: unknown): Record<string, unknown> {
  const { name, code, message, stack, constraint, table, column, routine, cause } = (error ?? {}) as Failure;
  const fromDatabase = routine !== undefined || (typeof code === 'string' && /^[0-9A-Z]{5}$/.test(code));
  const isTelling = fromDatabase || TELLING.has(name ?? '');
  const frames = stack
    ?.split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 12);
  return {
    type: name ?? typeof error,
    ...(code === undefined ? {} : { code }),
    ...(isTelling || message === undefined ? {} : { message }),
    ...(fromDatabase ? { constraint, table, column, routine } : {}),
    ...(frames ? { stack: frames.join('\n') } : {}),
    ...(cause === undefined ? {} : { cause: failureForLog(cause) }),
  };
}

/** Structured log on standard error; patients appear by identifier only, never by name. */
export const log = pino(
  { level: process.env.SOVET_LOG ?? 'warn', serializers: { err: failureForLog } },
  pino.destination(2),
);
