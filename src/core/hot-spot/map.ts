import type { Side } from '../findings/finding-kinds';
import { smoothClosed } from '../shoe/drawing/curve';
import { footOutline } from '../shoe/drawing/foot-outline';
import type { Point } from '../shoe/drawing/part';
import type { SpotPlace } from './causes';

/** A foot as one looks down on one's own: toes up, the big toe of a right foot to the left. Millimetres. */
export interface SpotFoot {
  outline: string;
  spots: Readonly<Record<SpotPlace, Point>>;
}

/** The frame that both feet have, mm. */
export const SPOT_FRAME = { width: 130, height: 306 } as const;

const LENGTH = 260;
const BALL_WIDTH = 98;
const TOP = 12;

/** Places on a right foot: from the heel forward as a share of its length, and inward (negative) as a share of the ball width. */
const PLACES: Readonly<Record<SpotPlace, readonly [number, number]>> = {
  'toe-tips': [0.97, -0.2],
  'between-toes': [0.87, 0.02],
  knuckles: [0.82, 0.26],
  ball: [0.7, -0.1],
  'inner-edge': [0.73, -0.5],
  'outer-edge': [0.6, 0.5],
  instep: [0.52, 0.05],
  arch: [0.42, -0.2],
  ankle: [0.24, 0.36],
  'heel-back': [0.03, 0],
};

/** Where each place lies on the drawing of a foot; left and right mirror each other. */
export function spotFoot(side: Side): SpotFoot {
  const middle = SPOT_FRAME.width / 2;
  const way = side === 'right' ? 1 : -1;
  const place = ([along, across]: Point): Point => [middle + way * across, TOP + LENGTH - along];
  const outline = footOutline({ lengthMm: LENGTH, ballWidthMm: BALL_WIDTH, heelBallMm: null });
  const at = (name: SpotPlace): Point => place([PLACES[name][0] * LENGTH, PLACES[name][1] * BALL_WIDTH]);
  return {
    outline: smoothClosed(outline.map(place)),
    spots: {
      'toe-tips': at('toe-tips'),
      'between-toes': at('between-toes'),
      knuckles: at('knuckles'),
      ball: at('ball'),
      arch: at('arch'),
      instep: at('instep'),
      'heel-back': at('heel-back'),
      'outer-edge': at('outer-edge'),
      'inner-edge': at('inner-edge'),
      ankle: at('ankle'),
    },
  };
}
