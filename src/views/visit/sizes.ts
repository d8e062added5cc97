import type { ShoeModel } from '@/core/match/model';
import { type ClinicalPicture, numberAt } from '@/core/picture/clinical-picture';
import type { Side } from '@/core/picture/finding-kinds';
import type { Specification } from '@/core/prescribe/specification';
import { fail, type Result } from '@/core/result';
import { type StartSize, startSize } from '@/core/sizing/start-size';

/** Room in front of the toes that the specification asks for; common practice 10–15 mm where it asks nothing. */
export function roomWished(specification: Specification): { from: number; to: number; best: number } {
  const target = specification.targets.find((entry) => entry.feature === 'toeRoom');
  if (target?.kind !== 'band') return { from: 10, to: 15, best: 12 };
  return {
    from: Math.max(10, target.limit?.from ?? target.band.from),
    to: target.limit?.to ?? target.band.to,
    best: target.best,
  };
}

/** Starting size of a model for one foot of this patient. */
export function sizeFor(
  model: ShoeModel,
  picture: ClinicalPicture,
  specification: Specification,
  side: Side,
): Result<StartSize> {
  const lengthMm = numberAt(picture, 'footLength', side);
  if (lengthMm === null) return fail('not-measured', `Foot length ${side} is not measured.`);
  const room = roomWished(specification);
  const width = specification.targets.find((entry) => entry.feature === 'width');
  return startSize(
    model.sizing,
    { lengthMm, ballWidthMm: numberAt(picture, 'ballWidth', side) },
    { room: { least: room.from, wished: room.best, most: room.to } },
    width?.kind === 'band' ? width.best : 2,
  );
}
