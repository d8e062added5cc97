import { useState } from 'react';
import type { z } from 'zod';
import { type Answer, errorAt, failureInWords } from '@/contract/answer';
import { fetchFile } from '@/contract/client';
import type { Crop } from '@/core/photograph/crop';
import type {
  PhotographKind,
  PictureScale,
  photographSchema,
  TiltLines,
} from '@/core/photograph/photograph-schema';
import type { PhotographAnswer, PhotographQuestion } from '@/workers/photograph-worker';
import { useTask } from '../use-task';

const startWorker = () =>
  new Worker(new URL('../../workers/photograph-worker.ts', import.meta.url), { type: 'module' });

type Size = Pick<ImageBitmap, 'width' | 'height'>;
const placeIn =
  ({ width, height }: Size) =>
  (x: number, y: number) => ({ x: x * width, y: y * height });

/** Lines where they usually lie on a picture, to begin with. */
const usualLines = (picture: Size): TiltLines => {
  const at = placeIn(picture);
  return {
    table: [at(0.08, 0.79), at(0.92, 0.79)],
    left: [at(0.34, 0.76), at(0.34, 0.45)],
    right: [at(0.66, 0.76), at(0.66, 0.45)],
  };
};

/** A sheet of A4 lies at the edge of many pictures: its longer side, mm. */
const USUAL_KNOWN_MM = 297;

const usualScale = (picture: Size): PictureScale => {
  const at = placeIn(picture);
  return {
    known: [at(0.15, 0.92), at(0.85, 0.92)],
    mm: USUAL_KNOWN_MM,
    measured: [at(0.35, 0.5), at(0.65, 0.5)],
  };
};

/** What lies where it usually does until somebody places it: that tells nothing. */
interface Placed<T> {
  at: T;
  isPlaced: boolean;
}

export type NewPhotograph = z.input<typeof photographSchema>;

/**
 * A photograph under the hands: opened, turned, cut, its lines placed, and kept.
 *
 * @param send keeps it wherever the pair belongs
 */
export function usePhotograph(
  today: string,
  send: (photograph: NewPhotograph) => Promise<Answer<unknown>>,
  onKept: () => void,
) {
  const task = useTask<PhotographQuestion, PhotographAnswer>(startWorker);
  const [picture, setPicture] = useState<ImageBitmap | null>(null);
  const [kind, setKind] = useState<PhotographKind>('rear');
  const [lines, setLines] = useState<Placed<TiltLines> | null>(null);
  const [scale, setScale] = useState<Placed<PictureScale> | null>(null);
  const [failure, setFailure] = useState('');
  const [isKeeping, setKeeping] = useState(false);
  /** What was there stays where a picture cannot be opened. */
  const take = async (question: PhotographQuestion) => {
    setFailure('');
    const answer = await task.ask(question);
    if (!answer || !('picture' in answer)) return;
    setPicture(answer.picture);
    setLines({ at: usualLines(answer.picture), isPlaced: false });
    setScale(null);
  };
  const keep = async () => {
    if (!picture) return;
    setKeeping(true);
    const answer = await task.ask({ keep: picture });
    const sent =
      answer && 'kept' in answer
        ? await send({
            kind,
            takenOn: today,
            ...answer.kept,
            ...(kind === 'rear' && lines?.isPlaced ? { lines: lines.at } : {}),
            ...(scale?.isPlaced ? { scale: scale.at } : {}),
          })
        : null;
    setKeeping(false);
    if (!sent) return;
    if (!sent.ok) {
      setFailure(errorAt(sent, 'mm') ?? failureInWords(sent));
      return;
    }
    setPicture(null);
    onKept();
  };
  return {
    picture,
    kind,
    setKind,
    lines,
    placeLines: (at: TiltLines) => setLines({ at, isPlaced: true }),
    scale,
    placeScale: (at: PictureScale) => setScale({ at, isPlaced: true }),
    /** The known length says nothing about where its line lies. */
    setKnown: (mm: number) => scale && setScale({ ...scale, at: { ...scale.at, mm } }),
    measure: () => picture && setScale({ at: usualScale(picture), isPlaced: false }),
    leaveScale: () => setScale(null),
    problem: failure || (task.state.is === 'failed' ? task.state.problem.message : ''),
    state: isKeeping ? 'keeping' : task.state.is === 'working' ? 'opening' : 'idle',
    open: (file: Blob) => take({ open: file }),
    simulate: async (settings: { seed: number; leftDeg: number; rightDeg: number; rollDeg: number }) => {
      const answer = await fetchFile('shoeCamera', { query: settings });
      if (answer.ok) return take({ open: answer.value });
      setFailure(failureInWords(answer));
    },
    turn: () => picture && take({ turn: picture }),
    crop: (to: Crop) => picture && take({ cut: picture, to }),
    drop: () => {
      setPicture(null);
      setFailure('');
    },
    keep,
  } as const;
}
