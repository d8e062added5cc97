import { SIDES } from '../findings/finding-kinds';
import { type ClinicalPicture, numberAt } from '../findings/picture';
import { awakeAt, WAKING_HOURS } from './awake';

/** Less than this by the evening no closure has to give, mm of girth. Ours. */
const WORTH_SAYING_MM = 3;

/**
 * What the evening will be, from the moment at which a pair was tried; null where nothing worth saying is left of the day, or no
 * day was measured.
 *
 * @param at local moment
 */
export function eveningInWords(picture: ClinicalPicture, at: string): string | null {
  const left = Math.max(0, 1 - awakeAt({ at }) / WAKING_HOURS);
  const gains = SIDES.flatMap((side) => {
    const mm = (numberAt(picture, 'daySwing', side) ?? 0) * left;
    return mm >= WORTH_SAYING_MM ? [`the ${side} foot about ${Math.round(mm)} mm`] : [];
  });
  return gains.length === 0
    ? null
    : `Tried at ${at.slice(11)}: by the evening ${gains.join(', ')} more girth. The closure has to give it, or the insole.`;
}
