import type { Side } from '../findings/finding-kinds';
import { BALL_SHARE } from '../shoe/drawing/ball';
import { between } from '../shoe/drawing/curve';
import type { Drawing, DrawnPart, NumberedPlace, Point } from '../shoe/drawing/part';
import { sideProfile } from '../shoe/drawing/side-profile';
import { bed, soleOf, underside } from '../shoe/drawing/sole-line';
import { numberOf, type Sole } from '../shoe/drawing/sole-measures';
import { solePlan } from '../shoe/drawing/sole-plan';
import type { FeatureValues } from '../shoe/features';
import type { Modification, ModificationKind, ModifiedPlace } from './modification';

/** One shoe with what is changed on it: from the side, heel left, and from above. */
export interface ModifiedShoe {
  side: { drawing: Drawing; marks: NumberedPlace[] };
  /** The big toe of a right shoe is up, of a left one down. */
  plan: { drawing: Drawing; isMirrored: boolean; marks: NumberedPlace[] };
}

const LENGTH_MM = 285;
/** A lift inside ends behind the ball. */
const LIFT_ENDS = 0.46;
/** A wedge holds the heel, as far as the middle of the shoe. */
const WEDGE_ENDS = 0.45;

const part = (id: string, d: string): DrawnPart => ({ id, d, kind: 'band', features: [] });

/** What lies between the bed and the foot: highest at the heel, nothing at its end. */
function liftInside(sole: Sole, amount: number): DrawnPart {
  const lower = bed(sole, 0).filter(([x]) => x <= sole.length * LIFT_ENDS);
  const end: Point = [sole.length * LIFT_ENDS, lower.at(-1)![1] + 1];
  const upper = lower.map(([x, y]): Point => {
    const left = 1 - x / (sole.length * LIFT_ENDS);
    return [x, y - amount * Math.min(1, left * 1.8)];
  });
  return part('heel-lift', between([...upper, end], [...lower, end]));
}

/** A layer under the whole sole, thinner towards the tip so that it still rolls. */
function layerBelow(sole: Sole, amount: number): DrawnPart {
  const ground = underside(sole);
  const lower = ground.map(([x, y]): Point => {
    const past = Math.max(0, (x / sole.length - BALL_SHARE) / (1 - BALL_SHARE));
    return [x, y + amount * (1 - 0.6 * past)];
  });
  return part('sole-lift', between(ground, lower));
}

/** The line from which a rocker rises. */
const apexLine = (sole: Sole, percent: number): DrawnPart => ({
  id: 'rocker',
  kind: 'guide',
  d: `M${((sole.length * percent) / 100).toFixed(1)} 8V${(-sole.fore - 30).toFixed(1)}`,
  features: [],
});

function wedge(values: FeatureValues, isInner: boolean): { part: DrawnPart; at: Point } {
  const way = isInner ? -1 : 1;
  const half = numberOf(values, 'heelBase') / 2;
  const end = LENGTH_MM * WEDGE_ENDS;
  const inner: Point[] = [
    [LENGTH_MM * 0.05, 0],
    [end, 0],
  ];
  const edge: Point[] = [
    [LENGTH_MM * 0.05, way * half * 0.8],
    [LENGTH_MM * 0.2, way * half * (isInner ? 0.86 : 0.94)],
    // The waist of a sole is cut in on the inner side.
    [end, way * half * (isInner ? 0.6 : 0.8)],
  ];
  return {
    part: part(isInner ? 'medial-wedge' : 'lateral-wedge', between(inner, edge)),
    at: [LENGTH_MM * 0.22, way * half * 0.5],
  };
}

/** Places on a right sole from above, the big toe up, as shares of length and of half the ball width. */
const PLACES: Readonly<Record<ModifiedPlace, readonly [number, number]>> = {
  'ball-inner': [0.73, -1],
  'ball-outer': [0.63, 1],
  ball: [0.68, 0],
  toes: [0.9, 0],
  instep: [0.52, 0],
  arch: [0.42, -0.45],
  heel: [0.1, 0],
};
/** Where a change lies when nobody said a place. */
const USUAL_PLACE: Readonly<Partial<Record<ModificationKind, ModifiedPlace>>> = {
  stretch: 'ball',
  filler: 'toes',
  'heel-grip': 'heel',
  insert: 'arch',
  lacing: 'instep',
};

/**
 * One shoe with its changes, each with the number that it has in the list: layers to scale from the side, wedges and places from above.
 *
 * @param modifications of the pair, in the order of the list
 */
export function modifiedShoe(
  values: FeatureValues,
  side: Side,
  modifications: readonly Modification[],
): ModifiedShoe {
  const sole = soleOf(values, LENGTH_MM);
  const profile = sideProfile(values, LENGTH_MM);
  const plan = solePlan(values, null, LENGTH_MM);
  const isMirrored = side === 'left';
  const shoe: ModifiedShoe = {
    side: { drawing: { ...profile, parts: [...profile.parts], dimensions: [] }, marks: [] },
    plan: { drawing: { ...plan, parts: [...plan.parts], dimensions: [] }, isMirrored, marks: [] },
  };
  const markAbove = (number: number, [x, y]: Point) =>
    shoe.plan.marks.push({ number, at: [x, isMirrored ? -y : y] });
  for (const [at, modification] of modifications.entries()) {
    if (modification.side !== 'both' && modification.side !== side) continue;
    const number = at + 1;
    const { kind, amount = 0 } = modification;
    if (kind === 'heel-lift') {
      shoe.side.drawing.parts.push(liftInside(sole, amount));
      shoe.side.marks.push({ number, at: [sole.length * 0.14, -sole.heel - amount / 2] });
    } else if (kind === 'sole-lift') {
      shoe.side.drawing.parts.push(layerBelow(sole, amount));
      shoe.side.marks.push({ number, at: [sole.length * 0.4, amount / 2] });
    } else if (kind === 'rocker') {
      const percent = amount || 65;
      shoe.side.drawing.parts.push(apexLine(sole, percent));
      shoe.side.marks.push({ number, at: [(sole.length * percent) / 100, -sole.fore - 34] });
    } else if (kind === 'medial-wedge' || kind === 'lateral-wedge') {
      const drawn = wedge(values, kind === 'medial-wedge');
      shoe.plan.drawing.parts.push(drawn.part);
      markAbove(number, drawn.at);
    } else {
      const [along, across] = PLACES[modification.place ?? USUAL_PLACE[kind] ?? 'ball'];
      markAbove(number, [LENGTH_MM * along, (across * numberOf(values, 'forefootBase')) / 2]);
    }
  }
  const thickest = Math.max(
    0,
    ...modifications.map(({ kind, amount = 0 }) => (kind === 'sole-lift' ? amount : 0)),
  );
  const [x, y, width, height] = shoe.side.drawing.viewBox;
  shoe.side.drawing.viewBox = [x, y, width, height + thickest];
  return shoe;
}
