import { quickest } from '@tests/fixtures/quickest';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { FeatureValues } from '../shoe/features';
import {
  type ProstheticFoot,
  prostheticFootOf,
  readerOnFoot,
  riseUnder,
  swingOf,
  swingsFrom,
  verdictOnFoot,
} from './on-this-foot';

const FOOT: ProstheticFoot = {
  side: 'left',
  setRiseMm: 9.5,
  leverMm: 180,
  heelAtMm: null,
  innerMm: 280,
  ankleToMm: null,
};
const TRAINER: FeatureValues = {
  heelStack: 30,
  forefootStack: 20,
  closure: 'laces',
  heelCounter: 4,
  upperFirmness: 2.5,
  collarHeight: 1,
  heelKind: 'flat',
  mass: 300,
};
const on = (features: FeatureValues, foot: Partial<ProstheticFoot> = {}) =>
  readerOnFoot({ ...FOOT, ...foot })({ features: { ...TRAINER, ...features } });

/** Handbook 06. */
describe('a shoe on a prosthetic foot', () => {
  it('a dress shoe of 20 mm leans 3.3° forward: refused with its degrees', () => {
    const dress = on({ heelStack: 32, forefootStack: 12 });
    expect(verdictOnFoot(dress)).toBe('refused');
    expect(dress.refusals[0]).toMatchObject({ feature: 'drop', sentence: expect.stringContaining('3.3°') });
  });

  it('unless the ankle adjusts so far: then it says what that costs', () => {
    const dress = on({ heelStack: 32, forefootStack: 12 }, { ankleToMm: 25 });
    expect(verdictOnFoot(dress)).toBe('set-ankle');
    expect(dress.shank?.sentence).toContain('costs energy return and stability');
    expect(verdictOnFoot(on({ heelStack: 45, forefootStack: 12 }, { ankleToMm: 25 }))).toBe('refused');
  });

  it('a flat deck shoe takes a wedge of the shortfall where counter and closure hold it, and is judged by what remains', () => {
    const deck = { heelStack: 22, forefootStack: 22 };
    expect(on({ ...deck, heelCounter: 4 }).shank).toMatchObject({ wedgeMm: 9.5, verdict: 'fine' });
    expect(on({ ...deck, heelCounter: 3 }).shank).toMatchObject({
      wedgeMm: 7,
      remainsMm: -2.5,
      verdict: 'fine',
    });
    expect(on({ ...deck, heelCounter: 2 }).shank).toMatchObject({ wedgeMm: 4, verdict: 'prosthetist' });
    const none = on({ ...deck, heelCounter: 1 });
    expect(none.shank).toMatchObject({ wedgeMm: null, verdict: 'prosthetist' });
    expect(none.shank?.sentence).toContain('hold no wedge');
  });

  it('a boot only with a zip and a low heel', () => {
    expect(on({ collarHeight: 3 }).refusals[0]).toMatchObject({
      feature: 'closure',
      sentence: expect.stringContaining('without a side zip'),
    });
    expect(on({ collarHeight: 3, closure: 'zip' }).refusals).toEqual([]);
    expect(on({ collarHeight: 3, closure: 'zip' }).checks[0]).toContain('far from the knee');
    expect(
      on({ collarHeight: 3, closure: 'zip', heelKind: 'block', heelHeight: 40 }).refusals.map(
        ({ sentence }) => sentence,
      ),
    ).toEqual([expect.stringContaining('low one')]);
  });

  it('counts what already lies under the heel: no further wedge where it does, too high where it is too much', () => {
    const read = readerOnFoot(FOOT);
    const deck = { features: { ...TRAINER, heelStack: 24, forefootStack: 20 } };
    expect(read(deck).shank).toMatchObject({ wedgeMm: 5.5 });
    expect(read(deck, 5.5).shank).toMatchObject({ wedgeMm: null, leans: 'vertical' });
    expect(read(deck, 12).shank).toMatchObject({ leans: 'forward', verdict: 'prosthetist', refused: true });
  });

  it('slip-ons, soft sides and slender heels are out', () => {
    for (const features of [{ closure: 'slip-on' }, { upperFirmness: 1 }, { heelKind: 'slender' }] as const)
      expect(verdictOnFoot(on(features))).toBe('refused');
  });

  it('an unknown set rise or shoe is measured first, never the best', () => {
    expect(verdictOnFoot(on({}, { setRiseMm: null }))).toBe('measure');
    // The millimetres are judged without the lever; its degrees are said to be those of a usual foot.
    const leverless = on({ heelStack: 33 }, { leverMm: null });
    expect(verdictOnFoot(leverless)).toBe('caution');
    expect(leverless.checks[0]).toContain('until then degrees are those of 180 mm');
    const { heelStack: _, forefootStack: __, ...unstated } = TRAINER;
    const shoe = readerOnFoot(FOOT)({ features: unstated });
    expect(verdictOnFoot(shoe)).toBe('measure');
    expect(shoe.checks[0]).toContain('Measure this shoe');
  });

  it('stands where its own points are: a shorter foot in a long shoe stands on less of its drop', () => {
    const { heelStack, forefootStack } = TRAINER;
    const shoe = { heelStack, forefootStack };
    // 0.12 and 0.73 of 300 mm are 36 and 219: 40 … 190 is 150/183 of the way.
    expect(riseUnder(shoe, { heelAtMm: 40, leverMm: 150, innerMm: 300 })).toBeCloseTo((10 * 150) / 183, 6);
    expect(riseUnder(shoe, { heelAtMm: 30, leverMm: 200, innerMm: 300 })).toBe(10);
    expect(riseUnder(shoe, { heelAtMm: null, leverMm: 150, innerMm: 300 })).toBe(10);
    expect(riseUnder({ drop: 8 }, { heelAtMm: null, leverMm: 150, innerMm: null })).toBe(8);
  });

  it('says between what its rise lies without the insole', () => {
    expect(on({ removableInsole: 'yes', insoleDepth: 4 }).riseOutMm).toEqual({ from: 6, to: 10 });
    expect(on({ removableInsole: 'no', insoleDepth: 4 }).riseOutMm).toBeNull();
  });

  it('mass counts by the square of its distance from the knee (by arithmetic)', () => {
    // 0.3 kg, 43 cm and twice that.
    expect(swingOf(300).inertia).toBeCloseTo(554.7, 6);
    expect(swingOf(600, 'hip').inertia / swingOf(600, 'knee').inertia).toBe(4);
    expect(([null, 'below-knee', 'knee', 'above-knee'] as const).map((level) => swingsFrom(level))).toEqual([
      'knee',
      'knee',
      'hip',
      'hip',
    ]);
    expect(swingOf(348).percent).toBeCloseTo(20, 6);
  });

  it('takes a foot from the picture; the ankle counts only where it is adjustable', () => {
    const body = { prosthesisSide: 'left', prosthesisSetRise: 9.5, prosthesisAnkleTo: 30 } as const;
    expect(prostheticFootOf(clinicalPicture({ body: { ...body, prosthesisAnkle: 'fixed' } }))).toMatchObject({
      setRiseMm: 9.5,
      ankleToMm: null,
    });
    const adjustable = clinicalPicture({ body: { ...body, prosthesisAnkle: 'adjustable' } });
    expect(prostheticFootOf(adjustable)?.ankleToMm).toBe(30);
    expect(adjustable.body.prosthesisHighest).toBe(30);
    expect(prostheticFootOf(clinicalPicture({}))).toBeNull();
  });

  it('ten thousand shoes within 60 ms', () => {
    const models = Array.from({ length: 10_000 }, (_, at) => ({
      features: { ...TRAINER, heelStack: 20 + (at % 20), insoleDepth: at % 6, removableInsole: 'yes' },
    }));
    const readAll = () => {
      const read = readerOnFoot({ ...FOOT, heelAtMm: 34 });
      for (const model of models) read(model);
    };
    expect(quickest(readAll, 15)).toBeLessThan(60);
  });
});
