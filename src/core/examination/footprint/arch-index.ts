/** Thirds of a toeless footprint, any area unit. */
export interface PrintAreas {
  rear: number;
  mid: number;
  fore: number;
}

/**
 * Arch index: middle third of the toeless print over the whole.
 * Source: Cavanagh & Rodgers 1987, J Biomech 20:547–551, from memory.
 *
 * @example archIndex({ rear: 45, mid: 30, fore: 55 }) // 0.231
 */
export const archIndex = ({ rear, mid, fore }: PrintAreas): number => mid / (rear + mid + fore);
