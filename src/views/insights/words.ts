import type { Proportion } from '@/core/statistics/wilson';

export const percent = (share: number): string => `${Math.round(100 * share)}`;

/** A share as its interval, for a small clinic: `3 of 20: 5–36 %`. */
export const inWords = ({ count, of, share, from, to }: Proportion): string =>
  share === null ? 'nobody asked' : `${count} of ${of}: ${percent(from)}–${percent(to)} %`;

/** A probability as reports write it: never as nothing. */
export const probabilityInWords = (p: number): string => (p < 0.001 ? 'p < 0.001' : `p = ${p.toFixed(3)}`);
