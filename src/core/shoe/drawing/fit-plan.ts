import type { FeatureValues } from '../features';
import { smoothClosed } from './curve';
import { type FootMeasures, footOutline } from './foot-outline';
import type { Drawing, DrawnPart, Point } from './part';
import { soleOutline } from './sole-plan';

/** The space inside one shoe in one size. */
export interface InsideMeasures {
  lengthMm: number;
  /** At the ball. */
  widthMm: number;
}

/** Where a foot reaches beyond the space, and by how much. */
export interface Overhang {
  where: 'front' | 'inner side' | 'outer side';
  at: 'heel' | 'middle' | 'ball' | 'toes';
  mm: number;
}

export interface FitPlan {
  drawing: Drawing;
  /** Worst first; empty when the whole foot lies inside. */
  overhangs: Overhang[];
  roomMm: number;
  sentence: string;
}

/** An inside is about this wide at the heel, as a share of the ball. From memory. */
const HEEL_SHARE = 0.68;
/** Waist of an inside as a share of the ball, at the inner side. */
const WAIST = 0.27;
/** Each side of an upper gives about this much before it bulges. Common practice. */
const SIDE_GIVES_MM = 2;
const STATION_MM = 2;
/** Less than this is the drawing's own error. */
const WORTH_SAYING_MM = 1;

/** Both sides of a closed outline as functions of the length: outer side, inner side (negative). */
function sidesOf(outline: readonly Point[]): { outer: Point[]; inner: Point[] } {
  const tip = outline.reduce((best, point, at) => (point[0] > outline[best]![0] ? at : best), 0);
  return {
    outer: outline.slice(0, tip + 1),
    inner: [outline[0]!, ...outline.slice(tip).toReversed()],
  };
}

/** Half-width at a place along the length, by straight lines between the points; null beyond the outline. */
function halfAt(side: readonly Point[], x: number): number | null {
  for (let at = 1; at < side.length; at += 1) {
    const [x0, y0] = side[at - 1]!;
    const [x1, y1] = side[at]!;
    if (x >= Math.min(x0, x1) && x <= Math.max(x0, x1) && x0 !== x1)
      return Math.abs(y0 + ((x - x0) / (x1 - x0)) * (y1 - y0));
  }
  return null;
}

const placeOf = (share: number): Overhang['at'] =>
  share < 0.25 ? 'heel' : share < 0.58 ? 'middle' : share < 0.82 ? 'ball' : 'toes';

/** A foot's outline over the inside of a shoe, both to scale: is the foot inside? Heel against the counter. */
export function fitPlan(values: FeatureValues, inside: InsideMeasures, foot: FootMeasures): FitPlan {
  const toe = String(values.toeBoxShape ?? 'round');
  const space = soleOutline(inside.lengthMm, inside.widthMm * HEEL_SHARE, inside.widthMm, toe, WAIST);
  const bare = footOutline(foot);
  const overhangs = overhangsOf(space, bare, foot.lengthMm, inside.lengthMm);
  const roomMm = inside.lengthMm - foot.lengthMm;
  const parts: DrawnPart[] = [
    { id: 'inside', kind: 'inside', d: smoothClosed(space), features: ['width', 'toeBoxShape', 'toeRoom'] },
    { id: 'foot', kind: 'foot', d: smoothClosed(bare), features: ['toeRoom', 'width'] },
  ];
  const half = Math.max(inside.widthMm, foot.ballWidthMm ?? 0) / 2 + 12;
  const worst = overhangs[0];
  const sentence = worst
    ? `The foot reaches ${Math.round(worst.mm)} mm beyond at the ${worst.at === 'toes' && worst.where === 'front' ? 'front' : `${worst.at}, ${worst.where}`}.`
    : `The whole foot lies inside, ${Math.round(roomMm)} mm free in front.`;
  return {
    overhangs,
    roomMm,
    sentence,
    drawing: {
      viewBox: [-14, -half, Math.max(inside.lengthMm, foot.lengthMm) + 30, half * 2],
      parts,
      dimensions: [
        {
          from: [foot.lengthMm, 0],
          to: [inside.lengthMm, 0],
          text: `${Math.round(roomMm)}`,
          feature: 'toeRoom',
        },
      ],
      summary: `Foot over the inside of the shoe, to scale. ${sentence}`,
    },
  };
}

function overhangsOf(
  space: readonly Point[],
  foot: readonly Point[],
  footMm: number,
  insideMm: number,
): Overhang[] {
  const worst = new Map<string, Overhang>();
  const note = (overhang: Overhang) => {
    const key = `${overhang.where} ${overhang.at}`;
    if (overhang.mm >= WORTH_SAYING_MM && overhang.mm > (worst.get(key)?.mm ?? 0)) worst.set(key, overhang);
  };
  if (footMm > insideMm) note({ where: 'front', at: 'toes', mm: footMm - insideMm });
  const spaceSides = sidesOf(space);
  const footSides = sidesOf(foot);
  for (let x = STATION_MM; x < Math.min(footMm, insideMm); x += STATION_MM)
    for (const [side, where] of [
      ['outer', 'outer side'],
      ['inner', 'inner side'],
    ] as const) {
      const wide = halfAt(footSides[side], x);
      const room = halfAt(spaceSides[side], x);
      if (wide === null || room === null) continue;
      note({ where, at: placeOf(x / footMm), mm: wide - room - SIDE_GIVES_MM });
    }
  return [...worst.values()].toSorted((a, b) => b.mm - a.mm);
}
