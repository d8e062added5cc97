import type { Rule } from '../knowledge/rule';
import type { SchoolChoice } from '../knowledge/schools';
import { clinicalPicture, type Findings } from '../picture/clinical-picture';
import { deriveFindings } from '../picture/derive';
import { SIDES, type Side } from '../picture/finding-kinds';
import { FEATURE_IDS, type FeatureId } from '../shoe/features';
import { targetInWords } from './explain';
import { type Knowledge, resolve } from './resolve';
import type { Decision, SetAside, Specification } from './specification';

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

/** Features on which two bodies of rules could disagree: those that a changed rule wishes for. */
export function featuresInQuestion(before: readonly Rule[], after: readonly Rule[]): ReadonlySet<FeatureId> {
  const texts = (rules: readonly Rule[]) => new Map(rules.map((rule) => [rule.id, JSON.stringify(rule)]));
  const [old, now] = [texts(before), texts(after)];
  const changed = [
    ...before.filter((rule) => now.get(rule.id) !== old.get(rule.id)),
    ...after.filter((rule) => now.get(rule.id) !== old.get(rule.id)),
  ];
  return new Set(changed.flatMap((rule) => rule.wishes.map((wish) => wish.feature)));
}

const HEIGHTS: readonly FeatureId[] = ['drop', 'heelStack', 'forefootStack'];

/** Only what is said of these features. */
function restricted({ edition, rules }: Knowledge, features: ReadonlySet<FeatureId>): Knowledge {
  return {
    edition,
    rules: rules.flatMap((rule) => {
      const wishes = rule.wishes.filter((wish) => features.has(wish.feature));
      return wishes.length === 0 ? [] : [{ ...rule, wishes }];
    }),
  };
}

const wordsOf = (specification: Specification): Map<string, string> =>
  new Map([
    ...specification.targets.map((target) => [target.feature, targetInWords(target)] as const),
    ...SIDES.flatMap((side) =>
      specification.feet[side].map((target) => [`${target.feature} ${side}`, targetInWords(target)] as const),
    ),
  ]);

/**
 * A function that tells what changes for one stored picture when one body of rules gives way to another. Only the
 * features in question are resolved, so that thousands of pictures are done in seconds.
 */
export function previewOf(
  before: Knowledge,
  after: Knowledge,
): (stored: StoredPicture) => PictureChange | null {
  const features = new Set(featuresInQuestion(before.rules, after.rules));
  // Limits on one height can contradict those on another.
  if (HEIGHTS.some((feature) => features.has(feature))) for (const feature of HEIGHTS) features.add(feature);
  const old = restricted(before, features);
  const now = restricted(after, features);
  const ordered = FEATURE_IDS.filter((feature) => features.has(feature));
  return ({ findings, school, setAside = [], decisions = [] }) => {
    const picture = deriveFindings(clinicalPicture(findings));
    const options = {
      ...(school ? { school } : {}),
      setAside,
      decisions: decisions.filter((entry) => features.has(entry.feature)),
    };
    const [one, two] = [old, now].map((knowledge) => resolve(picture, { ...options, knowledge }));
    const [was, is] = [wordsOf(one!), wordsOf(two!)];
    const targets = ordered.flatMap((feature): ChangedTarget[] =>
      [undefined, ...SIDES].flatMap((side) => {
        const key = side ? `${feature} ${side}` : feature;
        const [said, says] = [was.get(key) ?? '', is.get(key) ?? ''];
        return said === says ? [] : [{ feature, ...(side ? { side } : {}), before: said, after: says }];
      }),
    );
    const known = new Set(one!.deadlocks.map((deadlock) => deadlock.message));
    const deadlocks = two!.deadlocks
      .map((deadlock) => deadlock.message)
      .filter((message) => !known.has(message));
    return targets.length === 0 && deadlocks.length === 0 ? null : { targets, deadlocks };
  };
}
