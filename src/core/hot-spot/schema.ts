import { z } from 'zod';
import { SIDES } from '../findings/finding-kinds';
import { FINDINGS } from '../findings/findings';
import { keySchema } from '../tables/key-schema';
import type { SpotPlace } from './causes';
import { QUESTIONS } from './questions';

const answer = <Q extends keyof typeof QUESTIONS>(question: Q) =>
  keySchema<keyof (typeof QUESTIONS)[Q]['options'] & string>(QUESTIONS[question].options).optional();

/** A hot spot or a blister that was looked into: where, and what was answered beyond what was known. */
export const hotSpotSchema = z.strictObject({
  side: z.enum(SIDES),
  place: keySchema<SpotPlace>(FINDINGS.rubbedAt.options),
  answers: z.strictObject({
    age: answer('age'),
    lacing: answer('lacing'),
    feet: answer('feet'),
    hills: answer('hills'),
    camber: answer('camber'),
    wet: answer('wet'),
    sock: answer('sock'),
    pinch: answer('pinch'),
    arch: answer('arch'),
    insert: answer('insert'),
    steps: answer('steps'),
    sound: answer('sound'),
    room: answer('room'),
    width: answer('width'),
    heel: answer('heel'),
    edge: answer('edge'),
    roll: answer('roll'),
    lining: answer('lining'),
  }),
});
export type HotSpot = z.infer<typeof hotSpotSchema>;
