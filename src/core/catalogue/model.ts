import type { FeatureValues } from '../shoe/features';
import type { LearnedFit } from '../sizing/learned/learned-fit';
import type { ModelSizing } from '../sizing/start-size';

/** Pairs on the shelf by `size width`, as `42.5 D`; what is not named is not there. */
export type Stock = Readonly<Record<string, number>>;

/** What the boxes on the shelf say of the last delivery. */
export interface BoxLabel {
  batch?: string;
  madeOn?: string;
}

export type ModelStatus = 'current' | 'discontinued';

/** A catalogue model in one version, as ranking, sizing and the try-on see it. */
export interface ShoeModel {
  id: string;
  maker: string;
  name: string;
  version: string;
  features: FeatureValues;
  /** With the offsets that the clinic's fittings teach. */
  sizing: ModelSizing;
  /** What was learned and how surely; absent where nobody asked. */
  learned?: LearnedFit;
  stock: Stock;
  boxes: BoxLabel;
  /** In the clinic's currency; null where nobody says. */
  price: number | null;
  status: ModelStatus;
  /** The version that this one took the place of. */
  replaces: string | null;
}

export const modelTitle = (model: Pick<ShoeModel, 'maker' | 'name' | 'version'>): string =>
  `${model.maker} ${model.name} ${model.version}`;

export const stockKey = (size: number, width: string): string => `${size} ${width}`;

export const stockOf = (model: Pick<ShoeModel, 'stock'>, size: number, width: string): number =>
  model.stock[stockKey(size, width)] ?? 0;

export const pairsInStock = ({ stock }: Pick<ShoeModel, 'stock'>): number =>
  Object.values(stock).reduce((sum, count) => sum + count, 0);
