import { SIDES, type Side } from '../findings/finding-kinds';
import type { ClinicalPicture } from '../findings/picture';
import type { TryOn } from '../fitting/try-on';
import type { Cause, SpotPlace } from './causes';
import { readSpot, type SpotReading } from './finder';
import { knownAnswers, stopFirst } from './known';
import type { HotSpot } from './schema';

/** From here a cause is acted on without being named again. Ours. */
const TAKEN = 0.5;

interface Seen {
  picture: ClinicalPicture;
  tryOn: TryOn | null;
  shareOfLife: number | null;
}

/** What leads to one spot, with what is known unasked; what was answered comes before it. */
export const readHotSpot = ({ side, place, answers }: HotSpot, seen: Seen): SpotReading =>
  readSpot(place, { ...knownAnswers({ ...seen, side }), ...answers });

/** What leads to the spots of one foot, by place, as far as it was found. */
export type FoundCauses = Readonly<Partial<Record<SpotPlace, Cause>>>;

/** Causes that were found on each foot, for its lacing; none of a foot that is only to be seen. */
export function causesFound(spots: readonly HotSpot[], seen: Seen): Record<Side, FoundCauses> {
  const of = (side: Side): FoundCauses =>
    stopFirst(seen.picture, side) !== null
      ? {}
      : Object.fromEntries(
          spots
            .filter((spot) => spot.side === side)
            .flatMap((spot) => {
              const [first] = readHotSpot(spot, seen).ranked;
              return first && first.chance >= TAKEN ? [[spot.place, first.cause]] : [];
            }),
        );
  const [left, right] = SIDES.map(of);
  return { left: left!, right: right! };
}
