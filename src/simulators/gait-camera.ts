import type { Picture } from '@/core/examination/footprint/picture';
import type { GaitLine, HeelLines } from '@/core/examination/gait/heel-angle';
import type { Side } from '@/core/findings/finding-kinds';
import { type Noise, noise } from './noise';
import { type Colour, coverage, type Polygon, paintLayers } from './raster';

export interface GaitCameraSettings {
  seed: number;
  side: Side;
  activity: 'walk' | 'run';
  /** Heel angle when standing, at touchdown and at its peak, degrees, + turned out. */
  stanceDeg: number;
  touchdownDeg: number;
  peakDeg: number;
  /** Share of the contact at which the peak is reached. */
  peakAt: number;
  framesPerSecond: number;
  frames: number;
  /** Camera past the line of walking, degrees: moves the vanishing point of the belt’s edges. */
  offAxisDeg: number;
  /** The whole camera turned about its view, degrees. */
  rollDeg: number;
  widthPx: number;
  heightPx: number;
  fieldOfViewDeg: number;
  /** Standard deviation of sensor noise, levels. */
  grain: number;
}

export const GAIT_CAMERA: GaitCameraSettings = {
  seed: 1,
  side: 'right',
  activity: 'walk',
  stanceDeg: 3,
  touchdownDeg: -2,
  peakDeg: 7,
  peakAt: 0.4,
  framesPerSecond: 60,
  frames: 40,
  offAxisDeg: 0,
  rollDeg: 0,
  widthPx: 480,
  heightPx: 640,
  fieldOfViewDeg: 62,
  grain: 4,
};

const RADIANS = Math.PI / 180;
const SKIN: Colour = [214, 172, 142];
const SHADE: Colour = [188, 146, 118];
const INK: Colour = [42, 38, 60];
const BELT: Colour = [92, 94, 98];
const EDGE: Colour = [226, 224, 214];

export interface GaitFrame {
  picture: Picture;
  /** Angle that this frame was drawn with, degrees. */
  angleDeg: number;
  /** Where the four skin marks were drawn, before noise. */
  marks: HeelLines;
}

/** Angle at a share of the contact: a half cosine from touchdown to the peak, and back by half towards the end. */
function angleAt(settings: GaitCameraSettings, share: number): number {
  const { touchdownDeg, peakDeg, peakAt } = settings;
  const rise = (part: number) => 0.5 - 0.5 * Math.cos(Math.PI * Math.min(1, Math.max(0, part)));
  if (share <= peakAt) return touchdownDeg + (peakDeg - touchdownDeg) * rise(share / peakAt);
  return peakDeg - 0.5 * (peakDeg - touchdownDeg) * rise((share - peakAt) / (1 - peakAt));
}

/** The frame nearest to the peak; the one before the contact stands still. */
export const peakFrame = ({ frames, peakAt }: GaitCameraSettings): number =>
  1 + Math.round((frames - 2) * peakAt);

/**
 * One frame of a seeded rear view: frame 0 is the standing one, the others run through one contact. Leg and heel
 * carry two pen dots each; the belt’s edges meet where the line of walking vanishes.
 */
