import type { Knowledge } from '../knowledge/edition';
import { KNOWLEDGE_VERSION, RULES } from '../knowledge/knowledge-base';
import type { ClinicalPicture } from '../picture/clinical-picture';
import { deriveFindings } from '../picture/derive';
import { SIDES, type Side } from '../picture/finding-kinds';
import { FEATURE_IDS, type FeatureId, featureOf, isPerFoot } from '../shoe/features';
import { alternativesOf } from './alternatives';
import type { Choosing } from './choosing';
import { decide, decidedAlone } from './decide';
import { gather } from './gather';
import { deadlockOfHeights, deadlockOn } from './limits';
import { bandOf, isAcceptable, noteWithouts, type Settled, settle, tensionOf } from './settle';
import type { Band, Deadlock, Decision, Push, Specification, Target } from './specification';

export const BUILT_IN: Knowledge = { edition: KNOWLEDGE_VERSION, rules: RULES };

export interface ResolveOptions extends Partial<Choosing> {
  decisions?: readonly Decision[];
}

/**
 * Resolves a clinical picture into a specification: limits intersect, preferences of weighted strength add up
 * to a utility over each feature, and the band around its best value is the target. Both feet are resolved
 * together: the pair has one target a feature, lifts and inserts one for each foot. Pure: the same picture, rules
 * and choices give the same bytes.
 */
export function resolve(picture: ClinicalPicture, options: ResolveOptions = {}): Specification {
  const school = options.school ?? 'balanced';
  const { edition, rules } = options.knowledge ?? BUILT_IN;
  const decisions = options.decisions ?? [];
  const gathered = gather(deriveFindings(picture), rules, school, options.setAside ?? []);
  const deadlocks: Deadlock[] = [];
  const targetOf = (feature: FeatureId, side?: Side): Target[] => {
    const all = gathered.pushes.get(feature) ?? [];
    const pushes = side
      ? all.filter((push) => push.sides.includes(side)).map((push) => ({ ...push, sides: [side] }))
      : all;
    const decision = decisions.find((entry) => entry.feature === feature && entry.side === side);
    if (pushes.length === 0) return decision ? [decidedAlone(decision)] : [];
    const settled = settle(feature, pushes);
    if (settled.contradicting) {
      const deadlock = deadlockOn(feature, settled.limits, settled.values.list, side);
      if (deadlock) deadlocks.push(deadlock);
    }
    const target = targetFrom(feature, settled, pushes);
    return [decision ? decide(target, settled, decision) : target];
  };
  const pair = FEATURE_IDS.filter((feature) => !isPerFoot(feature));
  const foot = FEATURE_IDS.filter(isPerFoot);
  const targets = pair.flatMap((feature) => targetOf(feature));
  const [left, right] = SIDES.map((side) => foot.flatMap((feature) => targetOf(feature, side)));
  const heights = deadlockOfHeights(gathered.pushes);
  return {
    knowledge: edition,
    school,
    targets,
    feet: { left: left!, right: right! },
    deadlocks: heights ? [...deadlocks, heights] : deadlocks,
    open: gathered.open,
    cautions: gathered.cautions,
  };
}

/** A target with everything that explains it. */
function targetFrom(feature: FeatureId, settled: Settled, pushes: Push[]): Target {
  noteWithouts(settled, pushes);
  const target = targetAtRest(feature, settled, pushes);
  return target.tension < 0.02 ? target : { ...target, alternatives: alternativesOf(settled) };
}

/** Where a target comes to rest, without what explains it: enough to compare two. */
export function targetAtRest(feature: FeatureId, settled: Settled, pushes: Push[]): Target {
  const { values, inside, total, bestAt, weight, limits, contradicting } = settled;
  const base = {
    feature,
    firmness: settled.firmness,
    tension: tensionOf(settled),
    utility: weight === 0 ? 1 : total[bestAt]! / weight,
    pushes,
    alternatives: [],
  };
  if (featureOf(feature).kind === 'choice') {
    const all = values.list.map(String);
    return {
      ...base,
      kind: 'options',
      best: String(settled.best),
      options: all.filter((_, at) => isAcceptable(settled, at)),
      excluded: contradicting ? [] : all.filter((_, at) => inside[at] === 0),
    };
  }
  const numbers = values.list as readonly number[];
  const limit: Band | null =
    limits.length === 0 || contradicting
      ? null
      : { from: numbers[inside.indexOf(1)]!, to: numbers[inside.lastIndexOf(1)]! };
  return { ...base, kind: 'band', best: Number(settled.best), band: bandOf(settled), limit };
}
