import { z } from 'zod';
import { isoDay } from '../calendar/iso-day';
import { keySchema } from '../tables/key-schema';
import { SKIN_SIGNS, type SkinSign } from './outcome';

const score = (most: number, what: string) =>
  z
    .number(`${what} is a number.`)
    .min(0, `${what} lies between 0 and ${most}.`)
    .max(most, `${what} lies between 0 and ${most}.`);
const name = z.string().trim().min(1, 'Give it a name.').max(60, 'Use at most 60 letters.');

/** Up to so many activities of the patient's own (handbook 09). */
export const MOST_ACTIVITIES = 3;

/** What was measured; at least one thing. */
export const measuresSchema = z.strictObject({
  comfort: score(100, 'Comfort').optional(),
  pain: score(10, 'Pain').optional(),
  activities: z
    .array(z.strictObject({ name, score: score(10, 'An activity') }))
    .max(MOST_ACTIVITIES, `Up to ${MOST_ACTIVITIES} activities.`)
    .optional(),
  hoursADay: score(24, 'Hours a day').optional(),
  daysAWeek: score(7, 'Days a week').optional(),
  skin: z.array(keySchema<SkinSign>(SKIN_SIGNS)).max(4).optional(),
  falls: z
    .int('Falls are a whole number.')
    .min(0, 'Falls are not negative.')
    .max(200, 'At most 200.')
    .optional(),
  questionnaires: z
    .array(
      z.strictObject({
        name,
        total: z.number('A total is a number.').min(-1000).max(1000),
        moreIsBetter: z.boolean(),
        realChange: z.number().min(0, 'A change is not negative.').max(1000).optional(),
      }),
    )
    .max(6)
    .optional(),
});
export type Measures = z.infer<typeof measuresSchema>;

export const outcomeSchema = measuresSchema
  .extend({ on: isoDay })
  .refine(({ on: _, ...measures }) => Object.values(measures).some((value) => value !== undefined), {
    path: ['comfort'],
    message: 'Write at least one measure.',
  });
