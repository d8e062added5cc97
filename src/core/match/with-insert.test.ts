import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { FeatureValues } from '../shoe/features';
import { type Insert, insertOf } from './insert';
import { betweenSides, withInsert } from './with-insert';

const SHOE: FeatureValues = {
  heelStack: 28,
  forefootStack: 20,
  removableInsole: 'yes',
  insoleDepth: 4,
  archContour: 1,
  bendPoint: 73,
};
const ORTHOSIS: Insert = { kind: 'orthosis', heelMm: 5, forefootMm: 2, widthMm: null };
const read = (features: FeatureValues = {}, insert: Partial<Insert> = {}) =>
  withInsert({ features: { ...SHOE, ...features } }, { ...ORTHOSIS, ...insert }, 'left');

describe('shoe and insert as one', () => {
  it('stands on sole less insole and insert: heights, drop and depth by arithmetic', () => {
    expect(read()).toMatchObject({
      insoleOut: true,
      heelMm: 29,
      forefootMm: 18,
      dropMm: 11,
      depthLeftMm: { heel: -1, forefoot: 2 },
      problems: [],
    });
  });

  it('lies on top where the insole does not come out, and lifts the heel', () => {
    const fixed = read({ removableInsole: 'no' });
    expect(fixed).toMatchObject({ heelMm: 33, forefootMm: 22, depthLeftMm: { heel: -5 } });
    expect(fixed.problems.join(' ')).toContain('does not come out');
    expect(fixed.problems.join(' ')).toContain('it will slip');
  });

  it('more than 10 mm under the heel goes under the sole', () =>
    expect(read({ insoleDepth: 14 }, { heelMm: 11 }).problems[0]).toContain('under the sole'));

  it('two arches are one too many, and shell and shoe fold at the ball', () => {
    expect(read({ archContour: 3 }).problems[0]).toContain('two arches');
    expect(read({ bendPoint: 60 }).problems[0]).toContain('fold at the ball');
    expect(read({ archContour: 3, bendPoint: 60 }, { kind: 'insole' }).problems).toEqual([]);
  });

  it('says nothing of what nobody measured, but that it is to be measured', () => {
    const unknown = read({}, { heelMm: null });
    expect(unknown).toMatchObject({ heelMm: null, dropMm: null, depthLeftMm: { heel: null, forefoot: 2 } });
    expect(unknown.problems[0]).toContain('Measure the insert');
  });

  it('reads heights from the drop, and knows the drop where the insole’s thickness is not stated', () => {
    const { forefootStack: _, insoleDepth: __, ...stated } = SHOE;
    const shoe = withInsert({ features: { ...stated, drop: 8 } }, ORTHOSIS, 'left');
    expect(shoe).toMatchObject({ heelMm: null, dropMm: 11 });
    expect(shoe.problems[0]).toContain('insole’s thickness is not stated');
    expect(read({ forefootStack: undefined, drop: 8 })).toMatchObject({
      heelMm: 29,
      forefootMm: 18,
      dropMm: 11,
    });
  });

  it('an insert on one side raises it against the other, unless the legs want it', () => {
    const lifted = read({ insoleDepth: 10 }, { heelMm: 16 });
    expect(betweenSides(SHOE, lifted, null, clinicalPicture({}))[0]).toContain(
      'left heel stands 6 mm higher',
    );
    expect(betweenSides(SHOE, lifted, null, clinicalPicture({ body: { legLengthDifference: 8 } }))).toEqual(
      [],
    );
    expect(
      betweenSides(SHOE, lifted, null, clinicalPicture({ body: { prosthesisSide: 'right' } })).join(' '),
    ).toContain('one heel height');
    expect(betweenSides(SHOE, null, null, clinicalPicture({}))).toEqual([]);
  });

  it('is read from the picture; a foot that lost its front is filled', () => {
    const picture = clinicalPicture({
      left: { insert: 'orthosis', insertHeel: 5 },
      right: { insert: 'none', injuries: ['amputation'] },
    });
    expect(insertOf(picture, 'left')).toEqual({
      kind: 'orthosis',
      heelMm: 5,
      forefootMm: null,
      widthMm: null,
    });
    expect(insertOf(picture, 'right')?.kind).toBe('filler');
    expect(insertOf(clinicalPicture({}), 'left')).toBeNull();
  });
});
