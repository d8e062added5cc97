import { type FeatureId, featureOf, printFeature } from '../../shoe/features';
import { type Settled, settle } from './settle';
import type { Band, Decision, Ruled, Target } from './specification';
import { valuesOf } from './utility';

/** A loosened target hardly counts when shoes are ranked; what the clinician pinned or overruled counts in full. */
const LOOSE = 0.12;

const ruledOf = (target: Target): Ruled =>
  target.kind === 'band'
    ? { best: target.best, band: target.band }
    : { best: target.best, options: target.options };

/** What the rules said of a target that a clinician decided on; null where no rule spoke. */
export function ruledTarget(target: Target): Target | null {
  const ruled = target.decision?.ruled;
  if (!ruled) return null;
  if (target.kind === 'band') return 'band' in ruled ? { ...target, ...ruled } : null;
  return 'options' in ruled ? { ...target, ...ruled } : null;
}

/**
 * The target as the clinician decided; what the rules said stays with it. A decision that a limit excludes is not
 * followed and says so: the limit is set aside first, with its own reason.
 */
export function decide(target: Target, settled: Settled, decision: Decision): Target {
  const noted = (refused?: string) => ({
    kind: decision.kind,
    reason: decision.reason,
    ruled: ruledOf(target),
    ...(refused ? { refused } : {}),
  });
  const allowed = (value: number | string) => settled.inside[settled.values.list.indexOf(value)] === 1;
  const firmness = decision.kind === 'loosen' ? LOOSE : 1;
  const refuse = (what: string): Target => ({
    ...target,
    decision: noted(`A limit excludes ${what}: set it aside with a reason first.`),
  });
  if (target.kind === 'band') {
    const band = decision.band;
    if (!band) return { ...target, decision: noted('It names no band.') };
    const free = settled.values.numbers.filter(
      (value) => value >= band.from && value <= band.to && allowed(value),
    );
    if (free.length === 0) return refuse(wordsOf(target.feature, band));
    const nearest = free.reduce((a, b) => (Math.abs(b - target.best) < Math.abs(a - target.best) ? b : a));
    return {
      ...target,
      best: nearest,
      band: { from: free[0]!, to: free.at(-1)! },
      firmness,
      decision: noted(),
    };
  }
  const wanted = decision.options ?? [];
  const options = wanted.filter(allowed);
  if (options.length === 0)
    return refuse(wanted.map((option) => printFeature(target.feature, option)).join(' or ') || 'nothing');
  const best = options.includes(target.best) ? target.best : options[0]!;
  return { ...target, best, options, firmness, decision: noted() };
}

const wordsOf = (feature: FeatureId, band: Band): string =>
  band.from === band.to
    ? printFeature(feature, band.from)
    : `${printFeature(feature, band.from)} to ${printFeature(feature, band.to)}`;

/** A target that no rule asked for, made of the clinician's word alone. */
export function targetOfDecisionAlone(decision: Decision): Target {
  const definition = featureOf(decision.feature);
  const base = {
    feature: decision.feature,
    firmness: 0,
    tension: 0,
    utility: 1,
    pushes: [],
    awaits: [],
    alternatives: [],
  };
  const list = valuesOf(definition).list;
  const target: Target =
    definition.kind === 'choice'
      ? { ...base, kind: 'options', best: definition.usual, options: list.map(String), excluded: [] }
      : {
          ...base,
          kind: 'band',
          best: definition.usual,
          band: { from: Number(list[0]), to: Number(list.at(-1)) },
          limit: null,
          ends: { low: null, high: null },
        };
  const decided = decide(target, settle(decision.feature, []), decision);
  return { ...decided, decision: { ...decided.decision!, ruled: null } };
}
