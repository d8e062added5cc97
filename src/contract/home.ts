import { z } from 'zod';
import { FILM } from '@/core/photograph/limits';
import { idSchema, momentSchema } from './answers/shared';
import { byId } from './common';
import { operation } from './operation';
import { ROUTES } from './routes';

/** How long a link may be good for, days, the usual one first. Ours. */
export const LINK_DAYS = [180, 90, 365] as const;

const homeLinkSchema = z.object({
  id: idSchema,
  madeAt: momentSchema,
  by: z.string(),
  expiresAt: momentSchema,
  state: z.enum(['good', 'locked', 'revoked', 'expired']),
  /** Where it leads; null where it opens nothing, or where the server’s secret has changed since. */
  url: z.string().nullable(),
  phones: z.int(),
  seenAt: momentSchema.nullable(),
});
export type HomeLinkRecord = z.infer<typeof homeLinkSchema>;

const homeReportRecordSchema = z.object({
  id: idSchema,
  /** The pair it is about. */
  pair: z.string().nullable(),
  /** Local moment on the phone. */
  at: z.string(),
  receivedAt: momentSchema,
  words: z.string(),
  isWarning: z.boolean(),
  hasPicture: z.boolean(),
  /** The reader of a visit that can take it. */
  reads: z
    .discriminatedUnion('kind', [
      z.object({ kind: z.literal('print') }),
      z.object({ kind: z.literal('clip'), frames: z.int(), perSecond: z.number() }),
    ])
    .nullable(),
  /** Why the pair’s record did not take it. */
  aside: z.string().nullable(),
  seenAt: momentSchema.nullable(),
  seenBy: z.string().nullable(),
  found: z.string(),
});
export type HomeReportRecord = z.infer<typeof homeReportRecordSchema>;

export const homeRecordSchema = z.object({
  links: z.array(homeLinkSchema),
  /** Newest first; warnings that nobody has seen come before all. */
  reports: z.array(homeReportRecordSchema),
});
export type HomeRecord = z.infer<typeof homeRecordSchema>;

export const seenSchema = z.strictObject({
  found: z.string().trim().min(3, 'Write what you did or found.').max(600, 'At most 600 letters.'),
});

/** The patient’s own page, from the clinic’s side: links, and what came from home. */
export const home = {
  homeOfPatient: operation(ROUTES.homeOfPatient, {
    id: 'homeOfPatient',
    answer: homeRecordSchema,
    tag: 'records',
    summary: 'Links to the patient’s own page, and what was said from home; unverified',
    params: byId,
  }),
  makeHomeLink: operation(ROUTES.makeHomeLink, {
    id: 'makeHomeLink',
    answer: homeRecordSchema,
    tag: 'records',
    summary: 'Make a link to the patient’s own page; it opens with the date of birth',
    params: byId,
    body: z.strictObject({
      days: z.union(LINK_DAYS.map((days) => z.literal(days))),
    }),
    status: 201,
  }),
  revokeHomeLink: operation(ROUTES.revokeHomeLink, {
    id: 'revokeHomeLink',
    tag: 'records',
    summary: 'Close a link: it opens nothing any more, nor do the phones on which it was opened',
    params: byId,
    status: 204,
  }),
  seeHomeReport: operation(ROUTES.seeHomeReport, {
    id: 'seeHomeReport',
    tag: 'records',
    summary: 'Somebody has dealt with what was said from home, and writes what was found',
    params: byId,
    body: seenSchema,
    status: 204,
  }),
  homePicture: operation(ROUTES.homePicture, {
    id: 'homePicture',
    tag: 'records',
    summary: 'A photograph from home, or one still picture of a film',
    params: byId,
    query: z.object({
      frame: z.coerce
        .number()
        .int()
        .min(0)
        .max(FILM.mostFrames - 1)
        .optional(),
    }),
    produces: 'image/jpeg',
  }),
};
