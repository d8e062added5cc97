import pino from 'pino';

/** Structured log on standard error; patients appear by identifier only, never by name. */
export const log = pino({ level: process.env.SOVET_LOG ?? 'warn' }, pino.destination(2));
