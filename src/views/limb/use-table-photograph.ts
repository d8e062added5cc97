import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { fetchFile } from '@/contract/client';
import type { ShankLines } from '@/core/photograph/shank-lines';
import type { PhotographAnswer, PhotographQuestion } from '@/workers/photograph-worker';
import { useTask } from '../use-task';

const startWorker = () =>
  new Worker(new URL('../../workers/photograph-worker.ts', import.meta.url), { type: 'module' });

/** Lines where they usually lie, until they are found or placed. */
const usualLines = ({ width, height }: ImageBitmap): ShankLines => {
  const at = (x: number, y: number) => ({ x: x * width, y: y * height });
  return { table: [at(0.08, 0.8), at(0.92, 0.8)], pylon: [at(0.45, 0.28), at(0.45, 0.66)] };
};

/** A photograph from the side: opened in a worker, its lines found there, or placed by hand. It is not kept. */
export function useTablePhotograph() {
  const task = useTask<PhotographQuestion, PhotographAnswer>(startWorker);
  const [picture, setPicture] = useState<ImageBitmap | null>(null);
  const [lines, setLines] = useState<ShankLines | null>(null);
  /** Nothing is read from lines that nobody found or placed. */
  const [isPlaced, setPlaced] = useState(false);
  const [failure, setFailure] = useState('');
  const open = async (file: Blob) => {
    setFailure('');
    const opened = await task.ask({ open: file });
    if (!opened || !('picture' in opened)) return;
    setPicture(opened.picture);
    setLines(usualLines(opened.picture));
    setPlaced(false);
    const found = await task.ask({ shank: opened.picture });
    if (!found || !('shank' in found)) return;
    setLines(found.shank);
    setPlaced(true);
  };
  return {
    picture,
    lines,
    isPlaced,
    place: (to: ShankLines) => {
      setLines(to);
      setPlaced(true);
    },
    problem: failure || (task.state.is === 'failed' ? task.state.problem.message : ''),
    isBusy: task.state.is === 'working',
    open,
    simulate: async (leanDeg: number, toes: 'left' | 'right') => {
      const answer = await fetchFile('tableCamera', { query: { seed: 7, leanDeg, rollDeg: 1.5, toes } });
      if (answer.ok) return open(answer.value);
      setFailure(failureInWords(answer));
    },
  } as const;
}
