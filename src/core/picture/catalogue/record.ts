import { choice, number } from '../finding-kinds';

/** What the patient’s record says. */
export const RECORD_FINDINGS = {
  ageYears: number('Age', 'years', [1, 100], [0, 120], { scope: 'body', step: null }),
  sizingGroup: choice(
    'Shoe sizing',
    { men: 'men’s', women: 'women’s', child: 'children’s' },
    { scope: 'body', step: null },
  ),
  bodyMass: number('Body mass', 'kg', [35, 150], [8, 320], { scope: 'body', step: 'ask' }),
} as const;
