import { SIDES, type Side } from '../../findings/finding-kinds';
import type { FeatureId } from '../../shoe/features';
import type { Push, Specification } from '../engine/specification';
import { utilityAt } from '../engine/utility';

/** What both shoes of a pair must have alike, and why. */
export const MUST_MATCH: Partial<Record<FeatureId, string>> = {
  drop: 'unequal heels tilt the pelvis and, beside a prosthesis, the shank',
  heelStack: 'unequal soles make one leg longer',
  heelHeight: 'unequal heels tilt the pelvis',
  rocker: 'unequal rolling makes a limp',
  mass: 'unequal weights swing unequally',
};

/** What may be done on one side where the pair does not serve that foot. */
const REMEDY: Partial<Record<FeatureId, string>> = {
  drop: 'a lift inside, under this heel',
  width: 'stretching this shoe, or a split pair',
  toeBoxDepth: 'stretching this shoe, or a split pair',
  toeRoom: 'another size on this side',
  archContour: 'another insert on this side',
  heelCushioning: 'a cushioning insert on this side',
  forefootCushioning: 'a cushioning insert on this side',
  forefootStiffness: 'a stiffening plate under this insole',
  medialSupport: 'an orthosis on this side',
  closure: 'a different lacing on this side',
  softCounterEdge: 'padding this counter',
};

/** A wish of one foot that the pair does not meet. */
export interface OneSided {
  feature: FeatureId;
  side: Side;
  push: Push;
  /** 0 … 1: how well the pair serves it. */
  served: number;
  remedy: string;
}

/** Wishes that come from one foot only and that the pair leaves unserved, worst first, with what may help there. */
export function oneSidedWishes(specification: Specification): OneSided[] {
  return specification.targets
    .flatMap((target) =>
      target.pushes.flatMap((push): OneSided[] => {
        const [side] = push.sides;
        const served = utilityAt(push.want, target.best);
        if (push.sides.length !== 1 || !side || push.setAside !== undefined || served > 0.9) return [];
        const remedy = REMEDY[target.feature];
        return remedy ? [{ feature: target.feature, side, push, served, remedy }] : [];
      }),
    )
    .sort((a, b) => a.served - b.served || SIDES.indexOf(a.side) - SIDES.indexOf(b.side));
}
