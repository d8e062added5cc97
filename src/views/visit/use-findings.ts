import type { FindingStep } from '@/core/picture/finding-kinds';
import { type AnyFindingValue, FINDINGS, type FindingId } from '@/core/picture/findings';
import type { Instrument, Taken } from '@/core/picture/taken';
import { type Place, type Value, withValues } from '@/core/picture/with-values';
import { useVisit } from './visit-context';

type Part = Record<string, AnyFindingValue | undefined>;

/**
 * Writes several findings of one step at once, with the moment, the observer and the instrument, and other
 * content of the step along with them.
 */
export function useRecord(step: FindingStep) {
  const { store, visit, readOnly } = useVisit();
  return (
    values: readonly Value[],
    how: { with: Instrument; method?: string },
    rest: Record<string, unknown> = {},
    typed?: Record<string, string>,
  ): void => {
    if (readOnly) return;
    const content = store.content(step);
    const taken: Taken = {
      at: new Date().toISOString(),
      by: visit.reader,
      with: how.with,
      ...(how.method ? { method: how.method } : {}),
    };
    store.change(
      step,
      { ...content, ...rest, findings: withValues(content.findings ?? {}, values, taken) },
      typed,
    );
  };
}

/** Content of a step beside its findings: marks, readings, uses. */
export function useStepContent<S extends FindingStep>(step: S) {
  const { store, state, readOnly } = useVisit();
  type Content = ReturnType<typeof store.content<S>>;
  return {
    content: state.steps[step].content as Content,
    change: (part: Partial<Content>) => {
      if (!readOnly) store.change(step, { ...store.content(step), ...part } as Record<string, unknown>);
    },
  };
}

/** Reads and writes one finding of the step that it belongs to. */
export function useFinding(id: FindingId, place: Place) {
  const { store, state, visit, lit, picture } = useVisit();
  const step = FINDINGS[id].step as FindingStep;
  const record = useRecord(step);
  const entry = state.steps[step];
  const findings = store.content(step).findings as Partial<Record<Place, Part>>;
  const key = `${place}.${id}`;
  const carried = (visit.carried?.findings[place] as Part | undefined)?.[id];
  const own = findings[place]?.[id];
  const set = (value: AnyFindingValue | undefined, typed?: string, how: Instrument = 'hand') => {
    const texts = { ...store.snapshot().steps[step].typed };
    if (typed === undefined) delete texts[key];
    else texts[key] = typed;
    record([{ place, id, value }], { with: how }, {}, texts);
  };
  return {
    value: own ?? carried,
    carried: own === undefined && carried !== undefined,
    taken: own === undefined ? undefined : picture.taken[key],
    typed: entry.typed[key],
    problem: entry.errors.find((error) => error.path.at(-1) === id && error.path.includes(place))?.message,
    lit: lit.has(id),
    set,
  };
}
