import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import { type FitContext, fitAdvice } from '../fitting/fit-advice';
import { resolve } from '../prescribe/engine/resolve';
import { targetInWords } from '../prescribe/explain/in-words';
import { followMarks } from './follow';
import { type BodyMark, findingsOfMarks, type SkinKind } from './mark';
import { RUBBED_PLACES, type RubbedPlace, rubbedPlaceOf } from './rubbed-places';
import { SITES } from './sites';

const siteAt = (place: RubbedPlace) => SITES.find(({ id }) => rubbedPlaceOf(id) === place)!;
const markAt = (place: RubbedPlace, side: 'left' | 'right', kind: SkinKind): BodyMark => {
  const { id, view, x, y } = siteAt(place);
  return { id: `${place} ${side}`, layer: 'skin', side, view, site: id, x, y, kind };
};
/** The specification of a patient with marks, in words by feature. */
const wordsOf = (marks: BodyMark[]) => {
  const of = (side: 'left' | 'right') => findingsOfMarks(marks, side);
  const specification = resolve(clinicalPicture({ left: of('left'), right: of('right') }));
  return {
    specification,
    words: new Map(specification.targets.map((target) => [target.feature, targetInWords(target)])),
  };
};
const context: FitContext = { room: { least: 10, wished: 12, most: 15 } };

/** Handbook 07, place and first suspects. */
describe('place × side × finding', () => {
  const cells = RUBBED_PLACES.flatMap((place) =>
    (['blister', 'callus', 'corn', 'redness'] as const).map((kind) => [place, kind] as const),
  );

  it.each(cells)(
    '%s, %s: reaches the rules by its place, weaker on one side, which asks about the legs first',
    (place, kind) => {
      const plain = wordsOf([markAt('ball', 'left', 'fragile')]).words;
      const one = wordsOf([markAt(place, 'left', kind)]);
      const both = wordsOf([markAt(place, 'left', kind), markAt(place, 'right', kind)]);
      const pushed = ({ specification }: typeof one, ending: string) =>
        specification.targets.flatMap(({ pushes }) =>
          pushes.filter(({ rule }) => rule === `rubs-${place}${ending}`),
        );
      expect(pushed(one, '-one-side').length).toBeGreaterThan(0);
      expect(pushed(one, '')).toEqual([]);
      expect(pushed(both, '').length).toBe(pushed(one, '-one-side').length);
      expect(pushed(both, '')[0]!.weight).toBeGreaterThan(pushed(one, '-one-side')[0]!.weight);
      // Something in the specification reads otherwise than without it.
      expect([...both.words].some(([feature, words]) => plain.get(feature) !== words)).toBe(true);
      const asks = ({ specification }: typeof one) =>
        specification.open.some(
          ({ finding, rules }) =>
            finding === 'legLengthDifference' && rules.includes('rubbed-one-side-first'),
        );
      expect([asks(one), asks(both)]).toEqual([true, false]);
    },
  );

  it('no two places ask for the same', () => {
    const said = RUBBED_PLACES.map((place) => {
      const { specification } = wordsOf([
        markAt(place, 'left', 'blister'),
        markAt(place, 'right', 'blister'),
      ]);
      return specification.targets
        .flatMap(({ feature, pushes }) =>
          pushes
            .filter(({ rule }) => rule === `rubs-${place}`)
            .map(({ want }) => `${feature} ${JSON.stringify(want)}`),
        )
        .join('; ');
    });
    expect(new Set(said).size).toBe(RUBBED_PLACES.length);
  });

  it.each(RUBBED_PLACES.map((place) => [place] as const))(
    '%s reaches the fit advice, and one foot alone is asked about first',
    (place) => {
      const { id: site, view, x, y } = siteAt(place);
      const point = (side: 'left' | 'right') => ({
        id: side,
        side,
        view,
        site,
        x,
        y,
        kind: 'presses' as const,
      });
      const advice = (points: ReturnType<typeof point>[]) =>
        fitAdvice({ model: 'm', points }, context).filter(({ field }) => field === 'points');
      expect(advice([point('left')])).toMatchObject([
        { side: 'left', sentence: expect.stringContaining('leg length') },
      ]);
      const both = advice([point('left'), point('right')]);
      expect(both).toMatchObject([{ side: null }]);
      expect(both[0]!.sentence).not.toContain('leg length');
    },
  );

  it('a mark taken away takes its place with it; one that was said otherwise stays', () => {
    const marks = [markAt('heel-back', 'left', 'blister')];
    const now = clinicalPicture({ left: { skin: ['blister'], rubbedAt: ['heel-back', 'ball'] } }).left;
    const followed = followMarks('skin', 'left', now, marks, []);
    expect(followed.find(({ id }) => id === 'rubbedAt')?.value).toEqual(['ball']);
    expect(RUBBED_PLACES.every((place) => siteAt(place) !== undefined)).toBe(true);
  });
});
