/** Width that a gain of girth adds to a foot, mm: as the diameter of a circle grows. By arithmetic. */
export const widthOfGain = (girthMm: number): number => girthMm / Math.PI;
