import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

export interface Noise {
  /** Even between 0 and 1. */
  even(): number;
  /** Normal with mean 0 and standard deviation 1 (Box–Muller). */
  normal(): number;
}

/** Noise that is the same for the same seed. */
export function noise(seed: number): Noise {
  const generator = xoroshiro128plus(seed);
  const even = () => uniformFloat64(generator);
  return {
    even,
    normal: () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even()),
  };
}
