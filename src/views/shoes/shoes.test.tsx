import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { settleUntilGone } from '@tests/fixtures/acting';
import { testShoe, testSizing } from '@tests/fixtures/invented-shoe';
import { serve, servedCatalogue } from '@tests/fixtures/visit-view';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { modelTitle } from '@/core/catalogue/model';
import { Catalogue } from './Catalogue';
import { ShelfGrid } from './ShelfGrid';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const id = (at: number) => `4a1d7a52-6a1e-4f0b-9a53-0d5a7b1f${String(at).padStart(4, '0')}`;
const MODELS = [
  testShoe(id(1), { use: 'road-running', drop: 8, mass: 280 }, { name: 'Quay' }),
  testShoe(id(2), { use: 'road-running', drop: 4, mass: 240 }, { name: 'Reef' }),
  testShoe(id(3), { use: 'walking', mass: 320 }, { name: 'Inlet' }),
  testShoe(id(4), { use: 'walking', drop: 10 }, { name: 'Mole', status: 'discontinued' }),
];
const titles = () =>
  screen
    .getAllByRole('button')
    .filter((button) => button.hasAttribute('aria-pressed'))
    .map((button) => button.textContent.replace('Testmaker ', '').replace(' 1', ''));
const status = () => screen.getByRole('status').textContent;
const filter = (feature: string, asked: string) => {
  fireEvent.change(screen.getByLabelText('Feature'), { target: { value: feature } });
  const field = screen.getByLabelText('is');
  fireEvent.change(field, { target: { value: asked } });
  if (field.tagName === 'INPUT') fireEvent.submit(field.closest('form')!);
};

/** A catalogue that has come as a whole. */
const show = (models = MODELS) => {
  serve(servedCatalogue(models));
  const current = models.filter(({ status }) => status === 'current').length;
  render(<Catalogue start={{ first: models, models: models.length, current }} />);
};

describe('the catalogue', () => {
  it('opens with its first models and their number; the rest comes, and only then a filter counts', async () => {
    serve(servedCatalogue(MODELS));
    render(<Catalogue start={{ first: MODELS.slice(0, 1), models: 4, current: 3 }} />);
    expect(titles()).toEqual(['Quay']);
    expect(status()).toBe('3 of 4 match');
    filter('drop', '3-9 mm');
    expect(status()).toBe('Reading the catalogue, 0 % …');
    await settleUntilGone(/Reading the catalogue/);
    expect(status()).toMatch(/^2 of 4 match; 1 more may/);
    expect(titles()).toEqual(['Quay', 'Reef', 'Inlet']);
  });

  it('what is not known counts as a maybe and stands after what matches', () => {
    show();
    expect(titles()).toEqual(['Quay', 'Reef', 'Inlet']);
    filter('drop', '3-9 mm');
    expect(status()).toMatch(/^2 of 4 match; 1 more may/);
    expect(titles()).toEqual(['Quay', 'Reef', 'Inlet']);
    expect(screen.getByRole('button', { name: /Inlet/ }).closest('tr')!.className).toContain('italic');
  });

  it('a filter that cannot be read says so at its field and asks for nothing', () => {
    show();
    filter('drop', 'rather low');
    const field = screen.getByLabelText('is');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(field).toHaveProperty('value', 'rather low');
    expect(screen.queryByRole('list', { name: 'Filters' })).toBeNull();
  });

  it('a second filter of a feature takes the place of the first, and is removed by name', () => {
    show();
    filter('drop', '3-9 mm');
    filter('drop', '3-5 mm');
    expect(within(screen.getByRole('list', { name: 'Filters' })).getAllByRole('listitem')).toHaveLength(1);
    expect(titles()).toEqual(['Reef', 'Inlet']);
    fireEvent.click(screen.getByRole('button', { name: /^Remove the filter/ }));
    expect(titles()).toEqual(['Quay', 'Reef', 'Inlet']);
  });

  it('the card follows the list: what was filtered away is not looked at any longer', async () => {
    show();
    fireEvent.click(screen.getByRole('button', { name: /Inlet/ }));
    await screen.findByRole('complementary', { name: modelTitle(MODELS[2]!) });
    filter('use', 'road-running');
    expect(screen.getByRole('complementary', { name: modelTitle(MODELS[0]!) })).toBeTruthy();
  });

  it('shoes no longer made are shown on request; nothing found says what to do', () => {
    show();
    fireEvent.click(screen.getByRole('checkbox', { name: 'still made' }));
    expect(titles()).toContain('Mole');
    fireEvent.change(screen.getByLabelText('Maker, name, version'), { target: { value: 'zzz' } });
    expect(screen.getByText('No model matches. Remove a filter.')).toBeTruthy();
  });

  it('compares at most four, the oldest choice giving way', () => {
    const many = Array.from({ length: 6 }, (_, at) => testShoe(id(at), {}, { name: `Shoe${at}` }));
    show(many);
    for (const model of many.slice(0, 5))
      fireEvent.click(screen.getByRole('checkbox', { name: `Compare ${modelTitle(model)}` }));
    const link = screen.getByRole('link', { name: 'Compare 4' });
    expect(link.getAttribute('href')).toBe(
      `/shoes/compare?${[1, 2, 3, 4].map((at) => `id=${id(at)}`).join('&')}`,
    );
  });

  it('sorts by a press on a heading, unknown last', () => {
    show();
    const drop = () => fireEvent.click(screen.getByRole('button', { name: /^Drop/ }));
    drop();
    const once = titles();
    drop();
    expect([once, titles()].map((list) => list.at(-1))).toEqual(['Inlet', 'Inlet']);
    expect([once[0], titles()[0]].sort()).toEqual(['Quay', 'Reef']);
  });
});

describe('the shelf', () => {
  const model = testShoe(
    id(1),
    {},
    { sizing: testSizing({ sizes: [42, 42.5], widths: ['D', '2E'] }), stock: { '42 D': 3 } },
  );
  const field = (label: string) => screen.getByLabelText(label);
  const put = (label: string, value: string) => {
    act(() => {
      fireEvent.change(field(label), { target: { value } });
      fireEvent.blur(field(label));
    });
  };

  it('a count is a whole number of pairs; anything else goes back to what it was', () => {
    const counted: [string, number][] = [];
    render(<ShelfGrid model={model} onCount={(key, count) => counted.push([key, count])} />);
    expect(field('42 D, pairs')).toHaveProperty('value', '3');
    for (const wrong of ['-1', '2.5', 'two', 'Infinity']) {
      put('42 D, pairs', wrong);
      expect(field('42 D, pairs')).toHaveProperty('value', '3');
    }
    put('42.5 2E, pairs', 'x');
    expect(field('42.5 2E, pairs')).toHaveProperty('value', '');
    put('42 D, pairs', '3');
    expect(counted).toEqual([]);
    put('42 D, pairs', '');
    put('42.5 2E, pairs', ' 4 ');
    expect(counted).toEqual([
      ['42 D', 0],
      ['42.5 2E', 4],
    ]);
  });
});
