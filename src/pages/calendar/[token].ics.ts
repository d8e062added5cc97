import type { APIRoute } from 'astro';
import { signedIn } from '@/server/auth/actor';
import { calendarResponse } from '@/server/calendar/calendar-file';
import { asReader } from '@/server/database/tenant';
import { failed } from '@/server/http/endpoint';
import { problemResponse } from '@/server/http/problem';
import { siteOrigin } from '@/server/http/site-origin';
import { tooManyFrom } from '@/server/http/tries';
import { clinicCalendar } from '@/server/services/patients/calendar';

/**
 * The calendar of contacts for a program that subscribes to it and sends no header: a token that opens the calendar and nothing else.
 * Any wider token is refused here, so that none of them stands in an address.
 */
export const GET: APIRoute = async ({ params, clientAddress }) => {
  try {
    const who = await signedIn(new Headers({ authorization: `Bearer ${params.token}` }));
    const isNarrow =
      who?.by === 'token' && who.scope.areas?.length === 1 && who.scope.areas[0] === 'calendar';
    if (!who || !isNarrow) {
      if (await tooManyFrom(clientAddress)) return problemResponse(429, 'Too many tries. Wait a minute.');
      return problemResponse(404, 'This calendar was not found.');
    }
    return await asReader(who.actor, async (tenant) =>
      calendarResponse(await clinicCalendar(tenant, siteOrigin()), 'contacts.ics'),
    );
  } catch (error) {
    return failed(error);
  }
};
