import { categoryOfPerson } from '../examination/at-risk-category';
import { SIDES } from '../findings/finding-kinds';
import type { ClinicalPicture } from '../findings/picture';
import type { Room } from '../shoe/room';
import { normalBelow } from '../statistics/normal';
import { READING_SD_MM } from './batch-spread';

export interface RepeatInput {
  picture: ClinicalPicture;
  ageYears: number;
  /** The least room that was read on either foot in this pair, mm; null where nobody read it. */
  roomMm: number | null;
  widthFit: 'tight' | 'right' | 'loose' | null;
  room: Room;
  /** Since the feet were measured and the pair was fitted. */
  yearsSince: number;
  batchSdMm: number;
  /** Its very version is still made. */
  isStillMade: boolean;
}

export interface RepeatAnswer {
  may: 'yes' | 'two-sizes' | 'come-in' | 'never';
  /** That another of the same model, version and size fits; null where it is never bought unseen, or nothing was read. */
  chance: number | null;
  because: string[];
}

/** From here a repeat may be bought unseen, and from here two sizes with a day to send one back. */
const YES_FROM = 0.9;
const TWO_SIZES_FROM = 0.7;

/** Room that is off by so much from what is accepted is not yet noticed; and so with width. Ours. */
const UNNOTICED_MM = 2;
const WIDTH_TOLERANCE_MM = 3;
const WIDTH_SD_MM = 1.2;
/** Feet of adults lengthen a little, and change: mean a year, and standard deviation over a year. Ours. */
const DRIFT_MM = 0.3;
const DRIFT_SD_MM = 0.9;
const GROWN_AT = 18;
/** A pair that gave no room to read. */
const TOO_OLD_YEARS = 3;

/** Whoever is never sold a pair unseen, and why. */
function never({ picture, ageYears }: Pick<RepeatInput, 'picture' | 'ageYears'>): string[] {
  const category = categoryOfPerson(picture);
  const feet = SIDES.map((side) => picture[side]);
  return [
    ...(ageYears < GROWN_AT ? ['These feet still grow.'] : []),
    ...((category ?? 0) >= 1 ? ['These feet are at risk of a wound: every pair is fitted.'] : []),
    ...(picture.body.prosthesisSide === 'left' || picture.body.prosthesisSide === 'right'
      ? ['A prosthesis is set for one heel height: every pair is fitted.']
      : []),
    ...(feet.some(({ insert }) => insert === 'orthosis' || insert === 'brace')
      ? ['An orthosis or brace goes into it: every pair is fitted with it.']
      : []),
    ...(feet.some(({ swelling }) => swelling === 'changes' || swelling === 'constant')
      ? ['The feet swell: they are measured again first.']
      : []),
  ];
}

/**
 * May another pair of the same model and version be bought in this size without trying it on? How far batches differ, how much
 * the feet may have changed since they were measured, and how well the first pair's room was read, against the room that is
 * accepted.
 */
export function mayRepeatUnseen(input: RepeatInput): RepeatAnswer {
  const { roomMm, room, yearsSince, batchSdMm, widthFit, isStillMade } = input;
  const refused = never(input);
  if (refused.length > 0) return { may: 'never', chance: null, because: refused };
  if (!isStillMade)
    return {
      may: 'come-in',
      chance: null,
      because: ['This version is no longer made; its successor is another shoe.'],
    };
  if (roomMm === null)
    return {
      may: 'come-in',
      chance: null,
      because: ['Nobody read the room in front of the toes of this pair.'],
    };
  const drift = Math.sqrt(Math.max(0, yearsSince)) * DRIFT_SD_MM;
  const middle = roomMm - DRIFT_MM * yearsSince;
  // Two batches differ from each other by more than each differs from the model.
  const sd = Math.hypot(Math.SQRT2 * batchSdMm, drift, READING_SD_MM);
  const length =
    normalBelow((room.most + UNNOTICED_MM - middle) / sd) -
    normalBelow((room.least - UNNOTICED_MM - middle) / sd);
  const widthSd = Math.hypot(Math.SQRT2 * WIDTH_SD_MM, drift);
  const from = widthFit === 'tight' ? 0 : -WIDTH_TOLERANCE_MM;
  const to = widthFit === 'loose' ? 0 : WIDTH_TOLERANCE_MM;
  const width = normalBelow(to / widthSd) - normalBelow(from / widthSd);
  const chance = length * width;
  return {
    may: chance >= YES_FROM ? 'yes' : chance >= TWO_SIZES_FROM ? 'two-sizes' : 'come-in',
    chance,
    because: [
      `Room ${roomMm} mm when it was fitted; batches of a model differ by about ${batchSdMm.toFixed(1)} mm.`,
      ...(yearsSince >= 1 ? [`The feet were measured ${yearsSince.toFixed(1)} years ago.`] : []),
      ...(yearsSince >= TOO_OLD_YEARS ? ['Feet change: measure them again.'] : []),
      ...(widthFit !== null && widthFit !== 'right' ? [`It was felt ${widthFit} across the ball.`] : []),
    ],
  };
}
