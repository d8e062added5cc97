import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A seeded source of demo variety: the same seed makes the same clinic. */
export interface Random {
  /** Whole number, both ends included. */
  int(from: number, to: number): number;
  /** Multiple of `step` between the ends. */
  near(from: number, to: number, step: number): number;
  pick<T>(options: readonly T[]): T;
  chance(share: number): boolean;
  /** A version 4 identifier, so that demo links survive a fresh load. */
  uuid(): string;
}

export function random(seed: number): Random {
  const source = xoroshiro128plus(seed);
  const int = (from: number, to: number) => uniformInt(source, from, to);
  const hex = (digits: number) => Array.from({ length: digits }, () => int(0, 15).toString(16)).join('');
  return {
    int,
    near: (from, to, step) => from + step * int(0, Math.round((to - from) / step)),
    pick: (options) => options[int(0, options.length - 1)]!,
    chance: (share) => uniformFloat64(source) < share,
    uuid: () => `${hex(8)}-${hex(4)}-4${hex(3)}-${(8 + int(0, 3)).toString(16)}${hex(3)}-${hex(12)}`,
  };
}
