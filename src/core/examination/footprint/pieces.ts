import { emptyMask, type Mask } from './picture';

/** One connected piece of a mask. */
export interface Piece {
  label: number;
  area: number;
  /** Centre of area, pixels. */
  x: number;
  y: number;
}

export interface Pieces {
  /** 0 outside the mask, else the piece's label (1 …). */
  labels: Int32Array;
  /** Indexed by label − 1. */
  pieces: Piece[];
}

/** Connected pieces (four neighbours) of the pixels that hold `wanted`, found by flooding. */
export function piecesOf({ width, height, data }: Mask, wanted: 0 | 1 = 1): Pieces {
  const labels = new Int32Array(width * height);
  const pieces: Piece[] = [];
  const stack = new Int32Array(width * height);
  const last = width - 1;
  for (let start = 0; start < data.length; start += 1) {
    if (data[start] !== wanted || labels[start] !== 0) continue;
    const label = pieces.length + 1;
    let top = 0;
    stack[top++] = start;
    labels[start] = label;
    let area = 0;
    let sumX = 0;
    let sumY = 0;
    while (top > 0) {
      const at = stack[--top]!;
      const y = (at / width) | 0;
      const x = at - y * width;
      area += 1;
      sumX += x;
      sumY += y;
      for (let turn = 0; turn < 4; turn += 1) {
        const next = turn === 0 ? at - width : turn === 1 ? at + width : turn === 2 ? at - 1 : at + 1;
        if ((turn === 2 && x === 0) || (turn === 3 && x === last)) continue;
        if (next < 0 || next >= data.length || data[next] !== wanted || labels[next] !== 0) continue;
        labels[next] = label;
        stack[top++] = next;
      }
    }
    pieces.push({ label, area, x: sumX / area, y: sumY / area });
  }
  return { labels, pieces };
}

/** Closes every gap that does not reach the edge of the picture and is smaller than `largest` pixels. */
export function fillHoles(mask: Mask, largest = Number.POSITIVE_INFINITY): Mask {
  const { width, height } = mask;
  const { labels, pieces } = piecesOf(mask, 0);
  const open = new Uint8Array(pieces.length + 1);
  for (let x = 0; x < width; x += 1) {
    open[labels[x]!] = 1;
    open[labels[(height - 1) * width + x]!] = 1;
  }
  for (let y = 0; y < height; y += 1) {
    open[labels[y * width]!] = 1;
    open[labels[y * width + width - 1]!] = 1;
  }
  const out = emptyMask(width, height);
  for (let at = 0; at < labels.length; at += 1) {
    const label = labels[at]!;
    out.data[at] = label === 0 || (!open[label] && pieces[label - 1]!.area <= largest) ? 1 : 0;
  }
  return out;
}

/** Keeps the pieces that a test accepts. */
export function keepPieces(found: Pieces, mask: Mask, accept: (piece: Piece) => boolean): Mask {
  const kept = found.pieces.map(accept);
  const out = emptyMask(mask.width, mask.height);
  for (let at = 0; at < found.labels.length; at += 1) {
    const label = found.labels[at]!;
    out.data[at] = label > 0 && kept[label - 1] ? 1 : 0;
  }
  return out;
}

/**
 * Distance of each pixel of the mask to its edge, in thirds of a pixel: chamfer 3–4 in two passes. What lies
 * beyond the picture counts as outside unless it is put far away.
 * Borgefors 1986, Comput Vision Graph 34:344–371, from memory.
 */
export function depthMap({ width, height, data }: Mask, beyondPicture = 3): Uint16Array {
  const depth = new Uint16Array(width * height);
  const far = 65000;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const at = y * width + x;
      if (data[at] === 0) continue;
      if (x === 0 || y === 0 || x === width - 1 || y === height - 1) {
        depth[at] = beyondPicture;
        continue;
      }
      depth[at] = Math.min(
        far,
        depth[at - 1]! + 3,
        depth[at - width]! + 3,
        depth[at - width - 1]! + 4,
        depth[at - width + 1]! + 4,
      );
    }
  for (let y = height - 2; y > 0; y -= 1)
    for (let x = width - 2; x > 0; x -= 1) {
      const at = y * width + x;
      if (depth[at]! <= 3) continue;
      depth[at] = Math.min(
        depth[at]!,
        depth[at + 1]! + 3,
        depth[at + width]! + 3,
        depth[at + width + 1]! + 4,
        depth[at + width - 1]! + 4,
      );
    }
  return depth;
}

/** Widens a mask by a number of pixels. */
export function widen(mask: Mask, by: number): Mask {
  const outside = emptyMask(mask.width, mask.height);
  for (let at = 0; at < mask.data.length; at += 1) outside.data[at] = 1 - mask.data[at]!;
  const depth = depthMap(outside, 60000);
  const out = emptyMask(mask.width, mask.height);
  for (let at = 0; at < depth.length; at += 1)
    out.data[at] = mask.data[at] === 1 || depth[at]! <= by * 3 ? 1 : 0;
  return out;
}
