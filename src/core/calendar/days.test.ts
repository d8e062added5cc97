import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, addMonths, ageOn, dayOf, daysBetween } from './days';

const day = fc
  .date({ min: new Date('1930-01-01'), max: new Date('2090-01-01'), noInvalidDate: true })
  .map((date) => dayOf(date));

describe('days of the calendar', () => {
  it('end months and years, leap days too', () => {
    expect(addDays('2030-12-31', 1)).toBe('2031-01-01');
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2030-03-31', -31)).toBe('2030-02-28');
    expect(addMonths('2031-01-31', 1)).toBe('2031-02-28');
    expect(addMonths('2031-03-15', -12)).toBe('2030-03-15');
  });

  it('are not lost when clocks change: a day is a day on either side', () => {
    expect(addDays('2030-03-30', 2)).toBe('2030-04-01');
    expect(addDays('2030-10-26', 2)).toBe('2030-10-28');
    expect(daysBetween('2030-03-30', '2030-04-01')).toBe(2);
  });

  it('a part of a day is rounded to a whole one', () => {
    expect(addDays('2031-06-01', 1.4)).toBe('2031-06-02');
    expect(addDays('2031-06-01', 1.6)).toBe('2031-06-03');
  });

  it('what is added lies between, there and back', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: -20_000, max: 20_000 }), (from, days) => {
        expect(daysBetween(from, addDays(from, days))).toBe(days);
        expect(addDays(addDays(from, days), -days)).toBe(from);
      }),
    );
  });

  it('a birthday counts from its morning; who was born on a leap day is older on the first of March', () => {
    expect(ageOn('2000-06-15', '2031-06-14')).toBe(30);
    expect(ageOn('2000-06-15', '2031-06-15')).toBe(31);
    expect(ageOn('2000-02-29', '2031-02-28')).toBe(30);
    expect(ageOn('2000-02-29', '2031-03-01')).toBe(31);
  });

  it('a moment has the day of Greenwich, wherever it is read', () => {
    expect(dayOf('2031-06-15T23:59:59.000Z')).toBe('2031-06-15');
    expect(dayOf(new Date('2031-06-15T00:00:00.000Z'))).toBe('2031-06-15');
  });
});
