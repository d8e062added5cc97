/** Width letters, narrow → wide, as makers use them. Common practice; the letters are habits, not a standard. */
export const WIDTH_LETTERS = ['2A', 'A', 'B', 'C', 'D', 'E', '2E', '3E', '4E', '6E'] as const;
export type WidthLetter = (typeof WIDTH_LETTERS)[number];

export type SizingGroup = 'men' | 'women' | 'child';

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
