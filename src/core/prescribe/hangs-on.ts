import { type ClinicalPicture, NOT_EXAMINED } from '../picture/clinical-picture';
import { SIDES } from '../picture/finding-kinds';
import { definitionOf, FINDING_IDS, type FindingId } from '../picture/findings';
import type { FeatureId, FeatureValue } from '../shoe/features';
import type { Choosing } from './choosing';
import { Variation } from './variation';

/** A finding that a target rests on. */
export interface Hanging {
  finding: FindingId;
  /** 0 … 1: how far the target would move if nobody had taken it; 1 also where a limit would go. */
  moves: number;
  /** Where the target would be; null when nothing would ask for it. */
  value: FeatureValue | null;
}

const isKnown = (picture: ClinicalPicture, id: FindingId): boolean =>
  (definitionOf(id).scope === 'body' ? [picture.body] : SIDES.map((side) => picture[side])).some(
    (place) => (place as Record<string, unknown>)[id] !== NOT_EXAMINED,
  );

/**
 * For each feature the findings whose removal would move its target most, dearest first. A finding of both feet is
 * removed from both. Findings that move nothing are not listed.
 */
export function hangsOn(picture: ClinicalPicture, options: Choosing): Partial<Record<FeatureId, Hanging[]>> {
  const variation = new Variation(picture, options);
  const result: Partial<Record<FeatureId, Hanging[]>> = {};
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
