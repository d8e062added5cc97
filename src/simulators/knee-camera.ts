import type { Picture } from '@/core/examination/footprint/picture';
import type { KneeBendMarks } from '@/core/examination/gait/knee-bend';
import type { Side } from '@/core/findings/finding-kinds';
import { type Noise, noise } from './noise';
import { type Colour, coverage, type Polygon, paintLayers } from './raster';

export interface KneeCameraSettings {
  seed: number;
  side: Side;
  /** Where the plumb line from the kneecap falls at the deepest bend: mm inside the second toe. */
  insideMm: number;
  /** How far the kneecap stands before the toe, toward the camera, mm. */
  aheadMm: number;
  /** Camera to the toe, mm. */
  distanceMm: number;
  rollDeg: number;
  frames: number;
  widthPx: number;
  heightPx: number;
  grain: number;
}

export const KNEE_CAMERA: KneeCameraSettings = {
  seed: 1,
  side: 'right',
  insideMm: 18,
  aheadMm: 20,
  distanceMm: 2500,
  rollDeg: 0,
  frames: 12,
  widthPx: 480,
  heightPx: 640,
  grain: 4,
};

/** Distance of the two dots on the floor beside the foot, mm. */
export const SCALE_MM = 200;

const RADIANS = Math.PI / 180;
const SKIN: Colour = [214, 172, 142];
const SHADE: Colour = [196, 154, 126];
const INK: Colour = [42, 38, 60];
const STRING: Colour = [60, 58, 54];
/** Height of the kneecap above the floor standing, and when bent, mm. */
const KNEE_HIGH_MM = 470;
const KNEE_BENT_MM = 430;
/** Millimetres that fill the height of the picture at the toes. */
const SHOWN_MM = 720;

export interface KneeFrame {
  picture: Picture;
  /** What this frame was drawn with. */
  insideMm: number;
  leanDeg: number;
  marks: KneeBendMarks;
}

/** The frame of the deepest bend. */
export const deepestFrame = ({ frames }: Pick<KneeCameraSettings, 'frames'>): number => frames - 1;

/**
 * One frame of a seeded view from in front: frame 0 stands, the last one bends deepest. Kneecap and second toe carry a pen dot,
 * two dots on the floor lie 200 mm apart, and a plumb line hangs beside the leg.
 */
export function kneeFrame(wanted: Partial<KneeCameraSettings>, index: number): KneeFrame {
  const settings = { ...KNEE_CAMERA, ...wanted };
  const { widthPx: width, heightPx: height, distanceMm } = settings;
  const share = Math.min(1, index / Math.max(1, settings.frames - 1));
  const insideMm = settings.insideMm * share;
  const kneeMm = KNEE_HIGH_MM + (KNEE_BENT_MM - KNEE_HIGH_MM) * share;
  const aheadMm = settings.aheadMm * share;
  const pxPerMm = height / SHOWN_MM;
  // From in front the inner side of a right foot lies to the right of the picture.
  const inward = settings.side === 'right' ? 1 : -1;
  const middle = { x: width / 2, y: height * 0.86 };
  /** A point of the room, mm from the toe: across (inward), up, toward the camera; the camera stands at half the shank's height. */
  const seen = (inMm: number, upMm: number, nearMm = 0) => {
    const larger = distanceMm / (distanceMm - nearMm);
    const eye = 240;
    return {
      x: middle.x + inward * inMm * larger * pxPerMm,
      y: middle.y - (eye + (upMm - eye) * larger) * pxPerMm,
    };
  };
  const roll = ({ x, y }: { x: number; y: number }) => {
    const [c, s] = [Math.cos(settings.rollDeg * RADIANS), Math.sin(settings.rollDeg * RADIANS)];
    const [dx, dy] = [x - width / 2, y - height / 2];
    return { x: width / 2 + dx * c - dy * s, y: height / 2 + dx * s + dy * c };
  };
  const toe = seen(0, 12);
  const knee = seen(insideMm, kneeMm, aheadMm);
  const marks: KneeBendMarks = {
    knee: roll(knee),
    toe: roll(toe),
    plumb: [roll(seen(-170, 600)), roll(seen(-170, 40))],
    scale: [roll(seen(-SCALE_MM / 2, -18)), roll(seen(SCALE_MM / 2, -18))],
  };
  const polygon = (points: readonly { x: number; y: number }[]): Polygon =>
    points.map((point) => {
      const { x, y } = roll(point);
      return [x, y] as const;
    });
  const at = (upMm: number, acrossMm: number) => {
    const along = Math.max(0, Math.min(1, (upMm - 60) / (kneeMm - 60)));
    return seen(insideMm * along + acrossMm, upMm, aheadMm * along);
  };
  const outline = (rows: readonly (readonly [up: number, half: number])[]): Polygon =>
    polygon([
      ...rows.map(([up, half]) => at(up, half)),
      ...rows.toReversed().map(([up, half]) => at(up, -half)),
    ]);
  const leg = outline([
    [640, 78],
    [kneeMm + 70, 68],
    [kneeMm, 58],
    [kneeMm - 70, 52],
    [kneeMm - 180, 46],
    [120, 34],
    [60, 40],
  ]);
  const foot = polygon([seen(-46, 66), seen(46, 66), seen(50, 30), seen(42, 2), seen(-44, 2), seen(-50, 28)]);
  const cap = outline([
    [kneeMm + 34, 12],
    [kneeMm + 14, 26],
    [kneeMm - 14, 26],
    [kneeMm - 34, 12],
  ]);
  const dot = ({ x, y }: { x: number; y: number }): Polygon =>
    Array.from({ length: 20 }, (_, turn) => {
      const angle = (turn / 20) * 2 * Math.PI;
      return [x + Math.cos(angle) * 4.5, y + Math.sin(angle) * 4.5] as const;
    });
  const string = polygon([seen(-171, 620), seen(-169, 620), seen(-169, 20), seen(-171, 20)]);
  const layer = (polygons: readonly Polygon[], colour: Colour) => ({
    covered: coverage(width, height, polygons),
    colour,
  });
  const chance: Noise = noise(settings.seed * 1000 + index);
  const picture = paintLayers(
    width,
    height,
    [
      layer([leg], SKIN),
      layer([foot], SKIN),
      layer([cap], SHADE),
      layer([string], STRING),
      layer([marks.knee, marks.toe, ...marks.scale].map(dot), INK),
    ],
    { ground: [206, 206, 200], shade: 0.06, grain: settings.grain },
    chance,
  );
  return { picture, insideMm, leanDeg: Math.atan2(insideMm, kneeMm - 12) / RADIANS, marks };
}
