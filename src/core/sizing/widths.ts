import type { SizingGroup } from '../findings/findings';

/** Width letters, narrow → wide, as makers use them. Common practice; the letters are habits, not a standard. */
export const WIDTH_LETTERS = ['2A', 'A', 'B', 'C', 'D', 'E', '2E', '3E', '4E', '6E'] as const;
export type WidthLetter = (typeof WIDTH_LETTERS)[number];

const LETTERS: ReadonlySet<string> = new Set(WIDTH_LETTERS);
export const isWidthLetter = (text: string): text is WidthLetter => LETTERS.has(text);

/** Letter that each group calls standard. A women's wide is a men's standard. */
export const STANDARD_LETTER: Record<SizingGroup, WidthLetter> = { men: 'D', women: 'B', child: 'D' };

/** Grades of the width feature (1 narrow … 4 extra wide) in letters of each group. */
const GRADE_LETTERS: Record<SizingGroup, readonly WidthLetter[]> = {
  men: ['B', 'D', '2E', '4E'],
  women: ['2A', 'B', 'D', '2E'],
  child: ['B', 'D', '2E', '4E'],
};

export const lettersByGrade = (group: SizingGroup): readonly WidthLetter[] => GRADE_LETTERS[group];

/** Grade 1 … 4 of a letter within a group, in quarter steps between the named ones. */
export function gradeOfLetter(group: SizingGroup, letter: WidthLetter): number {
  const at = WIDTH_LETTERS.indexOf(letter);
  const named = GRADE_LETTERS[group].map((name) => WIDTH_LETTERS.indexOf(name));
  if (at <= named[0]!) return 1;
  for (let grade = 1; grade < named.length; grade += 1) {
    const low = named[grade - 1]!;
    const high = named[grade]!;
    if (at <= high) return grade + (at - low) / (high - low);
  }
  return named.length;
}

/** Inside width at the ball grows by about 2.1 mm a letter (a quarter inch of girth). From memory, check (75 %). */
export const MM_WIDTH_PER_LETTER = 2.1;

/** JIS letters, narrow → wide. */
const JIS_LETTERS = ['A', 'B', 'C', 'D', 'E', 'EE', 'EEE', 'EEEE', 'F', 'G'] as const;
/** Ball girth of letter E at a foot length, mm. */
const JIS_ANCHOR = { men: { lengthMm: 250, girthMm: 243 }, women: { lengthMm: 230, girthMm: 225 } } as const;

/**
 * Width letter of a ball girth in the Japanese system: 6 mm a letter, 3 mm for each 5 mm of length.
 *
 * Source: JIS S 5037:1998, anchors and steps from memory (70–80 %).
 * @returns null outside the letters; the men's F and G stand for the widest two
 */
export function jisWidthLetter(girthMm: number, footMm: number, group: SizingGroup): string | null {
  const anchor = JIS_ANCHOR[group === 'women' ? 'women' : 'men'];
  const ofE = anchor.girthMm + ((footMm - anchor.lengthMm) / 5) * 3;
  const at = JIS_LETTERS.indexOf('E') + Math.round((girthMm - ofE) / 6);
  return JIS_LETTERS[at] ?? null;
}
