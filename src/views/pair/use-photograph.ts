import { useState } from 'react';
import { type Answer, call, failureInWords, fetchFile } from '@/contract/client';
import type { PhotographKind, TiltLines } from '@/core/photograph/photograph-schema';
import { type Crop, cropped, openPhotograph, photographToKeep, quarterTurn } from './photograph-file';

/** Lines where they usually lie on a picture of so many pixels, to begin with. */
export const usualLines = ({ width, height }: Pick<ImageBitmap, 'width' | 'height'>): TiltLines => {
  const at = (x: number, y: number) => ({ x: x * width, y: y * height });
  return {
    table: [at(0.08, 0.79), at(0.92, 0.79)],
    left: [at(0.34, 0.76), at(0.34, 0.45)],
    right: [at(0.66, 0.76), at(0.66, 0.45)],
  };
};

/** A photograph under the hands: opened, turned, cut, its lines placed, and kept. */
export function usePhotograph(pairId: string, today: string) {
  const [picture, setPicture] = useState<ImageBitmap | null>(null);
  const [kind, setKind] = useState<PhotographKind>('rear');
  const [lines, setLines] = useState<TiltLines | null>(null);
  /** Lines lie where they usually do until somebody places one: those tell nothing. */
  const [isPlaced, setPlaced] = useState(false);
  const [problem, setProblem] = useState('');
  const [state, setState] = useState<'idle' | 'opening' | 'keeping'>('idle');
  const show = (next: ImageBitmap) => {
    setPicture(next);
    setLines(usualLines(next));
    setPlaced(false);
    setProblem('');
    setState('idle');
  };
  const open = async (file: Blob) => {
    setState('opening');
    const opened = await openPhotograph(file);
    if (opened.ok) show(opened.value);
    else {
      // What was there stays.
      setProblem(opened.problem.message);
      setState('idle');
    }
  };
  return {
    picture,
    kind,
    setKind,
    lines,
    isPlaced,
    place: (next: TiltLines) => {
      setLines(next);
      setPlaced(true);
    },
    problem,
    state,
    open,
    simulate: async (settings: { seed: number; leftDeg: number; rightDeg: number; rollDeg: number }) => {
      setState('opening');
      const answer = await fetchFile('shoeCamera', { query: settings });
      if (answer.ok) return open(answer.value);
      setProblem(failureInWords(answer));
      setState('idle');
    },
    turn: async () => {
      if (picture) show(await quarterTurn(picture));
    },
    crop: async (to: Crop) => {
      if (picture) show(await cropped(picture, to));
    },
    drop: () => {
      setPicture(null);
      setProblem('');
    },
    keep: async () => {
      if (!picture) return;
      setState('keeping');
      const answer: Answer<unknown> = await call('keepPhotograph', {
        params: { id: pairId },
        body: {
          kind,
          takenOn: today,
          ...(await photographToKeep(picture)),
          ...(kind === 'rear' && lines && isPlaced ? { lines } : {}),
        },
      });
      setState('idle');
      if (answer.ok) location.reload();
      else setProblem(failureInWords(answer));
    },
  };
}
