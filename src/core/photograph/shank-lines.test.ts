import { quickest } from '@tests/fixtures/quickest';
import { describe, expect, it } from 'vitest';
import { shoeOnTable, type TableCameraSettings } from '@/simulators/table-camera';
import { shankOnTable } from '../prosthesis/table-check';
import { findShankLines } from './shank-lines';

const camera = (settings: Partial<TableCameraSettings> = {}) =>
  shoeOnTable({ seed: 3, leanDeg: 0, rollDeg: 0, grain: 5, toes: 'right', ...settings });

describe('a shank on the table', () => {
  it.each([-6, -1, 0.8, 3.3])(
    'that leans %d° is read within 0.3°, however the camera was held',
    (leanDeg) => {
      for (const rollDeg of [-6, 4.5])
        for (const toes of ['left', 'right'] as const) {
          const { picture } = camera({ leanDeg, rollDeg, toes, seed: 1 + Math.round(10 + rollDeg) });
          const lines = findShankLines(picture);
          if (!lines.ok) throw new Error(`${leanDeg} ${rollDeg} ${toes}: ${lines.problem.message}`);
          expect(Math.abs(shankOnTable(lines.value, toes, picture.width)!.leanDeg - leanDeg)).toBeLessThan(
            0.3,
          );
        }
    },
  );

  it('says what is hidden: no straight edge, a pylon under trousers', () => {
    expect(findShankLines(camera({ carpet: true }).picture)).toMatchObject({ problem: { code: 'no-edge' } });
    expect(findShankLines(camera({ trousers: true }).picture)).toMatchObject({
      problem: { code: 'no-pylon' },
    });
  });

  it('is found within 300 ms', () => {
    const { picture } = camera({ leanDeg: 3 });
    expect(quickest(() => findShankLines(picture), 5)).toBeLessThan(300);
  });
});
