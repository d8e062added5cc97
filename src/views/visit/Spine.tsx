import { definitionOf } from '@/core/findings/findings';
import type { SavedStep, StepState } from '@/core/visit/steps';
import { STEP_NAME, STEP_STATE, VISIT_STEPS } from '@/core/visit/steps';
import { wantsOldPairFirst } from '@/core/wear/old-pair';
import { STATE_BOX, STATE_SHAPE } from '@/ui/step-state-shape';
import { timeInWords } from './time-in-words';
import { useExamined } from './visit-context';

/** State of a step by shape. */
function StateShape({ state }: { state: StepState }) {
  const { ring, mark } = STATE_SHAPE[state];
  return (
    <svg viewBox={STATE_BOX} width="14" height="14" aria-hidden="true" className="shrink-0">
      <circle {...ring} />
      {mark && <path {...mark} />}
    </svg>
  );
}

interface Props {
  current: SavedStep;
  onGo: (step: SavedStep) => void;
}

/** The steps in the order of work, each with its state; warning signs are two presses from anywhere. */
export function Spine({ current, onGo }: Props) {
  const { state, warnings, readOnly, picture } = useExamined();
  const pairFirst = !readOnly && wantsOldPairFirst(picture);
  const { open } = warnings;
  /** A step as it stands; what was handed over is done, whoever pressed what. */
  const stateOf = (step: SavedStep): StepState =>
    readOnly && step === 'hand-over' ? 'done' : state.steps[step].state;
  const button = (step: SavedStep, number: number | null) => (
    <button
      type="button"
      onClick={() => onGo(step)}
      aria-current={current === step ? 'step' : undefined}
      className="w-full text-left px-3 py-1.5 flex gap-2 items-start cursor-pointer hover:bg-desk aria-[current]:bg-accent aria-[current]:text-on-accent"
    >
      <span className="pt-0.5">
        <StateShape state={stateOf(step)} />
      </span>
      <span className="leading-tight">
        {number !== null && <span className="figure">{number} </span>}
        <span className="font-medium">{STEP_NAME[step]}</span>
        <span className="block text-xs">
          {state.steps[step].saving === 'conflict'
            ? 'two versions'
            : step === 'old-pair' && pairFirst && state.steps[step].state === 'untouched'
              ? 'first: look at the pair'
              : STEP_STATE[stateOf(step)]}
        </span>
      </span>
    </button>
  );
  return (
    <nav
      aria-label="Steps of the visit"
      className="border-b md:border-b-0 md:border-r border-rule md:w-40 shrink-0 flex md:flex-col py-2 overflow-auto"
    >
      <ol className="flex md:block">
        {VISIT_STEPS.map((step, index) => (
          <li key={step} className="shrink-0">
            {button(step, index + 1)}
          </li>
        ))}
      </ol>
      <NextQuestions onGo={onGo} />
      <div className="md:mt-auto md:border-t border-line md:pt-1 shrink-0">
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
  const { reasoning, readOnly } = useExamined();
  const questions = (reasoning.answer?.questions ?? [])
    .filter((question) => question.step !== null)
    .slice(0, BESIDE);
  if (readOnly || questions.length === 0) return null;
  return (
    <section
      aria-label="Worth finding out next"
      className="md:border-t border-line md:mt-1 md:pt-1 px-3 text-xs shrink-0 w-40"
    >
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
