import type { FeatureReadings } from '../shoe/readings/readings';
import type { ModelSizing } from '../sizing/start-size';
import type { BoxLabel, ModelStatus, Stock } from './model';

/** A model as it comes in from a file or a supplier: what is said of it, without what the clinic has learned. */
export interface CatalogueEntry {
  maker: string;
  name: string;
  version: string;
  sizing: ModelSizing;
  /** null: the file does not say; what stands stays. An empty shelf is said. */
  stock: Stock | null;
  /** What it does not say of the boxes stays. */
  boxes: BoxLabel;
  price: number | null;
  status: ModelStatus | null;
  /** The version of the same model that it took the place of. */
  replaces: string | null;
  readings: FeatureReadings;
}

/** Maker, name and version name one entry, whatever the capitals. */
export const entryKey = ({
  maker,
  name,
  version,
}: Pick<CatalogueEntry, 'maker' | 'name' | 'version'>): string =>
  [maker, name, version].map((part) => part.trim().toLowerCase()).join('\u0000');

/** What is wrong with one cell, or with a row or the whole file where there is no column. */
export interface CellError {
  /** Line of the file, 1 the header; of a JSON file the place in its list. */
  row: number;
  column: string;
  message: string;
  suggestion?: string;
}

/** What a file holds, apart from the entries themselves. */
export interface CatalogueReport {
  rows: number;
  entries: number;
  errors: CellError[];
  /** All errors, listed or not. */
  errorCount: number;
  notes: string[];
}
