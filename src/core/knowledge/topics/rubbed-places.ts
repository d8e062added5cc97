import type { RubbedPlace } from '../../body-map/rubbed-places';
import { FINDINGS } from '../../findings/findings';
import { keysOf } from '../../tables/keys-of';
import { OURS } from '../ours';
import { above, all, has, is, type RuleText, topic, type Wish } from '../rule';

/** A closure that holds the heel back, best first. */
const HOLDS_HEEL: Wish = {
  feature: 'closure',
  worth: {
    'laces-extra-eyelet': 1,
    laces: 0.8,
    dial: 0.8,
    'hook-and-loop': 0.6,
    buckle: 0.5,
    zip: 0.3,
    elastic: 0.3,
    'slip-on': 0,
  },
};

/** What each place asks for, by its first suspects. */
const PLACES: Readonly<Record<RubbedPlace, { wishes: readonly Wish[]; because: string }>> = {
  'toe-tips': {
    wishes: [
      { feature: 'toeRoom', atLeast: 12, atMost: 16 },
      { feature: 'toeBoxDepth', atLeast: 2.25 },
      HOLDS_HEEL,
    ],
    because:
      'Toe tips strike the front: too short, or the foot slides forward because nothing holds it back.',
  },
  'between-toes': {
    wishes: [
      { feature: 'toeBoxShape', prefer: ['square', 'anatomic'] },
      { feature: 'width', atLeast: 2.5 },
    ],
    because: 'Toes that rub each other are squeezed by a narrow or tapered front.',
  },
  knuckles: {
    wishes: [
      { feature: 'toeBoxDepth', atLeast: 2.75 },
      { feature: 'toeBoxMaterial', prefer: ['mesh', 'stretch'] },
    ],
    because: 'Knuckles rub on the roof: deeper and softer above the toes.',
  },
  ball: {
    wishes: [{ feature: 'forefootCushioning', atLeast: 3.25 }, { feature: 'width', atMost: 3 }, HOLDS_HEEL],
    because:
      'The ball burns where the foot slides to and fro in a wide or loose front, or stays long on the ground.',
  },
  arch: {
    wishes: [{ feature: 'archContour', atLeast: 1.5, atMost: 2 }],
    because: 'A contour too high or in the wrong place rubs; none lets the foot collapse over the edge.',
  },
  instep: {
    wishes: [
      { feature: 'opening', atLeast: 2.5 },
      { feature: 'closure', avoid: ['slip-on', 'zip'] },
    ],
    because: 'Pressure on the instep is laced past: a long throat lets a crossing be left out.',
  },
  'heel-back': {
    wishes: [
      { feature: 'heelCounter', atLeast: 3, atMost: 4.5 },
      { feature: 'softCounterEdge', prefer: ['yes'] },
      { feature: 'collarPadding', atLeast: 2 },
      HOLDS_HEEL,
    ],
    because: 'A heel blisters where it slips, or on an edge that is hard: hold it, with a soft rim.',
  },
  'outer-edge': {
    wishes: [
      { feature: 'width', atLeast: 2.5 },
      { feature: 'archContour', atMost: 2 },
      { feature: 'forefootBase', atLeast: 110, atMost: 130 },
    ],
    because: 'The outer edge hangs over a narrow last, or is pushed out by the arch or by rolling out.',
  },
  'inner-edge': {
    wishes: [
      { feature: 'width', atLeast: 2.5 },
      { feature: 'toeBoxShape', prefer: ['square', 'anatomic'] },
      { feature: 'torsionalStiffness', atLeast: 3 },
    ],
    because: 'The inner edge rubs on a narrow front, over a bunion, or where the foot rolls in.',
  },
  ankle: {
    wishes: [
      { feature: 'collarClear', prefer: ['yes'] },
      { feature: 'collarHeight', atMost: 1.75 },
    ],
    because: 'Only the collar reaches the ankle bones: lower, or cut clear of them.',
  },
};

const rules = keysOf(PLACES).flatMap((place): RuleText[] => {
  const { wishes, because } = PLACES[place];
  const where = FINDINGS.rubbedAt.options[place];
  const rubs = has('rubbedAt', place);
  const base = { wishes, evidence: 'C', sources: ['practice'], because } as const;
  return [
    {
      ...base,
      id: `rubs-${place}`,
      finding: `rubbed or pressed on both feet: ${where}`,
      when: all(rubs, is('rubbedOneSided', 'no')),
      strength: 'moderate',
    },
    {
      ...base,
      id: `rubs-${place}-one-side`,
      finding: `rubbed or pressed on one foot: ${where}`,
      when: all(rubs, is('rubbedOneSided', 'yes')),
      strength: 'slight',
    },
  ];
});

/** Blisters, callus, corns and redness by place: the place says what did it. */
export const rubbedPlaces = topic('Rubbed places', [
  ...rules,
  {
    id: 'rubbed-one-side-first',
    finding: 'rubbed on one foot, legs unequal',
    when: all(is('rubbedOneSided', 'yes'), above('legLengthDifference', OURS.legsUnequal)),
    wishes: [{ feature: 'removableInsole', prefer: ['yes'] }],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'Legs of unequal length load the feet unequally: level them before another shoe is bought.',
    caution:
      'Rubbed on one side only: look at camber, leg length and a difference in size before the shoe is blamed.',
  },
]);
