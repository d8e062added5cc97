import {
  createContext,
  type ReactNode,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from 'react';
import { mayDo } from '@/contract/permissions';
import type { VisitRecord } from '@/contract/records';
import type { FindingId } from '@/core/findings/findings';
import type { ClinicalPicture } from '@/core/findings/picture';
import type { Rule } from '@/core/knowledge/rule';
import type { SchoolChoice } from '@/core/knowledge/schools';
import { findingsOfRule, indexOf } from '@/core/prescribe/engine/rule-index';
import type { Specification, Target } from '@/core/prescribe/engine/specification';
import type { AskedPair } from '@/core/purpose/pairs';
import type { VisitBlock } from '@/core/visit/blocks';
import type { StepContents } from '@/core/visit/contents';
import {
  chosenTryOn,
  readVisit,
  type VisitOptions,
  type VisitReading,
  verdictContext,
} from '@/core/visit/read-visit';
import { stepTable } from '@/core/visit/steps';
import type { VerdictContext } from '@/core/wear/old-pair';
import type { Reasoning } from '@/workers/reason-worker';
import { useModels } from '../use-models';
import type { Following } from '../use-task';
import { useReasoning } from './use-reasoning';
import type { VisitState, VisitStore } from './visit-store';

interface VisitView {
  visit: VisitRecord;
  store: VisitStore;
  state: VisitState;
  /** Everything known, with what follows from it, as it concerns the pair under work. */
  picture: ClinicalPicture;
  /** The pairs that are asked for, and the one under work. */
  pairs: readonly AskedPair[];
  pair: AskedPair | null;
  /** Warning signs that the findings point at, and those that are not answered. */
  warnings: VisitReading['warnings'];
  /** What stands between this visit and a hand-over. */
  blocks: readonly VisitBlock[];
  specification: Specification;
  /** Under which school, choices and rules it was resolved. */
  options: VisitOptions;
  school: SchoolChoice;
  /** What targets hang on and what to find out next, from the worker. */
  reasoning: Following<Reasoning>;
  /** Findings that the target under the pointer rests on. */
  lit: ReadonlySet<FindingId>;
  readOnly: boolean;
  /** Whether the reader may pin, loosen, overrule, set aside and choose the school here. */
  mayDecide: boolean;
  /** On what day and under which camp a pair that was brought is judged. */
  verdictContext: VerdictContext;
  /** What a step has loaded and not kept yet (a print, a clip), so that leaving the step does not lose it. */
  held: Map<string, unknown>;
}

const Context = createContext<VisitView | null>(null);

/** What stays the same while somebody types: a field that reads no more than this is not drawn again for another’s sake. */
export type VisitGround = Pick<VisitView, 'visit' | 'store' | 'lit' | 'readOnly'> & {
  ageYears: ClinicalPicture['body']['ageYears'];
};
const Ground = createContext<VisitGround | null>(null);

interface ProviderProps {
  visit: VisitRecord;
  store: VisitStore;
  /** The target under the pointer. */
  target: Target | null;
  children: ReactNode;
}

/** Findings that a target rests on, so that the work area can show them. */
function findingsBehind(target: Target | null, rules: readonly Rule[]): ReadonlySet<FindingId> {
  const { byId } = indexOf(rules);
  return new Set(
    (target?.pushes ?? []).flatMap((push) => {
      const rule = byId.get(push.rule);
      return rule ? findingsOfRule(rule) : [];
    }),
  );
}

/** Reads the visit anew whenever a step changes; what did not change stays the same object. */
function useReading(visit: VisitRecord, { steps }: VisitState): VisitReading {
  const before = useRef<VisitReading>(undefined);
  const isChosen = steps['try-on'].content.tryOns?.some((tryOn) => tryOn.verdict === 'chosen') ?? false;
  // Only a chosen pair is held against its model: until then nobody waits for the catalogue.
  const { models } = useModels(isChosen && visit.closedAt === null);
  return useMemo(() => {
    const contents = stepTable<StepContents>((step) => steps[step].content);
    const chosen = chosenTryOn(contents);
    const model = models ? (models.find(({ id }) => id === chosen?.model) ?? null) : undefined;
    before.current = readVisit(visit, contents, model, before.current);
    return before.current;
  }, [visit, steps, models]);
}

/** Everything the steps read: the saved visit, and the reading that follows from it. */
export function VisitProvider({ visit, store, target, children }: ProviderProps) {
  const state = useSyncExternalStore(store.subscribe, store.snapshot, store.snapshot);
  const reading = useReading(visit, state);
  const { entered, options } = reading;
  const { rules } = options.knowledge;
  const lit = useMemo(() => findingsBehind(target, rules), [target, rules]);
  const reasoning = useReasoning(entered, options);
  const readOnly = visit.closedAt !== null;
  const {
    on,
    school: lifeSchool,
    weeklyKm = null,
    strengths,
  } = verdictContext(visit, {
    ask: state.steps.ask.content,
  });
  const judged = useMemo(
    () => ({ on, school: lifeSchool, weeklyKm, strengths }),
    [on, lifeSchool, weeklyKm, strengths],
  );
  const [held] = useState(() => new Map<string, unknown>());
  const view = useMemo(
    () => ({
      visit,
      store,
      state,
      picture: reading.picture,
      pairs: reading.pairs,
      pair: reading.pair,
      warnings: reading.warnings,
      blocks: reading.blocks,
      specification: reading.specification,
      options,
      school: options.school,
      reasoning,
      lit,
      readOnly,
      mayDecide: !readOnly && mayDo(visit.readerRole, 'decide'),
      verdictContext: judged,
      held,
    }),
    [visit, store, state, reading, options, reasoning, lit, readOnly, judged, held],
  );
  const { ageYears } = reading.picture.body;
  const ground = useMemo(
    () => ({ visit, store, lit, readOnly, ageYears }),
    [visit, store, lit, readOnly, ageYears],
  );
  return (
    <Ground value={ground}>
      <Context value={view}>{children}</Context>
    </Ground>
  );
}

const OUTSIDE = 'This part belongs inside a visit.';

export function useVisit(): VisitView {
  const view = useContext(Context);
  if (!view) throw new Error(OUTSIDE);
  return view;
}

export function useGround(): VisitGround {
  const ground = useContext(Ground);
  if (!ground) throw new Error(OUTSIDE);
  return ground;
}

/** One value of the visit’s state; whoever reads it is drawn again only when it is another. */
export function useOfState<T>(read: (state: VisitState) => T): T {
  const { store } = useGround();
  const now = () => read(store.snapshot());
  return useSyncExternalStore(store.subscribe, now, now);
}

/** State that outlives its component for as long as the visit is open on this page. */
export function useHeld<T>(key: string, initial: T) {
  const { held } = useVisit();
  // Only this hook writes under the key, always with the same type.
  const [value, setValue] = useState<T>(() => (held.has(key) ? (held.get(key) as T) : initial));
  useEffect(() => {
    held.set(key, value);
  }, [held, key, value]);
  return [value, setValue] as const;
}
