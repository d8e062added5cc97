import { FINDING_STEPS, type FindingStep } from '../findings/finding-kinds';

/** Steps of a visit in the order in which a practitioner works. */
export const VISIT_STEPS = [...FINDING_STEPS, 'reason', 'candidates', 'try-on', 'hand-over'] as const;
export type VisitStep = (typeof VISIT_STEPS)[number];

/** Everything that is saved step by step: the spine, and two panels reachable from any step. */
export const SAVED_STEPS = [...VISIT_STEPS, 'warnings', 'prosthesis'] as const;
export type SavedStep = (typeof SAVED_STEPS)[number];

/** What each is called. */
export const STEP_NAME: Readonly<Record<SavedStep, string>> = {
  ask: 'Ask',
  'old-pair': 'Old pair',
  feet: 'Feet',
  load: 'Load',
  move: 'Move',
  reason: 'Reason',
  candidates: 'Candidates',
  'try-on': 'Try-on',
  'hand-over': 'Hand-over',
  warnings: 'Warning signs',
  prosthesis: 'Prosthesis',
};

export type StepState = 'untouched' | 'in-progress' | 'done' | 'skipped';

export const STEP_STATE: Readonly<Record<StepState, string>> = {
  untouched: 'untouched',
  'in-progress': 'in progress',
  done: 'done',
  skipped: 'skipped',
};

/** What was begun of a visit; a step that is not here is untouched. */
export type StepStates = Partial<Record<SavedStep, StepState>>;

/**
 * Where a visit stands: at the furthest step that is in progress, or at the one after the furthest that is done or left out.
 *
 * @example whereVisitStands({ ask: 'done', feet: 'in-progress' }) // 'feet'
 * @example whereVisitStands({ ask: 'done', 'old-pair': 'skipped' }) // 'feet'
 */
export function whereVisitStands(states: StepStates): VisitStep {
  const at = VISIT_STEPS.findLastIndex((step) => (states[step] ?? 'untouched') !== 'untouched');
  const furthest = VISIT_STEPS[at];
  if (furthest === undefined) return VISIT_STEPS[0];
  return states[furthest] === 'in-progress' ? furthest : (VISIT_STEPS[at + 1] ?? furthest);
}

const SAVED: ReadonlySet<string> = new Set(SAVED_STEPS);
const VISITED: ReadonlySet<string> = new Set(VISIT_STEPS);
const FINDING: ReadonlySet<string> = new Set(FINDING_STEPS);

export const isSavedStep = (name: string): name is SavedStep => SAVED.has(name);
export const isVisitStep = (name: string): name is VisitStep => VISITED.has(name);
export const isFindingStep = (name: string): name is FindingStep => FINDING.has(name);

/**
 * A table over all steps, made step by step.
 *
 * @param make a function of the step's own name; TypeScript cannot follow a value from each name into a table
 */
export const stepTable = <T extends Record<SavedStep, unknown>>(make: (step: SavedStep) => unknown): T =>
  Object.fromEntries(SAVED_STEPS.map((step) => [step, make(step)])) as T;
