import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import {
  deepestFrame,
  KNEE_CAMERA,
  type KneeCameraSettings,
  kneeFrame,
  SCALE_MM,
} from '@/simulators/knee-camera';
import {
  type KneeBendMarks,
  type KneeBendPlacing,
  kneeBendClass,
  OVER_THE_TOE_MM,
  readKneeBend,
  summariseKneeBend,
} from './knee-bend';
import { snapToMark } from './skin-marks';

/** Marks as a hand would drop them, then drawn onto their dots. */
function placed({ picture, marks }: ReturnType<typeof kneeFrame>): KneeBendMarks {
  const snap = (point: { x: number; y: number }, at: number) =>
    snapToMark(picture, { x: point.x + 5 * Math.cos(at), y: point.y + 5 * Math.sin(at) }, 14)!;
  return {
    knee: snap(marks.knee, 1),
    toe: snap(marks.toe, 2),
    plumb: marks.plumb,
    scale: [snap(marks.scale[0], 3), snap(marks.scale[1], 4)],
  };
}

describe('the plumb line from the kneecap is recovered within 2 mm and 0.5°', () => {
  it.each([
    ['falls inside, right', {}],
    ['falls inside, left', { side: 'left' }],
    ['falls outside', { insideMm: -24 }],
    ['over the toe', { insideMm: 0 }],
    ['a rolled camera', { rollDeg: 8, insideMm: 30 }],
    ['a noisy picture', { grain: 12 }],
    ['a knee well before the toe', { aheadMm: 60 }],
    ['a small picture', { widthPx: 360, heightPx: 480 }],
  ] as [string, Partial<KneeCameraSettings>][])('%s', (_, wanted) => {
    const settings = { ...KNEE_CAMERA, ...wanted };
    for (const index of [0, deepestFrame(settings)]) {
      const frame = kneeFrame(settings, index);
      const read = readKneeBend(placed(frame), settings.side, SCALE_MM)!;
      expect(Math.abs(read.insideMm - frame.insideMm)).toBeLessThan(2);
      expect(Math.abs(read.leanDeg - frame.leanDeg)).toBeLessThan(0.5);
    }
  });
});

describe('the reading of a knee bend', () => {
  const marks: KneeBendMarks = {
    knee: { x: 120, y: 100 },
    toe: { x: 100, y: 500 },
    plumb: [
      { x: 20, y: 0 },
      { x: 20, y: 600 },
    ],
    scale: [
      { x: 0, y: 520 },
      { x: 200, y: 520 },
    ],
  };

  it('by hand: 20 pixels at 2 px a millimetre are 10 mm, and atan 20/400 of lean', () => {
    expect(readKneeBend(marks, 'right', 100)).toEqual({
      insideMm: 10,
      leanDeg: expect.closeTo((Math.atan(20 / 400) * 180) / Math.PI, 9),
    });
    expect(readKneeBend(marks, 'left', 100)!.insideMm).toBe(-10);
  });

  it('does not change when the camera is rolled, moved or zoomed', () => {
    const before = readKneeBend(marks, 'right', 100)!;
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(-0.5, 0.5), number(0.3, 6), number(-400, 400), (turn, scale, shift) => {
        const move = ({ x, y }: { x: number; y: number }) => ({
          x: scale * (x * Math.cos(turn) - y * Math.sin(turn)) + shift,
          y: scale * (x * Math.sin(turn) + y * Math.cos(turn)) - shift,
        });
        const read = readKneeBend(
          {
            knee: move(marks.knee),
            toe: move(marks.toe),
            plumb: [move(marks.plumb[0]), move(marks.plumb[1])],
            scale: [move(marks.scale[0]), move(marks.scale[1])],
          },
          'right',
          100,
        )!;
        expect(read.insideMm).toBeCloseTo(before.insideMm, 6);
        expect(read.leanDeg).toBeCloseTo(before.leanDeg, 6);
      }),
    );
  });

  it('says nothing without a plumb line or a scale', () => {
    expect(readKneeBend({ ...marks, plumb: [marks.knee, marks.knee] }, 'left', 100)).toBeNull();
    expect(readKneeBend({ ...marks, scale: [marks.toe, marks.toe] }, 'left', 100)).toBeNull();
    expect(readKneeBend(marks, 'left', 0)).toBeNull();
  });

  it('three placings have a mean and a spread; methods and sides are kept apart', () => {
    const placing = (side: 'left' | 'right', method: KneeBendPlacing['method'], insideMm: number) => ({
      side,
      method,
      insideMm,
      leanDeg: insideMm / 8,
      frame: 4,
      marks,
      scaleMm: 100,
    });
    const read = summariseKneeBend([
      placing('left', 'parallel', 14),
      placing('left', 'parallel', 17),
      placing('left', 'parallel', 20),
      placing('left', 'one-leg', 30),
      placing('right', 'parallel', 2),
    ]);
    expect(read.map(({ side, method, insideMm, spreadMm }) => [side, method, insideMm, spreadMm])).toEqual([
      ['left', 'parallel', 17, 6],
      ['left', 'one-leg', 30, null],
      ['right', 'parallel', 2, null],
    ]);
  });

  it('the millimetres say where it falls, where the eye has not said it; near the toe it is over it', () => {
    expect([OVER_THE_TOE_MM + 0.5, OVER_THE_TOE_MM, 0, -OVER_THE_TOE_MM, -13].map(kneeBendClass)).toEqual([
      'inside',
      'over',
      'over',
      'over',
      'outside',
    ]);
    expect(clinicalPicture({ left: { kneeBendMm: 20 } }).left.kneeBend).toBe('inside');
    expect(clinicalPicture({ left: { kneeBendMm: 20, kneeBend: 'over' } }).left.kneeBend).toBe('over');
  });
});
