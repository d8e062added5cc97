import { choice, number } from '../finding-kinds';
import { assumed, FLAT, RULES } from './about';

/** What the patient’s record says. */
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
  bodyMass: number('Body mass', 'kg', [35, 150], [8, 320], {
    scope: 'body',
    step: 'ask',
    seconds: 20,
    carries: false,
    prior: assumed({ mean: 76, sd: 15 }),
    readBy: RULES,
  }),
} as const;
