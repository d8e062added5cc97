import type { HomeContent } from '@/core/home/report';

/** What was said so many days before today, oldest first. */
export type DemoSaid = readonly (readonly [daysAgo: number, content: HomeContent])[];

const outing = (felt: 'fine' | 'mild', marks = false): HomeContent => ({
  kind: 'outing',
  felt,
  gaitChanged: false,
  marks,
});
const socks = (ply: number): HomeContent => ({ kind: 'socks', ply });
const ankle = (mm: number): HomeContent => ({ kind: 'girth', side: 'right', measure: 'ankleGirth', mm });

/** By what they wear and have: a limb that shrank in a step, legs that swell, a pair that is being broken in. */
export const DEMO_HOME = {
  limb: [
    [9, socks(3)],
    [7, socks(3)],
    [5, socks(4)],
    [3, socks(3)],
    [1, socks(7)],
  ],
  swelling: [
    [6, ankle(242)],
    [4, ankle(246)],
    [2, ankle(244)],
  ],
  breakIn: [
    [5, outing('fine')],
    [3, outing('mild')],
    [3, { kind: 'blister', spot: { side: 'right', place: 'heel-back' }, isOpen: false }],
    [2, { kind: 'comfort', comfort: 70, pain: 2 }],
    [1, { kind: 'new-pair', name: 'canvas slippers for the house' }],
  ],
} as const satisfies Record<string, DemoSaid>;
