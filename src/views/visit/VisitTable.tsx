import { type ComponentType, lazy, memo, Suspense, useEffect, useRef, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import type { VisitRecord } from '@/contract/records';
import type { Target } from '@/core/prescribe/engine/specification';
import { mapTable } from '@/core/tables/keys-of';
import { isPairStep } from '@/core/visit/pair-work';
import type { SavedStep } from '@/core/visit/steps';
import { isSavedStep, isVisitStep, STEP_NAME, VISIT_STEPS } from '@/core/visit/steps';
import { Failed } from '@/ui/page/Failed';
import { whenIdle } from '../when-idle';
import { Keys } from './Keys';
import { PairPicker } from './PairPicker';
import { SavingLine } from './SavingLine';
import { Spine } from './Spine';
import { VISIT_COLUMNS } from './visit-columns';
import { useExamined, VisitProvider } from './visit-context';
import { VisitStore } from './visit-store';

// The shoe comes with the rules, once the first step stands.
const SpecificationPanel = lazy(() =>
  import('./SpecificationPanel').then((part) => ({ default: part.SpecificationPanel })),
);
const ConflictPanel = lazy(() => import('./ConflictPanel').then((part) => ({ default: part.ConflictPanel })));

/** A step comes when it is opened, and the rest of them while nothing else is asked of the page. */
const LOADERS: Record<SavedStep, () => Promise<{ default: ComponentType }>> = {
  ask: () => import('./steps/ask/Ask').then(({ Ask }) => ({ default: Ask })),
  'old-pair': () => import('./steps/old-pair/OldPair').then(({ OldPair }) => ({ default: OldPair })),
  feet: () => import('./steps/feet/Feet').then(({ Feet }) => ({ default: Feet })),
  load: () => import('./steps/Load').then(({ Load }) => ({ default: Load })),
  move: () => import('./steps/Move').then(({ Move }) => ({ default: Move })),
  reason: () => import('./steps/reason/Reason').then(({ Reason }) => ({ default: Reason })),
  candidates: () =>
    import('./steps/candidates/Candidates').then(({ Candidates }) => ({ default: Candidates })),
  'try-on': () => import('./steps/try-on/TryOnStep').then(({ TryOnStep }) => ({ default: TryOnStep })),
  'hand-over': () => import('./steps/hand-over/HandOver').then(({ HandOver }) => ({ default: HandOver })),
  warnings: () => import('./steps/Warnings').then(({ Warnings }) => ({ default: Warnings })),
  prosthesis: () => import('./steps/Prosthesis').then(({ Prosthesis }) => ({ default: Prosthesis })),
};
/** What a press opens beside a step; without a network it is there all the same. */
const BESIDE = [
  () => import('./BandBoundary'),
  () => import('./JumpTo'),
  () => import('./KeysPage'),
  () => import('./SignInAgain'),
  () => import('./ConflictPanel'),
];
/** What surrounds a step is drawn with every keystroke, a step only for its own sake. */
const SCREENS = mapTable(LOADERS, (load) => memo(lazy(load)));

const fromHash = (): SavedStep | null => {
  const name = location.hash.slice(1);
  return isSavedStep(name) ? name : null;
};

/** The visit table: spine, work, specification. */
export function VisitTable({ visit }: { visit: VisitRecord }) {
  const [store] = useState(() => new VisitStore(visit));
  const [step, setStep] = useState<SavedStep>(visit.closedAt ? 'hand-over' : 'ask');
  const [target, setTarget] = useState<Target | null>(null);
  const [restored, setRestored] = useState<SavedStep[]>([]);
  const current = useRef(step);
  current.current = step;

  useEffect(() => {
    setRestored(store.restore());
    const go = () => {
      const wanted = fromHash();
      if (wanted) setStep(wanted);
    };
    go();
    // Kept at hand for when the network is gone.
    const later = whenIdle([...Object.values(LOADERS), ...BESIDE]);
    window.addEventListener('hashchange', go);
    const unwatch = store.keepInTouch(() => current.current);
    return () => {
      window.removeEventListener('hashchange', go);
      unwatch();
      later.stop();
    };
  }, [store]);

  const go = (next: SavedStep) => {
    location.hash = next;
    setStep(next);
    void store.announcePresence(next);
  };

  /** Takes back the latest entry, where it was made. */
  const undo = () => {
    const where = store.undo();
    if (where && where !== step) go(where);
  };

  return (
    <VisitProvider visit={visit} store={store} target={target}>
      <div className={VISIT_COLUMNS} data-visit={visit.id}>
        <Spine current={step} onGo={go} />
        <Work step={step} onGo={go} onUndo={undo} restored={restored} />
        <aside
          aria-label="Specification"
          className="bg-desk border-t md:border-t-0 md:border-l border-rule flex flex-col min-h-0 px-4 py-2"
        >
          <ErrorBoundary fallbackRender={() => <NotOpened what="The specification" />}>
            <Suspense fallback={<Opening />}>
              <SpecificationPanel lit={target} onLight={setTarget} onOpen={() => go('reason')} />
            </Suspense>
          </ErrorBoundary>
        </aside>
      </div>
      <Keys onGo={go} onUndo={undo} current={step} />
    </VisitProvider>
  );
}

const Opening = () => (
  <p className="text-faint" data-opening>
    Opening …
  </p>
);

const NotOpened = ({ what }: { what: string }) => (
  <Failed
    problem={`${what} could not be opened. What was entered is kept. Check the network, then try again.`}
    onRetry={() => location.reload()}
  />
);

function Work({
  step,
  onGo,
  onUndo,
  restored,
}: {
  step: SavedStep;
  onGo: (step: SavedStep) => void;
  onUndo: () => void;
  restored: readonly SavedStep[];
}) {
  const { visit, state, store, readOnly } = useExamined();
  const heading = useRef<HTMLHeadingElement>(null);
  const arrived = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: focus follows the step, not what the ref holds
  useEffect(() => {
    if (arrived.current) heading.current?.focus({ preventScroll: true });
    arrived.current = true;
  }, [step]);
  const Screen = SCREENS[step];
  const entry = state.steps[step];
  const at = isVisitStep(step) ? VISIT_STEPS.indexOf(step) : -1;
  const next = at >= 0 ? VISIT_STEPS[at + 1] : undefined;
  const done = () => {
    store.setState(step, 'done');
    if (next) onGo(next);
  };
  return (
    <section aria-labelledby="step-name" className="flex flex-col min-h-0 min-w-0">
      <header className="flex flex-wrap md:flex-nowrap items-baseline gap-x-4 px-5 pt-3 pb-2">
        <h1 id="step-name" ref={heading} tabIndex={-1} className="outline-none">
          {STEP_NAME[step]}
        </h1>
        <p className="text-faint">
          <a href={`/patients/${visit.patient.id}`}>
            <bdi>
              {visit.patient.givenName} {visit.patient.familyName}
            </bdi>
          </a>
          , {[visit.patient.age, visit.patient.occupation].filter(Boolean).join(', ')}.{' '}
          <a href={`/visits/${visit.id}/examination`}>Record</a>
        </p>
        <SavingLine onUndo={onUndo} />
      </header>
      {isPairStep(step) && <PairPicker />}
      {state.others.length > 0 && (
        <p role="status" className="px-5 text-hold">
          {state.others
            .map((other) => `${other.name} is also on this visit (${STEP_NAME[other.step]})`)
            .join('; ')}
          .
        </p>
      )}
      {restored.length > 0 && (
        <p role="status" className="px-5 text-hold">
          Restored from this browser: {restored.map((name) => STEP_NAME[name]).join(', ')}.
        </p>
      )}
      <div
        data-work
        className="grow relative overflow-x-auto md:overflow-y-auto px-5 pb-4 pt-1"
        tabIndex={0}
        role="region"
        aria-label={`${STEP_NAME[step]}, work`}
      >
        <ErrorBoundary resetKeys={[step]} fallbackRender={() => <NotOpened what="This step" />}>
          <Suspense fallback={<Opening />}>
            {entry.saving === 'conflict' && entry.theirs ? (
              <ConflictPanel step={step} />
            ) : (
              <Screen key={step} />
            )}
          </Suspense>
        </ErrorBoundary>
      </div>
      {!readOnly && step !== 'hand-over' && (
        <footer className="flex gap-3 px-5 py-2 border-t border-line">
          <button type="button" className="press press-main" onClick={done}>
            {next ? `Done, on to ${STEP_NAME[next]}` : 'Done'}
          </button>
          {at >= 0 && (
            <button
              type="button"
              className="press"
              onClick={() => store.setState(step, 'skipped')}
              disabled={entry.state === 'skipped'}
            >
              Skip on purpose
            </button>
          )}
        </footer>
      )}
    </section>
  );
}
