import { BEFORE_FINDINGS } from '../findings/catalogue/before';
import { type FindingId, isNumberFinding, type NumberFindingId } from '../findings/findings';
import { mapTable } from '../tables/keys-of';
import type { Mark } from './sources';

interface Cut {
  label: string;
  /** The band ends here; the last one has no end. */
  upTo: number;
  /** Whether the end itself belongs to this band. */
  inclusive: boolean;
}

/** Named bands over one finding: derived from the number, never in its place, and no forecast of injury. */
export interface BandScale {
  cuts: readonly Cut[];
  /** Which side of each boundary its value belongs to, and whose rule that is. */
  boundary: string;
  mark: Mark;
  /** Where other cuts of the same scale come from. */
  also?: readonly Mark[];
  /** The bands were made on people of at least this age, years. */
  fromAge?: number;
  caution?: string;
}

const below = (upTo: number, label: string): Cut => ({ label, upTo, inclusive: false });
const upTo = (limit: number, label: string): Cut => ({ label, upTo: limit, inclusive: true });
const rest = (label: string): Cut => ({ label, upTo: Number.POSITIVE_INFINITY, inclusive: true });

/** A difference between the feet of more than this is the line for an at-risk foot, °C: 4 °F. Lavery 2004, 2007, from memory. */
export const TEMPERATURE_LINE = 2.2;

const OURS = 'the source leaves the boundary open; this rule is ours';

