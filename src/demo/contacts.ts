import { addDays } from '@/core/calendar/days';
import type { ConsentKind, ConsentWay } from '@/core/contact/consent';
import type { ContactWay } from '@/core/contact/reach';
import type { DemoPatient } from './clinic';

/** The two places where the demo clinic sees patients. */
export const DEMO_SITES = [
  { name: 'Harbour', place: 'Chandlers’ Quay 4, Skarholm' },
  { name: 'Upper village', place: 'Old School House, Skarholm' },
] as const;

export interface DemoConsent {
  kind: ConsentKind;
  how: ConsentWay;
  givenOn: string;
  withdrawnOn: string | null;
}

/** How one invented patient is reached, and what they agreed to. */
export interface DemoContact {
  patientId: string;
  /** The day when the record was begun. */
  since: string;
  phone: string;
  email: string;
  address: string;
  contactBy: ContactWay;
  /** Which of the sites. */
  site: 0 | 1;
  consents: DemoConsent[];
}

const LANES = ['Rope Walk', 'Gull Steps', 'Kelp Lane', 'Lantern Row', 'Net Yard', 'Tar Alley'] as const;
/** Every so manyth wants something else than a call. */
const WAYS: readonly ContactWay[] = ['phone', 'phone', 'text', 'phone', 'email', 'phone', 'letter'];

/** Somebody whose record was begun twice, the second time with a slip of the pen. */
export const DEMO_TWICE = {
  at: 40,
  familyName: (name: string) => `${name.slice(0, -1)}${name.slice(-1).repeat(2)}`,
};

/** Ways to reach everybody, with the gaps that a clinic has: nobody asked, a number missing, consent taken back. */
export function demoContacts(patients: readonly DemoPatient[], today: string): DemoContact[] {
  return patients.map(({ id, persona, visits }, at): DemoContact => {
    const first = visits.map(({ day }) => day).sort()[0] ?? today;
    const isChild = persona.group === 'child';
    const how: ConsentWay = isChild ? 'guardian' : at % 3 === 0 ? 'spoken' : 'signed';
    const given = (kind: ConsentKind, withdrawnOn: string | null = null): DemoConsent => ({
      kind,
      how,
      givenOn: first,
      withdrawnOn,
    });
    const asked = at % 11 !== 10;
    return {
      patientId: id,
      since: first,
      phone: at % 13 === 12 ? '' : `055 01${String(1000 + at * 37).slice(-4)}`,
      email: `${persona.given}.${persona.family}@home.example`.toLowerCase().replace(/[^a-z.@]/g, ''),
      address: `${LANES[at % LANES.length]} ${(at % 23) + 1}, Skarholm`,
      contactBy: WAYS[at % WAYS.length] ?? 'phone',
      site: at % 4 === 3 ? 1 : 0,
      consents: asked
        ? [
            given('care'),
            given('contact', at % 17 === 16 ? addDays(today, -20) : null),
            ...(at % 5 === 0 ? [given('share')] : []),
            ...(at % 2 === 0 ? [given('learning')] : []),
          ]
        : [],
    };
  });
}
