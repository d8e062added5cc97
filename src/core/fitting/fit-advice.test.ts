import { halfSizes, testShoe, testSizing } from '@tests/fixtures/invented-shoe';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readChange, readPainChange } from '../outcomes/real-change';
import type { FeatureValues } from '../shoe/features';
import { type FitContext, fitAdvice } from './fit-advice';
import { fittingOutcome } from './outcome';
import { type FootFit, orderDrift, type TryOn } from './try-on';
import { wearingOrder } from './wearing-order';

const room = { least: 10, wished: 12, most: 15 };
const sizing = testSizing({ sizes: halfSizes(41, 43.5), widths: ['B', 'D', '2E'], ballWidthMm: 94 });
const shoe = (id: string, features: FeatureValues = {}, stock: Record<string, number> = {}) =>
  testShoe(id, features, { sizing, stock });
const on = (left: FootFit, more: Partial<TryOn> = {}): TryOn => ({
  model: 'a',
  sizeLeft: 42,
  sizeRight: 42,
  width: 'D',
  left,
  ...more,
});
const first = (tryOn: TryOn, context: Partial<FitContext> = {}) => fitAdvice(tryOn, { room, ...context })[0]!;

describe('fit checks, foot by foot (handbook 05, common practice)', () => {
  it('other models are named by what they have against this one, on the feature’s own scale', () => {
    const behind = { left: { bend: 'too-far-back' } } as const;
    const named = (bendPoint: number | undefined) => {
      const model = shoe('a', bendPoint === undefined ? {} : { bendPoint });
      const others = [shoe('under-arch', { bendPoint: 60 }), shoe('under-ball', { bendPoint: 76 })];
      const [advice] = fitAdvice(on(behind.left), { room, model, others });
      return advice?.remedies.flatMap((remedy) => (remedy.kind === 'models' ? remedy.ids : []));
    };
    expect(named(70)).toEqual(['under-ball']);
    // Nobody knows where this one folds: a usual shoe stands in, and 60 % is behind that.
    expect(named(undefined)).toEqual(['under-ball']);
    expect(named(80)).toEqual([]);
  });

  it('an unknown grade is a usual one: less padding is less than usual, not less than two', () => {
    const others = [shoe('bare', { collarPadding: 1 }), shoe('thick', { collarPadding: 3 })];
    const [advice] = fitAdvice(on({ collar: 'presses' }), { room, model: shoe('a'), others });
    expect(advice?.remedies).toEqual([{ kind: 'models', ids: ['bare'] }]);
  });

  it('every answer that asks for something says what it rests on', () => {
    const tryOn = on({
      roomMm: 4,
      widthFit: 'tight',
      depth: 'tight',
      heelSlip: 'clear',
      collar: 'presses',
      archFeel: 'missing',
      instep: 'presses',
      bend: 'too-far-back',
    });
    const advice = fitAdvice(tryOn, { room });
    expect(advice.map(({ field }) => field)).toEqual([
      'roomMm',
      'widthFit',
      'depth',
      'heelSlip',
      'collar',
      'archFeel',
      'instep',
      'bend',
    ]);
    for (const { mark, sentence } of advice) {
      expect(mark).toContain('common practice');
      expect(sentence).toMatch(/\.$/);
    }
  });

  it('6 mm in front is too short by a whole half size', () => {
    expect(first(on({ roomMm: 6 }))).toMatchObject({ level: 'stop', field: 'roomMm', side: 'left' });
    expect(first(on({ roomMm: 6 })).sentence).toContain('half a size up');
    expect(first(on({ roomMm: 12 })).level).toBe('good');
    expect(first(on({ roomMm: 25 })).level).toBe('change');
  });

  it('length room 6 mm → this size, told from what this size left, with what is on the shelf', () => {
    const model = shoe('a', {}, { '43 D': 2 });
    const advice = first(on({ roomMm: 6 }), { model });
    // A whole continental size is 6.67 mm: 43 leaves 12.7.
    expect(advice.sentence).toBe('6 mm in front: too short. Try EU 43 D, about 13 mm.');
    expect(advice.remedies).toEqual([
      { kind: 'size', size: 43, width: 'D', roomMm: expect.closeTo(12.67, 2), inStock: 2 },
    ]);
    expect(first(on({ roomMm: 19 }), { model }).sentence).toContain('EU 41 D');
    // The largest size made leaves 10 − 6.7 mm too little: nothing concrete to offer.
    expect(first(on({ roomMm: -10 }), { model }).remedies).toEqual([]);
  });

  it('heel slip → this lacing; a clear slip stops', () => {
    expect(first(on({ heelSlip: 'slight' }))).toMatchObject({
      level: 'change',
      remedies: [{ kind: 'lacing', pattern: 'heel-lock' }],
    });
    expect(first(on({ heelSlip: 'clear' })).level).toBe('stop');
    const model = shoe('a', {}, { '42 B': 1 });
    expect(first(on({ heelSlip: 'clear' }), { model }).remedies).toContainEqual({
      kind: 'width',
      width: 'B',
      inStock: 1,
    });
  });

  it('arch presses → these two, flatter under the arch, the best first', () => {
    const model = shoe('a', { archContour: 3 });
    const others = [
      shoe('as marked', { archContour: 3 }),
      shoe('mild', { archContour: 2 }),
      shoe('unknown'),
      shoe('flat', { archContour: 1 }),
      shoe('third', { archContour: 1 }),
    ];
    expect(first(on({ archFeel: 'presses' }), { model, others }).remedies).toEqual([
      { kind: 'models', ids: ['mild', 'flat'] },
    ]);
  });

  it('each foot is told apart', () => {
    const both = fitAdvice(on({ widthFit: 'right' }, { right: { widthFit: 'tight' } }), {
      room,
      model: shoe('a', {}, { '42 2E': 3 }),
    });
    expect(both).toMatchObject([
      { side: 'right', level: 'stop', remedies: [{ kind: 'width', width: '2E', inStock: 3 }] },
    ]);
  });

  it('an at-risk foot may have up to 20 mm', () => {
    expect(first(on({ roomMm: 18 }), { room: { least: 10, wished: 15, most: 20 } }).level).toBe('good');
  });

  it('no advice contradicts itself: a tried size is never offered again', () => {
    fc.assert(
      fc.property(fc.integer({ min: -5, max: 40 }), fc.constantFrom(41, 42, 43), (roomMm, sizeLeft) => {
        const advice = fitAdvice(on({ roomMm }, { sizeLeft }), { room, model: shoe('a') });
        for (const remedy of advice.flatMap(({ remedies }) => remedies))
          if (remedy.kind === 'size') {
            expect(remedy.size).not.toBe(sizeLeft);
            expect(remedy.size > sizeLeft).toBe(roomMm < room.least);
            expect(remedy.roomMm).toBeGreaterThanOrEqual(room.least);
          }
      }),
    );
  });
});

