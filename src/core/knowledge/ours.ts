/**
 * Numbers in the rules that nobody published: they are ours, drawn from no trial, and a clinic changes them here or by a
 * house rule of its own. Each comes in over a width, so that one unit more or less never turns a shoe into another.
 */
export interface Cut {
  /** Where the condition holds by half. */
  at: number;
  /** From nothing to full over this width, half of it on either side. */
  over: number;
}

const cut = (at: number, over: number): Cut => ({ at, over });

export const OURS = {
  /** Ball over heel width of a foot whose heel is loose in its width. */
  slimHeel: cut(1.6, 0.1),
  /** kg: from here foam is spent and base is asked of. */
  heavyWearer: cut(95, 10),
  heavyRunner: cut(85, 10),
  lightRunner: cut(72, 6),
  /** kg. Fuller 2017 found the risk of minimal shoes rising from 71.4 kg on; the width is ours. */
  heavyForMinimal: cut(71.4, 8),
  /** Hours of the longest outing. */
  longOuting: cut(1, 0.5),
  /** Hours a day on the feet. */
  standsLong: cut(4, 2),
  standsLongSwelling: cut(5, 2),
  /** mm, tallest toe. */
  tallToes: cut(27, 4),
  /** km a week. */
  runsRegularly: cut(20, 10),
  muchRoad: cut(25, 10),
  heavyRunnersWeek: cut(40, 12),
  longWeek: cut(50, 14),
  /** Degrees of upward range of the big toe; 40 is commonly called stiff, walking needs 60–65. */
  stiffBigToe: cut(40, 8),
  toeNearlyFixed: cut(10, 8),
  shortBigToe: cut(60, 8),
  /** Knee to wall, cm and degrees; under 9–10 cm or 35–38° is commonly flagged. */
  shortLunge: cut(9.5, 3),
  shortLungeAngle: cut(36.5, 5),
  /** Steps of one foot a minute. */
  longContact: cut(85, 6),
  /** Single-leg heel rises. */
  fewHeelRises: cut(10, 4),
  hardlyAnyHeelRise: cut(5, 3),
  /** Months on a prosthesis; two to three are commonly left unchanged. */
  firstMonths: cut(3, 1),
  /** mm under the heel. */
  thickInsert: cut(5, 3),
  /** Ache, 0–10. */
  sore: cut(2.5, 2),
  freeOfAches: cut(2.5, 2),
  /** mm of navicular drop; over 10 mm is commonly called large, Brody gave 15. */
  largeNavicularDrop: cut(11, 5),
  /** kPa barefoot; plates differ. */
  highPeak: cut(700, 150),
  /** mm of leg length difference. */
  legsUnequal: cut(4.5, 3),
  soleToRaise: cut(10, 5),
  raisedSoleRolls: cut(25, 8),
  /** Per cent of a sport’s movement. */
  muchSideways: cut(22, 10),
  muchJumping: cut(20, 10),
  muchTurning: cut(20, 10),
  muchToeDrag: cut(40, 20),
  /** Months after which a pair has served for years. */
  servedForYears: cut(21, 12),
  laterPregnancy: cut(22, 8),
  /** mm of an insert under the toes. */
  thickInFront: cut(3, 2),
  /** kg carried, and days on the way. */
  heavyPack: cut(10, 6),
  severalDays: cut(1.5, 1),
  /** cm: an ankle that lifts flat. */
  freeAnkle: cut(11.5, 3),
} as const satisfies Record<string, Cut>;
