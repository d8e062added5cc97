import { z } from 'zod';

/** Local moment, as somebody lived it: `2030-06-15T17:30`. */
export const localMoment = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'Write day and time.')
  .meta({ example: '2031-06-15T17:30' });
