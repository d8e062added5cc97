import type { PatientSheet } from './patient-sheet';

/** When the pair will be used up, for whoever handed it over. */
export const usedUpInWords = ({
  replaceBetween,
  startNextOn,
}: Pick<PatientSheet, 'replaceBetween' | 'startNextOn'>): string =>
  replaceBetween && startNextOn
    ? `Start the next pair from ${startNextOn}. Likely used up between ${replaceBetween.from} and ${replaceBetween.to}.`
    : 'Nobody can say yet when this pair will be used up: note how much it is worn.';
