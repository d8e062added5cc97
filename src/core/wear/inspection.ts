import type { InspectionContent } from './worn-schema';

/** Whether an inspection saw anything. */
export const isWorthKeeping = ({ signs, wear, midsole, soleMarks, heat, note }: InspectionContent): boolean =>
  Object.keys(signs ?? {}).length > 0 ||
  [wear?.left, wear?.right].some((sole) => Object.keys(sole ?? {}).length > 0) ||
  [midsole?.left, midsole?.right].some((side) => Object.keys(side ?? {}).length > 0) ||
  (soleMarks ?? []).length > 0 ||
  heat !== undefined ||
  Boolean(note?.trim());
