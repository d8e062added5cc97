import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar/days';
import { DAY_PART_IDS, dayPart, whenInWords } from './day';
import { RECALL_KINDS, type RecallKindId, recallKind } from './kinds';

const today = '2031-06-08';

describe('a day in words', () => {
  it.each<[RecallKindId, string, string]>([
    ['review-due', '2031-06-08', 'due today'],
    ['review-due', '2031-06-09', 'due tomorrow'],
    ['review-due', '2031-06-12', 'due in 4 days'],
    ['review-due', '2031-06-07', '1 day late'],
    ['pair-overdue', '2031-05-18', '3 weeks late'],
    ['pair-overdue', '2031-01-08', '5 months late'],
    ['pair-overdue', '2028-06-08', '3 years late'],
    ['pair-in-window', '2031-06-18', '10 days left'],
    ['return-ends', '2031-06-08', 'last day'],
    ['order-to-return', '2031-06-06', '2 days past'],
    ['visit-open', '2031-06-07', 'yesterday'],
    ['home-warning', '2031-06-05', '3 days ago'],
    ['bring-in-next', '2031-07-13', 'window in 5 weeks'],
    ['stop-wearing', '2031-06-01', 'worn 7 days'],
    ['refit-due', '2031-06-08', 'new today'],
  ])('%s on %s: %s', (kind, on, words) => expect(whenInWords(kind, on, today)).toBe(words));

  it('never says none, and late exactly of what was due before today', () => {
    fc.assert(
      fc.property(fc.constantFrom(...RECALL_KINDS), fc.integer({ min: -2000, max: 2000 }), (kind, days) => {
        const words = whenInWords(kind, addDays(today, days), today);
        expect(words).not.toMatch(/\b0\b|-/);
        expect(words.endsWith('late')).toBe(days < 0 && recallKind(kind).dated === 'due');
      }),
    );
  });
});

describe('the parts of a day', () => {
  it.each<[RecallKindId, string, string]>([
    ['stop-wearing', '2031-05-01', 'first'],
    ['visit-open', '2031-06-07', 'open'],
    ['order-late', '2031-06-01', 'counter'],
    ['review-due', '2031-06-01', 'late'],
    ['review-due', '2031-06-08', 'due'],
    ['return-ends', '2031-06-07', 'late'],
    // Sore since then: nothing was due on that day.
    ['refit-due', '2031-06-01', 'due'],
    ['bring-in-next', '2031-08-01', 'due'],
  ])('%s of %s belongs to %s', (kind, on, part) => expect(dayPart(kind, on, today)).toBe(part));
  it('warnings come first, whatever their day', () => {
    for (const kind of RECALL_KINDS)
      for (const on of [addDays(today, -400), today, addDays(today, 400)]) {
        const part = dayPart(kind, on, today);
        expect(DAY_PART_IDS).toContain(part);
        expect(part === 'first').toBe('isWarning' in recallKind(kind));
      }
  });
});
