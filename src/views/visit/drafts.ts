import type { SavedStep, StepState } from '@/api/saved-steps';

/** What this browser holds of a step that the server may not have yet. */
export interface Draft {
  /** Revision that the draft builds on. */
  revision: number;
  state: StepState;
  content: Record<string, unknown>;
  /** Typed text that is not a value yet, by field. */
  typed: Record<string, string>;
  /** What was last sent and not answered: if that stands on the server, it is our own save, not somebody else's. */
  sent?: Record<string, unknown> | null;
}

const key = (visitId: string, step: SavedStep): string => `sovet:visit:${visitId}:${step}`;

/** Keeps a draft; a browser that refuses storage only loses this safety net. */
export function keepDraft(visitId: string, step: SavedStep, draft: Draft): void {
  try {
    localStorage.setItem(key(visitId, step), JSON.stringify(draft));
  } catch {
    // Storage full or forbidden: the server copy remains.
  }
}

export function dropDraft(visitId: string, step: SavedStep): void {
  try {
    localStorage.removeItem(key(visitId, step));
  } catch {
    // Nothing to drop.
  }
}

export function readDraft(visitId: string, step: SavedStep): Draft | null {
  try {
    const text = localStorage.getItem(key(visitId, step));
    return text === null ? null : (JSON.parse(text) as Draft);
  } catch {
    return null;
  }
}
