import { expect, it } from 'vitest';
import { leftOutTogether } from './left-out';

it('models stand under why they are left out, the commonest reason first', () => {
  const left = (title: string, because: string) => ({ title, because });
  expect(
    leftOutTogether([
      left('Quay 1', 'closure zip'),
      left('Reef 2', 'too narrow'),
      left('Inlet 3', 'too narrow'),
      left('Mole 4', 'used for court'),
    ]),
  ).toEqual([
    { because: 'too narrow', titles: ['Reef 2', 'Inlet 3'] },
    { because: 'closure zip', titles: ['Quay 1'] },
    { because: 'used for court', titles: ['Mole 4'] },
  ]);
  expect(leftOutTogether([])).toEqual([]);
});
