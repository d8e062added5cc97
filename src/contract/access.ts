import { z } from 'zod';
import { clinicRecordSchema, tokenRecordSchema } from './answers/records';
import { idSchema } from './answers/shared';
import { addedSchema, byId } from './common';
import { operation } from './operation';
import {
  clinicDefaultsSchema,
  newTokenSchema,
  sessionRecordSchema,
  siteRecordSchema,
  siteSchema,
} from './people-schema';
import { ROUTES } from './routes';
import { changedTextsSchema, clinicLanguageSchema, clinicTextsSchema } from './texts-schema';

const byLanguage = z.strictObject({ language: z.string().min(2).max(35) });

/** The clinic itself, its sites, and by what one is signed in. */
export const access = {
  changeClinic: operation(ROUTES.changeClinic, {
    id: 'changeClinic',
    answer: clinicRecordSchema,
    tag: 'clinic',
    summary: 'Change the clinic’s defaults',
    body: clinicDefaultsSchema,
  }),
  tokens: operation(ROUTES.tokens, {
    id: 'listTokens',
    answer: z.array(tokenRecordSchema),
    tag: 'clinic',
    summary: 'One’s own access tokens',
  }),
  addToken: operation(ROUTES.addToken, {
    id: 'addToken',
    answer: z.object({ id: idSchema, token: z.string() }),
    tag: 'clinic',
    summary: 'Make an access token; it is shown once',
    body: newTokenSchema,
    status: 201,
  }),
  removeToken: operation(ROUTES.removeToken, {
    id: 'removeToken',
    tag: 'clinic',
    summary: 'Revoke an access token',
    params: byId,
    status: 204,
  }),
  languages: operation(ROUTES.languages, {
    id: 'listLanguages',
    answer: z.array(clinicLanguageSchema),
    tag: 'clinic',
    summary: 'Languages that sheets are written in, and how much of each is the clinic’s own',
  }),
  texts: operation(ROUTES.texts, {
    id: 'readTexts',
    answer: clinicTextsSchema,
    tag: 'clinic',
    summary: 'Every sentence of the sheets in one language, with the clinic’s own beside it',
    params: byLanguage,
  }),
  changeTexts: operation(ROUTES.changeTexts, {
    id: 'changeTexts',
    answer: clinicTextsSchema,
    tag: 'clinic',
    summary:
      'Write sentences of the clinic’s own, by key as a message file has them; an empty one takes the standard again',
    params: byLanguage,
    body: changedTextsSchema,
  }),
  sites: operation(ROUTES.sites, {
    id: 'listSites',
    answer: z.array(siteRecordSchema),
    tag: 'clinic',
    summary: 'Sites of the clinic',
  }),
  addSite: operation(ROUTES.addSite, {
    id: 'addSite',
    answer: addedSchema,
    tag: 'clinic',
    summary: 'Add a site',
    body: siteSchema,
    status: 201,
  }),
  changeSite: operation(ROUTES.changeSite, {
    id: 'changeSite',
    tag: 'clinic',
    summary: 'Rename a site, close it or open it again',
    params: byId,
    body: siteSchema.partial().extend({ closed: z.boolean().optional() }),
    status: 204,
  }),
  chooseSite: operation(ROUTES.chooseSite, {
    id: 'chooseSite',
    tag: 'clinic',
    summary: 'Say at which site one works; visits begun from now on are there',
    body: z.strictObject({ site: z.uuid('This is not an identifier.').nullable() }),
    status: 204,
  }),
  sessions: operation(ROUTES.sessions, {
    id: 'listSessions',
    answer: z.array(sessionRecordSchema),
    tag: 'clinic',
    summary: 'Browsers in which one is signed in',
  }),
  endSession: operation(ROUTES.endSession, {
    id: 'endSession',
    tag: 'clinic',
    summary: 'Sign one of them out',
    params: z.strictObject({ id: z.string().min(1).max(64) }),
    status: 204,
  }),
};
