import type { ClinicalPicture } from '../../findings/picture';
import type { Knowledge } from '../../knowledge/edition';
import { KNOWLEDGE_VERSION, RULES } from '../../knowledge/knowledge-base';
import { isPerFoot } from '../../shoe/features';
import { gather } from './gather';
import { deadlockOfHeights } from './limits';
import type { ReasoningOptions } from './reasoning-options';
import { resolveFeature, TARGET_PLACES } from './resolve-feature';
import type { Decision, Specification } from './specification';

export const BUILT_IN: Knowledge = { edition: KNOWLEDGE_VERSION, rules: RULES };

export interface ResolveOptions extends Partial<ReasoningOptions> {
  decisions?: readonly Decision[];
}

/** The decision on one place, if the clinician made one. */
export const decisionAt = (
  decisions: readonly Decision[],
  { feature, side }: Pick<Decision, 'feature' | 'side'>,
): Decision | undefined => decisions.find((entry) => entry.feature === feature && entry.side === side);

/**
 * Resolves a clinical picture into a specification: limits intersect, preferences of weighted strength add up
 * to a utility over each feature, and the band around its best value is the target. Both feet are resolved
 * together: the pair has one target a feature, lifts and inserts one for each foot. Pure: the same picture, rules
 * and choices give the same bytes.
 */
export function resolve(picture: ClinicalPicture, options: ResolveOptions = {}): Specification {
  const school = options.school ?? 'balanced';
  const { edition, rules, usualRoom } = options.knowledge ?? BUILT_IN;
  const decisions = options.decisions ?? [];
  const gathered = gather(picture, rules, school, options.setAside ?? []);
  const specification: Specification = {
    knowledge: edition,
    school,
    ...(usualRoom ? { usualRoom } : {}),
    targets: [],
    feet: { left: [], right: [] },
    deadlocks: [],
    open: gathered.open,
    cautions: gathered.cautions,
  };
  // Those of the pair first, then those of each foot.
  const places = [
    ...TARGET_PLACES.filter(({ feature }) => !isPerFoot(feature)),
    ...TARGET_PLACES.filter(({ side }) => side === 'left'),
    ...TARGET_PLACES.filter(({ side }) => side === 'right'),
  ];
  for (const place of places) {
    const resolved = resolveFeature(place, gathered.pushes.get(place.feature) ?? [], {
      decision: decisionAt(decisions, place),
      awaits: gathered.awaits.get(place.feature),
      explained: true,
    });
    if (!resolved) continue;
    (place.side ? specification.feet[place.side] : specification.targets).push(resolved.target);
    if (resolved.deadlock) specification.deadlocks.push(resolved.deadlock);
  }
  const heights = deadlockOfHeights(gathered.pushes);
  if (heights) specification.deadlocks.push(heights);
  return specification;
}
