import type { Side } from '../findings/finding-kinds';
import { type ClinicalPicture, numberAt } from '../findings/picture';
import type { FeatureValues } from '../shoe/features';

/** What taking the insole out of a shoe frees, and what it changes. */
export interface InsoleReserve {
  /** Depth that is freed, mm. */
  depthMm: number;
  /** Girth that it frees: both walls are longer by the depth, mm. By arithmetic. */
  girthMm: number;
  /** Drop between which the shoe then lies, mm; null where no drop is stated. */
  dropMm: { from: number; to: number } | null;
  /** Whether it takes what the foot gains by the evening; null where that is not known. */
  isEnough: boolean | null;
}

/** Why an insole is no reserve for a foot (handbook 06); null where it may be one. */
export function reserveRefused(picture: ClinicalPicture, side: Side): string | null {
  const { atRiskCategory, sensation, insert } = picture[side];
  if (picture.body.prosthesisSide === side)
    return 'Not for a prosthetic foot: it would change heel rise and surface.';
  if (insert === 'orthosis' || insert === 'brace') return 'Not with an orthosis: it has the insole’s place.';
  if ((typeof atRiskCategory === 'number' && atRiskCategory >= 1) || sensation === 'lost')
    return 'Not for a foot at risk: its surface must stay the same.';
  return null;
}

/**
 * The removable insole as a reserve of volume: in by morning, out by evening.
 *
 * @param gainMm girth that the foot gains by the evening, or null
 * @returns null where no insole comes out, or none is stated
 */
export function insoleReserve(
  { removableInsole, insoleDepth, drop, heelStack, forefootStack }: FeatureValues,
  gainMm: number | null,
): InsoleReserve | null {
  if (removableInsole !== 'yes' || typeof insoleDepth !== 'number' || insoleDepth <= 0) return null;
  const stated =
    typeof drop === 'number'
      ? drop
      : typeof heelStack === 'number' && typeof forefootStack === 'number'
        ? heelStack - forefootStack
        : null;
  const girthMm = 2 * insoleDepth;
  return {
    depthMm: insoleDepth,
    girthMm,
    // As thick in front as under the heel, or under the heel alone.
    dropMm: stated === null ? null : { from: Math.max(0, stated - insoleDepth), to: stated },
    isEnough: gainMm === null ? null : girthMm >= gainMm,
  };
}

/** @example 'Insole out by evening: frees 4 mm of depth, about 8 mm of girth; the drop is then 4–8 mm.' */
export function reserveInWords(
  { depthMm, girthMm, dropMm, isEnough }: InsoleReserve,
  gainMm: number | null,
): string {
  const drop = dropMm === null ? '' : `; the drop is then ${dropMm.from}–${dropMm.to} mm`;
  const enough =
    isEnough === null || gainMm === null
      ? ''
      : isEnough
        ? ` Enough for the ${Math.round(gainMm)} mm that the foot gains.`
        : ` The foot gains ${Math.round(gainMm)} mm: not enough by itself, the closure has to give the rest.`;
  return `Insole in by morning, out by evening: frees ${depthMm} mm of depth, about ${girthMm} mm of girth${drop}.${enough}`;
}

/** What the insole is worth as a reserve for one foot of this shoe, or why it is none; null where nothing swells or no insole comes out. */
export function reserveFor(picture: ClinicalPicture, side: Side, features: FeatureValues): string | null {
  const gain = numberAt(picture, 'daySwing', side);
  if (gain === null || gain <= 0) return null;
  const reserve = insoleReserve(features, gain);
  return reserve && (reserveRefused(picture, side) ?? reserveInWords(reserve, gain));
}
