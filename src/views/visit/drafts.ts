import type { StepContents } from '@/core/visit/contents';
import type { SavedStep, StepState } from '@/core/visit/steps';
import { draftStore } from '../draft-store';

/** What this browser holds of a step that the server may not have yet. */
export interface Draft<S extends SavedStep = SavedStep> {
  /** Revision that the draft builds on. */
  revision: number;
  state: StepState;
  content: StepContents[S];
  /** Typed text that is not a value yet, by field. */
  typed: Record<string, string>;
  /** What was last sent and not answered: if that stands on the server, it is our own save, not somebody else's. */
  sent?: StepContents[S] | null;
}

const key = (visitId: string, step: SavedStep): string => `visit:${visitId}:${step}`;

export const keepDraft = <S extends SavedStep>(visitId: string, step: S, draft: Draft<S>): void =>
  draftStore.keep(key(visitId, step), draft);

export const dropDraft = (visitId: string, step: SavedStep): void => draftStore.drop(key(visitId, step));

const isDraft = <S extends SavedStep>(kept: unknown): kept is Draft<S> =>
  typeof kept === 'object' && kept !== null && 'content' in kept && 'revision' in kept && 'typed' in kept;

/** A kept draft; null where there is none or it cannot be one. The server checks its content when it is saved. */
export function readDraft<S extends SavedStep>(visitId: string, step: S): Draft<S> | null {
  const kept = draftStore.read(key(visitId, step));
  return isDraft<S>(kept) ? kept : null;
}
