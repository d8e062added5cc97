import type { IsoDay } from '../calendar/days';
import { CLOCK_OF_USE, type Clock, type Use } from '../wear/clocks';
import type { Outing, TrackSport } from './track';

/** A pair that an outing may have been in. */
export interface WornThen {
  id: string;
  title: string;
  use: Use;
  startedOn: IsoDay;
  endedOn: IsoDay | null;
}

/** Uses that go with what was done, the likeliest first. Common practice. */
const USES: Readonly<
  Record<Exclude<TrackSport, 'other'>, Readonly<Record<Outing['surface'], readonly Use[]>>>
> = {
  running: {
    road: ['road-running', 'trail', 'racing'],
    trail: ['trail', 'road-running'],
  },
  walking: {
    road: ['walking', 'everyday', 'therapeutic', 'work', 'hiking'],
    trail: ['hiking', 'walking', 'trail', 'everyday', 'therapeutic'],
  },
  hiking: {
    road: ['hiking', 'walking', 'trail'],
    trail: ['hiking', 'trail', 'walking'],
  },
};

export interface Assigned {
  /** Null: to be chosen by hand. */
  pair: string | null;
  because: string;
}

/** In which pair an outing was, where one suits best alone; else somebody chooses. */
export function assignOuting(
  { sport, surface }: Pick<Outing, 'sport' | 'surface'>,
  on: IsoDay | null,
  pairs: readonly WornThen[],
): Assigned {
  if (on === null) return { pair: null, because: 'no day' };
  const worn = pairs.filter(
    ({ startedOn, endedOn }) => startedOn <= on && (endedOn === null || endedOn >= on),
  );
  if (worn.length === 0) return { pair: null, because: 'no pair was in use that day' };
  if (sport === 'other') return { pair: null, because: 'what was done is not said' };
  for (const use of USES[sport][surface]) {
    const suits = worn.filter((pair) => pair.use === use);
    if (suits.length === 1)
      return { pair: suits[0]!.id, because: `the only pair for it in use (${suits[0]!.title})` };
    if (suits.length > 1) return { pair: null, because: 'several pairs suit' };
  }
  return { pair: null, because: 'no pair in use is for this' };
}

/** What an outing adds to a pair in the clock of its use: kilometres, hours, or a day worn. */
export function amountFor(clock: Clock, { km, from, to }: Pick<Outing, 'km' | 'from' | 'to'>): number {
  if (clock === 'km') return km;
  if (clock === 'days-worn') return 1;
  return from !== null && to !== null ? (to - from) / 3600 : 0;
}

export const clockOf = (use: Use): Clock => CLOCK_OF_USE[use];
