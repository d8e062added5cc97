import { numberQuestion } from '@/core/findings/finding-kinds';

// Short and long rooms are advised on; asking whether they are meant would only move what is pressed next.
export const ROOM = numberQuestion('Room in front', 'mm', [-20, 60]);
export const COMFORT = numberQuestion('Comfort, 0–100', 'score', [0, 100], { whole: true });

/** Checks by tap, in the order in which they are made on each foot. */
export const FOOT_CHECKS = {
  widthFit: { label: 'Width, ball', options: { tight: 'tight', right: 'right', loose: 'loose' } },
  depth: { label: 'Depth', options: { tight: 'tight', right: 'right', loose: 'loose' } },
  midfootHold: { label: 'Midfoot', options: { held: 'held', loose: 'loose' } },
  heelSlip: { label: 'Heel slip', options: { none: 'none', slight: 'slight', clear: 'clear' } },
  collar: { label: 'Collar', options: { clear: 'clear', presses: 'presses' } },
  archFeel: { label: 'Arch', options: { right: 'right', presses: 'presses', missing: 'missing' } },
  instep: { label: 'Instep', options: { right: 'right', presses: 'presses' } },
  bend: { label: 'Folds', options: { 'under-ball': 'under ball', 'too-far-back': 'too far back' } },
  pushOff: {
    label: 'Pushes off',
    options: { 'big-toe': 'big toe', middle: 'middle', 'little-toes': 'little toes', none: 'not' },
  },
} as const;
export type FootCheck = keyof typeof FOOT_CHECKS;
