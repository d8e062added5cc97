import { addDays, addMonths } from '@/core/calendar/days';
import { type DemoVisit, demoHistory } from './history';
import { DEMO_HOUSE_RULES, type DemoHouseRules } from './house-rules';
import { type DemoModel, demoModels } from './models';
import { demoPeople } from './people';
import type { Persona } from './personas/persona';
import { PERSONAS } from './personas/personas';
import { random } from './random';

export const DEMO_SEED = 20260;

/** Sign-ins of the demo clinic, printed at every start. */
export const DEMO_PASSWORD = 'low-tide-lantern';
export const DEMO_STAFF = [
  { name: 'Maren Odell', email: 'lead@harbour.example', role: 'lead' },
  { name: 'Tomas Brekkan', email: 'practitioner@harbour.example', role: 'practitioner' },
  { name: 'Ines Farrowby', email: 'assistant@harbour.example', role: 'assistant' },
] as const;

export interface DemoPatient {
  id: string;
  persona: Persona;
  bornOn: string;
  visits: DemoVisit[];
}

export interface DemoClinic {
  name: string;
  place: string;
  models: DemoModel[];
  patients: DemoPatient[];
  /** Oldest first, with the day each came into force. */
  houseRules: (DemoHouseRules & { day: string })[];
}

/** The whole demo clinic from a seed; every date counts back from today. */
export function demoClinic(today: string, seed = DEMO_SEED): DemoClinic {
  const source = random(seed);
  // A source of its own: a model more or less changes no patient.
  const models = demoModels(random(seed + 1), today);
  const people = [...PERSONAS, ...demoPeople(source, 44)];
  return {
    houseRules: DEMO_HOUSE_RULES.map((version) => ({ ...version, day: addDays(today, -version.daysAgo) })),
    name: 'Harbour Clinic',
    place: 'Skarholm',
    models,
    patients: people.map((persona) => {
      const id = source.uuid();
      const bornOn = addDays(addMonths(today, -12 * persona.age), -source.int(5, 350));
      return { id, persona, bornOn, visits: demoHistory({ ...persona, bornOn }, models, today, source) };
    }),
  };
}
