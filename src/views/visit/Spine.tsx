import { definitionOf } from '@/core/findings/findings';
import type { SavedStep, StepState } from '@/core/visit/steps';
import { STEP_NAME, VISIT_STEPS } from '@/core/visit/steps';
import { wantsOldPairFirst } from '@/core/wear/old-pair';
import { timeInWords } from './time-in-words';
import { useVisit } from './visit-context';

const STATE_WORD: Record<StepState, string> = {
  untouched: 'untouched',
  'in-progress': 'in progress',
  done: 'done',
  skipped: 'skipped',
};

/** State of a step by shape: an empty ring, a half, a full disc, a struck ring. */
function StateShape({ state }: { state: StepState }) {
  return (
    <svg viewBox="0 0 14 14" width="14" height="14" aria-hidden="true" className="shrink-0">
      <circle
        cx="7"
        cy="7"
        r="5.4"
        fill={state === 'done' ? 'currentColor' : 'none'}
        stroke="currentColor"
        strokeWidth="1.4"
      />
      {state === 'in-progress' && <path d="M7 1.6 A5.4 5.4 0 0 1 7 12.4 Z" fill="currentColor" />}
      {state === 'skipped' && <path d="M3 11 L11 3" stroke="currentColor" strokeWidth="1.6" />}
    </svg>
  );
}

interface Props {
  current: SavedStep;
  onGo: (step: SavedStep) => void;
}

/** The steps in the order of work, each with its state; warning signs are two presses from anywhere. */
export function Spine({ current, onGo }: Props) {
  const { state, warnings, readOnly, picture } = useVisit();
  const pairFirst = !readOnly && wantsOldPairFirst(picture);
  const { open } = warnings;
  const button = (step: SavedStep, number: number | null) => (
    <button
      type="button"
      onClick={() => onGo(step)}
      aria-current={current === step ? 'step' : undefined}
      className="w-full text-left px-3 py-1.5 flex gap-2 items-start cursor-pointer hover:bg-desk aria-[current]:bg-accent aria-[current]:text-on-accent"
    >
      <span className="pt-0.5">
        <StateShape state={state.steps[step].state} />
      </span>
      <span className="leading-tight">
        {number !== null && <span className="figure">{number} </span>}
        <span className="font-medium">{STEP_NAME[step]}</span>
        <span className="block text-xs">
          {state.steps[step].saving === 'conflict'
            ? 'two versions'
            : step === 'old-pair' && pairFirst && state.steps[step].state === 'untouched'
              ? 'first: look at the pair'
              : STATE_WORD[state.steps[step].state]}
        </span>
      </span>
    </button>
  );
  return (
    <nav
      aria-label="Steps of the visit"
      className="border-r border-rule w-40 shrink-0 flex flex-col py-2 overflow-y-auto"
    >
      <ol>
        {VISIT_STEPS.map((step, index) => (
          <li key={step}>{button(step, index + 1)}</li>
        ))}
      </ol>
      <NextQuestions onGo={onGo} />
      <div className="mt-auto border-t border-line pt-1">
        {button('warnings', null)}
        {!readOnly && (
          <p className={`px-3 text-xs ${open.length > 0 ? 'text-warn font-medium' : 'text-faint'}`}>
            {open.length > 0 ? `${open.length} open: blocks hand-over` : 'nothing open'}
          </p>
        )}
      </div>
    </nav>
  );
}

/** How many questions stand beside the steps. */
const BESIDE = 3;

/** What is most worth finding out next, beside the steps, with the time each takes. */
function NextQuestions({ onGo }: { onGo: (step: SavedStep) => void }) {
  const { reasoning, readOnly } = useVisit();
  const questions = (reasoning.answer?.questions ?? [])
    .filter((question) => question.step !== null)
    .slice(0, BESIDE);
  if (readOnly || questions.length === 0) return null;
  return (
    <section aria-label="Worth finding out next" className="border-t border-line mt-1 pt-1 px-3 text-xs">
      <p className="text-faint">Worth finding out next</p>
      <ul>
        {questions.map((question) => (
          <li key={question.finding}>
            <button
              type="button"
              className="text-left underline cursor-pointer leading-snug py-0.5"
              onClick={() => onGo(question.step!)}
            >
              {definitionOf(question.finding).label}, {timeInWords(question.seconds)}
              {question.because && <span className="block text-hold">{question.because}</span>}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
