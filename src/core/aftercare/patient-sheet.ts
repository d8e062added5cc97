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
import type { Modification } from '../modification/modification';
import type { Specification } from '../prescribe/engine/specification';
import { liftUnder } from '../prosthesis/limb-stops';
import { prostheticFootOf, readerOnFoot } from '../prosthesis/on-this-foot';
import type { ShankTolerance } from '../prosthesis/shank-alignment';
import type { RepeatAnswer } from '../repeat/repeat';
import type { FeatureValues } from '../shoe/features';
import { roomWished } from '../sizing/size-wish';
import { speechIn } from '../texts/languages';
import type { MessageFile, Speech } from '../texts/speech';
import { type Direction, directionOf } from '../texts/tags';
import { type AmongKinds, amongKinds } from './among';
import { breakInWords, type SheetBreakIn } from './break-in-words';
import { changeInWords, liftInWords } from './changes';
import { headingsOf, type SheetWords } from './headings';
import { lacingWords, type SheetLacing } from './lacing-words';
import { type SheetPoint, sheetPoints } from './points';
import { type SockUse, skinWords, sockWords } from './skin-words';
import { type Wearer, wearerOf } from './wearer';

/**
 * Everything a patient takes home, as it was said on the day of the hand-over and in the patient's language: screen, print and
 * PDF show the same one.
 */
export interface PatientSheet {
  edition: 3;
  language: string;
  direction: Direction;
  /** Headings and captions. */
  words: SheetWords;
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
  /** Length of the sole as the pair is drawn, mm; an adult’s where nothing is said. */
  soleMm?: number | undefined;
  points: SheetPoint[];
  /** The pair among others of its use; null where nobody can say. */
  among: AmongKinds | null;
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
  /** What to feel for in a shop, for a card of its own. */
  shop: string[];
  caution: string;
}

export interface SheetInput {
  /** A language that this ships with, or one of the clinic’s; English where nothing is said. */
  language?: string;
  /** The clinic’s own sentences of that language. */
  house?: MessageFile;
  patient: string;
  clinic: string;
  phone: string;
  shoe: string;
  size: string;
  startedOn: string;
  picture: ClinicalPicture;
  specification: Specification;
  values: FeatureValues;
  soleMm?: number | undefined;
  tryOn: TryOn | null;
  /** What leads to hot spots, as the visit found it. */
  found?: Readonly<Record<Side, FoundCauses>>;
  modifications?: readonly Modification[];
  /** What may remain under a prosthetic foot in this clinic; as usual where nothing is said. */
  limbTolerance?: ShankTolerance | undefined;
  /** Shoes of the same shelf, to stand it among. */
  shelf?: readonly FeatureValues[];
  usualMinutes: number;
  eyelets: ShoeEyelets;
  laces: LaceKind;
  windowDays: { q10: number; q90: number } | null;
  startNextDay: number | null;
  /** Whether the same may be bought again unseen. */
  again?: RepeatAnswer['may'];
  reviewOn: string;
  breakIn: { input: BreakInInput; plan: BreakInPlan; isMuchSofter: boolean };
  /** Until when it may go back, where it may. */
  returnBy: string | null;
  socks?: Pick<SockUse, 'heat' | 'wet' | 'sock'>;
}

/** Weeks to the next review: two after a hand-over, and never later than the at-risk category allows. */
export function reviewDay(startedOn: string, category: AtRiskCategory | null): string {
  const latest = category === null ? 365 : REVIEW_MONTHS[category][1] * 30;
  return addDays(startedOn, Math.min(14, latest));
}

