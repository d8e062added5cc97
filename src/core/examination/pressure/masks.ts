import type { Side } from '../../findings/finding-kinds';
import { keysOf } from '../../tables/keys-of';
import { directions, type FootAxis, firstAxis, type Point } from '../footprint/orient';
import type { Mask } from '../footprint/picture';
import { keepPieces, piecesOf } from '../footprint/pieces';
import { type PressureRecording, peakPicture } from './recording';

/** Twelve regions of the sole. */
export const PLANTAR_REGIONS = {
  'heel-inner': 'heel, inner',
  'heel-outer': 'heel, outer',
  'midfoot-inner': 'midfoot, inner',
  'midfoot-outer': 'midfoot, outer',
  'head-1': '1st metatarsal head',
  'head-2': '2nd metatarsal head',
  'head-3': '3rd metatarsal head',
  'head-4': '4th metatarsal head',
  'head-5': '5th metatarsal head',
  'big-toe': 'big toe',
  'second-toe': '2nd toe',
  'other-toes': 'toes 3–5',
} as const;
export type PlantarRegion = keyof typeof PLANTAR_REGIONS;
export const PLANTAR_REGION_IDS = keysOf(PLANTAR_REGIONS);

/** Where the regions part, in shares of foot length from the heel and of local width from the inner side. */
export const CUTS = {
  heel: 0.27,
  midfoot: 0.52,
  /** The line in front of the metatarsal heads: inner end, outer end. */
  toesInner: 0.8,
  toesOuter: 0.7,
  heads: [0.29, 0.47, 0.63, 0.8],
  bigToe: 0.4,
  secondToe: 0.56,
};

/** A cell counts as contact from here: below, plates report their own noise. Common practice. */
export const CONTACT_KPA = 10;

export interface FootMask {
  axis: FootAxis;
  side: Side;
  /** Per cell the region's place in REGION_IDS, −1 outside the foot. */
  region: Int8Array;
  /** Cell pitches: heel to toe, and the width square to the axis at the ball. */
  length: number;
  width: number;
  /** Share of the foot length of each cell from the heel, for cells of the foot. */
  place: Float32Array;
  contact: Uint8Array;
}

/** Axis of a step from its peak picture: heel middle to forefoot middle, toes where it is widest. */
export function axisOfStep(recording: PressureRecording): FootAxis {
  const contact = contactOf(recording);
  const first = firstAxis(contact);
  // The course of pressure in time says where the heel is more surely than the shape does.
  const path = centreOfPressure(recording);
  const { along } = directions(first);
  const start = path[0];
  const end = path[path.length - 1];
  const backwards =
    start && end && (end.x - start.x) * along.x + (end.y - start.y) * along.y < 0 && path.length > 3;
  const axis = backwards ? { heel: first.toe, toe: first.heel } : first;
  return bisectingAxis(contact, axis);
}

/** Line through the middle of the rear and of the front of the contact. */
function bisectingAxis(contact: Mask, first: FootAxis): FootAxis {
  let axis = first;
  for (let turn = 0; turn < 4; turn += 1) {
    const { along, right, length } = directions(axis);
    const middle = (from: number, to: number): Point => {
      let left = Number.POSITIVE_INFINITY;
      let rightmost = Number.NEGATIVE_INFINITY;
      let sum = 0;
      let count = 0;
      each(contact, (x, y) => {
        const u = ((x - axis.heel.x) * along.x + (y - axis.heel.y) * along.y) / length;
        if (u < from || u > to) return;
        const v = (x - axis.heel.x) * right.x + (y - axis.heel.y) * right.y;
        left = Math.min(left, v);
        rightmost = Math.max(rightmost, v);
        sum += u;
        count += 1;
      });
      if (count === 0) return axis.toe;
      const u = (sum / count) * length;
      const v = (left + rightmost) / 2;
      return { x: axis.heel.x + along.x * u + right.x * v, y: axis.heel.y + along.y * u + right.y * v };
    };
    axis = stretched(contact, { heel: middle(0.04, 0.24), toe: middle(0.62, 0.76) });
  }
  return axis;
}

/** The same line from the rearmost to the foremost contact. */
function stretched(contact: Mask, axis: FootAxis): FootAxis {
  const { along } = directions(axis);
  let from = Number.POSITIVE_INFINITY;
  let to = Number.NEGATIVE_INFINITY;
  each(contact, (x, y) => {
    const u = (x - axis.heel.x) * along.x + (y - axis.heel.y) * along.y;
    from = Math.min(from, u - 0.5);
    to = Math.max(to, u + 0.5);
  });
  const at = (u: number) => ({ x: axis.heel.x + along.x * u, y: axis.heel.y + along.y * u });
  return { heel: at(from), toe: at(to) };
}

function each({ width, height, data }: Mask, visit: (x: number, y: number) => void): void {
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) if (data[y * width + x] === 1) visit(x, y);
}

/** A lone cell or two that once reached the contact level are a sensor’s noise, not a toe. */
const LEAST_CELLS = 3;

