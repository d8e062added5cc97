import { homeReportSchema } from '@/core/home/report';
import { FILM } from '@/core/photograph/limits';
import { asTenant } from '@/server/database/tenant';
import { homeEndpoint } from '@/server/http/home-endpoint';
import { receiveReport } from '@/server/services/home/reports';

/** A film as its pictures in base64, and some words. */
const LIMIT = FILM.largest + 100_000;

export const POST = homeEndpoint({ body: homeReportSchema, bodyLimit: LIMIT }, async (caller, report) =>
  report ? asTenant(caller.actor, (tenant) => receiveReport(tenant, caller, report)) : {},
);
