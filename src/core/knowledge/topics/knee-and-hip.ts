import { above, all, any, has, type Rule } from '../rule';

/** Knee, hip, leg length and body mass. */
export const kneeAndHip: readonly Rule[] = [
  {
    id: 'front-knee-or-hip-runner',
    topic: 'Knee and hip',
    finding: 'front-of-knee or hip pain in a runner',
    when: all(
      has('pain', ['knee-front', 'hip']),
      has('activities', ['road-running', 'racing', 'trail', 'gym']),
    ),
    wishes: [
      { feature: 'drop', atLeast: 4, atMost: 8 },
      { feature: 'forefootStiffness', atMost: 2.5, strength: 'slight' },
      { feature: 'heelStack', atMost: 32, strength: 'slight' },
      { feature: 'plate', prefer: ['none'], strength: 'slight' },
    ],
    strength: 'moderate',
    schools: ['load'],
    evidence: 'B',
    sources: ['bonacci-2014', 'heiderscheit-2011'],
    because: 'Lower drop moves work from the knee to the ankle; so does a step rate 5–10 % higher.',
    caution: 'What the knee is spared, calf and heel cord carry.',
  },
  {
    id: 'knee-arthritis-stable',
    topic: 'Knee and hip',
    finding: 'inner-side knee arthritis (trial)',
    when: any(has('conditions', 'knee-arthritis-inner'), has('pain', 'knee-inner')),
    wishes: [
      { feature: 'heelCounter', atLeast: 4 },
      { feature: 'torsionalStiffness', atLeast: 3.5 },
      { feature: 'drop', atMost: 10 },
      { feature: 'heelStack', atMost: 32 },
    ],
    strength: 'moderate',
    schools: [],
    evidence: 'A',
    sources: ['paterson-2021', 'parkes-2013'],
    because: 'Stable supportive shoes gave less walking pain than flat flexible ones; wedges add nothing.',
    contested: true,
  },
  {
    id: 'knee-arthritis-flat-flexible',
    topic: 'Knee and hip',
    finding: 'inner-side knee arthritis (laboratory)',
    when: any(has('conditions', 'knee-arthritis-inner'), has('pain', 'knee-inner')),
    wishes: [
      { feature: 'drop', atMost: 5 },
      { feature: 'forefootStiffness', atMost: 2 },
    ],
    strength: 'slight',
    schools: ['load'],
    evidence: 'B',
    sources: ['shakoor-2010'],
    because:
      'Flat flexible shoes lower the joint’s load in the laboratory; the pain trial went the other way.',
    contested: true,
  },
  {
    id: 'leg-length',
    topic: 'Knee and hip',
    finding: 'leg length difference',
    when: above('legLengthDifference', 4),
    wishes: [
      { feature: 'removableInsole', prefer: ['yes'] },
      { feature: 'heelStack', atLeast: 22, atMost: 34, strength: 'slight' },
      { feature: 'insoleDepth', atLeast: 5, atMost: 16, strength: 'slight' },
    ],
    strength: 'moderate',
    schools: [],
    evidence: 'C',
    sources: ['campbell-2018'],
    because: 'A lift up to about 8–10 mm fits inside; beyond that the sole must be one that can be raised.',
  },
  {
    id: 'heavy-user-durability',
    topic: 'Knee and hip',
    finding: 'body mass over 95 kg (trade habit)',
    when: above('bodyMass', 95),
    wishes: [
      { feature: 'midsoleHardness', atLeast: 3.5 },
      { feature: 'heelBase', atLeast: 86, atMost: 105 },
    ],
    strength: 'slight',
    schools: ['shape'],
    evidence: 'C',
    sources: ['malisoux-2020'],
    because:
      'Trade habit: firmer, durable foam and a broad base. A trial found softer shoes protective, more so for lighter runners, so mass alone argues for durability, not hardness.',
    contested: true,
  },
];
