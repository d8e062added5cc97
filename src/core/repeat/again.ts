import type { ClinicalPicture } from '../findings/picture';
import type { TryOn } from '../fitting/try-on';
import type { Specification } from '../prescribe/engine/specification';
import { roomWished } from '../sizing/size-wish';
import { fitRead } from './fit-read';
import { mayRepeatUnseen, type RepeatAnswer } from './repeat';

/** Whether the same may be bought again unseen, on the day of the hand-over. */
export const againOf = ({
  picture,
  ageYears,
  tryOn,
  specification,
  batchSdMm,
  isStillMade,
}: {
  picture: ClinicalPicture;
  ageYears: number;
  tryOn: TryOn;
  specification: Specification;
  batchSdMm: number;
  isStillMade: boolean;
}): RepeatAnswer =>
  mayRepeatUnseen({
    picture,
    ageYears,
    ...fitRead(tryOn),
    room: roomWished(specification),
    yearsSince: 0,
    batchSdMm,
    isStillMade,
  });
