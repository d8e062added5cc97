import { RUBBED_PLACES, type RubbedPlace } from '../../body-map/rubbed-places';
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

type Cause = keyof typeof FINDINGS.rubCause.options;

/** What a cause asks of the next pair once it was found; causes that no shoe mends ask nothing. */
const BY_CAUSE = {
  'too-short': {
    wishes: [{ feature: 'toeRoom', atLeast: 12, atMost: 16 }],
    because: 'The pair was too short: the next has its full room in front.',
  },
  'slides-forward': {
    wishes: [HOLDS_HEEL, { feature: 'overlaysReachSole', atLeast: 2.5 }],
    because: 'The foot slid forward: it is held at the midfoot, not stopped by the toes.',
  },
  'heel-slips': {
    wishes: [HOLDS_HEEL, { feature: 'heelCounter', atLeast: 3 }, { feature: 'collarPadding', atLeast: 2.25 }],
    because: 'The heel slipped: a counter and a rim that hold it.',
  },
  'too-narrow': {
    wishes: [
      { feature: 'width', atLeast: 3 },
      { feature: 'toeBoxShape', prefer: ['square', 'anatomic'] },
    ],
    because: 'The pair was too narrow: wider, with a front shaped like the toes.',
  },
  'too-wide': {
    wishes: [
      { feature: 'width', atMost: 2.5 },
      { feature: 'toeBoxDepth', atMost: 2.5 },
    ],
    because: 'The foot swam in the pair: narrower and closer above.',
  },
  'contour-high': {
    wishes: [{ feature: 'archContour', atMost: 1.5 }],
    because: 'The contour pressed under the arch: lower.',
  },
  'contour-missing': {
    wishes: [{ feature: 'archContour', atLeast: 1.75, atMost: 2.5 }],
    because: 'Nothing carried the arch, and the foot collapsed over the edge: a low contour.',
  },
  'rolls-out': {
    wishes: [
      { feature: 'lateralSupport', prefer: ['sidewall', 'flare'] },
      { feature: 'forefootBase', atLeast: 110, atMost: 130 },
    ],
    because: 'The foot rolled out over the edge: a broader base with a side that holds.',
  },
  'rolls-in': {
    wishes: [
      { feature: 'torsionalStiffness', atLeast: 3 },
      { feature: 'heelCounter', atLeast: 3.25 },
    ],
    because: 'The foot rolled in over the edge: a middle and a counter that hold.',
  },
  collar: {
    wishes: [
      { feature: 'softCounterEdge', prefer: ['yes'] },
      { feature: 'seamFree', prefer: ['yes'] },
      { feature: 'collarPadding', atLeast: 2 },
    ],
    because: 'An edge, a seam or a stiff counter rubbed: soft, and without seams there.',
  },
} as const satisfies Partial<Record<Cause, { wishes: readonly Wish[]; because: string }>>;

const causeRules = keysOf<keyof typeof BY_CAUSE>(BY_CAUSE).map(
  (cause): RuleText => ({
    ...BY_CAUSE[cause],
    id: `rubs-because-${cause}`,
    finding: `what made it rub: ${FINDINGS.rubCause.options[cause]}`,
    when: all(has('rubbedAt', RUBBED_PLACES), has('rubCause', cause)),
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
  }),
);

/** Blisters, callus, corns and redness by place: the place says what did it. */
export const rubbedPlaces = topic('Rubbed places', [
  ...rules,
  ...causeRules,
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
