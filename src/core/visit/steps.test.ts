import { expect, it } from 'vitest';
import { type StepStates, whereVisitStands } from './steps';

it.each<[StepStates, string]>([
  [{}, 'ask'],
  [{ ask: 'in-progress' }, 'ask'],
  [{ ask: 'done' }, 'old-pair'],
  [{ ask: 'done', 'old-pair': 'skipped' }, 'feet'],
  // Asked on, while the feet are examined.
  [{ ask: 'in-progress', feet: 'in-progress' }, 'feet'],
  [{ ask: 'done', feet: 'untouched' }, 'old-pair'],
  [{ candidates: 'done', warnings: 'in-progress' }, 'try-on'],
  [{ 'hand-over': 'done' }, 'hand-over'],
  [{ prosthesis: 'in-progress' }, 'ask'],
])('a visit with %o stands at %s', (states, step) => expect(whereVisitStands(states)).toBe(step));
