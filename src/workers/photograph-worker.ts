import type { Crop } from '@/core/photograph/crop';
import { LARGEST_FILE, LARGEST_KEPT, LONGEST_PX, THUMBNAIL_PX } from '@/core/photograph/limits';
import { findShankLines, type ShankLines } from '@/core/photograph/shank-lines';
import { fail, ok, type Result } from '@/core/result/result';
import { serve } from './task';

/** A photograph as it is kept: two JPEG pictures, in base64, without anything that the camera wrote about place and time. */
export interface KeptPhotograph {
  image: string;
  thumbnail: string;
  width: number;
  height: number;
}

/** Opens a picture file, upright as the camera held it and no larger than is kept. */
async function openPhotograph(file: Blob): Promise<Result<ImageBitmap>> {
  if (file.size > LARGEST_FILE)
    return fail(
      'too-large',
      `This file has ${Math.round(file.size / 1_048_576)} MB; up to ${LARGEST_FILE / 1_048_576} MB are opened. Take it with fewer pixels.`,
    );
  try {
    const whole = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const share = Math.min(1, LONGEST_PX / Math.max(whole.width, whole.height));
    if (whole.width < 16 || whole.height < 16)
      return fail('too-small', 'This picture is too small to see a shoe.');
    if (share === 1) return ok(whole);
    const scaled = await createImageBitmap(whole, {
      resizeWidth: Math.round(whole.width * share),
      resizeHeight: Math.round(whole.height * share),
      resizeQuality: 'high',
    });
    whole.close();
    return ok(scaled);
  } catch {
    return fail(
      'broken',
      'This file is no picture that can be opened, or it is broken. JPEG, PNG and WebP can.',
    );
  }
}

/** A quarter turn to the right. */
async function quarterTurn(picture: ImageBitmap): Promise<ImageBitmap> {
  const canvas = new OffscreenCanvas(picture.height, picture.width);
  const context = canvas.getContext('2d')!;
  context.translate(picture.height, 0);
  context.rotate(Math.PI / 2);
  context.drawImage(picture, 0, 0);
  return createImageBitmap(canvas);
}

/** Cuts a picture. */
async function cropped(picture: ImageBitmap, { left, top, right, bottom }: Crop): Promise<ImageBitmap> {
  return createImageBitmap(
    picture,
    Math.round(left * picture.width),
    Math.round(top * picture.height),
    Math.max(16, Math.round((right - left) * picture.width)),
    Math.max(16, Math.round((bottom - top) * picture.height)),
  );
}

const base64 = async (blob: Blob): Promise<string> => {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  // Pieces: a call takes only so many arguments.
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return btoa(text);
};

async function jpeg(picture: ImageBitmap, longest: number, most: number): Promise<Blob> {
  const share = Math.min(1, longest / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(Math.round(picture.width * share), Math.round(picture.height * share));
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  for (const quality of [0.88, 0.75, 0.6]) {
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    if (blob.size <= most) return blob;
  }
  return jpeg(picture, longest * 0.75, most);
}

/** A picture and its thumbnail as they are kept. */
async function photographToKeep(picture: ImageBitmap): Promise<KeptPhotograph> {
  const [image, thumbnail] = await Promise.all([
    jpeg(picture, LONGEST_PX, LARGEST_KEPT).then(base64),
    jpeg(picture, THUMBNAIL_PX, 60_000).then(base64),
  ]);
  return { image, thumbnail, width: picture.width, height: picture.height };
}

/** The pixels of a picture. */
function pixelsOf(picture: ImageBitmap): ImageData {
  const context = new OffscreenCanvas(picture.width, picture.height).getContext('2d')!;
  context.drawImage(picture, 0, 0);
  return context.getImageData(0, 0, picture.width, picture.height);
}

/** What is asked about a photograph under the hands. */
export type PhotographQuestion =
  | { open: Blob }
  | { turn: ImageBitmap }
  | { cut: ImageBitmap; to: Crop }
  | { keep: ImageBitmap }
  | { shank: ImageBitmap };
export type PhotographAnswer = { picture: ImageBitmap } | { kept: KeptPhotograph } | { shank: ShankLines };

// A picture of a telephone has twelve million pixels: opening one would stop the page for a fifth of a second.
serve<PhotographQuestion, PhotographAnswer>(
  async (question) => {
    if ('open' in question) {
      const opened = await openPhotograph(question.open);
      return opened.ok ? ok({ picture: opened.value }) : opened;
    }
    if ('turn' in question) return ok({ picture: await quarterTurn(question.turn) });
    if ('cut' in question) return ok({ picture: await cropped(question.cut, question.to) });
    if ('shank' in question) {
      const found = findShankLines(pixelsOf(question.shank));
      return found.ok ? ok({ shank: found.value }) : found;
    }
    return ok({ kept: await photographToKeep(question.keep) });
  },
  (answer) => ('picture' in answer ? [answer.picture] : []),
);
