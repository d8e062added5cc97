import { z } from 'zod';
import { isoDay } from '@/core/calendar/iso-day';
import { CONTACT_TRIES, type ContactTry, MOST_LETTERS, RECALL, type RecallKindId } from '@/core/recall/kinds';
import { keySchema } from '@/core/tables/key-schema';
import { recallItemSchema } from './answers/records';
import { idSchema, momentSchema } from './answers/shared';
import { byId } from './common';
import { operation } from './operation';
import { ROUTES } from './routes';

const kindSchema = keySchema<RecallKindId>(RECALL);

export const trySchema = z.strictObject({
  kind: kindSchema,
  /** The day that it is about, as the list has it. */
  on: isoDay,
  way: keySchema<ContactTry>(CONTACT_TRIES).exclude(['written']),
  note: z.string().max(300, 'At most 300 letters.').default(''),
  /** Until when it is put off. */
  until: isoDay.optional(),
});

export const writeSchema = z.strictObject({
  to: z
    .array(z.strictObject({ patient: z.uuid(), kind: kindSchema, on: isoDay }))
    .min(1, 'Choose somebody to write to.')
    .max(MOST_LETTERS, `At most ${MOST_LETTERS} at a time.`),
});

export const recallLettersSchema = z.object({
  letters: z.array(
    z.object({
      patient: z.object({ id: idSchema, name: z.string() }),
      kind: kindSchema,
      went: z.enum(['mail', 'print', 'not']),
      /** How they are reached, or why nothing was written. */
      why: z.string(),
      print: z
        .object({ language: z.string(), address: z.string(), subject: z.string(), body: z.string() })
        .nullable(),
    }),
  ),
  /** When the mail goes out: not at night. */
  sendAt: momentSchema,
});
export type RecallLetters = z.infer<typeof recallLettersSchema>;

/** Who needs what, and what is done about it. */
export const recall = {
  today: operation(ROUTES.today, {
    id: 'today',
    answer: z.array(recallItemSchema),
    tag: 'records',
    summary:
      'Who needs what, most urgent first, with what was tried: of one site where one is named; the first 9 of each kind, or up to 200 of the one that is named',
    query: z.object({
      site: z.uuid('This is not an identifier.').optional(),
      kind: kindSchema.optional(),
    }),
  }),
  noteTry: operation(ROUTES.noteTry, {
    id: 'noteTry',
    tag: 'records',
    summary: 'Note what was tried to reach somebody, or put it off with a reason',
    params: byId,
    body: trySchema,
    status: 204,
  }),
  writeLetters: operation(ROUTES.writeLetters, {
    id: 'writeLetters',
    answer: recallLettersSchema,
    tag: 'records',
    summary:
      'Write to people of the list, once about each thing, in their language: by mail, or to be printed',
    body: writeSchema,
  }),
  contactsCalendar: operation(ROUTES.contactsCalendar, {
    id: 'contactsCalendar',
    tag: 'calendar',
    summary: 'What is due in the next 120 days as a calendar file (RFC 5545), with initials and no name',
    produces: 'text/calendar',
  }),
};
