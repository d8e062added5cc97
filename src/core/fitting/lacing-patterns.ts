/** Lacings by name, and how each is done. Common practice. */
export const PATTERNS = {
  'heel-lock': {
    name: 'Heel lock',
    how: 'Make a small loop at the top eyelet on each side, cross the laces through the loops, pull down, tie.',
  },
  'skip-lowest': { name: 'Open toe', how: 'Leave the lowest eyelets out, begin one pair higher.' },
  parallel: { name: 'Parallel ladder', how: 'Run the lace straight across at each pair, up on the inside.' },
  window: { name: 'Window', how: 'Go straight up past the sore place instead of crossing over it.' },
  'no-lace': {
    name: 'Straps or elastic',
    how: 'Open fully, heel back, close from the toes up, snug, not tight.',
  },
  plain: {
    name: 'Criss-cross',
    how: 'Heel back first, lace from the toes up, snug, not tight. Double knot.',
  },
} as const;
export type LacingPattern = keyof typeof PATTERNS;
