import { polygonArea } from 'd3-polygon';
import { line as curve, curveMonotoneX } from 'd3-shape';
import type { Picture } from '@/core/examination/footprint/picture';
import type { Side } from '@/core/findings/finding-kinds';
import { noise } from './noise';
import { type Colour, coverage, type Polygon, paintLayers } from './raster';

export interface FootprintSettings {
  seed: number;
  side: Side;
  /** Arch index to draw: the toeless outline is solved for it. */
  archIndex: number;
  /** Heel to longest toe, mm. */
  lengthMm: number;
  forefootWidthMm: number;
  heelWidthMm: number;
  /** Between toe and forefoot, mm; negative prints touch. */
  toeGapMm: number;
  toes: boolean;
  /** A band without print under the arch, mm; 0 for none. */
  gapMm: number;
  pixelsPerMm: number;
  /** Turn of the foot on the paper, degrees clockwise. */
  turnDeg: number;
  /** As seen through a scanner's glass. */
  mirrored: boolean;
  ink: Colour;
  paper: Colour;
  shade: number;
  grain: number;
  /** The outline as a drawn line of this width instead of a filled print, mm. */
  tracedLineMm: number;
}

export const FOOTPRINT: FootprintSettings = {
  seed: 1,
  side: 'right',
  archIndex: 0.23,
  lengthMm: 255,
  forefootWidthMm: 92,
  heelWidthMm: 56,
  toeGapMm: 3,
  toes: true,
  gapMm: 0,
  pixelsPerMm: 4,
  turnDeg: 0,
  mirrored: false,
  ink: [38, 52, 92],
  paper: [244, 240, 230],
  shade: 0.12,
  grain: 4,
  tracedLineMm: 0,
};

/** What was drawn, computed from the outlines and not from pixels. Millimetres. */
export interface FootprintTruth {
  archIndex: number;
  chippauxSmirak: number;
  staheli: number;
  lengthMm: number;
  toelessLengthMm: number;
}

/** Shares of the toeless length at which the two borders are given. */
const STATIONS = [0, 0.012, 0.05, 0.13, 0.22, 0.36, 0.5, 0.62, 0.72, 0.82, 0.9, 0.96, 1];
/** Outer border in half heel widths (rear) and shares of the forefoot width (front). */
const HEEL_SHAPE = [0, 0.42, 0.8, 1, 0.95];
const OUTER_FRONT = [0.33, 0.35, 0.41, 0.47, 0.49, 0.45, 0.33, 0.1];
const INNER_FRONT = [0.42, 0.5, 0.51, 0.46, 0.34, 0.1];

