import { FINDINGS } from '../../findings/findings';
import { type Activity, SERVES, usesServing } from '../../purpose/serves';
import { keysOf } from '../../tables/keys-of';
import { has, is, type RuleText, topic } from '../rule';

/** What else serves a purpose, where a reader would ask. */
const BECAUSE: Record<Activity, string> = {
  'road-running':
    'Easy and long running is done in a running shoe: nothing else has its cushioning and bend.',
  racing: 'A race is run in a racing pair, or in the trainer that the feet know.',
  trail: 'Rough ground is run in a trail shoe.',
  walking: 'A running shoe serves for walking; a walking shoe adds a broad base and a rocker.',
  hiking:
    'A hybrid trail shoe is the best all-round hiking shoe; a worn-in trainer does for an easy way, a smooth sole does not.',
  court:
    'Side-to-side play on a high soft running heel rolls the ankle, and indoor soles wear away outdoors.',
  'indoor-court': 'A hall floor takes a soft, flat sole made for turning; a running shoe rolls the ankle.',
  'lifting-upright': 'Running foam gives way under a bar.',
  'lifting-low-bar': 'Running foam gives way under a bar.',
  gym: 'A running shoe where there is impact, a walking shoe where there is walking.',
  'standing-work': 'Work shoes are cushioned yet stable, closed and grip the floor.',
  'protective-work': 'The safety standard for the job is set by the employer or the law.',
  dress: 'What dress asks for, a sports shoe does not give.',
  everyday: 'A walking or everyday shoe serves; special shoes are worn for what they are made for.',
};

const rules = keysOf(SERVES).map((activity): RuleText => {
  return {
    id: `purpose-${activity}`,
    finding: `for ${FINDINGS.activities.options[activity]}`,
    when: has('activities', activity),
    wishes: [
      { feature: 'use', prefer: usesServing(activity) },
      { feature: 'use', worth: SERVES[activity], strength: 'moderate' },
    ],
    strength: 'limit',
    evidence: 'C',
    sources: ['practice'],
    because: BECAUSE[activity],
  };
});

/** What the pair is for limits what may be proposed. */
export const purpose = topic('Purpose', [
  ...rules,
  {
    id: 'ground-even-no-lugs',
    finding: 'for even ground',
    when: is('ground', ['even', 'indoors']),
    wishes: [{ feature: 'use', avoid: ['trail', 'hiking'] }],
    strength: 'limit',
    evidence: 'C',
    sources: ['practice'],
    because: 'Lugs and a tough sole are for rough ground; on a pavement they are heavy and wear away.',
  },
  {
    id: 'ground-outdoors-no-house-shoe',
    finding: 'for outdoors',
    when: is('ground', ['even', 'rough']),
    wishes: [{ feature: 'use', avoid: ['house'] }],
    strength: 'limit',
    evidence: 'C',
    sources: ['practice'],
    because: 'A house shoe is not made for the street.',
  },
  {
    id: 'correction-only-when-asked',
    finding: 'nothing asks for correction',
    when: is('correctionAsked', 'no'),
    wishes: [
      { feature: 'medialSupport', avoid: ['post'] },
      { feature: 'category', avoid: ['motion-control'] },
    ],
    strength: 'strong',
    evidence: 'C',
    sources: ['practice'],
    because: 'Correction pushes a foot that needs none toward its outer edge.',
  },
  {
    id: 'therapeutic-only-when-asked',
    finding: 'no finding asks for a therapeutic shoe',
    when: is('therapeuticAsked', 'no'),
    wishes: [{ feature: 'use', avoid: ['therapeutic', 'post-operative'] }],
    strength: 'limit',
    evidence: 'B',
    sources: ['reiber-2002'],
    because: 'Therapeutic shoes gave no benefit to people at low risk: an ordinary shoe that fits is enough.',
  },
]);
