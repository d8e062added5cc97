import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NumberRow } from './number-row';

const read = (line: string, delimiter = ',', columns = line.split(delimiter).length) =>
  new NumberRow(columns, delimiter).read(line);

describe('a row of numbers', () => {
  const written = fc.oneof(
    fc.double({ noNaN: true, noDefaultInfinity: true }).map(String),
    fc
      .tuple(fc.double({ min: -1e6, max: 1e6, noNaN: true }), fc.nat(12))
      .map(([value, digits]) => value.toFixed(digits)),
    fc.integer().map(String),
    fc.constantFrom(
      '5.',
      '.5',
      '-0',
      ' 7',
      '1e3',
      '0.1',
      '123456789012345',
      '1234567890123456',
      '0.000000000000001',
    ),
  );

  it('is to the bit what Number makes of each cell, with a comma for a point too', () => {
    fc.assert(
      fc.property(fc.array(written, { minLength: 1 }), (cells) => {
        const numbers = cells.map(Number);
        expect([...read(cells.join(',')).values]).toEqual(numbers);
        const withCommas = cells.map((cell) => cell.replace('.', ',')).join(';');
        expect([...read(withCommas, ';').values]).toEqual(numbers);
      }),
    );
  });

  it.each([
    ['1,x,y', 1, 'x'],
    ['1,,3', 1, ''],
    ['1, ,3', 1, ' '],
    ['1,-,3', 1, '-'],
    ['1.2.3,1', 0, '1.2.3'],
    ['1,2,Infinity', 2, 'Infinity'],
  ])('of %s the first cell that is none is said', (line, at, text) => {
    expect(read(line).bad).toEqual({ at, text });
  });

  it('counts its cells, however many were expected', () => {
    expect(read('1,2,3', ',', 2)).toMatchObject({ cells: 3, bad: null });
    expect(read('', ',', 2)).toMatchObject({ cells: 1, bad: { at: 0 } });
  });
});
