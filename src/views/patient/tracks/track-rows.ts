import { dayOf } from '@/core/calendar/days';
import { assignOuting, type WornThen } from '@/core/tracks/assign';
import type { Outing } from '@/core/tracks/track';
import type { TracksAnswer } from '@/workers/tracks-worker';

/** One outing with the pair it goes to, and why. */
export interface TrackRow {
  outing: Outing;
  on: string | null;
  pair: string | null;
  because: string;
  isChosen: boolean;
  isRepeat: boolean;
}

const two = (value: number): string => String(value).padStart(2, '0');

/** The day of a moment where this computer is. */
function localDay(seconds: number): string {
  const at = new Date(seconds * 1000);
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** What was read, each with the pair that it was likely in; a run that a second device saw too is left out. */
export const rowsOf = ({ outings, repeats }: TracksAnswer, pairs: readonly WornThen[]): TrackRow[] =>
  outings.map((outing, at) => {
    const on = outing.from === null ? null : localDay(outing.from);
    const { pair, because } = assignOuting(outing, on, pairs);
    const isRepeat = repeats[at] !== null;
    return { outing, on, pair, because, isChosen: pair !== null && !isRepeat, isRepeat };
  });

/** Pairs that were in use on a day. */
export const wornOn = (on: string | null, pairs: readonly WornThen[]): WornThen[] => {
  const day = on ?? dayOf(new Date());
  return pairs.filter(({ startedOn, endedOn }) => startedOn <= day && (endedOn === null || endedOn >= day));
};
