import { clinicalPicture } from '../../examination/clinical-picture';
import type { Side } from '../../findings/finding-kinds';
import type { ClinicalPicture, Findings } from '../../findings/picture';
import type { Knowledge } from '../../knowledge/edition';
import type { Rule } from '../../knowledge/rule';
import { type SchoolChoice, shareOf } from '../../knowledge/schools';
import type { FeatureId } from '../../shoe/features';
import { append, askRule, awaitedOf, pushesOf } from '../engine/gather';
import { deadlockOfHeights } from '../engine/limits';
import { decisionAt } from '../engine/resolve';
import { placeKey, placesOfFeature, resolveFeature, TARGET_PLACES } from '../engine/resolve-feature';
import { indexOf } from '../engine/rule-index';
import type { Awaited, Decision, Push, SetAside } from '../engine/specification';
import { awaitedInWords, targetInWords } from '../explain/in-words';

/** A stored picture with the choices it was resolved under. */
export interface StoredPicture {
  findings: Findings;
  school?: SchoolChoice;
  setAside?: readonly SetAside[];
  decisions?: readonly Decision[];
}

/** One target that would read otherwise. */
export interface ChangedTarget {
  feature: FeatureId;
  side?: Side;
  /** Empty: nothing asks for it. */
  before: string;
  after: string;
}

export interface PictureChange {
  targets: ChangedTarget[];
  /** Deadlocks that the new rules would bring. */
  deadlocks: string[];
}

const textsOf = (rules: readonly Rule[]): Map<string, string> =>
  new Map(rules.map((rule) => [rule.id, JSON.stringify(rule)]));

/** Rules that one body has and the other has not, or has otherwise. */
export function changedRules(
  before: readonly Rule[],
  after: readonly Rule[],
): { before: Rule[]; after: Rule[] } {
  const [old, now] = [textsOf(before), textsOf(after)];
  const changed = (rule: Rule) => old.get(rule.id) !== now.get(rule.id);
  return { before: before.filter(changed), after: after.filter(changed) };
}

const HEIGHTS: readonly FeatureId[] = ['drop', 'heelStack', 'forefootStack'];

/** What rules push on some features, and the amounts that they lack there. */
interface Speaking {
  pushes: Map<FeatureId, Push[]>;
  awaits: Map<FeatureId, Awaited[]>;
}

/** What rules say of some features, for one picture. */
function speakingOn(
  features: ReadonlySet<FeatureId>,
  { rules }: Knowledge,
  picture: ClinicalPicture,
  { school = 'balanced', setAside = [] }: StoredPicture,
): Speaking {
  const { byFeature } = indexOf(rules);
  const speaking = new Set<Rule>();
  for (const feature of features) for (const rule of byFeature.get(feature) ?? []) speaking.add(rule);
  const pushes: Speaking['pushes'] = new Map();
  const awaits: Speaking['awaits'] = new Map();
  for (const rule of [...speaking].sort((a, b) => (a.id < b.id ? -1 : 1))) {
    const share = shareOf(rule, school);
    if (share === 0) continue;
    const { yes, degree } = askRule(rule, picture);
    if (yes.length === 0) continue;
    for (const [feature, push] of pushesOf(rule, yes, { share, degree }, picture, setAside))
      if (features.has(feature)) append(pushes, feature, push);
    for (const [feature, awaited] of awaitedOf(rule, yes, picture, setAside))
      if (features.has(feature)) append(awaits, feature, awaited);
  }
  return { pushes, awaits };
}

/** How each target reads, and what cannot hold together, on some features. */
function reading(
  features: ReadonlySet<FeatureId>,
  { pushes, awaits }: Speaking,
  decisions: readonly Decision[],
): { words: Map<string, string>; deadlocks: string[] } {
  const words = new Map<string, string>();
  const deadlocks: string[] = [];
  for (const place of [...features].flatMap(placesOfFeature)) {
    const resolved = resolveFeature(place, pushes.get(place.feature) ?? [], {
      decision: decisionAt(decisions, place),
      awaits: awaits.get(place.feature),
      explained: false,
    });
    if (!resolved) continue;
    if (resolved.deadlock) deadlocks.push(resolved.deadlock.message);
    const { target } = resolved;
    words.set(placeKey(place), [targetInWords(target), awaitedInWords(target)].filter(Boolean).join('; '));
  }
  const heights = deadlockOfHeights(pushes);
  return { words, deadlocks: heights ? [...deadlocks, heights.message] : deadlocks };
}

/**
 * A function that tells what changes for one stored picture when one body of rules gives way to another. Changed
 * rules are speaking first: only features that one of them pushes here are settled, under both bodies.
 */
export function previewOf(
  before: Knowledge,
  after: Knowledge,
): (stored: StoredPicture) => PictureChange | null {
  const changed = changedRules(before.rules, after.rules);
  return (stored) => {
    const picture = clinicalPicture(stored.findings);
    const school = stored.school ?? 'balanced';
    const features = new Set<FeatureId>();
    for (const rule of [...changed.before, ...changed.after])
      if (shareOf(rule, school) > 0 && askRule(rule, picture).yes.length > 0)
        for (const wish of rule.wishes) features.add(wish.feature);
    if (features.size === 0) return null;
    // Limits on one height can contradict those on another.
    if (HEIGHTS.some((feature) => features.has(feature)))
      for (const feature of HEIGHTS) features.add(feature);
    const [was, is] = [before, after].map((knowledge) =>
      reading(features, speakingOn(features, knowledge, picture, stored), stored.decisions ?? []),
    );
    const targets = TARGET_PLACES.filter(({ feature }) => features.has(feature)).flatMap(
      (place): ChangedTarget[] => {
        const [before, after] = [was!, is!].map(({ words }) => words.get(placeKey(place)) ?? '');
        return before === after ? [] : [{ ...place, before: before!, after: after! }];
      },
    );
    const known = new Set(was!.deadlocks);
    const deadlocks = is!.deadlocks.filter((message) => !known.has(message));
    return targets.length === 0 && deadlocks.length === 0 ? null : { targets, deadlocks };
  };
}
