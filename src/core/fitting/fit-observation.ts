import { SIDES } from '../findings/finding-kinds';
import type { ClinicalPicture } from '../findings/picture';
import { numberAt } from '../findings/picture';
import type { FitObservation, FittedFoot } from '../sizing/learned/fit-evidence';
import type { WidthLetter } from '../sizing/widths';
import { placeOn } from './sizes';
import type { FeltFit, TriedSizes, TryOn } from './try-on';

/** Each measured foot in the size it stood in, with the room and the width that were found. */
const feetOf = (fit: TriedSizes & FeltFit, picture: ClinicalPicture): FittedFoot[] =>
  SIDES.flatMap((side): FittedFoot[] => {
    const place = placeOn(fit, side);
    const footLengthMm = numberAt(picture, 'footLength', side);
    const found = fit[side];
    if (!place || footLengthMm === null || !found) return [];
    if (found.roomMm === undefined && found.widthFit === undefined && found.bend === undefined) return [];
    return [
      {
        size: place.size,
        width: place.width as WidthLetter,
        footLengthMm,
        ballWidthMm: numberAt(picture, 'ballWidth', side),
        roomMm: found.roomMm ?? null,
        widthFit: found.widthFit ?? null,
        heelBallMm: numberAt(picture, 'heelBallLength', side),
        bend: found.bend ?? null,
      },
    ];
  });

/**
 * What a try-on teaches about its model: one fitting, in the size that was read last. A size that was left because it did
 * not fit counts until the next one is read. Null when neither room nor width nor the fold was read on a measured foot.
 */
export function fitObservationOf(tryOn: TryOn, picture: ClinicalPicture): FitObservation | null {
  const feet = [tryOn, ...(tryOn.earlier ?? []).toReversed()]
    .map((fit) => feetOf(fit, picture))
    .find((found) => found.length > 0);
  return feet ? { version: tryOn.model, feet } : null;
}
