/** What somebody may agree to, and what reads it. */
export const CONSENTS = {
  care: {
    label: 'Being examined, and a record being kept',
    reads: 'The patient’s page says so where it is missing or was withdrawn.',
  },
  contact: {
    label: 'Being called or written to',
    reads: 'Today says how to reach them, or that they must not be.',
  },
  share: {
    label: 'The record going to another practitioner',
    reads: 'The archive of everything says whether it may be passed on.',
  },
  learning: {
    label: 'Fittings counting, without a name, towards how a model runs',
    reads: 'Once withdrawn, their fittings no longer correct a model’s size.',
  },
} as const;
export type ConsentKind = keyof typeof CONSENTS;

export const CONSENT_WAYS = {
  spoken: 'spoken',
  signed: 'signed',
  guardian: 'by a parent or guardian',
} as const;
export type ConsentWay = keyof typeof CONSENT_WAYS;

/** One consent as it is noted; days are ISO dates. */
export interface NotedConsent {
  kind: ConsentKind;
  givenOn: string;
  withdrawnOn: string | null;
}

export type ConsentState = 'given' | 'withdrawn' | 'not-asked';

/**
 * Where somebody stands with one kind of consent: what was said last counts, and a consent given again after a withdrawal is
 * a consent.
 *
 * @param noted in any order
 */
export function consentState(noted: readonly NotedConsent[], kind: ConsentKind): ConsentState {
  const mine = noted.filter((entry) => entry.kind === kind);
  if (mine.length === 0) return 'not-asked';
  return mine.some(({ withdrawnOn }) => withdrawnOn === null) ? 'given' : 'withdrawn';
}
