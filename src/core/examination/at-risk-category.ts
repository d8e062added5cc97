import { SIDES, type Side } from '../findings/finding-kinds';
import { NOT_EXAMINED, type Picture } from '../findings/picture';

export type AtRiskCategory = 0 | 1 | 2 | 3;

/** Months between reviews, shortest and longest, by category. */
export const REVIEW_MONTHS: Record<AtRiskCategory, readonly [number, number]> = {
  0: [12, 12],
  1: [6, 12],
  2: [3, 6],
  3: [1, 3],
};

/** How often feet of a category are looked at: `3–6 months`, `12 months`. */
export function reviewInWords(category: AtRiskCategory): string {
  const [least, most] = REVIEW_MONTHS[category];
  return least === most ? `${most} months` : `${least}–${most} months`;
}

export type AtRiskAnswer =
  | { known: true; category: AtRiskCategory; because: string }
  | { known: false; missing: ('sensation' | 'pulses')[]; because: string };

/**
 * Ulcer-risk stratification of one foot.
 *
 * LOPS: loss of protective sensation. PAD: peripheral artery disease. The highest matching category wins; an
 * untested sensation or pulse is not a normal one, so the answer stays unknown unless what is known already
 * decides it.
 *
 * Source: IWGDF 2019/2023 (Bus SA et al., Diabetes Metab Res Rev 2020;36(S1):e3269, 2024;40(3):e3651), from memory.
 */
export function atRiskCategory(picture: Pick<Picture, 'body' | Side>, side: Side): AtRiskAnswer {
  const foot = picture[side];
  const missing: ('sensation' | 'pulses')[] = [];
  if (foot.sensation === NOT_EXAMINED) missing.push('sensation');
  if (foot.pulses === NOT_EXAMINED) missing.push('pulses');
  const lops = foot.sensation === 'lost';
  const pad = foot.pulses === 'absent';
  const deformity =
    foot.bunion === 'moderate' ||
    foot.bunion === 'severe' ||
    foot.lesserToes === 'flexible' ||
    foot.lesserToes === 'rigid';
  const injuries = foot.injuries === NOT_EXAMINED ? [] : foot.injuries;
  const conditions = picture.body.conditions === NOT_EXAMINED ? [] : picture.body.conditions;
  const past =
    injuries.includes('foot-ulcer') ||
    injuries.includes('amputation') ||
    conditions.includes('renal-failure');
  const signs = [lops && 'loss of protective sensation', pad && 'arterial disease']
    .filter(Boolean)
    .join(' and ');

  if (signs && past)
    return { known: true, category: 3, because: `${signs} with past ulcer, amputation or renal disease` };
  if (past && missing.length > 0)
    return {
      known: false,
      missing,
      because: 'past ulcer, amputation or renal disease: test sensation and pulses',
    };
  if (lops && pad) return { known: true, category: 2, because: signs };
  if (signs && deformity) return { known: true, category: 2, because: `${signs} with foot deformity` };
  if (missing.length > 0)
    return { known: false, missing, because: `${missing.join(' and ')} not examined: unknown is not normal` };
  if (signs) return { known: true, category: 1, because: signs };
  return { known: true, category: 0, because: 'protective sensation and pulses present' };
}

/** The higher category of both feet, by which a person is reviewed; null while neither is known. */
export function categoryOfPerson(picture: Picture): AtRiskCategory | null {
  const known = SIDES.flatMap((side) => {
    const answer = atRiskCategory(picture, side);
    return answer.known ? [answer.category] : [];
  });
  return known.toSorted((a, b) => b - a)[0] ?? null;
}
