import { KNOWLEDGE_VERSION, RULES } from '../knowledge/knowledge-base';
import type { Rule } from '../knowledge/rule';
import type { SchoolChoice } from '../knowledge/schools';
import type { ClinicalPicture } from '../picture/clinical-picture';
import { deriveFindings } from '../picture/derive';
import type { FeatureDefinition } from '../shoe/feature-kinds';
import { FEATURE_IDS, type FeatureId, featureOf } from '../shoe/features';
import { gather } from './gather';
import { allowedBy, smallestContradiction } from './limits';
import type { Band, Deadlock, Push, SetAside, Specification, Target } from './specification';
import { utilityAt, valuesOf } from './utility';

/** Utility may fall by this share of the weight before a value leaves the band. */
const BAND_TOLERANCE = 0.03;
/** Weight at which a target counts as fully firm: two strong rules. */
const FIRM_WEIGHT = 8;

export interface ResolveOptions {
  school?: SchoolChoice;
  setAside?: readonly SetAside[];
  rules?: readonly Rule[];
}

/**
 * Resolves a clinical picture into a specification: limits intersect, preferences of weighted strength add up
 * to a utility over each feature, and the band around its best value is the target. Pure: the same picture,
 * rules and choices give the same bytes.
 */
export function resolve(picture: ClinicalPicture, options: ResolveOptions = {}): Specification {
  const school = options.school ?? 'balanced';
  const gathered = gather(deriveFindings(picture), options.rules ?? RULES, school, options.setAside ?? []);
  const targets: Target[] = [];
  const deadlocks: Deadlock[] = [];
  for (const feature of FEATURE_IDS) {
    const pushes = gathered.pushes.get(feature);
    if (!pushes) continue;
    const { target, deadlock } = resolveTarget(feature, pushes);
    targets.push(target);
    if (deadlock) deadlocks.push(deadlock);
  }
  return {
    knowledge: KNOWLEDGE_VERSION,
    school,
    targets,
    deadlocks,
    open: gathered.open,
    cautions: gathered.cautions,
  };
}

function resolveTarget(feature: FeatureId, pushes: Push[]): { target: Target; deadlock: Deadlock | null } {
  const definition = featureOf(feature);
  const values = valuesOf(definition);
  const active = pushes.filter((push) => push.setAside === undefined);
  const limits = active.filter((push) => push.strength === 'limit');
  const pulls = active.filter((push) => push.strength !== 'limit');
  const contradiction = smallestContradiction(limits, values);
  const allowed = contradiction.length > 0 ? values : allowedBy(limits, values);

  const weight = pulls.reduce((sum, push) => sum + push.weight, 0);
  const columns = pulls.map((push) => values.map((value) => push.weight * utilityAt(push.want, value)));
  const total = values.map((_, at) => columns.reduce((sum, column) => sum + column[at]!, 0));
  const inside = new Set(allowed);
  const best = bestOf(definition, values, total, inside);
  const bestTotal = total[values.indexOf(best)]!;

  for (const push of pushes) push.without = best;
  pulls.forEach((push, index) => {
    const rest = total.map((sum, at) => sum - columns[index]![at]!);
    push.without = bestOf(definition, values, rest, inside);
  });
  for (const push of limits) {
    const others = limits.filter((other) => other !== push);
    const wider = allowedBy(others, values);
    push.without = bestOf(definition, values, total, new Set(wider.length > 0 ? wider : values));
  }

  const base = {
    feature,
    firmness: limits.length > 0 ? 1 : Math.min(1, weight / FIRM_WEIGHT),
    tension: tensionAt(best, pulls, weight),
    utility: weight === 0 ? 1 : bestTotal / weight,
    pushes,
  };
  const acceptable = (at: number) =>
    inside.has(values[at]!) && total[at]! >= bestTotal - BAND_TOLERANCE * weight - 1e-9;
  const deadlock =
    contradiction.length === 0
      ? null
      : {
          feature,
          rules: contradiction.map((push) => push.rule),
          message: `${definition.label}: ${contradiction.map((push) => push.finding).join(' and ')} cannot both hold. Set one aside with a reason.`,
        };
  if (definition.kind === 'choice') {
    const options = values.map(String).filter((_, at) => acceptable(at));
    const excluded = values.map(String).filter((value) => !inside.has(value));
    return { target: { ...base, kind: 'options', best: String(best), options, excluded }, deadlock };
  }
  const numbers = values as number[];
  const band = bandAround(numbers.indexOf(Number(best)), numbers, acceptable);
  const limit: Band | null =
    limits.length === 0 || contradiction.length > 0
      ? null
      : { from: Number(allowed[0]), to: Number(allowed[allowed.length - 1]) };
  return { target: { ...base, kind: 'band', best: Number(best), band, limit }, deadlock };
}

/** Weighted mean of how far each push sits from what it wants, in shares of its reach. */
function tensionAt(best: number | string, pulls: readonly Push[], weight: number): number {
  if (weight === 0) return 0;
  const given = pulls.reduce((sum, push) => sum + push.weight * Math.sqrt(1 - utilityAt(push.want, best)), 0);
  return given / weight;
}

/** The value of highest utility; on a plateau the one nearest to a usual shoe, so that nothing moves without a reason. */
function bestOf(
  definition: FeatureDefinition,
  values: readonly (number | string)[],
  total: readonly number[],
  inside: ReadonlySet<number | string>,
): number | string {
  let best = values[0]!;
  let highest = Number.NEGATIVE_INFINITY;
  let nearest = Number.POSITIVE_INFINITY;
  values.forEach((value, at) => {
    if (!inside.has(value)) return;
    const away =
      definition.kind === 'choice'
        ? Number(value !== definition.usual)
        : Math.abs(Number(value) - definition.usual);
    const sum = total[at]!;
    if (sum > highest + 1e-9 || (sum > highest - 1e-9 && away < nearest)) {
      best = value;
      highest = Math.max(sum, highest);
      nearest = away;
    }
  });
  return best;
}

function bandAround(at: number, values: readonly number[], acceptable: (at: number) => boolean): Band {
  let low = at;
  let high = at;
  while (low > 0 && acceptable(low - 1)) low -= 1;
  while (high < values.length - 1 && acceptable(high + 1)) high += 1;
  return { from: values[low]!, to: values[high]! };
}
