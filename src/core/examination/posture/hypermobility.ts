/** Signs of nine from which joints count as generally mobile, by age. Beighton 1973; 2017 criteria, from memory. */
export const hypermobilityCut = (ageYears: number): number => (ageYears < 16 ? 6 : ageYears > 50 ? 4 : 5);

export function readHypermobility(signs: number, ageYears: number | null): string {
  if (ageYears === null) return `${signs} of 9; the cut depends on age, which is not known here`;
  const cut = hypermobilityCut(ageYears);
  return `${signs} of 9; ${signs >= cut ? 'at or over' : 'under'} the cut of ${cut} at ${ageYears} years`;
}