/** When to come back and when it is used up, in days that the patient can read. */
function dateLines(
  {
    reviewOn,
    replaceBetween,
    startNextOn,
  }: Pick<PatientSheet, 'reviewOn' | 'replaceBetween' | 'startNextOn'>,
  { say, day }: Speech,
): string[] {
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

/** A growing foot with less room than this in front is due for the next size (handbook, reference of the examination: about 10 mm). */
const LEAST_ROOM_MM = 10;

/** How to tell that it fits, and what to feel for each time. */
function fitLines(
  roomMm: PatientSheet['roomMm'],
  wearer: Wearer,
  limb: readonly string[],
  { say }: Speech,
): string[] {
  return [
    say('fit.room', roomMm),
    say('fit.sides'),
    say('fit.heel'),
    ...(wearer.measuredMonths === null
      ? []
      : [say('fit.grows', { months: wearer.measuredMonths, least: LEAST_ROOM_MM })]),
    ...(wearer.isAtRisk ? [say('fit.feel-inside')] : []),
    ...(wearer.hasProsthesis ? [say('fit.heel-height'), say('fit.shoe-horn')] : []),
    ...limb,
  ];
}

/** An ankle that is set for this pair, as the visit read it; what lies under the heel stands among the changes. */
function limbLines(
  { picture, values, limbTolerance, modifications = [] }: SheetInput,
  { say }: Speech,
): string[] {
  const foot = prostheticFootOf(picture);
  const on =
    foot && readerOnFoot(foot, limbTolerance)({ features: values }, liftUnder(modifications, foot.side));
  return on?.shank?.verdict === 'set-ankle' && on.riseMm !== null
    ? [say('fit.set-ankle', { mm: String(Math.round(on.riseMm * 10) / 10) })]
    : [];
}

/** Signs at which the pair comes off: what does not hurt counts most where nothing is felt. */
function stopLines({ isAtRisk, hasProsthesis }: Wearer, { say }: Speech): string[] {
  return [
    say(isAtRisk ? 'stop.pain-unfelt' : 'stop.pain'),
    say(isAtRisk ? 'stop.skin-risk' : 'stop.skin'),
    ...(hasProsthesis ? [say('stop.skin-limb'), say('stop.pain-limb')] : []),
    ...(isAtRisk ? [] : [say('stop.numb')]),
    say('stop.fall'),
  ];
}

/** From here a heel counter is firm, on its scale of five. */
const FIRM_COUNTER = 3.5;

/** Feet that are looked at each time, prostheses and growing feet have each pair fitted: they get no checks for a shop. */
function shopLines({ breakIn, values, size }: SheetInput, wearer: Wearer, { say }: Speech): string[] {
  const { plan } = breakIn.input;
  const isFitted = wearer.isAtRisk || wearer.isGrowing || wearer.hasProsthesis;
  if (isFitted || plan === 'at-risk' || plan === 'prosthesis' || plan === 'orthosis') return [];
  const isFirm = Number(values.heelCounter ?? 0) >= FIRM_COUNTER;
  return [
    say('shop.bend'),
    say('shop.twist'),
    say('shop.heel', { how: say(isFirm ? 'shop.heel.firm' : 'shop.heel.soft') }),
    say('shop.table'),
    say('shop.size', { size }),
  ];
}

function lacingOf(input: SheetInput, { say }: Speech): SheetLacing {
  const { picture, tryOn, eyelets, values, laces, usualMinutes, found } = input;
  const of = (side: Side) =>
    planLacing(lacingNeeds(picture, side, tryOn, found?.[side]), eyelets, isLacedGently(picture, side));
  return lacingWords(
    {
      closure: String(values.closure ?? 'laces'),
      eyelets,
      sides: { left: of('left'), right: of('right') },
      laces,
      usualMinutes,
      handsAreWeak: picture.body.hands === 'pull' || picture.body.hands === 'weak',
    },
    say,
  );
}

/** The patient's sheet as a value. */
export function patientSheet(input: SheetInput): PatientSheet {
  const { language = 'en', picture, specification, startedOn, values, tryOn, patient, shoe, size } = input;
  const wearer = wearerOf(picture);
  const speech = speechIn(language, input.house, wearer.reader);
  const { say, day } = speech;
  const room = roomWished(specification);
  const roomMm = { least: Math.round(room.least), most: Math.round(room.most) };
  const dates = {
    reviewOn: input.reviewOn,
    replaceBetween: input.windowDays && {
      from: addDays(startedOn, input.windowDays.q10),
      to: addDays(startedOn, input.windowDays.q90),
    },
    startNextOn: input.startNextDay === null ? null : addDays(startedOn, input.startNextDay),
  };
  const { outings, events } = input.breakIn.input;
  const use = { heat: false, wet: false, ...input.socks, outings, events };
  return {
    edition: 3,
    language,
    direction: directionOf(language),
    words: {
      ...headingsOf(speech),
      title: say('title', { shoe, patient }),
      for: say('for', { patient, on: day(startedOn) }),
      size: say('size', { size }),
      ruler: say('fit.ruler', roomMm),
      call: input.phone === '' ? '' : say('stop.call', { phone: input.phone }),
      firstUse: say('label.first-use', { on: day(startedOn) }),
    },
    ...dates,
    patient,
    clinic: input.clinic,
    phone: input.phone,
    shoe,
    size,
    startedOn,
    values,
    soleMm: input.soleMm,
    points: sheetPoints(specification, say),
    among: amongKinds(values, input.shelf ?? []),
    roomMm,
    howItFits: fitLines(roomMm, wearer, limbLines(input, speech), speech),
    changes: [
      ...(input.modifications ?? []).map((modification) => changeInWords(modification, say)),
      ...SIDES.flatMap((side) => liftInWords(specification, side, say)),
    ],
    lacing: lacingOf(input, speech),
    breakIn: breakInWords(input.breakIn.plan, input.breakIn.input, speech, {
      returnBy: input.returnBy,
      isMuchSofter: input.breakIn.isMuchSofter,
    }),
    skin: [...sockWords(use, tryOn, say), ...skinWords(picture, tryOn, use, wearer, say)],
    care: (['untie', 'wet', 'rest', 'purpose', 'first-use'] as const).map((line) => say(`care.${line}`)),
    dates: dateLines(dates, speech),
    stopAndCall: stopLines(wearer, speech),
    again: input.again ? say(`again.${input.again}`) : null,
    shop: shopLines(input, wearer, speech),
    caution: say('caution'),
  };
}
