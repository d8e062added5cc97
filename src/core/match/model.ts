import type { FeatureValues } from '../shoe/features';
import type { ModelSizing } from '../sizing/start-size';

/** A catalogue model in one version, as ranking sees it. */
export interface ShoeModel {
  id: string;
  maker: string;
  name: string;
  version: string;
  features: FeatureValues;
  sizing: ModelSizing;
  inStock: boolean;
}

export const modelTitle = (model: Pick<ShoeModel, 'maker' | 'name' | 'version'>): string =>
  `${model.maker} ${model.name} ${model.version}`;
