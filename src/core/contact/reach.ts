/** How somebody wants to be reached. */
export const CONTACT_WAYS = {
  phone: 'a call',
  text: 'a text message',
  email: 'an e-mail',
  letter: 'a letter',
  none: 'not at all',
} as const;
export type ContactWay = keyof typeof CONTACT_WAYS;

/** What a record holds of how to reach somebody; nothing noted is an empty text. */
export interface ContactDetails {
  contactBy: ContactWay;
  phone: string;
  email: string;
  address: string;
}

/** Agreed to being contacted, took that back, or was never asked. */
export type ContactConsent = 'given' | 'withdrawn' | 'not-asked';

/** What to do to reach somebody, or why not to. */
export interface Reach {
  may: boolean;
  words: string;
}

const BY = {
  phone: ['Call', 'phone', 'No phone number is noted'],
  text: ['Text', 'phone', 'No phone number is noted'],
  email: ['Write to', 'email', 'No e-mail address is noted'],
  letter: ['Send a letter', 'address', 'No address is noted'],
} as const;

/**
 * How to reach a patient. Whoever took their consent back, or wants no contact, is not contacted; nobody is taken for having
 * refused because they were never asked.
 *
 * @example reach({ contactBy: 'phone', phone: '020 55', email: '', address: '' }, 'given') // { may: true, words: 'Call 020 55' }
 */
export function reach(details: ContactDetails, consent: ContactConsent): Reach {
  const { contactBy } = details;
  if (consent === 'withdrawn') return { may: false, words: 'Does not agree to being contacted' };
  if (contactBy === 'none') return { may: false, words: 'Does not want to be contacted' };
  const [verb, field, missing] = BY[contactBy];
  if (details[field].trim() === '') return { may: false, words: missing };
  const what = contactBy === 'letter' ? verb : `${verb} ${details[field].trim()}`;
  return { may: true, words: consent === 'given' ? what : `${what} (consent not noted)` };
}
