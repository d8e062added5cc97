import type { ShoeModel } from '../catalogue/model';
import type { FootFit } from './try-on';

/** Why a heel lifts though the pair was put on rightly (handbook 05, 07). */
export const SLIP_CAUSES = {
  lacing: 'the midfoot is not held: the lacing',
  width: 'too wide at the ball',
  depth: 'too deep: the foot lifts in it',
  length: 'too long',
  counter: 'a soft counter',
} as const;
export type SlipCause = keyof typeof SLIP_CAUSES;

/** From here a counter is firm, on its scale of five; softer ones let a heel lift. Ours. */
const FIRM_COUNTER = 3;

/** How much each check speaks for a cause. What is cheapest to change comes first among equals. Ours. */
const WEIGHTS = { lacing: 3, width: 2, depth: 2, length: 2, counter: 1 } as const satisfies Record<
  SlipCause,
  number
>;

/**
 * What lets a heel slip, the likeliest first, from the other checks of the same foot; empty where the heel holds or nothing else
 * was checked.
 *
 * @param most room in front beyond which the pair is too long, mm
 */
export function whyItSlips(
  fit: FootFit,
  most: number,
  features: ShoeModel['features'] | undefined,
): SlipCause[] {
  if (fit.heelSlip !== 'slight' && fit.heelSlip !== 'clear') return [];
  const counter = features?.heelCounter;
  const speaks: Record<SlipCause, boolean> = {
    lacing: fit.midfootHold === 'loose',
    width: fit.widthFit === 'loose',
    depth: fit.depth === 'loose',
    length: fit.roomMm !== undefined && fit.roomMm > most,
    counter: typeof counter === 'number' && counter < FIRM_COUNTER,
  };
  const causes: SlipCause[] = ['lacing', 'width', 'depth', 'length', 'counter'];
  return causes.filter((cause) => speaks[cause]).toSorted((a, b) => WEIGHTS[b] - WEIGHTS[a]);
}
