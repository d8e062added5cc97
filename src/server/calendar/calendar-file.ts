import calendar, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';

/** One day on which something is due. */
export interface CalendarDay {
  /** Stays the same when the day moves, so that a calendar that is read again moves it too. */
  id: string;
  on: string;
  summary: string;
  description?: string;
}

const dayAt = (on: string): Date => new Date(`${on}T00:00:00Z`);
/** A reminder comes on the day before, at nine. */
const REMINDER_SECONDS_BEFORE = 15 * 3600;

/**
 * Days as a calendar file (RFC 5545), each a whole day with a reminder on the day before.
 *
 * @param language of its words, as a tag by BCP 47
 */
export function calendarFile(name: string, language: string, days: readonly CalendarDay[]): string {
  const file = calendar({
    name,
    prodId: { company: 'sovet', product: 'contacts', language: language.toUpperCase() },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const { id, on, summary, description } of days)
    file
      .createEvent({ id, start: dayAt(on), allDay: true, summary, ...(description ? { description } : {}) })
      .createAlarm({ type: ICalAlarmType.display, trigger: REMINDER_SECONDS_BEFORE, description: summary });
  return file.toString();
}

/** A calendar file as an answer that a browser keeps and a calendar reads. */
export const calendarResponse = (file: string, name: string): Response =>
  new Response(file, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });
