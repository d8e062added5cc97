import { type ShoeModel, stockOf } from './model';

/** One shoe's place on the shelf: its size and width. */
export interface ShelfPlace {
  size: number;
  width: string;
}

/** How many pairs can be made up: a split pair opens two boxes, and the fewer of them decide. 0 where no size is known. */
export function pairsOnShelf(
  model: Pick<ShoeModel, 'stock'>,
  places: readonly (ShelfPlace | null)[],
): number {
  const known = places.filter((place) => place !== null);
  return known.length === 0 ? 0 : Math.min(...known.map(({ size, width }) => stockOf(model, size, width)));
}
