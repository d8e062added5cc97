import type { BreakInInput, BreakInPlan } from '../break-in/plan';
import { addDays } from '../calendar/days';
import { type AtRiskCategory, REVIEW_MONTHS } from '../examination/at-risk-category';
import { SIDES, type Side } from '../findings/finding-kinds';
import type { ClinicalPicture } from '../findings/picture';
import type { TryOn } from '../fitting/try-on';
import type { FoundCauses } from '../hot-spot/found';
import type { ShoeEyelets } from '../lacing/eyelets';
import type { LaceKind } from '../lacing/laces';
import { isLacedGently, lacingNeeds } from '../lacing/needs';
import { planLacing } from '../lacing/plan';
import type { Specification } from '../prescribe/engine/specification';
import { liftStages, liftStagesInWords } from '../prescribe/explain/lift-stages';
import type { FeatureValues } from '../shoe/features';
import { roomWished } from '../sizing/size-wish';
import { dayIn, type Language, type Say, sayIn } from '../texts/say';
import { breakInWords, type SheetBreakIn } from './break-in-words';
import { lacingWords, type SheetLacing } from './lacing-words';
import { type SheetPoint, sheetPoints } from './points';
import { skinWords } from './skin-words';

/**
 * Everything a patient takes home, as it was said on the day of the hand-over and in the patient's language: screen, print and
 * PDF show the same one.
 */
export interface PatientSheet {
  edition: 2;
  language: Language;
  patient: string;
  clinic: string;
  /** The clinic's number; empty where it stated none. */
  phone: string;
  shoe: string;
  size: string;
  startedOn: string;
  reviewOn: string;
  /** Null where nothing can be said: how much it is used is not known. */
  replaceBetween: { from: string; to: string } | null;
  startNextOn: string | null;
  values: FeatureValues;
  points: SheetPoint[];
  roomMm: { least: number; most: number };
  howItFits: string[];
  /** What was changed on the pair for this patient. */
  changes: string[];
  lacing: SheetLacing;
  breakIn: SheetBreakIn;
  skin: string[];
  care: string[];
  dates: string[];
  stopAndCall: string[];
  /** Whether the next pair may be bought without coming in. */
  again: string | null;
  /** What to feel for in a shop. */
  shop: string[];
  caution: string;
}

export interface SheetInput {
  language?: Language;
  patient: string;
  clinic: string;
  phone: string;
  shoe: string;
  size: string;
  startedOn: string;
  picture: ClinicalPicture;
  specification: Specification;
  values: FeatureValues;
  tryOn: TryOn | null;
  /** What leads to hot spots, as the visit found it. */
  found?: Readonly<Record<Side, FoundCauses>>;
  changes?: readonly string[];
  usualMinutes: number;
  eyelets: ShoeEyelets;
  laces: LaceKind;
  windowDays: { q10: number; q90: number } | null;
  startNextDay: number | null;
  /** Whether the same may be bought again unseen. */
  again?: string;
  reviewOn: string;
  breakIn: { input: BreakInInput; plan: BreakInPlan; isMuchSofter: boolean };
  /** Until when it may go back, where it may. */
  returnBy: string | null;
}

/** Weeks to the next review: two after a hand-over, and never later than the at-risk category allows. */
export function reviewDay(startedOn: string, category: AtRiskCategory | null): string {
  const latest = category === null ? 365 : REVIEW_MONTHS[category][1] * 30;
  return addDays(startedOn, Math.min(14, latest));
}

function liftPlan(specification: Specification, side: Side): string[] {
  const plan = liftStagesInWords(liftStages(specification, side));
  return plan === ''
    ? []
    : [`Your ${side} leg is raised ${plan}. Go on to the next when you no longer notice the one you have.`];
}

