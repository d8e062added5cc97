import { breakInWords } from '../aftercare/break-in-words';
import type { PatientSheet } from '../aftercare/patient-sheet';
import { wearerOf } from '../aftercare/wearer';
import { type BreakInInput, planBreakIn } from '../break-in/plan';
import type { IsoDay } from '../calendar/days';
import { SIDES, type Side } from '../findings/finding-kinds';
import { type ClinicalPicture, NOT_EXAMINED } from '../findings/picture';
import type { Cause } from '../hot-spot/causes';
import { readSpot } from '../hot-spot/finder';
import { knownAnswers } from '../hot-spot/known';
import type { SockDay } from '../prosthesis/sock-advice';
import { isKeyOf, mapTable } from '../tables/keys-of';
import { speechIn } from '../texts/languages';
import type { MessageFile, Say, SheetText } from '../texts/speech';
import { directionOf } from '../texts/tags';
import { CLOCK_OF_USE, type Clock, madeForUse } from '../wear/clocks';
import { homeWords } from './home-words';
import { limbWords } from './limb-words';
import { mayAdvise } from './may-advise';
import { daysInWords } from './today';
import { HOME_PLACES, type HomePair, type HomeView } from './view-schema';

const USE_OF_CLOCK: Readonly<Record<Clock, HomePair['use']>> = {
  km: 'km',
  hours: 'hours',
  'hours-on-feet': 'hours',
  'days-worn': 'days',
};

export interface HomePairInput {
  id: string;
  sheet: PatientSheet;
  breakIn: BreakInInput | null;
}

export interface HomeInput {
  link: string;
  language: string;
  house: MessageFile;
  patient: string;
  clinic: string;
  phone: string;
  /** What is known of the person; null before the first visit. */
  picture: ClinicalPicture | null;
  /** The socks of today; null without a prosthesis. */
  limb: SockDay | null;
  /** Pairs in use, newest first. */
  pairs: readonly HomePairInput[];
  today: IsoDay;
  madeAt: string;
}

/** What a pair without laces does instead. */
const CLOSED = {
  'too-short': 'home.cause.closed.too-short',
  'slides-forward': 'home.cause.closed.slides-forward',
  'heel-slips': 'home.cause.closed.heel-slips',
  'too-narrow': 'home.cause.closed.too-narrow',
  'too-wide': 'home.cause.closed.too-wide',
  collar: 'home.cause.closed.collar',
} as const satisfies Partial<Record<Cause, SheetText>>;

/** The likeliest cause’s first advice for each place of a foot, from what is known of it; null where none may be given. */
function adviceFor(
  picture: HomeInput['picture'],
  side: Side,
  isLaced: boolean,
  say: Say,
): HomePair['advice'][Side] {
  if (picture === null || !mayAdvise(picture, side)) return null;
  const known = knownAnswers({ picture, side, tryOn: null, shareOfLife: null });
  const entries = HOME_PLACES.map((place) => [place, readSpot(place, known).ranked[0]!.cause] as const);
  return mapTable(Object.fromEntries(entries), (cause) =>
    say(!isLaced && isKeyOf(CLOSED, cause) ? CLOSED[cause] : `home.cause.${cause}`),
  );
}

/** All of the patient's own page but its drawings. */
export function homeView(input: HomeInput): HomeView {
  const { picture, language, today, phone } = input;
  const wearer = picture && wearerOf(picture);
  const speech = speechIn(language, input.house, wearer?.reader);
  const { say, day } = speech;
  const swells = picture !== null && SIDES.some((side) => isSwollen(picture, side));
  return {
    language,
    direction: directionOf(language),
    words: homeWords(speech),
    link: input.link,
    patient: input.patient,
    clinic: input.clinic,
    phone,
    madeAt: input.madeAt,
    madeOn: day(today),
    stopNow: say(wearer?.hasProsthesis ? 'home.wrong.do-limb' : 'home.wrong.do'),
    call: phone === '' ? say('home.wrong.call-none') : say('home.wrong.call', { phone }),
    limb: input.limb && limbWords(input.limb, say),
    swells,
    pairs: input.pairs.map(({ id, sheet, breakIn }): HomePair => {
      const plan = breakIn && planBreakIn(breakIn);
      const isLaced = sheet.lacing.kind === 'laced';
      const words =
        breakIn && plan && breakInWords(plan, breakIn, speech, { returnBy: null, isMuchSofter: false });
      return {
        id,
        title: sheet.shoe,
        size: sheet.words.size,
        use: USE_OF_CLOCK[CLOCK_OF_USE[madeForUse(sheet.values)]],
        breakIn:
          plan && breakIn && words
            ? {
                title: say('break-in.title'),
                weeks: words.weeks,
                lines: words.lines,
                days: daysInWords(plan, breakIn.unit, speech, today),
                isSore: plan.state !== 'going',
              }
            : null,
        lacing:
          sheet.lacing.kind === 'laced'
            ? { title: sheet.words.lacing, shoes: sheet.lacing.shoes, after: sheet.lacing.after }
            : {
                title: sheet.words.closing,
                shoes: [{ label: '', steps: sheet.lacing.steps }],
                after: [],
              },
        advice: {
          left: adviceFor(picture, 'left', isLaced, say),
          right: adviceFor(picture, 'right', isLaced, say),
        },
        why: { title: sheet.words.why, lines: sheet.points.map(({ text }) => text) },
        dates: { title: sheet.words.dates, lines: [...sheet.dates, ...(sheet.again ? [sheet.again] : [])] },
        stop: { title: sheet.words.stop, lines: sheet.stopAndCall },
      };
    }),
  };
}

/** Whether a foot swells, so that girths from home mean something. */
function isSwollen(picture: ClinicalPicture, side: Side): boolean {
  const { swelling } = picture[side];
  return swelling !== NOT_EXAMINED && swelling !== 'none';
}