/** Border of one side sampled every `step` mm along the foot. */
function border(points: readonly [number, number][], lengthMm: number, step: number): number[] {
  const sampled: [number, number][] = [];
  const collect = curve<[number, number]>().curve(curveMonotoneX);
  const path = collect(points as [number, number][]) ?? '';
  const numbers = path.match(/-?\d+(?:\.\d+)?(?:e-?\d+)?/g)!.map(Number);
  let [x0, y0] = [numbers[0]!, numbers[1]!];
  for (let at = 2; at + 5 < numbers.length; at += 6) {
    const [c1x, c1y, c2x, c2y, x1, y1] = numbers.slice(at, at + 6) as [
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    for (let part = 0; part < 40; part += 1) {
      const t = part / 40;
      const s = 1 - t;
      const mix = (a: number, b: number, c: number, d: number) =>
        s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d;
      sampled.push([mix(x0, c1x, c2x, x1), mix(y0, c1y, c2y, y1)]);
    }
    [x0, y0] = [x1, y1];
  }
  sampled.push([x0, y0]);
  const values: number[] = [];
  let at = 0;
  for (let u = 0; u <= lengthMm + 1e-9; u += step) {
    while (at + 2 < sampled.length && sampled[at + 1]![0] < u) at += 1;
    const [ax, ay] = sampled[at]!;
    const [bx, by] = sampled[at + 1]!;
    values.push(ay + ((by - ay) * (u - ax)) / (bx - ax || 1));
  }
  return values;
}

interface Outline {
  step: number;
  outer: number[];
  inner: number[];
}

/** Toeless outline with a given midfoot: `isthmus` is the print's width at half length, mm. */
function outline(settings: FootprintSettings, toelessMm: number, isthmus: number): Outline {
  const half = settings.heelWidthMm / 2;
  const front = settings.forefootWidthMm;
  const outer: [number, number][] = STATIONS.map((share, at) => [
    share * toelessMm,
    at < 5 ? HEEL_SHAPE[at]! * half : OUTER_FRONT[at - 5]! * front,
  ]);
  const mid = OUTER_FRONT[1]! * front;
  const inner: [number, number][] = STATIONS.map((share, at) => {
    if (at < 5) return [share * toelessMm, -HEEL_SHAPE[at]! * half];
    if (at === 5) return [share * toelessMm, mid - isthmus * 1.08 - 0.01 * front];
    if (at === 6) return [share * toelessMm, mid - isthmus];
    return [share * toelessMm, -INNER_FRONT[at - 7]! * front];
  });
  const step = 0.1;
  return { step, outer: border(outer, toelessMm, step), inner: border(inner, toelessMm, step) };
}

/** Area of the outline between two shares of its length, by the shoelace formula. */
function areaBetween(shape: Outline, from: number, to: number): number {
  const last = shape.outer.length - 1;
  const first = Math.round(from * last);
  const end = Math.round(to * last);
  const ring: [number, number][] = [];
  for (let at = first; at <= end; at += 1) ring.push([at * shape.step, shape.outer[at]!]);
  for (let at = end; at >= first; at -= 1) ring.push([at * shape.step, shape.inner[at]!]);
  return Math.abs(polygonArea(ring));
}

const indexOf = (shape: Outline) => areaBetween(shape, 1 / 3, 2 / 3) / areaBetween(shape, 0, 1);

/** Finds the midfoot width whose outline has the wanted arch index. */
function solve(settings: FootprintSettings, toelessMm: number): Outline {
  let low = 0.5;
  let high = settings.forefootWidthMm * 1.1;
  for (let turn = 0; turn < 50; turn += 1) {
    const middle = (low + high) / 2;
    if (indexOf(outline(settings, toelessMm, middle)) < settings.archIndex) low = middle;
    else high = middle;
  }
  return outline(settings, toelessMm, (low + high) / 2);
}

/** Half length and half width of each toe in mm, and its place across in forefoot widths, from the big toe. */
const TOES = [
  { across: -0.27, along: 14.5, half: 11.5 },
  { across: 0, along: 10, half: 7.5 },
  { across: 0.18, along: 8.5, half: 7 },
  { across: 0.32, along: 8, half: 6.5 },
  { across: 0.445, along: 7.5, half: 6 },
];

/** Toes as ellipses a gap ahead of the forefoot; the tip of the second is the length of the foot. */
function toeRings(settings: FootprintSettings, shape: Outline): Polygon[] {
  const edgeAt = (v: number) => {
    for (let at = shape.outer.length - 1; at >= 0; at -= 1)
      if (shape.inner[at]! <= v && v <= shape.outer[at]!) return at * shape.step;
    return 0;
  };
  return TOES.map((toe, index) => {
    const v = toe.across * settings.forefootWidthMm;
    const base = Math.max(edgeAt(v), edgeAt(v - toe.half * 0.7), edgeAt(v + toe.half * 0.3));
    const from = base + settings.toeGapMm;
    const tip = index === 1 ? settings.lengthMm : from + 2 * toe.along;
    return Array.from({ length: 60 }, (_, at) => {
      const turn = (at / 60) * 2 * Math.PI;
      return [(from + tip) / 2 + (Math.cos(turn) * (tip - from)) / 2, v + Math.sin(turn) * toe.half] as const;
    });
  });
}

/** A seeded footprint: the picture a flatbed scanner or camera would give, and what was drawn. */
export function footprint(wanted: Partial<FootprintSettings> = {}): {
  picture: Picture;
  truth: FootprintTruth;
  settings: FootprintSettings;
} {
  const settings = { ...FOOTPRINT, ...wanted };
  const toelessMm = Math.round((settings.lengthMm - 25 - settings.toeGapMm) * 10) / 10;
  const shape = solve(settings, toelessMm);
  const gap = Math.round(settings.gapMm / shape.step / 2);
  const middle = Math.round((shape.outer.length - 1) / 2);
  const ringOf = (from: number, to: number): Polygon => {
    const ring: [number, number][] = [];
    for (let at = from; at <= to; at += 4) ring.push([at * shape.step, shape.outer[at]!]);
    for (let at = to; at >= from; at -= 4) ring.push([at * shape.step, shape.inner[at]!]);
    return ring;
  };
  const last = shape.outer.length - 1;
  const rings = gap > 0 ? [ringOf(0, middle - gap), ringOf(middle + gap, last)] : [ringOf(0, last)];
  if (settings.toes) rings.push(...toeRings(settings, shape));

  const margin = 30;
  const half = settings.lengthMm / 2;
  const turn = (settings.turnDeg * Math.PI) / 180;
  const reach = half + margin;
  const across = (value: number) => Math.abs(Math.cos(turn)) * value + Math.abs(Math.sin(turn)) * reach;
  const sheet = {
    width: Math.round(2 * across(settings.forefootWidthMm / 2 + margin) * settings.pixelsPerMm),
    height: Math.round(
      2 *
        (Math.abs(Math.cos(turn)) * reach +
          Math.abs(Math.sin(turn)) * (settings.forefootWidthMm / 2 + margin)) *
        settings.pixelsPerMm,
    ),
  };
  // A right foot pointing up the page has its outer border to the right.
  const hand = (settings.side === 'right' ? 1 : -1) * (settings.mirrored ? -1 : 1);
  const place = ([u, v]: readonly [number, number]): [number, number] => {
    const x = hand * v;
    const y = half - u;
    return [
      sheet.width / 2 + (x * Math.cos(turn) - y * Math.sin(turn)) * settings.pixelsPerMm,
      sheet.height / 2 + (x * Math.sin(turn) + y * Math.cos(turn)) * settings.pixelsPerMm,
    ];
  };
  const placed = rings.map((ring) => ring.map(place));
  const covered = settings.tracedLineMm
    ? traced(sheet.width, sheet.height, placed, settings.tracedLineMm * settings.pixelsPerMm)
    : coverage(sheet.width, sheet.height, placed);
  const picture = paintLayers(
    sheet.width,
    sheet.height,
    [{ covered, colour: settings.ink }],
    { ground: settings.paper, shade: settings.shade, grain: settings.grain },
    noise(settings.seed),
  );
  return { picture, truth: truthOf(settings, shape, toelessMm), settings };
}

/** A pen line along each ring. */
function traced(width: number, height: number, rings: readonly Polygon[], line: number): Float32Array {
  const strokes = rings.flatMap((ring) =>
    ring.map(([x1, y1], at): Polygon => {
      const [x2, y2] = ring[(at + 1) % ring.length]!;
      const length = Math.hypot(x2 - x1, y2 - y1) || 1;
      const nx = ((y2 - y1) / length) * (line / 2);
      const ny = (-(x2 - x1) / length) * (line / 2);
      const ex = ((x2 - x1) / length) * (line / 2);
      const ey = ((y2 - y1) / length) * (line / 2);
      return [
        [x1 + nx - ex, y1 + ny - ey],
        [x2 + nx + ex, y2 + ny + ey],
        [x2 - nx + ex, y2 - ny + ey],
        [x1 - nx - ex, y1 - ny - ey],
      ];
    }),
  );
  return strokesCoverage(width, height, strokes);
}

/** Coverage of many small polygons without walking the whole picture for each. */
function strokesCoverage(width: number, height: number, strokes: readonly Polygon[]): Float32Array {
  const covered = new Float32Array(width * height);
  for (const stroke of strokes) {
    const left = Math.max(0, Math.floor(Math.min(...stroke.map(([x]) => x))));
    const top = Math.max(0, Math.floor(Math.min(...stroke.map(([, y]) => y))));
    const right = Math.min(width, Math.ceil(Math.max(...stroke.map(([x]) => x))));
    const bottom = Math.min(height, Math.ceil(Math.max(...stroke.map(([, y]) => y))));
    const part = coverage(right - left, bottom - top, [stroke.map(([x, y]) => [x - left, y - top] as const)]);
    for (let y = top; y < bottom; y += 1)
      for (let x = left; x < right; x += 1) {
        const at = y * width + x;
        covered[at] = Math.max(covered[at]!, part[(y - top) * (right - left) + (x - left)]!);
      }
  }
  return covered;
}

function truthOf(settings: FootprintSettings, shape: Outline, toelessMm: number): FootprintTruth {
  const widths = shape.outer.map((outer, at) => outer - shape.inner[at]!);
  const last = widths.length - 1;
  const part = (from: number, to: number) => widths.slice(Math.round(from * last), Math.round(to * last));
  const fore = Math.max(...part(0.6, 1));
  const heel = Math.max(...part(0, 1 / 3));
  const mid = settings.gapMm > 0 ? 0 : Math.min(...part(0.2, 0.7));
  return {
    archIndex: indexOf(shape),
    chippauxSmirak: (100 * mid) / fore,
    staheli: mid / heel,
    lengthMm: settings.lengthMm,
    toelessLengthMm: toelessMm,
  };
}