export function gaitFrame(wanted: Partial<GaitCameraSettings>, index: number): GaitFrame {
  const settings = { ...GAIT_CAMERA, ...wanted };
  const { widthPx: width, heightPx: height } = settings;
  const standing = index === 0;
  const angleDeg = standing
    ? settings.stanceDeg
    : angleAt(settings, (index - 1) / Math.max(1, settings.frames - 2));
  const chance = noise(settings.seed * 1000 + index);
  const outward = settings.side === 'right' ? 1 : -1;
  // The leg leans in at its top as the heel turns out under it; two thirds of the angle lie in the heel.
  const legLean = -angleDeg / 3;
  const heelLean = (angleDeg * 2) / 3;
  const scale = height / 640;
  const ankle = { x: width / 2 + outward * 14 * scale, y: height * 0.7 };
  const along = (leanDeg: number, distance: number) => ({
    x: ankle.x + outward * Math.sin(leanDeg * RADIANS) * distance * scale,
    y: ankle.y + Math.cos(leanDeg * RADIANS) * distance * scale,
  });
  const roll = (point: { x: number; y: number }) => {
    const [c, s] = [Math.cos(settings.rollDeg * RADIANS), Math.sin(settings.rollDeg * RADIANS)];
    const [dx, dy] = [point.x - width / 2, point.y - height / 2];
    return { x: width / 2 + dx * c - dy * s, y: height / 2 + dx * s + dy * c };
  };
  const leg: GaitLine = [roll(along(legLean, -230)), roll(along(legLean, -60))];
  const heel: GaitLine = [roll(along(heelLean, 18)), roll(along(heelLean, 92))];
  const polygon = (points: readonly (readonly [lean: number, distance: number, across: number])[]): Polygon =>
    points.map(([leanDeg, distance, across]) => {
      const middle = along(leanDeg, distance);
      const side = { x: Math.cos(leanDeg * RADIANS), y: -outward * Math.sin(leanDeg * RADIANS) };
      const point = roll({ x: middle.x + side.x * across * scale, y: middle.y + side.y * across * scale });
      return [point.x, point.y] as const;
    });
  const outline = (rows: readonly (readonly [lean: number, distance: number, half: number])[]): Polygon =>
    polygon([
      ...rows.map(([l, d, half]) => [l, d, half] as const),
      ...rows.toReversed().map(([l, d, half]) => [l, d, -half] as const),
    ]);
  const limb = outline([
    [legLean, -460, 92],
    [legLean, -330, 96],
    [legLean, -200, 66],
    [legLean, -90, 36],
    [legLean * 0.5, -20, 40],
    [heelLean, 30, 54],
    [heelLean, 80, 56],
    [heelLean, 108, 40],
  ]);
  const cord = outline([
    [legLean, -180, 12],
    [legLean, -60, 9],
    [heelLean, 20, 11],
  ]);
  const dot = ({ x, y }: { x: number; y: number }): Polygon =>
    Array.from({ length: 20 }, (_, at) => {
      const turn = (at / 20) * 2 * Math.PI;
      return [x + Math.cos(turn) * 5.5 * scale, y + Math.sin(turn) * 5.5 * scale] as const;
    });
  const layer = (polygons: readonly Polygon[], colour: Colour) => ({
    covered: coverage(width, height, polygons),
    colour,
  });
  const edges = beltEdges(settings, ankle);
  const belt: Polygon = [
    [edges.left[0].x, edges.left[0].y],
    [edges.right[0].x, edges.right[0].y],
    [edges.right[1].x, edges.right[1].y],
    [edges.left[1].x, edges.left[1].y],
  ].map(([x, y]) => {
    const point = roll({ x: x!, y: y! });
    return [point.x, point.y] as const;
  });
  const picture = paintLayers(
    width,
    height,
    [
      layer([belt], BELT),
      layer(
        [edges.left, edges.right].map((edge) => stripe(edge.map(roll) as unknown as GaitLine, 3 * scale)),
        EDGE,
      ),
      layer([limb], SKIN),
      layer([cord], SHADE),
      layer([...leg, ...heel].map(dot), INK),
    ],
    { ground: [176, 180, 178], shade: 0.08, grain: settings.grain },
    chance as Noise,
  );
  return { picture, angleDeg, marks: { leg, heel } };
}

/** Edges of the belt, near end first: lines that meet at the vanishing point of the walking direction. */
export function beltEdges(
  settings: Pick<GaitCameraSettings, 'widthPx' | 'heightPx' | 'fieldOfViewDeg' | 'offAxisDeg'>,
  foot: { x: number; y: number },
): { left: GaitLine; right: GaitLine } {
  const { widthPx: width, heightPx: height } = settings;
  const focal = width / 2 / Math.tan((settings.fieldOfViewDeg / 2) * RADIANS);
  const bearing = Math.atan((foot.x - width / 2) / focal) + settings.offAxisDeg * RADIANS;
  const vanishing = { x: width / 2 + focal * Math.tan(bearing), y: height * 0.2 };
  const from = (x: number): GaitLine => {
    const near = { x, y: height * 0.99 };
    const share = 0.55;
    return [near, { x: near.x + (vanishing.x - near.x) * share, y: near.y + (vanishing.y - near.y) * share }];
  };
  return { left: from(width * 0.06), right: from(width * 0.94) };
}

function stripe([a, b]: GaitLine, width: number): Polygon {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const nx = (-(b.y - a.y) / length) * (width / 2);
  const ny = ((b.x - a.x) / length) * (width / 2);
  return [
    [a.x + nx, a.y + ny],
    [b.x + nx, b.y + ny],
    [b.x - nx, b.y - ny],
    [a.x - nx, a.y - ny],
  ];
}
