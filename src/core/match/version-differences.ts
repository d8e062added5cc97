import type { ShoeModel } from '../catalogue/model';
import { compareModels } from './compare';

/**
 * How a later version differs from the one that was fitted, feature by feature, in words: a name is no shoe. Sizing that is
 * counted otherwise is a difference too.
 */
export function versionDifferences(worn: ShoeModel, later: ShoeModel): string[] {
  const features = compareModels([worn, later])
    .filter(({ differs }) => differs)
    .map(
      ({ label, values }) =>
        `${label}: ${values[0]?.says ?? 'not stated'} → ${values[1]?.says ?? 'not stated'}`,
    );
  const size = (model: ShoeModel) => `${model.sizing.system} ${model.sizing.allowanceMm}`;
  return size(worn) === size(later) ? features : [...features, 'Sizes are counted differently'];
}
