import { testSizing } from '@tests/fixtures/invented-shoe';
import { describe, expect, it } from 'vitest';
import type { CatalogueEntry } from '@/core/catalogue/catalogue-entry';
import { featuresOf, readingsFrom } from '@/core/shoe/readings/readings';
import { supplierFeed } from './supplier-feed';

const catalogue = Array.from(
  { length: 600 },
  (_, at): CatalogueEntry => ({
    maker: 'Testmaker',
    name: `Model ${at}`,
    version: '3',
    sizing: testSizing({ sizes: [41, 42, 43], widths: ['D', '2E'] }),
    stock: {},
    boxes: {},
    price: 100,
    status: at % 10 === 0 ? 'discontinued' : 'current',
    replaces: null,
    readings: readingsFrom({ drop: 8, heelStack: 30, forefootStack: 22, mass: 280 }, 'maker', '2031-01-01'),
  }),
);

describe('the simulated supplier', () => {
  const { items } = supplierFeed(catalogue, '2031-05');

  it('announces the same for the same catalogue and month, something else the next', () => {
    expect(supplierFeed(catalogue, '2031-05').items).toEqual(items);
    expect(supplierFeed(catalogue, '2031-06').items.map(({ id }) => id)).not.toEqual(
      items.map(({ id }) => id),
    );
  });

  it('announces every kind of change, each with an identifier of its own, of what is still made', () => {
    expect(new Set(items.map(({ kind }) => kind))).toEqual(
      new Set(['new-version', 'discontinued', 'price', 'stock']),
    );
    expect(new Set(items.map(({ id }) => id)).size).toBe(items.length);
    expect(items.some(({ name }) => Number(name.split(' ')[1]) % 10 === 0)).toBe(false);
  });

  it('a new version is another shoe whose heights agree, and names its forerunner', () => {
    for (const item of items)
      if (item.kind === 'new-version') {
        const { drop, heelStack, forefootStack } = featuresOf(item.entry.readings);
        expect(item.entry).toMatchObject({ version: '4', replaces: '3', stock: {} });
        expect(Number(heelStack)).toBeGreaterThan(30);
        expect(Number(heelStack) - Number(forefootStack)).toBe(drop);
      }
  });
});
