import { Z_95 } from './normal';

export interface Proportion {
  count: number;
  of: number;
  /** 0 to 1; null of nothing. */
  share: number | null;
  /** The interval in which it lies, 0 to 1. */
  from: number;
  to: number;
}

/**
 * A proportion with its score interval (Wilson EB, J Am Stat Assoc 1927;22:209–212): honest about small numbers, and never beyond
 * 0 and 1. Of 95 %.
 *
 * @example wilson(0, 20) // { share: 0, from: 0, to: 0.161 … }
 */
export function wilson(count: number, of: number): Proportion {
  if (of === 0) return { count, of, share: null, from: 0, to: 1 };
  const z = Z_95;
  const share = count / of;
  const middle = share + (z * z) / (2 * of);
  const half = z * Math.sqrt((share * (1 - share)) / of + (z * z) / (4 * of * of));
  const scale = 1 + (z * z) / of;
  return {
    count,
    of,
    share,
    from: Math.max(0, (middle - half) / scale),
    to: Math.min(1, (middle + half) / scale),
  };
}
