import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_FORMATS } from '../formats/formats';
import { keepUntil, keepUntilInWords } from './keep-until';

const adult = { bornOn: '1980-05-06', lastOn: '2030-03-01' };
const child = { bornOn: '2020-05-06', lastOn: '2030-03-01' };

describe('how long a record is kept', () => {
  it('is nothing where the clinic has no rule', () => {
    expect(keepUntil(adult, {})).toBeNull();
    expect(keepUntil(adult, { childrenUntilAge: 25 })).toBeNull();
  });

  it('counts from the last visit, over a leap day too', () => {
    expect(keepUntil(adult, { yearsAfterLastVisit: 8 })?.until).toBe('2038-03-01');
    expect(keepUntil({ ...adult, lastOn: '2028-02-29' }, { yearsAfterLastVisit: 1 })?.until).toBe(
      '2029-02-28',
    );
  });

  it('of a child the later of both counts; who was eighteen on that day is no child', () => {
    const rules = { yearsAfterLastVisit: 8, childrenUntilAge: 25 };
    expect(keepUntil(child, rules)).toEqual({ until: '2045-05-06', rule: 'childrenUntilAge' });
    expect(keepUntil(child, { ...rules, yearsAfterLastVisit: 20 })).toEqual({
      until: '2050-03-01',
      rule: 'yearsAfterLastVisit',
    });
    expect(keepUntil({ bornOn: '2012-03-01', lastOn: '2030-03-01' }, rules)?.rule).toBe(
      'yearsAfterLastVisit',
    );
    expect(keepUntil({ bornOn: '2012-03-02', lastOn: '2030-03-01' }, { childrenUntilAge: 25 })?.until).toBe(
      '2037-03-02',
    );
  });

  it('more years never mean an earlier end', () => {
    const years = fc.integer({ min: 1, max: 59 });
    fc.assert(
      fc.property(years, years, (one, other) => {
        const [less, more] = [Math.min(one, other), Math.max(one, other)];
        const end = (yearsAfterLastVisit: number) => keepUntil(adult, { yearsAfterLastVisit })!.until;
        expect(end(less) <= end(more)).toBe(true);
      }),
    );
  });

  it('says the rule by its own number', () => {
    const rules = { yearsAfterLastVisit: 8 };
    expect(keepUntilInWords(keepUntil(adult, rules)!, rules, USUAL_FORMATS)).toBe(
      'Kept until 1 Mar 2038: records are kept for 8 years after the last visit.',
    );
  });
});
