import type { ClinicalPicture } from '../../picture/clinical-picture';
import { numberAt } from '../../picture/clinical-picture';
import { SIDES } from '../../picture/finding-kinds';
import type { TryOn } from '../../tryon/try-on';
import type { WidthLetter } from '../widths';
import type { FittedFoot, Fitting } from './learn-offsets';

/**
 * What a try-on teaches about its model: each measured foot in the size it stood in, with the room and the width that were
 * found. Null when neither was read on a measured foot.
 */
export function fittingOf(tryOn: TryOn, picture: ClinicalPicture): Fitting | null {
  const feet = SIDES.flatMap((side): FittedFoot[] => {
    const size = side === 'left' ? tryOn.sizeLeft : tryOn.sizeRight;
    const footLengthMm = numberAt(picture, 'footLength', side);
    const fit = tryOn[side];
    if (size === undefined || tryOn.width === undefined || footLengthMm === null || !fit) return [];
    if (fit.roomMm === undefined && fit.widthFit === undefined) return [];
    return [
      {
        size,
        width: tryOn.width as WidthLetter,
        footLengthMm,
        ballWidthMm: numberAt(picture, 'ballWidth', side),
        roomMm: fit.roomMm ?? null,
        widthFit: fit.widthFit ?? null,
      },
    ];
  });
  return feet.length === 0 ? null : { version: tryOn.model, feet };
}