/** Bands of each number; null where none is published or agreed. */
export const BANDS = {
  archIndex: {
    cuts: [upTo(0.21, 'high arch'), below(0.26, 'medium arch'), rest('low arch')],
    boundary: '0.21 is high and 0.26 is low: both boundaries belong to the outer bands',
    mark: 'cavanagh-1987',
    fromAge: 10,
    caution:
      'Quartiles of a sample, not pathology. Soft tissue raises it; plate recordings need bands of their own.',
  },
  chippauxSmirak: {
    cuts: [
      upTo(0, 'interrupted print'),
      below(30, 'normal'),
      below(40, 'intermediate'),
      below(45, 'lowered'),
      rest('flat'),
    ],
    boundary:
      'lower bounds belong to the band above them; 0 is an interrupted print, not a gap in the record',
    mark: 'forriol-1990',
    fromAge: 10,
    caution: 'Nearly every toddler would be “flat”.',
  },
  staheli: {
    cuts: [below(0.3, 'below the usual range'), upTo(1, 'in the usual range'), rest('above the usual range')],
    boundary: `0.30 and 1.00 count as usual (mean ± 2 SD); ${OURS}`,
    mark: 'staheli-1987',
    fromAge: 6,
  },
  clarkeAngle: {
    cuts: [below(30, 'flat'), below(35, 'lowered'), below(42, 'intermediate'), rest('normal')],
    boundary: 'lower bounds belong to the band above them; a larger angle is a higher arch',
    mark: 'forriol-1990',
    fromAge: 10,
    caution: 'Variant: line to the deepest point of the hollow.',
  },
  archHeightIndex: {
    cuts: [upTo(0.295, 'low arch'), below(0.385, 'medium arch'), rest('high arch')],
    boundary: `mean ± 1.5 SD standing; ${OURS}: both boundaries belong to the outer bands`,
    mark: 'butler-2008',
    fromAge: 16,
  },
  navicularDrop: {
    cuts: [below(10, 'usual'), upTo(15, 'commonly called large'), rest('abnormal in the first description')],
    boundary: `10 counts as large, over 15 as abnormal; ${OURS}`,
    mark: 'brody-1982',
    fromAge: 16,
    caution: 'Grows with foot length; a seated start is another test. It prescribes no shoe.',
  },
  postureTotal: {
    cuts: [
      upTo(-5, 'highly supinated'),
      upTo(-1, 'supinated'),
      upTo(5, 'normal'),
      upTo(9, 'pronated'),
      rest('highly pronated'),
    ],
    boundary: 'whole points, both ends included',
    mark: 'redmond-2006',
    fromAge: 18,
    caution: 'Raters differ by 1–2 points: a band is crossed easily. Adults average about +4.',
  },
  lungeDistance: {
    cuts: [below(9, 'commonly flagged'), below(10, 'borderline'), rest('not flagged')],
    boundary: `10 cm is not flagged; ${OURS}`,
    mark: 'bennell-1998',
    fromAge: 14,
    caution: 'Depends on foot and shank length. Not to be converted to degrees.',
  },
  lungeAngle: {
    cuts: [below(35, 'commonly flagged'), below(38, 'borderline'), rest('not flagged')],
    boundary: `38° is not flagged; ${OURS}`,
    mark: 'bennell-1998',
    fromAge: 14,
  },
  bigToeRange: {
    cuts: [
      upTo(10, 'grade 3 by range'),
      upTo(30, 'grade 2 by range'),
      below(40, 'grade 1 by range'),
      rest('grade 0 by range'),
    ],
    boundary: `10, 30 belong to the stiffer grade, 40 to grade 0; ${OURS}`,
    mark: 'coughlin-2003',
    fromAge: 16,
    caution: 'Walking uses about 37–42° as measured; the text-book 60–65° is older than the measurements.',
  },
  timedUpAndGo: {
    cuts: [
      below(12, 'under every cut'),
      below(13.5, 'at risk by one cut (12 s)'),
      upTo(15, 'at risk by two cuts (12 and 13.5 s)'),
      rest('at risk by all cuts (12, 13.5 and 15 s)'),
    ],
    boundary: '12 and 13.5 count as reached; the third cut is over 15 s',
    mark: 'steadi',
    also: ['shumway-2000', 'montero-2022'],
    fromAge: 60,
    caution: 'Predicts falls weakly. Two falls, or one with injury, count for more.',
  },
  chairStands: {
    cuts: [below(12, 'under the cut'), rest('slow: at risk by one cut (12 s)')],
    boundary: '12 s counts as reached',
    mark: 'tiedemann-2008',
    fromAge: 60,
  },
  singleLegStance: {
    cuts: [below(5, 'under 5 s'), rest('5 s or more')],
    boundary: '5 s counts as held',
    mark: 'vellas-1997',
    fromAge: 60,
  },
  excursionIndex: {
    cuts: [
      upTo(7.3, 'inner fifth of one cohort'),
      upTo(21, 'middle of that cohort'),
      rest('outer fifth of that cohort'),
    ],
    boundary: '7.3 belongs to the inner, 21.0 to the middle band',
    mark: 'song-1996',
    fromAge: 18,
    caution: 'Depends on the system, on the direction of the line and on how foot width is taken.',
  },
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
  footLength: null,
  heelBallLength: null,
  ballWidth: null,
  ballGirth: null,
  instepGirth: null,
  heelWidth: null,
  dorsumHeight: null,
  toeHeight: null,
  footLengthSeated: null,
  ballWidthSeated: null,
  dorsumHeightSeated: null,
  clarkeAngleTangent: null,
  monofilamentBigToe: null,
  monofilamentFirstHead: null,
  monofilamentFifthHead: null,
  figureOfEight: null,
  daySwing: null,
  ankleGirth: null,
  calfGirth: null,
  temperatureBigToe: null,
  temperatureFirstHead: null,
  temperatureThirdHead: null,
  temperatureFifthHead: null,
  temperatureMidfoot: null,
  temperatureHeel: null,
  temperatureExcess: {
    cuts: [upTo(TEMPERATURE_LINE, 'within the usual'), rest('past the line for an at-risk foot')],
    boundary: 'more than 2.2 °C (4 °F) is past it',
    mark: 'lavery-2007',
    also: ['armstrong-2007'],
    caution:
      'On two days running, or with other signs. One foot just out of a shoe, a draught, a crossed leg or an inflamed corn do the same.',
  },
  pittingDepth: null,
  pittingSeconds: null,
  legVolume: null,
  heelRises: null,
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
  heelAngleStance: null,
  heelAngleBothFeet: null,
  heelAngleWalk: null,
  heelAngleRun: null,
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
  archIndexLoaded: null,
  ballHeelRatio: null,
  atRiskCategory: null,
  archHeightIndexSeated: null,
  archFlexibility: null,
  footMobility: null,
  pittingGrade: null,
  hypermobilityScore: null,
} as const satisfies Record<NumberFindingId, BandScale | null>;

export interface BandReading {
  label: string;
  scale: BandScale;
  /** Why the band does not fit this person, when it does not. */
  misfit: string | null;
}

/** Place of the band that a value falls into; the last one has no end. */
export const cutIndexOf = (scale: BandScale, value: number): number =>
  scale.cuts.findIndex((cut) => value < cut.upTo || (cut.inclusive && value === cut.upTo));

/** The band a value falls into, by its label. */
export const cutOf = (scale: BandScale, value: number): string =>
  scale.cuts[cutIndexOf(scale, value)]?.label ?? '';

/**
 * Band of a finding, with its boundary rule and source; null where none is published or agreed.
 *
 * @param ageYears null when unknown: then an adult band is given with that said
 */
export function bandOf(id: FindingId, value: number, ageYears: number | null): BandReading | null {
  const scale: BandScale | null = isNumberFinding(id) ? BANDS[id] : null;
  if (!scale) return null;
  const misfit =
    scale.fromAge === undefined
      ? null
      : ageYears === null
        ? `made on people from ${scale.fromAge} years; the age is not known here`
        : ageYears < scale.fromAge
          ? `made on people from ${scale.fromAge} years: it does not fit at ${ageYears}`
          : null;
  return { label: cutOf(scale, value), scale, misfit };
}
