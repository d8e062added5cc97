import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { testShoe } from '@tests/fixtures/invented-shoe';
import { visitRecord } from '@tests/fixtures/visit-record';
import { serve, servedCatalogue, showInVisit, stubWorkers } from '@tests/fixtures/visit-view';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { VisitContents } from '@/core/visit/contents';
import { readVisit } from '@/core/visit/read-visit';
import { HandOver } from './HandOver';

const shoe = testShoe('4a1d7a52-6a1e-4f0b-9a53-0d5a7b1f2c22');
const chosen: VisitContents = {
  warnings: { checked: true },
  'try-on': { tryOns: [{ model: shoe.id, verdict: 'chosen', sizeLeft: 42, sizeRight: 42, width: 'D' }] },
};
const wound = {
  id: 'm',
  side: 'left',
  x: 50,
  y: 100,
  layer: 'skin',
  view: 'sole',
  site: 'first-head',
  kind: 'wound',
} as const;

beforeEach(() => stubWorkers({}));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.resetModules();
});

const catalogue = servedCatalogue([shoe]);
const press = () => screen.getByRole('button', { name: 'Hand over' });

describe('the hand-over step', () => {
  it('lists what the core says stands in the way, word for word, a marked wound first', async () => {
    serve(catalogue);
    const contents: VisitContents = { ...chosen, feet: { findings: {}, marks: [wound] } };
    await showInVisit(<HandOver />, { contents });
    const { blocks } = readVisit(visitRecord(), contents, shoe);
    expect(blocks).toHaveLength(1);
    // Until the catalogue has been read, that is in the way too.
    await waitFor(() => expect(screen.getAllByRole('link', { name: 'Go there' })).toHaveLength(1));
    expect(screen.getByText(blocks[0]!.message)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Go there' }).getAttribute('href')).toBe('#warnings');
    expect(press()).toHaveProperty('disabled', true);
  });

  it('lets a pair go when nothing stands in the way', async () => {
    serve(catalogue);
    await showInVisit(<HandOver />, { contents: chosen });
    expect(screen.getByText(/Nothing blocks the hand-over/)).toBeTruthy();
    expect(press()).toHaveProperty('disabled', false);
  });

  it('says what the server refuses, and keeps what was entered', async () => {
    serve({
      ...catalogue,
      'POST /visits/7d0f4b1e-58a4-4d3c-9a63-0c4f3f5a2b11/hand-over': () => ({
        status: 422,
        body: {
          title: 'This cannot be handed over yet.',
          status: 422,
          code: 'invalid',
          errors: [{ path: ['startedOn'], message: 'The pair cannot start before this visit.' }],
        },
      }),
    });
    const { store } = await showInVisit(<HandOver />, {
      contents: { ...chosen, 'hand-over': { weeklyKm: 20 } },
    });
    await act(async () => {
      fireEvent.click(press());
      await new Promise((resolve) => setTimeout(resolve, 0));
    });
    expect(screen.getByRole('alert').textContent).toContain('This cannot be handed over yet.');
    expect(screen.getAllByText(/cannot start before this visit/).length).toBeGreaterThan(0);
    expect(store.content('hand-over').weeklyKm).toBe(20);
  });

  it('an order may wait for its first day, a hand-over may not start before the visit', async () => {
    serve(catalogue);
    await showInVisit(<HandOver />, { contents: { ...chosen, 'hand-over': { startedOn: '2029-12-01' } } });
    expect(press()).toHaveProperty('disabled', true);
    expect(screen.getByRole('button', { name: 'Order instead' })).toHaveProperty('disabled', false);
  });

  it('a term that is no whole number of days cannot be ordered with', async () => {
    serve(catalogue);
    await showInVisit(<HandOver />, { contents: chosen });
    const days = screen.getByLabelText(/can be sent back for/);
    for (const [typed, isRefused] of [
      ['abc', true],
      ['-1', true],
      ['400', true],
      ['30', false],
    ] as const) {
      fireEvent.change(days, { target: { value: typed } });
      expect(screen.getByRole('button', { name: 'Order instead' }), typed).toHaveProperty(
        'disabled',
        isRefused,
      );
    }
  });

  it('a closed visit shows what was handed over, or why nothing was', async () => {
    serve(catalogue);
    await showInVisit(<HandOver />, {
      visit: { closedAt: '2030-01-01T10:00:00.000Z', closedBecause: 'review: pair kept' },
    });
    expect(screen.getByText(/Nothing was handed over: review: pair kept/)).toBeTruthy();
  });
});
