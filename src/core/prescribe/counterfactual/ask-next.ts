import { deriveFindings } from '../../examination/derive';
import { type FindingStep, SIDES, type Side } from '../../findings/finding-kinds';
import { definitionOf, examinedFor, type FindingId } from '../../findings/findings';
import { type ClinicalPicture, type EnteredPicture, findingAt, NOT_EXAMINED } from '../../findings/picture';
import { type Plausible, plausibleValues, priorOf } from '../../findings/priors';
import { FOLLOW_UPS } from '../../knowledge/follow-ups';
import type { Condition } from '../../knowledge/rule';
import type { FeatureId } from '../../shoe/features';
import { evaluate } from '../engine/evaluate';
import { gather } from '../engine/gather';
import type { ReasoningOptions } from '../engine/reasoning-options';
import { indexOf } from '../engine/rule-index';
import { type PlacedValues, Variation } from './variation';

/** A finding that nobody has taken, and how much knowing it could change. */
export interface NextQuestion {
  finding: FindingId;
  sides: Side[];
  /** A rule speaks already and lacks only this amount: it comes before everything else. */
  lacksAmount: boolean;
  /** What was found that makes one look here next, whatever a shoe would make of it; null where nothing does. */
  because: string | null;
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

/** Categories that follow from other findings and mean nothing to ask for by themselves. */
const ASKED_THROUGH: ReadonlySet<FindingId> = new Set([
  'atRiskCategory',
  'ground',
  'correctionAsked',
  'therapeuticAsked',
  'sidewaysShare',
  'jumpShare',
  'pivotShare',
  'toeDrag',
]);

/** Open questions with derived findings replaced by what is examined for them. */
function questions(
  entered: EnteredPicture,
  options: ReasoningOptions,
): Map<FindingId, { sides: Side[]; lacksAmount: boolean }> {
  const { rules } = options.knowledge;
  const picture = deriveFindings(entered);
  const open = gather(picture, rules, options.school ?? 'balanced', []).open;
  const found = new Map<FindingId, { sides: Set<Side>; lacksAmount: boolean }>();
  for (const { finding, sides, lacksAmount } of open) {
    // What is never taken itself is asked for by what it follows from.
    const instead = ASKED_THROUGH.has(finding) ? examinedFor(finding) : [finding];
    for (const id of instead) {
      // What only follows from pairs that somebody names cannot be asked for.
      const { step, askedIn } = definitionOf(id);
      if (step === null && askedIn === undefined && examinedFor(id).length === 0) continue;
      for (const side of sides)
        if (findingAt(entered, id, side) === NOT_EXAMINED) {
          const entry = found.get(id) ?? { sides: new Set<Side>(), lacksAmount: false };
          entry.sides.add(side);
          entry.lacksAmount ||= lacksAmount;
          found.set(id, entry);
        }
    }
  }
  return new Map(
    [...found].map(([id, { sides, lacksAmount }]) => [
      id,
      { sides: SIDES.filter((side) => sides.has(side)), lacksAmount },
    ]),
  );
}

/** An answer at its place: the value on the body, or on each side where it is missing. */
function answered(id: FindingId, sides: readonly Side[], value: Plausible['value']): PlacedValues {
  if (definitionOf(id).scope === 'body') return { body: { [id]: value } };
  const of = (side: Side) => {
    if (definitionOf(id).oppositeOnOtherFoot && side === 'right') return value === 'yes' ? 'no' : 'yes';
    return value;
  };
  return Object.fromEntries(sides.map((side) => [side, { [id]: of(side) }]));
}

/** What a speaking rule lacks, then what was found makes one look at, then the rest. */
const urgency = ({ lacksAmount, because }: NextQuestion): number =>
  lacksAmount ? 0 : because === null ? 2 : 1;

/** What findings make one look at next, on which sides, and why. */
function followUps(derived: ClinicalPicture, entered: EnteredPicture) {
  const found = new Map<FindingId, { sides: Side[]; because: string }>();
  for (const { when, look, because } of FOLLOW_UPS) {
    const on = SIDES.filter((side) => evaluate(when, derived, side) === 'yes');
    for (const id of look) {
      const sides = on.filter((side) => findingAt(entered, id, side) === NOT_EXAMINED);
      if (sides.length > 0 && !found.has(id)) found.set(id, { sides, because });
    }
  }
  return found;
}

/**
 * What a speaking rule lacks first, then what was found makes one look at, then what nobody has examined by how much knowing it
 * could change the specification: the change of every target
 * over the finding's plausible values, weighted by their priors.
 */
export function askNext(picture: EnteredPicture, options: ReasoningOptions): NextQuestion[] {
  const variation = new Variation(picture, options);
  const derived = variation.base;
  const index = indexOf(options.knowledge.rules);
  const led = followUps(derived, picture);
  const open = questions(picture, options);
  for (const [id, { sides }] of led) if (!open.has(id)) open.set(id, { sides, lacksAmount: false });
  const ranked = [...open].map(([finding, { sides, lacksAmount }]): NextQuestion => {
    const edges = (index.byFinding.get(finding) ?? []).flatMap((rule) => edgesIn(rule.when, finding));
    const byFeature = new Map<FeatureId, number>();
    let expected = 0;
    let chance = 0;
    for (const { value, share } of plausibleValues(finding, derived, edges)) {
      const shifts = variation.shiftsIf(finding, answered(finding, sides, value));
      if (shifts.length > 0) chance += share;
      for (const { feature, moves } of shifts) {
        expected += share * moves;
        byFeature.set(feature, (byFeature.get(feature) ?? 0) + share * moves);
      }
    }
    const { step: own, askedIn } = definitionOf(finding);
    const step = own ?? askedIn ?? definitionOf(examinedFor(finding)[0] ?? finding).step;
    return {
      finding,
      sides,
      lacksAmount,
      because: led.get(finding)?.because ?? null,
      step,
      expected,
      chance,
      features: [...byFeature].sort((a, b) => b[1] - a[1]).map(([feature]) => feature),
      seconds: definitionOf(finding).seconds,
      prior: priorOf(finding, derived).from,
    };
  });
  return ranked
    .filter((question) => question.lacksAmount || question.because !== null || question.expected > 1e-6)
    .sort((a, b) => urgency(a) - urgency(b) || b.expected - a.expected || (a.finding < b.finding ? -1 : 1));
}
