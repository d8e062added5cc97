import { z } from 'zod';
import { isoDay } from '../calendar/iso-day';
import { SIDES } from '../findings/finding-kinds';
import { definitionOf, FINDINGS } from '../findings/findings';
import { COMFORT_ZONES, type ComfortZone } from '../fitting/try-on';
import type { SpotPlace } from '../hot-spot/causes';
import { keySchema } from '../tables/key-schema';
import { GAIT_MEASURES, gaitName, sidesOf } from './gait-number';
import { SKIN_SIGNS, type SkinSign } from './outcome';

const score = (most: number, what: string) =>
  z
    .number(`${what} is a number.`)
    .min(0, `${what} lies between 0 and ${most}.`)
    .max(most, `${what} lies between 0 and ${most}.`);
const name = z.string().trim().min(1, 'Give it a name.').max(60, 'Use at most 60 letters.');

/** Up to so many activities of the patient's own (handbook 09). */
export const MOST_ACTIVITIES = 3;

const skinSign = keySchema<SkinSign>(SKIN_SIGNS);

const gaitNumberSchema = z
  .strictObject({
    measure: z.enum(GAIT_MEASURES),
    side: z.enum(SIDES).nullable(),
    value: z.number('A number of the gait is a number.'),
  })
  .superRefine((given, context) => {
    const { measure, side, value } = given;
    const definition = definitionOf(measure);
    if (!sidesOf(measure).includes(side))
      context.addIssue({
        code: 'custom',
        path: ['side'],
        message: `${definition.label}: say which side, or none.`,
      });
    if (definition.kind !== 'number') return;
    const [least, most] = definition.possible;
    if (value < least || value > most)
      context.addIssue({
        code: 'custom',
        path: ['value'],
        message: `${gaitName(given)} lies between ${least} and ${most}.`,
      });
  });

/** What was measured; at least one thing. */
export const measuresSchema = z.strictObject({
  comfort: score(100, 'Comfort').optional(),
  zones: z.partialRecord(keySchema<ComfortZone>(COMFORT_ZONES), score(100, 'Comfort').optional()).optional(),
  pain: score(10, 'Pain').optional(),
  activities: z
    .array(z.strictObject({ name, score: score(10, 'An activity') }))
    .max(MOST_ACTIVITIES, `Up to ${MOST_ACTIVITIES} activities.`)
    .optional(),
  hoursADay: score(24, 'Hours a day').optional(),
  daysAWeek: score(7, 'Days a week').optional(),
  skin: z.array(skinSign).max(4).optional(),
  skinAt: z
    .array(
      z.strictObject({
        side: z.enum(SIDES),
        place: keySchema<SpotPlace>(FINDINGS.rubbedAt.options),
        sign: skinSign,
      }),
    )
    .max(40)
    .optional(),
  gait: z.array(gaitNumberSchema).max(12).optional(),
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
