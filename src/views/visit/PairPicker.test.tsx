import { cleanup, fireEvent, screen } from '@testing-library/react';
import { showInVisit } from '@tests/fixtures/visit-view';
import { afterEach, describe, expect, it } from 'vitest';
import type { VisitContents } from '@/core/visit/contents';
import { PairPicker } from './PairPicker';

afterEach(cleanup);

const model = '4a1d7a52-6a1e-4f0b-9a53-0d5a7b1f2c22';
const contents: VisitContents = {
  ask: { findings: { body: { activities: ['road-running', 'lifting-upright'] } } },
  reason: { note: 'for the road' },
  candidates: { chosen: [model] },
};

describe('the pair under work', () => {
  it('is the first; another takes its place, and what was done for the first waits', async () => {
    const { store } = await showInVisit(<PairPicker />, {
      visit: { id: 'b1c0a6a4-6a52-4d58-8f8d-2f7f5d1c9e77' },
      contents,
    });
    expect(screen.getByRole('radio', { name: 'road running' })).toHaveProperty('checked', true);
    fireEvent.click(screen.getByRole('radio', { name: 'lifting, upright trunk' }));
    expect(store.content('reason')).toMatchObject({ pair: 'lifting-upright' });
    expect(store.content('reason').note).toBeUndefined();
    expect(store.content('candidates').chosen).toBeUndefined();
    fireEvent.click(screen.getByRole('radio', { name: 'road running' }));
    expect(store.content('reason').note).toBe('for the road');
    expect(store.content('candidates').chosen).toEqual([model]);
  });

  it('says which was handed over already; on a closed visit the other is only looked at', async () => {
    const { store } = await showInVisit(<PairPicker />, {
      visit: {
        id: 'b1c0a6a4-6a52-4d58-8f8d-2f7f5d1c9e78',
        closedAt: '2030-01-01T10:00:00.000Z',
        issued: [
          {
            id: 'i',
            purpose: 'lifting-upright',
            specification: {
              knowledge: '3',
              school: 'balanced',
              targets: [],
              feet: { left: [], right: [] },
              deadlocks: [],
              open: [],
              cautions: [],
            },
            rules: null,
            sheet: null,
            order: null,
          },
        ],
      },
      contents,
    });
    fireEvent.click(screen.getByRole('radio', { name: 'lifting, upright trunk, ordered' }));
    expect(store.content('reason').pair).toBe('lifting-upright');
    // Nothing waits to be saved.
    expect(store.snapshot().steps.reason.saving).toBe('saved');
  });

  it('is not asked about where one pair serves every purpose', async () => {
    const { container } = await showInVisit(<PairPicker />, {
      visit: { id: 'b1c0a6a4-6a52-4d58-8f8d-2f7f5d1c9e79' },
      contents: { ask: { findings: { body: { activities: ['walking', 'everyday'] } } } },
    });
    expect(container.textContent).toBe('');
  });
});
