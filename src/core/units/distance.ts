import type { Result } from '../result/result';
import { readQuantity } from './quantity';

/** Exact by definition (international mile). */
export const KM_PER_MILE = 1.609344;

/**
 * Kilometres from `12`, `12 km`, `7.5 mi`, `800 m`.
 *
 * @param assumed the unit of a bare number
 */
export function parseDistance(text: string, assumed: 'km' | 'mi' = 'km'): Result<number> {
  return readQuantity(
    text,
    { km: 1, m: 0.001, mi: KM_PER_MILE, mile: KM_PER_MILE, miles: KM_PER_MILE },
    assumed,
  );
}

export const milesToKm = (miles: number): number => miles * KM_PER_MILE;
export const kmToMiles = (km: number): number => km / KM_PER_MILE;