/** When to come back and when it is used up, in days that the patient can read. */
function dateLines(
  {
    reviewOn,
    replaceBetween,
    startNextOn,
    language,
  }: Pick<PatientSheet, 'reviewOn' | 'replaceBetween' | 'startNextOn' | 'language'>,
  say: Say,
): string[] {
  const day = (on: string) => dayIn(language, on);
  return [
    say('dates.review', { on: day(reviewOn) }),
    replaceBetween && startNextOn
      ? say('dates.used-up', {
          from: day(replaceBetween.from),
          to: day(replaceBetween.to),
          next: day(startNextOn),
        })
      : say('dates.unknown'),
    say('dates.bring'),
  ];
}

/** From here a heel counter is firm, on its scale of five. */
const FIRM_COUNTER = 3.5;

/** Feet that are looked at each time, prostheses and growing feet have each pair fitted: they get no checks for a shop. */
function mayChooseAlone({ picture, breakIn }: SheetInput): boolean {
  const { plan } = breakIn.input;
  const { ageYears, prosthesisSide } = picture.body;
  const isGrowing = typeof ageYears === 'number' && ageYears < 18;
  const hasProsthesis = prosthesisSide === 'left' || prosthesisSide === 'right';
  return plan !== 'at-risk' && plan !== 'prosthesis' && plan !== 'orthosis' && !isGrowing && !hasProsthesis;
}

/** The patient's sheet as a value. */
export function patientSheet(input: SheetInput): PatientSheet {
  const { language = 'en', picture, specification, startedOn, values, tryOn, eyelets } = input;
  const say = sayIn(language);
  const room = roomWished(specification);
  const roomMm = { least: Math.round(room.least), most: Math.round(room.most) };
  const lacingOf = (side: Side) =>
    planLacing(lacingNeeds(picture, side, tryOn, input.found?.[side]), eyelets, isLacedGently(picture, side));
  const dates = {
    language,
    reviewOn: input.reviewOn,
    replaceBetween: input.windowDays && {
      from: addDays(startedOn, input.windowDays.q10),
      to: addDays(startedOn, input.windowDays.q90),
    },
    startNextOn: input.startNextDay === null ? null : addDays(startedOn, input.startNextDay),
  };
  return {
    edition: 2,
    ...dates,
    patient: input.patient,
    clinic: input.clinic,
    phone: input.phone,
    shoe: input.shoe,
    size: input.size,
    startedOn,
    values,
    points: sheetPoints(specification, say),
    roomMm,
    howItFits: [say('fit.room', roomMm), say('fit.sides'), say('fit.heel')],
    changes: [...(input.changes ?? []), ...SIDES.flatMap((side) => liftPlan(specification, side))],
    lacing: lacingWords(
      {
        closure: String(values.closure ?? 'laces'),
        eyelets,
        sides: { left: lacingOf('left'), right: lacingOf('right') },
        laces: input.laces,
        usualMinutes: input.usualMinutes,
        handsAreWeak: picture.body.hands === 'pull' || picture.body.hands === 'weak',
      },
      say,
    ),
    breakIn: breakInWords(input.breakIn.plan, input.breakIn.input, {
      say,
      language,
      returnBy: input.returnBy,
      isMuchSofter: input.breakIn.isMuchSofter,
    }),
    skin: skinWords(picture, tryOn?.points ?? [], say),
    care: (['untie', 'wet', 'rest', 'purpose', 'first-use'] as const).map((line) => say(`care.${line}`)),
    dates: dateLines(dates, say),
    stopAndCall: (['pain', 'skin', 'numb', 'fall'] as const).map((line) => say(`stop.${line}`)),
    again: input.again ?? null,
    shop: mayChooseAlone(input)
      ? [
          say('shop.bend'),
          say('shop.twist'),
          say('shop.heel', {
            how: say(Number(values.heelCounter ?? 0) >= FIRM_COUNTER ? 'shop.heel.firm' : 'shop.heel.soft'),
          }),
          say('shop.table'),
        ]
      : [],
    caution: say('caution'),
  };
}
