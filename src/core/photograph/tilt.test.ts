import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Line, type Spot, tiltInWords, tiltOf } from './tilt';

const turned = ({ x, y }: Spot, degrees: number): Spot => {
  const r = (degrees * Math.PI) / 180;
  return {
    x: 600 + (x - 600) * Math.cos(r) - (y - 400) * Math.sin(r),
    y: 400 + (x - 600) * Math.sin(r) + (y - 400) * Math.cos(r),
  };
};
const turn = ([a, b]: Line, degrees: number): Line => [turned(a, degrees), turned(b, degrees)];
const TABLE: Line = [
  { x: 100, y: 700 },
  { x: 1100, y: 700 },
];
/** A heel that leans by so much to the right of the picture. */
const heel = (degrees: number): Line => [
  { x: 400, y: 690 },
  { x: 400 + 300 * Math.tan((degrees * Math.PI) / 180), y: 390 },
];

describe('tilt on a table', () => {
  it('is what was drawn, however the camera was held', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 20, noNaN: true }),
        fc.double({ min: -30, max: 30, noNaN: true }),
        (lean, roll) => {
          expect(tiltOf(turn(TABLE, roll), turn(heel(lean), roll), 1200)!.degrees).toBeCloseTo(lean, 6);
        },
      ),
    );
  });

  it('does not depend on which end of a line was placed first', () => {
    const [a, b] = heel(6);
    expect(tiltOf([TABLE[1], TABLE[0]], [b, a], 1200)!.degrees).toBeCloseTo(6, 9);
  });

  it('is surer the longer the lines are, and nothing where a line has no length', () => {
    const short: Line = [
      { x: 400, y: 690 },
      { x: 400, y: 640 },
    ];
    expect(tiltOf(TABLE, short, 1200)!.error).toBeGreaterThan(tiltOf(TABLE, heel(0), 1200)!.error);
    expect(tiltOf(TABLE, [short[0], short[0]], 1200)).toBeNull();
  });

  it('is called by the side, and level within what placing the lines is worth', () => {
    const tilt = (degrees: number) => tiltOf(TABLE, heel(degrees), 1200)!;
    expect(tiltInWords(tilt(5), 'left')).toMatch(/^tilts inward, 5\.0° ± 0\.\d°$/);
    expect(tiltInWords(tilt(5), 'right')).toMatch(/^tilts outward/);
    expect(tiltInWords(tilt(0.5), 'left')).toMatch(/^stands level/);
  });
});
