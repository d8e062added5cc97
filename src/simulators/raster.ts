import type { Picture } from '@/core/examination/footprint/picture';
import type { Noise } from './noise';

export type Colour = readonly [red: number, green: number, blue: number];
export type Polygon = readonly (readonly [x: number, y: number])[];

/** Share of each pixel that polygons cover (0 … 1), by four scan lines a pixel and exact ends on each. */
export function coverage(width: number, height: number, polygons: readonly Polygon[]): Float32Array {
  const covered = new Float32Array(width * height);
  const lines = 4;
  for (const polygon of polygons) {
    const crossings = new Map<number, number[]>();
    for (let at = 0; at < polygon.length; at += 1) {
      const [x1, y1] = polygon[at]!;
      const [x2, y2] = polygon[(at + 1) % polygon.length]!;
      const first = Math.max(0, Math.ceil(Math.min(y1, y2) * lines - 0.5));
      const beyond = Math.min(height * lines, Math.ceil(Math.max(y1, y2) * lines - 0.5));
      for (let line = first; line < beyond; line += 1) {
        const x = x1 + (((line + 0.5) / lines - y1) / (y2 - y1)) * (x2 - x1);
        const list = crossings.get(line);
        if (list) list.push(x);
        else crossings.set(line, [x]);
      }
    }
    for (const [line, ends] of crossings) {
      ends.sort((a, b) => a - b);
      const row = Math.floor(line / lines) * width;
      for (let pair = 0; pair + 1 < ends.length; pair += 2) {
        const from = Math.max(0, ends[pair]!);
        const to = Math.min(width, ends[pair + 1]!);
        for (let x = Math.floor(from); x < to; x += 1)
          covered[row + x]! += (Math.min(to, x + 1) - Math.max(from, x)) / lines;
      }
    }
  }
  for (let at = 0; at < covered.length; at += 1) covered[at] = Math.min(1, covered[at]!);
  return covered;
}

export interface Paint {
  ground: Colour;
  /** Fall of brightness from one corner to the other, 0 … 1. */
  shade?: number;
  /** Standard deviation of sensor noise, levels. */
  grain?: number;
}

/** Grains are drawn once into a pool and scattered: drawing three for every pixel would be most of the work. */
const POOL = 1 << 14;

function grains(chance: Noise, spread: number): Float32Array {
  const pool = new Float32Array(POOL);
  if (spread > 0) for (let at = 0; at < POOL; at += 1) pool[at] = chance.normal() * spread;
  return pool;
}

/** A picture of layers of colour over a ground. */
export function paintLayers(
  width: number,
  height: number,
  layers: readonly { covered: Float32Array; colour: Colour }[],
  { ground, shade = 0, grain = 0 }: Paint,
  chance: Noise,
): Picture {
  const data = new Uint8ClampedArray(width * height * 4);
  const pool = grains(chance, grain);
  let scatter = 1;
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const at = y * width + x;
      let [red, green, blue] = ground;
      for (const { covered, colour } of layers) {
        const share = covered[at]!;
        if (share === 0) continue;
        red += (colour[0] - red) * share;
        green += (colour[1] - green) * share;
        blue += (colour[2] - blue) * share;
      }
      const light = 1 - shade * (0.6 * (x / width) + 0.4 * (y / height));
      scatter = (Math.imul(scatter, 1664525) + 1013904223) >>> 0;
      data[at * 4] = red * light + pool[scatter >>> 18]!;
      data[at * 4 + 1] = green * light + pool[(scatter >>> 4) & (POOL - 1)]!;
      data[at * 4 + 2] = blue * light + pool[(scatter >>> 11) & (POOL - 1)]!;
      data[at * 4 + 3] = 255;
    }
  return { width, height, data };
}
