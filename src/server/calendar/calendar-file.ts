import ICAL from 'ical.js';

/** One day on which something is due. */
export interface CalendarDay {
  /** Stays the same when the day moves, so that a calendar that is read again moves it too. */
  id: string;
  on: string;
  summary: string;
  description?: string;
}

/** A reminder comes on the day before, at nine. */
const REMINDER_SECONDS_BEFORE = 15 * 3600;

/**
 * Days as a calendar file (RFC 5545), each a whole day with a reminder on the day before.
 *
 * @param language of its words, as a tag by BCP 47
 */
export function calendarFile(name: string, language: string, days: readonly CalendarDay[]): string {
  const file = new ICAL.Component('vcalendar');
  file.addPropertyWithValue('version', '2.0');
  file.addPropertyWithValue('prodid', `-//sovet//contacts//${language.toUpperCase()}`);
  file.addPropertyWithValue('method', 'PUBLISH');
  file.addPropertyWithValue('name', name);
  file.addPropertyWithValue('x-wr-calname', name);
  const written = ICAL.Time.fromJSDate(new Date(), true);
  for (const { id, on, summary, description } of days) {
    const event = new ICAL.Component('vevent');
    event.addPropertyWithValue('uid', id);
    event.addPropertyWithValue('dtstamp', written);
    event.addPropertyWithValue('dtstart', ICAL.Time.fromDateString(on));
    event.addPropertyWithValue('summary', summary);
    if (description) event.addPropertyWithValue('description', description);
    const reminder = new ICAL.Component('valarm');
    reminder.addPropertyWithValue('action', 'DISPLAY');
    reminder.addPropertyWithValue('trigger', ICAL.Duration.fromSeconds(-REMINDER_SECONDS_BEFORE));
    reminder.addPropertyWithValue('description', summary);
    event.addSubcomponent(reminder);
    file.addSubcomponent(event);
  }
  return `${file.toString()}\r\n`;
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
