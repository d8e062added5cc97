import { VISIT_STEPS } from '@/core/picture/finding-kinds';

/** Everything that is saved step by step: the spine, and two panels reachable from any step. */
export const SAVED_STEPS = [...VISIT_STEPS, 'warnings', 'prosthesis'] as const;
export type SavedStep = (typeof SAVED_STEPS)[number];
export type StepState = 'untouched' | 'in-progress' | 'done' | 'skipped';
