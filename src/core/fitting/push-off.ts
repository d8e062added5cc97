import { SIDES, type Side } from '../findings/finding-kinds';
import type { FindingValue } from '../findings/findings';
import { findingAt, NOT_EXAMINED, type Picture } from '../findings/picture';
import { PUSH_OFF_OVER } from '../knowledge/push-off-over';

export type PushOff = FindingValue<'pushOff'>;

/** What of a foot a fitting reads beside the shoe: where it hurts, and where it pushes off barefoot. */
export interface FittedFoot {
  sore: readonly string[];
  pushOff: PushOff | null;
}

export type FittedFeet = Readonly<Record<Side, FittedFoot>>;

export function fittedFeet(picture: Picture): FittedFeet {
  const [left, right] = SIDES.map((side): FittedFoot => {
    const { pain, pushOff } = picture[side];
    return {
      sore: Array.isArray(pain) ? pain : [],
      pushOff: pushOff === NOT_EXAMINED ? null : pushOff,
    };
  });
  return { left: left!, right: right! };
}

/** Whether a place hurts that some push-off would load: then it is worth watching in each pair. */
export const asksForPushOff = (picture: Picture): boolean =>
  SIDES.some((side) => {
    const pain = findingAt(picture, 'pain', side);
    return (
      Array.isArray(pain) &&
      Object.values(PUSH_OFF_OVER).some((over) => over.some((place) => pain.includes(place)))
    );
  });
