import { describe, expect, it } from 'vitest';
import { shankAlignment } from './shank-alignment';
import { leanInWords, setRiseFrom, shankOnTable } from './table-check';

/** A picture of 1200 px: table level, pylon so far out of plumb. */
const lines = (degrees: number) => ({
  table: [
    { x: 100, y: 700 },
    { x: 1100, y: 700 },
  ] as const,
  pylon: [
    { x: 500, y: 600 },
    { x: 500 + 400 * Math.tan((degrees * Math.PI) / 180), y: 200 },
  ] as const,
});

describe('the set rise that a lean tells', () => {
  it.each([
    [9.5, 20, 180],
    [9.5, 0, 180],
    [12, 8, 150],
    [0, 14, 210],
  ])(
    'a foot set for %d mm in a shoe of %d mm with a lever of %d mm is read back from its lean (by arithmetic)',
    (set, rise, lever) => {
      const lean = shankAlignment({ shoeRiseMm: rise, setRiseMm: set, leverMm: lever });
      if (!lean.ok) throw new Error(lean.problem.message);
      const seen = shankOnTable(lines(lean.value.angleDeg), 'right', 1200)!;
      expect(setRiseFrom(seen, { riseMm: rise, wedgeMm: 0, leverMm: lever }, null).setMm).toBeCloseTo(set, 6);
    },
  );

  it('counts a wedge as part of the shoe, and toes that point left the other way', () => {
    const seen = shankOnTable(lines(2), 'left', 1200)!;
    expect(seen.leanDeg).toBeCloseTo(-2, 6);
    const shoe = { riseMm: 4, leverMm: 180 };
    expect(setRiseFrom(seen, { ...shoe, wedgeMm: 5 }, null).setMm).toBeCloseTo(
      setRiseFrom(seen, { ...shoe, wedgeMm: 0 }, null).setMm + 5,
      9,
    );
  });

  it('contradicts what is stated only beyond its error, and names the other cause', () => {
    const upright = { leanDeg: 0, error: 0.2 };
    const shoe = { riseMm: 14, wedgeMm: 0, leverMm: 180 };
    expect(setRiseFrom(upright, shoe, 13)).toMatchObject({ contradicts: false });
    const off = setRiseFrom(upright, shoe, 9.5);
    expect(off.contradicts).toBe(true);
    expect(off.sentence).toContain('alignment is the cause');
    expect(setRiseFrom(upright, shoe, null).contradicts).toBe(false);
  });

  it('is called upright within what placing the lines is worth', () => {
    expect(leanInWords({ leanDeg: 0.3, error: 0.2 })).toMatch(/^upright/);
    expect(leanInWords({ leanDeg: 2.1, error: 0.2 })).toBe('2.1° ± 0.2° forward');
    expect(leanInWords({ leanDeg: -2.1, error: 0.2 })).toBe('2.1° ± 0.2° back');
    expect(
      shankOnTable(
        {
          ...lines(1),
          pylon: [
            { x: 1, y: 1 },
            { x: 1, y: 1 },
          ],
        },
        'right',
        1200,
      ),
    ).toBeNull();
  });
});
