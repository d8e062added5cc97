import type { APIRoute } from 'astro';
import { calendarResponse } from '@/server/calendar/calendar-file';
import { asTenant } from '@/server/database/tenant';
import { failed } from '@/server/http/endpoint';
import { datesOfPair } from '@/server/services/patients/calendar';

export const GET: APIRoute = async ({ params, locals, url }) => {
  try {
    const file = await asTenant(locals.actor, (tenant) =>
      datesOfPair(tenant, params.id ?? '', url.searchParams.get('pair')),
    );
    return calendarResponse(file, 'dates.ics');
  } catch (error) {
    return failed(error);
  }
};
