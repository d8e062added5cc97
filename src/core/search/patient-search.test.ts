import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readPatientSearch } from './patient-search';

const nothing = { words: [], bornOn: [], bornIn: null, digits: null };

describe('what is typed to find a patient', () => {
  it.each([
    ['marne  ida', { words: ['marne', 'ida'] }],
    ['4.5.1961', { bornOn: ['1961-05-04'] }],
    ['1961-05-04', { bornOn: ['1961-05-04'] }],
    ['04/05/1961', { bornOn: ['1961-05-04', '1961-04-05'] }],
    ['25/12/1961', { bornOn: ['1961-12-25'] }],
    ['pell 1958', { words: ['pell'], bornIn: 1958 }],
    ['0171 555 0102', { digits: '1715550102' }],
    ['+47 555 01 02', { digits: '475550102' }],
    ['5550102', { digits: '5550102' }],
    ['pell 0171/555', { words: ['pell'], digits: '171555' }],
    ['12', { words: ['12'] }],
    ['31.2.1961', { words: ['31.2.1961'] }],
    ['', {}],
  ])('%s', (typed, read) => expect(readPatientSearch(typed)).toEqual({ ...nothing, ...read }));

  it('reads anything that is typed', () => {
    fc.assert(
      fc.property(fc.string(), (typed) => {
        const { words, bornOn, bornIn, digits } = readPatientSearch(typed);
        expect(
          typed.trim() === '' || words.length + bornOn.length > 0 || bornIn !== null || digits !== null,
        ).toBe(true);
      }),
    );
  });
});
