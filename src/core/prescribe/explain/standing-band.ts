import type { StandingBand } from '../../shoe/drawing/side-profile';
import { FEATURES, type FeatureId } from '../../shoe/features';
import type { Specification } from '../engine/specification';

/** Ends of a numeric target; the feature's whole axis where nothing is wanted. */
function ends(
  specification: Specification,
  feature: FeatureId,
  axis: readonly [number, number],
): [number, number] {
  const target = specification.targets.find((entry) => entry.feature === feature);
  return target?.kind === 'band' ? [target.band.from, target.band.to] : [axis[0], axis[1]];
}

/**
 * Where a specification lets heel and ball stand, from its bands of stacks and drop together. Null where it asks for
 * none of them.
 */
export function standingBandOf(specification: Specification): StandingBand | null {
  const isAsked = (['heelStack', 'forefootStack', 'drop'] as const).some((feature) =>
    specification.targets.some((target) => target.feature === feature),
  );
  if (!isAsked) return null;
  const heel = ends(specification, 'heelStack', FEATURES.heelStack.bounds);
  const fore = ends(specification, 'forefootStack', FEATURES.forefootStack.bounds);
  const drop = ends(specification, 'drop', FEATURES.drop.bounds);
  // A heel is at least the lowest ball plus the least drop, and so on: each end is pulled in by the other two.
  const heelBand = [Math.max(heel[0], fore[0] + drop[0]), Math.min(heel[1], fore[1] + drop[1])] as const;
  const foreBand = [
    Math.max(fore[0], heelBand[0] - drop[1]),
    Math.min(fore[1], heelBand[1] - drop[0]),
  ] as const;
  return heelBand[0] <= heelBand[1] && foreBand[0] <= foreBand[1] ? { heel: heelBand, fore: foreBand } : null;
}
