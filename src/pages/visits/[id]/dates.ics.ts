import type { APIRoute } from 'astro';
import { calendarResponse } from '@/server/calendar/calendar-file';
import { asTenant } from '@/server/database/tenant';
import { failed } from '@/server/http/endpoint';
import { isId, problemResponse } from '@/server/http/problem';
import { datesOfPair } from '@/server/services/patients/calendar';

export const GET: APIRoute = async ({ params, locals, url }) => {
  const { id = '' } = params;
  const pair = url.searchParams.get('pair');
  if (!isId(id) || (pair !== null && !isId(pair))) return problemResponse(404, 'This sheet was not found.');
  try {
    const file = await asTenant(locals.actor, (tenant) => datesOfPair(tenant, id, pair));
    return calendarResponse(file, 'dates.ics');
  } catch (error) {
    return failed(error);
  }
};
