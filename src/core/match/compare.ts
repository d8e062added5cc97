import type { ShoeModel } from '../catalogue/model';
import type { Specification } from '../prescribe/engine/specification';
import { acceptsEverything, targetInWords } from '../prescribe/explain/in-words';
import { FEATURE_IDS, type FeatureId, featureOf, isPerFoot, printFeature } from '../shoe/features';
import { disagree } from '../shoe/readings/readings';
import { isInside } from './standing';

export interface ComparedModelsRow {
  feature: FeatureId;
  label: string;
  /** One a model, in its order; null is not known. */
  values: ({ says: string; inside: boolean | null } | null)[];
  /** At least two known values differ by more than measuring explains. */
  differs: boolean;
  /** What the specification wants; null where there is none or it wants nothing. */
  wanted: string | null;
}

/** Models feature by feature, for at most four at a time; a feature that none of them states is left out. */
export function compareModels(
  models: readonly ShoeModel[],
  specification: Specification | null = null,
): ComparedModelsRow[] {
  return FEATURE_IDS.filter((id) => id !== 'toeRoom' && !isPerFoot(id)).flatMap((feature) => {
    const known = models.flatMap((model) => model.features[feature] ?? []);
    if (known.length === 0) return [];
    const target = specification?.targets.find((entry) => entry.feature === feature);
    return [
      {
        feature,
        label: featureOf(feature).label,
        values: models.map(({ features }) => {
          const value = features[feature];
          return value === undefined
            ? null
            : { says: printFeature(feature, value), inside: target ? isInside(target, value) : null };
        }),
        differs: known.some((value) => disagree(feature, known[0]!, value)),
        wanted: target && !acceptsEverything(target) ? targetInWords(target) : null,
      },
    ];
  });
}
