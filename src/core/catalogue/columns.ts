import { FEATURE_IDS, type FeatureId, type FeatureValue } from '../shoe/features';
import { type LearnedFit, withLearned } from '../sizing/learned/learn-offsets';
import type { ShoeModel } from './model';

/** One property of many models: each value once, and which of them every model has; −1 where it has none. */
export interface Packed<T> {
  values: T[];
  at: number[];
}

/** A model as its catalogue states it: what fittings taught comes apart, because it changes on other days. */
export type StatedModel = Omit<ShoeModel, 'learned'>;
type Stated = Omit<StatedModel, 'id' | 'features'>;

/** Models by property instead of by model: a fraction of their size, because thousands of models share few values. */
export interface CatalogueColumns {
  ids: string[];
  stated: { [K in keyof Stated]: Packed<Stated[K]> };
  features: Partial<Record<FeatureId, Packed<FeatureValue>>>;
}

/** What fittings taught of the same models in the same order. */
export type LearnedColumns = { [K in keyof LearnedFit]: Packed<LearnedFit[K]> };

function pack<T>(all: readonly (T | undefined)[]): Packed<T> {
  const values: T[] = [];
  const places = new Map<unknown, number>();
  const at = all.map((value) => {
    if (value === undefined) return -1;
    const key = typeof value === 'object' ? JSON.stringify(value) : value;
    const before = places.get(key);
    if (before !== undefined) return before;
    places.set(key, values.length);
    return values.push(value) - 1;
  });
  return { values, at };
}

const valueAt = <T>({ values, at }: Packed<T>, row: number): T | undefined => values[at[row] ?? -1];
/** A property that every model has. */
const stated = <T>({ values, at }: Packed<T>, row: number): T => values[at[row]!]!;

/** Models by property, in the order of their identifiers; {@link modelsOf} gives the same models back. */
export function columnsOf(models: readonly StatedModel[]): CatalogueColumns {
  const rows = models.toSorted((a, b) => (a.id < b.id ? -1 : 1));
  const all = <T>(of: (model: StatedModel) => T): Packed<T> => pack(rows.map(of));
  return {
    ids: rows.map(({ id }) => id),
    stated: {
      maker: all(({ maker }) => maker),
      name: all(({ name }) => name),
      version: all(({ version }) => version),
      sizing: all(({ sizing }) => sizing),
      stock: all(({ stock }) => stock),
      boxes: all(({ boxes }) => boxes),
      price: all(({ price }) => price),
      status: all(({ status }) => status),
      replaces: all(({ replaces }) => replaces),
    },
    features: Object.fromEntries(
      FEATURE_IDS.map((id) => [id, pack(rows.map((row) => row.features[id]))] as const).filter(
        ([, { values }]) => values.length > 0,
      ),
    ),
  };
}

/** The models of some columns. */
export function modelsOf({ ids, stated: of, features }: CatalogueColumns): StatedModel[] {
  const columns = Object.entries(features);
  return ids.map((id, row) => ({
    id,
    maker: stated(of.maker, row),
    name: stated(of.name, row),
    version: stated(of.version, row),
    features: Object.fromEntries(
      columns.flatMap(([feature, column]) => {
        const value = valueAt<FeatureValue>(column, row);
        return value === undefined ? [] : [[feature, value]];
      }),
    ),
    sizing: stated(of.sizing, row),
    stock: stated(of.stock, row),
    boxes: stated(of.boxes, row),
    price: stated(of.price, row),
    status: stated(of.status, row),
    replaces: stated(of.replaces, row),
  }));
}

/** What was learned of some models, in the order of their identifiers. */
export function learnedColumnsOf(
  ids: readonly string[],
  fits: ReadonlyMap<string, LearnedFit>,
): LearnedColumns {
  const rows = ids.toSorted().map((id) => fits.get(id));
  return {
    length: pack(rows.map((fit) => fit?.length)),
    width: pack(rows.map((fit) => fit?.width)),
    fold: pack(rows.map((fit) => fit?.fold)),
  };
}

/** Stated models with what was learned of them; they lie in the order of their identifiers. */
export function withLearnedColumns(models: readonly StatedModel[], learned: LearnedColumns): ShoeModel[] {
  return models.map((model, row) => {
    const length = valueAt(learned.length, row);
    const width = valueAt(learned.width, row);
    if (!length || !width) return model;
    const fit = { length, width, fold: valueAt(learned.fold, row) ?? null };
    return { ...model, sizing: withLearned(model.sizing, fit), learned: fit };
  });
}

/** As a list shows them: by maker, name and version. */
export const byTitle = <M extends Pick<ShoeModel, 'maker' | 'name' | 'version'>>(models: readonly M[]): M[] =>
  models.toSorted(
    (a, b) => compare(a.maker, b.maker) || compare(a.name, b.name) || compare(a.version, b.version),
  );
const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** A whole catalogue as it goes over the wire. */
export interface CatalogueRead {
  /** In the order of identifiers, one part after the other. */
  parts: readonly CatalogueColumns[];
  learned: LearnedColumns;
}

/** The models of a catalogue, as a list shows them. */
export const modelsOfCatalogue = ({ parts, learned }: CatalogueRead): ShoeModel[] =>
  byTitle(withLearnedColumns(parts.flatMap(modelsOf), learned));
