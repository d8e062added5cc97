import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keysOf } from '../tables/keys-of';
import {
  CURRENCIES,
  DATE_STYLES,
  printDay,
  printDistance,
  printMoment,
  printPrice,
  USUAL_FORMATS,
} from './formats';
import { formatsSchema } from './formats-schema';

describe('how a clinic writes', () => {
  it('each style of date looks as its own example says', () => {
    for (const date of keysOf(DATE_STYLES))
      expect(DATE_STYLES[date].label.startsWith(printDay('2031-06-08', { date }))).toBe(true);
  });

  it('two days are never written alike, whatever the style', () => {
    const day = fc
      .date({ min: new Date('1900-01-02'), max: new Date('2099-12-30'), noInvalidDate: true })
      .map((date) => date.toISOString().slice(0, 10));
    fc.assert(
      fc.property(fc.constantFrom(...keysOf(DATE_STYLES)), day, day, (date, one, other) => {
        expect(printDay(one, { date }) === printDay(other, { date })).toBe(one === other);
      }),
    );
  });

  it('a moment keeps its hour by Greenwich', () => {
    expect(printMoment('2031-06-08T23:59:59.000Z', { date: 'iso' })).toBe('2031-06-08, 23:59');
  });

  it('a mile is 1.609344 km by definition, so 100 km are 62 miles', () => {
    expect(printDistance(100, { distance: 'mi' })).toBe('62\u2009mi');
    expect(printDistance(100.4, { distance: 'km' })).toBe('100\u2009km');
    expect(printDistance(1087, { distance: 'km' })).toBe('1,087\u2009km');
  });

  it('prices carry their currency; every one listed is known to ISO 4217 as the platform ships it', () => {
    expect(printPrice(129, { currency: 'EUR' })).toBe('€129');
    expect(printPrice(129.5, { currency: 'GBP' })).toBe('£129.50');
    for (const currency of keysOf(CURRENCIES))
      expect(Intl.supportedValuesOf('currency').includes(currency)).toBe(true);
  });

  it('the usual ones are whole', () => {
    expect(formatsSchema.safeParse(USUAL_FORMATS).success).toBe(true);
  });
});
