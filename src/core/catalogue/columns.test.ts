import { testShoe } from '@tests/fixtures/invented-shoe';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { valuesOf } from '../prescribe/engine/utility';
import { FEATURE_IDS, featureOf } from '../shoe/features';
import { learnOffsets } from '../sizing/learned/learn-offsets';
import { withLearned } from '../sizing/learned/learned-fit';
import {
  byTitle,
  columnsOf,
  learnedColumnsOf,
  modelsOf,
  modelsOfCatalogue,
  withLearnedColumns,
} from './columns';
import type { ShoeModel, Stock } from './model';

const features = fc
  .subarray(FEATURE_IDS)
  .chain((ids) =>
    fc
      .tuple(...ids.map((id) => fc.constantFrom(...valuesOf(featureOf(id)).list)))
      .map((values) => Object.fromEntries(ids.map((id, at) => [id, values[at]!]))),
  );
const model: fc.Arbitrary<ShoeModel> = fc
  .record({
    id: fc.uuid(),
    features,
    maker: fc.constantFrom('Alder', 'Birch'),
    name: fc.constantFrom('Quay', 'Reef', 'null'),
    price: fc.option(fc.integer({ min: 20, max: 300 })),
    stock: fc.constantFrom<Stock>({}, { '42 D': 2 }, { '42 D': 1, '43 D': 1 }),
    replaces: fc.option(fc.uuid()),
  })
  .map(({ id, features, ...part }) => testShoe(id, features, part));
const catalogue = fc.uniqueArray(model, { maxLength: 40, selector: ({ id }) => id });
const byId = (models: readonly ShoeModel[]) => models.toSorted((a, b) => (a.id < b.id ? -1 : 1));
const overTheWire = <T>(value: T): T => JSON.parse(JSON.stringify(value));

describe('a catalogue by columns', () => {
  it('gives back the very same models', () => {
    fc.assert(
      fc.property(catalogue, (models) => {
        expect(modelsOf(overTheWire(columnsOf(models)))).toEqual(byId(models));
      }),
      { numRuns: 60 },
    );
  });

  it('what was learned is put back where it belongs', () => {
    fc.assert(
      fc.property(catalogue, fc.integer({ min: -6, max: 6 }), (models, roomMm) => {
        const fittings = models.slice(0, 3).map(({ id }) => ({
          version: id,
          feet: [
            { size: 42, width: 'D' as const, footLengthMm: 265, ballWidthMm: 100, roomMm, widthFit: null },
          ],
        }));
        const fits = learnOffsets(models, fittings);
        const learned = overTheWire(
          learnedColumnsOf(
            models.map(({ id }) => id),
            fits,
          ),
        );
        expect(withLearnedColumns(modelsOf(columnsOf(models)), learned)).toEqual(
          byId(models).map((one) => ({
            ...one,
            sizing: withLearned(one.sizing, fits.get(one.id)!),
            learned: fits.get(one.id)!,
          })),
        );
      }),
      { numRuns: 30 },
    );
    // Of a model that nobody learned of, nothing is said.
    const [bare] = withLearnedColumns([testShoe('a')], learnedColumnsOf(['a'], new Map()));
    expect(bare).toEqual(testShoe('a'));
  });

  it('in any number of parts it is the same catalogue, as a list shows it', () => {
    fc.assert(
      fc.property(catalogue, fc.integer({ min: 1, max: 7 }), (models, of) => {
        const sorted = byId(models);
        const size = Math.ceil(sorted.length / of);
        const parts = Array.from({ length: of }, (_, at) =>
          columnsOf(sorted.slice(at * size, (at + 1) * size)),
        );
        const ids = sorted.map(({ id }) => id);
        const fits = learnOffsets(models, []);
        const read = modelsOfCatalogue({ parts, learned: learnedColumnsOf(ids, fits) });
        expect(new Set(read.map(({ id }) => id))).toEqual(new Set(ids));
        expect(read).toEqual(byTitle(read));
      }),
      { numRuns: 40 },
    );
  });

  it('lists by maker, name and version', () => {
    const names = (models: readonly ShoeModel[]) =>
      models.map(({ maker, name, version }) => maker + name + version);
    const models = [
      testShoe('1', {}, { maker: 'B', name: 'a' }),
      testShoe('2', {}, { maker: 'A', name: 'b', version: '2' }),
      testShoe('3', {}, { maker: 'A', name: 'b', version: '1' }),
    ];
    expect(names(byTitle(models))).toEqual(['Ab1', 'Ab2', 'Ba1']);
  });
});
