import { atRiskCategory } from '../examination/at-risk-category';
import type { Side } from '../findings/finding-kinds';
import { type ClinicalPicture, NOT_EXAMINED } from '../findings/picture';
import { stopFirst } from '../hot-spot/known';

/** Conditions under which skin that nobody examined is not taken for sound. Ours. */
const SKIN_AT_RISK = [
  'diabetes',
  'neuropathy',
  'poor-circulation',
  'renal-failure',
  'lymphoedema',
  'neurological',
  'steroid',
] as const;

/**
 * Whether advice on a blister may be given where nobody sees the foot. Never for a foot at risk, poor circulation or a residual limb;
 * and where sensation and pulses were not tested only for somebody who was asked and has none of the conditions that harm skin.
 */
export function mayAdvise(picture: ClinicalPicture, side: Side): boolean {
  if (stopFirst(picture, side) !== null) return false;
  if (atRiskCategory(picture, side).known) return true;
  const { conditions } = picture.body;
  return conditions !== NOT_EXAMINED && !SKIN_AT_RISK.some((condition) => conditions.includes(condition));
}