describe('how a fitting ends', () => {
  const pair = (model: string, more: Partial<TryOn>) => ({
    tryOn: { ...on({ roomMm: 12 }), model, ...more },
    context: { room },
  });

  it('comfort decides among pairs that no check stops', () => {
    const outcome = fittingOutcome([
      pair('short', { comfort: 95, left: { roomMm: 5 } }),
      pair('good', { comfort: 80 }),
      pair('fair', { comfort: 60 }),
      pair('rejected', { comfort: 99, verdict: 'rejected' }),
    ]);
    expect(outcome).toMatchObject({ best: { model: 'good' }, clear: true, nothingFits: false });
  });

  it('less than ten points is no real difference; a repeat counts half', () => {
    expect(fittingOutcome([pair('a', { comfort: 80 }), pair('b', { comfort: 74 })]).clear).toBe(false);
    const drifted = fittingOutcome([
      pair('a', { comfort: 80, comfortAgain: 60 }),
      pair('b', { comfort: 82 }),
    ]);
    expect(drifted).toMatchObject({ best: { model: 'b' }, clear: true });
    expect(orderDrift({ model: 'a', comfort: 80, comfortAgain: 60 })).toBe(-20);
    expect(orderDrift({ model: 'a', comfort: 80 })).toBeNull();
  });

  it('nothing fits when all are stopped or rejected, and not before anything was tried', () => {
    expect(
      fittingOutcome([pair('a', { verdict: 'rejected' }), pair('b', { left: { depth: 'tight' } })]),
    ).toMatchObject({
      nothingFits: true,
      best: null,
    });
    expect(fittingOutcome([{ tryOn: { model: 'a' }, context: { room } }]).nothingFits).toBe(false);
  });

  it('the first pair is worn again after the last', () => {
    expect(wearingOrder(['A', 'B', 'D']).letters).toEqual(['A', 'B', 'D', 'A']);
    expect(wearingOrder(['A']).letters).toEqual(['A']);
  });
});

describe('reading change', () => {
  it('ten points of comfort count, nine do not (Mills 2010, from memory, check)', () => {
    expect(readChange(60, 70)).toBe('better');
    expect(readChange(60, 69)).toBe('no real change');
    expect(readChange(60, 50)).toBe('worse');
  });

  it('6 → 4.2 is 30 % and counts; 2 → 1.5 does not (Farrar 2001, from memory)', () => {
    expect(readPainChange(6, 4.2)).toBe('better');
    expect(readPainChange(2, 1.5)).toBe('no real change');
    expect(readPainChange(3, 5)).toBe('worse');
  });
});
