import { useEffect, useRef, useState } from 'react';
import { failureInWords, fetchFile } from '@/contract/client';
import type { HeelLines } from '@/core/examination/gait/heel-angle';
import { followMarks, snapLines } from '@/core/examination/gait/skin-marks';
import type { Problem } from '@/core/result/result';
import type { TaskState } from '../../use-task';
import { useHeld } from '../visit-context';
import { type Clip, clipFromPictures, clipFromVideo, pixelsOf } from './load-frames';

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

const SNAP_SHARE = 0.03;
const SIMULATED_AT_ONCE = 4;

/** A loaded clip: its frames, the frame shown, playing, and lines frame by frame. */
export function useGaitClip() {
  const [clip, setClip] = useHeld<Clip | null>('clip', null);
  const [state, setState] = useState<TaskState>({ is: 'idle' });
  const [frame, setFrame] = useHeld('clip-frame', 0);
  const [speed, setSpeed] = useState<number | null>(null);
  const [rate, setRate] = useHeld('clip-rate', 60);
  const [lines, setLines] = useHeld<ReadonlyMap<number, HeelLines>>('clip-lines', new Map());
  const [message, setMessage] = useState<string | null>(null);
  const stop = useRef<AbortController | null>(null);

  useEffect(() => () => stop.current?.abort(), []);
  useEffect(() => {
    if (!clip || speed === null) return;
    const timer = setInterval(() => setFrame((now) => (now + 1) % clip.frames.length), 1000 / (rate * speed));
    return () => clearInterval(timer);
  }, [clip, speed, rate, setFrame]);

  const accept = (loaded: Clip, framesPerSecond: number | null) => {
    setClip(loaded);
    setRate(framesPerSecond ?? loaded.framesPerSecond ?? 60);
    setFrame(0);
    setSpeed(null);
    setLines(new Map());
    setMessage(loaded.note);
    setState({ is: 'idle' });
  };
  const failed = (problem: Problem) =>
    setState(problem.code === 'cancelled' ? { is: 'cancelled' } : { is: 'failed', problem });
  const begin = () => {
    stop.current?.abort();
    stop.current = new AbortController();
    setState({ is: 'working', stage: 'decoding frames', share: 0 });
    return {
      signal: stop.current.signal,
      onProgress: (share: number) => setState({ is: 'working', stage: 'decoding frames', share }),
    };
  };

  /** One video, or the pictures of a folder. */
  const load = async (files: File[], framesPerSecond: number | null = null) => {
    const [first] = files;
    if (!first) return;
    const options = begin();
    const loaded = first.type.startsWith('video/')
      ? await clipFromVideo(first, options)
      : await clipFromPictures(files, options);
    if (loaded.ok) accept(loaded.value, framesPerSecond);
    else failed(loaded.problem);
  };

  /** The rest of a simulated clip, a few frames at a time. */
  const film = async (settings: Record<string, string>, first: File, count: number) => {
    const { signal, onProgress } = begin();
    const files: File[] = [first];
    let next = 1;
    let problem: string | null = null;
    const worker = async () => {
      while (next < count && problem === null && !signal.aborted) {
        const index = next++;
        const answer = await fetchFile('gaitCamera', { query: { ...settings, frame: index } }, { signal });
        if (answer.ok) files[index] = answer.value;
        else problem ??= failureInWords(answer);
        onProgress((0.8 * files.filter(Boolean).length) / count);
      }
    };
    await Promise.all(Array.from({ length: SIMULATED_AT_ONCE }, worker));
    if (signal.aborted) setState({ is: 'cancelled' });
    else if (problem !== null) failed({ code: 'device', path: [], message: problem });
    else await load(files, Number(settings.framesPerSecond));
  };

  /** Takes from the simulated camera; a sentence when it refuses its settings, else null at the first frame. */
  const simulate = async (settings: Record<string, string>): Promise<string | null> => {
    const answer = await fetchFile('gaitCamera', { query: { ...settings, frame: 0 } });
    if (!answer.ok) return failureInWords(answer);
    void film(settings, answer.value, Number(settings.frames));
    return null;
  };

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
    stop.current = new AbortController();
    const { signal } = stop.current;
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

  const show = (index: number) => {
    setSpeed(null);
    setFrame(Math.max(0, Math.min((clip?.frames.length ?? 1) - 1, index)));
  };
  return {
    clip,
    state,
    frame,
    show,
    speed,
    setSpeed,
    rate,
    setRate,
    lines,
    linesNow: at(frame),
    place,
    snap,
    follow,
    load,
    simulate,
    message,
    cancel: () => stop.current?.abort(),
  };
}
