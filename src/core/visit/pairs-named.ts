import { DAYS_PER_MONTH, daysBetween } from '../calendar/days';
import type { PairBefore } from '../history/before';
import { type OldPair, type VerdictContext, verdictOfPair } from '../wear/old-pair';
import { takenToFit } from '../wear/verdict';

/** A pair that was brought, as a pair that served or failed; null where nobody has looked at it, or nobody can tell. */
function asBefore(pair: OldPair, context: VerdictContext): PairBefore | null {
  const fits = takenToFit(verdictOfPair(pair, context));
  if (fits === null || pair.model === undefined || Object.keys(pair.signs ?? {}).length === 0) return null;
  return {
    id: pair.id,
    verdict: fits === 'suits' ? 'served' : 'failed',
    model: pair.model,
    title: pair.title,
    months:
      pair.firstWornOn === undefined
        ? undefined
        : Math.max(0, daysBetween(pair.firstWornOn, context.on) / DAYS_PER_MONTH),
    values: pair.values,
  };
}

/** Pairs whose models pull in the ranking: those named in the history, and those that were brought and looked at. */
export const pairsNamed = (
  before: readonly PairBefore[],
  brought: readonly OldPair[],
  context: VerdictContext,
): PairBefore[] => [...before, ...brought.flatMap((pair) => asBefore(pair, context) ?? [])];
