import { z } from 'zod';
import { PROSTHESIS_BOUNDS, type ProsthesisSettings } from './settings';

const within = (id: keyof ProsthesisSettings) => {
  const [least, most] = PROSTHESIS_BOUNDS[id];
  return z.number().min(least, `From ${least} on.`).max(most, `Up to ${most}.`);
};

export const prosthesisSettingsSchema: z.ZodType<ProsthesisSettings> = z
  .strictObject({
    fineMm: within('fineMm'),
    cautionMm: within('cautionMm'),
    cautionDeg: within('cautionDeg'),
    stopMm: within('stopMm'),
    largestWedgeMm: within('largestWedgeMm'),
    firstWeeks: within('firstWeeks').int('Whole weeks.'),
  })
  .refine(({ fineMm, cautionMm, stopMm }) => fineMm <= cautionMm && cautionMm <= stopMm, {
    path: ['cautionMm'],
    message: 'Fine, caution and stop rise in this order.',
  });
