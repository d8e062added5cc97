import type { FindingStep } from '@/core/findings/finding-kinds';
import { type AnyFindingValue, definitionOf, type FindingId } from '@/core/findings/findings';
import { contributedAt } from '@/core/findings/picture';
import type { Instrument, Taken, TakenKey } from '@/core/findings/taken';
import { type Place, type PlacedValue, withValues } from '@/core/findings/with-values';
import type { StepContents } from '@/core/visit/contents';
import { useExamined, useGround, useOfState } from './visit-context';

/** The step in which a finding is entered. */
function stepOf(id: FindingId): FindingStep {
  const { step, label } = definitionOf(id);
  if (step === null) throw new Error(`${label} follows from others: it has no field.`);
  return step;
}

/**
 * Writes several findings of one step at once, with the moment, the observer and the instrument, and other
 * content of the step along with them.
 */
export function useRecord(step: FindingStep) {
  const { store, visit, readOnly } = useGround();
  return (
    values: readonly PlacedValue[],
    how: { with: Instrument; method?: string },
    rest: Partial<StepContents[FindingStep]> = {},
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
  const { store, state, readOnly } = useExamined();
  return {
    content: state.steps[step].content,
    change: (part: Partial<StepContents[S]>) => {
      if (!readOnly) store.change(step, { ...store.content(step), ...part });
    },
  };
}

/** Reads and writes one finding of the step that it belongs to. */
export function useFinding(id: FindingId, place: Place) {
  const { store, visit, lit } = useGround();
  const step = stepOf(id);
  const record = useRecord(step);
  const key: TakenKey = `${place}.${id}`;
  const carried = visit.carried ? contributedAt(visit.carried.findings, place, id) : undefined;
  const own = useOfState(({ steps }) => contributedAt(steps[step].content.findings ?? {}, place, id));
  const taken = useOfState(({ steps }) => steps[step].content.findings?.taken?.[key]);
  const typed = useOfState(({ steps }) => steps[step].typed[key]);
  const problem = useOfState(
    ({ steps }) =>
      steps[step].errors.find((error) => error.path.at(-1) === id && error.path.includes(place))?.message,
  );
  const set = (value: AnyFindingValue | undefined, typed?: string, how: Instrument = 'hand') => {
    const texts = { ...store.snapshot().steps[step].typed };
    if (typed === undefined) delete texts[key];
    else texts[key] = typed;
    record([{ place, id, value }], { with: how }, {}, texts);
  };
  return {
    value: own ?? carried,
    carried: own === undefined && carried !== undefined,
    taken: own === undefined ? undefined : taken,
    typed,
    problem,
    lit: lit.has(id),
    set,
  };
}
