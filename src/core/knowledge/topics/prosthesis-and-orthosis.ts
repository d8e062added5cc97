import { is, type Rule } from '../rule';

/** Shoes for a prosthetic foot, an orthosis, an insert. */
export const prosthesisAndOrthosis: readonly Rule[] = [
  {
    id: 'prosthesis-heel-rise',
    topic: 'Prosthesis and orthosis',
    finding: 'prosthetic foot with a set heel rise',
    when: is('prosthesisSide', ['left', 'right']),
    wishes: [
      { feature: 'drop', atMost: { finding: 'prosthesisSetRise', plus: 5 } },
      {
        feature: 'drop',
        atLeast: { finding: 'prosthesisSetRise' },
        atMost: { finding: 'prosthesisSetRise' },
        reach: 5,
        strength: 'strong',
      },
      { feature: 'closure', avoid: ['slip-on'] },
      { feature: 'heelKind', avoid: ['slender', 'platform'] },
    ],
    strength: 'limit',
    schools: [],
    evidence: 'C',
    sources: ['boone-2013'],
    because:
      'The shoe sets the shank: a heel too high cannot be corrected in the shoe, one too low takes a wedge.',
    caution: 'Both shoes the same heel height. Never change shoes on the day of therapy.',
  },
  {
    id: 'prosthesis-shoe',
    topic: 'Prosthesis and orthosis',
    finding: 'prosthesis',
    when: is('prosthesisSide', ['left', 'right']),
    wishes: [
      { feature: 'heelCushioning', atLeast: 3.5, atMost: 4.5 },
      { feature: 'heelBase', atLeast: 84, atMost: 105 },
      { feature: 'upperFirmness', atLeast: 2.5 },
      { feature: 'mass', atMost: 330, strength: 'moderate' },
      { feature: 'collarHeight', atMost: 2, strength: 'moderate' },
      { feature: 'toeBoxShape', avoid: ['tapered'], strength: 'moderate' },
      { feature: 'opening', atLeast: 2.5, strength: 'moderate' },
    ],
    strength: 'strong',
    schools: [],
    evidence: 'C',
    sources: [],
    because:
      'Light, broad and flat below, shock-absorbing at the heel, closing around a foot that does not bend; the other foot needs a wide toe box.',
  },
  {
    id: 'brace-in-shoe',
    topic: 'Prosthesis and orthosis',
    finding: 'ankle-foot orthosis or brace',
    when: is('insert', 'brace'),
    wishes: [
      { feature: 'removableInsole', prefer: ['yes'] },
      { feature: 'opening', atLeast: 2.5 },
      { feature: 'closure', avoid: ['slip-on'] },
      { feature: 'toeBoxDepth', atLeast: 2 },
      { feature: 'toeBoxDepth', atLeast: 3, strength: 'strong' },
      { feature: 'opening', atLeast: 3, strength: 'strong' },
    ],
    strength: 'limit',
    schools: [],
    evidence: 'C',
    sources: [],
    because: 'Brace and foot go in together: insole out, throat wide, half a size longer, no heel slip.',
  },
  {
    id: 'orthosis-interface',
    topic: 'Prosthesis and orthosis',
    finding: 'foot orthosis or insole',
    when: is('insert', ['orthosis', 'insole']),
    wishes: [
      { feature: 'removableInsole', prefer: ['yes'], strength: 'limit' },
      { feature: 'insoleDepth', atLeast: { finding: 'insertHeel' }, strength: 'strong' },
      { feature: 'archContour', atMost: 2, strength: 'moderate' },
      { feature: 'medialSupport', avoid: ['post'], strength: 'slight' },
      { feature: 'heelCounter', atLeast: 3.5, strength: 'moderate' },
    ],
    strength: 'strong',
    schools: [],
    evidence: 'C',
    sources: [],
    because:
      'Shoe and orthosis are judged together: it needs its depth, a neutral bed and a heel that holds it.',
  },
];
