import { all, atLeast, below, has, is, topic } from '../rule';

/** Growing feet. */
export const children = topic('Children', [
  {
    id: 'child-shoe',
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
    evidence: 'C',
    sources: ['practice'],
    because: 'Room to grow, a front that bends, a heel that holds, and fastened.',
    caution:
      'Re-check every 2–3 months to the age of 2½, every 3–4 to 4, every 4–6 to 6, then every 6; sooner in a growth spurt.',
  },
  {
    id: 'child-small-free',
    finding: 'under 6',
    when: below('ageYears', 6),
    wishes: [
      { feature: 'forefootStiffness', atMost: 1.5 },
      { feature: 'torsionalStiffness', atMost: 2.5 },
      { feature: 'heelStack', atMost: 16 },
      { feature: 'closure', prefer: ['hook-and-loop', 'zip', 'buckle', 'elastic'] },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['rao-joseph-1992', 'practice'],
    because: 'Young feet grow strong by moving; the shoe covers and holds on, no more.',
    caution: 'Check the size every two to three months.',
  },
  {
    id: 'child-flat-no-correction',
    finding: 'child with a low, flexible arch',
    when: all(below('ageYears', 12), is('arch', 'low'), is('archMobility', 'flexible')),
    wishes: [
      { feature: 'medialSupport', avoid: ['post', 'rail'] },
      { feature: 'archContour', atMost: 2 },
      { feature: 'insertKind', worth: { none: 1, cushion: 0.7, contoured: 0.4, custom: 0.2, stiffener: 0 } },
    ],
    strength: 'strong',
    evidence: 'A',
    sources: ['wenger-1989', 'rao-joseph-1992'],
    because:
      'Three years of corrective shoes or inserts changed nothing; most low arches under eight are normal.',
    contestedBy: [
      'low-arch-flexible-rolls-in',
      'low-arch-stability',
      'growth-plate-heel',
      'low-arch-inner-tissue-sore',
    ],
  },
  {
    id: 'child-low-drop',
    finding: 'under 12: heel',
    when: below('ageYears', 12),
    wishes: [
      { feature: 'drop', atMost: 8 },
      { feature: 'mass', atMost: 260 },
      { feature: 'heelKind', prefer: ['flat'] },
    ],
    strength: 'slight',
    evidence: 'C',
    sources: ['practice'],
    because: 'Little heel and little weight, as the foot is.',
  },
  {
    id: 'teen-two-sports',
    finding: '12 to 17, runs or plays',
    when: all(
      atLeast('ageYears', 12),
      below('ageYears', 18),
      has('activities', ['road-running', 'trail', 'court', 'indoor-court']),
    ),
    wishes: [
      { feature: 'heelCushioning', atLeast: 3 },
      { feature: 'plate', prefer: ['none'] },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'Growth plates take the load: cushioned, no racing plates.',
  },
  {
    id: 'growing-no-narrow',
    finding: 'under 16: toes',
    when: below('ageYears', 16),
    wishes: [
      { feature: 'width', atLeast: 2 },
      { feature: 'toeBoxShape', prefer: ['anatomic', 'round', 'square'] },
    ],
    strength: 'moderate',
    evidence: 'B',
    sources: ['menz-2016-hv'],
    because: 'Narrow toe boxes early in life go with bunions later.',
  },
]);
