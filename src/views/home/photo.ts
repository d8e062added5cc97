import { LARGEST_KEPT, LONGEST_PX } from '@/core/photograph/limits';

const QUALITIES = [0.85, 0.7, 0.5, 0.3] as const;

const toBlob = (canvas: HTMLCanvasElement, quality: number): Promise<Blob | null> =>
  new Promise((done) => canvas.toBlob(done, 'image/jpeg', quality));

const toBase64 = (blob: Blob): Promise<string> =>
  new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result).replace(/^data:[^,]*,/, ''));
    reader.onerror = () => failed(reader.error);
    reader.readAsDataURL(blob);
  });

/** What is on a canvas as JPEG in base64, as good as fits; null where it does not. */
export async function jpegOf(canvas: HTMLCanvasElement, largest: number): Promise<string | null> {
  for (const quality of QUALITIES) {
    const blob = await toBlob(canvas, quality);
    if (blob && blob.size <= largest) return toBase64(blob);
  }
  return null;
}

/**
 * A photograph made small and written anew as JPEG, so that nothing a camera notes in it (place, phone) leaves the phone; null where
 * it cannot be read.
 */
export async function smallJpeg(file: Blob): Promise<string | null> {
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const scale = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(picture.width * scale);
    canvas.height = Math.round(picture.height * scale);
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    return await jpegOf(canvas, LARGEST_KEPT);
  } catch {
    return null;
  }
}
