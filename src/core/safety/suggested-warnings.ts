import { type BodyMark, warningsOfMarks } from '../body-map/mark';
import { type ClinicalPicture, NOT_EXAMINED } from '../picture/clinical-picture';
import { SIDES, type Side } from '../picture/finding-kinds';
import { type AnkleAnswers, ankleInjuryRules } from './ankle-injury-rules';

/** What else a visit holds that can point at a warning sign. */
export interface WarningContext {
  marks?: readonly BodyMark[];
  ankle?: Partial<Record<Side, AnkleAnswers>>;
}

/** A difference in calf girth from here on is asked about, mm. From memory of a clinical rule for thrombosis (3 cm), check. */
const CALF_DIFFERENCE_MM = 30;

/** Warning signs that recorded findings point at, so that a tired eye does not pass over them. */
export function suggestedWarnings(
  picture: ClinicalPicture,
  { marks = [], ankle = {} }: WarningContext = {},
): string[] {
  const suggested = new Set<string>(warningsOfMarks(marks));
  for (const side of SIDES) {
    const answer = ankleInjuryRules(ankle[side] ?? {});
    if (answer.ankle === 'x-ray' || answer.foot === 'x-ray') suggested.add('fracture-rule');
  }
  const [left, right] = [picture.left.calfGirth, picture.right.calfGirth];
  if (left !== NOT_EXAMINED && right !== NOT_EXAMINED && Math.abs(left - right) >= CALF_DIFFERENCE_MM)
    suggested.add('calf-swelling');
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
