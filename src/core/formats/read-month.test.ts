import { describe, expect, it } from 'vitest';
import { printMonth } from './formats';
import { readMonth } from './read-month';

describe('a year, or a month of it, that is typed', () => {
  it.each([
    ['2031', '2031'],
    ['2031-06', '2031-06'],
    ['6/2031', '2031-06'],
    ['06.2031', '2031-06'],
    ['June 2031', '2031-06'],
    ['jun 2031', '2031-06'],
  ])('%s', (typed, on) => {
    expect(readMonth(typed)).toBe(on);
    expect(readMonth(printMonth(on))).toBe(on);
  });

  it.each(['', '2031-13', '0/2031', '31', 'June', 'June 31', '8 June 2031', '2031 2030', 'soon 2031'])(
    'is neither: “%s”',
    (typed) => expect(readMonth(typed)).toBeNull(),
  );
});
