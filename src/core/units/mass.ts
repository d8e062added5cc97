import type { Result } from '../result/result';
import { readQuantity } from './quantity';

/** Exact by definition (international avoirdupois pound). */
export const KG_PER_POUND = 0.45359237;

/** Kilograms from `72`, `72.5 kg`, `160 lb`, `11 st 4 lb`. */
export function parseMass(text: string): Result<number> {
  return readQuantity(
    text,
    { kg: 1, g: 0.001, lb: KG_PER_POUND, lbs: KG_PER_POUND, st: 14 * KG_PER_POUND },
    'kg',
  );
}
