import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { whenIdle } from './when-idle';

let quiet: (() => void)[] = [];
/** The page has nothing else to do. */
const idle = async () => {
  const work = quiet;
  quiet = [];
  for (const one of work) one();
  await new Promise((resolve) => setTimeout(resolve, 0));
};
beforeEach(() => {
  quiet = [];
  vi.stubGlobal('requestIdleCallback', (work: () => void) => quiet.push(work));
});
afterEach(() => vi.unstubAllGlobals());

it('fetches one part after the other while nothing else is asked; one that fails holds up none', async () => {
  const asked: string[] = [];
  const part =
    (name: string, ok = true) =>
    () => {
      asked.push(name);
      return ok ? Promise.resolve() : Promise.reject(new Error('gone'));
    };
  whenIdle([part('first'), part('second', false), part('third')]);
  expect(asked).toEqual([]);
  await idle();
  expect(asked).toEqual(['first']);
  await idle();
  await idle();
  await idle();
  expect(asked).toEqual(['first', 'second', 'third']);
});

it('asks for nothing more once the page is left', async () => {
  const asked: number[] = [];
  const later = whenIdle([1, 2].map((part) => () => Promise.resolve(asked.push(part))));
  await idle();
  later.stop();
  await idle();
  expect(asked).toEqual([1]);
});
