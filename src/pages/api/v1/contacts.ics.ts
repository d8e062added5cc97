import { api } from '@/contract/contract';
import { calendarResponse } from '@/server/calendar/calendar-file';
import { endpoint, expectedOrigin } from '@/server/http/endpoint';
import { clinicCalendar } from '@/server/services/patients/calendar';

export const GET = endpoint(api.contactsCalendar, async (tenant, { request }) =>
  calendarResponse(await clinicCalendar(tenant, expectedOrigin(new URL(request.url))), 'contacts.ics'),
);
