import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { press, saidAt, settle, write } from '@tests/fixtures/acting';
import { clinicRecord } from '@tests/fixtures/visit-record';
import { serve } from '@tests/fixtures/visit-view';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { TokenRecord } from '@/contract/records';
import { ClinicDefaults } from './ClinicDefaults';
import { Tokens } from './Tokens';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const token = (part: Partial<TokenRecord> = {}): TokenRecord => ({
  id: 't1',
  name: 'nightly export',
  createdAt: '2030-01-01T09:00:00.000Z',
  lastUsedAt: null,
  expiresAt: '2030-04-01T09:00:00.000Z',
  access: 'write',
  areas: null,
  ...part,
});
const refused = (status: number, code: string, title: string, errors: object[] = []) => ({
  status,
  body: { status, code, title, errors },
});

describe('access tokens', () => {
  it('a new one is shown once, and the list says until when and whether it was used', async () => {
    const calls = serve({
      'POST /tokens': () => ({ status: 201, body: { id: 't2', token: 'secret-once' } }),
      'GET /tokens': () => ({
        body: [token(), token({ id: 't2', name: 'steps', lastUsedAt: '2030-01-05T09:00:00.000Z' })],
      }),
    });
    render(<Tokens tokens={[token()]} />);
    expect(screen.getByText('not used yet')).toBeTruthy();
    write('Name', 'steps');
    write('Days', '30');
    await press('Make a token');
    expect(calls[0]!.body).toEqual({ name: 'steps', days: 30, access: 'read' });
    expect(screen.getByText('secret-once')).toBeTruthy();
    const made = screen.getByText('steps').closest('li')!;
    expect(made.textContent).toContain('until 1 Apr 2030');
    expect(made.textContent).toContain('used 5 Jan 2030');
    cleanup();
    render(<Tokens tokens={[token()]} />);
    expect(screen.queryByText('secret-once')).toBeNull();
  });

  it('a name that is missing and days that are no number are said at their fields; nothing is sent', async () => {
    const calls = serve({});
    render(<Tokens tokens={[]} />);
    write('Name', '  ');
    write('Days', '');
    await press('Make a token');
    expect(saidAt(screen.getByLabelText('Name'))).toBeTruthy();
    expect(saidAt(screen.getByLabelText('Days'))).toBeTruthy();
    expect(calls).toEqual([]);
  });

  it('one that is gone already says so, and the list is read anew', async () => {
    serve({
      'DELETE /tokens/t1': () => refused(404, 'not-found', 'This token is not there.'),
      'GET /tokens': () => ({ body: [] }),
    });
    render(<Tokens tokens={[token()]} />);
    await press('Revoke');
    expect(screen.getByRole('alert').textContent).toContain('not there');
    expect(screen.queryByText('nightly export')).toBeNull();
  });
});

describe('the clinic’s defaults', () => {
  const clinic = clinicRecord();

  it('the lead changes one at a time, and is told what it touches', async () => {
    const calls = serve({ 'PATCH /clinic': () => ({ body: { ...clinic, school: 'load' } }) });
    render(<ClinicDefaults clinic={clinic} mayChange />);
    write('School of prescribing', 'load');
    await settle();
    expect(calls[0]!.body).toEqual({ school: 'load' });
    expect(screen.getByRole('status').textContent).toContain('what was issued stays as it was');
  });

  it('a refusal is said', async () => {
    serve({ 'PATCH /clinic': () => refused(403, 'forbidden', 'Only the lead may do this.') });
    render(<ClinicDefaults clinic={clinic} mayChange />);
    write('School of replacing', 'cautious');
    await settle();
    expect(screen.getByRole('status').textContent).not.toContain('Saved');
    expect(screen.getByRole('status').textContent).not.toBe('');
  });

  it('whoever is not the lead sees them and cannot change them', () => {
    serve({});
    render(<ClinicDefaults clinic={clinic} mayChange={false} />);
    for (const list of screen.getAllByRole('combobox')) expect(list).toHaveProperty('disabled', true);
    fireEvent.change(screen.getByLabelText('School of replacing'), { target: { value: 'median' } });
    expect(within(screen.getByRole('region')).getByText('Only the clinic lead changes these.')).toBeTruthy();
  });
});
