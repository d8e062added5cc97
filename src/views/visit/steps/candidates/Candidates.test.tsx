import { cleanup, fireEvent, screen } from '@testing-library/react';
import { settleUntilGone } from '@tests/fixtures/acting';
import { testShoe } from '@tests/fixtures/invented-shoe';
import { serve, servedCatalogue, showInVisit, stubWorkers } from '@tests/fixtures/visit-view';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { modelsOfCatalogue } from '@/core/catalogue/columns';
import type { ShoeModel } from '@/core/catalogue/model';
import { rank } from '@/core/match/rank';
import type { RankQuestion } from '@/workers/rank-worker';
import { Candidates } from './Candidates';

const shoe = testShoe('4a1d7a52-6a1e-4f0b-9a53-0d5a7b1f2c22', { drop: 8 });
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('candidates', () => {
  it('a ranking worker that breaks down is said, and can be tried again; nobody waits for ever', async () => {
    serve(servedCatalogue([shoe]));
    stubWorkers({});
    await showInVisit(<Candidates />);
    await settleUntilGone(/Ranking the catalogue/);
    expect(screen.getByRole('alert').textContent).toContain('The background work could not be started');
    let known: readonly ShoeModel[] = [];
    stubWorkers({
      'rank-worker': (question) => {
        const { catalogue, specification } = question as RankQuestion;
        if (catalogue) known = modelsOfCatalogue(catalogue);
        return rank(known, specification);
      },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    await settleUntilGone(/Ranking the catalogue/);
    expect(screen.queryByRole('alert')).toBeNull();
    expect(screen.getByRole('list', { name: 'Ranked candidates' }).textContent).toContain('Testmaker');
  });
});
