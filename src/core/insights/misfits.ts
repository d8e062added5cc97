import type { Room } from '../shoe/room';
import type { FittedFoot } from '../sizing/learned/fit-evidence';
import { type Proportion, wilson } from '../statistics/wilson';

/** One pair on one patient's feet, as it was tried. */
export interface TriedPair {
  maker: string;
  /** The size as its label says. */
  size: string;
  patient: string;
  feet: readonly Pick<FittedFoot, 'roomMm' | 'widthFit'>[];
}

export interface Misfits {
  maker: string;
  size: string;
  pairs: number;
  patients: number;
  /** Of pairs whose room or width was read: on either foot. */
  short: Proportion;
  long: Proportion;
  narrow: Proportion;
  wide: Proportion;
}

/**
 * Which makers' sizes do not fit, the most often tried first. A pair is too short or too narrow where either foot says so.
 *
 * @param room in front of the longest toe, as the clinic takes it
 * @param least people that a figure rests on; of smaller groups only their number is said
 */
export function misfitsOf(
  tried: readonly TriedPair[],
  room: Room,
  least: number,
): { groups: Misfits[]; withheld: number } {
  const groups = new Map<string, TriedPair[]>();
  for (const pair of tried) {
    const key = `${pair.maker}\n${pair.size}`;
    const others = groups.get(key);
    if (others) others.push(pair);
    else groups.set(key, [pair]);
  }
  const all = [...groups.values()].map((pairs): Misfits => {
    const { maker, size } = pairs[0]!;
    const withRoom = pairs.filter(({ feet }) => feet.some(({ roomMm }) => roomMm !== null));
    const withWidth = pairs.filter(({ feet }) => feet.some(({ widthFit }) => widthFit !== null));
    const roomed = (is: (mm: number) => boolean) =>
      wilson(
        withRoom.filter(({ feet }) => feet.some(({ roomMm }) => roomMm !== null && is(roomMm))).length,
        withRoom.length,
      );
    const wide = (fit: FittedFoot['widthFit']) =>
      wilson(
        withWidth.filter(({ feet }) => feet.some(({ widthFit }) => widthFit === fit)).length,
        withWidth.length,
      );
    return {
      maker,
      size,
      pairs: pairs.length,
      patients: new Set(pairs.map(({ patient }) => patient)).size,
      short: roomed((mm) => mm < room.least),
      long: roomed((mm) => mm > room.most),
      narrow: wide('tight'),
      wide: wide('loose'),
    };
  });
  const shown = all.filter(({ patients }) => patients >= least);
  return {
    groups: shown.toSorted(
      (a, b) => b.pairs - a.pairs || a.maker.localeCompare(b.maker) || a.size.localeCompare(b.size),
    ),
    withheld: all.length - shown.length,
  };
}
