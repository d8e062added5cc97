import type { NumberFinding } from '@/core/picture/finding-kinds';

const number = (
  label: string,
  unit: NumberFinding['unit'],
  plausible: [number, number],
  possible: [number, number],
  whole = false,
): NumberFinding => ({ kind: 'number', scope: 'body', step: null, label, unit, plausible, possible, whole });

// Short and long rooms are advised on; asking whether they are meant would only move what is pressed next.
export const ROOM = number('Room in front', 'mm', [-20, 60], [-20, 60]);
export const COMFORT = number('Comfort, 0–100', 'score', [0, 100], [0, 100], true);

/** Checks by tap, in the order in which they are made on each foot. */
export const FOOT_CHECKS = {
  widthFit: ['Width, ball', { tight: 'tight', right: 'right', loose: 'loose' }],
  depth: ['Depth', { tight: 'tight', right: 'right', loose: 'loose' }],
  heelSlip: ['Heel slip', { none: 'none', slight: 'slight', clear: 'clear' }],
  collar: ['Collar', { clear: 'clear', presses: 'presses' }],
  archFeel: ['Arch', { right: 'right', presses: 'presses', missing: 'missing' }],
  instep: ['Instep', { right: 'right', presses: 'presses' }],
  bend: ['Folds', { 'under-ball': 'under ball', 'too-far-back': 'too far back' }],
} as const;
export type FootCheck = keyof typeof FOOT_CHECKS;
