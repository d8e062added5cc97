import { useMemo } from 'react';
import { modelTitle, type ShoeModel } from '@/core/match/model';
import { worthTrying } from '@/core/match/propose';
import type { Side } from '@/core/picture/finding-kinds';
import { roomWished } from '@/core/sizing/size-wish';
import { type FitAdvice, type FitContext, fitAdvice } from '@/core/tryon/fit-advice';
import { type NextGuess, nextGuess } from '@/core/tryon/next-guess';
import { type FittingOutcome, fittingOutcome } from '@/core/tryon/outcome';
import type { FootFit, TryOn } from '@/core/tryon/try-on';
import { type WayOut, waysOut } from '@/core/tryon/ways-out';
import { letterOf } from '@/core/tryon/wearing-order';
import { type Candidates, useCandidates } from '../../use-candidates';
import { useVisit } from '../../visit-context';

export interface FittedPair {
  letter: string;
  model: ShoeModel;
  tryOn: TryOn;
  context: FitContext;
  advice: FitAdvice[];
  /** What the pair is called now: its letter alone while makers are hidden. */
  name: string;
}

export interface FittingView {
  pairs: FittedPair[];
  blind: boolean;
  candidates: Candidates;
  outcome: FittingOutcome;
  next: NextGuess | null;
  ways: WayOut[];
  readOnly: boolean;
  typed: Record<string, string>;
  setBlind: (blind: boolean) => void;
  change: (model: string, part: Partial<TryOn>, text?: Record<string, string | undefined>) => void;
  changeFoot: (
    model: string,
    side: Side,
    part: Partial<FootFit>,
    text?: Record<string, string | undefined>,
  ) => void;
}

const defined = <T extends object>(value: T): T =>
  Object.fromEntries(Object.entries(value).filter(([, entry]) => entry !== undefined)) as T;

/** Where a pair begins: in the size that was worked out. */
function begun(model: ShoeModel, candidates: Candidates): TryOn {
  const sized = candidates.sizeOf(model);
  if (!sized.ok) return { model: model.id };
  const { left, right } = sized.value;
  return defined({
    model: model.id,
    sizeLeft: (left ?? right)?.size,
    sizeRight: (right ?? left)?.size,
    width: (left ?? right)?.width,
  }) as TryOn;
}

/** The pairs that were brought, as they are being tried, with advice, outcome and the next guess. */
export function useFitting(): { fitting: FittingView | null; problem: string | null } {
  const { store, state, specification, readOnly } = useVisit();
  const { candidates, problem } = useCandidates();
  const content = store.content('try-on');
  const chosen = store.content('candidates').chosen;
  const { typed } = state.steps['try-on'];
  const view = useMemo(() => {
    if (!candidates) return null;
    const room = roomWished(specification);
    const ranked = candidates.usable.map(({ entry }) => entry);
    const others = worthTrying(ranked).flatMap(({ id }) => candidates.byId.get(id) ?? []);
    const pairs = (chosen ?? []).flatMap((id, at): FittedPair[] => {
      const model = candidates.byId.get(id);
      if (!model) return [];
      const letter = letterOf(at);
      const tryOn = content.tryOns?.find((entry) => entry.model === id) ?? begun(model, candidates);
      const context: FitContext = { room, model, others };
      return [
        {
          letter,
          model,
          tryOn,
          context,
          advice: fitAdvice(tryOn, context),
          name: content.blind ? `Pair ${letter}` : `${letter}. ${modelTitle(model)}`,
        },
      ];
    });
    const tryOns = pairs.map(({ tryOn }) => tryOn);
    const outcome = fittingOutcome(pairs);
    return {
      pairs,
      outcome,
      next: nextGuess(tryOns, ranked, candidates.byId),
      ways: outcome.nothingFits
        ? waysOut(ranked, candidates.byId, candidates.sizeOf, new Set(tryOns.map(({ model }) => model)))
        : [],
    };
  }, [candidates, chosen, content.tryOns, content.blind, specification]);
  if (!candidates || !view) return { fitting: null, problem };
  const save = (tryOns: TryOn[], blind = content.blind, texts: Record<string, string> = typed) => {
    if (!readOnly) store.change('try-on', defined({ tryOns, blind: blind || undefined }), texts);
  };
  const change: FittingView['change'] = (model, part, text = {}) => {
    const tryOns = view.pairs.map(({ tryOn }) => {
      if (tryOn.model === model) return defined({ ...tryOn, ...part });
      // One pair is chosen at a time.
      return part.verdict === 'chosen' && tryOn.verdict === 'chosen'
        ? { ...tryOn, verdict: 'possible' as const }
        : tryOn;
    });
    save(tryOns, content.blind, defined({ ...typed, ...text }) as Record<string, string>);
  };
  const changeFoot: FittingView['changeFoot'] = (model, side, part, text) => {
    const { tryOn } = view.pairs.find((pair) => pair.tryOn.model === model)!;
    const foot = defined({ ...tryOn[side], ...part });
    change(model, { [side]: Object.keys(foot).length > 0 ? foot : undefined }, text);
  };
  return {
    problem,
    fitting: {
      ...view,
      candidates,
      blind: content.blind ?? false,
      readOnly,
      typed,
      setBlind: (blind) => save(content.tryOns ?? [], blind),
      change,
      changeFoot,
    },
  };
}
