import { testShoe, testSizing } from '@tests/fixtures/invented-shoe';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import { resolve } from '../prescribe/engine/resolve';
import { sizePair } from '../sizing/size-pair';
import { omitUndefined } from '../tables/omit-undefined';
import { fitObservationOf } from './fit-observation';
import { beginTryOn, changeSizes, MOST_EARLIER, placeOn } from './sizes';
import type { TryOn } from './try-on';

const felt = { left: { roomMm: 6 }, comfort: 62, verdict: 'possible' as const };
const tried: TryOn = { model: 'm', sizeLeft: 42, sizeRight: 42, width: 'D', words: 'pinches', ...felt };

describe('where a shoe stands on the shelf', () => {
  it('the right follows the left where nothing else is said', () => {
    expect(placeOn({ sizeLeft: 42, width: 'D' }, 'right')).toEqual({ size: 42, width: 'D' });
    expect(placeOn({ sizeLeft: 42, sizeRight: 43, width: 'D', widthRight: '2E' }, 'right')).toEqual({
      size: 43,
      width: '2E',
    });
    expect(placeOn({ sizeLeft: 42 }, 'left')).toBeNull();
  });

  it('a pair begins in the sizes of both feet, widths told apart only where they differ', () => {
    const sizing = testSizing({ sizes: [39, 40, 41, 42, 43, 44], widths: ['B', 'D', '2E'], ballWidthMm: 90 });
    const model = testShoe('m', {}, { sizing });
    const begun = (left: number, right: number, wide: number) => {
      const picture = clinicalPicture({
        left: { footLength: left, ballWidth: 96 },
        right: { footLength: right, ballWidth: wide },
      });
      return beginTryOn(model, sizePair({ sizing, features: {} }, picture, resolve(picture)));
    };
    const alike = begun(262, 261, 96);
    expect(alike.sizeLeft).toBe(alike.sizeRight);
    expect(alike).not.toHaveProperty('widthRight');
    const split = begun(268, 255, 104);
    expect(split.sizeLeft).toBeGreaterThan(split.sizeRight!);
    expect(split.widthRight).not.toBe(split.width);
    expect(
      beginTryOn(model, sizePair({ sizing, features: {} }, clinicalPicture(), resolve(clinicalPicture()))),
    ).toEqual({
      model: 'm',
    });
  });
});

describe('the same pair in another size', () => {
  it('is another fit: what was felt is put by, what is said of the pair stays', () => {
    const next = changeSizes(tried, { sizeLeft: 43, sizeRight: 43 });
    expect(next).toEqual({
      model: 'm',
      sizeLeft: 43,
      sizeRight: 43,
      width: 'D',
      words: 'pinches',
      earlier: [{ sizeLeft: 42, sizeRight: 42, width: 'D', ...felt }],
    });
  });

  it('going back brings back what was felt there; nothing is lost on the way', () => {
    const there = changeSizes(tried, { sizeLeft: 43, sizeRight: 43 });
    expect(changeSizes(there, { sizeLeft: 42, sizeRight: 42 })).toEqual(tried);
    const both = changeSizes({ ...there, comfort: 80 }, { sizeLeft: 42, sizeRight: 42 });
    expect(both).toMatchObject({ ...felt, earlier: [{ sizeLeft: 43, comfort: 80 }] });
  });

  it('the same size is no change, and a size in which nothing was felt leaves no trace', () => {
    expect(changeSizes(tried, { sizeLeft: 42 })).toBe(tried);
    const { left: _, comfort: __, verdict: ___, ...bare } = tried;
    expect(changeSizes(bare, { width: '2E' })).not.toHaveProperty('earlier');
  });

  it('whatever the way, every size keeps its own comfort, up to the number that is kept', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 38, max: 43 }), { maxLength: 20 }), (way) => {
        const comfort = new Map([[42, 42]]);
        let now: TryOn = { model: 'm', sizeLeft: 42, width: 'D', comfort: 42 };
        for (const size of way) {
          now = changeSizes(now, { sizeLeft: size });
          if (now.comfort !== undefined) expect(now.comfort).toBe(comfort.get(size));
          comfort.set(size, size);
          now = { ...now, comfort: size };
          expect((now.earlier ?? []).length).toBeLessThanOrEqual(MOST_EARLIER);
        }
        expect(new Set([now.sizeLeft, ...(now.earlier ?? []).map((fit) => fit.sizeLeft)]).size).toBe(
          comfort.size,
        );
      }),
    );
  });

  it('a misfit still teaches its model until the new size is read', () => {
    const picture = clinicalPicture({ left: { footLength: 262, ballWidth: 99 } });
    const next = changeSizes(tried, { sizeLeft: 43, sizeRight: 43 });
    expect(fitObservationOf(next, picture)!.feet).toMatchObject([{ size: 42, roomMm: 6 }]);
    expect(fitObservationOf({ ...next, left: { roomMm: 13 } }, picture)!.feet).toMatchObject([
      { size: 43, roomMm: 13 },
    ]);
  });

  it('what is undefined is not said', () => {
    expect(omitUndefined({ a: 1, b: undefined })).toEqual({ a: 1 });
  });
});
