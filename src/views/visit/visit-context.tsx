import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useMemo,
  useState,
  useSyncExternalStore,
} from 'react';
import type { VisitRecord } from '@/api/records';
import type { Choices, StepContents } from '@/api/visit-schema';
import type { Knowledge } from '@/core/knowledge/edition';
import { knowledgeOf } from '@/core/knowledge/house-rules';
import type { SchoolChoice } from '@/core/knowledge/schools';
import { type ClinicalPicture, clinicalPicture, type Findings } from '@/core/picture/clinical-picture';
import { deriveFindings } from '@/core/picture/derive';
import type { FindingStep } from '@/core/picture/finding-kinds';
import type { FindingId } from '@/core/picture/findings';
import { type ResolveOptions, resolve } from '@/core/prescribe/resolve';
import type { Specification } from '@/core/prescribe/specification';
import { suggestedWarnings } from '@/core/safety/suggested-warnings';
import { type Block, openWarnings } from '@/core/safety/warning-signs';
import type { Reasoning } from '@/workers/reason-worker';
import { useReasoning } from './use-reasoning';
import type { VisitState, VisitStore } from './visit-store';

interface VisitView {
  visit: VisitRecord;
  store: VisitStore;
  state: VisitState;
  /** Everything known, with what follows from it. */
  picture: ClinicalPicture;
  /** Warning signs that the findings point at, and what still blocks the hand-over. */
  warnings: { suggested: string[]; open: Block[] };
  specification: Specification;
  /** Under which school, choices and rules it was resolved. */
  options: ResolveOptions;
  school: SchoolChoice;
  /** What targets hang on and what to find out next, from the worker; null until its first answer. */
  reasoning: Reasoning | null;
  /** Findings that the target under the pointer rests on. */
  lit: ReadonlySet<FindingId>;
  readOnly: boolean;
  /** What a step has loaded and not kept yet (a print, a clip), so that leaving the step does not lose it. */
  held: Map<string, unknown>;
}

const Context = createContext<VisitView | null>(null);

/** The rules that a visit is read by: those of the day of issue once something was issued. */
export const knowledgeAt = ({ house, issued }: VisitRecord): Knowledge =>
  issued?.rules ? { edition: issued.specification.knowledge, rules: issued.rules } : knowledgeOf(house);

const FINDING_STEPS: readonly FindingStep[] = ['ask', 'old-pair', 'feet', 'load', 'move'];

interface ProviderProps {
  visit: VisitRecord;
  store: VisitStore;
  lit: ReadonlySet<FindingId>;
  children: ReactNode;
}

/** Everything the steps read: the saved visit, the live picture and the specification that follows from it. */
export function VisitProvider({ visit, store, lit, children }: ProviderProps) {
  const state = useSyncExternalStore(store.subscribe, store.snapshot, store.snapshot);
  const { steps } = state;
  const choices = state.steps.reason.content as Choices;
  const school =
    visit.issued?.specification.school ?? choices.school ?? visit.patient.school ?? visit.clinic.school;
  const picture = useMemo(() => {
    const record: Findings = {
      body: { ageYears: visit.patient.age, sizingGroup: visit.patient.sizingGroup },
    };
    const parts = FINDING_STEPS.map((step) => (steps[step].content as StepContents['ask']).findings);
    return deriveFindings(clinicalPicture(record, visit.carried?.findings ?? {}, ...parts));
  }, [visit, steps]);
  const options = useMemo(
    (): ResolveOptions => ({
      school,
      setAside: choices.setAside ?? [],
      decisions: choices.decisions ?? [],
      knowledge: knowledgeAt(visit),
    }),
    [school, choices.setAside, choices.decisions, visit],
  );
  const specification = useMemo(() => resolve(picture, options), [picture, options]);
  const reasoning = useReasoning(picture, options);
  const warnings = useMemo(() => {
    const check = steps.warnings.content as StepContents['warnings'];
    const marks = [
      ...((steps.ask.content as StepContents['ask']).marks ?? []),
      ...((steps.feet.content as StepContents['feet']).marks ?? []),
    ];
    const suggested = suggestedWarnings(picture, { marks, ankle: check.ankle });
    return { suggested, open: openWarnings(check, suggested) };
  }, [picture, steps]);
  const readOnly = visit.closedAt !== null;
  const [held] = useState(() => new Map<string, unknown>());
  const view = useMemo(
    () => ({
      visit,
      store,
      state,
      picture,
      warnings,
      specification,
      options,
      school,
      reasoning,
      lit,
      readOnly,
      held,
    }),
    [visit, store, state, picture, warnings, specification, options, school, reasoning, lit, readOnly, held],
  );
  return <Context value={view}>{children}</Context>;
}

export function useVisit(): VisitView {
  const view = useContext(Context);
  if (!view) throw new Error('This part belongs inside a visit.');
  return view;
}

/** State that outlives its component for as long as the visit is open on this page. */
export function useHeld<T>(key: string, initial: T): [T, (next: T | ((now: T) => T)) => void] {
  const { held } = useVisit();
  const [value, setValue] = useState<T>(() => (held.has(key) ? (held.get(key) as T) : initial));
  const set = useCallback(
    (next: T | ((now: T) => T)) =>
      setValue((now) => {
        const then = typeof next === 'function' ? (next as (now: T) => T)(now) : next;
        held.set(key, then);
        return then;
      }),
    [held, key],
  );
  return [value, set];
}
