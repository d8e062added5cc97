import { numberField } from '@/core/picture/finding-kinds';

// Short and long rooms are advised on; asking whether they are meant would only move what is pressed next.
export const ROOM = numberField('Room in front', 'mm', [-20, 60]);
export const COMFORT = numberField('Comfort, 0–100', 'score', [0, 100], { whole: true });

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
