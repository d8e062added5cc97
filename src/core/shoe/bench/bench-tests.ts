import type { FeatureId } from '../features';

/** Lengths along the sole that a tape gives, mm. */
export const BENCH_LENGTHS = {
  soleLength: 'Sole, heel to tip',
  foldFromHeel: 'Heel to the fold',
  counterLength: 'Heel to the end of the firm cap',
} as const;
export type BenchLength = keyof typeof BENCH_LENGTHS;

/** What is seen or felt, yes or no. */
export const BENCH_SIGNS = {
  crushesFromAbove: 'Heel collapses when pressed from above',
  medialFirmer: 'Inner midfoot firmer than the heel under the thumbnail',
  onlyColour: 'Inner side differs in colour only',
  footInsideInsole: 'Whole foot lies inside the insole’s outline',
  fingersMeet: 'Fingers meet over the toes',
  collarHard: 'Collar edge hard',
  foldsFlat: 'Folds in half without resistance',
  creased: 'Midsole creased or buckled on the inner side',
  tilts: 'Tilts on a level table',
  wornThrough: 'Outsole worn through to the midsole',
  counterBroken: 'Heel counter broken down',
  liningHoles: 'Holes in the lining',
} as const;
export type BenchSign = keyof typeof BENCH_SIGNS;

export type BenchAsk =
  | { kind: 'feature'; feature: FeatureId }
  | { kind: 'length'; id: BenchLength }
  | { kind: 'sign'; id: BenchSign };

export interface BenchTest {
  id: string;
  title: string;
  /** What the hands do. */
  how: string;
  /** What a good shoe does. */
  good: string;
  asks: readonly BenchAsk[];
  /** Which pairs it is done on: the tenth differs. */
  pair: 'both' | 'new' | 'old';
  seconds: number;
}

const feature = (id: FeatureId): BenchAsk => ({ kind: 'feature', feature: id });
const length = (id: BenchLength): BenchAsk => ({ kind: 'length', id });
const sign = (id: BenchSign): BenchAsk => ({ kind: 'sign', id });

/** The ten tests in the order of the hands. Common practice throughout. */
export const BENCH_TESTS: readonly BenchTest[] = [
  {
    id: 'bend',
    title: 'Bend',
    how: 'Hold the heel, push the toe up. Mark where the sole folds.',
    good: 'The fold comes under the ball, at the big-toe joint.',
    asks: [length('soleLength'), length('foldFromHeel'), feature('forefootStiffness')],
    pair: 'both',
    seconds: 60,
  },
  {
    id: 'wring',
    title: 'Wring',
    how: 'Heel in one hand, forefoot in the other: twist against each other.',
    good: 'Little twist in the middle, for a supportive shoe.',
    asks: [feature('torsionalStiffness')],
    pair: 'both',
    seconds: 30,
  },
  {
    id: 'squeeze',
    title: 'Squeeze the heel',
    how: 'Squeeze the heel from both sides, then press down on its top.',
    good: 'It does not collapse, from the sides or from above.',
    asks: [feature('heelCounter'), sign('crushesFromAbove')],
    pair: 'both',
    seconds: 40,
  },
  {
    id: 'counter-reach',
    title: 'Reach of the heel cap',
    how: 'Feel along the side how far the firm cap runs forward.',
    good: 'About a third of the shoe; a sixth or nothing is poor.',
    asks: [length('counterLength'), feature('softCounterEdge')],
    pair: 'both',
    seconds: 40,
  },
  {
    id: 'two-density',
    title: 'Two densities',
    how: 'Thumbnail into the heel foam, then into the inner midfoot.',
    good: 'A real post is firmer; a mere change of colour is decoration.',
    asks: [feature('midsoleHardness'), sign('medialFirmer'), sign('onlyColour'), feature('medialSupport')],
    pair: 'both',
    seconds: 60,
  },
  {
    id: 'lace-pull',
    title: 'Lace pull',
    how: 'Pull the laces and watch the sides.',
    good: 'Overlays run from the sole to the eyelets, so that tightening holds the sides.',
    asks: [feature('overlaysReachSole'), feature('closure'), feature('sideGuard')],
    pair: 'both',
    seconds: 40,
  },
  {
    id: 'insole-out',
    title: 'Insole out',
    how: 'Take the insole out, measure it at the heel, and have the wearer stand on it.',
    good: 'It comes out, and the whole foot lies inside its outline.',
    asks: [feature('removableInsole'), feature('insoleDepth'), sign('footInsideInsole')],
    pair: 'both',
    seconds: 80,
  },
  {
    id: 'toe-box',
    title: 'Toe box',
    how: 'Pinch over the toes.',
    good: 'Soft and deep: some slack, fingers do not meet.',
    asks: [
      feature('toeBoxDepth'),
      feature('toeBoxMaterial'),
      feature('toeBoxShape'),
      feature('toeDragZone'),
      sign('fingersMeet'),
    ],
    pair: 'both',
    seconds: 60,
  },
  {
    id: 'collar',
    title: 'Collar',
    how: 'Run a finger along the rim; look at it against the ankle bones.',
    good: 'Clear of the ankle bones, not hard, not bulky.',
    asks: [feature('collarClear'), feature('collarPadding'), sign('collarHard')],
    pair: 'both',
    seconds: 40,
  },
  {
    id: 'scale',
    title: 'Scale and calliper',
    how: 'Weigh one shoe; calliper under heel and ball, insole in.',
    good: 'Drop is heel stack less forefoot stack.',
    asks: [feature('mass'), feature('heelStack'), feature('forefootStack')],
    pair: 'new',
    seconds: 90,
  },
  {
    id: 'old-pair',
    title: 'Worn pair',
    how: 'Fold it in half, look at the inner side, set it on a level table, look under and inside.',
    good: 'It resists folding, stands level, and shows no foam under the outsole.',
    asks: [
      sign('foldsFlat'),
      sign('creased'),
      sign('tilts'),
      sign('wornThrough'),
      sign('counterBroken'),
      sign('liningHoles'),
    ],
    pair: 'old',
    seconds: 90,
  },
];

export type PairAge = 'new' | 'old';

/** The ten tests of a new or an old pair. */
export const testsFor = (pair: PairAge): readonly BenchTest[] =>
  BENCH_TESTS.filter((test) => test.pair === 'both' || test.pair === pair);
