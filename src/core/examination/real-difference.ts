import { BEFORE_FINDINGS } from '../findings/catalogue/before';
import { type FindingId, isNumberFinding, type NumberFindingId } from '../findings/findings';
import { mapTable } from '../tables/keys-of';
import type { Mark } from './sources';

/** A change or a side difference smaller than this is within the measurement's own error. */
export interface RealDifference {
  least: number;
  mark: Mark;
  says: string;
}

/** Smallest detectable change at 95 % from a standard error of measurement: 1.96 · √2 · SEM. By arithmetic. */
export const smallestDetectableChange = (sem: number): number => 1.96 * Math.SQRT2 * sem;

const scan: RealDifference = { least: 2, mark: 'iso-20685', says: 'mean difference of scan and tape' };
const girth: RealDifference = { least: 4, mark: 'iso-20685', says: 'small girths' };

/** Smallest real change of each number, between raters where that is known; null where no error is known. */
export const REAL_DIFFERENCE: Record<NumberFindingId, RealDifference | null> = {
  footLength: scan,
  footLengthSeated: scan,
  heelBallLength: scan,
  ballWidth: scan,
  ballWidthSeated: scan,
  heelWidth: scan,
  toeHeight: scan,
  dorsumHeight: scan,
  ballGirth: girth,
  instepGirth: girth,
  figureOfEight: { least: 10, mark: 'rohner-2007', says: 'smallest real change' },
  lungeDistance: { least: 1.9, mark: 'powden-2015', says: 'between raters' },
  lungeAngle: { least: 4.7, mark: 'powden-2015', says: 'between raters' },
  navicularDrop: {
    least: smallestDetectableChange(2.7),
    mark: 'picciano-1993',
    says: '2.77 × SEM 2.7 mm, between raters',
  },
  postureTotal: { least: 3, mark: 'redmond-2006', says: 'raters differ by 1–2 points' },
  heelAngleBothFeet: { least: 5, mark: 'common practice', says: 'the eye does not see 5°' },
  heelAngleStance: { least: 5, mark: 'common practice', says: 'the eye does not see 5°' },
  heelAngleWalk: { least: 5, mark: 'common practice', says: 'two-dimensional, from day to day' },
  heelAngleRun: { least: 5, mark: 'common practice', says: 'two-dimensional, from day to day' },
  ageYears: null,
  bodyMass: null,
  weeklyDistance: null,
  weeklyDistanceBefore: null,
  longestOuting: null,
  hoursStanding: null,
  falls: null,
  legLengthDifference: null,
  prosthesisSetRise: null,
  prosthesisLever: null,
  prosthesisHeelAt: null,
  prosthesisAnkleTo: null,
  prosthesisHighest: null,
  prosthesisMonths: null,
  worstPain: null,
  insertHeel: null,
  oldPairAge: null,
  oldPairDistance: null,
  oldPairDrop: null,
  bigToeRange: null,
  dorsumHeightSeated: null,
  archIndex: null,
  chippauxSmirak: null,
  staheli: null,
  clarkeAngle: null,
  clarkeAngleTangent: null,
  monofilamentBigToe: null,
  monofilamentFirstHead: null,
  monofilamentFifthHead: null,
  ankleGirth: null,
  calfGirth: null,
  daySwing: null,
  temperatureBigToe: null,
  temperatureFirstHead: null,
  temperatureThirdHead: null,
  temperatureFifthHead: null,
  temperatureMidfoot: null,
  temperatureHeel: null,
  temperatureExcess: null,
  pittingDepth: null,
  pittingSeconds: null,
  legVolume: null,
  heelRises: null,
  singleLegStance: null,
  legLength: null,
  postureTalarHead: null,
  postureMalleolarCurves: null,
  postureHeel: null,
  postureTalonavicular: null,
  postureInnerArch: null,
  postureForefoot: null,
  navicularStart: null,
  navicularRelaxed: null,
  dorsumHeightUnloaded: null,
  midfootWidth: null,
  midfootWidthUnloaded: null,
  timedUpAndGo: null,
  chairStands: null,
  cadence: null,
  ...mapTable(BEFORE_FINDINGS, () => null),
  kneeBendMm: null,
  pregnancyWeeks: null,
  insertForefoot: null,
  insertWidth: null,
  tripDays: null,
  tripLoad: null,
  sidewaysShare: null,
  jumpShare: null,
  pivotShare: null,
  toeDrag: null,
  heelExcursionWalk: null,
  heelExcursionRun: null,
  peakPressure: null,
  pressureTimeIntegral: null,
  contactArea: null,
  excursionIndex: null,
  archIndexLoaded: null,
  ballHeelRatio: null,
  atRiskCategory: null,
  archHeightIndex: null,
  archHeightIndexSeated: null,
  archFlexibility: null,
  footMobility: null,
  pittingGrade: null,
  hypermobilityScore: null,
};

/** Smallest real change of a finding, with its source; null where it is not known or the finding is no number. */
export const realDifferenceOf = (id: FindingId): RealDifference | null =>
  isNumberFinding(id) ? REAL_DIFFERENCE[id] : null;

export type DifferenceReading = 'beyond error' | 'within error' | 'error unknown';

/** Reads a difference, its sign aside. The least real difference itself counts as real. */
export function readDifference(id: FindingId, difference: number): DifferenceReading {
  const real = realDifferenceOf(id);
  if (!real) return 'error unknown';
  return Math.abs(difference) >= real.least - 1e-9 ? 'beyond error' : 'within error';
}
