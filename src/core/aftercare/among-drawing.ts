import type { AmongKinds, AmongPlace } from './among';

/** The frame of the small picture, in its own units. */
export const AMONG = { viewBox: '0 0 180 92', left: 6, right: 174, top: 4, bottom: 76 } as const;
const INSIDE = 9;

const at = ({ firm, stiff }: AmongPlace): [number, number] => [
  AMONG.left + INSIDE + firm * (AMONG.right - AMONG.left - 2 * INSIDE),
  AMONG.bottom - INSIDE - stiff * (AMONG.bottom - AMONG.top - 2 * INSIDE),
];

/** Room that the words beside the pair take. */
const WORDS = { width: 48, height: 10 } as const;
/** And those that say what is up and what is down, in the corners on the left. */
const CORNER = { width: 36, height: 13 } as const;

interface Label {
  x: number;
  y: number;
  anchor: 'start' | 'end' | 'middle';
}

/** Where the words beside the pair stand: on the first side that is inside the frame and covers the fewest dots. */
function labelOf([x, y]: readonly [number, number], others: readonly (readonly [number, number])[]): Label {
  const { width, height } = WORDS;
  const sides = [
    { from: x + 8, top: y - height / 2, label: { x: x + 8, y: y + 3, anchor: 'start' } },
    { from: x - 8 - width, top: y - height / 2, label: { x: x - 8, y: y + 3, anchor: 'end' } },
    { from: x - width / 2, top: y - 8 - height, label: { x, y: y - 9, anchor: 'middle' } },
    { from: x - width / 2, top: y + 7, label: { x, y: y + 15, anchor: 'middle' } },
  ] as const;
  const inside = sides.filter(
    ({ from, top }) =>
      from >= AMONG.left && from + width <= AMONG.right && top >= AMONG.top && top + height <= AMONG.bottom,
  );
  const dots = ({ from, top }: (typeof sides)[number]) =>
    others.filter(
      ([dotX, dotY]) =>
        dotX > from - 3 && dotX < from + width + 3 && dotY > top - 3 && dotY < top + height + 3,
    ).length;
  // The words in the corners of the frame are worse than any dot.
  const words = ({ from, top }: (typeof sides)[number]) =>
    from < AMONG.left + CORNER.width &&
    (top < AMONG.top + CORNER.height || top + height > AMONG.bottom - CORNER.height)
      ? others.length + 1
      : 0;
  const covered = (side: (typeof sides)[number]) => dots(side) + words(side);
  return inside.reduce((best, side) => (covered(side) < covered(best) ? side : best), inside[0] ?? sides[0])
    .label;
}

/** Places of the dots: across from soft to firm, upwards from bending to stiff; and of the words beside the pair. */
export function amongDrawing(among: AmongKinds) {
  const pair = at(among.pair);
  const others = among.others.map(at);
  return { pair, others, label: labelOf(pair, others) };
}
