import type { Condition } from '../knowledge/rule';
import { type ClinicalPicture, findingAt, NOT_EXAMINED } from '../picture/clinical-picture';
import { deriveFindings } from '../picture/derive';
import { secondsToTake } from '../picture/examination-seconds';
import { EXAMINED_BY } from '../picture/examined-by';
import { type FindingStep, SIDES, type Side } from '../picture/finding-kinds';
import { definitionOf, type FindingId } from '../picture/findings';
import { type Plausible, plausibleValues, priorOf } from '../picture/priors';
import type { FeatureId } from '../shoe/features';
import type { Choosing } from './choosing';
import { gather } from './gather';
import { indexOf } from './rule-index';
import { Variation } from './variation';

/** A finding that nobody has taken, and how much knowing it could change. */
export interface NextQuestion {
  finding: FindingId;
  sides: Side[];
  /** The step in which it is taken. */
  step: FindingStep | null;
  /**
   * Expected change of the specification over what the finding could be: 1 is one firm target moved by its whole
   * reach, or one limit that comes or goes.
   */
  expected: number;
  /** Chance, by the prior, that anything moves at all. */
  chance: number;
  /** Features that could move, the most first. */
  features: FeatureId[];
  seconds: number;
  /** Where the prior comes from. */
  prior: string;
}

/** Findings whose answer on one foot is the opposite on the other. */
const OPPOSITE: ReadonlySet<FindingId> = new Set(['shorterLeg']);

/** Numbers at which some rule changes its mind about a finding. */
function edgesIn(condition: Condition, id: FindingId): number[] {
  if ('all' in condition) return condition.all.flatMap((part) => edgesIn(part, id));
  if ('any' in condition) return condition.any.flatMap((part) => edgesIn(part, id));
  if ('not' in condition) return edgesIn(condition.not, id);
  if (condition.finding !== id || 'is' in condition || 'has' in condition) return [];
  return [condition.atLeast, condition.above, condition.atMost, condition.below].filter(
    (edge) => edge !== undefined,
  );
}

/** Open questions with derived findings replaced by what is examined for them. */
function questions(picture: ClinicalPicture, options: Choosing): Map<FindingId, Side[]> {
  const { rules } = options.knowledge;
  const open = gather(deriveFindings(picture), rules, options.school ?? 'balanced', []).open;
  const found = new Map<FindingId, Set<Side>>();
  for (const { finding, sides } of open) {
    // A category that follows from two tests is asked for by those tests.
    const instead = finding === 'atRiskCategory' ? EXAMINED_BY[finding]! : [finding];
    for (const id of instead)
      for (const side of sides)
        if (findingAt(picture, id, side) === NOT_EXAMINED)
          found.set(id, (found.get(id) ?? new Set<Side>()).add(side));
  }
  return new Map([...found].map(([id, sides]) => [id, SIDES.filter((side) => sides.has(side))]));
}

/** What the picture is told: the value on the body, or on each side where it is missing. */
function told(id: FindingId, sides: readonly Side[], value: Plausible['value']) {
  if (definitionOf(id).scope === 'body') return { body: { [id]: value } };
  const of = (side: Side) => {
    if (OPPOSITE.has(id) && side === 'right') return value === 'yes' ? 'no' : 'yes';
    return value;
  };
  return Object.fromEntries(sides.map((side) => [side, { [id]: of(side) }]));
}

/**
 * Ranks what nobody has examined by how much knowing it could change the specification: the change of every target
 * over the finding's plausible values, weighted by their priors.
 */
export function askNext(picture: ClinicalPicture, options: Choosing): NextQuestion[] {
  const variation = new Variation(picture, options);
  const index = indexOf(options.knowledge.rules);
  const asked = [...questions(picture, options)].map(([finding, sides]): NextQuestion => {
    const edges = (index.byFinding.get(finding) ?? []).flatMap((rule) => edgesIn(rule.when, finding));
    const byFeature = new Map<FeatureId, number>();
    let expected = 0;
    let chance = 0;
    for (const { value, share } of plausibleValues(finding, picture, edges)) {
      const shifts = EXAMINED_BY[finding]
        ? variation.shiftsWith(told(finding, sides, value))
        : variation.shifts(withTold(picture, told(finding, sides, value)));
      if (shifts.length > 0) chance += share;
      for (const { feature, moves } of shifts) {
        expected += share * moves;
        byFeature.set(feature, (byFeature.get(feature) ?? 0) + share * moves);
      }
    }
    const step = definitionOf(finding).step ?? definitionOf(EXAMINED_BY[finding]?.[0] ?? finding).step;
    return {
      finding,
      sides,
      step,
      expected,
      chance,
      features: [...byFeature].sort((a, b) => b[1] - a[1]).map(([feature]) => feature),
      seconds: secondsToTake(finding),
      prior: priorOf(finding, picture).from,
    };
  });
  return asked
    .filter((question) => question.expected > 1e-6)
    .sort((a, b) => b.expected - a.expected || (a.finding < b.finding ? -1 : 1));
}

function withTold(picture: ClinicalPicture, values: Partial<Record<'body' | Side, Record<string, unknown>>>) {
  return {
    ...picture,
    body: { ...picture.body, ...values.body },
    left: { ...picture.left, ...values.left },
    right: { ...picture.right, ...values.right },
  };
}
