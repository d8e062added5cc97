import { categoryOfPerson } from '../examination/at-risk-category';
import { SIDES } from '../findings/finding-kinds';
import type { ClinicalPicture } from '../findings/picture';
import { growthCheckMonths } from '../sizing/growth-forecast';
import type { Reader } from '../texts/speech';

/** Whom a page is for: what it has to say depends on the feet and legs, and on who reads it. */
export interface Wearer {
  reader: Reader;
  /** Feet that may not feel or not heal. */
  isAtRisk: boolean;
  hasProsthesis: boolean;
  isGrowing: boolean;
  /** Months between measurements of feet that still grow; null for grown ones. */
  measuredMonths: number | null;
}

/** Below this age a parent reads the page; growing goes on to the other. Ours. */
const PARENT_READS_BELOW = 14;
const GROWN_AT = 18;

export function wearerOf(picture: ClinicalPicture): Wearer {
  const { ageYears, prosthesisSide } = picture.body;
  const age = typeof ageYears === 'number' ? ageYears : null;
  return {
    reader: age !== null && age < PARENT_READS_BELOW ? 'parent' : 'patient',
    isAtRisk: (categoryOfPerson(picture) ?? 0) >= 1,
    hasProsthesis: SIDES.some((side) => side === prosthesisSide),
    measuredMonths: age === null ? null : growthCheckMonths(age),
    isGrowing: age !== null && age < GROWN_AT,
  };
}
