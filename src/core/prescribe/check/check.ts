import { definitionOf, isFindingId } from '../../findings/findings';
import type { Condition, Rule, Wish } from '../../knowledge/rule';
import { alternativesOfCondition, isSatisfiable, shareATrigger } from '../../knowledge/satisfiable';
import { SCHOOL_CHOICES, shareOf } from '../../knowledge/schools';
import type { Problem } from '../../result/result';
import { axisOf } from '../../shoe/feature-kinds';
import { type FeatureId, featureOf, isFeatureId } from '../../shoe/features';
import { isPublished, isSourceId, SOURCES } from '../../sources/sources';
import { keysOf } from '../../tables/keys-of';
import type { Want } from '../engine/specification';
import { utilityAt, valuesOf } from '../engine/utility';

const problem = (code: string, rule: string, message: string): Problem => ({ code, path: [rule], message });

/** Below this recall a value may only be a clinic's setting, never a named source's claim. */
const LEAST_RECALL = 60;

function conditionProblems(rule: Rule, condition: Condition): Problem[] {
  const problems: Problem[] = [];
  for (const { leaf } of alternativesOfCondition(condition).flat()) {
    if (!isFindingId(leaf.finding)) {
      problems.push(problem('unknown-finding', rule.id, `There is no finding “${leaf.finding}”.`));
      continue;
    }
    const definition = definitionOf(leaf.finding);
    const kind = 'is' in leaf ? 'choice' : 'has' in leaf ? 'set' : 'number';
    if (definition.kind !== kind) {
      problems.push(problem('wrong-question', rule.id, `${definition.label} cannot be asked in this way.`));
      continue;
    }
    const named = 'is' in leaf ? leaf.is : 'has' in leaf ? leaf.has : [];
    const options = 'options' in definition ? Object.keys(definition.options) : [];
    for (const option of [named].flat())
      if (!options.includes(option))
        problems.push(problem('unknown-option', rule.id, `${definition.label} has no “${option}”.`));
  }
  return problems;
}

function wishProblems(rule: Rule, wish: Wish): Problem[] {
  if (!isFeatureId(wish.feature))
    return [problem('unknown-feature', rule.id, `There is no feature “${String(wish.feature)}”.`)];
  const feature = featureOf(wish.feature);
  const choice = 'prefer' in wish || 'avoid' in wish || 'worth' in wish;
  if (choice !== (feature.kind === 'choice'))
    return [problem('wrong-wish', rule.id, `${feature.label} cannot be wished for in this way.`)];
  if (feature.kind === 'choice') {
    const named =
      'prefer' in wish
        ? wish.prefer
        : 'avoid' in wish
          ? wish.avoid
          : 'worth' in wish
            ? Object.keys(wish.worth)
            : [];
    return named
      .filter((option) => !(option in feature.options))
      .map((option) => problem('unknown-option', rule.id, `${feature.label} has no “${option}”.`));
  }
  const { from, to } = axisOf(feature);
  const edges =
    'curve' in wish
      ? wish.curve.map(([value]) => value)
      : 'atLeast' in wish || 'atMost' in wish
        ? [wish.atLeast, wish.atMost].filter((edge) => typeof edge === 'number')
        : [];
  return edges
    .filter((edge) => edge < from || edge > to)
    .map((edge) =>
      problem('out-of-bounds', rule.id, `${feature.label} ${edge} lies outside ${from} to ${to}.`),
    );
}

function sourceProblems(rule: Rule): Problem[] {
  if (rule.sources.length === 0)
    return [problem('no-source', rule.id, 'It cites no source and is not marked as common practice.')];
  const unknown = rule.sources.filter((id) => !isSourceId(id));
  if (unknown.length > 0) return [problem('unknown-source', rule.id, `There is no source “${unknown[0]}”.`)];
  const published = rule.sources.filter(isPublished);
  if (published.length === 0 && rule.evidence !== 'C')
    return [problem('grade-without-source', rule.id, 'Grade A or B needs a published source.')];
  return published
    .filter((id) => isSourceId(id) && SOURCES[id].recall < LEAST_RECALL)
    .map((id) => problem('recall-too-low', rule.id, `${id} is recalled too vaguely to be cited.`));
}

