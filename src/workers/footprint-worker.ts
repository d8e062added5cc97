import type { PrintIndices } from '@/core/examination/footprint/indices';
import type { FootAxis } from '@/core/examination/footprint/orient';
import type { Mask, Picture } from '@/core/examination/footprint/picture';
import {
  type FoundPrint,
  findPrint,
  indicesOf,
  type PrintOptions,
  printLength,
} from '@/core/examination/footprint/read-print';
import type { Side } from '@/core/findings/finding-kinds';
import { fail, ok, type Result } from '@/core/result/result';
import { serve } from './task';

export type FootprintQuestion =
  | { find: Blob; options: PrintOptions }
  | { measure: { sole: Mask; toes: Mask; axis: FootAxis; side: Side } };

export interface FootprintAnswer {
  /** Only after finding. */
  found: FoundPrint | null;
  indices: PrintIndices;
  /** Heel to longest toe, pixels of the masks. */
  lengthPx: number;
}

const MOST_PIXELS = 60_000_000;

/** Pixels of a picture file, upright as its camera says. */
async function decode(file: Blob): Promise<Result<Picture>> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    return fail('no-picture', 'This cannot be read as a picture: use PNG or JPEG.');
  }
  const { width, height } = bitmap;
  if (width * height > MOST_PIXELS) return fail('too-large', 'The picture has more than 60 megapixels.');
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!context) return fail('no-canvas', 'This browser cannot read pictures in the background.');
  context.fillStyle = 'white';
  context.fillRect(0, 0, width, height);
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  return ok(context.getImageData(0, 0, width, height));
}

serve<FootprintQuestion, FootprintAnswer>(async (question, report) => {
  if ('measure' in question) {
    const indices = indicesOf(question.measure);
    return indices.ok
      ? ok({ found: null, indices: indices.value, lengthPx: printLength(question.measure) })
      : indices;
  }
  report('reading the picture', 0.1);
  const picture = await decode(question.find);
  if (!picture.ok) return picture;
  report('finding the print', 0.4);
  const found = findPrint(picture.value, question.options);
  if (!found.ok) return found;
  report('measuring', 0.9);
  const indices = indicesOf(found.value);
  if (!indices.ok) return indices;
  return ok({ found: found.value, indices: indices.value, lengthPx: printLength(found.value) });
});
