import type { Result } from '../result/result';
import { readQuantity, type UnitTable } from './quantity';

/** Exact by definition (international inch, 1959). */
export const MM_PER_INCH = 25.4;

const LENGTH_UNITS: UnitTable = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
  "'": 12 * MM_PER_INCH,
  '′': 12 * MM_PER_INCH,
};

/**
 * Millimetres from what people type: `262`, `26.2 cm`, `10 5/16in`, `5 ft 9 in`.
 *
 * @param assumed the unit of a bare number
 */
export function parseLength(text: string, assumed: 'mm' | 'cm' | 'in' = 'mm'): Result<number> {
  return readQuantity(text, LENGTH_UNITS, assumed);
}

export const mmToInch = (mm: number): number => mm / MM_PER_INCH;
export const inchToMm = (inch: number): number => inch * MM_PER_INCH;
