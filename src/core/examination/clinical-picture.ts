import { type ClinicalPicture, enteredPicture, type Findings } from '../findings/picture';
import { deriveFindings } from './derive';

/**
 * The one value that every calculation takes: contributions laid over one another, later ones winning, with everything
 * that follows from them.
 *
 * @example clinicalPicture(carried, { left: { archIndex: 0.28 }, body: { ageYears: 40 } }).left.arch // 'low'
 */
export const clinicalPicture = (...contributions: readonly Findings[]): ClinicalPicture =>
  deriveFindings(enteredPicture(...contributions));
