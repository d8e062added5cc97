import { addDays } from '../calendar/days';
import { type AtRiskCategory, REVIEW_MONTHS } from '../examination/at-risk-category';
import { SIDES, type Side } from '../findings/finding-kinds';
import type { ClinicalPicture } from '../findings/picture';
import { type LacingAdvice, lacingAdvice } from '../fitting/lacing';
import type { TryOn } from '../fitting/try-on';
import type { Specification } from '../prescribe/engine/specification';
import { acceptsEverything, targetInWords } from '../prescribe/explain/in-words';
import { liftStages, liftStagesInWords } from '../prescribe/explain/lift-stages';
import { SHEET_CAUTION, STOP_AND_CALL } from '../safety/cautions';
import { type FeatureValues, featureOf } from '../shoe/features';
import { type BreakInStep, breakInPlan } from './break-in';

/** Everything a patient takes home, in plain words; dates are days from hand-over and calendar days. */
export interface PatientSheet {
  patient: string;
  clinic: string;
  shoe: string;
  size: string;
  startedOn: string;
  reviewOn: string;
  /** Null where nothing can be said: how much it is used is not known. */
  replaceBetween: { from: string; to: string } | null;
  startNextOn: string | null;
  features: { what: string; wanted: string; why: string }[];
  values: FeatureValues;
  howItFits: string[];
  /** What was changed on the pair for this patient. */
  changes?: string[];
  breakIn: (BreakInStep & { on: string })[];
  lacing: LacingAdvice;
  care: string[];
  stopAndCall: string[];
  bringAlong: string;
  /** Whether the next pair may be bought without coming in; absent on older sheets. */
  again?: string;
  caution: string;
}

export interface SheetInput {
  patient: string;
  clinic: string;
  shoe: string;
  size: string;
  startedOn: string;
  picture: ClinicalPicture;
  specification: Specification;
  values: FeatureValues;
  tryOn: TryOn | null;
  changes?: readonly string[];
  category: AtRiskCategory | null;
  usualMinutes: number;
  windowDays: { q10: number; q90: number } | null;
  startNextDay: number | null;
  /** Whether the same may be bought again unseen. */
  again?: string;
  reviewOn: string;
}

/** Weeks to the next review: two after a hand-over, and never later than the at-risk category allows. */
export function reviewDay(startedOn: string, category: AtRiskCategory | null): string {
  const latest = category === null ? 365 : REVIEW_MONTHS[category][1] * 30;
  return addDays(startedOn, Math.min(14, latest));
}

/** Most telling features on one page. */
const FEATURES_ON_SHEET = 6;

function liftPlan(specification: Specification, side: Side): string[] {
  const plan = liftStagesInWords(liftStages(specification, side));
  return plan === ''
    ? []
    : [`Your ${side} leg is raised ${plan}. Go on to the next when you no longer notice the one you have.`];
}

/** The patient's sheet as a value; screen, print and PDF show the same one. */
export function patientSheet(input: SheetInput): PatientSheet {
  const { picture, specification, startedOn } = input;
  const oldDrop = picture.body.oldPairDrop;
  const drop = input.values.drop;
  const atRisk = (input.category ?? 0) >= 1;
  const steps = breakInPlan({
    atRisk,
    dropChangeMm: typeof oldDrop === 'number' && typeof drop === 'number' ? drop - oldDrop : null,
    towardMinimal: input.values.category === 'minimal' && picture.body.oldPairCategory !== 'minimal',
    usualMinutes: input.usualMinutes,
    beginner: picture.body.experience === 'new',
    eventAhead: picture.body.eventAhead === 'short' || picture.body.eventAhead === 'long',
    prosthesisNew: typeof picture.body.prosthesisMonths === 'number' && picture.body.prosthesisMonths < 3,
  });
  const changes = [...(input.changes ?? []), ...SIDES.flatMap((side) => liftPlan(specification, side))];
  const features = specification.targets
    .filter((target) => !acceptsEverything(target))
    .map((target) => {
      const leading = target.pushes
        .filter((push) => push.setAside === undefined)
        .toSorted((a, b) => (b.weight || 8) - (a.weight || 8))[0];
      return { target, leading };
    })
    .filter(({ leading }) => leading !== undefined)
    .toSorted(
      (a, b) => b.target.firmness - a.target.firmness || (b.leading!.weight || 8) - (a.leading!.weight || 8),
    )
    .slice(0, FEATURES_ON_SHEET)
    .map(({ target, leading }) => ({
      what: featureOf(target.feature).plain,
      wanted: targetInWords(target),
      why: leading!.because,
    }));
  return {
    patient: input.patient,
    clinic: input.clinic,
    shoe: input.shoe,
    size: input.size,
    startedOn,
    reviewOn: input.reviewOn,
    replaceBetween: input.windowDays && {
      from: addDays(startedOn, input.windowDays.q10),
      to: addDays(startedOn, input.windowDays.q90),
    },
    startNextOn: input.startNextDay === null ? null : addDays(startedOn, input.startNextDay),
    features,
    values: input.values,
    howItFits: [
      'Standing, about a thumb’s width is free in front of your longest toe.',
      'The sides meet your foot without bulging over the sole; your toes can spread.',
      'Your heel stays in place when you walk uphill or stand on tip-toe.',
    ],
    ...(changes.length > 0 ? { changes } : {}),
    breakIn: steps.map((step) => ({ ...step, on: addDays(startedOn, step.day) })),
    lacing: lacingAdvice(
      picture,
      typeof input.values.closure === 'string' ? input.values.closure : undefined,
      input.tryOn,
    ),
    care: [
      'Untie before you take them off. Kicking off tied shoes breaks the heel.',
      'Thin wool or wicking socks, not cotton. Change them when wet.',
      'Wet shoes: insoles out, air-dry, no heater, no tumble dryer.',
      'Keep them for their purpose, and let them rest a day between long uses.',
      `First use: ${startedOn}. Write it under the insole with a permanent pen.`,
    ],
    stopAndCall: [...STOP_AND_CALL],
    bringAlong: 'Bring this pair, and the old one, to every visit.',
    ...(input.again === undefined ? {} : { again: input.again }),
    caution: SHEET_CAUTION,
  };
}

/** When the pair will be used up, for the patient; where that cannot be said, what helps to say it. */
export const usedUpInWords = ({
  replaceBetween,
  startNextOn,
}: Pick<PatientSheet, 'replaceBetween' | 'startNextOn'>): string =>
  replaceBetween && startNextOn
    ? `Start the next pair from ${startNextOn}. Likely used up between ${replaceBetween.from} and ${replaceBetween.to}.`
    : 'Nobody can say yet when this pair will be used up: note how much you wear it, and bring that along.';
