import type { PatientSheet } from './patient-sheet';

/**
 * When the pair will be used up, for whoever handed it over.
 *
 * @param day writes a day as the clinic does
 */
export const usedUpInWords = (
  { replaceBetween, startNextOn }: Pick<PatientSheet, 'replaceBetween' | 'startNextOn'>,
  day: (on: string) => string,
): string =>
  replaceBetween && startNextOn
    ? `Start the next pair from ${day(startNextOn)}. Likely used up between ${day(replaceBetween.from)} and ${day(replaceBetween.to)}.`
    : 'Nobody can say yet when this pair will be used up: note how much it is worn.';
