import type { HomeContent } from '@/core/home/report';

/** What was said so many days before today, oldest first. */
export type DemoSaid = readonly (readonly [daysAgo: number, content: HomeContent, at?: string])[];

const outing = (felt: 'fine' | 'mild', marks = false): HomeContent => ({
  kind: 'outing',
  felt,
  gaitChanged: false,
  marks,
});
const eight = (mm: number): HomeContent => ({ kind: 'girth', side: 'right', measure: 'figureOfEight', mm });

/** By what they wear and have: a limb that shrank in a step, legs that swell, a pair that is being broken in. */
export const DEMO_HOME = {
  limb: [[1, { kind: 'socks', ply: 7, feel: 'loose' }]],
  // Twelve weeks, each with one day in the morning and the evening.
  swelling: Array.from({ length: 12 }, (_, week): [number, HomeContent, string][] => {
    const daysAgo = 7 * (11 - week) + 2;
    const base = 474 + Math.round(0.7 * week);
    return [
      [daysAgo, eight(base + ((week * 5) % 4)), '08:10'],
      [daysAgo, eight(base + 14 + ((week * 3) % 5)), '19:40'],
    ];
  }).flat(),
  breakIn: [
    [5, outing('fine')],
    [3, outing('mild')],
    [3, { kind: 'blister', spot: { side: 'right', place: 'heel-back' }, isOpen: false }],
    [2, { kind: 'comfort', comfort: 70, pain: 2 }],
    [1, { kind: 'new-pair', name: 'canvas slippers for the house' }],
  ],
} as const satisfies Record<string, DemoSaid>;
