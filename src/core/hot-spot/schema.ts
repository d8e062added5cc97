import { z } from 'zod';
import { SIDES } from '../findings/finding-kinds';
import { FINDINGS } from '../findings/findings';
import { keySchema } from '../tables/key-schema';
import type { SpotPlace } from './causes';
import { QUESTIONS } from './questions';

/** A hot spot or a blister that was looked into: where, and what was answered beyond what was known. */
export const hotSpotSchema = z.strictObject({
  side: z.enum(SIDES),
  place: keySchema<SpotPlace>(FINDINGS.rubbedAt.options),
  answers: z.strictObject({
    age: keySchema(QUESTIONS.age.options).optional(),
    lacing: keySchema(QUESTIONS.lacing.options).optional(),
    feet: keySchema(QUESTIONS.feet.options).optional(),
    hills: keySchema(QUESTIONS.hills.options).optional(),
    camber: keySchema(QUESTIONS.camber.options).optional(),
    wet: keySchema(QUESTIONS.wet.options).optional(),
    sock: keySchema(QUESTIONS.sock.options).optional(),
    pinch: keySchema(QUESTIONS.pinch.options).optional(),
    arch: keySchema(QUESTIONS.arch.options).optional(),
    insert: keySchema(QUESTIONS.insert.options).optional(),
    steps: keySchema(QUESTIONS.steps.options).optional(),
    sound: keySchema(QUESTIONS.sound.options).optional(),
    room: keySchema(QUESTIONS.room.options).optional(),
    width: keySchema(QUESTIONS.width.options).optional(),
    heel: keySchema(QUESTIONS.heel.options).optional(),
    edge: keySchema(QUESTIONS.edge.options).optional(),
    roll: keySchema(QUESTIONS.roll.options).optional(),
    lining: keySchema(QUESTIONS.lining.options).optional(),
  }),
});
export type HotSpot = z.infer<typeof hotSpotSchema>;
