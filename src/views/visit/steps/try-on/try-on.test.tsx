import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import { settleUntilGone } from '@tests/fixtures/acting';
import { halfSizes, testShoe, testSizing } from '@tests/fixtures/invented-shoe';
import { serve, servedCatalogue, showInVisit, stubWorkers } from '@tests/fixtures/visit-view';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { modelsOfCatalogue } from '@/core/catalogue/columns';
import type { ShoeModel } from '@/core/catalogue/model';
import { rank } from '@/core/match/rank';
import type { VisitContents } from '@/core/visit/contents';
import type { RankQuestion } from '@/workers/rank-worker';
import { TryOnStep } from './TryOnStep';

const sizing = testSizing({ sizes: halfSizes(40, 44), widths: ['D', '2E'] });
const SHOES = ['quay', 'reef', 'inlet'].map((name, at) =>
  testShoe(`4a1d7a52-6a1e-4f0b-9a53-0d5a7b1f2c2${at}`, { drop: 8 + at }, { name, sizing }),
);
const [QUAY, REEF, INLET] = SHOES.map(({ id }) => id) as [string, string, string];
const contents: VisitContents = {
  feet: { findings: { left: { footLength: 260, ballWidth: 98 }, right: { footLength: 262, ballWidth: 98 } } },
  candidates: { chosen: [QUAY, REEF] },
};

beforeEach(() => {
  serve(servedCatalogue(SHOES));
  let known: readonly ShoeModel[] = [];
  stubWorkers({
    'rank-worker': (question) => {
      const { catalogue, specification } = question as RankQuestion;
      if (catalogue) known = modelsOfCatalogue(catalogue);
      return rank(known, specification);
    },
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

async function show(extra: VisitContents = {}) {
  const shown = await showInVisit(<TryOnStep />, { contents: { ...contents, ...extra } });
  await settleUntilGone(/Fetching the catalogue/);
  const pair = (letter: string) => screen.getByRole('region', { name: new RegExp(`^Pair ${letter}`) });
  const tried = (model: string) =>
    shown.store.content('try-on').tryOns?.find((tryOn) => tryOn.model === model);
  return { ...shown, pair, tried };
}
const choose = (within_: HTMLElement, group: string, option: string) => {
  const fieldset = within(within_).getByRole('group', { name: group });
  fireEvent.click(within(fieldset).getByRole('radio', { name: option }));
};

describe('pairs on the feet', () => {
  it('the pairs that were brought stand side by side, each with a size for the longer foot', async () => {
    const { pair } = await show();
    expect(pair('A').textContent).toContain('quay');
    expect(pair('B').textContent).toContain('reef');
    expect(within(pair('A')).getByLabelText('Right')).not.toHaveProperty('value', '');
    expect(screen.queryByText(/inlet/)).toBeNull();
  });

  it('nothing brought: the way to the candidates', async () => {
    await show({ candidates: {} });
    expect(screen.getByRole('link', { name: /Choose two or three/ }).getAttribute('href')).toBe(
      '#candidates',
    );
  });

  it('one pair is chosen at a time: choosing the second puts the first back among the possible', async () => {
    const { pair, tried } = await show();
    choose(pair('A'), 'Verdict', 'chosen');
    choose(pair('B'), 'Verdict', 'chosen');
    expect([tried(QUAY)?.verdict, tried(REEF)?.verdict]).toEqual(['possible', 'chosen']);
  });

  it('makers and models can be hidden, and what was felt stays with its pair', async () => {
    const { pair, tried, store } = await show();
    fireEvent.change(within(pair('A')).getByLabelText('Comfort, 0–100'), { target: { value: '62' } });
    fireEvent.click(screen.getByRole('checkbox', { name: 'hide makers and models' }));
    expect(store.content('try-on').blind).toBe(true);
    expect(document.body.textContent).not.toMatch(/quay|reef|Testmaker/);
    expect(within(pair('A')).getByLabelText('Comfort, 0–100')).toHaveProperty('value', '62');
    fireEvent.click(screen.getByRole('checkbox', { name: 'hide makers and models' }));
    expect(store.content('try-on').blind).toBeUndefined();
    expect(tried(QUAY)?.comfort).toBe(62);
  });

  it('another size is another fit: what was felt in the first is put by and comes back with it', async () => {
    const { pair, tried } = await show();
    const left = () => within(pair('A')).getByLabelText(/left$/);
    const first = (left() as HTMLSelectElement).value;
    const comfort = within(pair('A')).getByLabelText('Comfort, 0–100');
    fireEvent.change(comfort, { target: { value: '40' } });
    fireEvent.blur(comfort);
    fireEvent.change(left(), { target: { value: '43' } });
    expect(tried(QUAY)?.comfort).toBeUndefined();
    expect(within(pair('A')).getByLabelText('Comfort, 0–100')).toHaveProperty('value', '');
    fireEvent.click(within(pair('A')).getByRole('button', { name: 'back to it' }));
    expect(left()).toHaveProperty('value', first);
    expect(tried(QUAY)?.comfort).toBe(40);
  });

  it('a tight ball asks for width, and one press takes the next width', async () => {
    const { pair, tried } = await show();
    choose(screen.getByRole('region', { name: 'Checks of pair A' }), 'Width, ball, left', 'tight');
    expect(tried(QUAY)?.left?.widthFit).toBe('tight');
    expect(pair('A').textContent).toMatch(/Tight at the ball|next width/i);
  });

  it('comfort past its scale stays typed at its field and is no value', async () => {
    const { pair, tried } = await show();
    const field = within(pair('A')).getByLabelText('Comfort, 0–100');
    fireEvent.change(field, { target: { value: '140' } });
    fireEvent.blur(field);
    expect(field).toHaveProperty('value', '140');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(tried(QUAY)?.comfort).toBeUndefined();
  });

  it('a reason is asked for with a verdict, and goes when it is emptied', async () => {
    const { pair, tried } = await show();
    expect(within(pair('B')).queryByLabelText('Because')).toBeNull();
    choose(pair('B'), 'Verdict', 'rejected');
    fireEvent.change(within(pair('B')).getByLabelText('Because'), { target: { value: 'heel slips' } });
    expect(tried(REEF)).toMatchObject({ verdict: 'rejected', because: 'heel slips' });
    fireEvent.change(within(pair('B')).getByLabelText('Because'), { target: { value: '' } });
    expect(tried(REEF)).not.toHaveProperty('because');
  });

  it('a pair that made room is put by with what was felt in it', async () => {
    const felt = { model: INLET, comfort: 70, sizeLeft: 42, sizeRight: 42, width: 'D' as const };
    const { tried } = await show({ 'try-on': { tryOns: [felt] } });
    expect(screen.queryByRole('region', { name: /inlet/ })).toBeNull();
    choose(screen.getByRole('region', { name: /quay/ }), 'Verdict', 'possible');
    expect(tried(INLET)).toMatchObject({ comfort: 70 });
  });

  it('a visit that was handed over is only looked at', async () => {
    const shown = await showInVisit(<TryOnStep />, {
      contents,
      visit: { closedAt: '2030-01-02T09:00:00.000Z' },
    });
    await act(async () => {
      await new Promise((resolve) => setTimeout(resolve, 30));
    });
    expect(screen.getByRole('checkbox', { name: 'hide makers and models' })).toHaveProperty('disabled', true);
    choose(screen.getByRole('region', { name: /quay/ }), 'Verdict', 'chosen');
    expect(shown.store.content('try-on').tryOns ?? []).toEqual([]);
  });
});
