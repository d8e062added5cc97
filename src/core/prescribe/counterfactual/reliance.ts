import { FINDING_IDS, type FindingId } from '../../findings/findings';
import { type EnteredPicture, NOT_EXAMINED, type Picture, placesOf, valueAt } from '../../findings/picture';
import type { FeatureId, FeatureValue } from '../../shoe/features';
import type { ReasoningOptions } from '../engine/reasoning-options';
import { Variation } from './variation';

/** A finding that a target rests on. */
export interface Reliance {
  finding: FindingId;
  /** 0 … 1: how far the target would move if nobody had taken it; 1 also where a limit would go. */
  moves: number;
  /** Where the target would be; null when nothing would ask for it. */
  value: FeatureValue | null;
}

const isKnown = (picture: Picture, id: FindingId): boolean =>
  placesOf(id).some((place) => valueAt(picture, place, id) !== NOT_EXAMINED);

/**
 * For each feature the findings whose removal would move its target most, dearest first. A finding of both feet is
 * removed from both. Findings that move nothing are not listed.
 */
export function relianceOf(
  picture: EnteredPicture,
  options: ReasoningOptions,
): Partial<Record<FeatureId, Reliance[]>> {
  const variation = new Variation(picture, options);
  const result: Partial<Record<FeatureId, Reliance[]>> = {};
  for (const finding of FINDING_IDS) {
    if (!isKnown(picture, finding)) continue;
    for (const { feature, moves, value } of variation.shiftsWithout(finding)) {
      const list = result[feature] ?? [];
      result[feature] = list;
      const there = list.find((entry) => entry.finding === finding);
      if (!there) list.push({ finding, moves, value });
      else if (moves > there.moves) Object.assign(there, { moves, value });
    }
  }
  for (const list of Object.values(result)) list.sort((a, b) => b.moves - a.moves);
  return result;
}
