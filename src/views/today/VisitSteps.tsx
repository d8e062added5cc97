/** @jsxImportSource preact */
import { STEP_NAME, STEP_STATE, type StepStates, VISIT_STEPS } from '@/core/visit/steps';
import { STATE_BOX, STATE_SHAPE } from '@/ui/step-state-shape';

/** How far a visit has come: its steps as they stand beside the visit itself. */
export function VisitSteps({ steps }: { steps: StepStates }) {
  const states = VISIT_STEPS.map((step) => ({ step, state: steps[step] ?? 'untouched' }));
  return (
    <span
      role="img"
      aria-label={states.map(({ step, state }) => `${STEP_NAME[step]} ${STEP_STATE[state]}`).join(', ')}
      className="flex gap-1.5 items-center"
    >
      {states.map(({ step, state }) => (
        <svg key={step} viewBox={STATE_BOX} width="14" height="14" className="shrink-0">
          <title>{`${STEP_NAME[step]}: ${STEP_STATE[state]}`}</title>
          <circle {...STATE_SHAPE[state].ring} />
          {STATE_SHAPE[state].mark && <path {...STATE_SHAPE[state].mark} />}
        </svg>
      ))}
    </span>
  );
}
