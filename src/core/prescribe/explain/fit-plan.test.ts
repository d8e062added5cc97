import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../../examination/clinical-picture';
import { fitPlan } from '../../shoe/drawing/fit-plan';
import { sideProfile } from '../../shoe/drawing/side-profile';
import { resolve } from '../engine/resolve';
import { standingBandOf } from './standing-band';

const foot = { lengthMm: 262, ballWidthMm: 100, heelBallMm: 191 };

describe('is the foot inside?', () => {
  it('a foot with room in front and width enough lies inside', () => {
    const plan = fitPlan({ toeBoxShape: 'round' }, { lengthMm: 274, widthMm: 100 }, foot);
    expect(plan.overhangs).toEqual([]);
    expect(plan.sentence).toBe('The whole foot lies inside, 12 mm free in front.');
  });

  it('too short shows at the front, too narrow at the ball, a tapered box at the toes', () => {
    expect(fitPlan({}, { lengthMm: 258, widthMm: 104 }, foot).overhangs).toContainEqual({
      where: 'front',
      at: 'toes',
      mm: 4,
    });
    const narrow = fitPlan({}, { lengthMm: 274, widthMm: 86 }, foot).overhangs;
    expect(narrow.some(({ at, mm }) => at === 'ball' && mm > 2)).toBe(true);
    const tapered = fitPlan({ toeBoxShape: 'tapered' }, { lengthMm: 270, widthMm: 100 }, foot);
    const square = fitPlan({ toeBoxShape: 'square' }, { lengthMm: 270, widthMm: 100 }, foot);
    const atToes = ({ overhangs }: typeof tapered) =>
      overhangs.filter(({ at }) => at === 'toes').reduce((sum, { mm }) => sum + mm, 0);
    expect(atToes(tapered)).toBeGreaterThan(atToes(square));
  });

  it('more room never makes an overhang worse', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 255, max: 290 }),
        fc.integer({ min: 84, max: 112 }),
        fc.integer({ min: 0, max: 12 }),
        (lengthMm, widthMm, wider) => {
          const worst = (width: number) =>
            fitPlan({}, { lengthMm, widthMm: width }, foot).overhangs[0]?.mm ?? 0;
          expect(worst(widthMm + wider)).toBeLessThanOrEqual(worst(widthMm) + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is drawn to scale: foot and inside as long as they are', () => {
    const { drawing } = fitPlan({}, { lengthMm: 274, widthMm: 100 }, foot);
    const reach = (id: string) =>
      Math.max(
        ...[...drawing.parts.find((part) => part.id === id)!.d.matchAll(/(-?\d+(?:\.\d+)?),/g)].map((match) =>
          Number(match[1]),
        ),
      );
    // A smooth curve passes its points by a millimetre at the tip.
    expect(Math.abs(reach('foot') - 262)).toBeLessThan(2);
    expect(Math.abs(reach('inside') - 274)).toBeLessThan(2);
  });
});

describe('what a specification allows, under the foot', () => {
  it('bands of stacks and drop pull each other in', () => {
    const specification = resolve(
      clinicalPicture({ body: { activities: ['road-running'] }, left: { pain: ['achilles-mid'] } }),
    );
    const band = standingBandOf(specification)!;
    const drop = specification.targets.find((target) => target.feature === 'drop')!;
    if (drop.kind !== 'band') throw new Error('the drop is a number');
    expect(band.heel[0] - band.fore[1]).toBeLessThanOrEqual(drop.band.to);
    expect(band.heel[0]).toBeLessThanOrEqual(band.heel[1]);
    expect(band.fore[0]).toBeLessThanOrEqual(band.fore[1]);
    expect(sideProfile({}, 280, band).parts.at(-1)).toMatchObject({ id: 'allowed', kind: 'band' });
  });

  it('nothing asked, nothing drawn', () => {
    const nothing = resolve(clinicalPicture({}));
    expect(standingBandOf(nothing)).toBeNull();
    expect(sideProfile({}, 280, null).parts.some((part) => part.id === 'allowed')).toBe(false);
  });
});
