import { OURS } from '../ours';
import { above, all, atLeast, is, topic } from '../rule';

/**
 * Correction along the measured difference, mm: half to three quarters of it, nothing within what a tape can tell (4 mm),
 * inside up to 10 mm and the rest outside. Shares by Campbell 2018, from memory; where it begins is ours.
 */
const INSIDE = {
  least: [
    [3, 0],
    [6, 3],
    [20, 10],
  ],
  most: [
    [3, 0],
    [6, 4.5],
    [13.5, 10],
  ],
} as const;
const OUTSIDE = {
  least: [
    [20, 0],
    [80, 30],
  ],
  most: [
    [13.5, 0],
    [80, 50],
  ],
} as const;

/** Leg length: what fits inside one shoe, and what must be built on. */
export const legLength = topic('Leg length', [
  {
    id: 'leg-length',
    finding: 'leg length difference',
    when: above('legLengthDifference', OURS.legsUnequal),
    wishes: [
      { feature: 'removableInsole', prefer: ['yes'] },
      { feature: 'heelStack', atLeast: 22, atMost: 34, strength: 'slight' },
      { feature: 'insoleDepth', atLeast: 5, atMost: 16, strength: 'slight' },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['campbell-2018'],
    because: 'A lift up to about 8–10 mm fits inside; beyond that the sole must be one that can be raised.',
  },
  {
    id: 'leg-length-correction',
    finding: 'leg length difference, this leg shorter',
    when: all(is('shorterLeg', 'yes'), above('legLengthDifference', 0)),
    wishes: [
      {
        feature: 'heelLift',
        atLeast: { finding: 'legLengthDifference', along: INSIDE.least },
        atMost: { finding: 'legLengthDifference', along: INSIDE.most },
        reach: 4,
      },
      {
        feature: 'soleLift',
        atLeast: { finding: 'legLengthDifference', along: OUTSIDE.least },
        atMost: { finding: 'legLengthDifference', along: OUTSIDE.most },
      },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['campbell-2018'],
    because:
      'Half to three quarters of the difference is corrected: inside up to about 10 mm, the rest on the sole. Within what a tape can tell nothing is lifted.',
    caution:
      'Reach it in stages of 3–6 mm, each worn until it is not noticed. A tape is 5 mm out easily: blocks under the foot decide.',
  },
  {
    id: 'leg-length-ache-one-side',
    finding: 'ache on one side only, legs unequal',
    when: all(is('acheOneSided', 'yes'), above('legLengthDifference', OURS.legsUnequal)),
    wishes: [{ feature: 'removableInsole', prefer: ['yes'], strength: 'slight' }],
    strength: 'slight',
    evidence: 'C',
    sources: ['practice'],
    because: 'Unequal legs load the sides unequally: level them before the ache is put down to the shoe.',
    caution:
      'An ache on one side only: look at camber, leg length and a difference in size before the shoe is blamed.',
  },
  {
    id: 'leg-length-sole-workable',
    finding: 'leg length difference over 10 mm',
    when: above('legLengthDifference', OURS.soleToRaise),
    wishes: [
      { feature: 'heelStack', atLeast: 20, atMost: 32 },
      { feature: 'plate', prefer: ['none'] },
      { feature: 'rocker', atMost: 2, strength: 'slight' },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'A plain foam sole can be cut and raised; plates and thin shells cannot.',
  },
  {
    id: 'leg-length-rocker-when-raised',
    finding: 'sole to be raised by 15 mm or more',
    when: all(is('shorterLeg', 'yes'), atLeast('legLengthDifference', OURS.raisedSoleRolls)),
    wishes: [{ feature: 'toeSpring', atLeast: 14, atMost: 24 }],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'A raised sole hardly bends: it needs toe spring to roll.',
  },
]);
