import { halfSizes, testShoe, testSizing } from '@tests/fixtures/invented-shoe';
import { describe, expect, it } from 'vitest';
import { insideLength } from '../sizing/start-size';
import { type FitContext, fitAdvice, isStopped } from './fit-advice';
import { fittingOutcome } from './outcome';
import { halves, nextWidth, sizeThatFits } from './remedies';
import { heelSlipOf, type TryOn } from './try-on';

const room = { least: 10, wished: 12, most: 15 };
const sizing = testSizing({ sizes: halfSizes(40, 45), widths: ['B', 'D', '2E'], ballWidthMm: 94 });
const model = testShoe('a', {}, { sizing, stock: { '42 D': 2 } });
const context: FitContext = { room, model };
const pair: TryOn = { model: 'a', sizeLeft: 42, sizeRight: 42, width: 'D' };
const roomOf = (roomMm: number, of: FitContext = context) =>
  fitAdvice({ ...pair, left: { roomMm } }, of).find(({ field }) => field === 'roomMm')!;

describe('room in front of the toes', () => {
  it.each([
    [9.9, 'stop'],
    [10, 'good'],
    [15, 'good'],
    [15.1, 'change'],
  ] as const)('%d mm where 10–15 are asked for: %s', (mm, level) => {
    expect(roomOf(mm).level).toBe(level);
    expect(isStopped({ ...pair, left: { roomMm: mm } }, context)).toBe(level === 'stop');
  });

  it('offers the size that leaves the wished room, and says how much', () => {
    // Half an EU size is 3.33 mm: 42.5 leaves 12.3 mm of 9, 43 leaves 15.7.
    const remedy = sizeThatFits(context, pair, 'left', 9);
    expect(remedy).toMatchObject({ size: 42.5, width: 'D', inStock: 0 });
    expect(remedy!.roomMm).toBeCloseTo(9 + insideLength(sizing, 42.5) - insideLength(sizing, 42), 9);
    expect(roomOf(9).sentence).toBe('9 mm in front: too short. Try EU 42.5 D, about 12 mm.');
    expect(sizeThatFits(context, pair, 'left', 19)!.size).toBe(41);
  });

  it('never offers the size that is on the foot, or one outside what is asked for', () => {
    expect(sizeThatFits(context, pair, 'left', 12)).toBeNull();
    expect(sizeThatFits({ model, room: { ...room, most: 16 } }, pair, 'left', 12.5)!.size).toBe(42.5);
    expect(sizeThatFits(context, { ...pair, sizeLeft: 45 }, 'left', 5)).toBeNull();
    expect(sizeThatFits({ room }, pair, 'left', 9)).toBeNull();
  });

  it('without a model it counts half sizes by barleycorns (4.23 mm)', () => {
    expect([1, 4.2, 5.4, 6, 9, 10, 14].map(halves)).toEqual([
      'half a size',
      'half a size',
      'half a size',
      'one size',
      'one size',
      '1.5 sizes',
      '2 sizes',
    ]);
    expect(roomOf(4, { room }).sentence).toBe('4 mm in front: too short. Try one size up.');
    expect(roomOf(25, { room }).sentence).toBe('25 mm in front: long. Try 1.5 sizes down.');
  });
});

describe('the next width', () => {
  it('goes one letter wider or narrower, and says so when there is none', () => {
    expect(nextWidth(context, pair, 'left', 1)).toMatchObject({ kind: 'width', width: '2E' });
    expect(nextWidth(context, pair, 'left', -1)).toMatchObject({ kind: 'width', width: 'B' });
    expect(nextWidth(context, { ...pair, width: 'B' }, 'left', 1)).toMatchObject({ width: 'D', inStock: 2 });
    expect(nextWidth(context, { ...pair, width: '2E' }, 'left', 1)).toBeNull();
    expect(nextWidth(context, { ...pair, width: 'B' }, 'left', -1)).toBeNull();
  });

  it('a tight and a loose fit in the only width there is have no width as a remedy', () => {
    const only = { room, model: testShoe('a', {}, { sizing: testSizing({ widths: ['D'] }) }) };
    for (const widthFit of ['tight', 'loose'] as const) {
      const [advice] = fitAdvice({ ...pair, left: { widthFit } }, only);
      expect(advice!.remedies.filter(({ kind }) => kind === 'width')).toEqual([]);
    }
  });
});

describe('the pair as a whole', () => {
  const fields = (more: Partial<TryOn>) => fitAdvice({ ...pair, ...more }, context).map(({ field }) => field);
  const point = (kind: 'presses' | 'rubs' | 'gapes') =>
    ({ id: kind, side: 'left', view: 'top', site: 'big-toe', x: 0, y: 0, kind }) as const;

  it('is judged by how one moves in it, by the tasks and by the places it presses', () => {
    expect(fields({ seen: 'moves-more' })).toEqual(['seen']);
    expect(fields({ seen: 'moves-less' })).toEqual([]);
    expect(fields({ tasks: { stairs: 'good', run: 'poor' } })).toEqual(['tasks']);
    expect(fields({ tasks: { stairs: 'fair' } })).toEqual([]);
    expect(fields({ points: [point('gapes')] })).toEqual([]);
  });

  it('tells pressed and rubbed places once each, not gaping ones', () => {
    const said = (points: TryOn['points']) =>
      fitAdvice({ ...pair, ...(points && { points }) }, context).filter(({ field }) => field === 'points');
    expect(said([point('gapes')])).toEqual([]);
    expect(said([point('presses'), point('gapes')])).toHaveLength(1);
    expect(said([point('presses'), point('rubs')])[0]!.sentence).toMatch(/^Pressed or rubbed, /);
  });
});

describe('which pair it is to be', () => {
  const rated = (model: string, comfort?: number, more: Partial<TryOn> = {}) => ({
    tryOn: { ...pair, model, ...(comfort !== undefined && { comfort }), ...more },
    context: { room },
  });

  it('the most comfortable of those that fit, clear from a real difference on', () => {
    const close = fittingOutcome([rated('a', 70), rated('b', 74)]);
    expect(close).toMatchObject({ best: { model: 'b' }, clear: false, nothingFits: false });
    expect(fittingOutcome([rated('a', 60), rated('b', 90)]).clear).toBe(true);
    expect(fittingOutcome([rated('b', 90)]).clear).toBe(true);
  });

  it('a pair that is too short is not the best, however comfortable', () => {
    const short = rated('short', 99, { right: { roomMm: 3 } });
    expect(fittingOutcome([short, rated('b', 60)]).best?.model).toBe('b');
    expect(fittingOutcome([short])).toMatchObject({ best: null, nothingFits: true });
  });

  it('a pair that was only fetched was not tried, and does not mean that nothing fits', () => {
    const outcome = fittingOutcome([rated('fetched'), rated('gone', undefined, { verdict: 'rejected' })]);
    expect(outcome.nothingFits).toBe(true);
    expect(fittingOutcome([rated('fetched')])).toMatchObject({
      best: null,
      clear: false,
      nothingFits: false,
    });
    expect(fittingOutcome([rated('felt', undefined, { right: { widthFit: 'loose' } })]).sentence).toMatch(
      /^Ask for comfort/,
    );
  });

  it('the worse heel of both counts', () => {
    expect(heelSlipOf({ ...pair, left: { heelSlip: 'none' }, right: { heelSlip: 'clear' } })).toBe('clear');
    expect(heelSlipOf({ ...pair, left: { heelSlip: 'slight' } })).toBe('slight');
    expect(heelSlipOf(pair)).toBeUndefined();
  });
});
