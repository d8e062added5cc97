import type { AtRiskCategory } from '../examination/at-risk-category';
import { SIDES } from '../findings/finding-kinds';
import { type ClinicalPicture, NOT_EXAMINED } from '../findings/picture';
import type { FeatureValues } from '../shoe/features';
import { CLOCK_OF_USE, madeForUse } from '../wear/clocks';
import { usualWeek } from '../wear/rotation/usual-week';
import type { Session } from '../wear/rotation/week';
import type { OutingAnswer } from './answers';
import { changesBetween } from './change';
import type { BreakInEvent, BreakInInput, BreakInOuting, BreakInUnit } from './plan';
import { type BreakInSchool, HOME_TRIAL_DAYS, type OwnPlan } from './schools';

/** Hours of a day on which an everyday pair is worn. Ours. */
const HOURS_WORN = 8;
/** A new prosthesis, months: it keeps its one pair (handbook 07). */
const NEW_PROSTHESIS_MONTHS = 3;

/** An event or a trip as the patient told it. */
interface ToldEvent {
  name: string;
  on?: string | undefined;
  days?: number | undefined;
  km?: number | undefined;
}

export interface PatientBreakIn {
  picture: ClinicalPicture;
  category: AtRiskCategory | null;
  startOn: string;
  to: FeatureValues;
  /** Of the pair that was worn until now, as far as it is known. */
  from: FeatureValues | null;
  /** The insert that is in it was not in the old one. */
  newInsert: boolean;
  /** Use a week in the unit of the pair's clock; null where nobody said it. */
  weekly: number | null;
  /** The patient's own week where it was kept. */
  sessions: readonly Session[];
  events: readonly ToldEvent[];
  school: BreakInSchool;
  homeTrialDays?: number;
  oldLeft: number | null;
  answers?: readonly OutingAnswer[];
}

/** Feet and legs that have a plan of their own come before any school. */
export function planFor(
  picture: ClinicalPicture,
  category: AtRiskCategory | null,
  school: BreakInSchool,
  to: FeatureValues,
): BreakInSchool | OwnPlan {
  if ((category ?? 0) >= 1) return 'at-risk';
  const { prosthesisMonths } = picture.body;
  if (typeof prosthesisMonths === 'number' && prosthesisMonths < NEW_PROSTHESIS_MONTHS) return 'prosthesis';
  if (SIDES.some((side) => picture[side].insert === 'brace')) return 'orthosis';
  return madeForUse(to) === 'racing' && school !== 'none' ? 'race' : school;
}

/** What the findings say of the pair before, where no model does. */
const oldByFindings = ({ body }: ClinicalPicture): FeatureValues => ({
  ...(typeof body.oldPairDrop === 'number' ? { drop: body.oldPairDrop } : {}),
  ...(body.oldPairCategory === NOT_EXAMINED ? {} : { category: body.oldPairCategory }),
});

const unitOf = (to: FeatureValues): BreakInUnit => (CLOCK_OF_USE[madeForUse(to)] === 'km' ? 'km' : 'hours');

/** Outings that the new pair is for, in the unit of the plan. */
function outingsFor({ to, weekly, sessions }: PatientBreakIn): BreakInOuting[] {
  const clock = CLOCK_OF_USE[madeForUse(to)];
  const own = sessions.length > 0 ? sessions : usualWeek([{ features: to, weekly }]);
  return own
    .filter(({ kind }) => kind !== 'race')
    .map(({ id, day, kind, amount }) => ({
      id,
      day,
      isLong: kind === 'long',
      amount: clock === 'days-worn' ? Math.min(1, amount) * HOURS_WORN : amount,
    }));
}

const eventsFor = (events: readonly ToldEvent[], unit: BreakInUnit): BreakInEvent[] =>
  events.flatMap(({ on, days, name, km }) =>
    on === undefined
      ? []
      : [{ on, days: days ?? 1, name: name.trim() || 'Event', amount: unit === 'km' ? (km ?? null) : null }],
  );

/** The break-in of one pair as the patient's own data ask for it. */
export function breakInFor(given: PatientBreakIn): BreakInInput {
  const { picture, to, from, category } = given;
  const unit = unitOf(to);
  const [largest] = changesBetween({
    from: { ...oldByFindings(picture), ...from },
    to,
    newInsert: given.newInsert,
    isBeginner: picture.body.experience === 'new',
  });
  return {
    startOn: given.startOn,
    unit,
    outings: outingsFor(given),
    changeWeeks: largest?.weeks ?? 0,
    plan: planFor(picture, category, given.school, to),
    homeTrialDays: given.homeTrialDays ?? HOME_TRIAL_DAYS.usual,
    events: eventsFor(given.events, unit),
    oldLeft: given.oldLeft,
    answers: given.answers ?? [],
  };
}
