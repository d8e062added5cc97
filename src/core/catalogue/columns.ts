import { FEATURE_IDS, type FeatureId, type FeatureValue } from '../shoe/features';
import { type LearnedFit, type LearnedFits, withLearned } from '../sizing/learned/learned-fit';
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
    // The same object is the same value; another one may be as well.
    const known = places.get(value);
    if (known !== undefined) return known;
    const key = typeof value === 'object' ? JSON.stringify(value) : value;
    const place = places.get(key) ?? values.push(value) - 1;
    places.set(key, place);
    places.set(value, place);
    return place;
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
export function learnedColumnsOf(ids: readonly string[], fits: LearnedFits): LearnedColumns {
  const rows = ids.toSorted().map((id) => fits.get(id));
  return {
    length: pack(rows.map((fit) => fit?.length)),
    width: pack(rows.map((fit) => fit?.width)),
    fold: pack(rows.map((fit) => fit?.fold)),
  };
}

/**
 * Stated models with what was learned of them.
 *
 * @param from the row of the first of them: models lie in the order of their identifiers, one part after the other
 */
export function withLearnedColumns(
  models: readonly StatedModel[],
  learned: LearnedColumns,
  from = 0,
): ShoeModel[] {
  return models.map((model, at) => {
    const row = from + at;
    const length = valueAt(learned.length, row);
    const width = valueAt(learned.width, row);
    if (!length || !width) return model;
    const fit = { length, width, fold: valueAt(learned.fold, row) ?? null };
    return { ...model, sizing: withLearned(model.sizing, fit), learned: fit };
  });
}

type Titled = Pick<ShoeModel, 'maker' | 'name' | 'version'>;
const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
const compareTitles = (a: Titled, b: Titled): number =>
  compare(a.maker, b.maker) || compare(a.name, b.name) || compare(a.version, b.version);

/** As a list shows them: by maker, name and version. */
export const byTitle = <M extends Titled>(models: readonly M[]): M[] => models.toSorted(compareTitles);

/** Two lists by title as one. */
export function mergedByTitle<M extends Titled>(one: readonly M[], other: readonly M[]): M[] {
  const merged: M[] = [];
  let [a, b] = [0, 0];
  while (a < one.length && b < other.length)
    merged.push(compareTitles(one[a]!, other[b]!) <= 0 ? one[a++]! : other[b++]!);
  return merged.concat(one.slice(a), other.slice(b));
}

/** A whole catalogue as it goes over the wire. */
export interface CatalogueRead {
  /** In the order of identifiers, one part after the other. */
  parts: readonly CatalogueColumns[];
  learned: LearnedColumns;
}

/**
 * The models of a catalogue, as a list shows them, a piece of the work at a time: between two of them others may have the thread.
 *
 * @returns yields nothing of value; returns the models
 */
export function* openingCatalogue({ parts, learned }: CatalogueRead): Generator<void, ShoeModel[]> {
  let lists: ShoeModel[][] = [];
  let from = 0;
  for (const part of parts) {
    lists.push(byTitle(withLearnedColumns(modelsOf(part), learned, from)));
    from += part.ids.length;
    yield;
  }
  while (lists.length > 1) {
    const merged: ShoeModel[][] = [];
    for (let at = 0; at < lists.length; at += 2) {
      merged.push(mergedByTitle(lists[at]!, lists[at + 1] ?? []));
      yield;
    }
    lists = merged;
  }
  return lists[0] ?? [];
}

/** The models of a catalogue at one go, where nobody waits for the thread. */
export function modelsOfCatalogue(read: CatalogueRead): ShoeModel[] {
  const work = openingCatalogue(read);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