/** Cells that carried load at any time. */
export function contactOf(recording: PressureRecording): Mask {
  const peak = peakPicture(recording);
  const data = new Uint8Array(peak.length);
  for (let at = 0; at < peak.length; at += 1) data[at] = peak[at]! >= CONTACT_KPA ? 1 : 0;
  const mask = { width: recording.columns, height: recording.rows, data };
  return keepPieces(piecesOf(mask), mask, (piece) => piece.area >= LEAST_CELLS);
}

/** Divides the contact into regions about an axis, which the clinician may have moved. */
export function maskOf(recording: PressureRecording, side: Side, axis = axisOfStep(recording)): FootMask {
  const contact = contactOf(recording);
  const { along, right, length } = directions(axis);
  const region = new Int8Array(contact.data.length).fill(-1);
  const place = new Float32Array(contact.data.length);
  const medial = side === 'right' ? -1 : 1;
  const ball = { inner: Number.NEGATIVE_INFINITY, outer: Number.POSITIVE_INFINITY };
  const where = (x: number, y: number) => ({
    u: ((x - axis.heel.x) * along.x + (y - axis.heel.y) * along.y) / length,
    m: medial * ((x - axis.heel.x) * right.x + (y - axis.heel.y) * right.y),
  });
  each(contact, (x, y) => {
    const { u, m } = where(x, y);
    if (u > 0.58 && u < 0.78) {
      ball.inner = Math.max(ball.inner, m + 0.5);
      ball.outer = Math.min(ball.outer, m - 0.5);
    }
  });
  const width = ball.inner - ball.outer;
  const middles = columnMiddles(contact, where);
  each(contact, (x, y) => {
    const at = y * contact.width + x;
    const { u, m } = where(x, y);
    place[at] = u;
    const share = (ball.inner - m) / width;
    const middle = middles[Math.max(0, Math.min(middles.length - 1, Math.floor(u * middles.length)))]!;
    region[at] = PLANTAR_REGION_IDS.indexOf(regionAt(u, share, m > middle));
  });
  return {
    axis,
    side,
    region,
    length,
    width,
    place,
    contact: contact.data,
  };
}

/** Middle of the contact across, in twenty slices along the foot. */
function columnMiddles(contact: Mask, where: (x: number, y: number) => { u: number; m: number }): number[] {
  const slices = 20;
  const inner = new Array<number>(slices).fill(Number.NEGATIVE_INFINITY);
  const outer = new Array<number>(slices).fill(Number.POSITIVE_INFINITY);
  each(contact, (x, y) => {
    const { u, m } = where(x, y);
    const slice = Math.max(0, Math.min(slices - 1, Math.floor(u * slices)));
    inner[slice] = Math.max(inner[slice]!, m);
    outer[slice] = Math.min(outer[slice]!, m);
  });
  return inner.map((value, slice) => (Number.isFinite(value) ? (value + outer[slice]!) / 2 : 0));
}

function regionAt(u: number, share: number, inner: boolean): PlantarRegion {
  if (u < CUTS.heel) return inner ? 'heel-inner' : 'heel-outer';
  if (u < CUTS.midfoot) return inner ? 'midfoot-inner' : 'midfoot-outer';
  const toeLine = CUTS.toesInner + (CUTS.toesOuter - CUTS.toesInner) * Math.min(1, Math.max(0, share));
  if (u < toeLine) {
    const head = CUTS.heads.findIndex((cut) => share < cut);
    return `head-${head === -1 ? 5 : head + 1}` as PlantarRegion;
  }
  if (share < CUTS.bigToe) return 'big-toe';
  return share < CUTS.secondToe ? 'second-toe' : 'other-toes';
}

/**
 * Level below which a cell’s value is noise, kPa: three standard deviations of the cells that never carry load.
 * A plate that clips at zero shows only the upper half of its noise, hence the 2.
 */
export function noiseFloor({ frames }: PressureRecording, contact: Uint8Array): number {
  let squares = 0;
  let count = 0;
  for (const frame of frames)
    for (let at = 0; at < frame.length; at += 1) {
      if (contact[at] === 1) continue;
      squares += frame[at]! ** 2;
      count += 1;
    }
  return count === 0 ? 0 : 3 * Math.sqrt((2 * squares) / count);
}

/** Centre of pressure of each loaded frame, in cells, over the cells that are ever in contact and above noise. */
export function centreOfPressure(recording: PressureRecording): Point[] {
  const { columns, frames } = recording;
  const contact = contactOf(recording).data;
  const floor = noiseFloor(recording, contact);
  const path: Point[] = [];
  for (const frame of frames) {
    let sum = 0;
    let x = 0;
    let y = 0;
    let most = 0;
    for (let at = 0; at < frame.length; at += 1) {
      const value = frame[at]!;
      if (contact[at] === 0 || value === 0 || value < floor) continue;
      if (value > most) most = value;
      sum += value;
      x += value * (at % columns);
      y += value * Math.floor(at / columns);
    }
    if (most >= CONTACT_KPA) path.push({ x: x / sum, y: y / sum });
  }
  return path;
}
