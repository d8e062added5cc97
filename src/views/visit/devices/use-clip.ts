import { useEffect, useRef, useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { fetchFile } from '@/contract/client';
import type { Problem } from '@/core/result/result';
import type { TaskState } from '../../use-task';
import { useHeld } from '../visit-context';
import { type Clip, clipFromPictures, clipFromVideo } from './load-frames';

/** Simulated cameras, each a frame at a time. */
export type CameraName = 'gaitCamera' | 'kneeCamera';

const SIMULATED_AT_ONCE = 4;

/** A clip from a file, a folder of frames or a simulated camera; the frame that is shown, and playing. It outlives leaving the step. */
export function useClip(key: string, camera: CameraName, onNew: () => void) {
  const [clip, setClip] = useHeld<Clip | null>(key, null);
  const [state, setState] = useState<TaskState>({ is: 'idle' });
  const [frame, setFrame] = useHeld(`${key}-frame`, 0);
  const [speed, setSpeed] = useState<number | null>(null);
  const [rate, setRate] = useHeld(`${key}-rate`, 60);
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
    onNew();
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
        const answer = await fetchFile(camera, { query: { ...settings, frame: index } }, { signal });
        if (answer.ok) files[index] = answer.value;
        else problem ??= failureInWords(answer);
        onProgress((0.8 * files.filter(Boolean).length) / count);
      }
    };
    await Promise.all(Array.from({ length: SIMULATED_AT_ONCE }, worker));
    if (signal.aborted) setState({ is: 'cancelled' });
    else if (problem !== null) failed({ code: 'device', path: [], message: problem });
    else await load(files, settings.framesPerSecond === undefined ? null : Number(settings.framesPerSecond));
  };

  /** Takes from the simulated camera; a sentence when it refuses its settings, else null at the first frame. */
  const simulate = async (settings: Record<string, string>): Promise<string | null> => {
    const answer = await fetchFile(camera, { query: { ...settings, frame: 0 } });
    if (!answer.ok) return failureInWords(answer);
    void film(settings, answer.value, Number(settings.frames));
    return null;
  };

  const show = (index: number) => {
    setSpeed(null);
    setFrame(Math.max(0, Math.min((clip?.frames.length ?? 1) - 1, index)));
  };
  return {
    clip,
    state,
    setState,
    frame,
    show,
    speed,
    setSpeed,
    rate,
    setRate,
    load,
    simulate,
    message,
    setMessage,
    /** Of a new piece of work; `cancel` aborts it. */
    begin: () => {
      stop.current = new AbortController();
      return stop.current.signal;
    },
    cancel: () => stop.current?.abort(),
  };
}
export type LoadedClip = ReturnType<typeof useClip>;
