import { cleanup, render, screen } from '@testing-library/react';
import { press, saidAt, write } from '@tests/fixtures/acting';
import { serve } from '@tests/fixtures/visit-view';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { LikelyRecord } from '@/contract/patients-schema';
import { Duplicates } from './Duplicates';
import { KeepingRecords } from './KeepingRecords';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const record = (part: Partial<LikelyRecord>): LikelyRecord => ({
  id: 'a',
  name: 'Berta Twice',
  bornOn: '1961-02-03',
  occupation: '',
  phone: '',
  since: '2029-01-01',
  visits: 2,
  pairs: 1,
  orders: 0,
  openVisit: false,
  ...part,
});
const likely = {
  why: 'Born on the same day, with one name alike',
  records: [record({}), record({ id: 'b', name: 'Berta Twise', visits: 1, pairs: 0 })] as [
    LikelyRecord,
    LikelyRecord,
  ],
};
const merged = {
  id: 'm1',
  kept: 'a',
  name: 'Berta Twise',
  by: 'Mara Quill',
  at: '2030-01-02T09:40:00.000Z',
  moved: 1,
};
const refused = (status: number, code: string, title: string) => ({ status, body: { status, code, title } });

describe('two records, one person', () => {
  it('says first what would move, folds only then, and can be taken apart', async () => {
    let state = { likely: [likely], merged: [] as (typeof merged)[] };
    const calls = serve({
      'POST /patients/a/merge': () => {
        state = { likely: [], merged: [merged] };
        return { status: 201, body: { id: 'm1' } };
      },
      'POST /merges/m1/undo': () => {
        state = { likely: [likely], merged: [] };
        return { status: 204, body: null };
      },
      'GET /duplicates': () => ({ body: state }),
    });
    render(<Duplicates found={state} />);
    await press(/^Keep this record: Berta Twice/);
    expect(screen.getByText(/come here: 1 visit, no pairs and no orders/)).toBeTruthy();
    expect(calls).toEqual([]);
    await press('Fold them');
    expect(calls[0]!.body).toEqual({ folded: 'b' });
    expect(screen.getByText(/1 entry moved/)).toBeTruthy();
    expect(screen.getByText(/2 Jan 2030, 09:40, by Mara Quill/)).toBeTruthy();
    await press('Take apart: Berta Twise');
    expect(screen.getByRole('status').textContent).toContain('two records again');
  });

  it('a refusal is said and both stay', async () => {
    serve({
      'POST /patients/a/merge': () => refused(409, 'conflict', 'Both records have a visit open.'),
      'GET /duplicates': () => ({ body: { likely: [likely], merged: [] } }),
    });
    render(<Duplicates found={{ likely: [likely], merged: [] }} />);
    await press(/^Keep this record: Berta Twice/);
    await press('Fold them');
    expect(screen.getByRole('alert').textContent).toContain('visit open');
    expect(screen.getByText('Berta Twise')).toBeTruthy();
  });

  it('what differs stands out, what is alike does not', () => {
    render(<Duplicates found={{ likely: [likely], merged: [] }} />);
    const born = screen.getAllByText('3 Feb 1961');
    expect(born.every(({ className }) => className === '')).toBe(true);
    expect(screen.getByText('2 visits, 1 pair and no orders').className).toContain('font-semibold');
  });
});

describe('keeping records', () => {
  const preview = {
    records: 60,
    kept: 58,
    past: 2,
    first: [{ id: 'a', name: 'Old One', lastOn: '2010-01-01', until: '2018-01-01' }],
  };

  it('a preview erases nothing; erasing takes the number typed, and only with the rules that were looked at', async () => {
    const calls = serve({
      'POST /retention/preview': () => ({ body: preview }),
      'POST /retention/erase': () => ({ body: { erased: 2 } }),
    });
    render(<KeepingRecords retention={{ yearsAfterLastVisit: 8 }} closed={[]} />);
    await press('Preview');
    expect(calls[0]!.body).toEqual({ yearsAfterLastVisit: 8, childrenUntilAge: null });
    expect(screen.getByText(/Of 60 records 58 are kept; 2 are past their time/)).toBeTruthy();
    expect(screen.getByText('and 1 more')).toBeTruthy();
    const erase = screen.getByRole('button', { name: 'Erase 2 for good' });
    expect(erase).toHaveProperty('disabled', true);
    write(/type 2/, '2');
    await press('Erase 2 for good');
    expect(calls[1]!.body).toEqual({
      retention: { yearsAfterLastVisit: 8, childrenUntilAge: null },
      count: 2,
    });
    expect(screen.getByText('2 erased for good.')).toBeTruthy();
  });

  it('what is no number of years is said at its field', async () => {
    const calls = serve({});
    render(<KeepingRecords retention={{}} closed={[]} />);
    write('Years after the last visit', 'eight');
    write(/until the age/, '12');
    await press('Save the rules');
    expect(saidAt(screen.getByLabelText('Years after the last visit'))).toBeTruthy();
    expect(saidAt(screen.getByLabelText(/until the age/))).toBe('At least 18.');
    expect(calls).toEqual([]);
  });

  it('a closed record shows the rule and comes back into view', async () => {
    const calls = serve({
      'POST /patients/x/reopen': () => ({ status: 204, body: null }),
      'GET /retention/closed': () => ({ body: [] }),
    });
    const closed = { id: 'x', name: 'Liv Early', until: '2038-03-01', because: 'Kept: a rule.' };
    render(<KeepingRecords retention={{}} closed={[closed]} />);
    expect(screen.getByText('until 1 Mar 2038')).toBeTruthy();
    await press('Back into view: Liv Early');
    expect(calls).toHaveLength(2);
    expect(screen.queryByText('Liv Early')).toBeNull();
  });
});
