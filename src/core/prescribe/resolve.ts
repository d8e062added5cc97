import { KNOWLEDGE_VERSION, RULES } from '../knowledge/knowledge-base';
import type { Rule } from '../knowledge/rule';
import type { SchoolChoice } from '../knowledge/schools';
import type { ClinicalPicture } from '../picture/clinical-picture';
import { deriveFindings } from '../picture/derive';
import { FEATURE_IDS, type FeatureId, featureOf } from '../shoe/features';
import { gather } from './gather';
import { smallestContradiction } from './limits';
import type { Band, Deadlock, Push, SetAside, Specification, Target } from './specification';
import { utilityAt, type Values, valuesOf } from './utility';

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
  const { list } = values;
  const active = pushes.filter((push) => push.setAside === undefined);
  const limits = active.filter((push) => push.strength === 'limit');
  const pulls = active.filter((push) => push.strength !== 'limit');
  const allowed = insideOf(limits, list);
  const contradiction = allowed.includes(1) ? [] : smallestContradiction(limits, list);
  const inside = contradiction.length > 0 ? insideOf([], list) : allowed;

  const weight = pulls.reduce((sum, push) => sum + push.weight, 0);
  const columns = pulls.map((push) => column(push, list));
  const total = new Float64Array(list.length);
  for (const column of columns) for (let at = 0; at < total.length; at += 1) total[at]! += column[at]!;
  const bestAt = bestOf(values, total, inside);
  const best = list[bestAt]!;
  const bestTotal = total[bestAt]!;

  for (const push of pushes) push.without = best;
  const rest = new Float64Array(list.length);
  pulls.forEach((push, index) => {
    const own = columns[index]!;
    for (let at = 0; at < rest.length; at += 1) rest[at] = total[at]! - own[at]!;
    push.without = list[bestOf(values, rest, inside)]!;
  });
  for (const push of limits) {
    const others = limits.filter((other) => other !== push);
    const wider = insideOf(others, list);
    push.without = list[bestOf(values, total, wider.includes(1) ? wider : insideOf([], list))]!;
  }

  const base = {
    feature,
    firmness: limits.length > 0 ? 1 : Math.min(1, weight / FIRM_WEIGHT),
    tension: tensionAt(best, pulls, weight),
    utility: weight === 0 ? 1 : bestTotal / weight,
    pushes,
  };
  const acceptable = (at: number) =>
    inside[at] === 1 && total[at]! >= bestTotal - BAND_TOLERANCE * weight - 1e-9;
  const deadlock =
    contradiction.length === 0
      ? null
      : {
          feature,
          rules: contradiction.map((push) => push.rule),
          message: `${definition.label}: ${contradiction.map((push) => push.finding).join(' and ')} cannot both hold. Set one aside with a reason.`,
        };
  if (definition.kind === 'choice') {
    const options = list.map(String).filter((_, at) => acceptable(at));
    const excluded = list.map(String).filter((_, at) => inside[at] === 0);
    return { target: { ...base, kind: 'options', best: String(best), options, excluded }, deadlock };
  }
  const numbers = list as readonly number[];
  const limit: Band | null =
    limits.length === 0 || contradiction.length > 0
      ? null
      : { from: numbers[inside.indexOf(1)]!, to: numbers[inside.lastIndexOf(1)]! };
  return {
    target: {
      ...base,
      kind: 'band',
      best: Number(best),
      band: bandAround(bestAt, numbers, acceptable),
      limit,
    },
    deadlock,
  };
}

// Plain loops below: `from` with a function is many times slower, and a picture is resolved at every keystroke.

/** A push's weighted utility at every value. */
function column(push: Push, list: readonly (number | string)[]): Float64Array {
  const result = new Float64Array(list.length);
  for (let at = 0; at < list.length; at += 1) result[at] = push.weight * utilityAt(push.want, list[at]!);
  return result;
}

/** 1 where every limit allows the value, else 0. */
function insideOf(limits: readonly Push[], list: readonly (number | string)[]): Uint8Array {
  const inside = new Uint8Array(list.length).fill(1);
  for (const limit of limits)
    for (let at = 0; at < list.length; at += 1) if (utilityAt(limit.want, list[at]!) < 1) inside[at] = 0;
  return inside;
}

/** Weighted mean of how far each push sits from what it wants, in shares of its reach. */
function tensionAt(best: number | string, pulls: readonly Push[], weight: number): number {
  if (weight === 0) return 0;
  const given = pulls.reduce((sum, push) => sum + push.weight * Math.sqrt(1 - utilityAt(push.want, best)), 0);
  return given / weight;
}

/** Place of the highest utility; on a plateau the one nearest to a usual shoe, so that nothing moves without a reason. */
function bestOf({ away }: Values, total: Float64Array, inside: Uint8Array): number {
  let best = 0;
  let highest = Number.NEGATIVE_INFINITY;
  let nearest = Number.POSITIVE_INFINITY;
  for (let at = 0; at < total.length; at += 1) {
    if (inside[at] === 0) continue;
    const sum = total[at]!;
    if (sum > highest + 1e-9 || (sum > highest - 1e-9 && away[at]! < nearest)) {
      best = at;
      highest = Math.max(sum, highest);
      nearest = away[at]!;
    }
  }
  return best;
}

function bandAround(at: number, values: readonly number[], acceptable: (at: number) => boolean): Band {
  let low = at;
  let high = at;
  while (low > 0 && acceptable(low - 1)) low -= 1;
  while (high < values.length - 1 && acceptable(high + 1)) high += 1;
  return { from: values[low]!, to: values[high]! };
}
