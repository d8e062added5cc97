import type { CatalogueEntry } from '@/core/catalogue/catalogue-entry';
import { stockKey } from '@/core/catalogue/model';
import { type FeatureReadings, featuresOf, readingsFrom } from '@/core/shoe/readings/readings';
import { noise } from './noise';

/** One announcement. Its identifier is the same every time it is announced. */
export type SupplierItem = { id: string; on: string; maker: string; name: string; version: string } & (
  | { kind: 'new-version'; entry: CatalogueEntry }
  | { kind: 'discontinued' }
  | { kind: 'price'; price: number }
  | { kind: 'stock'; stock: Record<string, number> }
);

/** What a supplier sends, as JSON. */
export interface SupplierFeed {
  format: 'sovet-supplier-feed';
  version: 1;
  supplier: string;
  items: SupplierItem[];
}

/** A seed from a text; the last lines spread neighbours apart (finalizer of MurmurHash3, public domain). */
function hashOf(text: string): number {
  let hash = [...text].reduce((sum, letter) => (Math.imul(sum, 31) + letter.charCodeAt(0)) >>> 0, 7);
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return (hash ^ (hash >>> 16)) >>> 0;
}

const half = (value: number): number => Math.round(value * 2) / 2;

/** The next version as makers make them: a little higher, a little lighter or heavier, now and then another drop. */
function nextReadings(readings: FeatureReadings, on: string, draw: () => number): FeatureReadings {
  const before = featuresOf(readings);
  const next = { ...before };
  const drop = before.drop === undefined ? undefined : Number(before.drop);
  const heel = before.heelStack === undefined ? undefined : Number(before.heelStack);
  if (heel !== undefined) next.heelStack = Math.min(58, Math.round(heel + 1 + 3 * draw()));
  if (drop !== undefined && draw() < 0.5) next.drop = Math.max(0, half(drop + (draw() < 0.5 ? -2 : 2)));
  if (next.heelStack !== undefined && next.drop !== undefined)
    next.forefootStack = Math.min(45, Math.max(3, Number(next.heelStack) - Number(next.drop)));
  if (before.mass !== undefined)
    next.mass = Math.max(100, Math.round((Number(before.mass) + 40 * (draw() - 0.5)) / 5) * 5);
  return readingsFrom(next, 'maker', on);
}

/**
 * A stand-in for a supplier's feed over a catalogue: every month some models get a new version, some end, prices and the
 * supplier's deliveries change. The same catalogue and month announce the same.
 *
 * @param month `2031-05`
 */
export function supplierFeed(catalogue: readonly CatalogueEntry[], month: string): SupplierFeed {
  const on = `${month}-01`;
  const items: SupplierItem[] = [];
  for (const entry of catalogue) {
    if (entry.status === 'discontinued') continue;
    const { maker, name, version } = entry;
    const { even: draw } = noise(hashOf(`${month} ${maker} ${name} ${version}`));
    const at = { on, maker, name, version };
    const fate = draw();
    if (fate < 0.05 && /^\d+$/.test(version)) {
      const next = String(Number(version) + 1);
      items.push({
        id: `${month}:${maker}:${name}:${next}:new`,
        kind: 'new-version',
        ...at,
        version: next,
        entry: {
          ...entry,
          version: next,
          replaces: version,
          stock: {},
          boxes: {},
          price: entry.price === null ? null : entry.price + 5,
          readings: nextReadings(entry.readings, on, draw),
        },
      });
    } else if (fate < 0.07)
      items.push({ id: `${month}:${maker}:${name}:${version}:end`, kind: 'discontinued', ...at });
    else if (fate < 0.12 && entry.price !== null)
      items.push({
        id: `${month}:${maker}:${name}:${version}:price`,
        kind: 'price',
        ...at,
        price: Math.max(5, entry.price + (draw() < 0.7 ? 5 : -5)),
      });
    else if (fate < 0.18) {
      const { sizes, widths } = entry.sizing;
      const size = sizes[Math.floor(draw() * sizes.length)]!;
      const width = widths[Math.floor(draw() * widths.length)]!;
      items.push({
        id: `${month}:${maker}:${name}:${version}:stock`,
        kind: 'stock',
        ...at,
        stock: { [stockKey(size, width)]: 1 + Math.floor(draw() * 3) },
      });
    }
  }
  return { format: 'sovet-supplier-feed', version: 1, supplier: 'Simulated supplier', items };
}
