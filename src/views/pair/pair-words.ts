import type { PairRecord } from '@/contract/records';
import { printDistance } from '@/core/formats/formats';
import { countInWords } from '@/core/wear/amount-in-words';
import type { Clock } from '@/core/wear/clocks';
import { clinicFormats } from '@/ui/formats';

export const STATE: Record<PairRecord['forecast']['state'], string> = {
  'in-life': 'in its life',
  'bring-in-next': 'bring in the next pair',
  'in-window': 'in the replacement window',
  overdue: 'overdue for replacement',
  unknown: 'cannot be forecast yet',
};

/** An amount of a clock as people read it: `412 km`, `96 hours on the feet`. */
export const amountInWords = (clock: Clock, amount: number): string =>
  clock === 'km' ? printDistance(amount, clinicFormats()) : countInWords(clock, amount);

export const usedInWords = ({ life, used }: PairRecord['forecast']): string =>
  amountInWords(life.clock, used ?? 0);

/** What a life rests on: `learned from 6 pairs of it and 112 others of its use`. */
export function restsOn({ life }: PairRecord['forecast']): string {
  if (life.from === 'practice') return 'as practice states it';
  if (life.from === 'ours') return 'nobody states one: our own guess, wide on purpose';
  const own = life.pairs === 0 ? 'none of it yet' : `${life.pairs} of this model`;
  return `from this clinic’s pairs: ${own}, ${life.relatives} others of its use`;
}
