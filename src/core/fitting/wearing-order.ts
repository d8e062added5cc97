/** Pairs are called by letter while they are tried. */
export const letterOf = (at: number): string => String.fromCharCode(65 + at);

/**
 * In which order pairs are worn: as brought, and the first once more at the end, because the order biases. A new pair is
 * felt against the last one.
 */
export function wearingOrder(letters: readonly string[]): { letters: string[]; because: string } {
  if (letters.length < 2)
    return { letters: [...letters], because: 'One pair alone is felt against nothing: bring a second.' };
  return {
    letters: [...letters, letters[0]!],
    because: 'The first is worn again after the last, because the order biases.',
  };
}
