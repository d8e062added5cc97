import { useMemo } from 'react';
import { modelTitle } from '@/core/catalogue/model';
import type { Side } from '@/core/findings/finding-kinds';
import { fittedFeet } from '@/core/fitting/push-off';
import { readSession, type Session, type SessionPair } from '@/core/fitting/session';
import { changeSizes } from '@/core/fitting/sizes';
import type { FootFit, TriedSizes, TryOn } from '@/core/fitting/try-on';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { localNow } from '../../../local-now';
import { type CandidatesView, useCandidates } from '../../use-candidates';
import { useVisit } from '../../visit-context';

export interface FittedPair extends SessionPair {
  /** What the pair is called now: its letter alone while makers are hidden. */
  name: string;
}

/** Typed text that is no value yet, by field; undefined takes it back. */
type Texts = Record<string, string | undefined>;

export interface FittingView extends Omit<Session, 'pairs'> {
  /** Before the patient now. */
  pairs: FittedPair[];
  /** Made room for others; what was felt in them is kept. */
  putBy: FittedPair[];
  blind: boolean;
  candidates: CandidatesView;
  readOnly: boolean;
  typed: Record<string, string>;
  setBlind: (blind: boolean) => void;
  /** Pairs felt at earlier visits, and whether they are left out of the guess. */
  ratedBefore: number;
  withoutEarlier: boolean;
  setWithoutEarlier: (left: boolean) => void;
  change: (model: string, part: Partial<TryOn>, text?: Texts) => void;
  changeFoot: (model: string, side: Side, part: Partial<FootFit>, text?: Texts) => void;
  /** Another size is another fit: what was felt in this one is put by and comes back with it. */
  changeSize: (model: string, sizes: TriedSizes) => void;
}

/** The pairs of this fitting, with advice, outcome and the next guess. */
export function useFitting(): { fitting: FittingView | null; problem: string | null } {
  const { visit, store, state, specification, picture, readOnly } = useVisit();
  const { candidates, problem } = useCandidates();
  const { tryOns, blind = false, withoutEarlier = false } = store.content('try-on');
  const { chosen } = store.content('candidates');
  const { typed } = state.steps['try-on'];
  const session = useMemo(
    () =>
      candidates &&
      readSession({
        tryOns: tryOns ?? [],
        brought: chosen ?? [],
        specification,
        ranked: candidates.ranked,
        models: candidates.byId,
        sizeOf: candidates.sizeOf,
        feet: fittedFeet(picture),
        before: withoutEarlier ? [] : visit.feltBefore,
      }),
    [candidates, chosen, tryOns, specification, picture, withoutEarlier, visit.feltBefore],
  );
  if (!candidates || !session) return { fitting: null, problem };
  const all = session.pairs.map(
    (pair): FittedPair => ({
      ...pair,
      name: blind ? `Pair ${pair.letter}` : `${pair.letter}. ${modelTitle(pair.model)}`,
    }),
  );
  const save = (
    content: { tryOns: TryOn[]; blind: boolean; withoutEarlier?: boolean },
    texts: Texts = typed,
  ) => {
    if (readOnly) return;
    store.change(
      'try-on',
      omitUndefined({
        tryOns: content.tryOns,
        blind: content.blind || undefined,
        withoutEarlier: (content.withoutEarlier ?? withoutEarlier) || undefined,
      }),
      omitUndefined(texts),
    );
  };
  const put = (model: string, to: (tryOn: TryOn) => TryOn, texts?: Texts) =>
    save({ tryOns: all.map(({ tryOn }) => (tryOn.model === model ? to(tryOn) : tryOn)), blind }, texts);
  const change: FittingView['change'] = (model, part, text = {}) => {
    const next = all.map(({ tryOn }) => {
      if (tryOn.model === model)
        return omitUndefined({
          ...tryOn,
          ...part,
          triedAt: tryOn.triedAt ?? (part.comfort === undefined ? undefined : localNow()),
        });
      // One pair is chosen at a time.
      return part.verdict === 'chosen' && tryOn.verdict === 'chosen'
        ? { ...tryOn, verdict: 'possible' as const }
        : tryOn;
    });
    save({ tryOns: next, blind }, { ...typed, ...text });
  };
  return {
    problem,
    fitting: {
      ...session,
      pairs: all.filter(({ brought }) => brought),
      putBy: all.filter(({ brought }) => !brought),
      candidates,
      blind,
      readOnly,
      typed,
      withoutEarlier,
      ratedBefore: visit.feltBefore.length,
      setWithoutEarlier: (left) =>
        save({ tryOns: all.map(({ tryOn }) => tryOn), blind, withoutEarlier: left }),
      setBlind: (hidden) => save({ tryOns: all.map(({ tryOn }) => tryOn), blind: hidden }),
      change,
      changeFoot: (model, side, part, text) => {
        const { tryOn } = all.find((pair) => pair.tryOn.model === model)!;
        const foot = omitUndefined({ ...tryOn[side], ...part });
        change(model, { [side]: Object.keys(foot).length > 0 ? foot : undefined }, text);
      },
      changeSize: (model, sizes) =>
        put(
          model,
          (tryOn) => changeSizes(tryOn, sizes),
          // Text that is no value yet belongs to the size it was typed for.
          Object.fromEntries(Object.entries(typed).filter(([field]) => !field.startsWith(`${model}.`))),
        ),
    },
  };
}
