import { choice, number, set } from '../finding-kinds';

/** What the patient came in. */
export const OLD_PAIR_FINDINGS = {
  oldPairAge: number('Age of the pair', 'months', [0, 36], [0, 240], { scope: 'body', step: 'old-pair' }),
  oldPairDistance: number('Distance in it', 'km', [0, 1500], [0, 8000], { scope: 'body', step: 'old-pair' }),
  oldPairDrop: number('Its drop', 'mm', [0, 15], [0, 25], { scope: 'body', step: 'old-pair' }),
  oldPairCategory: choice(
    'Its kind',
    {
      neutral: 'neutral',
      structured: 'structured cushioning',
      stability: 'stability, motion control',
      maximal: 'maximal',
      minimal: 'minimal',
      other: 'other',
    },
    { scope: 'body', step: 'old-pair' },
  ),
  oldPairSigns: set(
    'Signs of use',
    {
      'midsole-creased': 'midsole creased or buckled, inner side',
      'folds-flat': 'folds in half without resistance',
      'new-aches': 'new aches since',
      'counter-broken': 'heel counter broken down, upper torn',
      tilts: 'tilts on a level table',
      'worn-through': 'outsole worn through to the midsole',
      'pattern-worn': 'outsole pattern worn',
      'kicked-off': 'kicked off while tied',
    },
    { scope: 'body', step: 'old-pair' },
  ),
} as const;
