import type { HeelLines } from '@/core/examination/gait/heel-angle';
import { followMarks, snapLines } from '@/core/examination/gait/skin-marks';
import { useHeld } from '../visit-context';
import { type Clip, pixelsOf } from './load-frames';
import { useClip } from './use-clip';

/** Lines where they lie before anybody has placed them: upright in the middle. */
const firstLines = ({ width, height }: Clip): HeelLines => ({
  leg: [
    { x: width / 2, y: height * 0.35 },
    { x: width / 2, y: height * 0.6 },
  ],
  heel: [
    { x: width / 2, y: height * 0.73 },
    { x: width / 2, y: height * 0.83 },
  ],
});

/** How far around a point its dot is looked for, of the height of the picture. */
export const SNAP_SHARE = 0.03;

/** A rear view with its lines, frame by frame. */
export function useGaitClip() {
  const [lines, setLines] = useHeld<ReadonlyMap<number, HeelLines>>('clip-lines', new Map());
  const loaded = useClip('clip', 'gaitCamera', () => setLines(new Map()));
  const { clip, frame, setState, setMessage, begin } = loaded;

  const at = (index: number): HeelLines | null => {
    if (!clip) return null;
    for (let back = index; back >= 0; back -= 1) {
      const there = lines.get(back);
      if (there) return there;
    }
    return firstLines(clip);
  };
  const place = (index: number, placed: HeelLines) => setLines((now) => new Map(now).set(index, placed));

  /** Draws the four ends onto the pen dots near them. */
  const snap = () => {
    const picture = clip?.frames[frame];
    const now = at(frame);
    if (!picture || !now) return;
    const snapped = snapLines(pixelsOf(picture), now, picture.height * SNAP_SHARE);
    setMessage(
      snapped
        ? null
        : 'Not every end has a dark mark near it: move the ends closer to the dots, or place them by eye.',
    );
    if (snapped) place(frame, snapped);
  };

  /** Follows the dots from this frame to the end of the clip, a frame at a time so that the page stays alive. */
  const follow = async () => {
    if (!clip) return;
    const signal = begin();
    const followed = new Map(lines);
    let before: HeelLines | null = null;
    let now = at(frame)!;
    let index = frame;
    followed.set(index, now);
    while (index + 1 < clip.frames.length) {
      if (signal.aborted) return setState({ is: 'cancelled' });
      const picture = clip.frames[index + 1]!;
      const next = followMarks(pixelsOf(picture), now, before, picture.height * SNAP_SHARE);
      if (!next) break;
      before = now;
      now = next;
      index += 1;
      followed.set(index, now);
      setState({ is: 'working', stage: 'following the marks', share: index / clip.frames.length });
      await new Promise((resolve) => setTimeout(resolve, 0));
    }
    setLines(followed);
    setState({ is: 'idle' });
    setMessage(
      index + 1 < clip.frames.length
        ? `The marks were lost after frame ${index + 1}: place the lines there and follow on.`
        : null,
    );
  };

  return { ...loaded, lines, linesNow: at(frame), place, snap, follow };
}
