import {
  createContext,
  type ReactNode,
  use,
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
import type { TryOn } from '@/core/fitting/try-on';
import type { SchoolChoice } from '@/core/knowledge/schools';
import type { Specification, Target } from '@/core/prescribe/engine/specification';
import type { AskedPair } from '@/core/purpose/pairs';
import type { VisitBlock } from '@/core/visit/blocks';
import type { StepContents } from '@/core/visit/contents';
import { type ExaminedVisit, readExamined, verdictContext } from '@/core/visit/examined';
import type { ChosenModel, VisitOptions, VisitReading } from '@/core/visit/read-visit';
import { stepTable } from '@/core/visit/steps';
import type { VerdictContext } from '@/core/wear/old-pair';
import type { Reasoning } from '@/workers/reason-worker';
import { useModels } from '../use-models';
import type { Following } from '../use-task';
import { usePrescriber } from './use-prescriber';
import { useReasoning } from './use-reasoning';
import type { VisitState, VisitStore } from './visit-store';

/** What is entered in a visit and derives from it: all that a field needs, there before the rules have come. */
interface ExaminedView {
  visit: VisitRecord;
  store: VisitStore;
  state: VisitState;
  /** Everything known, with what follows from it, as it concerns the pair under work. */
  picture: ClinicalPicture;
  /** The pairs that are asked for, and the one under work. */
  pairs: readonly AskedPair[];
  pair: AskedPair | null;
  /** Warning signs that the findings point at, and those that are not answered. */
  warnings: ExaminedVisit['warnings'];
  readOnly: boolean;
  /** Whether the reader may pin, loosen, overrule, set aside and choose the school here. */
  mayDecide: boolean;
  /** On what day and under which camp a pair that was brought is judged. */
  verdictContext: VerdictContext;
  /** What targets hang on and what to find out next, from the worker; nothing before the rules have come. */
  reasoning: Following<Reasoning>;
  /** What a step has loaded and not kept yet (a print, a clip), so that leaving the step does not lose it. */
  held: Map<string, unknown>;
}

/** A visit with what the rules make of it. */
interface VisitView extends ExaminedView {
  /** What stands between this visit and a hand-over. */
  blocks: readonly VisitBlock[];
  specification: Specification;
  /** Under which school, choices and rules it was resolved. */
  options: VisitOptions;
  school: SchoolChoice;
}

const Examined = createContext<ExaminedView | null>(null);
/** The whole view; `ready` is what it waits for, null where the rules were there from the beginning. */
const Whole = createContext<{ view: VisitView | null; ready: Promise<void> | null }>({
  view: null,
  ready: null,
});

/** What stays the same while somebody types: a field that reads no more than this is not drawn again for another’s sake. */
export type VisitGround = Pick<VisitView, 'visit' | 'store' | 'readOnly'> & {
  /** Findings that the target under the pointer rests on. */
  lit: ReadonlySet<FindingId>;
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

const NONE: ReadonlySet<FindingId> = new Set();

/** The model of the pair that was chosen; nobody waits for the catalogue before there is one. */
function useChosenModel({ closedAt }: VisitRecord, tryOn: TryOn | null): ChosenModel {
  const { models } = useModels(tryOn !== null && closedAt === null);
  return models ? (models.find(({ id }) => id === tryOn?.model) ?? null) : undefined;
}

/** Reads the visit anew whenever a step changes; what did not change stays the same object. */
function useReading(visit: VisitRecord, { steps }: VisitState) {
  const { prescriber, ready } = usePrescriber();
  const contents = useMemo(() => stepTable<StepContents>((step) => steps[step].content), [steps]);
  const before = useRef<ExaminedVisit>(undefined);
  const examined = useMemo(() => {
    before.current = readExamined(visit, contents, before.current);
    return before.current;
  }, [visit, contents]);
  const model = useChosenModel(visit, examined.chosen);
  const readBefore = useRef<VisitReading>(undefined);
  const reading = useMemo(() => {
    if (!prescriber) return null;
    readBefore.current = prescriber.prescribeFor(examined, contents, model, readBefore.current);
    return readBefore.current;
  }, [prescriber, examined, contents, model]);
  return { examined, reading, prescriber, ready };
}

/** On what day, under which camp and after how much walking a pair is judged; the same object while it says the same. */
function useVerdictContext(visit: VisitRecord, ask: StepContents['ask']): VerdictContext {
  const { on, school, weeklyKm = null, strengths } = verdictContext(visit, { ask });
  return useMemo(() => ({ on, school, weeklyKm, strengths }), [on, school, weeklyKm, strengths]);
}

/** Everything the steps read: the saved visit, and the reading that follows from it. */
export function VisitProvider({ visit, store, target, children }: ProviderProps) {
  const state = useSyncExternalStore(store.subscribe, store.snapshot, store.snapshot);
  const { examined, reading, prescriber, ready } = useReading(visit, state);
  const reasoning = useReasoning(examined.entered, reading?.options ?? null);
  const judged = useVerdictContext(visit, state.steps.ask.content);
  const readOnly = visit.closedAt !== null;
  const [held] = useState(() => new Map<string, unknown>());
  const { picture, pairs, pair, warnings } = examined;
  const view = useMemo(
    () => ({
      visit,
      store,
      state,
      picture,
      pairs,
      pair,
      warnings,
      readOnly,
      mayDecide: !readOnly && mayDo(visit.readerRole, 'decide'),
      verdictContext: judged,
      reasoning,
      held,
    }),
    [visit, store, state, picture, pairs, pair, warnings, readOnly, judged, reasoning, held],
  );
  const whole = useMemo(() => {
    if (!reading) return { view: null, ready };
    const { blocks, specification, options } = reading;
    return { view: { ...view, blocks, specification, options, school: options.school }, ready };
  }, [view, reading, ready]);
  const rules = reading?.options.knowledge.rules;
  const lit = useMemo(
    () => (target && rules && prescriber ? prescriber.findingsBehind(target, rules) : NONE),
    [target, rules, prescriber],
  );
  const { ageYears } = picture.body;
  const ground = useMemo(
    () => ({ visit, store, lit, readOnly, ageYears }),
    [visit, store, lit, readOnly, ageYears],
  );
  return (
    <Ground value={ground}>
      <Examined value={view}>
        <Whole value={whole}>{children}</Whole>
      </Examined>
    </Ground>
  );
}

const OUTSIDE = 'This part belongs inside a visit.';

/** The visit as far as no rule is asked: does not wait. */
export function useExamined(): ExaminedView {
  const view = useContext(Examined);
  if (!view) throw new Error(OUTSIDE);
  return view;
}

/** The whole visit: suspends until the rules have come, which is once, moments after the page has opened. */
export function useVisit(): VisitView {
  const { view, ready } = useContext(Whole);
  if (ready) use(ready);
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
  const { held } = useExamined();
  // Only this hook writes under the key, always with the same type.
  const [value, setValue] = useState<T>(() => (held.has(key) ? (held.get(key) as T) : initial));
  useEffect(() => {
    held.set(key, value);
  }, [held, key, value]);
  return [value, setValue] as const;
}
