import { below, type Rule } from '../rule';

/** Growing feet. */
export const children: readonly Rule[] = [
  {
    id: 'child-shoe',
    topic: 'Children',
    finding: 'under 16',
    when: below('ageYears', 16),
    wishes: [
      { feature: 'toeRoom', atLeast: 12, atMost: 17 },
      { feature: 'forefootStiffness', atMost: 2 },
      { feature: 'heelCounter', atLeast: 3.5 },
      { feature: 'closure', avoid: ['slip-on'] },
      { feature: 'toeBoxShape', avoid: ['tapered'] },
    ],
    strength: 'strong',
    schools: [],
    evidence: 'C',
    sources: [],
    because: 'Room to grow, a front that bends, a heel that holds, and fastened.',
    caution: 'Re-check every 8–12 weeks under 4, every 12–16 weeks after.',
  },
];
