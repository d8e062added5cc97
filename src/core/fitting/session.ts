import type { ShoeModel } from '../catalogue/model';
import { eligible, worthTrying } from '../match/propose';
import type { Ranked } from '../match/rank';
import type { Specification } from '../prescribe/engine/specification';
import type { Result } from '../result/result';
import type { SizedPair } from '../sizing/size-pair';
import { roomWished } from '../sizing/size-wish';
import { type FittingFallback, fittingFallbacks } from './fallbacks';
import { type FitAdvice, type FitContext, fitAdvice } from './fit-advice';
import { type FeltBefore, type NextGuess, nextGuess } from './next-guess';
import { type FittingOutcome, fittingOutcome } from './outcome';
import type { FittedFeet } from './push-off';
import { beginTryOn } from './sizes';
import type { TryOn } from './try-on';
import { letterOf } from './wearing-order';

/** One pair of a fitting with what can be said of it. */
export interface SessionPair {
  /** Stays with the pair however many come and go: clips and notes are called by it. */
  letter: string;
  model: ShoeModel;
  tryOn: TryOn;
  context: FitContext;
  advice: FitAdvice[];
  /** Stands before the patient now; one that made room for another keeps what was felt in it. */
  brought: boolean;
}

export interface Session {
  /** In the order in which they were first brought. */
  pairs: SessionPair[];
  /** Of those that stand before the patient. */
  outcome: FittingOutcome;
  /** From everything that was felt, brought or not. */
  next: NextGuess | null;
  fallbacks: FittingFallback[];
}

interface SessionInput {
  tryOns: readonly TryOn[];
  /** Models that stand before the patient. */
  brought: readonly string[];
  specification: Specification;
  /** Models within the limits, best first. */
  ranked: readonly Ranked[];
  models: ReadonlyMap<string, ShoeModel>;
  sizeOf: (model: ShoeModel) => Result<SizedPair>;
  feet?: FittedFeet | undefined;
  /** What was felt at earlier visits, unless it is left out. */
  before?: readonly FeltBefore[] | undefined;
}

/** A whole fitting: every pair with its advice, where it stands, which way to go, and what to do when nothing fits. */
export function readSession({
  tryOns,
  brought,
  specification,
  ranked,
  models,
  sizeOf,
  feet,
  before = [],
}: SessionInput): Session {
  const room = roomWished(specification);
  const suited = eligible(ranked, models, specification);
  const others = worthTrying(suited).flatMap(({ id }) => models.get(id) ?? []);
  const fresh = brought.filter((id) => !tryOns.some(({ model }) => model === id));
  const all = [
    ...tryOns,
    ...fresh.flatMap((id) => {
      const model = models.get(id);
      return model ? [beginTryOn(model, sizeOf(model))] : [];
    }),
  ];
  const pairs = all.flatMap((tryOn, at): SessionPair[] => {
    const model = models.get(tryOn.model);
    if (!model) return [];
    const context = { room, model, others, feet };
    return [
      {
        letter: letterOf(at),
        model,
        tryOn,
        context,
        advice: fitAdvice(tryOn, context),
        brought: brought.includes(tryOn.model),
      },
    ];
  });
  const outcome = fittingOutcome(pairs.filter((pair) => pair.brought));
  return {
    pairs,
    outcome,
    next: nextGuess(all, suited, models, { before }),
    fallbacks: outcome.nothingFits
      ? fittingFallbacks(ranked, models, sizeOf, new Set(all.map(({ model }) => model)))
      : [],
  };
}
