import type { ShoeModel } from '../catalogue/model';
import type { Specification } from '../prescribe/engine/specification';
import { targetInWords } from '../prescribe/explain/in-words';
import type { FeatureId } from '../shoe/features';
import {
  differenceInWords,
  dissimilarity,
  FELT,
  type FeelAxis,
  type FeelDifference,
  feelDifference,
} from './feel';
import type { Ranked } from './rank';
import { standingOf } from './standing';

export type TrialRole = 'optimum' | 'structured' | 'softer' | 'other';

/** A pair worth bringing, and what trying it will tell. */
export interface Proposal {
  id: string;
  role: TrialRole;
  teaches: string;
}

export const ROLE_LABEL: Record<TrialRole, string> = {
  optimum: 'nearest to the specification',
  structured: 'firmer or more structured',
  softer: 'softer or lighter',
  other: 'unlike in another way',
};

/** In all at least this unlike, so that a patient can tell; within this of the best score. Common practice. */
const UNLIKE = 1.5;
export const WORTH_TRYING = 0.15;

/** However many are good, the best of them are enough to choose from. */
const LOOKED_AT = 250;

/** Those of a ranking that are worth putting on a foot: not much worse than the best. */
export const worthTrying = (ranked: readonly Ranked[]): Ranked[] =>
  ranked.slice(0, LOOKED_AT).filter((entry) => entry.score >= ranked[0]!.score - WORTH_TRYING);

/** Those of a ranking that lie inside every limit and every firm target, nothing about them open. */
export function eligible(
  ranked: readonly Ranked[],
  models: ReadonlyMap<string, ShoeModel>,
  specification: Specification,
): Ranked[] {
  return ranked.filter((entry) => {
    const { provisional, misses } = standingOf(models.get(entry.id)!, specification);
    return provisional.length === 0 && misses.length === 0;
  });
}

/** What stands between a shelf and three pairs to try, most often missed first. */
export interface Lacking {
  feature: FeatureId;
  /** What is wanted, in words. */
  wanted: string;
  /** How many of the nearest models miss it. */
  misses: number;
  of: number;
}

/** What is said is said of so many of the nearest. */
const NEAREST = 30;

/** What the nearest models lack of the firm targets. */
export function lackingOf(
  ranked: readonly Ranked[],
  models: ReadonlyMap<string, ShoeModel>,
  specification: Specification,
): Lacking[] {
  const nearest = ranked.slice(0, NEAREST);
  const counts = new Map<FeatureId, Lacking>();
  for (const { id } of nearest)
    for (const target of standingOf(models.get(id)!, specification).misses) {
      const entry = counts.get(target.feature) ?? {
        feature: target.feature,
        wanted: targetInWords(target),
        misses: 0,
        of: nearest.length,
      };
      entry.misses += 1;
      counts.set(target.feature, entry);
    }
  return [...counts.values()].sort((a, b) => b.misses - a.misses);
}

/** How far a difference leads toward more hold, or toward less shoe, in felt steps. */
const toward: Record<'structured' | 'softer', (difference: FeelDifference) => number> = {
  structured: ({ firmness = 0, structure = 0 }) => firmness + structure,
  softer: ({ firmness = 0, weight = 0 }) => -firmness - weight,
};

/** A pair that goes the other way on what its role is named after does not stand for it. */
const contradicts: Record<'structured' | 'softer', (difference: FeelDifference) => boolean> = {
  structured: ({ firmness = 0, structure = 0, stiffness = 0 }) =>
    firmness <= -FELT || structure <= -FELT || stiffness <= -FELT,
  softer: ({ firmness = 0, weight = 0 }) => firmness >= FELT || weight >= FELT,
};

/**
 * Two or three pairs that teach something together: the one nearest to the specification, one firmer or more structured,
 * one softer or lighter, each good in itself and unlike the others. Where a direction has no good model, the most unlike
 * good one stands in.
 */
export function proposeTrial(
  ranked: readonly Ranked[],
  models: ReadonlyMap<string, ShoeModel>,
  count = 3,
): Proposal[] {
  const first = ranked[0];
  if (!first || count < 1) return [];
  const best = models.get(first.id)!;
  const proposals: Proposal[] = [
    {
      id: best.id,
      role: 'optimum',
      teaches: 'What the specification asks for: the others are felt against it.',
    },
  ];
  const chosen = [best];
  const worth = worthTrying(ranked).slice(1);
  const free = () =>
    worth.flatMap((entry) => {
      const model = models.get(entry.id)!;
      // Two versions of one model are hardly two pairs to a wearer.
      const family = chosen.some((other) => other.maker === model.maker && other.name === model.name);
      return !family &&
        chosen.every((other) => dissimilarity(feelDifference(other.features, model.features)) >= UNLIKE)
        ? [{ entry, model, difference: feelDifference(best.features, model.features) }]
        : [];
    });
  for (const role of ['structured', 'softer'] as const) {
    if (chosen.length >= count) break;
    const that = free()
      .filter(({ difference }) => toward[role](difference) >= 2 * FELT && !contradicts[role](difference))
      // Its score counts first; a clearer step decides between equals.
      .toSorted(
        (a, b) =>
          b.entry.score +
          0.02 * Math.min(3, toward[role](b.difference)) -
          (a.entry.score + 0.02 * Math.min(3, toward[role](a.difference))),
      )[0];
    if (!that) continue;
    chosen.push(that.model);
    proposals.push({ id: that.model.id, role, teaches: teaches[role](that.difference) });
  }
  while (chosen.length < count) {
    const that = free()[0];
    if (!that) break;
    chosen.push(that.model);
    proposals.push({ id: that.model.id, role: 'other', teaches: teaches.other(that.difference) });
  }
  return proposals;
}

/** What liking a pair better would tell: only what truly sets it apart from the first is drawn a conclusion from. */
const CONCLUSIONS: readonly [axis: FeelAxis, more: string, less: string][] = [
  ['firmness', 'a firmer sole', 'more give'],
  ['structure', 'more hold', 'less hold'],
  ['weight', 'more shoe', 'less shoe'],
  ['drop', 'a higher heel', 'a lower heel'],
  ['stiffness', 'a stiffer front', 'a front that bends more'],
  ['height', 'more sole', 'less sole'],
];

/** The two strongest differences as what would be wanted: `more hold and a firmer sole`. */
const wanted = (difference: FeelDifference): string =>
  CONCLUSIONS.map(([axis, more, less]) => ({ steps: difference[axis] ?? 0, more, less }))
    .filter(({ steps }) => Math.abs(steps) >= FELT)
    .toSorted((a, b) => Math.abs(b.steps) - Math.abs(a.steps))
    .slice(0, 2)
    .map(({ steps, more, less }) => (steps > 0 ? more : less))
    .join(' and ');

const liked = (difference: FeelDifference): string =>
  `${sentence(difference)}: if this one is liked better, ${wanted(difference)} is wanted.`;

const teaches: Record<Exclude<TrialRole, 'optimum'>, (difference: FeelDifference) => string> = {
  structured: liked,
  softer: liked,
  other: (difference) => `${sentence(difference)}: shows whether the difference is felt.`,
};

const sentence = (difference: FeelDifference): string => {
  const words = differenceInWords(difference) || 'a little of everything';
  return words[0]!.toUpperCase() + words.slice(1);
};
