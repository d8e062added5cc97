import { describe, expect, it } from 'vitest';
import { consentState } from './consent';
import { reach } from './reach';

const details = { contactBy: 'phone', phone: ' 020 5551 ', email: 'a@home.example', address: '' } as const;

describe('how to reach a patient', () => {
  it('by the way they want, with what is noted for it', () => {
    expect(reach(details, 'given')).toEqual({ may: true, words: 'Call 020 5551' });
    expect(reach({ ...details, contactBy: 'text' }, 'given').words).toBe('Text 020 5551');
    expect(reach({ ...details, contactBy: 'email' }, 'given').words).toBe('Write to a@home.example');
  });

  it('what is not noted cannot be used, and another way is not taken instead', () => {
    expect(reach({ ...details, contactBy: 'letter' }, 'given')).toEqual({
      may: false,
      words: 'No address is noted',
    });
    expect(reach({ ...details, phone: '  ' }, 'given').may).toBe(false);
  });

  it('not at all where consent was taken back or no contact is wanted; never asked is no refusal', () => {
    expect(reach(details, 'withdrawn').may).toBe(false);
    expect(reach({ ...details, contactBy: 'none' }, 'given').may).toBe(false);
    expect(reach(details, 'not-asked')).toEqual({ may: true, words: 'Call 020 5551 (consent not noted)' });
  });
});

describe('where somebody stands with a consent', () => {
  const given = { kind: 'contact', givenOn: '2030-01-01', withdrawnOn: null } as const;
  it('not asked, given, withdrawn, and given again', () => {
    expect(consentState([], 'contact')).toBe('not-asked');
    expect(consentState([given], 'contact')).toBe('given');
    expect(consentState([{ ...given, withdrawnOn: '2030-02-01' }], 'contact')).toBe('withdrawn');
    expect(
      consentState(
        [
          { ...given, withdrawnOn: '2030-02-01' },
          { ...given, givenOn: '2030-03-01' },
        ],
        'contact',
      ),
    ).toBe('given');
  });
  it('one kind says nothing of another', () => {
    expect(consentState([given], 'share')).toBe('not-asked');
  });
});
