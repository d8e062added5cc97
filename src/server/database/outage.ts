/** Codes of PostgreSQL (appendix A of its manual) and of the socket that say: not now, try again. */
const PASSING = new Set([
  '53300', // too many connections
  '55P03', // lock not available in time
  '57014', // statement timeout
  '57P01', // administrator shutdown
  '57P02', // crash shutdown
  '57P03', // cannot connect now: starting up
  '25P03', // idle-in-transaction timeout
  '40001', // serialization failure
  '40P01', // deadlock
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  'EAI_AGAIN',
]);

/** What the driver says in words only. */
const SAID =
  /^(Connection terminated|timeout exceeded when trying to connect|timeout expired|Query read timeout|Client has encountered a connection error)/;

/** The code that the database, the socket or the mail server gave a failure; null where it has none. */
export const codeOf = (error: unknown): string | null =>
  typeof error === 'object' && error !== null && 'code' in error && typeof error.code === 'string'
    ? error.code
    : null;

/** Whether a migration has changed a table under a kept plan that answers all of its columns. */
export const isOutdatedPlan = (error: unknown): boolean =>
  error instanceof Error && error.message.startsWith('cached plan must not change result type');

/** Whether a failure means that the database cannot answer just now: the same request succeeds later. */
export function isOutage(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const code = codeOf(error);
  if (code !== null && (PASSING.has(code) || code.startsWith('08'))) return true;
  if (SAID.test(error.message) || isOutdatedPlan(error)) return true;
  if (error instanceof AggregateError) return error.errors.some(isOutage);
  return error.cause !== undefined && isOutage(error.cause);
}

/** Whether a unique index refused a second row. */
export const isUniqueViolation = (error: unknown): boolean => codeOf(error) === '23505';
