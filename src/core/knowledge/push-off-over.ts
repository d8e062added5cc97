import type { FindingValue } from '../findings/findings';

type PushOff = FindingValue<'pushOff'>;
type Pain = FindingValue<'pain'>[number];

/** Aches that a push-off over a place loads last. Common practice. */
export const PUSH_OFF_OVER = {
  'big-toe': ['big-toe'],
  middle: ['forefoot', 'between-toes'],
  'little-toes': ['ankle-outer', 'forefoot'],
} as const satisfies Record<Exclude<PushOff, 'none'>, readonly Pain[]>;
