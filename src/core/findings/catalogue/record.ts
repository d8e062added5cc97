import { choice, number } from '../finding-kinds';
import { assumed, FLAT, RULES } from './about';

/** Written down with a dated event, never asked again. */
const FROM_EVENT = {
  scope: 'body',
  step: null,
  askedIn: 'ask',
  seconds: 20,
  carries: false,
  prior: FLAT,
} as const;

/** What the patient’s record says, and what follows from dated events. */
export const RECORD_FINDINGS = {
  ageYears: number('Age', 'years', [1, 100], [0, 120], {
    scope: 'body',
    step: null,
    seconds: 60,
    carries: false,
    prior: FLAT,
    readBy: RULES,
  }),
  sizingGroup: choice(
    'Shoe sizing',
    { men: 'men’s', women: 'women’s', child: 'children’s' },
    { scope: 'body', step: null, seconds: 60, carries: false, prior: FLAT, readBy: RULES },
  ),
  tripDays: number('Days of the next trip', 'days', [1, 30], [0, 400], {
    ...FROM_EVENT,
    readBy: RULES,
  }),
  tripLoad: number('Load carried on it', 'kg', [0, 25], [0, 60], { ...FROM_EVENT, readBy: RULES }),
  tripGround: choice(
    'Ground of the next trip',
    { easy: 'easy paths', rough: 'rough ground' },
    { ...FROM_EVENT, readBy: RULES },
  ),
  tripDescents: choice(
    'Descents of the next trip',
    { few: 'few', long: 'long' },
    { ...FROM_EVENT, readBy: RULES },
  ),
  bodyMass: number('Body mass', 'kg', [35, 150], [8, 320], {
    scope: 'body',
    step: 'ask',
    seconds: 20,
    carries: false,
    prior: assumed({ mean: 76, sd: 15 }),
    readBy: RULES,
  }),
} as const;
