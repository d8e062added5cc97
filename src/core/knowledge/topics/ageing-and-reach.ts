import { any, atLeast, has, is, type Rule } from '../rule';

/** Falls, reach, hands, pregnancy. */
export const ageingAndReach: readonly Rule[] = [
  {
    id: 'older-or-falls',
    topic: 'Ageing and reach',
    finding: '65 or older, falls, or afraid of falling',
    when: any(atLeast('ageYears', 65), atLeast('falls', 1), is('fearOfFalling', 'yes')),
    wishes: [
      { feature: 'heelStack', atMost: 25, reach: 12 },
      { feature: 'heelBase', atLeast: 84, atMost: 105 },
      { feature: 'midsoleHardness', atLeast: 3.5, atMost: 4.5 },
      { feature: 'tread', prefer: ['slip-rated', 'road'] },
      { feature: 'heelBevel', prefer: ['central', 'lateral'], strength: 'moderate' },
      { feature: 'closure', avoid: ['slip-on'] },
      { feature: 'collarPadding', atLeast: 2, strength: 'slight' },
      { feature: 'mass', atMost: 320, strength: 'slight' },
      { feature: 'category', avoid: ['maximal'] },
    ],
    strength: 'strong',
    schools: [],
    evidence: 'B',
    sources: ['menant-2008', 'koepsell-2004'],
    because:
      'Low, broad, thin and firm lets the foot feel the ground; fastened and bevelled keeps it from slipping.',
    caution: 'No soft thick foam, nothing backless.',
  },
  {
    id: 'cannot-reach',
    topic: 'Ageing and reach',
    finding: 'cannot reach the feet, or weak hands',
    when: any(is('reach', ['effort', 'no']), is('hands', ['pull', 'weak'])),
    wishes: [
      { feature: 'closure', prefer: ['hook-and-loop', 'dial', 'zip', 'elastic'] },
      { feature: 'opening', atLeast: 3 },
    ],
    strength: 'strong',
    schools: [],
    evidence: 'C',
    sources: [],
    because: 'A closure that cannot be closed does not hold. Add a long shoe horn.',
  },
  {
    id: 'pregnancy',
    topic: 'Ageing and reach',
    finding: 'pregnancy',
    when: has('conditions', 'pregnancy'),
    wishes: [
      { feature: 'toeRoom', atLeast: 12, atMost: 15 },
      { feature: 'width', atLeast: 2.75 },
      { feature: 'heelCounter', atLeast: 3.5 },
      { feature: 'tread', avoid: ['smooth'] },
      { feature: 'closure', prefer: ['hook-and-loop', 'elastic', 'dial', 'slip-on'] },
      { feature: 'drop', atMost: 12 },
    ],
    strength: 'moderate',
    schools: [],
    evidence: 'B',
    sources: ['segal-2013'],
    because: 'Feet lengthen and spread, laces move out of reach, balance shifts.',
  },
];
