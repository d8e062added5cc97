import type { Clock } from './clocks';

const UNIT = {
  hours: 'hours of play',
  'hours-on-feet': 'hours on the feet',
  'days-worn': 'days worn',
} as const;

/** An amount of a clock that is not kilometres: `96 hours on the feet`. */
export const countInWords = (clock: Exclude<Clock, 'km'>, amount: number): string =>
  `${Math.round(amount)} ${UNIT[clock]}`;
