import fc from 'fast-check';
import type { Findings } from '../picture/clinical-picture';
import { definitionOf, FINDING_IDS } from '../picture/findings';

/** Random but possible pictures over the whole vocabulary. */
export const pictures: fc.Arbitrary<Findings> = (() => {
  const value = (id: (typeof FINDING_IDS)[number]): fc.Arbitrary<unknown> => {
    const definition = definitionOf(id);
    if (definition.kind === 'number') {
      const [min, max] = definition.plausible;
      return definition.whole ? fc.integer({ min, max }) : fc.double({ min, max, noNaN: true });
    }
    if (definition.kind === 'choice') return fc.constantFrom(...Object.keys(definition.options));
    if (definition.kind === 'set') return fc.subarray(Object.keys(definition.options));
    return fc.constant('as before');
  };
  const part = (scope: 'body' | 'foot') =>
    fc.record(
      Object.fromEntries(
        FINDING_IDS.filter((id) => definitionOf(id).scope === scope).map((id) => [
          id,
          fc.option(value(id), { nil: undefined }),
        ]),
      ),
    );
  return fc.record({ body: part('body'), left: part('foot'), right: part('foot') }) as fc.Arbitrary<Findings>;
})();
