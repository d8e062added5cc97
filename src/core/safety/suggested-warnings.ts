import { type ClinicalPicture, NOT_EXAMINED } from '../picture/clinical-picture';
import { SIDES } from '../picture/finding-kinds';

/** Warning signs that recorded findings point at, so that a tired eye does not pass over them. */
export function suggestedWarnings(picture: ClinicalPicture): string[] {
  const suggested = new Set<string>();
  for (const side of SIDES) {
    const foot = picture[side];
    if (foot.archFlattening === 'yes' && foot.heelRises === 0) suggested.add('tibialis-posterior');
    if (foot.pulses === 'absent' && foot.skin !== NOT_EXAMINED && foot.skin.includes('fragile'))
      suggested.add('ischaemia');
  }
  const other = { left: picture.right, right: picture.left };
  for (const side of SIDES) {
    const calf = picture[side].pain;
    const swollenHere = picture[side].swelling === 'constant' && other[side].swelling === 'none';
    if (swollenHere && calf !== NOT_EXAMINED && calf.includes('calf')) suggested.add('calf-swelling');
  }
  return [...suggested];
}
