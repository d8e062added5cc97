import { addDays } from '../calendar/days';

/** When a clinic brings in the next pair. Common practice, each of them somebody's. */
export const BRING_IN = {
  'used-up': 'when the old one is used up',
  'third-left': 'with a third of its life left',
  'at-500-km': 'at 500 km',
  'from-start': 'from the start: two pairs from the first day',
} as const;
export type BringIn = keyof typeof BRING_IN;

const AT_KM = 500;
const THIRD_LEFT = 2 / 3;

/**
 * How much a pair has been used when the next one is brought in.
 *
 * @param clock pairs that are not counted in kilometres are brought in with a third left where a school counts kilometres
 */
export function bringInAt(bringIn: BringIn, life: { q50: number }, isKm: boolean): number {
  if (bringIn === 'from-start') return 0;
  if (bringIn === 'used-up') return life.q50;
  return bringIn === 'at-500-km' && isKm ? AT_KM : life.q50 * THIRD_LEFT;
}

/** Days from ordering a pair to having it fitted and broken in by half. Ours. */
export const LEAD_DAYS = 21;

/** The day to buy: so that the next pair is there, fitted, when it is to be brought in; never in the past. */
export const buyBy = (startNextOn: string, today: string): string => {
  const day = addDays(startNextOn, -LEAD_DAYS);
  return day < today ? today : day;
};
