import { describe, expect, it } from 'vitest';
import { deriveFindings } from '../../examination/derive';
import { enteredPicture } from '../../findings/picture';
import { resolve } from '../engine/resolve';
import { liftStages, liftStagesInWords } from './lift-stages';

/** Right leg shorter by so much, mm. */
const specificationFor = (shorter: number) =>
  resolve(
    deriveFindings(
      enteredPicture({
        body: { ageYears: 50, activities: ['walking'] },
        left: { legLength: 900 },
        right: { legLength: 900 - shorter },
      }),
    ),
  );

const heights = (shorter: number) =>
  liftStages(specificationFor(shorter), 'right').map(({ inside, outside }) => inside + outside);

describe('stages of a leg-length correction', () => {
  // Handbook 04: half to three quarters of the difference, in steps of 3–6 mm, inside up to 8–10 mm, the rest outside.
  it.each([14, 16, 20, 28, 40, 60])('%d mm: stages of 3–6 mm up to half to three quarters', (shorter) => {
    const reached = heights(shorter);
    const stages = reached.map((height, at) => height - (reached[at - 1] ?? 0));
    expect(stages.length).toBeGreaterThan(1);
    for (const stage of stages) {
      expect(stage).toBeGreaterThanOrEqual(3);
      expect(stage).toBeLessThanOrEqual(6.5);
    }
    expect(reached.at(-1)).toBeGreaterThanOrEqual(shorter / 2 - 0.5);
    expect(reached.at(-1)).toBeLessThanOrEqual(shorter * 0.75 + 0.5);
  });

  it('fills the shoe first and builds the rest onto the sole', () => {
    const stages = liftStages(specificationFor(40), 'right');
    expect(stages[0]!.outside).toBe(0);
    expect(Math.max(...stages.map(({ inside }) => inside))).toBeLessThanOrEqual(10);
    expect(stages.at(-1)!.outside).toBeGreaterThan(0);
    expect(stages.map(({ inside }) => inside)).toEqual(
      stages.map(({ inside }) => inside).toSorted((a, b) => a - b),
    );
  });

  it('makes no plan of one stage, none for the longer leg, and none where the lift is for another reason', () => {
    expect(heights(6)).toEqual([]);
    expect(liftStages(specificationFor(40), 'left')).toEqual([]);
    const growing = resolve(
      deriveFindings(
        enteredPicture({
          body: { ageYears: 12, activities: ['walking'] },
          right: { pain: ['heel-growth-plate'] },
        }),
      ),
    );
    expect(growing.feet.right.find(({ feature }) => feature === 'heelLift')?.best).toBeGreaterThan(0);
    expect(liftStages(growing, 'right')).toEqual([]);
  });

  it('says where each stage is', () => {
    expect(liftStagesInWords([])).toBe('');
    expect(
      liftStagesInWords([
        { inside: 5, outside: 0 },
        { inside: 10, outside: 2 },
      ]),
    ).toBe('in 2 stages: 5 mm inside, then 10 mm inside and 2 mm on the sole');
    expect(liftStagesInWords([{ inside: 0, outside: 5 }])).toContain('5 mm on the sole');
  });

  it('gives no plan once the correction was set aside', () => {
    const { feet } = specificationFor(40);
    const aside = {
      ...specificationFor(40),
      feet: {
        ...feet,
        right: feet.right.map((target) => ({
          ...target,
          pushes: target.pushes.map((push) => ({ ...push, setAside: 'lifts outside only' })),
        })),
      },
    };
    expect(liftStages(aside, 'right')).toEqual([]);
  });
});
