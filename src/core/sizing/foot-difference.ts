/** Half a size is 4.23 mm: from here a difference is shown. A whole one is 8.47 mm. [by arithmetic] */
export const SHOWN_FROM_MM = 4;
export const SPLIT_FROM_MM = 8;

export interface FootDifference {
  mm: number;
  longer: 'left' | 'right' | 'same';
  advice: 'none' | 'fit-longer' | 'split-or-filler';
  sentence: string;
}

/** What a left–right difference in foot length means for the pair. */
export function footDifference(leftMm: number, rightMm: number): FootDifference {
  const mm = Math.abs(leftMm - rightMm);
  const longer = mm === 0 ? 'same' : leftMm > rightMm ? 'left' : 'right';
  if (mm >= SPLIT_FROM_MM)
    return {
      mm,
      longer,
      advice: 'split-or-filler',
      sentence: `About a size apart: split pair, or a filler in the ${longer === 'left' ? 'right' : 'left'}.`,
    };
  if (mm >= SHOWN_FROM_MM)
    return { mm, longer, advice: 'fit-longer', sentence: `About half a size apart: fit the ${longer}.` };
  return {
    mm,
    longer,
    advice: 'none',
    sentence: mm === 0 ? 'Same length.' : `Fit the ${longer}; the difference is small.`,
  };
}

/** Adult heel–ball length is about 0.72–0.74 of foot length; outside 0.68–0.78 measure again. From memory. */
export function heelBallRatio(footMm: number, heelBallMm: number): { ratio: number; remeasure: boolean } {
  const ratio = heelBallMm / footMm;
  return { ratio, remeasure: ratio < 0.68 || ratio > 0.78 };
}
