import type { FeatureValues } from '../shoe/features';
import type { ModelSizing } from '../sizing/start-size';
import type { ShoeModel } from './model';

/** Sizes of an invented model, for tests: continental, men's, one size and one width unless they say otherwise. */
export const testSizing = (part: Partial<ModelSizing> = {}): ModelSizing => ({
  system: 'eu',
  group: 'men',
  allowanceMm: 15,
  lengthOffsetMm: 0,
  widthOffsetMm: 0,
  sizes: [42],
  widths: ['D'],
  ballWidthMm: 96,
  ...part,
});

/** An invented model, for tests. */
export const testShoe = (
  id: string,
  features: FeatureValues = {},
  part: Partial<ShoeModel> = {},
): ShoeModel => ({
  id,
  maker: 'Testmaker',
  name: id,
  version: '1',
  features,
  sizing: testSizing(),
  stock: {},
  price: null,
  status: 'current',
  replaces: null,
  ...part,
});

/** Half sizes between two, both included. */
export const halfSizes = (from: number, to: number): number[] =>
  Array.from({ length: (to - from) * 2 + 1 }, (_, at) => from + at / 2);
