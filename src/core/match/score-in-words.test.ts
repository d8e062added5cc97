import { expect, it } from 'vitest';
import { scoreInWords } from './score-in-words';

it('says the whole only where nothing speaks against the pair, and what the unknown leaves open', () => {
  expect(scoreInWords({ score: 0.998, spread: 0 })).toBe('100 %');
  expect(scoreInWords({ score: 0.998, spread: 0 }, true)).toBe('99 %');
  expect(scoreInWords({ score: 0.824, spread: 0.03 }, true)).toBe('82 ± 3 %');
  expect(scoreInWords({ score: 0.824, spread: 0.004 })).toBe('82 %');
});
