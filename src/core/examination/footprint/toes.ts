import { directions, type FootAxis } from './orient';
import { emptyMask, type Mask } from './picture';
import { depthMap, type Piece, piecesOf } from './pieces';

export interface ToeSplit {
  /** The print without its toes. */
  sole: Mask;
  toes: Mask;
  /** One entry a toe, from the left of the foot to its right, seen from above. */
  pieces: Piece[];
}

/** A toe lies in the front of the print and is small against it. */
const TOE_FROM = 0.72;
const TOE_SHARE = 0.08;

/**
 * Takes the toes off a print: separate ones by their place, joined ones by cutting at their necks (a lobe
 * that comes apart when the print is worn down, flooded back to the saddle between it and the sole).
 */
export function splitToes(print: Mask, axis: FootAxis): ToeSplit {
  const { along, right, length } = directions(axis);
  const placeOf = (x: number, y: number) =>
    ((x - axis.heel.x) * along.x + (y - axis.heel.y) * along.y) / length;
  let area = 0;
  for (let at = 0; at < print.data.length; at += 1) area += print.data[at]!;
  const isToe = (piece: Piece) => placeOf(piece.x, piece.y) > TOE_FROM && piece.area < area * TOE_SHARE;

  const depth = depthMap(print);
  const seeds = joinedLobes(print, depth, placeOf, length, area);
  const separate = piecesOf(print);
  const toeLabels = new Uint8Array(separate.pieces.length + 1);
  for (const piece of separate.pieces) if (isToe(piece)) toeLabels[piece.label] = 1;

  const sole = emptyMask(print.width, print.height);
  const toes = emptyMask(print.width, print.height);
  const owner = seeds.length > 0 ? flood(print, depth, seeds, placeOf) : null;
  for (let at = 0; at < print.data.length; at += 1) {
    if (print.data[at] === 0) continue;
    const toe = toeLabels[separate.labels[at]!] === 1 || (owner !== null && owner[at]! > 1);
    (toe ? toes : sole).data[at] = 1;
  }
  const rightOf = (piece: Piece) => (piece.x - axis.heel.x) * right.x + (piece.y - axis.heel.y) * right.y;
  const pieces = piecesOf(toes)
    .pieces.filter((piece) => piece.area > area * 0.002)
    .sort((a, b) => rightOf(a) - rightOf(b));
  return { sole, toes, pieces };
}

interface Lobe {
  pixels: number[];
}

/** Share of the length from which lobes are looked for; what reaches back to it is the sole. */
const FRONT_FROM = 0.62;

/** Lobes at the toe end that come apart as the print is worn down, before they vanish. */
function joinedLobes(
  print: Mask,
  depth: Uint16Array,
  placeOf: (x: number, y: number) => number,
  length: number,
  area: number,
): Lobe[] {
  const { width, height } = print;
  let front: number[] = [];
  const isFront = new Uint8Array(width * height);
  for (let y = 1; y < height - 1; y += 1)
    for (let x = 1; x < width - 1; x += 1) {
      const at = y * width + x;
      if (print.data[at] === 0 || placeOf(x, y) <= FRONT_FROM) continue;
      front.push(at);
      isFront[at] = 1;
    }
  const lobes: Lobe[] = [];
  const claimed = new Uint8Array(width * height);
  const seen = new Uint8Array(width * height);
  const steps = 24;
  const deepest = length * 0.055 * 3;
  for (let step = 1; step <= steps; step += 1) {
    const wear = (deepest * step) / steps;
    front = front.filter((at) => depth[at]! > wear);
    for (const start of front) {
      if (seen[start] === step) continue;
      const blob = floodFrom(start, width, depth, wear, seen, step, isFront);
      if (blob.reachesBack || blob.pixels.length < area * 0.0008 || blob.pixels.length > area * TOE_SHARE)
        continue;
      // A bump of the metatarsal edge has no neck; a toe is deeper than its own.
      if (blob.peak < wear * 1.05 + 2 || blob.pixels.some((at) => claimed[at])) continue;
      for (const at of blob.pixels) claimed[at] = 1;
      lobes.push({ pixels: blob.pixels });
    }
  }
  return lobes;
}

/** One connected blob deeper than `wear` in the front of the print. */
function floodFrom(
  start: number,
  width: number,
  depth: Uint16Array,
  wear: number,
  seen: Uint8Array,
  step: number,
  isFront: Uint8Array,
) {
  const pixels = [start];
  seen[start] = step;
  let peak = 0;
  let reachesBack = false;
  for (let head = 0; head < pixels.length; head += 1) {
    const at = pixels[head]!;
    peak = Math.max(peak, depth[at]!);
    for (let turn = 0; turn < 4; turn += 1) {
      const next = turn === 0 ? at - width : turn === 1 ? at + width : turn === 2 ? at - 1 : at + 1;
      if (depth[next]! <= wear || seen[next] === step) continue;
      if (isFront[next] === 0) {
        reachesBack = true;
        continue;
      }
      seen[next] = step;
      pixels.push(next);
    }
  }
  return { pixels, peak, reachesBack };
}

/** Watershed from the lobes and from the body of the print: owner 1 is the sole, 2 … are lobes. */
function flood(
  print: Mask,
  depth: Uint16Array,
  lobes: readonly Lobe[],
  placeOf: (x: number, y: number) => number,
): Uint8Array {
  const { width, height } = print;
  const owner = new Uint8Array(width * height);
  let highest = 0;
  for (let at = 0; at < depth.length; at += 1) highest = Math.max(highest, depth[at]!);
  const queues: number[][] = Array.from({ length: highest + 1 }, () => []);
  const push = (at: number, who: number) => {
    owner[at] = who;
    queues[depth[at]!]!.push(at);
  };
  for (const [index, lobe] of lobes.entries()) for (const at of lobe.pixels) push(at, index + 2);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const at = y * width + x;
      if (print.data[at] === 1 && owner[at] === 0 && placeOf(x, y) < 0.6) push(at, 1);
    }
  for (let level = highest; level > 0; level -= 1) {
    const queue = queues[level]!;
    for (let head = 0; head < queue.length; head += 1) {
      const at = queue[head]!;
      for (const next of [at - 1, at + 1, at - width, at + width]) {
        if (print.data[next] !== 1 || owner[next] !== 0) continue;
        owner[next] = owner[at]!;
        // Shallower pixels wait for their level; deeper ones belong to this flood already.
        queues[Math.min(level, depth[next]!)]!.push(next);
      }
    }
  }
  return owner;
}
