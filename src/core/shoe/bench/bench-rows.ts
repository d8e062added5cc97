import type { FeatureId, FeatureValues } from '../features';
import type { BenchAnswers, BenchContext, BenchFinding } from './read-bench';

/** A shoe on the bench: what its tests gave, with what follows from lengths. */
export interface BenchedShoe {
  values: FeatureValues;
  signs: NonNullable<BenchAnswers['signs']>;
  lengths: NonNullable<BenchAnswers['lengths']>;
  context: BenchContext;
}

interface BenchRow extends Omit<BenchFinding, 'sentence'> {
  sentence: string | ((shoe: BenchedShoe) => string);
  holds: (shoe: BenchedShoe) => boolean;
  /** What the row, and any figure in it, rests on. */
  mark: string;
}

const PRACTICE = 'common practice';
const OURS = 'common practice; the cut on our scale of grades is ours';

/** A grade or a number, or null while nobody tested it: a comparison with null never holds. */
const gradeIn = ({ values }: BenchedShoe, feature: FeatureId): number | null =>
  values[feature] === undefined ? null : Number(values[feature]);
const atLeast = (shoe: BenchedShoe, feature: FeatureId, least: number): boolean =>
  (gradeIn(shoe, feature) ?? Number.NEGATIVE_INFINITY) >= least;
const atMost = (shoe: BenchedShoe, feature: FeatureId, most: number): boolean =>
  (gradeIn(shoe, feature) ?? Number.POSITIVE_INFINITY) <= most;
const between = (shoe: BenchedShoe, feature: FeatureId, above: number, below: number): boolean => {
  const grade = gradeIn(shoe, feature);
  return grade !== null && grade > above && grade < below;
};

/** Share of the sole that the heel cap covers: a sixth or nothing is poor, about a third is right, in per cent. */
const CAP = { poor: 17, right: 28 };

/** What the bench tests mean, test by test (handbook 03). */
export const BENCH_ROWS: readonly BenchRow[] = [
  {
    test: 'wring',
    level: 'good',
    sentence: 'Holds against twisting.',
    holds: (shoe) => atLeast(shoe, 'torsionalStiffness', 3.5),
    mark: OURS,
  },
  {
    test: 'wring',
    level: 'note',
    sentence: 'Twists easily: no support in the middle.',
    holds: (shoe) => between(shoe, 'torsionalStiffness', 0, 3.5),
    mark: OURS,
  },
  {
    test: 'squeeze',
    level: 'poor',
    sentence: 'The heel collapses from the sides.',
    holds: (shoe) => atMost(shoe, 'heelCounter', 1.5),
    mark: OURS,
  },
  {
    test: 'squeeze',
    level: 'poor',
    sentence: 'The heel collapses from above.',
    holds: ({ signs }) => signs.crushesFromAbove === 'yes',
    mark: PRACTICE,
  },
  {
    test: 'squeeze',
    level: 'good',
    sentence: 'The heel holds from the sides and from above.',
    holds: (shoe) => atLeast(shoe, 'heelCounter', 3) && shoe.signs.crushesFromAbove === 'no',
    mark: OURS,
  },
  {
    test: 'counter-reach',
    level: 'poor',
    sentence: ({ values }) => `The cap covers ${values.counterReach} % of the shoe: a sixth or less.`,
    holds: (shoe) => atMost(shoe, 'counterReach', CAP.poor),
    mark: PRACTICE,
  },
  {
    test: 'counter-reach',
    level: 'good',
    sentence: ({ values }) => `The cap covers ${values.counterReach} %: about a third.`,
    holds: (shoe) => atLeast(shoe, 'counterReach', CAP.right),
    mark: OURS,
  },
  {
    test: 'counter-reach',
    level: 'note',
    sentence: ({ values }) => `The cap covers ${values.counterReach} %, less than a third.`,
    holds: (shoe) => between(shoe, 'counterReach', CAP.poor, CAP.right),
    mark: OURS,
  },
  {
    test: 'two-density',
    level: 'good',
    sentence: 'A real firmer part on the inner side.',
    holds: ({ signs }) => signs.medialFirmer === 'yes',
    mark: PRACTICE,
  },
  {
    test: 'two-density',
    level: 'poor',
    sentence: 'The inner side differs in colour only: no post.',
    holds: ({ signs }) => signs.onlyColour === 'yes' && signs.medialFirmer !== 'yes',
    mark: PRACTICE,
  },
  {
    test: 'lace-pull',
    level: 'good',
    sentence: 'Tightening holds the sides.',
    holds: (shoe) => atLeast(shoe, 'overlaysReachSole', 2.5),
    mark: OURS,
  },
  {
    test: 'lace-pull',
    level: 'poor',
    sentence: 'The laces pull the eyelets only, not the sides.',
    holds: (shoe) => atMost(shoe, 'overlaysReachSole', 1.5),
    mark: OURS,
  },
  {
    test: 'lace-pull',
    level: 'note',
    sentence: 'The overlays reach part of the way.',
    holds: (shoe) => between(shoe, 'overlaysReachSole', 1.5, 2.5),
    mark: OURS,
  },
  {
    test: 'insole-out',
    level: 'poor',
    sentence: 'The insole does not come out: no orthosis fits.',
    holds: ({ values }) => values.removableInsole === 'no',
    mark: PRACTICE,
  },
  {
    test: 'insole-out',
    level: 'poor',
    sentence: 'The foot overhangs the insole: too narrow or the wrong shape.',
    holds: ({ signs }) => signs.footInsideInsole === 'no',
    mark: PRACTICE,
  },
  {
    test: 'insole-out',
    level: 'good',
    sentence: 'The whole foot lies on the insole.',
    holds: ({ signs }) => signs.footInsideInsole === 'yes',
    mark: PRACTICE,
  },
  {
    test: 'toe-box',
    level: 'note',
    sentence: 'Fingers meet over the toes: too much depth, toes will grip.',
    holds: ({ signs }) => signs.fingersMeet === 'yes',
    mark: PRACTICE,
  },
  {
    test: 'toe-box',
    level: 'poor',
    sentence: 'No slack over the toes.',
    holds: (shoe) => atMost(shoe, 'toeBoxDepth', 1.25),
    mark: OURS,
  },
  {
    test: 'collar',
    level: 'poor',
    sentence: 'The collar meets the ankle bones.',
    holds: ({ values }) => values.collarClear === 'no',
    mark: PRACTICE,
  },
  {
    test: 'collar',
    level: 'poor',
    sentence: 'The collar edge is hard.',
    holds: ({ signs }) => signs.collarHard === 'yes',
    mark: PRACTICE,
  },
  {
    test: 'collar',
    level: 'note',
    sentence: 'A bulky collar rubs the ankle bones.',
    holds: (shoe) => atLeast(shoe, 'collarPadding', 2.75),
    mark: OURS,
  },
];

