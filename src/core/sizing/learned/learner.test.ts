import { testSizing } from '@tests/fixtures/invented-shoe';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { FitObservation, FittedFoot, LabelledVersion } from './fit-evidence';
import { byVersion, learnOffsets, OffsetLearner } from './learn-offsets';
import type { LearnedFits } from './learned-fit';

const VERSIONS: LabelledVersion[] = ['ant', 'bee', 'cat'].flatMap((maker, m) =>
  ['one', 'two'].flatMap((name, n) =>
    [1, 2].map((edition) => ({
      id: `${maker} ${name} ${edition}`,
      maker,
      name,
      sizing: testSizing({ sizes: [40, 41, 42, 43], allowanceMm: 10 + 2 * m }),
      foldPercent: n === 0 ? 72 : m === 0 ? 70 : null,
    })),
  ),
);

const foot: fc.Arbitrary<FittedFoot> = fc.record({
  size: fc.constantFrom(40, 41, 42, 43),
  width: fc.constant('D' as const),
  footLengthMm: fc.integer({ min: 250, max: 280 }),
  ballWidthMm: fc.option(fc.integer({ min: 90, max: 110 })),
  roomMm: fc.option(fc.integer({ min: 0, max: 20 })),
  widthFit: fc.option(fc.constantFrom('tight' as const, 'right' as const, 'loose' as const)),
  heelBallMm: fc.option(fc.integer({ min: 180, max: 200 })),
  bend: fc.option(fc.constantFrom('under-ball' as const, 'too-far-back' as const)),
});
const fitting: fc.Arbitrary<FitObservation> = fc.record({
  version: fc.constantFrom(...VERSIONS.map(({ id }) => id), 'of nobody'),
  feet: fc.array(foot, { minLength: 1, maxLength: 2 }),
});

const allOf = (learned: LearnedFits) => new Map(VERSIONS.map(({ id }) => [id, learned.get(id)]));

it('what is learned one version after another, with changes of mind, is to the bit what is learned at once', () => {
  fc.assert(
    fc.property(fc.array(fitting, { maxLength: 25 }), fc.array(fitting, { maxLength: 6 }), (first, then) => {
      const learner = new OffsetLearner(VERSIONS);
      learner.tell(byVersion(first));
      const before = learner.learned();
      expect(allOf(before)).toEqual(learnOffsets(VERSIONS, first));
      // Of some versions all is said anew, of one nothing is left.
      const anew = byVersion(then);
      const [gone] = first;
      if (gone) anew.set(gone.version, []);
      learner.tell(anew);
      const whole = [...first.filter(({ version }) => !anew.has(version)), ...[...anew.values()].flat()];
      expect(allOf(learner.learned())).toEqual(learnOffsets(VERSIONS, whole));
      // What was learned before stays as it was.
      expect(allOf(before)).toEqual(learnOffsets(VERSIONS, first));
      expect(before.get('of nobody')).toBeUndefined();
    }),
  );
});
