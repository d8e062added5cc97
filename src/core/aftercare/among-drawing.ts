import type { AmongKinds, AmongPlace } from './among';

/** The frame of the small picture, in its own units. */
export const AMONG = { viewBox: '0 0 180 92', left: 6, right: 174, top: 4, bottom: 76 } as const;
const INSIDE = 9;

const at = ({ firm, stiff }: AmongPlace): [number, number] => [
  AMONG.left + INSIDE + firm * (AMONG.right - AMONG.left - 2 * INSIDE),
  AMONG.bottom - INSIDE - stiff * (AMONG.bottom - AMONG.top - 2 * INSIDE),
];

/** Places of the dots: across from soft to firm, upwards from bending to stiff. */
export const amongDrawing = ({ pair, others }: AmongKinds) => ({ pair: at(pair), others: others.map(at) });
