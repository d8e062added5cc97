import { halfSizes, testSizing } from '@tests/fixtures/invented-shoe';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { resolve } from '../prescribe/engine/resolve';
import { inchToMm } from '../units/length';
import { sizePair } from './size-pair';
import { type FittingConditions, roomWished, sizeWish } from './size-wish';
import { type ModelSizing, startSize } from './start-size';
import { SIZE_SYSTEM_LABEL } from './systems';

const model = testSizing({ sizes: halfSizes(36, 48), widths: ['B', 'D', '2E', '4E'], ballWidthMm: 90 });
const sized = (findings: Findings, conditions: FittingConditions = {}, of: ModelSizing = model) => {
  const picture = clinicalPicture(findings);
  return sizePair({ sizing: of, features: {} }, picture, resolve(picture), conditions);
};
const pair = (...asked: Parameters<typeof sized>) => {
  const result = sized(...asked);
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
};
const feet = (left: number, right: number): Findings => ({
  left: { footLength: left, ballWidth: 98 },
  right: { footLength: right, ballWidth: 98 },
});

describe('both feet in one model', () => {
  it('the longer foot decides, whichever side it is on', () => {
    fc.assert(
      fc.property(fc.integer({ min: 245, max: 285 }), fc.integer({ min: 0, max: 7 }), (mm, less) => {
        const one = pair(feet(mm, mm - less));
        const other = pair(feet(mm - less, mm));
        expect(one.left!.size).toBe(pair(feet(mm, mm)).left!.size);
        expect(one.right!.size).toBe(one.left!.size);
        expect(other.left).toEqual(one.right);
      }),
    );
  });

  it('feet a size apart ask for a split pair and name the filler instead; half a size apart do not', () => {
    expect(pair(feet(268, 258))).toMatchObject({ kind: 'split', label: expect.stringContaining('left EU') });
    expect(pair(feet(268, 258)).advice).toMatch(/10 mm apart.*filler in the right/);
    expect(pair(feet(262, 261)).kind).toBe('same');
    const seven = pair(feet(268, 261));
    expect(seven).toMatchObject({ kind: 'same', fillerMm: 0 });
    expect(seven.advice).toMatch(/7 mm apart, fitted to the left: .* hold its heel/);
    // Handbook 02: from half a size on it is shown, whatever room is left.
    expect(pair(feet(268, 265)).advice).toBe('');
  });

  it('one foot measured gives one size and asks for the other; none gives a plain problem', () => {
    expect(pair({ left: { footLength: 262 } })).toMatchObject({ kind: 'one-foot', right: null });
    const none = sized({});
    expect(!none.ok && none.problem.code).toBe('not-measured');
  });

  it('the wider foot decides the width of both', () => {
    const both = pair({
      left: { footLength: 262, ballWidth: 96 },
      right: { footLength: 262, ballWidth: 106 },
    });
    expect(both.left!.width).toBe(both.right!.width);
    expect(both.left!.width).not.toBe(pair(feet(262, 262)).left!.width);
  });
});

describe('what size to look for', () => {
  const at = (findings: Findings, conditions: FittingConditions = {}) => {
    const picture = clinicalPicture(findings);
    return sizeWish(picture, resolve(picture), 'left', conditions);
  };

  it('usual feet: 10–15 mm, 12 wished (common practice); at-risk feet up to 20 (IWGDF 2023, from memory); children 12–17', () => {
    expect(at({}).room).toEqual({ least: 10, wished: 12, most: 15 });
    const atRisk = at({ body: { conditions: ['diabetes'] }, left: { sensation: 'lost' } });
    expect(atRisk.room.least).toBeGreaterThanOrEqual(10);
    expect(atRisk.room.most).toBeLessThanOrEqual(20);
    const child = at({ body: { ageYears: 8, sizingGroup: 'child' } });
    expect(child.room.least).toBeGreaterThanOrEqual(12);
    expect(child.room.most).toBeLessThanOrEqual(17);
  });

  it('every millimetre that sock, insert and time of day add is named', () => {
    const wish = at(
      { left: { swelling: 'changes' } },
      { sock: 'thick', insert: 'cupped', measured: 'early' },
    );
    expect(wish.adds).toEqual({ lengthMm: 2 + 2 + 2, widthMm: 2 + 3 });
    expect(wish.why.filter((line) => /^(thick|insert|swells)/.test(line))).toHaveLength(3);
    expect(at({}).adds).toEqual({ lengthMm: 0, widthMm: 0 });
  });

  it('more to wear never asks for a smaller size', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2400, max: 2850 }), (tenths) => {
        const thin = pair(feet(tenths / 10, tenths / 10));
        const thick = pair(feet(tenths / 10, tenths / 10), { sock: 'thick', measured: 'early' });
        expect(thick.left!.size).toBeGreaterThanOrEqual(thin.left!.size);
      }),
    );
  });

  it('monotone in foot length, on the half-size grid, the same from inches and millimetres', () => {
    const wish = { room: roomWished(resolve(clinicalPicture({}))) };
    fc.assert(
      fc.property(
        fc.constantFrom('eu', 'uk', 'us-men', 'us-women', 'us-women-wide-gap' as const),
        fc.integer({ min: 2350, max: 2800 }),
        fc.integer({ min: 0, max: 100 }),
        (system, tenths, more) => {
          const [from, to] = system === 'eu' ? [34, 50] : [1, 17];
          const sizes = Array.from({ length: (to - from) * 2 + 1 }, (_, index) => from + index / 2);
          const of = { ...model, system, sizes } as ModelSizing;
          const size = (lengthMm: number) => {
            const start = startSize(of, { lengthMm, ballWidthMm: null }, wish);
            if (!start.ok) throw new Error(`${SIZE_SYSTEM_LABEL[of.system]}: ${start.problem.message}`);
            return start.value.size;
          };
          const mm = tenths / 10;
          expect(size(mm + more / 10)).toBeGreaterThanOrEqual(size(mm));
          expect((size(mm) * 2) % 1).toBe(0);
          expect(size(inchToMm(mm / 25.4))).toBe(size(mm));
        },
      ),
    );
  });
});
