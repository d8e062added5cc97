import { atRiskCategory } from '../examination/at-risk-category';
import type { Side } from '../findings/finding-kinds';
import { type ClinicalPicture, NOT_EXAMINED } from '../findings/picture';
import type { TryOn } from '../fitting/try-on';
import type { SpotAnswers } from './questions';

/** Running, steps of one foot a minute under which ground contact is long (handbook 07). */
const SLOW_STEPS = 85;
/** Room in front under which a pair is short, and over which a foot swims, mm. Common practice, and ours. */
const ROOM = { short: 10, much: 20 };
/** Shares of its life at which a pair counts as new and as spent. Ours. */
const LIFE = { new: 0.25, spent: 1 };

export interface KnownOfSpot {
  picture: ClinicalPicture;
  side: Side;
  tryOn: TryOn | null;
  /** Of the pair's middle life that is used; null where nobody knows. */
  shareOfLife: number | null;
}

/** What is known already is not asked again. */
export function knownAnswers({ picture, side, tryOn, shareOfLife }: KnownOfSpot): SpotAnswers {
  const foot = picture[side];
  const fit = tryOn?.[side];
  const { cadence, camber, laceHabits } = picture.body;
  const { roomMm } = fit ?? {};
  const width = fit?.widthFit;
  const habits = laceHabits === NOT_EXAMINED ? null : laceHabits;
  return {
    ...(shareOfLife === null
      ? {}
      : { age: shareOfLife < LIFE.new ? 'new' : shareOfLife > LIFE.spent ? 'spent' : 'middle' }),
    ...(habits === null
      ? {}
      : { lacing: habits.some((habit) => habit !== 'left-tied') ? 'loosened' : 'same' }),
    ...(camber === NOT_EXAMINED ? {} : { camber: camber === 'level' ? 'level' : 'same' }),
    ...(typeof cadence === 'number' ? { steps: cadence < SLOW_STEPS ? 'slow' : 'quick' } : {}),
    ...(foot.landingSound === NOT_EXAMINED
      ? {}
      : { sound: foot.landingSound === 'quiet' ? 'quiet' : 'loud' }),
    ...(roomMm === undefined
      ? {}
      : { room: roomMm < ROOM.short ? 'little' : roomMm > ROOM.much ? 'much' : 'enough' }),
    ...(width === undefined
      ? {}
      : { width: width === 'tight' ? 'bulges' : width === 'loose' ? 'folds' : 'right' }),
    ...(fit?.heelSlip === undefined ? {} : { heel: fit.heelSlip === 'none' ? 'stays' : 'lifts' }),
    ...(fit?.archFeel === undefined ? {} : { arch: fit.archFeel === 'missing' ? 'nothing' : fit.archFeel }),
    ...(foot.roll === NOT_EXAMINED
      ? {}
      : { roll: foot.roll === 'in' ? 'in' : foot.roll === 'out' ? 'out' : 'middle' }),
  };
}

/** Why no advice is given but to stop and be seen; null where it may be. */
export function stopFirst(picture: ClinicalPicture, side: Side): string | null {
  const risk = atRiskCategory(picture, side);
  const { pulses, sensation } = picture[side];
  if (picture.body.prosthesisSide === side)
    return 'A residual limb: no advice but to leave the prosthesis off and be seen.';
  if (risk.known && risk.category > 0)
    return `A foot at risk (${risk.because}): stop wearing it, and have the skin seen.`;
  if (pulses === 'absent') return 'Poor circulation: stop wearing it, and have the skin seen.';
  if (sensation === 'lost') return 'A foot that does not feel: stop wearing it, and have the skin seen.';
  return null;
}
