import { choice, number, set, YES_NO } from '../finding-kinds';
import { assumed, FLAT, RULES } from './about';

/** Follows from the signs, the use and the age of the pair that did most of the miles. */
const FROM_THE_PAIR = {
  scope: 'body',
  step: null,
  askedIn: 'old-pair',
  seconds: 60,
  carries: false,
} as const;

/** What the patient came in. */
export const OLD_PAIR_FINDINGS = {
  oldPairAge: number('Age of the pair', 'months', [0, 36], [0, 240], {
    scope: 'body',
    step: 'old-pair',
    seconds: 20,
    carries: false,
    prior: FLAT,
    readBy: 'says how likely it is spent; what the pair showed is read from its signs',
  }),
  oldPairDistance: number('Distance in it', 'km', [0, 1500], [0, 8000], {
    scope: 'body',
    step: 'old-pair',
    seconds: 20,
    carries: false,
    prior: FLAT,
    readBy: 'says how likely it is spent; what the pair showed is read from its signs',
  }),
  oldPairDrop: number('Drop of the old pair', 'mm', [0, 15], [0, 25], {
    scope: 'body',
    step: 'old-pair',
    seconds: 40,
    carries: false,
    prior: assumed({ mean: 9, sd: 3 }),
    readBy: RULES,
  }),
  oldPairCategory: choice(
    'Kind of the old pair',
    {
      neutral: 'neutral',
      structured: 'structured cushioning',
      stability: 'stability, motion control',
      maximal: 'maximal',
      minimal: 'minimal',
      other: 'other',
    },
    { scope: 'body', step: 'old-pair', seconds: 20, carries: false, prior: FLAT, readBy: RULES },
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
    {
      scope: 'body',
      step: 'old-pair',
      seconds: 20,
      carries: false,
      prior: assumed({ each: 0.1 }),
      readBy: RULES,
    },
  ),
  oldPairVerdict: choice(
    'It',
    { suits: 'suited', soft: 'was too soft or held too little', loose: 'was too narrow or too loose' },
    { ...FROM_THE_PAIR, prior: FLAT, readBy: RULES },
  ),
  oldPairSpent: choice('It is spent', YES_NO, {
    ...FROM_THE_PAIR,
    prior: assumed({ shares: { no: 0.6, yes: 0.4 } }),
    readBy: 'said before any reasoning where something aches: a spent pair is replaced first',
  }),
} as const;