/** What is wrong with one rule by itself. */
export function ruleProblems(rule: Rule): Problem[] {
  const condition = conditionProblems(rule, rule.when);
  const problems = [
    ...condition,
    ...rule.wishes.flatMap((wish) => wishProblems(rule, wish)),
    ...sourceProblems(rule),
  ];
  if (rule.wishes.length === 0) problems.push(problem('no-wish', rule.id, 'It wants nothing.'));
  if (rule.because.trim().length < 20)
    problems.push(problem('no-reason', rule.id, 'Say why in one sentence of at least 20 letters.'));
  if (condition.length === 0 && !isSatisfiable(rule.when))
    problems.push(problem('never-fires', rule.id, 'No patient can meet its condition.'));
  const limits = rule.strength === 'limit' || rule.wishes.some((wish) => wish.strength === 'limit');
  if (limits && rule.schools.length > 0)
    problems.push(problem('limit-of-a-school', rule.id, 'A limit holds in every school.'));
  return problems;
}

const asWant = (wish: Wish): Want | null => {
  if ('prefer' in wish || 'avoid' in wish || 'worth' in wish || 'curve' in wish) return wish;
  const feature = featureOf(wish.feature);
  if (feature.kind === 'choice' || typeof wish.atLeast === 'object' || typeof wish.atMost === 'object')
    return null;
  const axis = axisOf(feature);
  return {
    band: { from: wish.atLeast ?? axis.from, to: wish.atMost ?? axis.to },
    reach: wish.reach ?? feature.reach,
  };
};

/** A value that gives a wish at least this much counts as good for it. */
const GOOD = 0.9;

const cannotBothBeMet = (a: Wish, b: Wish): boolean => {
  if (a.feature !== b.feature) return false;
  const [one, two] = [asWant(a), asWant(b)];
  if (!one || !two) return false;
  return !valuesOf(featureOf(a.feature)).list.some(
    (value) => utilityAt(one, value) >= GOOD && utilityAt(two, value) >= GOOD,
  );
};

const canApplyTogether = (a: Rule, b: Rule): boolean =>
  keysOf(SCHOOL_CHOICES).some((choice) => shareOf(a, choice) > 0 && shareOf(b, choice) > 0);

/** The feature of which two rules ask opposite things for the same finding, null where they do not. */
export function contradictionOf(a: Rule, b: Rule): FeatureId | null {
  if (!canApplyTogether(a, b)) return null;
  const clash = a.wishes.find((wish) => b.wishes.some((other) => cannotBothBeMet(wish, other)));
  return clash && shareATrigger(a.when, b.when) ? clash.feature : null;
}

export const contradictionInWords = (a: Rule, b: Rule, feature: FeatureId): string =>
  `${a.id} and ${b.id} ask opposite things of ${featureOf(feature).label.toLowerCase()}: mark both as contested.`;

/** Pairs of rules that ask opposite things of one feature for the same finding, and do not say so of each other. */
export function unmarkedContradictions(rules: readonly Rule[]): Problem[] {
  return rules.flatMap((a, at) =>
    rules.slice(at + 1).flatMap((b) => {
      if (a.contestedBy?.includes(b.id) && b.contestedBy?.includes(a.id)) return [];
      const feature = contradictionOf(a, b);
      return feature ? [problem('unmarked-contradiction', a.id, contradictionInWords(a, b, feature))] : [];
    }),
  );
}

/** Everything wrong with a body of rules; empty when it can be relied on. */
export function knowledgeProblems(rules: readonly Rule[]): Problem[] {
  const problems = rules.flatMap(ruleProblems);
  const byId = new Map(rules.map((rule) => [rule.id, rule]));
  const ids = new Set<string>();
  for (const { id } of rules) {
    if (ids.has(id)) problems.push(problem('twice', id, 'Two rules carry this name.'));
    ids.add(id);
  }
  for (const rule of rules)
    for (const other of rule.contestedBy ?? [])
      if (!byId.get(other)?.contestedBy?.includes(rule.id))
        problems.push(
          byId.has(other)
            ? problem('one-sided-contest', rule.id, `“${other}” does not say that this contests it.`)
            : problem('unknown-rule', rule.id, `It is contested by “${other}”, which does not exist.`),
        );
  return problems.length > 0 ? problems : unmarkedContradictions(rules);
}
