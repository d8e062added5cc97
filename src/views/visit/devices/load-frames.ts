import type { Picture } from '@/core/examination/footprint/picture';
import { frameRateOf } from '@/core/examination/gait/frame-rate';
import { fail, ok, type Result } from '@/core/result/result';

/** Frames of a clip, each no taller than the stage needs. */
export interface Clip {
  frames: ImageBitmap[];
  width: number;
  height: number;
  /** null: not known from the file. */
  framesPerSecond: number | null;
  /** Said where something was left out. */
  note: string | null;
}

export interface LoadOptions {
  onProgress: (share: number) => void;
  signal: AbortSignal;
}

/** Tall enough for half a degree on a lower leg, small enough to keep a few hundred. */
const MOST_HEIGHT = 960;
const MOST_FRAMES = 600;

const cancelled = () => fail('cancelled', 'Cancelled.');

/** The file’s own names carry the order: 2 before 10. */
export const byFrameName = (a: { name: string }, b: { name: string }): number =>
  a.name.localeCompare(b.name, 'en', { numeric: true });

async function bitmapOf(source: ImageBitmapSource, width: number, height: number): Promise<ImageBitmap> {
  if (height <= MOST_HEIGHT) return createImageBitmap(source);
  return createImageBitmap(source, {
    resizeHeight: MOST_HEIGHT,
    resizeWidth: Math.round((width * MOST_HEIGHT) / height),
    resizeQuality: 'high',
  });
}

/** Frames from picture files, in the order of their names. Frames of another size than the first are refused. */
export async function clipFromPictures(
  files: readonly File[],
  { onProgress, signal }: LoadOptions,
): Promise<Result<Clip>> {
  const sorted = files.toSorted(byFrameName).slice(0, MOST_FRAMES);
  const frames: ImageBitmap[] = [];
  for (const [index, file] of sorted.entries()) {
    if (signal.aborted) return cancelled();
    let whole: ImageBitmap;
    try {
      whole = await createImageBitmap(file);
    } catch {
      return fail('no-picture', `“${file.name}” cannot be read as a picture: use PNG or JPEG.`);
    }
    const frame = await bitmapOf(whole, whole.width, whole.height);
    const first = frames[0];
    if (first && (first.width !== frame.width || first.height !== frame.height))
      return fail('size', `“${file.name}” is not the size of the first frame: it is from another clip.`);
    frames.push(frame);
    onProgress((index + 1) / sorted.length);
  }
  const first = frames[0];
  if (!first) return fail('empty', 'There are no frames.');
  return ok({
    frames,
    width: first.width,
    height: first.height,
    framesPerSecond: null,
    note:
      files.length > MOST_FRAMES ? `Only the first ${MOST_FRAMES} of ${files.length} frames are kept.` : null,
  });
}

/** Frame rate from the frames that are shown in the first moments of playback. */
async function rateOf(video: HTMLVideoElement, signal: AbortSignal): Promise<number | null> {
  if (!('requestVideoFrameCallback' in video)) return null;
  const times: number[] = [];
  await new Promise<void>((resolve) => {
    const timer = setTimeout(resolve, 2500);
    const next = (_: number, { mediaTime }: VideoFrameCallbackMetadata) => {
      times.push(mediaTime);
      if (times.length >= 16 || signal.aborted || video.ended) {
        clearTimeout(timer);
        resolve();
      } else video.requestVideoFrameCallback(next);
    };
    video.requestVideoFrameCallback(next);
    video.playbackRate = 0.5;
    video.play().catch(() => resolve());
  });
  video.pause();
  return frameRateOf(times);
}

const USUAL_RATE = 30;

/** Frames of a video file, decoded by the browser one by one. */
export async function clipFromVideo(file: File, { onProgress, signal }: LoadOptions): Promise<Result<Clip>> {
  const video = document.createElement('video');
  video.muted = true;
  video.preload = 'auto';
  const address = URL.createObjectURL(file);
  try {
    const ready = await new Promise<boolean>((resolve) => {
      video.onloadeddata = () => resolve(true);
      video.onerror = () => resolve(false);
      video.src = address;
    });
    if (!ready || !(video.duration > 0) || video.videoWidth === 0)
      return fail('no-video', `“${file.name}” cannot be played by this browser. Try WebM or MP4.`);
    const rate = await rateOf(video, signal);
    const framesPerSecond = rate ?? USUAL_RATE;
    const all = Math.max(1, Math.floor(video.duration * framesPerSecond));
    const count = Math.min(MOST_FRAMES, all);
    const frames: ImageBitmap[] = [];
    for (let index = 0; index < count; index += 1) {
      if (signal.aborted) return cancelled();
      await new Promise<void>((resolve) => {
        video.onseeked = () => resolve();
        video.currentTime = (index + 0.5) / framesPerSecond;
      });
      frames.push(await bitmapOf(video, video.videoWidth, video.videoHeight));
      onProgress((index + 1) / count);
    }
    const { width, height } = frames[0]!;
    return ok({
      frames,
      width,
      height,
      framesPerSecond: rate,
      note: all > count ? `Only the first ${count} of ${all} frames are kept.` : null,
    });
  } finally {
    video.removeAttribute('src');
    URL.revokeObjectURL(address);
  }
}

const scratch: { canvas: OffscreenCanvas | null } = { canvas: null };

/** Pixels of one frame. */
export function pixelsOf(frame: ImageBitmap): Picture {
  const { width, height } = frame;
  if (!scratch.canvas || scratch.canvas.width !== width || scratch.canvas.height !== height)
    scratch.canvas = new OffscreenCanvas(width, height);
  const context = scratch.canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(frame, 0, 0);
  return context.getImageData(0, 0, width, height);
}
