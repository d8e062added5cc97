import { z } from 'zod';
import { operation } from './operation';
import {
  auditFilterSchema,
  invitationSchema,
  mailRecordSchema,
  personActionSchema,
  personChangeSchema,
  personRecordSchema,
} from './people-schema';
import { ROUTES } from './routes';

/** A person named in the path. */
const byPerson = z.strictObject({ id: z.string().min(1).max(64) });

/** People of a clinic and what was written to them. */
export const people = {
  people: operation(ROUTES.people, {
    id: 'listPeople',
    answer: z.array(personRecordSchema),
    tag: 'people',
    summary: 'Everybody of the clinic, those who have left last',
  }),
  invite: operation(ROUTES.invite, {
    id: 'invitePerson',
    answer: personRecordSchema,
    tag: 'people',
    summary: 'Invite a colleague by e-mail; the link lives seven days',
    body: invitationSchema,
    status: 201,
  }),
  changePerson: operation(ROUTES.changePerson, {
    id: 'changePerson',
    answer: personRecordSchema,
    tag: 'people',
    summary: 'Change a role; suspend, take back, or note that somebody has left',
    params: byPerson,
    body: personChangeSchema,
  }),
  actOnPerson: operation(ROUTES.actOnPerson, {
    id: 'actOnPerson',
    answer: personRecordSchema,
    tag: 'people',
    summary: 'Sign out everywhere, send a link for a new password, remove a second factor',
    params: byPerson,
    body: personActionSchema,
  }),
  audit: operation(ROUTES.audit, {
    id: 'exportAudit',
    tag: 'people',
    summary: 'The trail of a time as CSV',
    query: auditFilterSchema,
    produces: 'text/csv',
  }),
  outbox: operation(ROUTES.outbox, {
    id: 'readOutbox',
    answer: z.array(mailRecordSchema),
    tag: 'people',
    summary: 'Letters of the last ninety days, newest first; 200 at a time',
    query: z.object({
      /** The last letter of the page before. */
      after: z.uuid().optional(),
    }),
  }),
};
