import { FILM } from '@/core/photograph/limits';
import { jpegOf } from './photo';

/** Seeks to a moment; resolves once its picture is there. */
const seek = (film: HTMLVideoElement, seconds: number): Promise<void> =>
  new Promise((done, failed) => {
    film.onseeked = () => done();
    film.onerror = () => failed(film.error);
    film.currentTime = seconds;
  });

const opened = (film: HTMLVideoElement): Promise<void> =>
  new Promise((done, failed) => {
    film.onloadeddata = () => done();
    film.onerror = () => failed(film.error);
    film.load();
  });

/** Some films that a browser has just made do not say how long they are until somebody goes to their end. */
async function lengthOf(film: HTMLVideoElement): Promise<number> {
  if (Number.isFinite(film.duration)) return film.duration;
  await seek(film, 1e6);
  return film.currentTime;
}

export interface Film {
  frames: string[];
  perSecond: number;
}

/**
 * Small still pictures of the middle of a film, without its sound and without what a camera notes in it; null where it cannot be read.
 *
 * @param onShare how much is done, 0 to 1
 */
export async function stillsOf(file: Blob, onShare: (share: number) => void): Promise<Film | null> {
  const address = URL.createObjectURL(file);
  const film = document.createElement('video');
  film.muted = true;
  film.playsInline = true;
  film.preload = 'auto';
  film.src = address;
  try {
    await opened(film);
    const length = await lengthOf(film);
    const many = Math.min(FILM.mostFrames, Math.floor(length * FILM.perSecond));
    if (many < 2) return null;
    const from = (length - many / FILM.perSecond) / 2;
    const scale = Math.min(1, FILM.longestPx / Math.max(film.videoWidth, film.videoHeight));
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(film.videoWidth * scale);
    canvas.height = Math.round(film.videoHeight * scale);
    const frames: string[] = [];
    for (let at = 0; at < many; at += 1) {
      await seek(film, from + at / FILM.perSecond);
      canvas.getContext('2d')?.drawImage(film, 0, 0, canvas.width, canvas.height);
      // Each gets its share of what may be sent at once; base64 is a third longer.
      const frame = await jpegOf(canvas, (0.75 * FILM.largest) / FILM.mostFrames);
      if (frame === null) return null;
      frames.push(frame);
      onShare((at + 1) / many);
    }
    return { frames, perSecond: FILM.perSecond };
  } catch {
    return null;
  } finally {
    URL.revokeObjectURL(address);
  }
}
