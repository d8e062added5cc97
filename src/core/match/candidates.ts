import { pairsInStock, type ShoeModel } from '../catalogue/model';
import { pairsOnShelf } from '../catalogue/shelf';
import type { Specification } from '../prescribe/engine/specification';
import { awaitedInWords } from '../prescribe/explain/in-words';
import type { Result } from '../result/result';
import { featureOf } from '../shoe/features';
import type { SizedPair } from '../sizing/size-pair';
import { mayStand, type onFootReader } from './on-foot';
import { eligible, lackingOf, type Proposal, proposeTrial } from './propose';
import type { Ranked } from './rank';
import { standingOf } from './standing';

/** A model within the limits, in the size that these feet need. */
export interface Candidate {
  entry: Ranked;
  model: ShoeModel;
  /** Null until a foot is measured. */
  pair: SizedPair | null;
  /** Pairs on the shelf in that size; of any size until a foot is measured. */
  onShelf: number;
}

export interface Candidates {
  /** Best first. */
  usable: Candidate[];
  /** Within the limits, but not available in the size needed. */
  noSize: { model: ShoeModel; message: string }[];
}

/** Models that can be had at all: made now, or still on the shelf in some size. */
export const obtainable = (models: readonly ShoeModel[]): ShoeModel[] =>
  models.filter((model) => model.status === 'current' || pairsInStock(model) > 0);

/**
 * Those of a ranking that can be had: made in the size needed and, when no longer made, still on the shelf in it. Feet
 * that nobody measured exclude nothing.
 */
export function candidatesOf(
  ranked: readonly Ranked[],
  models: ReadonlyMap<string, ShoeModel>,
  sizeOf: (model: ShoeModel) => Result<SizedPair>,
): Candidates {
  const usable: Candidate[] = [];
  const noSize: Candidates['noSize'] = [];
  for (const entry of ranked) {
    const model = models.get(entry.id);
    if (!model) continue;
    const sized = sizeOf(model);
    if (!sized.ok && sized.problem.code !== 'not-measured') {
      noSize.push({ model, message: sized.problem.message });
      continue;
    }
    const pair = sized.ok ? sized.value : null;
    const onShelf = pair ? pairsOnShelf(model, [pair.left, pair.right]) : pairsInStock(model);
    if (model.status === 'discontinued' && onShelf === 0)
      noSize.push({ model, message: 'No longer made, and not on the shelf in this size.' });
    else usable.push({ entry, model, pair, onShelf });
  }
  return { usable, noSize };
}

/** What to bring, and what stands in the way where it is fewer than three. */
export interface Trial {
  proposals: Proposal[];
  /** Plain sentences: what has to be found out, or what the shelf lacks. Empty where three are proposed and nothing is open. */
  because: string[];
}

/** Most of what the shelf lacks that is told at once. */
const TOLD = 3;

/**
 * Three to feel today: from the shelf, where two or more there teach something; else those to order. Only what satisfies
 * every limit and lies inside every firm target is proposed; where that is fewer than three it says why.
 *
 * @param onFoot reads a shoe on a prosthetic foot: only what stands on it is proposed
 */
export function proposeFrom(
  all: readonly Candidate[],
  models: ReadonlyMap<string, ShoeModel>,
  specification: Specification,
  onFoot: ReturnType<typeof onFootReader> = null,
): Trial {
  const first = notYet(specification);
  if (first.length > 0) return { proposals: [], because: first };
  // Of what is no longer made the size decides: unmeasured, nobody can say whether it is among the last pairs.
  const sure = all.filter(({ model, pair }) => pair !== null || model.status === 'current');
  const usable = onFoot ? sure.filter(({ model }) => mayStand(onFoot(model))) : sure;
  if (onFoot && usable.length === 0 && all[0]) return { proposals: [], because: onFoot(all[0].model).checks };
  const ranked = (of: readonly Candidate[]) => of.map(({ entry }) => entry);
  const from = (of: readonly Candidate[]) =>
    proposeTrial(eligible(ranked(of), models, specification), models);
  const here = from(usable.filter(({ onShelf }) => onShelf > 0));
  const proposals = here.length >= 2 ? here : from(usable);
  return {
    proposals,
    because: [
      ...(proposals.length >= 3 ? [] : whyFewer(usable, models, specification)),
      ...stillOpen(specification).map((line) => `${line} Until then these are the nearest so far.`),
    ],
  };
}

/** Targets that lack an amount, each in a sentence. */
const stillOpen = ({ targets }: Specification): string[] =>
  targets
    .filter(({ awaits }) => awaits.length > 0)
    .map((target) => `${featureOf(target.feature).label} ${awaitedInWords(target)}.`);

/** Why nothing can be proposed yet: no purpose is known, or an amount that a limit needs. */
function notYet(specification: Specification): string[] {
  const { targets } = specification;
  const isForSomething = targets.some(
    ({ feature, pushes, decision }) =>
      feature === 'use' && (decision !== undefined || pushes.some(({ strength }) => strength === 'limit')),
  );
  if (!isForSomething) return ['Say first what the shoes are for.'];
  const waits = targets.filter(({ awaits }) => awaits.some(({ strength }) => strength === 'limit'));
  return stillOpen({ ...specification, targets: waits });
}

function whyFewer(
  usable: readonly Candidate[],
  models: ReadonlyMap<string, ShoeModel>,
  specification: Specification,
): string[] {
  const ranked = usable.map(({ entry }) => entry);
  if (ranked.length === 0) return ['Every model breaks a limit: see “Left out”.'];
  const lacking = lackingOf(ranked, models, specification).slice(0, TOLD);
  const unstated = ranked.filter(
    ({ id }) => standingOf(models.get(id)!, specification).provisional.length > 0,
  ).length;
  return [
    ...lacking.map(
      ({ feature, wanted, misses, of }) =>
        `${featureOf(feature).label}, ${wanted}: ${misses} of the ${of} nearest ${misses === 1 ? 'does' : 'do'} not have it.`,
    ),
    ...(unstated > 0
      ? [`${unstated} of ${ranked.length} cannot be judged: a limit rests on a value that is not stated.`]
      : []),
    ...(lacking.length === 0 && unstated === 0 ? ['Nothing else that suits is unlike these.'] : []),
  ];
}
