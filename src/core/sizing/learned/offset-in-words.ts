import { Z_95 } from '../../statistics/normal';
import type { LearnedOffset } from './learned-fit';

/** Ends of the central 95 % interval, mm. */
export const interval95 = ({ meanMm, sdMm }: LearnedOffset): readonly [number, number] => [
  meanMm - Z_95 * sdMm,
  meanMm + Z_95 * sdMm,
];

/** Below this a mean is no more than rounding. */
const NOTHING_MM = 0.5;
const WAYS = { length: ['short', 'long'], width: ['narrow', 'wide'] } as const;
const one = (value: number): string => (Math.round(value * 10) / 10).toFixed(1).replace('-', '−');

/** An offset as people read it: `runs 3.1 mm short (95 %: −4.9 to −1.3), 7 fittings`. */
export function offsetInWords(of: 'length' | 'width', learned: LearnedOffset): string {
  const [from, to] = interval95(learned);
  const [less, more] = WAYS[of];
  const says =
    Math.abs(learned.meanMm) < NOTHING_MM
      ? `${of} as labelled`
      : `runs ${one(Math.abs(learned.meanMm))} mm ${learned.meanMm < 0 ? less : more}`;
  const count = (number: number, of: string) => `${number} ${of}${number === 1 ? '' : 's'}`;
  const from_ =
    learned.fittings > 0
      ? count(learned.fittings, 'fitting')
      : learned.relatives > 0
        ? `no fitting yet, after ${count(learned.relatives, 'fitting')} of this maker`
        : 'no fitting yet';
  return `${says} (95 %: ${one(from)} to ${one(to)} mm), ${from_}`;
}
