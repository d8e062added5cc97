import { SIDES } from '../../findings/finding-kinds';
import { type ClinicalPicture, NOT_EXAMINED } from '../../findings/picture';
import type { WearConditions } from './life-factors';

/** What a visit knows of how its pair will be worn, beside mass and ground: where each foot lands the same, that landing. */
export function landingOf(picture: Pick<ClinicalPicture, 'left' | 'right'>): WearConditions['landing'] {
  const seen = SIDES.map((side) => picture[side].strike).filter((strike) => strike !== NOT_EXAMINED);
  return seen.every((strike) => strike === seen[0]) ? seen[0] : undefined;
}