/** A foot's heel sits about this far inside the outer back edge of the sole. Common practice. */
const HEEL_INSET_MM = 6;
/** A fold further than this from the wearer's big-toe joint is a miss. Common practice. */
const FOLD_MISS_MM = 10;
/** Without a wearer: anatomy puts the joint at 72–74 % of foot length (from memory), trade at a fifth from the front. */
const FOLD_SHARE = { back: 0.69, front: 0.82 };

/** Where the fold lies, against the wearer's own joint where it is known; nothing while the fold was not measured. */
export function foldFinding({ lengths, context: { heelBallMm } }: BenchedShoe): BenchFinding[] {
  const { foldFromHeel, soleLength } = lengths;
  if (foldFromHeel === undefined) return [];
  const find = (level: BenchFinding['level'], sentence: string): BenchFinding[] => [
    { test: 'bend', level, sentence },
  ];
  if (soleLength !== undefined && foldFromHeel >= soleLength)
    return find('note', 'The fold cannot lie beyond the tip: measure both again.');
  if (heelBallMm) {
    const off = foldFromHeel - (heelBallMm + HEEL_INSET_MM);
    if (Math.abs(off) <= FOLD_MISS_MM)
      return find('good', `Folds within ${FOLD_MISS_MM} mm of this wearer’s big-toe joint.`);
    const where = off < 0 ? 'behind, under the arch' : 'in front, under the toes';
    return find(
      'poor',
      `Folds ${Math.round(Math.abs(off))} mm ${where}: it misses this wearer’s big-toe joint.`,
    );
  }
  if (soleLength === undefined) return [];
  const share = foldFromHeel / soleLength;
  if (share < FOLD_SHARE.back) return find('poor', 'Folds too far back, under the arch.');
  if (share > FOLD_SHARE.front) return find('poor', 'Folds too far forward, under the toes.');
  return find('good', 'Folds where the ball lies in most feet of this size.');
}
