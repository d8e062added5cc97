/** A decoded picture: row-major RGBA, one byte a channel. */
export interface Picture {
  width: number;
  height: number;
  data: Uint8ClampedArray | Uint8Array;
}

/** A row-major map of which pixels belong to something: 0 or 1. */
export interface Mask {
  width: number;
  height: number;
  data: Uint8Array;
}

export const emptyMask = (width: number, height: number): Mask => ({
  width,
  height,
  data: new Uint8Array(width * height),
});

export const areaOf = (mask: Mask): number => {
  let area = 0;
  for (let at = 0; at < mask.data.length; at += 1) area += mask.data[at]!;
  return area;
};

/**
 * Shrinks a picture by a whole factor (mean of each block) until its longer side is near `near` pixels.
 * Footprint indices are ratios: 600 pixels along a foot hold them to a few thousandths.
 */
export function shrink(picture: Picture, near = 800): { picture: Picture; factor: number } {
  const factor = Math.max(1, Math.round(Math.max(picture.width, picture.height) / near));
  if (factor === 1) return { picture, factor };
  const width = Math.floor(picture.width / factor);
  const height = Math.floor(picture.height / factor);
  const data = new Uint8ClampedArray(width * height * 4);
  const sums = new Uint32Array(width * 3);
  const share = 1 / (factor * factor);
  const from = picture.data;
  for (let row = 0; row < height; row += 1) {
    sums.fill(0);
    for (let inner = 0; inner < factor; inner += 1) {
      let at = (row * factor + inner) * picture.width * 4;
      for (let column = 0; column < width; column += 1) {
        let red = 0;
        let green = 0;
        let blue = 0;
        for (let step = 0; step < factor; step += 1, at += 4) {
          red += from[at]!;
          green += from[at + 1]!;
          blue += from[at + 2]!;
        }
        const into = column * 3;
        sums[into]! += red;
        sums[into + 1]! += green;
        sums[into + 2]! += blue;
      }
    }
    for (let column = 0; column < width; column += 1) {
      const into = (row * width + column) * 4;
      data[into] = sums[column * 3]! * share;
      data[into + 1] = sums[column * 3 + 1]! * share;
      data[into + 2] = sums[column * 3 + 2]! * share;
      data[into + 3] = 255;
    }
  }
  return { picture: { width, height, data }, factor };
}
