import { errorFunction } from 'simple-statistics';
import type { FindingDefinition, Prior, PriorKnowledge } from './finding-kinds';
import { definitionOf, type FindingId } from './findings';
import { type ClinicalPicture, NOT_EXAMINED } from './picture';

const OLDER_YEARS = 65;
const AT_RISK = ['diabetes', 'neuropathy', 'renal-failure'] as const;

/** Sensation is lost oftener with diabetes, falls are commoner in age. */
const knowledgeOf = ({ body: { ageYears, conditions } }: ClinicalPicture): PriorKnowledge => ({
  older: ageYears !== NOT_EXAMINED && ageYears >= OLDER_YEARS,
  atRisk: conditions !== NOT_EXAMINED && AT_RISK.some((condition) => conditions.includes(condition)),
});

/** What a finding of this person could be before it is taken. */
export function priorOf(id: FindingId, picture: ClinicalPicture): Prior {
  const definition = definitionOf(id);
  const prior =
    typeof definition.prior === 'function' ? definition.prior(knowledgeOf(picture)) : definition.prior;
  return 'flat' in prior ? { ...flatPrior(definition), from: prior.from } : prior;
}

/** A set's option that nothing is known of is present this often. */
const FLAT_EACH = 0.05;

function flatPrior(
  definition: FindingDefinition,
): { shares: Record<string, number> } | { each: number } | { between: readonly [number, number] } {
  switch (definition.kind) {
    case 'number':
      return { between: definition.plausible };
    case 'text':
      return { shares: {} };
    case 'set':
      return { each: FLAT_EACH };
    case 'choice': {
      const options = Object.keys(definition.options);
      return { shares: Object.fromEntries(options.map((option) => [option, 1 / options.length])) };
    }
  }
}

/** Share of a prior below a number. */
function below(
  prior: { mean: number; sd: number } | { between: readonly [number, number] },
  x: number,
): number {
  if ('mean' in prior) return (1 + errorFunction((x - prior.mean) / (prior.sd * Math.SQRT2))) / 2;
  const [from, to] = prior.between;
  return Math.min(1, Math.max(0, (x - from) / (to - from)));
}

export interface Plausible {
  value: number | string | string[];
  share: number;
}

/**
 * Values that a finding could have, each standing for all that rules treat alike, with its share of the prior.
 * `edges` are the numbers at which some rule changes its mind; between two of them nothing changes.
 */
export function plausibleValues(
  id: FindingId,
  picture: ClinicalPicture,
  edges: readonly number[],
): Plausible[] {
  const definition = definitionOf(id);
  const prior = priorOf(id, picture);
  if (definition.kind === 'text') return [];
  if (definition.kind === 'set') {
    const each = 'each' in prior ? prior.each : 0;
    const options = Object.keys(definition.options);
    return [
      { value: [], share: Math.max(0, 1 - each * options.length) },
      ...options.map((option) => ({ value: [option], share: each })),
    ];
  }
  if ('shares' in prior) return Object.entries(prior.shares).map(([value, share]) => ({ value, share }));
  if (definition.kind !== 'number' || !('mean' in prior || 'between' in prior)) return [];
  const [least, most] = definition.possible;
  const cuts = [...new Set(edges)].filter((edge) => edge > least && edge < most).sort((a, b) => a - b);
  const ends = [least, ...cuts, most];
  const [from, to] = definition.plausible;
  return ends.slice(1).flatMap((high, at) => {
    const low = ends[at]!;
    const share = (at === ends.length - 2 ? 1 : below(prior, high)) - (at === 0 ? 0 : below(prior, low));
    // The middle of the cell, kept inside what is plausible where the cell allows it.
    const middle = (Math.max(low, Math.min(high, from)) + Math.min(high, Math.max(low, to))) / 2;
    return share > 1e-4 ? [{ value: definition.whole ? insideWhole(middle, low, high) : middle, share }] : [];
  });
}

/** A whole number of a cell; a cell between two neighbouring edges holds its lower edge. */
function insideWhole(middle: number, low: number, high: number): number {
  const rounded = Math.round(middle);
  return rounded > low && rounded < high ? rounded : Math.ceil(low);
}
