import { atRiskCategory } from '../safety/at-risk-category';
import { type ClinicalPicture, type FootFindings, NOT_EXAMINED } from './clinical-picture';
import { SIDES } from './finding-kinds';

/** Adds what follows from other findings. Derived values are never typed in. */
export function deriveFindings(picture: ClinicalPicture): ClinicalPicture {
  const derived = { ...picture };
  for (const side of SIDES) {
    const category = atRiskCategory(picture, side);
    derived[side] = {
      ...picture[side],
      atRiskCategory: category.known ? category.category : NOT_EXAMINED,
    } as Required<FootFindings>;
  }
  return derived;
}
