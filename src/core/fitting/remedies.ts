import { type ShoeModel, stockOf } from '../catalogue/model';
import type { Side } from '../findings/finding-kinds';
import { type FeatureId, type FeatureValue, featureOf } from '../shoe/features';
import { insideLength } from '../sizing/start-size';
import { WIDTH_LETTERS } from '../sizing/widths';
import type { PATTERNS } from './lacing-patterns';
import type { FittedFeet } from './push-off';
import { placeOn } from './sizes';
import type { TryOn } from './try-on';

/** What the advice may draw on; without a model it stays general. */
export interface FitContext {
  /** Room that the specification asks for, mm. */
  room: { least: number; wished: number; most: number };
  model?: ShoeModel | undefined;
  /** Other models in reach, the best first. */
  others?: readonly ShoeModel[];
  /** The feet that are fitted, where they are known. */
  feet?: FittedFeet | undefined;
}

/** Something to do about a misfit: this size, this width, this lacing, these models. */
export type Remedy =
  | { kind: 'size'; size: number; width: string; roomMm: number; inStock: number }
  | { kind: 'width'; width: string; inStock: number }
  | { kind: 'lacing'; pattern: keyof typeof PATTERNS }
  | { kind: 'models'; ids: string[] };

/** Half a size in barleycorns, for advice without a model. */
const HALF_SIZE_MM = 4.23;

export const halves = (mm: number): string => {
  const count = Math.max(1, Math.ceil(mm / HALF_SIZE_MM - 0.3));
  return count === 1 ? 'half a size' : count === 2 ? 'one size' : `${count / 2} sizes`;
};

/** The size of this model that should leave the wished room, told from the room that this size left. */
export function sizeThatFits(
  { model, room }: FitContext,
  tryOn: TryOn,
  side: Side,
  roomMm: number,
): Extract<Remedy, { kind: 'size' }> | null {
  const place = placeOn(tryOn, side);
  if (!model || !place) return null;
  const { size, width } = place;
  const roomIn = (other: number) =>
    roomMm + insideLength(model.sizing, other) - insideLength(model.sizing, size);
  const fitting = model.sizing.sizes
    .filter((other) => other !== size && roomIn(other) >= room.least && roomIn(other) <= room.most)
    .toSorted((a, b) => Math.abs(roomIn(a) - room.wished) - Math.abs(roomIn(b) - room.wished));
  const best = fitting[0];
  if (best === undefined) return null;
  return { kind: 'size', size: best, width, roomMm: roomIn(best), inStock: stockOf(model, best, width) };
}

export function nextWidth({ model }: FitContext, tryOn: TryOn, side: Side, way: 1 | -1): Remedy | null {
  const place = placeOn(tryOn, side);
  if (!model || !place) return null;
  const offered: string[] = model.sizing.widths.toSorted(
    (a, b) => WIDTH_LETTERS.indexOf(a) - WIDTH_LETTERS.indexOf(b),
  );
  const width = offered[offered.indexOf(place.width) + way];
  return width === undefined ? null : { kind: 'width', width, inStock: stockOf(model, place.size, width) };
}

/** How many other models one piece of advice names. */
const NAMED = 2;

/** Other models in reach whose value of a feature answers a complaint. */
function modelsWith(
  { model, others = [] }: FitContext,
  feature: FeatureId,
  answers: (value: FeatureValue) => boolean,
): Remedy[] {
  const ids = others
    .filter(({ id, features }) => {
      const value = features[feature];
      return id !== model?.id && value !== undefined && answers(value);
    })
    .slice(0, NAMED)
    .map(({ id }) => id);
  return ids.length === 0 ? [] : [{ kind: 'models', ids }];
}

/**
 * Other models with more (1) or less (−1) of a feature than this one. Where nobody knows what this one has, a usual shoe
 * stands in for it, on the feature's own scale.
 */
export function otherModels(context: FitContext, feature: FeatureId, way: 1 | -1): Remedy[] {
  const { usual } = featureOf(feature);
  const here = Number(context.model?.features[feature] ?? usual);
  return modelsWith(context, feature, (value) => way * (Number(value) - here) > 0);
}

/** Other models with one option of a choice. */
export const otherModelsWith = (context: FitContext, feature: FeatureId, option: string): Remedy[] =>
  modelsWith(context, feature, (value) => value === option);
