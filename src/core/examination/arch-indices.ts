/** Thirds of a toeless footprint, any area unit. */
export interface PrintAreas {
  rear: number;
  mid: number;
  fore: number;
}

/**
 * Arch index: middle third of the toeless print over the whole.
 * Source: Cavanagh & Rodgers 1987, J Biomech 20:547–551, from memory.
 */
export const archIndex = ({ rear, mid, fore }: PrintAreas): number => mid / (rear + mid + fore);

/** Bands are quartiles of the original sample, not pathology; both boundary values belong to the outer bands. */
export const archIndexBand = (index: number): 'high' | 'medium' | 'low' =>
  index <= 0.21 ? 'high' : index < 0.26 ? 'medium' : 'low';

/**
 * Arch height index: dorsum height at half foot length over truncated length (heel to first metatarsal head).
 * Source: Williams & McClay 2000, Phys Ther 80:864–871, from memory.
 */
export const archHeightIndex = (dorsumHeightMm: number, truncatedLengthMm: number): number =>
  dorsumHeightMm / truncatedLengthMm;

export type PostureBand = 'highly supinated' | 'supinated' | 'normal' | 'pronated' | 'highly pronated';

/**
 * Band of the six-item foot posture total, −12 … +12 (whole).
 * Source: Redmond 2006, Clin Biomech 21:89–98, from memory. Adult bands.
 */
export function postureBand(total: number): PostureBand {
  if (total <= -5) return 'highly supinated';
  if (total < 0) return 'supinated';
  if (total <= 5) return 'normal';
  return total <= 9 ? 'pronated' : 'highly pronated';
}
