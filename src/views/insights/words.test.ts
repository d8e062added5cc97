import { expect, it } from 'vitest';
import { probabilityInWords } from './words';

it.each([
  [0.0312, 'p = 0.031'],
  [0.001, 'p = 0.001'],
  [0.00007, 'p < 0.001'],
])('%d is written as %s', (p, words) => expect(probabilityInWords(p)).toBe(words));
