import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  gradeFrom,
  readWear,
  type Severity,
  sideDifferences,
  sideReading,
  type WornSole,
  wearPer100Km,
  ZONES,
} from './wear-map';

const grade = fc.constantFrom<Severity>(0, 1, 2, 3);
const sole: fc.Arbitrary<WornSole> = fc.record(Object.fromEntries(ZONES.map((zone) => [zone, grade])), {
  requiredKeys: [],
});
/** Inner and outer changed over. */
const mirrored = (worn: WornSole): WornSole =>
  Object.fromEntries(
    Object.entries(worn).map(([zone, value]) => [
      zone.replace(/inner|outer/, (across) => (across === 'inner' ? 'outer' : 'inner')),
      value,
    ]),
  );

describe('where a sole is worn', () => {
  it('by hand: two outer grades and one inner lie a third outward', () => {
    const reading = sideReading({ 'heel-outer': 2, 'fore-inner': 1 })!;
    expect(reading.centroid).toBeCloseTo(-1 / 3, 9);
    // One grade more at an inner zone: −2 + 2 over 4 is nothing.
    expect(reading.error).toBeCloseTo(Math.abs(0 + 1 / 3) > 2 / 3 ? 1 / 3 : 2 / 3, 9);
    expect(sideReading({})).toBeNull();
    expect(sideReading({ 'heel-outer': 0 })).toBeNull();
  });

  it('mirrored it lies as far on the other side, with the same error; it never leaves −1 to 1', () => {
    fc.assert(
      fc.property(sole, (worn) => {
        const [here, there] = [sideReading(worn), sideReading(mirrored(worn))];
        if (!here || !there) {
          expect([here, there]).toEqual([null, null]);
          return;
        }
        expect(there.centroid).toBeCloseTo(-here.centroid, 9);
        expect(there.error).toBeCloseTo(here.error, 9);
        expect(Math.abs(here.centroid)).toBeLessThanOrEqual(1);
      }),
      { examples: [[{}]] },
    );
  });

  it('one grade more never lowers the whole, and moves the reading toward its side', () => {
    fc.assert(
      fc.property(sole, fc.constantFrom(...ZONES), (worn, zone) => {
        const more = gradeFrom((worn[zone] ?? 0) + 1);
        if (more === undefined) return;
        const before = sideReading(worn);
        const after = sideReading({ ...worn, [zone]: more })!;
        expect(after.total).toBe((before?.total ?? 0) + 1);
        if (before && zone.endsWith('inner')) expect(after.centroid).toBeGreaterThanOrEqual(before.centroid);
        if (before && zone.endsWith('outer')) expect(after.centroid).toBeLessThanOrEqual(before.centroid);
      }),
    );
  });

  it('left and right differ where they are more than one grade apart; what was not looked at says nothing', () => {
    expect(
      sideDifferences({
        left: { 'heel-outer': 3, 'mid-outer': 2 },
        right: { 'heel-outer': 1, 'mid-outer': 1 },
      }),
    ).toEqual([{ zone: 'heel-outer', left: 3, right: 1 }]);
    expect(sideDifferences({ left: { 'heel-outer': 3 }, right: {} })).toEqual([]);
  });

  it('wear for each 100 km goes with the scale of the distance', () => {
    const [before, after] = [{ 'heel-outer': 1 }, { 'heel-outer': 2, 'fore-centre': 1 }] as const;
    expect(wearPer100Km(before, after, 200)).toBeCloseTo(1, 9);
    expect(wearPer100Km(before, after, 400)).toBeCloseTo(0.5, 9);
    expect(wearPer100Km(before, after, 0)).toBeNull();
  });
});

describe('three readings that do not agree', () => {
  it('the outer back of the heel is the usual landing place of who lands on the heel, and of nobody else', () => {
    const worn = { left: { 'heel-outer': 3 }, right: { 'heel-outer': 2, 'fore-centre': 1 } } as const;
    const read = readWear(worn, 'heel');
    expect(read.expected.map(({ isExpected }) => isExpected)).toEqual([true, true]);
    expect(read.look).toEqual([]);
    expect(readWear(worn, 'forefoot').look).toHaveLength(2);
    // Without a strike nothing is expected.
    expect(readWear(worn, null).expected).toEqual([]);
  });

  it('shape-led it reads outer wear as rolling out, unless one grade would undo it', () => {
    expect(readWear({ left: { 'heel-outer': 3, 'mid-outer': 3, 'fore-outer': 3 } }, null).roll).toEqual([
      { side: 'left', reads: 'out' },
    ]);
    expect(readWear({ left: { 'heel-outer': 1, 'fore-inner': 1 } }, null).roll[0]?.reads).toBe('even');
  });

  it('a difference of the sides asks about the road, the legs and the stance', () => {
    expect(readWear({ left: { 'fore-inner': 3 }, right: { 'fore-inner': 0 } }, null).look[0]).toMatch(
      /Left and right differ at the front, inner: look at the side of the road, leg length/,
    );
  });
});
