import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar/days';
import { keysOf } from '../tables/keys-of';
import { DATE_STYLES, type DateStyle, printDay } from './formats';
import { readDay } from './read-day';

const today = '2031-03-01';
const read = (typed: string, style: DateStyle = 'day-month-name') =>
  readDay(typed, style, today)?.day ?? null;

describe('a day that is typed', () => {
  it('comes back from every way in which a clinic writes it', () => {
    const day = fc.integer({ min: -30_000, max: 10_000 }).map((days) => addDays('2031-06-08', days));
    fc.assert(
      fc.property(day, fc.constantFrom(...keysOf(DATE_STYLES)), (on, date) => {
        expect(readDay(printDay(on, { date }), date, today)).toEqual({ day: on, isWhole: true });
      }),
    );
  });

  it.each([
    ['8 June 2031', '2031-06-08'],
    ['june 8 2031', '2031-06-08'],
    ['8.6.2031', '2031-06-08'],
    ['8.6.31', '2031-06-08'],
    ['08062031', '2031-06-08'],
    ['080631', '2031-06-08'],
    ['8.6.', '2031-06-08'],
    ['8 jun', '2031-06-08'],
    ['4/5/61', '1961-05-04'],
    // Born, not yet to be born.
    ['4.5.45', '1945-05-04'],
    ['4.5.33', '2033-05-04'],
    ['2031-6-8', '2031-06-08'],
    ['29.2.2032', '2032-02-29'],
  ])('%s is %s', (typed, on) => expect(read(typed)).toBe(on));

  it('between strokes the clinic says which stands first; between dots it is always the day', () => {
    expect(read('6/8/2031', 'month-slash')).toBe('2031-06-08');
    expect(read('6/8/2031', 'day-slash')).toBe('2031-08-06');
    expect(read('6/8/2031', 'month-name-day')).toBe('2031-06-08');
    expect(read('8.6.2031', 'month-slash')).toBe('2031-06-08');
    expect(read('06082031', 'month-slash')).toBe('2031-06-08');
    expect(read('20310608', 'iso')).toBe('2031-06-08');
  });

  it.each([
    '29.2.2031',
    '31/6/2031',
    '0.6.2031',
    '8 Jux 2031',
    'soon',
    '8',
    '8.6.203',
    '8.6.2031.1',
    '8 j 2031',
  ])('%s is no day', (typed) => expect(read(typed)).toBeNull());

  it('is not whole until four figures of the year stand there', () => {
    expect(readDay('8 Jun 20', 'day-month-name', today)).toEqual({ day: '2020-06-08', isWhole: false });
    expect(readDay('8 Jun', 'day-month-name', today)).toEqual({ day: '2031-06-08', isWhole: false });
  });
});
