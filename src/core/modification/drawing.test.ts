import { describe, expect, it } from 'vitest';
import { modifiedShoe } from './drawing';
import type { Modification } from './modification';

const VALUES = { drop: 8, heelStack: 30, heelBase: 80, forefootBase: 100 };
const shoe = (side: 'left' | 'right', modifications: readonly Modification[]) =>
  modifiedShoe(VALUES, side, modifications);
const ys = (d: string) => [...d.matchAll(/-?[\d.]+[ ,](-?[\d.]+)/g)].map(([, y]) => Number(y));
/** How far upper and lower line are apart at a share of the length, mm. */
function thicknessAt(d: string, share: number): number {
  const at = [...d.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].flatMap(([, x, y]) =>
    Math.abs(Number(x) - share * 285) < 0.06 ? [Number(y)] : [],
  );
  return Math.max(...at) - Math.min(...at);
}
const partOf = (parts: { id: string; d: string }[], id: string) => parts.find((part) => part.id === id)!;

describe('the drawing for the technician', () => {
  it('shows each change on its shoe only, with the number that it has in the list', () => {
    const modifications: Modification[] = [
      { kind: 'heel-lift', side: 'left', amount: 6 },
      { kind: 'stretch', side: 'right', amount: 3, place: 'ball-inner' },
      { kind: 'insert', side: 'both' },
    ];
    const numbers = (side: 'left' | 'right') => {
      const { side: profile, plan } = shoe(side, modifications);
      return [...profile.marks, ...plan.marks].map(({ number }) => number);
    };
    expect(numbers('left')).toEqual([1, 3]);
    expect(numbers('right')).toEqual([2, 3]);
  });

  it('draws a lift to scale: as high above the bed of the heel as it is ordered, and none at the ball', () => {
    for (const amount of [4, 10]) {
      const part = partOf(
        shoe('left', [{ kind: 'heel-lift', side: 'left', amount }]).side.drawing.parts,
        'heel-lift',
      );
      expect(thicknessAt(part.d, 0.08)).toBeCloseTo(amount, 1);
      expect(thicknessAt(part.d, 0.46)).toBe(0);
    }
  });

  it('draws a raised sole as far below the ground line as it is thick, with room for it on the page', () => {
    const raised = shoe('right', [{ kind: 'sole-lift', side: 'right', amount: 24 }]).side.drawing;
    expect(thicknessAt(partOf(raised.parts, 'sole-lift').d, 0.48)).toBeCloseTo(24, 1);
    expect(raised.viewBox[3]).toBe(shoe('right', []).side.drawing.viewBox[3] + 24);
  });

  it('puts what is on the big-toe side on the big-toe side of either shoe', () => {
    const inner: Modification = { kind: 'stretch', side: 'both', amount: 3, place: 'ball-inner' };
    const right = shoe('right', [inner]).plan;
    const left = shoe('left', [inner]).plan;
    expect(right.marks[0]!.at[1]).toBeLessThan(0);
    expect(left.marks[0]!.at[1]).toBe(-right.marks[0]!.at[1]);
    expect(left.isMirrored).toBe(true);
    const wedge = shoe('right', [{ kind: 'lateral-wedge', side: 'right', amount: 4 }]).plan;
    expect(wedge.marks[0]!.at[1]).toBeGreaterThan(0);
    expect(Math.min(...ys(partOf(wedge.drawing.parts, 'lateral-wedge').d))).toBeGreaterThanOrEqual(0);
  });
});
