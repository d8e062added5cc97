import type { StepState } from '@/core/visit/steps';

/** The square in which the shape of a state is drawn. */
export const STATE_BOX = '0 0 14 14';

const RING = { cx: 7, cy: 7, r: 5.4, stroke: 'currentColor', strokeWidth: 1.4, fill: 'none' };
const FULL = { ...RING, fill: 'currentColor' };

/** The state of a step by its shape: an empty ring, one half full, a full disc, a struck ring. Attributes of a circle and of a path in it. */
export const STATE_SHAPE: Record<
  StepState,
  { ring: typeof RING; mark?: { d: string; fill: string; stroke?: string; strokeWidth?: number } }
> = {
  untouched: { ring: RING },
  'in-progress': { ring: RING, mark: { d: 'M7 1.6 A5.4 5.4 0 0 1 7 12.4 Z', fill: 'currentColor' } },
  done: { ring: FULL },
  skipped: {
    ring: RING,
    mark: { d: 'M3 11 L11 3', fill: 'none', stroke: 'currentColor', strokeWidth: 1.6 },
  },
};
